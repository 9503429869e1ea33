"""What a body dimension is, and how one spreads in a population."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal, get_args

from ..choices import Choice
from ..language import Words, msg

Sex = Literal["female", "male"]
SEXES: tuple[Sex, ...] = get_args(Sex)
View = Literal["side", "behind", "above"]
Tool = Literal["tape", "rod", "calliper"]


class MeasuredPosture(Choice):
    """How the client sat while heights were taken."""

    AS_THEY_WORK = "as_they_work", msg("As they work")
    ERECT = "erect", msg("Sitting upright")


TOOLS: dict[Tool, str] = {
    "tape": msg("Tape"),
    "rod": msg("Height rod"),
    "calliper": msg("Calliper"),
}


@dataclass(frozen=True, kw_only=True)
class Spread:
    """Mean and standard deviation of one dimension in one population, mm."""

    mean_mm: float
    sd_mm: float


def mixed(stats: Mapping[Sex, Spread], sex: Sex | None) -> Spread | None:
    """The spread of one sex; women and men half and half where sex is not given.

    The mixed variance is the mean of the two variances plus a quarter of the squared
    difference of the two means. None where the wanted one is not there.
    """
    if sex is not None:
        return stats.get(sex)
    man, woman = stats.get("male"), stats.get("female")
    if man is None or woman is None:
        return None
    variance = (man.sd_mm**2 + woman.sd_mm**2) / 2 + (man.mean_mm - woman.mean_mm) ** 2 / 4
    return Spread(mean_mm=(man.mean_mm + woman.mean_mm) / 2, sd_mm=variance**0.5)


READ_TWICE = frozenset(
    {
        "popliteal_height",
        "elbow_height_sitting",
        "thigh_clearance",
        "eye_height_sitting",
        "elbow_height_standing",
        "eye_height_standing",
    }
)
"""Dimensions that a height is set by to the centimetre. One reading of the others is enough: they decide
reaches and depths whose bands are wider, and carry a single reading's wider error on. Source: house-repeat."""


@dataclass(frozen=True, kw_only=True)
class DimensionFacts:
    """How a body dimension is taken.

    ``start`` and ``end`` are the landmarks between which it lies, ``view`` the side from which
    it is seen, ``instrument`` what takes it best. ``two_sided``: a left and a right one can be taken.
    """

    id: str
    label: Words
    iso_name: str
    how: Words
    posture: Literal["seated", "standing"]
    view: View
    instrument: Tool
    start: Words
    end: Words
    mistakes: tuple[Words, ...]
    used_for: Words
    needed: bool
    two_sided: bool


@dataclass(frozen=True, kw_only=True)
class Dimension(DimensionFacts):
    """One body dimension. Lengths in mm; ``r_stature`` is a correlation, 0 to 1.

    ``from_floor``: a shoe's heel is in it. ``change_mm`` is what a body may change between two visits, over the
    error of the tape.
    """

    from_floor: bool
    stats: dict[Sex, Spread]
    r_stature: float
    repeat_limit_mm: float
    change_mm: float
    low_mm: float
    high_mm: float

    @property
    def twice(self) -> bool:
        """Whether it is read twice: a second reading of the others narrows no target that matters."""
        return self.id in READ_TWICE

    def spread(self, sex: Sex | None) -> Spread | None:
        """The spread in the program's own table; None for what is not in it."""
        return mixed(self.stats, sex)
