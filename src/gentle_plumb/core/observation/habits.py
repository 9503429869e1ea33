"""All habits by identifier, from the head down."""

from __future__ import annotations

from .habit import Habit
from .lower_body import LOWER_BODY
from .upper_body import UPPER_BODY

HABITS: dict[str, Habit] = {habit.id: habit for habit in (*UPPER_BODY, *LOWER_BODY)}
