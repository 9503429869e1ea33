"""What is seen: habits, and the room or home list."""

from __future__ import annotations

from dataclasses import dataclass

from ...choices import Choice, YesNo
from ...language import msg
from ...observation import GOOD, HABITS, LIGHT_TASKS, ROOM, Habit, HabitOften, HabitSide, RoomItem
from ...workstation import ChairKind
from . import chair
from .conditions import precaution
from .field import Field
from .group import FieldGroup


class Seen(Choice):
    """A habit is noted where it is seen, and only there."""

    SEEN = "seen", msg("Seen")


@dataclass(frozen=True, eq=False)
class HabitFields:
    """One habit: seen, on which side, how often, and a note."""

    seen: Field[Seen]
    side: Field[HabitSide]
    often: Field[HabitOften]
    note: Field[str]


@dataclass(frozen=True, eq=False)
class RoomFields:
    """One item of the room or home list: in order or not, a note; what is a danger was put out of use, and who was told."""

    answer: Field[str]
    note: Field[str]
    out_of_use: Field[str] | None = None
    told: Field[str] | None = None


def _habit(habit: Habit) -> HabitFields:
    place = FieldGroup(f"look.habit.{habit.id}", msg("Habits"), "habits")
    standing = habit.posture == "standing"
    seen = place.choice(
        "", msg("{label}, standing", label=habit.label) if standing else habit.label, Seen
    )
    when = seen.among(Seen.SEEN)
    return HabitFields(
        seen=seen,
        side=place.choice("side", msg("Side"), HabitSide, when=when),
        often=place.choice("often", msg("How often"), HabitOften, when=when),
        note=place.words("note", msg("Note"), health=True, when=when),
    )


def _room(item: RoomItem) -> RoomFields:
    place = FieldGroup(f"look.room.{item.id}", item.group, "room")
    seated = item.wheelchair
    answer = place.pick(
        "",
        item.label,
        {"right": item.right, "wrong": item.failing},
        when=precaution["wheelchair"].there.among(YesNo.YES) if seated else (),
        or_when=chair.kind.among(ChairKind.WHEELCHAIR) if seated else (),
    )
    wrong = answer.among("wrong")
    return RoomFields(
        answer=answer,
        note=place.words("note", msg("{label}: note", label=item.label), health=True, when=wrong),
        out_of_use=place.words(
            "out_of_use",
            msg("{label}: taken out of use, when", label=item.label),
            when=wrong,
            one_line=True,
            noted_only=True,
            health=True,
        )
        if item.safety
        else None,
        told=place.words(
            "told",
            msg("{label}: who was told", label=item.label),
            when=wrong,
            one_line=True,
            noted_only=True,
            health=True,
        )
        if item.safety
        else None,
    )


habit = {habit.id: _habit(habit) for habit in HABITS.values()}
"""Every habit, by name; those seen standing are apart."""

_good = FieldGroup("look.good", msg("Good habits"), "habits")
good = {id: _good.choice(id, label, Seen) for id, label in GOOD.items()}
"""What is done well already, by name."""

_light = FieldGroup("look.room", msg("Light"), "room")

light_for = _light.pick(
    "light_for",
    msg("Light is needed for"),
    {id: label for id, (label, _, _) in LIGHT_TASKS.items()},
)
lux = _light.amount(
    "lux",
    msg("Light level on the desk"),
    "lux",
    0,
    20000,
    help=msg("Lay the meter flat beside the keyboard."),
)
room = {item.id: _room(item) for item in ROOM.values()}
"""Every item of the room or home list, by name."""

workstation = FieldGroup("look", msg("Workstation"), "pieces").words(
    "workstation",
    msg("Shared workstation"),
    help=msg("The saved workstation this equipment was loaded from."),
)
watched = FieldGroup("look", msg("Habits"), "habits").choice(
    "watched", msg("Watched for some minutes: nothing else seen"), YesNo
)
note = FieldGroup("look", msg("Notes"), "habits").words(
    "note", msg("Visit notes"), health=True, noted_only=True
)
