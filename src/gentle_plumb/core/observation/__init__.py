"""What is seen: habits of the body at work, and the room or home around it."""

from .habit import GOOD, SHARE, Habit, HabitOften, HabitSide, Moves
from .habits import HABITS, STANDING
from .room import LIGHT_TASKS, ROOM, RoomItem
from .techniques import Technique, techniques_for
