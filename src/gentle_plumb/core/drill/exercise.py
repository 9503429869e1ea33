"""One exercise of the drill, and the answer the program's own rules give.

The right answer is not written beside an exercise: it follows from the same repeats and doubts
that a visit goes by, so that the drill never teaches anything else.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal, Protocol, TypeVar

from ..body import (
    DIMENSIONS,
    TWINS,
    Body,
    BodyValue,
    Earlier,
    Sex,
    house_error,
    made_up_body,
    resolve_readings,
)
from ..language import filled, msg
from ..record import Record, Value, fields
from ..units import LengthUnit, format_length
from ..visit import body_from, doubts, spoken_date

Answer = Literal["keep", "repeat", "question"]
Kind = Literal["fine", "apart", "one", "inches", "ten", "twin", "earlier", "unusual"]

KINDS: tuple[Kind, ...] = (
    "fine",
    "fine",
    "apart",
    "one",
    "inches",
    "ten",
    "twin",
    "earlier",
    "unusual",
)
KNOWN = (
    "stature",
    "popliteal_height",
    "elbow_fingertip_length",
    "shoulder_elbow_length",
    "eye_height_sitting",
    "buttock_popliteal_length",
)
"""What the made-up client's sheet already holds."""
EARLIER_ON = "2026-02-11"
MOVED_MM = (30.0, 60.0)
"""How far a value has moved since the earlier visit in an exercise about that, mm. House value."""


T = TypeVar("T")


class Chance(Protocol):
    """Where chance comes from: the core has none of its own."""

    def random(self) -> float: ...
    def gauss(self, mu: float, sigma: float) -> float: ...
    def choice(self, seq: Sequence[T]) -> T: ...
    def uniform(self, a: float, b: float) -> float: ...


@dataclass(frozen=True, kw_only=True)
class Exercise:
    """A made-up client's sheet with a new reading in it. Lengths in mm.

    ``truth`` is what the body really is: told with the verdict, never before.
    """

    sex: Sex
    dimension: str
    record: Record
    body: Body
    earlier: dict[str, Earlier]
    readings: tuple[float, ...]
    truth: float


@dataclass(frozen=True, kw_only=True)
class Verdict:
    """The right answer, the points for the one given (0, half or 1), and why."""

    answer: Answer
    points: float
    reason: str


def _misread(kind: Kind, name: str, truth: float, body: dict[str, float], chance: Chance) -> float:
    """The value that ends up on the sheet for a kind of exercise."""
    if kind == "inches":
        return truth / 2.54 if truth / 2.54 >= DIMENSIONS[name].low_mm else truth * 2.54
    if kind == "ten":
        return truth / 10
    if kind == "twin":
        other = {**TWINS, **{b: a for a, b in TWINS.items()}}.get(name)
        return body[other] if other else truth
    if kind == "unusual":
        entry = DIMENSIONS[name]
        return truth + (0.5 if chance.random() < 0.5 else -0.5) * entry.repeat_limit_mm
    return truth


def exercise(chance: Chance) -> Exercise:
    """Make one up.

    Parameters
    ----------
    chance : Chance
        The same chance makes the same exercise.

    """
    sex: Sex = "female" if chance.random() < 0.5 else "male"
    body = made_up_body(lambda: chance.gauss(0, 1), sex=sex)
    kind = chance.choice(KINDS)
    pool = list(TWINS) if kind == "twin" else [name for name in KNOWN if name != "stature"]
    name = chance.choice([*pool, "knee_height"] if kind != "twin" else pool)
    written = _misread(kind, name, body[name], body, chance)
    limit = DIMENSIONS[name].repeat_limit_mm
    error = house_error(limit)
    first = written + chance.gauss(0, error / 2)
    second = first + max(-0.9, min(0.9, chance.gauss(0, 0.4))) * limit
    if kind == "apart":
        second = first + (1 if chance.random() < 0.5 else -1) * chance.uniform(1.4, 3.0) * limit
    readings = (round(first),) if kind == "one" else (round(first), round(second))
    earlier: dict[str, Earlier] = {}
    if kind == "earlier":
        before = written + (1 if chance.random() < 0.5 else -1) * chance.uniform(*MOVED_MM)
        earlier[name] = Earlier(mm=round(before), sd_mm=3.0, on=EARLIER_ON)
    entries: dict[str, Value] = {}
    for known in KNOWN:
        if known != name:
            asked = fields.measure.dimension[known]
            entries[asked.first.id] = entries[asked.second.id] = round(body[known])
    for reading, mm in zip(fields.measure.dimension[name].readings, readings, strict=False):
        entries[reading.id] = float(mm)
    return Exercise(
        sex=sex,
        dimension=name,
        record=Record(entries),
        body=body_from(Record(entries), sex),
        earlier=earlier,
        readings=tuple(float(mm) for mm in readings),
        truth=body[name],
    )


def _held(made: Exercise) -> Body:
    """The body as a learner has to see it: two readings that differ count with their middle."""
    if made.dimension in made.body.values:
        return made.body
    middle = BodyValue(mm=sum(made.readings) / len(made.readings), sd_mm=5.0, source="measured")
    return Body(values={**made.body.values, made.dimension: middle}, sex=made.sex)


def judge(made: Exercise, text: Answer, unit: LengthUnit) -> Verdict:
    """What the program's rules say, and how the learner's answer stands to it.

    Half a point for another reading where the value had to be questioned: it is never wrong to
    measure again, but a slip of unit would come again as well.
    """
    limit = DIMENSIONS[made.dimension].repeat_limit_mm
    resolved = resolve_readings(made.readings, repeat_limit_mm=limit)
    asked = [
        doubt
        for doubt in doubts(made.record, _held(made), unit, made.earlier)
        if doubt.dimension == made.dimension
    ]
    apart = format_length(resolved.spread_mm, unit, with_unit=True)
    allowed = format_length(limit, unit, with_unit=True)
    truth = format_length(made.truth, unit, with_unit=True)
    if asked:
        answer: Answer = "question"
        why = msg("{text} It was {truth}.", text=asked[0].text, truth=truth)
    elif resolved.needs_third:
        answer = "repeat"
        why = msg(
            "The readings are {apart} apart; up to {allowed} is the tape’s. A third one decides.",
            apart=apart,
            allowed=allowed,
        )
    elif resolved.by == "one":
        answer = "repeat"
        why = msg("Only one reading so far. Take a second.")
    else:
        answer = "keep"
        why = msg(
            "Two readings {apart} apart, within {allowed}, and it goes with the rest. It was {truth}.",
            apart=apart,
            allowed=allowed,
            truth=truth,
        )
    points = 1.0 if text == answer else 0.5 if (text, answer) == ("repeat", "question") else 0.0
    return Verdict(answer=answer, points=points, reason=why)


def told(made: Exercise, unit: LengthUnit) -> list[tuple[str, str]]:
    """What else the sheet says: label and value, for the learner to hold the reading against."""
    lines = [
        (DIMENSIONS[name].label, format_length(value.mm, unit, with_unit=True))
        for name, value in made.body.values.items()
        if name != made.dimension
    ]
    for name, before in made.earlier.items():
        lines.append(
            (
                filled("{label}, {on}", label=DIMENSIONS[name].label, on=spoken_date(before.on)),
                format_length(before.mm, unit, with_unit=True),
            )
        )
    return lines
