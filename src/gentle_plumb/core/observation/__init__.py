"""What is seen: habits of the body at work, and the room or home around it."""

from .habits import HABIT_OFTEN, HABITS, SHARE, SIDES, Habit
from .room import LIGHT_TASKS, ROOM, RoomItem

__all__ = ["HABITS", "HABIT_OFTEN", "LIGHT_TASKS", "ROOM", "SHARE", "SIDES", "Habit", "RoomItem"]
