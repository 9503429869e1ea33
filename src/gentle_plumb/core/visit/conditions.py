"""Conditions of a visit: which are there, which of their limits a clinician has lifted, and what binds."""

from __future__ import annotations

from datetime import date

from ..choices import Hand
from ..intake import Held, PersonLimits, person_limits
from ..record import Record, fields
from .red_flags import raised_red_flags


def limits_of(
    record: Record, *, wheelchair: bool = False, as_of: date | None = None
) -> PersonLimits:
    """Return the limits of the person that a record puts in force."""
    return person_limits(
        conditions_of(record, as_of),
        wheelchair=wheelchair,
        operated=record[fields.conditions.operated],
        weak_side=_weak_side(record),
        joints={
            limit: figure
            for limit, asked in fields.conditions.joint.items()
            if (figure := record[asked]) is not None
        },
        answered={
            flag.label: flag.standing
            for flag in raised_red_flags(record)
            if flag.standing is not None and flag.answered(as_of)
        },
    )


def _weak_side(record: Record) -> Hand | None:
    """Return the side that nothing used much may stand on: the one that can't be used, else the weaker one."""
    only, weaker = record[fields.conditions.only_hand], record[fields.conditions.weak_side]
    return only.other if only is not None else weaker


def conditions_of(record: Record, as_of: date | None = None) -> Held:
    """Return the conditions that are there, each with its limits that a clinician has lifted or set to a figure.

    A limit changes once it is said by whom and from which day, and not before that day.
    """
    return {
        id: {
            limit: record[cleared.figure] if cleared.figure is not None else None
            for limit, cleared in asked.cleared.items()
            if record.said(cleared.by) and _by_then(record[cleared.on], as_of)
        }
        for id, asked in fields.conditions.precaution.items()
        if record.yes(asked.there)
    }


def _by_then(on: str | None, as_of: date | None) -> bool:
    return bool(on) and (as_of is None or date.fromisoformat(on or "") <= as_of)
