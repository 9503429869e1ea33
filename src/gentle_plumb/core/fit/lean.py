"""How far the back leans with the backrest where it stands."""

from __future__ import annotations

from dataclasses import replace

from ..policy import POLICY_RANGES
from ..tolerances import SAME_DEG
from .case import Case


def leaning_at(case: Case, backrest: float) -> Case:
    """Return the case with its back leaning on the backrest.

    Parameters
    ----------
    case : Case
    backrest : float
        Where it stands, degrees from level.

    """
    if case.seat_stays or case.workstation.chair.backless:
        return case
    usual = case if case.lean is None else replace(case, lean=None)
    band = POLICY_RANGES["recline"][0]
    lean = min(band.high, max(band.low, backrest - 90.0))
    return usual if abs(lean - usual.recline()) < SAME_DEG else replace(case, lean=lean)
