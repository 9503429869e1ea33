"""What a client is asked on their own page, before a visit and after it.

Questions name the field of the visit that they are about, where there is one: their answers are read as that
field reads, and can be taken over into it. The words are a catalogue's, by the question's identifier.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any, Literal

from ..catalogue import TASKS
from ..intake import PRECAUTIONS, RED_FLAGS, REGIONS
from ..language import msg
from ..observation import ROOM
from ..record import Field, Value, fields

Section = Literal[
    "signs",
    "reason",
    "felt",
    "conditions",
    "work",
    "station",
    "room",
    "lengths",
    "still",
    "habits",
    "requests",
]
QuestionKind = Literal["choice", "strength", "hours", "length", "words"]
Round = Literal["before", "week_1", "week_3", "week_6", "request"]

ROUNDS: dict[Round, int] = {"before": 0, "week_1": 7, "week_3": 21, "week_6": 42, "request": 0}
"""Every round of questions, and how many days after the signature it is due. Source: house-checks."""
LENGTHS = (
    "stature",
    "popliteal_height",
    "buttock_popliteal_length",
    "elbow_height_sitting",
    "eye_height_sitting",
)
"""What a client can measure at home with a tape, a wall and a second person. Source: house-own-lengths."""
STATION: dict[str, str] = {
    "feet": msg("Both feet flat when sitting back"),
    "thighs": msg("Room over the thighs"),
    "back": msg("Lower back touches the backrest"),
    "shoulders": msg("Shoulders loose, elbows by the side"),
    "wrists": msg("Wrists straight on the keys"),
    "mouse": msg("Mouse beside the keys, at their height"),
    "screen_front": msg("Screen straight in front"),
    "screen_top": msg("Top line at or below the eyes"),
    "screen_far": msg("Screen about an arm’s length away"),
    "text": msg("Text read without leaning forward"),
    "laptop": msg("Laptop only with separate keys, or less than an hour"),
    "phone": msg("Phone never held with the shoulder"),
    "breaks": msg("Up from the chair at least once an hour"),
    "chair_moves": msg("Chair’s height can be changed"),
    "desk_moves": msg("Desk’s height can be changed"),
}
"""What a client is asked of their workstation, as a practitioner reads it; yes is in order. Source: house-self-check."""
WHEELCHAIR = "care.wheelchair"
"""The question whose yes leaves out what asks about getting up, standing or the chair."""
OF_WALKING = frozenset({"station.feet", "station.breaks", "station.chair_moves"})
LENGTHS_OF_WALKING = frozenset({"stature", "popliteal_height"})
ROOM_ASKED = (
    *("glare", "window", "lamp", "noise", "temperature", "clutter", "stored", "floor"),
    *("stability", "cables", "trips", "electrical"),
)
"""Items of the room list that need no trained eye. Source: house-self-check."""
TAPED: dict[str, Field[float]] = {
    "seat": fields.found.seat,
    "surface": fields.found.surface,
    "distance": fields.found.distance,
}
"""Settings that a client can measure again with a tape."""


@dataclass(frozen=True, kw_only=True)
class Question:
    """One question to a client.

    ``field`` is the visit's field that it is about, None for what only their page asks. ``says`` is the question
    as a practitioner reads it; ``answers`` the wire texts of a choice; ``low`` and ``high`` mm or hours.
    """

    id: str
    section: Section
    kind: QuestionKind
    says: str
    field: Field[Any] | None = None
    answers: tuple[str, ...] = ()
    low: float | None = None
    high: float | None = None

    @property
    def walks(self) -> bool:
        """Whether it asks about getting up, standing or the chair: not asked of somebody in a wheelchair."""
        return self.id in OF_WALKING or self.id.split(".")[0] in LENGTHS_OF_WALKING

    def word(self, value: Value) -> str:
        """Return an answer as a practitioner reads it, without its unit."""
        if self.field is not None and self.kind == "choice":
            return dict(self.field.choices).get(str(value), str(value))
        return WORDS.get(str(value), str(value)) if self.kind == "choice" else f"{value}"


WORDS = {
    "yes": msg("Yes"),
    "no": msg("No"),
    "unsure": msg("Not sure"),
    "most_days": msg("Most days"),
    "some_days": msg("Some days"),
    "hardly": msg("Hardly ever"),
    "still": msg("Still there"),
    "gone": msg("Gone"),
    "replaced": msg("Replaced by the permanent item"),
}
YES_NO = ("yes", "no")
SURE = ("yes", "no", "unsure")
OFTEN = ("most_days", "some_days", "hardly")


def about(id: str, section: Section, field: Field[Any], says: str = "") -> Question:
    """Return a question about a field of the visit; ``says`` is the field's label unless given."""
    kind: QuestionKind = (
        "length"
        if field.kind == "length"
        else "choice"
        if field.kind == "choice"
        else "words"
        if field.kind == "text"
        else "hours"
        if field.unit == "h"
        else "strength"
    )
    return Question(
        id=id,
        section=section,
        kind=kind,
        says=says or field.label,
        field=field,
        answers=tuple(name for name, _ in field.choices),
        low=field.low,
        high=field.high,
    )


