"""Whether what a client measured of themselves can be true: asked kindly, kept if they say so."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal

from ..body import DIMENSIONS, Body, Sex, questions
from ..record import Record, fields
from ..visit import body_from
from .questions import LENGTHS

Why = Literal["readings", "others"]


@dataclass(frozen=True, kw_only=True)
class LengthDoubt:
    """A length that is measured once more: its two readings are apart, or it does not go with the others.

    ``apart_mm`` is how far the readings are apart, ``low_mm`` and ``high_mm`` where the others put it.
    """

    dimension: str
    why: Why
    apart_mm: float | None = None
    low_mm: float | None = None
    high_mm: float | None = None


def doubtful_lengths(answers: Mapping[str, object], sex: Sex | None) -> list[LengthDoubt]:
    """Return the lengths that are worth a second look, in the order of measuring.

    Parameters
    ----------
    answers : mapping
        By question: ``stature.first`` and so on, mm.
    sex : {"female", "male"}, optional
        The population it is held against; the mixed one where it is not given.

    """
    readings = {
        f"measure.{id}.{name}": float(value)
        for id in LENGTHS
        for name in ("first", "second")
        if isinstance(value := answers.get(f"{id}.{name}"), (int, float))
    }
    doubts: dict[str, LengthDoubt] = {}
    for id in LENGTHS:
        pair = [readings.get(f"measure.{id}.{name}") for name in ("first", "second")]
        if pair[0] is None or pair[1] is None:
            continue
        apart = abs(pair[0] - pair[1])
        if apart > DIMENSIONS[id].repeat_limit_mm:
            doubts[id] = LengthDoubt(dimension=id, why="readings", apart_mm=apart)
    for asked in questions(_body(readings, sex)):
        if asked.dimension in LENGTHS and asked.dimension not in doubts:
            ends = asked.expected
            doubts[asked.dimension] = LengthDoubt(
                dimension=asked.dimension,
                why="others",
                low_mm=ends.mm - 2 * ends.sd_mm if ends is not None else None,
                high_mm=ends.mm + 2 * ends.sd_mm if ends is not None else None,
            )
    return [doubts[id] for id in LENGTHS if id in doubts]


def _body(readings: Mapping[str, float], sex: Sex | None) -> Body:
    record = Record({**readings, fields.measure.footwear.id: "barefoot"})
    return body_from(record, sex)
