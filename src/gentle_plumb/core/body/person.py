"""One person's body: measured where it was, estimated where it can be, missing where it can't."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from functools import cached_property
from typing import Literal

from ..errors import MissingDimension
from ..language import msg
from .catalogue import dimension
from .dimensions import MeasuredPosture, Sex
from .estimates import estimate_from_others, estimate_from_stature
from .factor import Factor, factor_of
from .tables import BRITISH_ADULTS, Table

SURE_STATURE_MM = 8.0
"""A stature less sure than this (read once, self-measured) is helped by whatever else is measured.
Source: house-correlation."""

ValueSource = Literal["measured", "self_measured", "carried_over", "estimated"]


@dataclass(frozen=True, kw_only=True)
class BodyValue:
    """One dimension of one person: length and standard deviation in mm, and where it is from.

    ``basis`` names the dimensions an estimate rests on.
    """

    mm: float
    sd_mm: float
    source: ValueSource
    basis: tuple[str, ...] = ()


@dataclass(frozen=True, kw_only=True)
class Body:
    """A person's dimensions, by identifier.

    Parameters
    ----------
    values : mapping
        What has been taken.
    sex : {"female", "male"}, optional
        Population for estimates.
    posture : {"as_they_work", "erect"}
        How the seated heights were taken; erect ones are lowered by the slump.
    table : Table
        The population that estimates and doubts rest on.
    guessed : frozenset of str
        Dimensions the practitioner wants estimated although stature hardly tells them.

    """

    values: Mapping[str, BodyValue]
    sex: Sex | None = None
    posture: MeasuredPosture = MeasuredPosture.AS_THEY_WORK
    table: Table = BRITISH_ADULTS
    guessed: frozenset[str] = frozenset()

    @cached_property
    def factor(self) -> Factor:
        """All that was taken, together."""
        taken = {
            name: (value.mm, value.sd_mm)
            for name, value in self.values.items()
            if value.source != "estimated"
        }
        return factor_of(taken, table=self.table, sex=self.sex)

    @cached_property
    def _estimated(self) -> dict[str, BodyValue]:
        """What was estimated so far: asked for again and again within one fit."""
        return {}

    @cached_property
    def _derived(self) -> dict[Callable[[Body], float], float]:
        return {}

    def derived(self, formula: Callable[[Body], float]) -> float:
        """Return a formula's result, worked out once for this body."""
        result = self._derived.get(formula)
        if result is None:
            result = self._derived[formula] = formula(self)
        return result

    def value(self, name: str) -> BodyValue:
        """The dimension, measured or estimated.

        Raises
        ------
        MissingDimension
            If it is neither measured nor can be estimated.

        """
        taken = self.values.get(name)
        if taken is not None:
            return taken
        estimated = self._estimated.get(name)
        if estimated is None:
            estimated = self._estimated[name] = self._estimate(name)
        return estimated

    def _estimate(self, name: str) -> BodyValue:
        stature, insist = self.values.get("stature"), name in self.guessed
        if stature is not None and stature.sd_mm <= SURE_STATURE_MM:
            guess = estimate_from_stature(
                name, stature_mm=stature.mm, sex=self.sex, table=self.table, insist=insist
            )
        elif self.values:
            guess = estimate_from_others(name, self.factor, insist=insist)
        else:
            raise MissingDimension(
                name, msg("{label} is not measured yet.", label=dimension(name).label)
            )
        return BodyValue(
            mm=guess.value_mm, sd_mm=guess.sd_mm, source="estimated", basis=guess.basis
        )

    def mm(self, name: str) -> float:
        """The dimension's length, mm. Raises as :meth:`value` does."""
        taken = self.values.get(name)
        return taken.mm if taken is not None else self.value(name).mm

    def has(self, name: str) -> bool:
        """Whether the dimension is measured or can be estimated."""
        try:
            self.value(name)
        except MissingDimension:
            return False
        return True

    def shifted(self, name: str, by_mm: float) -> Body:
        """The same body with one dimension longer by ``by_mm``."""
        value = self.value(name)
        longer = BodyValue(mm=value.mm + by_mm, sd_mm=value.sd_mm, source=value.source)
        return Body(
            values={**self.values, name: longer},
            sex=self.sex,
            posture=self.posture,
            table=self.table,
            guessed=self.guessed,
        )

    def traced(self) -> tuple[Body, set[str]]:
        """A copy that notes which dimensions are read, and the set it notes them in."""
        seen: set[str] = set()
        watched = _Traced(
            values=self.values,
            sex=self.sex,
            posture=self.posture,
            table=self.table,
            guessed=self.guessed,
            seen=seen,
        )
        return watched, seen

    def uncertainty(self, formula: Callable[[Body], float]) -> tuple[float, dict[str, float]]:
        """Standard deviation of a formula's result, and what each dimension contributes, mm.

        Each dimension that the formula reads is moved by one standard deviation either way;
        half the difference is its contribution; contributions add in squares. A dimension that
        the formula only asked for, and does without, contributes nothing.

        Raises
        ------
        MissingDimension
            If the formula can't do without a dimension that is missing.

        """
        watched, seen = self.traced()
        formula(watched)
        shares: dict[str, float] = {}
        for name in sorted(filter(self.has, seen)):
            sd = self.value(name).sd_mm
            high, low = formula(self.shifted(name, sd)), formula(self.shifted(name, -sd))
            shares[name] = abs(high - low) / 2
        return sum(share**2 for share in shares.values()) ** 0.5, shares


@dataclass(frozen=True, kw_only=True)
class _Traced(Body):
    seen: set[str]

    def value(self, name: str) -> BodyValue:
        self.seen.add(name)
        return super().value(name)

    def mm(self, name: str) -> float:
        return self.value(name).mm

    def derived(self, formula: Callable[[Body], float]) -> float:
        return formula(self)
