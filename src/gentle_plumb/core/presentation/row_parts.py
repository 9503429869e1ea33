"""The parts of a row in words: numbers, terms, where they are from."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import date
from typing import Literal

from ..body import DIMENSIONS, Body
from ..catalogue import QUANTITIES
from ..fit import NO_LIMIT, TAPE_MM, FitRow, terms_parts
from ..language import filled, joined, msg
from ..policy import POLICY_QUESTIONS, STANDING, RuleSet, defaults, question_of
from ..record import Record
from ..tolerances import SAME_MM, SAME_SHOWN
from ..units import NO_BREAK, LengthUnit, format_length
from ..words import bare_amount, bare_degrees, say_change
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
class RowSubject:
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
    dial: float | None = None


RowState = Literal["to_set", "as_found", "in_band", "stopped", "unknown"]
"""What is to be done with a quantity; ``stopped``: set, but a limit ends it outside its band."""
TOGETHER = frozenset(
    {"seat", "footrest", "surface", "keys", "screen_top"}
    | {quantity.key for quantity in QUANTITIES.values() if quantity.datum == "ahead"}
)
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


def plain(value: float) -> str:
    """Return whole degrees or per cent with a true minus, never minus nought."""
    return bare_degrees(value)


def value_text(row: FitRow, value: float | None, unit: LengthUnit) -> str | None:
    """Return a number of the row's kind, without its unit."""
    return None if value is None else bare_amount(QUANTITIES[row.key], value, unit)


def apart_text(row: FitRow, value: float | None, unit: LengthUnit) -> str | None:
    """Return a difference of the row's kind, with its direction."""
    return None if value is None else say_change(QUANTITIES[row.key], value, unit)


def band_text(row: FitRow, unit: LengthUnit) -> str | None:
    """Return a band in words: both ends, or the one there is; None for none."""
    low, high = value_text(row, row.low, unit), value_text(row, row.high, unit)
    if low and high:
        return msg("{low} to {high}", low=low, high=high)
    return (
        msg("{low} or more", low=low) if low else msg("{high} or less", high=high) if high else None
    )


def _sum_and_parts(row: FitRow, unit: LengthUnit) -> tuple[str, str]:
    """Return a target and what it is made of, in words."""
    if row.unit == "mm":
        return terms_parts(row.terms, unit)
    sign = "°" if row.unit == "deg" else f"{NO_BREAK}%"
    parts = joined(
        ", ",
        (
            filled("{value}{sign} {label}", value=plain(term.value), sign=sign, label=term.label)
            for term in row.terms
            if len(row.terms) == 1 or abs(term.value) >= SAME_SHOWN
        ),
    )
    return filled("{target}{sign}", target=plain(row.target or 0.0), sign=sign), parts


def terms_words(row: FitRow, unit: LengthUnit) -> str | None:
    """Return a target with what it is made of; None where it can't be told."""
    if not row.terms:
        return None
    whole, parts = _sum_and_parts(row, unit)
    return (
        filled("{whole} = {parts}", whole=whole, parts=parts)
        if len(row.terms) > 1 or row.unit == "mm"
        else parts
    )


def made_of(row: FitRow, unit: LengthUnit) -> str | None:
    """Return the terms of a target without their sum; None where it can't be told."""
    return _sum_and_parts(row, unit)[1] if row.terms else None


def inputs_of(
    row: FitRow, body: Body, record: Record, unit: LengthUnit, today: date
) -> list[Input]:
    """Return the dimensions that a target rests on, the largest share of its error first."""
    result = []
    # equal but for the last bits of a sum: in one order everywhere
    for name, share in sorted(
        row.shares, key=lambda share_of: (-round(share_of[1], 6), share_of[0])
    ):
        value = body.value(name)
        adds = (
            filled("± {plain}°", plain=plain(2 * share))
            if row.unit == "deg"
            else (filled("± {what}", what=format_length(2 * share, unit, with_unit=True)))
        )
        if 2 * share < SAME_MM:
            adds = "negligible"
        result.append(
            Input(
                dimension=name,
                label=DIMENSIONS[name].label,
                value=format_length(value.mm, unit, with_unit=True),
                origin=origin_text(record, value, name, today),
                adds=adds,
            )
        )
    return result


def chosen_for(row: FitRow, bundle: RuleSet) -> list[Chosen]:
    """The choices that a row follows, in the posture's own positions."""
    usual, result = defaults(), []
    for id, question in POLICY_QUESTIONS.items():
        mine = row.key in question.targets or row.key.split("_")[0] in question.targets
        if not mine or len(question.positions) < 2:
            continue
        at = bundle.get(id, usual[id])
        if row.posture == "standing":
            at = bundle.get(f"{STANDING}{id}", at)
        position = question.position(at)
        result.append(
            Chosen(
                question=id,
                label=question.label,
                position=position.label,
                why=position.why,
                usual=at == usual[id],
            )
        )
    return result


def dial_text(row: FitRow, unit: LengthUnit, offset: float | None) -> str | None:
    """What the desk's display has to read for the setting."""
    reads = dial_of(row, offset)
    return format_length(reads, unit) if reads is not None else None


def dial_of(row: FitRow, offset: float | None) -> float | None:
    """What the desk's display has to read, mm."""
    if not QUANTITIES[row.key].on_display or offset is None or row.setting is None:
        return None
    return row.setting - offset


def chosen_otherwise(bundle: Mapping[str, str]) -> list[str]:
    """Return what a rule set chooses otherwise than usual, in words."""
    texts = []
    for id, at in bundle.items():
        question = question_of(id)
        if id.startswith(STANDING) or at != question.default:
            where = ", standing" if id.startswith(STANDING) else ""
            texts.append(
                filled(
                    "{label}{where}: {label2}",
                    label=question.label,
                    where=where,
                    label2=question.position(at).label,
                )
            )
    return texts
