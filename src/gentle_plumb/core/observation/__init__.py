"""What is seen: habits of the body at work, and the room or home around it."""

from .habit import SHARE, Habit, HabitOften, HabitSide, Moves
from .habits import HABITS
from .room import LIGHT_TASKS, ROOM, RoomItem
from .techniques import TECHNIQUES, Technique, techniques_for

__all__ = [
    "HABITS",
    "LIGHT_TASKS",
    "ROOM",
    "SHARE",
    "TECHNIQUES",
    "Habit",
    "HabitOften",
    "HabitSide",
    "Moves",
    "RoomItem",
    "Technique",
    "techniques_for",
]
