"""What to change, by how much and why, in one sentence: with this a practitioner begins to set."""

from __future__ import annotations

from collections.abc import Collection, Sequence

from ..catalogue import QUANTITIES
from ..findings import Cause
from ..language import capitalised, filled, joined, lowered, msg, ngettext
from ..words import with_unit
from .rows import RowView

MOST_REASONS = 3
"""So many reasons are given; what else moves is counted. House value: more is not kept in mind."""


def headline(causes: Sequence[Cause], rows: Sequence[RowView], steps: Collection[str]) -> str:
    """Return what moves from where it was found, by how much and why, in order of effect; empty where nothing does.

    Parameters
    ----------
    causes : sequence of Cause
        The safety of people first, then what hurts, then by load minutes.
    rows : sequence of RowView
    steps : collection of str
        What is adjusted by hand, by posture and quantity; what follows from another setting is not named.

    """
    moving = [row for row in rows if f"{row.posture}.{row.key}" in steps and _moves(row)]
    clauses: list[str] = []
    named: list[RowView] = []
    for cause in causes:
        if len(clauses) == MOST_REASONS:
            break
        mine = [row for row in moving if QUANTITIES[row.key].mechanism == cause.id]
        if mine:
            named += mine
            changes = joined(", ", (_change(row) for row in mine))
            clauses.append(filled("{changes} ({why})", changes=changes, why=lowered(cause.title)))
    others = [row for row in moving if row not in named]
    if not clauses:
        clauses = [_change(row) for row in others[:MOST_REASONS]]
        others = others[MOST_REASONS:]
    if others and clauses:
        count = len(others)
        clauses.append(ngettext("and {count} more change", "and {count} more changes", count))
    return capitalised(filled("{changes}.", changes=joined("; ", clauses))) if clauses else ""


def _moves(row: RowView) -> bool:
    return (
        row.state in ("to_set", "stopped")
        and row.change is not None
        and row.at.found is not None
        and row.at.found != row.at.setting
    )


def _change(row: RowView) -> str:
    name, by = lowered(row.label), with_unit(row.change or "", row.unit)
    change = filled("{name}: {by}" if row.unit == "°" else "{name} {by}", name=name, by=by)
    return msg("{change} standing", change=change) if row.posture == "standing" else change
