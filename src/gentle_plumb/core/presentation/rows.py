"""Rows in words and numbers ready to be shown, each with everything it rests on."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date
from math import erf, sqrt
from typing import Literal

from ..body import DIMENSIONS, Body
from ..catalogue import DATUM_WORDS, QUANTITIES, Drag
from ..fit import NO_LIMIT, SAME_MM, TAPE_MM, Case, FitRow, Posture, Status, limit_text, terms_parts
from ..policy import POLICY_QUESTIONS, STANDING, RuleSet, defaults
from ..record import Record, fields
from ..sources import SOURCES
from ..units import LengthUnit, format_length
from ..words import bare_amount, say_change, say_degrees
from .origins import origin_text

LEAST_LEFT_OVER = {"mm": TAPE_MM, "deg": 1.0, "%": 1.0}
"""Less than this a tape can't tell from nothing. Source: house-repeat."""


@dataclass(frozen=True, kw_only=True)
class Input:
    """A dimension that a target is reckoned from, where it is from, and what it adds to the error."""

    dimension: str
    label: str
    value: str
    origin: str
    adds: str


@dataclass(frozen=True, kw_only=True)
class Chosen:
    """A choice that a target follows: the question, the position taken, and why."""

    question: str
    label: str
    position: str
    why: str
    usual: bool


@dataclass(frozen=True, kw_only=True)
class About:
    """Where a number is from: its inputs, the choices behind it, and the source of its rule."""

    inputs: list[Input]
    chosen: list[Chosen]
    source: str


@dataclass(frozen=True, kw_only=True)
class At:
    """The numbers themselves, unrounded: mm, degrees or per cent; for the page's own handles."""

    target: float | None
    low: float | None
    high: float | None
    setting: float | None
    sd: float | None
    found: float | None
    left: float | None


RowState = Literal["to_set", "as_found", "in_band", "stopped", "unknown"]
"""What is to be done with a quantity; ``stopped``: set, but a limit ends it outside its band."""
TOGETHER = frozenset({"seat", "footrest", "surface", "keys", "screen_top"})
"""Quantities that are worked out together: in its band alone, one may yet have to move."""


def row_state(row: FitRow) -> RowState:
    """Return what is to be done with a row, from its numbers alone."""
    if row.setting is None or row.target is None:
        return "unknown"
    least = LEAST_LEFT_OVER[row.unit] if row.unit != "mm" else SAME_MM
    outside = (row.low is not None and row.setting < row.low - least) or (
        row.high is not None and row.setting > row.high + least
    )
    if outside and any(limit.kind not in NO_LIMIT for limit in row.limits):
        return "stopped"
    if row.found is None:
        return "to_set"
    if abs(row.setting - row.found) <= least:
        return "as_found"
    return "in_band" if row.status == "holds" and row.key not in TOGETHER else "to_set"


@dataclass(frozen=True, kw_only=True)
class RowView:
    """One row as it is shown; every text carries the display unit's number.

    ``left_unmeasured``: it was set to its aim and not measured again. ``left_over`` is what is still
    missing of the aim, where it is more than a tape can be off. ``limited``: a piece or the body
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
    dial: str | None
    computed: str | None
    chance: str | None
    about: About
    state: RowState
    made_of: str | None
    datum: str
    drag: Drag | None
    at: At


def plain(value: float) -> str:
    """Return whole degrees or per cent with a true minus, never minus nought."""
    return say_degrees(value).removesuffix("°")


def value_text(row: FitRow, value: float | None, unit: LengthUnit) -> str | None:
    """Return a number of the row's kind, without its unit."""
    return None if value is None else bare_amount(QUANTITIES[row.key], value, unit)


def apart_text(row: FitRow, value: float | None, unit: LengthUnit) -> str | None:
    """Return a difference of the row's kind, with its direction."""
    return None if value is None else say_change(QUANTITIES[row.key], value, unit)


def _band(row: FitRow, unit: LengthUnit) -> str | None:
    low, high = value_text(row, row.low, unit), value_text(row, row.high, unit)
    if low and high:
        return f"{low} to {high}"
    return f"{low} or more" if low else f"{high} or less" if high else None


def _sum_and_parts(row: FitRow, unit: LengthUnit) -> tuple[str, str]:
    """Return a target and what it is made of, in words."""
    if row.unit == "mm":
        return terms_parts(row.terms, unit)
    sign = "°" if row.unit == "deg" else " %"
    parts = ", ".join(
        f"{plain(term.value)}{sign} {term.label}"
        for term in row.terms
        if len(row.terms) == 1 or abs(term.value) >= SMALLEST_TERM
    )
    return f"{plain(row.target or 0.0)}{sign}", parts


