"""Rules about habits: each habit marked is off; its words stand in the list of habits."""

from __future__ import annotations

from ...catalogue import HAND_TASKS, SEATED_TASKS
from ...intake import Demand
from ...observation import HABITS, STANDING
from ...record import fields
from ...record.fields.seen import Seen
from ..rule import ChoiceRule

OF_THE_HANDS = ("wrist", "forearm")
"""Regions whose habits count only while the hands are on keys or mouse."""

TASKS_OF_HABIT = {"phone_shoulder": ("calls",), "head_down": ("typing", "paper", "writing")}
"""Habits that come with single tasks only."""

HABIT_RULES: tuple[ChoiceRule, ...] = tuple(
    ChoiceRule(
        id=f"habit_{habit.id}",
        mechanism=habit.mechanism,
        act="technique",
        who="client",
        title=habit.label,
        field=fields.seen.habit[habit.id].seen,
        failing=(Seen.SEEN,),
        deg=habit.deg,
        source="house-habits",
        why=habit.why,
        advice=habit.advice,
        region=habit.region,
        joint=habit.joint,
        tasks=TASKS_OF_HABIT.get(habit.id.removesuffix(STANDING))
        or (HAND_TASKS if habit.region in OF_THE_HANDS else SEATED_TASKS),
        moves=habit.moves,
        standing=habit.posture == "standing",
        asks=habit.asks | ({Demand.STANDING} if habit.posture == "standing" else set()),
    )
    for habit in HABITS.values()
)
