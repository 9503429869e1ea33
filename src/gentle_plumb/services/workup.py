"""A visit worked out, in words and numbers ready to be shown."""

from __future__ import annotations

from dataclasses import dataclass

from ..core.body import DIMENSIONS
from ..core.findings import Facts, Finding, Strain, findings, strain_by_region
from ..core.fit import (
    CHECKS,
    Case,
    FitResult,
    FitRow,
    dimensions_needed,
    fit,
    limit_text,
    terms_text,
    working_order,
)
from ..core.fit.result import Posture, Status
from ..core.intake import CARE, Ticked, ticked_signs
from ..core.pace import RHYTHMS, DayTotals, day_totals
from ..core.photo import read_photo
from ..core.record import (
    Entries,
    PhotoFile,
    StepProgress,
    case_from,
    display_offset,
    hours_at_desk,
    overrules,
    photos_from,
    progress,
    settings_left,
)
from ..core.record.texts import TEXTS
from ..core.units import LengthUnit, format_difference, format_length
from ..core.workstation import Settings
from .measured import (
    AgainView,
    Measured,
    again_views,
    listed_of,
    measured_views,
    measuring_of,
    past_bodies,
    visit_doubts,
)
from .models import Working
from .photo_views import PhotoView, degrees_text, photo_view

DIRECTIONS = {"distance": ("back", "nearer"), "mouse": ("out", "in"), "tilt": ("back", "up"),
              "seat_depth": ("longer", "shorter")}  # fmt: skip


@dataclass(frozen=True, kw_only=True)
class RowView:
    """One row as it is shown; every text carries the display unit's number."""

    key: str
    posture: Posture
    label: str
    unit: str
    why: str
    status: Status
    reason: str | None
    target: str | None
    band: str | None
    plus_minus: str | None
    terms: str | None
    setting: str | None
    found: str | None
    change: str | None
    left: str | None
    left_over: str | None
    limits: list[str]
    cost: str | None
    cost_off: bool
    estimated: list[str]
    retake: str | None
    overruled: bool
    overrule_reason: str | None
    check: str | None
    dial: str | None


@dataclass(frozen=True, kw_only=True)
class RhythmView:
    """A rhythm over this client's hours."""

    id: str
    label: str
    says: str
    possible: bool
    totals: DayTotals


@dataclass(frozen=True, kw_only=True)
class JointView:
    """A joint before, as aimed at and as left, degrees in words."""

    posture: Posture
    label: str
    band: str
    found: str | None
    found_off: bool
    aim: str | None
    aim_off: bool


@dataclass(frozen=True, kw_only=True)
class CareView:
    """A care group the client belongs to: what the plan keeps to, and who is asked."""

    id: str
    label: str
    limit: str
    ask: str
    note: str | None


@dataclass(frozen=True, kw_only=True)
class Workup:
    """Everything the page shows of a visit, and what it was made from."""

    values: Entries
    case: Case
    result: FitResult
    order: list[FitRow]
    rows: list[RowView]
    steps: list[StepProgress]
    findings: list[Finding]
    strain: list[Strain]
    photos: list[PhotoView]
    signs: list[Ticked]
    cares: list[CareView]
    felt: list[str]
    display: str | None
    measured: list[Measured]
    doubtful: list[str]
    again: list[AgainView]
    needed: tuple[str, ...]
    table: tuple[str, str]
    rhythms: list[RhythmView]
    joints: list[JointView]
    why_not_standing: str | None
    hours: float
    hours_doubt: str | None


def _text(row: FitRow, value: float | None, unit: LengthUnit) -> str | None:
    if value is None:
        return None
    return f"{value:.0f}" if row.unit == "deg" else format_length(value, unit)


