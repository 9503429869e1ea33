"""Pace: the day, its rhythm, the eyes, and movements."""

from __future__ import annotations

from dataclasses import dataclass

from ...catalogue import TASKS
from ...choices import Choice, YesNo
from ...movements import LIBRARY
from ...pace import OWN, RHYTHMS, Elsewhere, TaskPosture
from .field import Field
from .group import FieldGroup

SPELLS = "pace.spell"
"""What the path of a spell put by hand begins with."""
MEETINGS = ("meeting1", "meeting2", "meeting3", "meeting4")
"""Places for meetings that lie fast."""


class Ramp(Choice):
    """How many weeks it takes to get used to standing."""

    NONE = "0", "Used to it"
    TWO = "2", "2 weeks"
    THREE = "3", "3 weeks"
    FOUR = "4", "4 weeks"


class MeetingPosture(Choice):
    """How a meeting is spent."""

    SIT = "sit", "Sitting"
    STAND = "stand", "Standing"


@dataclass(frozen=True, eq=False)
class MeetingFields:
    """A meeting that lies fast: from when, how long, sitting or standing."""

    at: Field[float]
    minutes: Field[float]
    posture: Field[MeetingPosture]


_rhythm = FieldGroup("pace", "Rhythm")
rhythm = _rhythm.pick(
    "rhythm",
    "Rhythm",
    {**{rhythm.id: rhythm.label for rhythm in RHYTHMS.values()}, OWN: "Own numbers"},
    needed=True,
)
_own = rhythm.among(OWN)
sit = _rhythm.amount("sit", "Sit", "min", 5, 180, when=_own)
stand = _rhythm.amount("stand", "Stand", "min", 0, 120, when=_own)
move = _rhythm.amount("move", "Move", "min", 0, 30, when=_own)
micro_every = _rhythm.amount("micro_every", "Micro-break every", "min", 0, 120, help="0: none.")
walk_every = _rhythm.amount("walk_every", "Longer walk every", "min", 0, 480, help="0: none.")
walk_minutes = _rhythm.amount("walk_minutes", "Longer walk", "min", 1, 60)
ramp = _rhythm.choice("ramp", "Getting used to standing", Ramp)
elsewhere = _rhythm.choice("elsewhere", "Standing or walking elsewhere", Elsewhere)

_day = FieldGroup("pace", "Day")
start = _day.time("start", "Start of work", help="9:00 where nothing is typed.")
lunch_at = _day.time("lunch_at", "Lunch at", help="12:30 where nothing is typed.")
lunch = _day.amount("lunch", "Lunch", "min", 0, 180, help="30 where nothing is typed; 0: none.")


def _meeting(id: str, number: int) -> MeetingFields:
    place = FieldGroup(f"pace.{id}", "Day")
    return MeetingFields(
        at=place.time("at", f"Meeting {number} at"),
        minutes=place.amount("minutes", f"Meeting {number}", "min", 5, 480),
        posture=place.choice("posture", f"Meeting {number} is spent", MeetingPosture),
    )


meeting = {id: _meeting(id, number) for number, id in enumerate(MEETINGS, 1)}
"""Meetings that lie fast, by place."""


class SpellPosture(Choice):
    """How a spell put by hand is spent."""

    SIT = "sit", "Sit"
    STAND = "stand", "Stand"
    MOVE = "move", "Move"


@dataclass(frozen=True, eq=False)
class SpellFields:
    """A spell put into the day by hand: from when, how long, in what posture."""

    at: Field[float]
    minutes: Field[float]
    posture: Field[SpellPosture]


def spell(id: str) -> SpellFields:
    """Return the fields of a spell put by hand."""
    place = FieldGroup(f"{SPELLS}.{id}", "Spells", "spells")
    return SpellFields(
        at=place.time("at", "Spell from"),
        minutes=place.amount("minutes", "Spell", "min", 1, 480),
        posture=place.choice("posture", "Spell is spent", SpellPosture),
    )


_tasks = FieldGroup("pace.task", "Tasks")
task = {id: _tasks.choice(id, label, TaskPosture) for id, label in TASKS.items()}
"""How each task is done, by name."""

_eyes = FieldGroup("pace", "Eyes")
eye_every = _eyes.amount("eye_every", "Eye break every", "min", 5, 120)
eye_seconds = _eyes.amount("eye_seconds", "Eye break for", "s", 5, 300)
far_point = _eyes.words(
    "far_point",
    "Looks at",
    health=True,
    help="Something far away, in the client’s own words: the mast outside.",
)

_movements = FieldGroup("pace.movement", "Movements")
movement = {
    movement.id: _movements.choice(movement.id, movement.label, YesNo)
    for movement in LIBRARY.values()
}
"""Movements that the practitioner put in or took out, by name."""
