"""Pace: the day, its rhythm, the eyes, and movements."""

from __future__ import annotations

from dataclasses import dataclass

from ...catalogue import TASKS
from ...choices import Choice, YesNo
from ...language import msg
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

    NONE = "0", msg("Used to it")
    TWO = "2", "2 weeks"
    THREE = "3", "3 weeks"
    FOUR = "4", "4 weeks"


class MeetingPosture(Choice):
    """How a meeting is spent."""

    SIT = "sit", msg("Sitting")
    STAND = "stand", msg("Standing")


@dataclass(frozen=True, eq=False)
class MeetingFields:
    """A meeting that lies fast: from when, how long, sitting or standing."""

    at: Field[float]
    minutes: Field[float]
    posture: Field[MeetingPosture]


_rhythm = FieldGroup("pace", msg("Rhythm"))
rhythm = _rhythm.pick(
    "rhythm",
    msg("Rhythm"),
    {**{rhythm.id: rhythm.label for rhythm in RHYTHMS.values()}, OWN: msg("Own numbers")},
    needed=True,
)
_own = rhythm.among(OWN)
sit = _rhythm.amount("sit", msg("Sit"), "min", 5, 180, when=_own)
stand = _rhythm.amount("stand", msg("Stand"), "min", 0, 120, when=_own)
move = _rhythm.amount("move", msg("Move"), "min", 0, 30, when=_own)
micro_every = _rhythm.amount(
    "micro_every", msg("Micro-break every"), "min", 0, 120, help="0: none."
)
walk_every = _rhythm.amount("walk_every", msg("Longer walk every"), "min", 0, 480, help="0: none.")
walk_minutes = _rhythm.amount("walk_minutes", msg("Longer walk"), "min", 1, 60)
ramp = _rhythm.choice("ramp", msg("Getting used to standing"), Ramp)
elsewhere = _rhythm.choice("elsewhere", msg("Standing or walking elsewhere"), Elsewhere)

_day = FieldGroup("pace", msg("Day"))
start = _day.time("start", msg("Start of work"), help=msg("9:00 where nothing is typed."))
lunch_at = _day.time("lunch_at", msg("Lunch at"), help=msg("12:30 where nothing is typed."))
lunch = _day.amount(
    "lunch", msg("Lunch"), "min", 0, 180, help=msg("30 where nothing is typed; 0: none.")
)


def _meeting(id: str, number: int) -> MeetingFields:
    place = FieldGroup(f"pace.{id}", msg("Day"))
    return MeetingFields(
        at=place.time("at", msg("Meeting {number} at", number=number)),
        minutes=place.amount("minutes", msg("Meeting {number}", number=number), "min", 5, 480),
        posture=place.choice(
            "posture", msg("Meeting {number} is spent", number=number), MeetingPosture
        ),
    )


meeting = {id: _meeting(id, number) for number, id in enumerate(MEETINGS, 1)}
"""Meetings that lie fast, by place."""


class SpellPosture(Choice):
    """How a spell put by hand is spent."""

    SIT = "sit", msg("Sit")
    STAND = "stand", msg("Stand")
    MOVE = "move", msg("Move")


@dataclass(frozen=True, eq=False)
class SpellFields:
    """A spell put into the day by hand: from when, how long, in what posture."""

    at: Field[float]
    minutes: Field[float]
    posture: Field[SpellPosture]


def spell(id: str) -> SpellFields:
    """Return the fields of a spell put by hand."""
    place = FieldGroup(f"{SPELLS}.{id}", msg("Spells"), "spells")
    return SpellFields(
        at=place.time("at", msg("Spell from")),
        minutes=place.amount("minutes", msg("Spell"), "min", 1, 480),
        posture=place.choice("posture", msg("Spell is spent"), SpellPosture),
    )


_tasks = FieldGroup("pace.task", msg("Tasks"))
task = {id: _tasks.choice(id, label, TaskPosture) for id, label in TASKS.items()}
"""How each task is done, by name."""

_eyes = FieldGroup("pace", msg("Eyes"))
eye_every = _eyes.amount("eye_every", msg("Eye break every"), "min", 5, 120)
eye_seconds = _eyes.amount("eye_seconds", msg("Eye break for"), "s", 5, 300)
far_point = _eyes.words(
    "far_point",
    msg("Looks at"),
    health=True,
    help=msg("Something far away, in the client’s own words: the mast outside."),
)

_movements = FieldGroup("pace.movement", msg("Movements"))
movement = {
    movement.id: _movements.choice(movement.id, movement.label, YesNo)
    for movement in LIBRARY.values()
}
"""Movements that the practitioner put in or took out, by name."""
