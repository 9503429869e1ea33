"""Flags on the staff: one for each height, fanned out so that none covers another."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from ..catalogue import QUANTITIES
from ..fit import NO_LIMIT, FitRow, PostureFit
from ..workstation import Settings

FLAG_W, FLAG_H, GAP = 112.0, 33.0, 3.0
LANE = 26.0
"""Size of a flag, least gap between two, width of the lane of leaders; px."""

State = Literal["on", "off", "limit", "estimated", "overruled", "plain"]


@dataclass(frozen=True, kw_only=True)
class Flag:
    """One height of the job, mm from the floor; ``sd`` is the target's uncertainty.

    ``base`` is where its number counts from: the seat for the armrests, else the floor.
    """

    part: str
    label: str
    height: float
    state: State
    found: float | None = None
    change: float | None = None
    sd: float = 0.0
    base: float = 0.0


def fan_out(wanted: Sequence[float], *, size: float, low: float, high: float) -> list[float]:
    """Places for labels of one size, as near to where they want to be as can be.

    Parameters
    ----------
    wanted : sequence of float
        Wanted centres in ascending order.
    size : float
        Height of a label with its gap.
    low, high : float
        Ends of the room for centres.

    Returns
    -------
    list of float
        Centres at least ``size`` apart with the least sum of squared moves (pooling of
        adjacent violators), pushed inside the room.

    Examples
    --------
    >>> fan_out([10.0, 12.0, 50.0], size=10, low=0, high=100)
    [6.0, 16.0, 50.0]

    """
    pools: list[tuple[float, int]] = []
    for index, place in enumerate(wanted):
        mean, count = place - index * size, 1
        while pools and pools[-1][0] > mean:
            before, many = pools.pop()
            mean = (before * many + mean * count) / (many + count)
            count += many
        pools.append((mean, count))
    top = high - (len(wanted) - 1) * size
    flat = [min(max(mean, low), max(low, top)) for mean, count in pools for _ in range(count)]
    return [place + index * size for index, place in enumerate(flat)]


LEAST_CHANGE_MM = 0.5
"""A change that would be shown as none. Source: house-repeat."""


def _state(row: FitRow, overruled: bool) -> State:
    if overruled:
        return "overruled"
    if any(limit.kind not in NO_LIMIT for limit in row.limits):
        return "limit"
    if row.estimated:
        return "estimated"
    return "off" if row.status == "off" else "on"


def flags_of(
    fit: PostureFit,
    settings: Settings,
    overruled: set[str],
    eye: float | None,
    elbow: float | None,
    target: Settings,
    least: float = LEAST_CHANGE_MM,
) -> list[Flag]:
    """The flags of one posture: heights from the floor, lowest first.

    A change of no more than ``least`` mm is none.
    """
    flags: list[Flag] = []
    for row in fit.rows:
        aim = target.get(row.key)
        if aim is None or not QUANTITIES[row.key].flag:
            continue
        if row.key == "footrest" and not aim:
            continue
        base = (target.seat or 0.0) if row.key == "armrest" else 0.0
        found = settings.get(row.key)
        found_base = (settings.seat or 0.0) if row.key == "armrest" else 0.0
        found_at = found + found_base if found is not None else None
        change = aim - found if found is not None else None
        flags.append(
            Flag(
                part=row.key,
                label="Arms over seat" if base else row.label,
                height=aim + base,
                base=base,
                state=_state(row, row.key in overruled),
                found=found_at,
                change=change if change is not None and abs(change) > least else None,
                sd=row.sd or 0.0,
            )
        )
    if eye is not None:
        flags.append(Flag(part="eye", label="Eye line", height=eye, state="plain"))
    if elbow is not None:
        flags.append(Flag(part="elbow", label="Elbow", height=elbow, state="plain"))
    return sorted(flags, key=lambda flag: (round(flag.height, 3), flag.part))  # no last bit decides
