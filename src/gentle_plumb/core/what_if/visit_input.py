"""What a visit is worked through from, and the case it makes."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field, replace
from datetime import date

from ..body import Sex
from ..fit import Case
from ..plans import Prices
from ..policy import RuleSet
from ..presentation import Money
from ..record import Record, Value, fields
from ..reuse import Reuse
from ..visit import HOUSE, Measuring, PhotoFile, case_from, values_at


@dataclass(frozen=True, kw_only=True)
class VisitInput:
    """What a visit is worked through from.

    ``values`` is what was entered, by path; ``practice`` what the practice had chosen when the
    visit began, ``prices`` its sums for price classes; ``place`` which of its places the values are of,
    ``as_of`` the day by which a cleared limit is lifted. ``reuse`` keeps what was worked out, for every try
    and place of this visit.
    """

    values: Mapping[str, Value]
    today: date
    sex: Sex | None = None
    practice: RuleSet = field(default_factory=dict)
    measuring: Measuring = HOUSE
    photos: tuple[PhotoFile, ...] = ()
    prices: Prices = Prices()
    place: str = fields.places.MAIN
    as_of: date | None = None
    reuse: Reuse = field(default_factory=Reuse, compare=False, repr=False)

    @property
    def money(self) -> Money:
        """What plans are priced with."""
        return Money(prices=self.prices, budget=self.record[fields.work.budget])

    @property
    def record(self) -> Record:
        """What was entered, read by field."""
        return Record(self.values)


def at_place(visit_input: VisitInput, place: str) -> VisitInput:
    """Return what one place of a visit is worked through from; photographs are of the main one."""
    photos = visit_input.photos if place == fields.places.MAIN else ()
    return replace(
        visit_input, values=values_at(visit_input.values, place), photos=photos, place=place
    )


def case_of(visit_input: VisitInput) -> Case:
    """The case that a visit makes."""
    return case_from(
        visit_input.record,
        sex=visit_input.sex,
        measuring=visit_input.measuring,
        practice=visit_input.practice,
        as_of=visit_input.as_of,
        reuse=visit_input.reuse,
    )
