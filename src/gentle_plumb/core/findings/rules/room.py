"""Rules about the room or home: one for each item of the list, and the light."""

from __future__ import annotations

from ...catalogue import SEATED_TASKS
from ...language import msg, numeral
from ...observation import LIGHT_TASKS, ROOM
from ...record import fields
from ..rule import ChoiceRule, RangeRule, Rule

ROOM_RULES: tuple[Rule, ...] = (
    *(
        RangeRule(
            id=f"light_{id}",
            mechanism="seeing",
            title=msg("Light level on the desk"),
            field=fields.seen.lux,
            least=least,
            most=most,
            source="house-light",
            why=msg(
                "{name} asks for {least} to {most} lux.",
                name=name,
                least=numeral(f"{least:.0f}"),
                most=numeral(f"{most:.0f}"),
            ),
            advice=msg("Add a task lamp."),
            check=msg("Work can be seen clearly without leaning towards it."),
            do_over=msg("Fit a blind, or move the desk away from the light."),
            region="eyes",
            tasks=SEATED_TASKS,
            only_if=fields.seen.light_for.open_or(id)
            if id == "screen"
            else fields.seen.light_for.among(id),
        )
        for id, (name, least, most) in LIGHT_TASKS.items()
    ),
    *(
        ChoiceRule(
            id=f"room_{item.id}",
            mechanism="unsafe" if item.safety else "seeing" if item.group == "Light" else "room",
            title=item.label,
            field=fields.seen.room[item.id].answer,
            note=fields.seen.room[item.id].note,
            failing=("wrong",),
            source="house-room",
            why=item.why,
            advice=item.advice,
            safety=item.safety,
            region="eyes" if item.group == "Light" else "",
            unanswered=msg("{label}: not checked yet.", label=item.label),
        )
        for item in ROOM.values()
        if item.id != "floor"
    ),
)
"""Floor and castors are judged with the chair."""
