"""How flags are drawn on their lane beside the staff."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..language import filled, joined, msg, numeral
from ..units import LengthUnit, format_length
from ..words import say_posture
from .flags import FLAG_H, GAP, Flag, fan_out
from .lettering import text_width
from .marks import Anchor, Mark, number


@dataclass(frozen=True, kw_only=True)
class FlagLane:
    """Where the flags of one side hang.

    Attributes
    ----------
    staff_edge : float
        The staff's edge on this side, px.
    side : int
        1 where the flags are left of the staff, -1 where right.
    width, lane : float
        Of a flag, and of the leaders between it and the staff, px.
    y0, scale : float
        Floor line (px) and px per mm.
    top : float
        Uppermost room, px.

    """

    staff_edge: float
    side: int
    width: float
    lane: float
    y0: float
    scale: float
    top: float

    @property
    def left(self) -> float:
        """The flags' left edge, px."""
        return self.staff_edge - self.side * self.lane - (self.width if self.side == 1 else 0)

    @property
    def tip(self) -> float:
        """Where the flags point, px."""
        return self.left + (self.width if self.side == 1 else 0)

    def outline(self, middle: float) -> str:
        """A pennant pointing to the staff."""
        top, bottom, point = middle - FLAG_H / 2, middle + FLAG_H / 2, 8.0
        back, tip = self.left + (0 if self.side == 1 else self.width), self.tip
        neck = tip - self.side * point
        corners = [(back, top), (neck, top), (tip, middle), (neck, bottom), (back, bottom)]
        return "M" + " L".join(f"{number(x)} {number(y)}" for x, y in corners) + "Z"


def ink_flags(
    flags: Sequence[Flag], lane: FlagLane, *, unit: LengthUnit, posture: str
) -> list[Mark]:
    """Marks of one side's flags, given lowest first."""
    marks: list[Mark] = []
    wanted = [lane.y0 - flag.height * lane.scale for flag in reversed(flags)]
    places = fan_out(
        wanted, size=FLAG_H + GAP, low=lane.top + FLAG_H / 2, high=lane.y0 - FLAG_H / 2 + 6
    )
    for flag, position, place in zip(reversed(flags), wanted, places, strict=True):
        marks += _on_staff(flag, lane, position, place, posture)
        marks += _flag(flag, lane, place, unit, posture)
    return marks


def _path(flag: Flag, posture: str, role: str, data: str, text: str = "") -> Mark:
    return Mark(kind="path", role=role, d=data, part=flag.part, posture=posture, text=text)


def _on_staff(
    flag: Flag, lane: FlagLane, position: float, place: float, posture: str
) -> list[Mark]:
    """The leader with its uncertainty, the tick it is counted from, and the bracket between."""
    edge, side, marks = lane.staff_edge, lane.side, []
    if flag.sd:
        half = 2 * flag.sd * lane.scale
        data = (
            f"M{number(lane.tip)} {number(place)}L{number(edge)} {number(position - half)}"
            f"h{number(side * 5)}v{number(2 * half)}h{number(-side * 5)}Z"
        )
        marks.append(_path(flag, posture, "spread-wedge", data))
    knee = edge - side * min(9.0, lane.lane * 0.45)
    data = (
        f"M{number(lane.tip)} {number(place)}L{number(knee)} {number(position)}"
        f"L{number(edge)} {number(position)}"
    )
    marks.append(_path(flag, posture, "leader", data))
    if flag.found is None:
        return marks
    value, inner = lane.y0 - flag.found * lane.scale, edge + side * 7
    data = f"M{number(edge - side * 3)} {number(value)}L{number(inner)} {number(value)}"
    marks.append(_path(flag, posture, "found-tick", data))
    if flag.change is not None:
        rail = edge + side * 6
        data = (
            f"M{number(edge)} {number(value)}L{number(rail)} {number(value)}"
            f"L{number(rail)} {number(position)}L{number(edge)} {number(position)}"
        )
        marks.append(_path(flag, posture, "bracket", data))
    return marks


def _flag(flag: Flag, lane: FlagLane, place: float, unit: LengthUnit, posture: str) -> list[Mark]:
    """The pennant with its name, its number and what changes."""
    words = said_of(flag, posture, unit)
    marks = [_path(flag, posture, f"flag-{flag.state}", lane.outline(place), words)]
    inset = lane.left + (7.0 if lane.side == 1 else 13.0)
    far = lane.left + lane.width - (13.0 if lane.side == 1 else 7.0)

    def text(role: str, x: float, dy: float, words: str, anchor: Anchor = "start") -> Mark:
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
    value = filled("{wave}{height}", wave=wave, height=format_length(flag.height - flag.base, unit))
    marks += [text("flag-label", inset, -3.5, flag.label), text("flag-value", inset, 11.5, value)]
    if flag.change is not None:
        by = format_length(abs(flag.change), unit)
        marks.append(text("flag-change", far, 11.5, by, "end"))
        x = far - text_width(by, "flag-change") - 5.0
        marks.append(_path(flag, posture, "change-arrow", _arrow(x, place + 7.0, flag.change > 0)))
    if flag.state == "limit":
        bar = lane.left + (3.0 if lane.side == 1 else lane.width - 3.0)
        data = f"M{number(bar)} {number(place - FLAG_H / 2)}L{number(bar)} {number(place + FLAG_H / 2)}"
        marks.append(_path(flag, posture, "stop-bar", data))
    return marks


def _arrow(x: float, y: float, up: bool) -> str:
    way = -1 if up else 1
    return (
        f"M{number(x - 3.5)} {number(y - way * 3)}L{number(x + 3.5)} {number(y - way * 3)}"
        f"L{number(x)} {number(y + way * 4)}Z"
    )


STATES = {
    "limit": msg("as far as the equipment goes"),
    "estimated": msg("estimated"),
    "overruled": msg("your own value"),
}


def said_of(flag: Flag, posture: str, unit: LengthUnit) -> str:
    """Return a flag in words, for whoever does not see it."""
    value = format_length(flag.height - flag.base, unit, with_unit=True)
    datum = "" if flag.base else msg(" over the floor")
    said = [
        filled(
            "{label}, {posture}: {value}{datum}",
            label=flag.label,
            posture=say_posture(posture),
            value=value,
            datum=datum,
        )
    ]
    if flag.change is not None:
        by = numeral(format_length(abs(flag.change), unit, with_unit=True))
        said.append(msg("up {by}", by=by) if flag.change > 0 else msg("down {by}", by=by))
    if flag.state in STATES:
        said.append(STATES[flag.state])
    return joined(", ", said)
