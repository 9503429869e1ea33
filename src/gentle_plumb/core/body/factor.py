"""One body's dimensions together: what all of them say about one.

The model behind estimates and doubts. Each dimension, in standard deviations from its mean, is
``r f + sqrt(1 - r*r) e``: ``f`` is how tall the person is for the population, ``r`` the
correlation with stature, ``e`` the dimension's own part. So the correlation of two dimensions is
the product of theirs with stature: the full covariance follows from one column of a table. Real
neighbours (eye and sitting height) hang together closer than that; the model is cautious there.
Source: house-correlation.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from math import sqrt

from .catalogue import DIMENSIONS
from .dimensions import Sex
from .tables import FOR_DOUBTS, Table


@dataclass(frozen=True, kw_only=True)
class Expected:
    """What the others say about one dimension: mm, and standard error."""

    mm: float
    sd_mm: float


@dataclass(frozen=True, kw_only=True)
class _Known:
    """One dimension in standard deviations: value, correlation, own variance, mean and sd in mm."""

    z: float
    r: float
    own: float
    mean: float
    sd: float


@dataclass(frozen=True, kw_only=True)
class Factor:
    """What is known of a body, ready to be asked about any dimension.

    ``precision`` and ``pull`` are sums over the known ones of ``r*r/own`` and ``r*z/own``, numbers without a unit.
    """

    known: Mapping[str, _Known]
    precision: float
    pull: float
    table: Table
    sex: Sex | None

    @property
    def share_explained(self) -> float:
        """How much of the spread of stature is told by what is known, 0 to 1."""
        return 1 - 1 / (1 + self.precision)

    def without(self, *names: str) -> Factor:
        """The same without some of the dimensions."""
        out = [self.known[name] for name in names if name in self.known]
        return Factor(
            known={name: known for name, known in self.known.items() if name not in names},
            precision=max(0.0, self.precision - sum(known.r**2 / known.own for known in out)),
            pull=self.pull - sum(known.r * known.z / known.own for known in out),
            table=self.table,
            sex=self.sex,
        )

    def expected(self, name: str, *, read_sd_mm: float = 0.0) -> Expected | None:
        """A dimension from the known ones; None where the table does not hold it.

        ``read_sd_mm`` adds the error of a reading that is to be held against it.
        """
        spread = self.table.spread(name, self.sex) or FOR_DOUBTS.get(name)
        if spread is None:
            return None
        r = self.table.r(name)
        middle, variance = self.pull / (1 + self.precision), 1 / (1 + self.precision)
        error = r**2 * variance + 1 - r**2
        return Expected(
            mm=spread.mean_mm + spread.sd_mm * r * middle,
            sd_mm=sqrt(spread.sd_mm**2 * error + read_sd_mm**2),
        )

    def expected_of(self, name: str) -> Expected:
        """A known dimension from all the others."""
        known = self.known[name]
        weight = known.r**2 / known.own
        precision = max(0.0, self.precision - weight)
        middle = (self.pull - known.r * known.z / known.own) / (1 + precision)
        error = known.r**2 / (1 + precision) + known.own
        return Expected(mm=known.mean + known.sd * known.r * middle, sd_mm=known.sd * sqrt(error))


def factor_of(
    values: Mapping[str, tuple[float, float]], *, table: Table, sex: Sex | None
) -> Factor:
    """Put a body's values together.

    Parameters
    ----------
    values : mapping
        Dimension to value and standard deviation of its reading, mm. What the table does not
        hold is left out.
    table : Table
    sex : {"female", "male"}, optional

    """
    known: dict[str, _Known] = {}
    for name, (mm, read_sd) in values.items():
        spread = table.spread(name, sex) or FOR_DOUBTS.get(name)
        if spread is None or name not in DIMENSIONS:
            continue
        r = table.r(name)
        own = max(1e-6, 1 - r**2 + (read_sd / spread.sd_mm) ** 2)
        known[name] = _Known(
            z=(mm - spread.mean_mm) / spread.sd_mm,
            r=r,
            own=own,
            mean=spread.mean_mm,
            sd=spread.sd_mm,
        )
    return Factor(
        known=known,
        precision=sum(link.r**2 / link.own for link in known.values()),
        pull=sum(link.r * link.z / link.own for link in known.values()),
        table=table,
        sex=sex,
    )
