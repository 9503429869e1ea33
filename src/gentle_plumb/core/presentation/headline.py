"""What to change, by how much and why, in one sentence: with this a practitioner begins to set."""

from __future__ import annotations

from collections.abc import Collection, Sequence

from ..catalogue import QUANTITIES
from ..findings import Cause
from ..language import capitalised, filled, joined, lowered, msg, ngettext
from ..words import with_unit
from .rows import RowView

MOST_REASONS, MOST_CHANGES = 3, 2
"""So many reasons are given, and so many changes for each; what else moves is counted. House value: more is not
kept in mind."""


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
    others = list(moving)
    for cause in causes:
        mine = [row for row in moving if QUANTITIES[row.key].mechanism == cause.id]
        if not mine or len(clauses) == MOST_REASONS:
            continue
        changes, named = _changes(mine)
        others = [row for row in others if row not in named]
        clauses.append(
            filled("{changes} ({why})", changes=joined(", ", changes), why=lowered(cause.title))
        )
    if not clauses:
        changes, named = _changes(moving)
        others = [row for row in others if row not in named]
        clauses += changes
    if others:
        count = len(others)
        clauses.append(ngettext("and {count} more change", "and {count} more changes", count))
    return capitalised(filled("{changes}.", changes=joined("; ", clauses))) if clauses else ""


def _moves(row: RowView) -> bool:
    return (
        row.state in ("to_set", "stopped")
        and row.left is None
        and row.change is not None
        and row.at.found is not None
        and row.at.found != row.at.setting
    )


def _changes(rows: Sequence[RowView]) -> tuple[list[str], list[RowView]]:
    """Return the first changes in words, and the rows they name: one that is the same in both postures is said once."""
    changes: list[str] = []
    named: list[RowView] = []
    for row in rows:
        if row in named or len(changes) == MOST_CHANGES:
            continue
        same = [other for other in rows if (other.key, other.change) == (row.key, row.change)]
        named += same
        name, by = lowered(row.label), with_unit(row.change or "", row.unit)
        change = filled("{name}: {by}" if row.unit == "°" else "{name} {by}", name=name, by=by)
        if len(same) > 1:
            change = msg("{change} in both postures", change=change)
        elif row.posture == "standing":
            change = msg("{change} standing", change=change)
        changes.append(change)
    return changes, named
