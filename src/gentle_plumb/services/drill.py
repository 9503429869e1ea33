"""The drill for learners: an exercise by its number, and the verdict on an answer. Keeps nothing."""

from __future__ import annotations

import random
from dataclasses import dataclass, replace

from ..core.body import DIMENSIONS, REPEAT_SD_FLOOR_MM, BodyValue
from ..core.drawing import Scene, SceneRequest, draw_measuring, draw_scene
from ..core.drill import (
    Answer,
    Exercise,
    SetUpKind,
    SetUpQuestion,
    Verdict,
    exercise,
    judge,
    set_up_question,
    told,
)
from ..core.errors import ValueOutOfRange
from ..core.fit import Case, fit
from ..core.language import msg
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
    exercise = _made(number)
    entry = DIMENSIONS[exercise.dimension]
    true = BodyValue(mm=exercise.truth, sd_mm=REPEAT_SD_FLOOR_MM, source="measured")
    body = replace(exercise.body, values={**exercise.body.values, exercise.dimension: true})
    scene = draw_measuring(
        Case(body=body), exercise.dimension, width=WIDTH, height=HEIGHT, unit=unit, known=False
    )
    return Posed(
        number=number,
        sex=exercise.sex,
        dimension=exercise.dimension,
        label=entry.label,
        how=entry.how,
        readings=[format_length(mm, unit, with_unit=True) for mm in exercise.readings],
        sheet=[Line(label=label, value=value) for label, value in told(exercise, unit)],
        scene=scene,
    )


def answer(number: int, text: Answer, unit: LengthUnit) -> Verdict:
    """How an answer stands."""
    return judge(_made(number), text, unit)


@dataclass(frozen=True, kw_only=True)
class SetUpPosed:
    """A question about setting up as it is shown; ``scene`` is the place as found, where there is one."""

    number: int
    kind: SetUpKind
    question: str
    options: list[str]
    scene: Scene | None


@dataclass(frozen=True, kw_only=True)
class SetUpVerdict:
    """Which choice the rules give, and why; ``points`` 1 or 0."""

    right: int
    points: float
    reason: str


def _set_up(number: int, unit: LengthUnit) -> SetUpQuestion:
    return set_up_question(random.Random(number), unit)  # noqa: S311


def pose_set_up(number: int, unit: LengthUnit) -> SetUpPosed:
    """Return the question of this number: the same for everybody who asks."""
    question = _set_up(number, unit)
    scene = None
    if question.case is not None:
        request = SceneRequest(width=WIDTH, height=HEIGHT, mode="seated", show="found", unit=unit)
        scene = draw_scene(question.case, fit(question.case), request)
    return SetUpPosed(
        number=number,
        kind=question.kind,
        question=question.question,
        options=list(question.options),
        scene=scene,
    )


def answer_set_up(number: int, given: int, unit: LengthUnit) -> SetUpVerdict:
    """Return how a choice stands; raises ValueOutOfRange where there is no such choice."""
    question = _set_up(number, unit)
    if not 0 <= given < len(question.options):
        raise ValueOutOfRange(
            field="given",
            value=f"{given}",
            low=0,
            high=len(question.options) - 1,
            message=msg(
                "Choice {given}: there are 0 to {len}.", given=given, len=len(question.options) - 1
            ),
        )
    return SetUpVerdict(
        right=question.right, points=float(given == question.right), reason=question.why
    )
