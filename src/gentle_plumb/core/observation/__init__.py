"""What is seen: habits of the body at work, and the room or home around it."""

from .habits import HABITS, SHARE, Habit, HabitOften, HabitSide, Moves
from .room import LIGHT_TASKS, ROOM, RoomItem

__all__ = [
    "HABITS",
    "LIGHT_TASKS",
    "ROOM",
    "SHARE",
    "Habit",
    "HabitOften",
    "HabitSide",
    "Moves",
    "RoomItem",
]
