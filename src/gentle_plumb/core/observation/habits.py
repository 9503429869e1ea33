"""All habits by identifier, from the head down, from habits.toml; those that are seen in both postures are told apart."""

from __future__ import annotations

from dataclasses import replace

from ..tables import entries_of
from .habit import Habit

STANDING = "_standing"
"""What the name of a habit ends in that is seen standing as well as sitting."""


def _of_both(habit: Habit) -> tuple[Habit, ...]:
    """Return a habit as it is seen sitting and, apart from that, standing."""
    if habit.posture != "either":
        return (habit,)
    return (
        replace(habit, posture="seated"),
        replace(habit, id=f"{habit.id}{STANDING}", posture="standing"),
    )


HABITS: dict[str, Habit] = {
    habit.id: habit
    for seen in entries_of(Habit, __package__, "habits.toml").values()
    for habit in _of_both(seen)
}
