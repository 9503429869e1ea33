"""Slips of hand in a reading: wrong unit, digits swapped, two fields exchanged."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from itertools import pairwise
from typing import Literal

from ..language import msg
from ..words import say_posture
from .catalogue import DIMENSIONS, TWINS
from .factor import Expected, Factor

SlipKind = Literal["unit", "digits", "exchanged", "other_posture"]

QUESTION_AT_SE = 2.5
SLIP_AT_SE = 4.0
"""Standard errors from what the others say at which to ask, and to set a value aside. Source:
house-doubt."""
FITS_AT_SE = 2.0
"""A value put right must come as near as this, in standard errors. Source: house-doubt."""
SWAP_LEAST_MM = 12.0
SWAP_GAIN = 9.0
"""Two values count as exchanged if they differ by more than this, and squares of standard errors
fall by more than that when they change places. Source: house-doubt."""
DIGITS_AT_SE = 1.0
"""Digits are called swapped only where putting them right comes this near. Source: house-doubt."""

FACTORS: tuple[tuple[float, str], ...] = (
    (2.54, msg("inches typed as centimetres")),
    (1 / 2.54, msg("centimetres typed as inches")),
    (10.0, msg("centimetres typed as millimetres")),
    (0.1, msg("millimetres typed as centimetres")),
)


@dataclass(frozen=True, kw_only=True)
class ReadingError:
    """What may have gone wrong: the value it should be (mm), the ``factor`` it is off by, or the dimension it belongs to."""

    kind: SlipKind
    words: str
    mm: float | None = None
    factor: float | None = None
    other: str | None = None


def furthest_off(factor: Factor, values: Mapping[str, float]) -> tuple[str, float]:
    """Return the value that is furthest from what the others tell of it, and by how many standard errors."""
    worst, far = "", 0.0
    for name in factor.known:
        said = factor.expected_of(name)
        off = abs(values[name] - said.mm) / said.sd_mm
        if off > far:
            worst, far = name, off
    return worst, far


def _digits_swapped(mm: float) -> Iterator[float]:
    """The value with two neighbouring digits exchanged, as typed in whole mm or tenths of a cm."""
    text = f"{mm:.0f}"
    for index in range(len(text) - 1):
        if text[index] != text[index + 1] and not (index == 0 and text[1] == "0"):
            yield float(text[:index] + text[index + 1] + text[index] + text[index + 2 :])


def standard_errors_off(mm: float, said: Expected) -> float:
    """Return how many standard errors a value is from what is expected."""
    return abs(mm - said.mm) / said.sd_mm


def slip_of(name: str, mm: float, said: Expected) -> ReadingError | None:
    """A slip of one value that would put it where the others want it; the nearest one."""
    differences = [
        (
            standard_errors_off(mm * factor, said),
            ReadingError(kind="unit", words=words, mm=mm * factor, factor=factor),
        )
        for factor, words in FACTORS
        if standard_errors_off(mm * factor, said) <= FITS_AT_SE
    ]
    differences += [
        (
            standard_errors_off(turned, said),
            ReadingError(kind="digits", words=msg("two digits swapped"), mm=turned),
        )
        for turned in _digits_swapped(mm)
        if standard_errors_off(turned, said) <= DIGITS_AT_SE
    ]
    return min(differences, key=lambda error: error[0])[1] if differences else None


def typed_in_the_other_field(name: str, mm: float, rest: Factor) -> ReadingError | None:
    """A standing value typed in a seated field, or the other way round."""
    for seated, standing in TWINS.items():
        if name not in (seated, standing):
            continue
        other = standing if name == seated else seated
        said = rest.without(other).expected(other)
        if said is not None and standard_errors_off(mm, said) <= FITS_AT_SE:
            posture = DIMENSIONS[other].posture
            return ReadingError(
                kind="other_posture",
                words=msg("a {posture} value in this field", posture=say_posture(posture)),
                mm=mm,
                other=other,
            )
    return None


def neighbours() -> tuple[tuple[str, str], ...]:
    """Pairs whose fields are easily taken for each other: next in order, or twins."""
    names = tuple(DIMENSIONS)
    return (*pairwise(names), *TWINS.items())


def exchanged_fields(values: Mapping[str, float], rest: Factor) -> dict[str, tuple[str, Expected]]:
    """Values that would fit far better in each other's place: by name, with the other's name."""
    likely: dict[str, tuple[float, str, Expected]] = {}
    for a, b in neighbours():
        if a not in values or b not in values or abs(values[a] - values[b]) < SWAP_LEAST_MM:
            continue
        others = rest.without(a, b)
        want_a, want_b = others.expected(a), others.expected(b)
        if want_a is None or want_b is None:
            continue
        now = (
            standard_errors_off(values[a], want_a) ** 2
            + standard_errors_off(values[b], want_b) ** 2
        )
        then = (
            standard_errors_off(values[b], want_a) ** 2
            + standard_errors_off(values[a], want_b) ** 2
        )
        fits = (
            max(standard_errors_off(values[b], want_a), standard_errors_off(values[a], want_b))
            <= QUESTION_AT_SE
        )
        if fits and now - then > SWAP_GAIN:
            for name, other, want in ((a, b, want_a), (b, a, want_b)):
                if name not in likely or likely[name][0] < now - then:
                    likely[name] = (now - then, other, want)
    return {
        name: (other, want)
        for name, (_, other, want) in likely.items()
        if other in likely and likely[other][1] == name
    }
