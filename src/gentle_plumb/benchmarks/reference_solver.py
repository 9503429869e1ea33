"""The search's model as a mixed-integer program, for a general solver to check it by."""

from __future__ import annotations

from math import ceil, floor, isfinite
from typing import Any

from ..core.fit.search import (
    SEAT_LATTICE,
    SURFACE_LATTICE,
    SearchModel,
    elbow_over,
    gaze_over,
    legs_over,
)
from ..core.workstation import Span


def solve_with_milp(model: SearchModel) -> float:
    """Smallest sum of degrees outside the bands on the whole-millimetre lattice, by HiGHS.

    One binary for each seat and each gap of surface over seat; exactly one of either is taken,
    and their sum must lie in the surface's range. Where the search may use more points than the
    lattice, its optimum can only be lower.

    Raises
    ------
    ValueError
        If the solver finds nothing.

    """
    import numpy as np
    from scipy.optimize import Bounds, LinearConstraint, milp

    seats = model.seat or (SEAT_LATTICE if model.legs is not None else Span(low=0, high=0))
    surfaces = model.surface or SURFACE_LATTICE
    least = surfaces.low - seats.high
    if model.least_gap is not None:
        least = max(least, model.least_gap)
    rows = [float(seat) for seat in range(ceil(seats.low), floor(seats.high) + 1)]
    gaps = [float(gap) for gap in range(ceil(least), floor(surfaces.high - seats.low) + 1)]
    costs = [legs_over(model, seat) for seat in rows]
    costs += [elbow_over(model, gap)[0] + gaze_over(model, 0.0, gap)[0] for gap in gaps]
    seat_part, gap_part = np.zeros(len(costs)), np.zeros(len(costs))
    seat_part[: len(rows)], gap_part[len(rows) :] = 1, 1
    heights = np.array([*rows, *gaps])
    answer: Any = milp(
        np.array(costs),
        integrality=np.ones(len(costs)),
        bounds=Bounds(0, 1),
        constraints=[
            LinearConstraint(seat_part, 1, 1),
            LinearConstraint(gap_part, 1, 1),
            LinearConstraint(heights, surfaces.low, surfaces.high),
        ],
    )
    if answer.x is None or not isfinite(answer.fun):
        raise ValueError(f"the solver found nothing: {answer.message}")
    return float(answer.fun)
