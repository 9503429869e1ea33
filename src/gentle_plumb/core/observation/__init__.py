"""What is seen: habits of the body at work, and the room or home around it."""

from .fine import GOOD
from .habit import SHARE, Habit, HabitOften, HabitSide, Moves
from .habits import HABITS, STANDING
from .home import ROOM
from .room import LIGHT_TASKS, RoomItem
from .techniques import TECHNIQUES, Technique, techniques_for

__all__ = [
    "GOOD",
    "HABITS",
    "LIGHT_TASKS",
    "ROOM",
    "SHARE",
    "STANDING",
    "TECHNIQUES",
    "Habit",
    "HabitOften",
    "HabitSide",
    "Moves",
    "RoomItem",
    "Technique",
    "techniques_for",
]