def _apart(row: FitRow, value: float | None, unit: LengthUnit) -> str | None:
    if value is None:
        return None
    up, down = DIRECTIONS.get(row.key, ("up", "down"))
    if row.unit != "deg":
        return format_difference(value, unit, up=up, down=down)
    return f"{up if value > 0 else down} {abs(value):.0f}" if round(abs(value)) else "0"


def _band(row: FitRow, unit: LengthUnit) -> str | None:
    low, high = _text(row, row.low, unit), _text(row, row.high, unit)
    if low and high:
        return f"{low} to {high}"
    return f"{low} or more" if low else f"{high} or less" if high else None


def _terms(row: FitRow, unit: LengthUnit) -> str | None:
    if not row.terms:
        return None
    if row.unit == "deg":
        return f"{row.target:.0f}° = {row.terms[0].label}"
    return terms_text(row.terms, unit)


def row_view(
    row: FitRow,
    values: Entries,
    unit: LengthUnit,
    left_at: Settings,
    own_at: Settings,
    offset: float | None = None,
) -> RowView:
    """A row in words, with what was left and what the practitioner put in its posture."""
    left, own = left_at.get(row.key), own_at.get(row.key)
    why = values.get(f"work.{row.posture}.{row.key}.why")
    over = left - row.setting if left is not None and row.setting is not None else None
    return RowView(
        key=row.key,
        posture=row.posture,
        label=row.label,
        unit="°" if row.unit == "deg" else unit,
        why=row.why,
        status=row.status,
        reason=row.reason,
        target=_text(row, row.target, unit),
        band=_band(row, unit),
        plus_minus=_text(row, 2 * row.sd, unit) if row.sd else None,
        terms=_terms(row, unit),
        setting=_text(row, row.setting, unit),
        found=_text(row, row.found, unit),
        change=_apart(row, row.change, unit),
        left=_text(row, left, unit),
        left_over=_apart(row, -over, unit) if over is not None else None,
        limits=[limit_text(limit, unit) for limit in row.limits],
        cost=row.cost.text if row.cost else None,
        cost_off=bool(row.cost and row.cost.over),
        estimated=[DIMENSIONS[name].label.lower() for name in row.estimated],
        retake=DIMENSIONS[row.retake].label.lower() if row.retake else None,
        overruled=own is not None,
        overrule_reason=str(why) if why else None,
        check=CHECKS.get(row.key),
        dial=_dial(row, unit, offset),
    )


def _dial(row: FitRow, unit: LengthUnit, offset: float | None) -> str | None:
    """What the desk's display has to read for the setting."""
    if row.key != "surface" or offset is None or row.setting is None:
        return None
    return format_length(row.setting - offset, unit)


def _cares(values: Entries) -> list[CareView]:
    return [
        CareView(id=care.id, label=care.label, limit=care.limit, ask=care.ask,
                 note=str(note) if (note := values.get(f"ask.care.{care.id}.note")) else None)
        for care in CARE.values()
        if values.get(f"ask.care.{care.id}") == "yes"
    ]  # fmt: skip


MOST_APART_H = 0.5
"""Hours that the tasks may be off the hours said in all. House value."""


def _hours_doubt(asked: float, said: float | None) -> str | None:
    if asked > 24:
        return f"{asked:g} hours a day in all: a day has 24."
    if said is not None and asked and abs(asked - said) > MOST_APART_H:
        return f"The tasks come to {asked:g} h, at the desk in all {said:g} h were said. Which is right?"
    if asked > 14:
        return f"{asked:g} hours a day: is that so?"
    return None


def _why_not_standing(result: FitResult, unit: LengthUnit) -> str | None:
    if result.standing.possible:
        return None
    limits = result.row("standing", "surface").limits
    if not limits or not (result.standing.why_not or "").startswith("No work"):
        return result.standing.why_not
    return f"No work standing at this desk: {limit_text(limits[0], unit)}."


