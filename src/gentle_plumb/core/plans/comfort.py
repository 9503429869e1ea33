"""What a seat asks of the body that no joint's angle tells: no back, no ground, no firm stand.

It is weighed in degrees, so that a chair that carries the back is worth its price. Source: house-comfort.
"""

from __future__ import annotations

from dataclasses import dataclass

from ..catalogue import QUANTITIES
from ..changed import changed
from ..fit import Case
from ..words import say
from ..workstation import LOUNGES, ChairKind, Workstation
from .seat_pan import seat_pan_row

NO_BACK_DEG, NO_LUMBAR_DEG, RING_DEG, UNSTEADY_DEG = 10.0, 5.0, 4.0, 10.0
SADDLE_DEG = 2.0
"""What each weighs, degrees. Source: house-comfort."""


@dataclass(frozen=True, kw_only=True)
class Discomfort:
    """One thing a seat asks of the body, in degrees, and the joint whose hours it counts with."""

    key: str
    label: str
    deg: float
    joint: str = "trunk"


def discomforts_of(case: Case, station: Workstation) -> tuple[Discomfort, ...]:
    """Return what the chair of these pieces asks of the body; nothing of a wheelchair.

    Parameters
    ----------
    case : Case
        Body and policies.
    station : Workstation
        With the additions in place.

    """
    chair = station.chair
    if case.own_seat:
        return ()
    gains = []
    if chair.kind == ChairKind.SADDLE:
        gains.append(("saddle", SADDLE_DEG))
    elif chair.kind in LOUNGES:
        gains.append(("lounge", NO_BACK_DEG))
    elif chair.backless:
        gains.append(("no_back", NO_BACK_DEG))
    elif chair.supports_back is False:
        gains.append(("no_lumbar", NO_LUMBAR_DEG))
    if not chair.steady:
        gains.append(("unsteady", UNSTEADY_DEG))
    if chair.ring:
        gains.append(("ring", RING_DEG))
    off = _depth_off(case, station)
    if off:
        key = "deep" if off > 0 else "short"
        depth = QUANTITIES["seat_depth"]
        gains.append((key, depth.share_off(off) * depth.far_off_deg))
    return tuple(Discomfort(key=key, label=say(f"comfort.{key}"), deg=deg) for key, deg in gains)


def comfort_deg(case: Case, station: Workstation) -> float:
    """Return all of it together, degrees."""
    return sum(discomfort.deg for discomfort in discomforts_of(case, station))


def _depth_off(case: Case, station: Workstation) -> float:
    """How far the pan ends beyond (positive) or short of its band at best, mm; 0 where unknown."""
    if station.chair.backless or station.chair.depth is None:
        return 0.0
    found = changed(case.found_seated, seat_depth=None)
    row = seat_pan_row(changed(case, workstation=station, found_seated=found))
    if row.setting is None or row.low is None or row.high is None:
        return 0.0
    return max(0.0, row.setting - row.high) - max(0.0, row.low - row.setting)