def _choice(id: str, section: Section, says: str, answers: tuple[str, ...]) -> Question:
    return Question(id=id, section=section, kind="choice", says=says, answers=answers)


def _signs() -> list[Question]:
    return [
        about(f"sign.{id}", "signs", fields.ask.flag[id].there, RED_FLAGS[id].label)
        for id in RED_FLAGS
    ]


def _felt(regions: Sequence[str]) -> list[Question]:
    felt = fields.ask.discomfort
    return [
        question
        for id in regions
        for question in (
            about(f"felt.{id}", "felt", felt[id].strength, REGIONS[id].label),
            about(
                f"felt_often.{id}",
                "felt",
                felt[id].often,
                msg("{label}: how often", label=REGIONS[id].label),
            ),
        )
    ]


def questions_before() -> list[Question]:
    """Return what is asked before a visit, in its order: warning signs first."""
    ask = fields.ask
    care = fields.conditions.precaution
    return [
        *_signs(),
        about("reason", "reason", ask.reason),
        *_felt(tuple(REGIONS)),
        *(
            about(f"care.{id}", "conditions", care[id].there, PRECAUTIONS[id].label)
            for id in PRECAUTIONS
        ),
        _choice("care_none", "conditions", msg("None of these conditions"), YES_NO),
        *(about(f"hours.{id}", "work", ask.hours[id]) for id in TASKS),
        about("writing_hand", "work", ask.writing_hand),
        about("mouse_hand", "work", ask.mouse_hand),
        about("eyewear", "work", ask.eyewear),
        *(_choice(f"station.{id}", "station", says, SURE) for id, says in STATION.items()),
        *(
            about(f"room.{id}", "room", fields.seen.room[id].answer, ROOM[id].label)
            for id in ROOM_ASKED
        ),
        *(
            about(f"{id}.{name}", "lengths", reading)
            for id in LENGTHS
            for name, reading in (
                ("first", fields.measure.dimension[id].first),
                ("second", fields.measure.dimension[id].second),
            )
        ),
    ]


@dataclass(frozen=True, kw_only=True)
class Shown:
    """What the page of a client shows of their visit, as far as it is asked about.

    ``settings`` are keys of quantities with their label, ``regions`` where discomfort was recorded, ``temporary``
    the pieces that are there for a time, ``rhythm`` and ``movements`` whether there are any.
    """

    settings: tuple[tuple[str, str], ...] = ()
    regions: tuple[str, ...] = ()
    temporary: tuple[str, ...] = ()
    rhythm: bool = False
    movements: bool = False


def questions_of_check(shown: Shown) -> list[Question]:
    """Return what is asked after a visit, of what the client was given: warning signs first."""
    regions = [*shown.regions, *(id for id in REGIONS if id not in shown.regions)]
    return [
        *_signs(),
        *_felt(regions),
        *(
            _choice(f"still.{key}", "still", msg("{label}: still so", label=label), SURE)
            for key, label in shown.settings
        ),
        *(
            about(f"tape.{key}", "still", TAPED[key], msg("{label}, by own tape", label=label))
            for key, label in shown.settings
            if key in TAPED
        ),
        *(
            _choice(f"piece.{index}", "still", says, ("still", "replaced", "gone"))
            for index, says in enumerate(shown.temporary)
        ),
        *((_choice("rhythm", "habits", msg("Pattern followed"), OFTEN),) if shown.rhythm else ()),
        *((_choice("moved", "habits", msg("Movements done"), OFTEN),) if shown.movements else ()),
        _choice("worse", "habits", msg("Anything worse since the change"), YES_NO),
        Question(id="word", section="habits", kind="words", says=msg("In their own words")),
    ]