SMALLEST_TERM = 0.5
"""A term of less is not said, degrees or per cent. Source: house-repeat."""


def terms_words(row: FitRow, unit: LengthUnit) -> str | None:
    """Return a target with what it is made of; None where it can't be told."""
    if not row.terms:
        return None
    whole, parts = _sum_and_parts(row, unit)
    return f"{whole} = {parts}" if len(row.terms) > 1 or row.unit == "mm" else parts


def made_of(row: FitRow, unit: LengthUnit) -> str | None:
    """Return the terms of a target without their sum; None where it can't be told."""
    return _sum_and_parts(row, unit)[1] if row.terms else None


def row_view(
    row: FitRow,
    case: Case,
    record: Record,
    unit: LengthUnit,
    *,
    today: date,
    bundle: RuleSet,
    left: float | None,
    unmeasured: bool,
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
    unmeasured : bool
        Whether what was left was set to the aim and not measured again.
    left, own, computed : float, optional
        What was left, what the practitioner put there, and what was computed without that; in the
        row's unit.
    offset : float, optional
        Tape less display of the desk, mm.
    brief : bool
        Without what it rests on.

    """
    mine = fields.work.own_number[row.posture].get(row.key)
    why = record[mine.why] if mine is not None else None
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
        band=_band(row, unit),
        plus_minus=value_text(row, 2 * row.sd, unit) if row.sd else None,
        terms=terms_words(row, unit),
        setting=value_text(row, row.setting, unit),
        found=value_text(row, row.found, unit),
        change=apart_text(row, row.change, unit),
        left=value_text(row, left, unit),
        left_unmeasured=unmeasured,
        left_over=apart_text(row, -over, unit) if over is not None else None,
        limits=[limit_text(limit, unit) for limit in row.limits],
        limited=any(limit.kind not in NO_LIMIT for limit in row.limits),
        cost=row.cost.text if row.cost else None,
        cost_off=bool(row.cost and row.cost.over),
        estimated=[DIMENSIONS[name].label.lower() for name in row.estimated],
        retake=DIMENSIONS[row.retake].label.lower() if row.retake else None,
        overruled=own is not None,
        overrule_reason=why,
        check=QUANTITIES[row.key].check or None,
        dial=_dial(row, unit, offset),
        computed=value_text(row, computed, unit) if own is not None else None,
        chance=chance_text(row),
        about=About(
            inputs=[] if brief else _inputs(row, case.body, record, unit, today),
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
        ),
    )


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
        return "under 1 %" if chance < 0.01 else "over 99 %"
    return f"{100 * chance:.0f} %"


LEAST_SHARE = 0.5
"""A dimension that adds less to a target's error is told without a number, mm. Source: house-repeat."""


def _inputs(row: FitRow, body: Body, record: Record, unit: LengthUnit, today: date) -> list[Input]:
    found = []
    # equal but for the last bits of a sum: in one order everywhere
    for name, share in sorted(row.shares, key=lambda one: (-round(one[1], 6), one[0])):
        value = body.value(name)
        adds = (
            f"± {plain(2 * share)}°"
            if row.unit == "deg"
            else (f"± {format_length(2 * share, unit, with_unit=True)}")
        )
        if 2 * share < LEAST_SHARE:
            adds = "negligible"
        found.append(
            Input(
                dimension=name,
                label=DIMENSIONS[name].label,
                value=format_length(value.mm, unit, with_unit=True),
                origin=origin_text(record, value, name, today),
                adds=adds,
            )
        )
    return found


def chosen_for(row: FitRow, bundle: RuleSet) -> list[Chosen]:
    """The choices that a row follows, in the posture's own positions."""
    usual, found = defaults(), []
    for id, question in POLICY_QUESTIONS.items():
        mine = row.key in question.targets or row.key.split("_")[0] in question.targets
        if not mine or len(question.positions) < 2:
            continue
        at = bundle.get(id, usual[id])
        if row.posture == "standing":
            at = bundle.get(f"{STANDING}{id}", at)
        position = question.position(at)
        found.append(
            Chosen(
                question=id,
                label=question.label,
                position=position.label,
                why=position.why,
                usual=at == usual[id],
            )
        )
    return found


def _dial(row: FitRow, unit: LengthUnit, offset: float | None) -> str | None:
    """What the desk's display has to read for the setting."""
    if row.key != "surface" or offset is None or row.setting is None:
        return None
    return format_length(row.setting - offset, unit)
