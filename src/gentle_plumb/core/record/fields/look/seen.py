"""Habits, and the room or home list."""

from __future__ import annotations

from ....observation import HABIT_OFTEN, HABITS, LIGHT_TASKS, ROOM, SIDES
from ..field import amount, choice, words

HABIT_FIELDS = tuple(
    field
    for habit in HABITS.values()
    for field in (
        choice(f"look.habit.{habit.id}", "Habits", habit.label, {"seen": "Seen"}),
        choice(
            f"look.habit.{habit.id}.side",
            "Habits",
            "Side",
            SIDES,
            when=((f"look.habit.{habit.id}", ("seen",)),),
        ),
        choice(
            f"look.habit.{habit.id}.often",
            "Habits",
            "How often",
            HABIT_OFTEN,
            when=((f"look.habit.{habit.id}", ("seen",)),),
        ),
        words(
            f"look.habit.{habit.id}.note",
            "Habits",
            "Note",
            health=True,
            when=((f"look.habit.{habit.id}", ("seen",)),),
        ),
    )
)

ROOM_FIELDS = (
    choice(
        "look.room.light_for",
        "Light",
        "Light is for",
        {id: label for id, (label, _, _) in LIGHT_TASKS.items()},
    ),
    amount(
        "look.room.lux",
        "Light",
        "Light on the desk",
        "lux",
        0,
        20000,
        help="Meter flat beside the keyboard.",
    ),
    *(
        field
        for item in ROOM.values()
        for field in (
            choice(
                f"look.room.{item.id}",
                item.group,
                item.label,
                {"right": item.right, "wrong": item.wrong},
            ),
            words(
                f"look.room.{item.id}.note",
                item.group,
                f"{item.label}: note",
                health=True,
                when=((f"look.room.{item.id}", ("wrong",)),),
            ),
        )
    ),
)
