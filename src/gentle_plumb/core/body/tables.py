"""Tables of populations: what a value is held against, and what an estimate rests on."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from statistics import NormalDist

from ..language import msg
from .catalogue import DIMENSIONS
from .dimensions import Sex, Spread, mixed

_LUMBAR = Spread(mean_mm=190.0, sd_mm=30.0)
"""The small of the back over the seat: enough to doubt a slip by, too wide to estimate. Source:
house-lumbar-height."""
USUAL_LUMBAR_MM = _LUMBAR.mean_mm
"""Where the small of the back usually is over the seat, mm: for drawing, never for the fit. Source: house-lumbar-height."""
FOR_DOUBTS: Mapping[str, Spread] = {"lumbar_height_sitting": _LUMBAR}


@dataclass(frozen=True, kw_only=True, eq=False)
class Table:
    """Means and standard deviations of one population, mm, by dimension and sex.

    ``r_stature`` holds correlations with stature where the table brings its own; the house
    values stand in for the others. ``origin`` says who was measured, for everyone to read.
    """

    name: str
    origin: str
    stats: Mapping[str, Mapping[Sex, Spread]]
    r_stature: Mapping[str, float] = field(default_factory=dict)

    def spread(self, name: str, sex: Sex | None) -> Spread | None:
        """The spread of a dimension; None for what the table does not hold."""
        spreads = self.stats.get(name)
        return mixed(spreads, sex) if spreads else None

    def r(self, name: str) -> float:
        """Correlation of a dimension with stature, 0 to 1."""
        return self.r_stature.get(name, DIMENSIONS[name].r_stature)

    def percentile(self, name: str, mm: float, sex: Sex | None) -> float | None:
        """Share of the population that is smaller, in percent; None where it is not in the table.

        Where sex is not given, the mean of the women's and the men's share. Each dimension is
        taken as normally distributed.

        >>> BRITISH_ADULTS.percentile("stature", 1610, "female")
        50.0
        """
        spreads = self.stats.get(name)
        if not spreads:
            return None
        sides = list(spreads.values()) if sex is None else [spreads[sex]] if sex in spreads else []
        if not sides:
            return None
        shares = [NormalDist(side.mean_mm, side.sd_mm).cdf(mm) for side in sides]
        return 100 * sum(shares) / len(shares)


BRITISH_ADULTS = Table(
    name=msg("British adults of 19 to 65"),
    origin=msg(
        "Estimates published by Pheasant and Haslegrave, Bodyspace; correlations are house values"
    ),
    stats={entry.id: entry.stats for entry in DIMENSIONS.values() if entry.stats},
)
"""The program's own table. Source: bodyspace, house-correlation."""
