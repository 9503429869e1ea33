"""The body as measured, in words and numbers ready to be shown."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import date

from ..core.body import DIMENSIONS, LEAST_CORRELATION, Body, Earlier
from ..core.catalogue import QUANTITIES
from ..core.drawing import HistoryPoint, Mark, history_marks
from ..core.errors import MissingDimension
from ..core.fit import FitResult, RemeasureSuggestion, suggest_remeasurement
from ..core.language import and_list, filled, msg, numeral
from ..core.presentation import elsewhere_text
from ..core.record import fields
from ..core.record.fields.measure import MEASURED, Origin
from ..core.units import LengthUnit, format_length
from ..core.visit import (
    Doubt,
    Measuring,
    body_from,
    doubts,
    readings_of,
    resolved_of,
    settled,
    spoken_date,
)
from ..core.words import say_posture
from .measuring import as_core_table
from .models import EarlierVisit, VisitSnapshot

BY = {
    "one": msg("one reading"),
    "mean": msg("mean of two"),
    "median": msg("median of three"),
    "none": "",
}


@dataclass(frozen=True, kw_only=True)
class Past:
    """A value at an earlier visit, with the day in words; ``typed`` carries it over."""

    on: str
    day: str
    value: str
    typed: str
    source: str


@dataclass(frozen=True, kw_only=True)
class Measured:
    """A body dimension so far.

    ``value`` is what is reckoned with, barefoot; ``estimate`` what stands in where nothing is
    measured, with ``basis`` in words. ``listed``: it belongs to the list of this visit.
    """

    dimension: str
    label: str
    posture: str
    listed: bool
    done: bool
    value: str | None
    plus_minus: str | None
    by: str
    needs_third: bool
    spread: str | None
    heel: str | None
    source: str | None
    origin: str
    estimate: str | None
    estimate_plus_minus: str | None
    basis: str
    percentile: str | None
    skipped: str | None
    doubts: list[Doubt]
    past: list[Past]
    history: list[Mark]


@dataclass(frozen=True, kw_only=True)
class RemeasureView:
    """A dimension worth measuring (again), and what that narrows, in words."""

    dimension: str
    label: str
    measured: bool
    says: list[str]


def measuring_of(snapshot: VisitSnapshot) -> Measuring:
    """What a visit's measuring rests on beside its record."""
    if snapshot.table is None:
        return Measuring(errors=snapshot.visit.errors)
    return Measuring(errors=snapshot.visit.errors, table=as_core_table(snapshot.table))


def listed_of(snapshot: VisitSnapshot, needed: Sequence[str]) -> tuple[str, ...]:
    """The dimensions of the visit's list: the short one unless another was chosen."""
    if snapshot.listed is not None:
        return snapshot.listed.dimensions
    return MEASURED if snapshot.record[fields.measure.list_] == "full" else tuple(needed)


PastBodies = Sequence[tuple[EarlierVisit, Body]]


def past_bodies(snapshot: VisitSnapshot, measuring: Measuring) -> PastBodies:
    """The same client's body at each earlier visit, the latest first."""
    return [
        (visit, body_from(visit.record, snapshot.client.sex, measuring))
        for visit in snapshot.earlier
    ]


def _taken_on(visit: EarlierVisit, name: str) -> str:
    """Return the day a dimension was taken: that of the visit unless another was noted."""
    return visit.record[fields.measure.dimension[name].taken_on] or visit.started_on.isoformat()


def _past(name: str, bodies: PastBodies, unit: LengthUnit) -> list[Past]:
    """Where the value was taken, not where it was carried to: a carried-over one is left out."""
    pasts = []
    for visit, body in bodies:
        value = body.values.get(name)
        if value is None or value.source == "carried_over":
            continue
        day = _taken_on(visit, name)
        pasts.append(
            Past(
                on=day,
                day=spoken_date(day),
                source=value.source,
                value=format_length(value.mm, unit),
                typed=format_length(value.mm, "mm", with_unit=True),
            )
        )
    return pasts


def _earlier(bodies: PastBodies) -> dict[str, Earlier]:
    """The latest earlier value of each dimension."""
    earliers: dict[str, Earlier] = {}
    for visit, body in bodies:
        for name, value in body.values.items():
            if name not in earliers and value.source != "carried_over":
                day = _taken_on(visit, name)
                earliers[name] = Earlier(mm=value.mm, sd_mm=value.sd_mm, on=day)
    return earliers


def _percentile(body: Body, name: str, mm: float) -> str | None:
    """Where the value lies in the table, in whole percent but never 0 or 100.

    Twenty-first to twenty-third have endings of their own, as have first to third.
    """
    share = body.table.percentile(name, mm, body.sex)
    if share is None:
        return None
    if share < 1 or share > 99:
        return msg("below the 1st") if share < 1 else msg("above the 99th")
    whole = round(share)
    ending = (
        {1: "st", 2: "nd", 3: "rd"}.get(whole % 10, "th") if whole not in (11, 12, 13) else "th"
    )
    return f"{whole}{ending}"


