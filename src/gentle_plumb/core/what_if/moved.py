"""What is worked out otherwise because of what was set elsewhere."""

from __future__ import annotations

from ..fit import FitRow, Posture
from ..states import StateKind, least_change
from ..units import LengthUnit
from .analysis import VisitAnalysis
from .changes import POSTURES, SettingChange, row_moved


def _waiting(analysis: VisitAnalysis, posture: Posture) -> list[FitRow]:
    """The rows of a posture that are still to be set."""
    fitted = analysis.result.of(posture)
    return [
        row
        for row in (fitted.rows if fitted.possible else ())
        if (state := analysis.states.get((posture, row.key))) is not None
        and state.kind in (StateKind.TARGET, StateKind.TO_GET)
    ]


def moved_by_what_stands(analysis: VisitAnalysis, unit: LengthUnit) -> list[SettingChange]:
    """Return what is worked out otherwise because of what was set elsewhere, or is left alone: still to be set."""
    if analysis.fitted.nothing_stands:
        return []
    changes = []
    waiting = {posture: _waiting(analysis, posture) for posture in POSTURES}
    keys = frozenset(row.key for rows in waiting.values() for row in rows)
    before = analysis.fitted.plain_rows(keys)
    for posture in POSTURES:
        for row in waiting[posture]:
            was = before[posture].get(row.key)
            if was is None or row.setting is None or was.setting is None:
                continue
            if abs(row.setting - was.setting) > least_change(row):
                change = row_moved(was, row, unit)
                changes += [change] if change is not None else []
    return changes
