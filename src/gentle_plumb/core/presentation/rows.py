"""Rows in words and numbers ready to be shown, each with everything it rests on."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date
from math import erf, sqrt

from ..body import DIMENSIONS
from ..catalogue import DATUM_WORDS, QUANTITIES, Drag
from ..fit import NO_LIMIT, Case, FitRow, Posture, Status, limit_text
from ..language import filled
from ..policy import RuleSet
from ..record import Record, fields
from ..record.fields.settings import MeasuredBy
from ..sources import SOURCES
from ..states import Known, PieceState
from ..units import LengthUnit
from ..words import say_percent
from .row_parts import (
    LEAST_LEFT_OVER,
    At,
    RowState,
    RowSubject,
    apart_text,
    band_text,
    chosen_for,
    dial_of,
    dial_text,
    inputs_of,
    made_of,
    row_state,
    terms_words,
    value_text,
)
from .states import StateView, state_view


@dataclass(frozen=True, kw_only=True)
class RowView:
    """One row as it is shown; every text carries the display unit's number.

    ``became`` is what became of it, the one state that every paper speaks from. ``left_unmeasured``: it was set to its aim and not measured again; else ``left_by`` says how it was measured.
    ``left_over`` is what is still missing of the aim, where it is more than a tape can be off. ``limited``: a piece or the body
    keeps it from its target, as against left where it was found.
    """

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
    left_unmeasured: bool
    left_by: str
    became: StateView | None
    left_over: str | None
    limits: list[str]
    limited: bool
    cost: str | None
    cost_off: bool
    estimated: list[str]
    retake: str | None
    overruled: bool
    overrule_reason: str | None
    check: str | None
    remedied: bool
    dial: str | None
    computed: str | None
    chance: str | None
    about: RowSubject
    state: RowState
    made_of: str | None
    datum: str
    drag: Drag | None
    at: At


def row_view(
    row: FitRow,
    case: Case,
    record: Record,
    unit: LengthUnit,
    *,
    today: date,
    bundle: RuleSet,
    state: PieceState | None,
    own: float | None,
    computed: float | None,
    offset: float | None = None,
    brief: bool = False,
) -> RowView:
    """A row in words.

    Parameters
    ----------
    row : FitRow
    case : Case
    record : Record
    unit : {"mm", "cm", "in"}
    today : date
        The day of the visit, for the age of what was measured before.
    bundle : mapping
        What is chosen, by question.
    state : PieceState, optional
        What became of it; None for what can't be set.
    own, computed : float, optional
        What the practitioner put there, and what was computed without that; in the row's unit.
    offset : float, optional
        Tape less display of the desk, mm.
    brief : bool
        Without what it rests on.

    """
    mine = fields.work.own_number[row.posture].get(row.key)
    why = record[mine.why] if mine is not None else None
    left = state.left if state is not None else None
    unmeasured = state is not None and state.known == Known.UNMEASURED
    over = left - row.setting if left is not None and row.setting is not None else None
    if unmeasured or (over is not None and abs(over) <= LEAST_LEFT_OVER[row.unit]):
        over = None
    return RowView(
        key=row.key,
        posture=row.posture,
        label=row.label,
        unit={"deg": "°", "%": "%", "mm": unit}[row.unit],
        why=row.why,
        status=row.status,
        reason=row.reason,
        target=value_text(row, row.target, unit),
        band=band_text(row, unit),
        plus_minus=value_text(row, 2 * row.sd, unit) if row.sd else None,
        terms=terms_words(row, unit),
        setting=value_text(row, row.setting, unit),
        found=value_text(row, row.found, unit),
        change=apart_text(row, row.change, unit),
        left=value_text(row, left, unit),
        left_unmeasured=unmeasured,
        left_by=_left_by(row, record) if left is not None and not unmeasured else "",
        became=state_view(state, unit) if state is not None else None,
        left_over=apart_text(row, -over, unit) if over is not None else None,
        limits=[limit_text(limit, unit) for limit in row.limits],
        limited=any(limit.kind not in NO_LIMIT for limit in row.limits),
        cost=row.cost.text if row.cost else None,
        cost_off=bool(row.cost and row.cost.excess_deg),
        estimated=[DIMENSIONS[name].label.lower() for name in row.estimated],
        retake=DIMENSIONS[row.retake].label.lower() if row.retake else None,
        overruled=own is not None,
        overrule_reason=why,
        check=row.check or None,
        remedied=row.remedy is not None,
        dial=dial_text(row, unit, offset),
        computed=value_text(row, computed, unit) if own is not None else None,
        chance=chance_text(row),
        about=RowSubject(
            inputs=[] if brief else inputs_of(row, case.body, record, unit, today),
            chosen=[] if brief else chosen_for(row, bundle),
            source=SOURCES[row.source].title,
        ),
        state=row_state(row),
        made_of=made_of(row, unit),
        datum=DATUM_WORDS[QUANTITIES[row.key].datum],
        drag=QUANTITIES[row.key].drag,
        at=At(
            target=row.target,
            low=row.low,
            high=row.high,
            setting=row.setting,
            sd=row.sd,
            found=row.found,
            left=left,
            dial=dial_of(row, offset),
        ),
    )


def _left_by(row: FitRow, record: Record) -> str:
    """Return how what was left was re-measured; by hand where nobody said."""
    asked = fields.settings.setting[row.posture].get(row.key)
    return (record[asked.by] or MeasuredBy.HAND).label if asked is not None else ""


def chance_in_band(row: FitRow) -> float | None:
    """Chance that the setting lies in the band, seeing how sure the body's numbers are; 0 to 1.

    The band moves with the target; its error is taken as normal. None where nothing is uncertain
    or nothing is set.
    """
    if row.setting is None or not row.sd or (row.low is None and row.high is None):
        return None

    def under(x: float) -> float:
        return (1 + erf(x / (row.sd or 1.0) / sqrt(2))) / 2

    over_low = 1.0 if row.low is None else under(row.setting - row.low)
    over_high = 0.0 if row.high is None else under(row.setting - row.high)
    return over_low - over_high


def chance_text(row: FitRow) -> str | None:
    """The chance in words: never quite none, never quite sure."""
    chance = chance_in_band(row)
    if chance is None:
        return None
    if chance < 0.01 or chance > 0.99:
        return filled(
            "{what} {what2}",
            what="under" if chance < 0.01 else "over",
            what2=say_percent(1 if chance < 0.01 else 99),
        )
    return say_percent(100 * chance)
