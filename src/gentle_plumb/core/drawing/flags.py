"""Flags on the staff: one for each height, fanned out so that none covers another."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from ..catalogue import QUANTITIES
from ..fit import NO_LIMIT, FitRow, PostureFit
from ..units import LengthUnit, format_difference, format_length
from ..workstation import Settings
from .marks import Anchor, Mark, number

FLAG_W, FLAG_H, GAP = 112.0, 33.0, 3.0
LANE = 26.0
"""Size of a flag, least gap between two, width of the lane of leaders; px."""

State = Literal["on", "off", "limit", "estimated", "overruled", "plain"]


@dataclass(frozen=True, kw_only=True)
class Flag:
    """One height of the job. Heights from the floor in mm; ``sd`` is the target's uncertainty."""

    part: str
    label: str
    height: float
    state: State
    found: float | None = None
    change: float | None = None
    sd: float = 0.0


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
        change = aim + base - found_at if found_at is not None else None
        flags.append(
            Flag(
                part=row.key,
                label=row.label,
                height=aim + base,
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


def _outline(left: float, middle: float, side: int) -> str:
    """A pennant pointing to the staff: ``side`` 1 where the staff is to the right."""
    top, bottom, point = middle - FLAG_H / 2, middle + FLAG_H / 2, 8.0
    right = left + FLAG_W
    corners = (
        [
            (left, top),
            (right - point, top),
            (right, middle),
            (right - point, bottom),
            (left, bottom),
        ]
        if side == 1
        else [
            (right, top),
            (left + point, top),
            (left, middle),
            (left + point, bottom),
            (right, bottom),
        ]
    )
    return "M" + " L".join(f"{number(x)} {number(y)}" for x, y in corners) + "Z"


def ink_flags(
    flags: Sequence[Flag],
    *,
    staff_edge: float,
    side: int,
    y0: float,
    scale: float,
    top: float,
    unit: LengthUnit,
    posture: str,
) -> list[Mark]:
    """Marks of one side's flags.

    Parameters
    ----------
    flags : sequence of Flag
        Lowest first.
    staff_edge : float
        The staff's edge on this side, px.
    side : int
        1 where the flags are left of the staff, -1 where right.
    y0, scale : float
        Floor line (px) and px per mm.
    top : float
        Uppermost room, px.

    """
    marks: list[Mark] = []
    wanted = [y0 - flag.height * scale for flag in reversed(flags)]
    places = fan_out(wanted, size=FLAG_H + GAP, low=top + FLAG_H / 2, high=y0 - FLAG_H / 2 + 6)
    for flag, at, place in zip(reversed(flags), wanted, places, strict=True):
        left = staff_edge - side * LANE - (FLAG_W if side == 1 else 0)
        tip = left + (FLAG_W if side == 1 else 0)

        def path(role: str, data: str, flag: Flag = flag) -> Mark:
            return Mark(kind="path", role=role, d=data, part=flag.part, posture=posture)

        knee = staff_edge - side * 9
        if flag.sd:
            half = 2 * flag.sd * scale
            marks.append(
                path(
                    "spread-wedge",
                    f"M{number(tip)} {number(place)}L{number(staff_edge)} {number(at - half)}"
                    f"h{number(side * 5)}v{number(2 * half)}h{number(-side * 5)}Z",
                )
            )
        marks.append(
            path(
                "leader",
                f"M{number(tip)} {number(place)}L{number(knee)} {number(at)}"
                f"L{number(staff_edge)} {number(at)}",
            )
        )
        marks.append(path(f"flag-{flag.state}", _outline(left, place, side)))
        inset = left + (9.0 if side == 1 else 15.0)

        def text(
            role: str,
            x: float,
            dy: float,
            words: str,
            anchor: Anchor = "start",
            flag: Flag = flag,
            place: float = place,
        ) -> Mark:
            return Mark(
                kind="text",
                role=role,
                x=x,
                y=place + dy,
                text=words,
                part=flag.part,
                anchor=anchor,
                posture=posture,
            )

        wave = "~" if flag.state == "estimated" else ""
        marks.append(text("flag-label", inset, -3.5, flag.label))
        marks.append(text("flag-value", inset, 11.5, wave + format_length(flag.height, unit)))
        if flag.change is not None:
            words = format_difference(flag.change, unit, up="up", down="down")
            far = left + FLAG_W - (13.0 if side == 1 else 7.0)
            marks.append(text("flag-change", far, 11.5, words, "end"))
        if flag.state == "limit":
            bar = left + (3.0 if side == 1 else FLAG_W - 3.0)
            marks.append(
                path(
                    "stop-bar",
                    f"M{number(bar)} {number(place - FLAG_H / 2)}"
                    f"L{number(bar)} {number(place + FLAG_H / 2)}",
                )
            )
        if flag.found is not None:
            found = y0 - flag.found * scale
            inner = staff_edge + side * 7
            marks.append(
                path(
                    "found-tick",
                    f"M{number(staff_edge - side * 3)} {number(found)}"
                    f"L{number(inner)} {number(found)}",
                )
            )
            if flag.change is not None:
                lane = staff_edge + side * 6
                marks.append(
                    path(
                        "bracket",
                        f"M{number(staff_edge)} {number(found)}L{number(lane)} "
                        f"{number(found)}L{number(lane)} {number(at)}L{number(staff_edge)} "
                        f"{number(at)}",
                    )
                )
    return marks
