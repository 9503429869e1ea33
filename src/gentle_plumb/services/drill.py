"""The drill for learners: an exercise by its number, and the verdict on an answer. Keeps nothing."""

from __future__ import annotations

import random
from dataclasses import dataclass, replace

from ..core.body import DIMENSIONS, REPEAT_SD_FLOOR_MM, BodyValue
from ..core.drawing import Scene, draw_measuring
from ..core.drill import Answer, Exercise, Verdict, exercise, judge, told
from ..core.fit import Case
from ..core.units import LengthUnit, format_length

WIDTH, HEIGHT = 560.0, 560.0


@dataclass(frozen=True, kw_only=True)
class Line:
    """A label and a value of the made-up client's sheet."""

    label: str
    value: str


@dataclass(frozen=True, kw_only=True)
class Posed:
    """An exercise as it is shown."""

    number: int
    sex: str
    dimension: str
    label: str
    how: str
    readings: list[str]
    sheet: list[Line]
    scene: Scene


def _made(number: int) -> Exercise:
    return exercise(random.Random(number))  # noqa: S311


def pose(number: int, unit: LengthUnit) -> Posed:
    """The exercise of this number: the same for everybody who asks.

    The figure is the true body with only the place of the dimension: it must not give the
    answer away.
    """
    made = _made(number)
    entry = DIMENSIONS[made.dimension]
    true = BodyValue(mm=made.truth, sd_mm=REPEAT_SD_FLOOR_MM, source="measured")
    body = replace(made.body, values={**made.body.values, made.dimension: true})
    scene = draw_measuring(
        Case(body=body), made.dimension, width=WIDTH, height=HEIGHT, unit=unit, known=False
    )
    return Posed(
        number=number,
        sex=made.sex,
        dimension=made.dimension,
        label=entry.label,
        how=entry.how,
        readings=[format_length(mm, unit, with_unit=True) for mm in made.readings],
        sheet=[Line(label=label, value=value) for label, value in told(made, unit)],
        scene=scene,
    )


def answer(number: int, given: Answer, unit: LengthUnit) -> Verdict:
    """How an answer stands."""
    return judge(_made(number), given, unit)
