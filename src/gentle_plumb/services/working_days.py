"""The page of a working day: in words, as a bar, and what its rhythms and strain come to."""

from __future__ import annotations

from dataclasses import dataclass

from ..core.assessment import whole_minutes
from ..core.drawing import DayBar, draw_day
from ..core.presentation import DayView, RhythmView, day_view, rhythm_views
from ..core.what_if import day_strain
from .workup import VisitResults


@dataclass(frozen=True, kw_only=True)
class DayPage:
    """A working day.

    ``day`` and ``bar`` are None while no hours are recorded. ``strain_before`` and ``strain_after`` are strain
    minutes a day as found, and as aimed at with this day's standing; None where no hours tell them.
    """

    day: DayView | None
    bar: DayBar | None
    rhythms: list[RhythmView]
    strain_before: int | None
    strain_after: int | None
    doubt: str | None


def day_page(workup: VisitResults, *, week: int, width: float) -> DayPage:
    """Return the working day of a visit.

    Parameters
    ----------
    workup : VisitResults
    week : int
        The week of getting used to standing; 0: once used to it.
    width : float
        Of the bar, px.

    """
    day, person = workup.day, workup.case.person
    if day is None:
        return DayPage(
            day=None, bar=None, rhythms=[], strain_before=None, strain_after=None, doubt=None
        )
    spells = day.week(week)
    before, after = day_strain(workup.analysis, day.totals.stand / 60)
    bar = draw_day(
        spells,
        width=width,
        eye_every=day.eye_every,
        micro_every=day.micro_every,
        walks=person.walks,
    )
    return DayPage(
        day=day_view(day, person, week),
        bar=bar,
        rhythms=rhythm_views(day, person),
        strain_before=None if before is None else whole_minutes(before),
        strain_after=None if after is None else whole_minutes(after),
        doubt=day.doubt,
    )
