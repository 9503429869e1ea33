"""How deep a seat pan is for the person on it: what several additions and comforts are judged by."""

from __future__ import annotations

from ..changed import changed
from ..fit import Case, FitRow, seat_depth_row
from ..workstation import Workstation

PANS_KEPT = 8
"""How many seat pans of a visit keep their row: those on offer, each with and without its depth as found. House value."""


def seat_pan_row(case: Case) -> FitRow:
    """Return the row of the seat depth, without its uncertainty.

    It depends on the person and the chair only, so it is worked out once for each chair of a visit.
    """
    alone = changed(case, uncertain=False, workstation=Workstation(chair=case.workstation.chair))
    return case.reuse.last(PANS_KEPT, seat_pan_row, seat_depth_row, alone)