def _estimate(body: Body, name: str, unit: LengthUnit) -> tuple[str | None, str | None, str]:
    try:
        value = body.value(name)
    except MissingDimension:
        return None, None, ""
    basis = and_list(DIMENSIONS[text].label.lower() for text in value.basis)
    return (
        format_length(value.mm, unit),
        format_length(2 * value.sd_mm, unit),
        msg("from {basis}", basis=basis),
    )


def visit_doubts(
    snapshot: VisitSnapshot, body: Body, unit: LengthUnit, bodies: PastBodies
) -> list[Doubt]:
    """Every doubt about a visit's dimensions, in words."""
    return doubts(snapshot.record, body, unit, _earlier(bodies))


def measured_views(
    snapshot: VisitSnapshot,
    body: Body,
    listed: Sequence[str],
    unit: LengthUnit,
    measuring: Measuring,
    bodies: PastBodies,
    asked_of: Sequence[Doubt],
    history: str | None = None,
) -> list[Measured]:
    """Every dimension of the catalogue, in the order of measuring; ``history`` names the plotted one."""
    record, today = snapshot.record, snapshot.visit.started_on
    asked: dict[str, list[Doubt]] = {}
    for doubt in asked_of:
        asked.setdefault(doubt.dimension, []).append(doubt)
    views = []
    for name, entry in DIMENSIONS.items():
        readings = readings_of(record, name)
        resolved = resolved_of(record, name, measuring)
        value = body.values.get(name)
        past = _past(name, bodies, unit)
        estimate, around, basis = (None, None, "")
        if value is None and (entry.r_stature >= LEAST_CORRELATION or name in body.guessed):
            estimate, around, basis = _estimate(body, name, unit)
        elif value is None:
            basis = (
                msg("Can’t be estimated reliably: please measure.")
                if entry.stats
                else msg("Please measure.")
            )
        heel = resolved.value_mm - value.mm if value and resolved.value_mm is not None else 0.0
        skip = record[fields.measure.dimension[name].skip]
        views.append(
            Measured(
                dimension=name,
                label=entry.label,
                posture=entry.posture,
                listed=name in listed,
                done=settled(record, name),
                value=format_length(value.mm, unit) if value else None,
                plus_minus=format_length(2 * value.sd_mm, unit) if value else None,
                by=BY[resolved.by],
                needs_third=resolved.needs_third,
                spread=format_length(resolved.spread_mm, unit) if len(readings) > 1 else None,
                heel=format_length(heel, unit) if heel else None,
                source=elsewhere_text(record, name, today),
                origin=record[fields.measure.dimension[name].origin] or Origin.MEASURED,
                estimate=estimate,
                estimate_plus_minus=around,
                basis=basis,
                percentile=_percentile(body, name, value.mm) if value else None,
                skipped=skip.label if skip else None,
                doubts=asked.get(name, []),
                past=past,
                history=_history(name, bodies, body, today, unit) if name == history else [],
            )
        )
    return views


def _history(
    name: str, bodies: PastBodies, body: Body, today: date, unit: LengthUnit
) -> list[Mark]:
    """The small plot; none where there is only one value to show."""
    points = [
        HistoryPoint(
            on=visit.started_on,
            mm=past.values[name].mm,
            sd_mm=past.values[name].sd_mm,
            source=past.values[name].source,
        )
        for visit, past in reversed(bodies)
        if name in past.values
    ]
    if name in body.values:
        now = body.values[name]
        points.append(HistoryPoint(on=today, mm=now.mm, sd_mm=now.sd_mm, source=now.source))
    return history_marks(points, unit) if len(points) > 1 else []


def again_views(
    body: Body, result: FitResult, errors: Mapping[str, float], unit: LengthUnit
) -> list[RemeasureView]:
    """What to measure again, the greatest gain first."""
    return [
        _again(suggestion, body, unit) for suggestion in suggest_remeasurement(body, result, errors)
    ]


def _again(suggestion: RemeasureSuggestion, body: Body, unit: LengthUnit) -> RemeasureView:
    def said(before: float, after: float, key: str) -> str:
        if QUANTITIES[key].unit == "deg":
            return msg(
                "± {what} to ± {what2} °",
                what=numeral(f"{2 * before:.0f}"),
                what2=numeral(f"{2 * after:.0f}"),
            )
        return msg(
            "± {what} to ± {what2}",
            what=format_length(2 * before, unit),
            what2=format_length(2 * after, unit, with_unit=True),
        )

    return RemeasureView(
        dimension=suggestion.dimension,
        label=DIMENSIONS[suggestion.dimension].label,
        measured=suggestion.dimension in body.values,
        says=[
            filled(
                "{label}, {posture}: {before}",
                label=row.label,
                posture=say_posture(row.posture),
                before=said(row.before, row.after, row.key),
            )
            for row in suggestion.narrows[:3]
        ],
    )
