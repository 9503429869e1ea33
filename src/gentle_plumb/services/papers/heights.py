"""The height of a thing to come back to, as its state has it."""

from __future__ import annotations

from ...core.presentation import RowView
from ...core.states import StateKind


def height_of(row: RowView) -> float | None:
    """Return the height to come back to, or the one still to set, mm; None where there is none."""
    if row.became is None:
        return None
    if row.became.kind in (StateKind.SET, StateKind.AS_FOUND):
        return row.at.left if row.at.left is not None else row.at.found
    return row.at.setting if row.became.kind == StateKind.TARGET else None