def _joints(result: FitResult) -> list[JointView]:
    views = []
    for posture in (result.seated, result.standing):
        for before, after in zip(posture.joints_found, posture.joints_set, strict=True):
            standing = posture.posture == "standing"
            if standing and (after.joint == "upper_arm" or not posture.possible):
                continue
            views.append(
                JointView(
                    posture=posture.posture,
                    label=after.label,
                    band=f"{degrees_text(after.low)} to {degrees_text(after.high)}°",
                    found=f"{degrees_text(before.angle)}°" if before.angle is not None else None,
                    found_off=bool(before.over),
                    aim=f"{degrees_text(after.angle)}°" if after.angle is not None else None,
                    aim_off=bool(after.over),
                )
            )
    return views


def work_up(
    opened: Working, unit: LengthUnit, *, body: bool = True, history: str | None = None
) -> Workup:
    """Work a visit out.

    Parameters
    ----------
    opened : Working
        The visit, its client and values.
    unit : {"mm", "cm", "in"}
        For every number shown.
    body : bool
        Whether the body is shown dimension by dimension, with its doubts.
    history : str, optional
        The dimension whose earlier values are plotted.

    """
    values = opened.values
    measuring = measuring_of(opened)
    case = case_from(values, sex=opened.client.sex, measuring=measuring)
    needed = dimensions_needed(case)
    listed = listed_of(opened, needed)
    bodies = past_bodies(opened, measuring)
    asked_of = visit_doubts(opened, case.body, unit, bodies)
    own = overrules(values)
    result = fit(case, overrule_seated=own[0], overrule_standing=own[1])
    order = working_order(case, result)
    hours = hours_at_desk(values)
    asked = sum(
        float(value)
        for path, value in values.items()
        if path.startswith("ask.hours.") and isinstance(value, int | float)
    )
    signed = opened.signed_revision == opened.visit.revision
    stands = result.standing.possible and case.workstation.desk.kind == "sit_stand"
    left = settings_left(values)
    offset = display_offset(values)
    files = [
        PhotoFile(id=str(one.id), width=one.width, height=one.height, fov_deg=one.fov_deg)
        for one in opened.photos
    ]
    read = tuple(read_photo(photo) for photo in photos_from(values, files))
    facts = Facts(entries=values, case=case, result=result, photos=read, unit=unit, texts=TEXTS)
    found = findings(facts)
    said = values.get("ask.day_hours")
    rows = [
        row_view(row, values, unit, left[index], own[index], offset)
        for index, posture in enumerate((result.seated, result.standing))
        for row in posture.rows
    ]
    return Workup(
        values=values,
        case=case,
        result=result,
        order=order,
        rows=rows,
        steps=list(progress(values, result, order, listed=listed, signed=signed).values()),
        findings=found,
        strain=list(strain_by_region(found)),
        photos=[photo_view(one, unit) for one in read],
        signs=ticked_signs(values),
        cares=_cares(values),
        felt=[one.text for one in facts.felt],
        display=f"The display reads {format_length(abs(offset), unit, with_unit=True)} too "
        f"{'low' if offset > 0 else 'high'}."
        if offset
        else None,
        measured=measured_views(
            opened, case.body, listed, unit, measuring, bodies, asked_of, history
        )
        if body
        else [],
        doubtful=list(
            dict.fromkeys(DIMENSIONS[one.dimension].label for one in asked_of if not one.kept)
        ),
        again=again_views(case.body, result, measuring.errors, unit) if body else [],
        needed=needed,
        table=(measuring.table.name, measuring.table.origin),
        rhythms=[
            RhythmView(
                id=rhythm.id,
                label=rhythm.label,
                says=rhythm.says,
                possible=stands or not rhythm.stands,
                totals=day_totals(rhythm, hours),
            )
            for rhythm in RHYTHMS.values()
        ],
        joints=_joints(result),
        why_not_standing=_why_not_standing(result, unit),
        hours=hours,
        hours_doubt=_hours_doubt(asked, float(said) if isinstance(said, int | float) else None),
    )
