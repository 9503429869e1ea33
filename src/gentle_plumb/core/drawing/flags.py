"""Flags on the staff: one for each height, fanned out so that none covers another."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from ..catalogue import QUANTITIES
from ..fit import NO_LIMIT, TAPE_MM, Case, FitRow, PostureFit, settings_of
from ..tolerances import SAME_MM
from ..workstation import Settings

FLAG_H, GAP = 33.0, 3.0
"""Height of a flag, and least gap between two; px."""

State = Literal["on", "off", "limit", "estimated", "overruled", "found"]


@dataclass(frozen=True, kw_only=True)
class Flag:
    """One height of the job, mm from the floor; ``sd`` is the target's uncertainty.

    ``base`` is where its number counts from: the seat for the armrests, else the floor. ``found`` is
    where the tick stands that its change is counted from.
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


def _state(row: FitRow, overruled: bool) -> State:
    if overruled:
        return "overruled"
    if any(limit.kind not in NO_LIMIT for limit in row.limits):
        return "limit"
    if row.estimated:
        return "estimated"
    return "off" if row.status == "off" else "on"


def target_flags(case: Case, fit: PostureFit, overruled: set[str]) -> list[Flag]:
    """Return the heights aimed at, lowest first, each with what changes from what was found."""
    target = settings_of(fit)
    settings = case.found_seated if fit.posture == "seated" else case.found_standing
    flags = []
    for row in fit.rows:
        aim = target.get(row.key)
        if not QUANTITIES[row.key].flag or aim is None or _away(row.key, aim):
            continue
        base, was = _base(row.key, target), settings.get(row.key)
        change = aim - was if was is not None else None
        flags.append(
            Flag(
                part=row.key,
                label=_label(row),
                height=aim + base,
                base=base,
                state=_state(row, row.key in overruled),
                found=None if was is None else was + _base(row.key, settings),
                change=change if change is not None and abs(change) > SAME_MM else None,
                sd=row.sd or 0.0,
            )
        )
    return _sorted(flags)


def present_flags(fit: PostureFit, present: Settings, *, left: bool) -> list[Flag]:
    """Return the heights as they stand, lowest first; nothing is said of what nobody recorded.

    Parameters
    ----------
    present : Settings
        What was found, or what was set.
    left : bool
        Whether this is how things were left: what is still to go is shown then, beyond what a tape tells.

    """
    target = settings_of(fit)
    flags = []
    for row in fit.rows:
        position = present.get(row.key)
        if not QUANTITIES[row.key].flag or position is None or _away(row.key, position):
            continue
        aim = target.get(row.key) if left else None
        change = aim - position if aim is not None and abs(aim - position) > TAPE_MM else None
        base = _base(row.key, present)
        flags.append(
            Flag(
                part=row.key,
                label=_label(row),
                height=position + base,
                base=base,
                state="off" if change is not None else "found",
                found=None if change is None or aim is None else aim + base,
                change=change,
            )
        )
    return _sorted(flags)


def _away(key: str, position: float) -> bool:
    """Whether a piece is not there at all: no footrest, armrests out of the way."""
    return QUANTITIES[key].zero_is_none and not position


def _base(key: str, settings: Settings) -> float:
    return (settings.seat or 0.0) if QUANTITIES[key].datum == "seat" else 0.0


def _label(row: FitRow) -> str:
    return QUANTITIES[row.key].flag_label or row.label


def _sorted(flags: list[Flag]) -> list[Flag]:
    return sorted(flags, key=lambda flag: (round(flag.height, 3), flag.part))  # no last bit decides
