"""How flags are drawn on their lanes."""

from __future__ import annotations

from collections.abc import Sequence

from ..units import LengthUnit, format_difference, format_length
from .flags import FLAG_H, FLAG_W, GAP, LANE, Flag, fan_out
from .marks import Anchor, Mark, number


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
        marks.append(
            text("flag-value", inset, 11.5, wave + format_length(flag.height - flag.base, unit))
        )
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
