"""The day as a bar: sitting low, standing high, moving between, eyes and hands in lanes below."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass

from ..language import msg
from ..pace import Fixed, Spell, clock, eye_breaks, micro_breaks
from ..record import Field, fields
from .marks import Mark, box, number, polyline

HEIGHT = 176.0
LEFT, RIGHT = 58.0, 14.0
BASE = 112.0
SIT_TOP, STAND_TOP = 70.0, 26.0
"""Where a spell ends upwards by posture, px: what one sees first is when one stands."""
EYES_Y, HANDS_Y, HOURS_Y = 126.0, 140.0, 164.0
LEAST_WORDS_PX = 26.0
"""A spell has room for its minutes from this width, px."""
LONG_WORDS_PX = 74.0
"""A spell has room for its name from this width, px."""
ROLES = {"sit": "day-sit", "stand": "day-stand", "move": "day-move"}
NAMES = {"sit": msg("sit"), "stand": msg("stand"), "move": msg("move")}


@dataclass(frozen=True, kw_only=True)
class DayHandle:
    """An edge that can be drawn along the bar: its field, where it is, and between which times.

    ``start`` is what its field counts from, minutes after midnight, where the field is a length of time;
    None where it is a time of day.
    """

    field: str
    label: str
    x: float
    at: int
    low: int
    high: int
    start: int | None = None


@dataclass(frozen=True, kw_only=True)
class DayBar:
    """The bar, its edges, and its scale: ``left`` is the px at which the hour ``first`` begins."""

    width: float
    height: float
    marks: tuple[Mark, ...]
    handles: tuple[DayHandle, ...]
    first: int
    left: float
    px_per_min: float


def draw_day(
    spells: Sequence[Spell],
    *,
    width: float,
    eye_every: int = 0,
    micro_every: int = 0,
    walks: bool = True,
) -> DayBar:
    """Draw a day.

    Parameters
    ----------
    spells : sequence of Spell
        One after the other, without a gap.
    width : float
        Pixels.
    eye_every, micro_every : int
        Minutes; 0 draws none.
    walks : bool
        Whether moving is going; else it is a shift of weight.

    """
    first, last = spells[0].at // 60 * 60, -(-spells[-1].end // 60) * 60
    scale = (width - LEFT - RIGHT) / max(60, last - first)

    def x(index: int) -> float:
        return LEFT + (index - first) * scale

    marks = [*_hours(first, last, scale, x(first), x(last))]
    for name, y in (("stand", (STAND_TOP + SIT_TOP) / 2), ("sit", (SIT_TOP + BASE) / 2)):
        if name == "sit" or any(spell.posture == "stand" for spell in spells):
            marks.append(_word("day-name", LEFT - 8, y + 4, name, "end"))
    for spell in spells:
        marks += _spell(spell, x(spell.at), x(spell.end), walks=walks)
    for name, y, times, role in (
        ("eyes", EYES_Y, eye_breaks(spells, eye_every), "day-eye"),
        ("hands", HANDS_Y, micro_breaks(spells, micro_every), "day-micro"),
    ):
        if times:
            marks.append(_word("day-name", LEFT - 8, y + 4, name, "end"))
            marks += [Mark(kind="dot", role=role, x=x(time), y=y, size=2.6) for time in times]
    return DayBar(
        width=width,
        height=HEIGHT,
        marks=tuple(marks),
        handles=tuple(_handles(spells, x)),
        first=first,
        left=LEFT,
        px_per_min=scale,
    )


def _hours(first: int, last: int, scale: float, left: float, right: float) -> list[Mark]:
    marks = [
        Mark(
            kind="path",
            role="day-axis",
            d=f"M{number(left)} {number(BASE)}L{number(right)} {number(BASE)}",
        )
    ]
    every = 60 if scale * 60 >= 44 else 120
    for index in range(first, last + 1, 60):
        x = left + (index - first) * scale
        marks.append(
            Mark(
                kind="path",
                role="day-hour-tick",
                d=f"M{number(x)} {number(BASE)}L{number(x)} {number(BASE + 5)}",
            )
        )
        if (index - first) % every == 0:
            marks.append(_word("day-hour", x, HOURS_Y, clock(index), "middle"))
    return marks


def _spell(spell: Spell, left: float, right: float, *, walks: bool) -> list[Mark]:
    if spell.lunch:
        return [
            _rect("day-lunch", left, SIT_TOP, right),
            *_said(
                (left, right), (SIT_TOP + BASE) / 2 + 4, f"{spell.minutes}", "lunch", "day-soft"
            ),
        ]
    if spell.posture == "move":
        middle = (left + right) / 2
        if not walks:
            wave = [(left, BASE), (middle, SIT_TOP), (right, BASE)]
        else:
            wave = [
                (left, BASE),
                (left, SIT_TOP),
                (middle, STAND_TOP),
                (right, SIT_TOP),
                (right, BASE),
            ]
        return [Mark(kind="path", role="day-move", d=polyline(wave, closed=True))]
    top = STAND_TOP if spell.posture == "stand" else SIT_TOP
    role = ROLES[spell.posture] + ("-fixed" if spell.meeting else "")
    inner = "day-on-stand" if spell.posture == "stand" else "day-on-sit"
    name = msg("meeting") if spell.meeting else NAMES[spell.posture]
    middle = (top + min(BASE, top + (BASE - SIT_TOP))) / 2
    return [
        _rect(role, left, top, right),
        *_said((left, right), middle + 4, f"{spell.minutes}", name, inner),
    ]


def _said(between: tuple[float, float], y: float, minutes: str, name: str, role: str) -> list[Mark]:
    """Return the minutes of a spell, with its name where there is room."""
    left, right = between
    if right - left < LEAST_WORDS_PX:
        return []
    text = (
        msg("{name} {minutes} min", name=name, minutes=minutes)
        if right - left >= LONG_WORDS_PX
        else minutes
    )
    return [_word(role, (left + right) / 2, y, text, "middle")]


def _rect(role: str, left: float, top: float, right: float) -> Mark:
    return Mark(kind="path", role=role, d=polyline(box(left, BASE, right, top), closed=True))


def _word(role: str, x: float, y: float, text: str, anchor: str) -> Mark:
    return Mark(
        kind="text", role=role, x=x, y=y, text=text, anchor="end" if anchor == "end" else "middle"
    )


def _handles(spells: Sequence[Spell], x: Callable[[int], float]) -> list[DayHandle]:
    at, start, end = fields.pace, spells[0].at, spells[-1].end
    handles = [
        DayHandle(
            field=at.start.id, label=msg("Start of work"), x=x(start), at=start, low=0, high=12 * 60
        )
    ]
    for spell in spells:
        if spell.fixed is None:
            continue
        where, long, name = _edges(spell.fixed)
        handles.append(
            DayHandle(
                field=where.id,
                label=msg("{name} begins", name=name),
                x=x(spell.at),
                at=spell.at,
                low=start,
                high=end,
            )
        )
        handles.append(
            DayHandle(
                field=long.id,
                label=msg("{name} ends", name=name),
                x=x(spell.end),
                at=spell.end,
                low=spell.at + round(long.ends[0]),
                high=spell.at + round(long.ends[1]),
                start=spell.at,
            )
        )
    return handles


def _edges(fixed: Fixed) -> tuple[Field[float], Field[float], str]:
    """Return the fields that hold when something begins and how long it is, and its name."""
    pace = fields.pace
    if fixed.own:
        own = pace.spell(fixed.id)
        return own.at, own.minutes, msg("{names} of your own", names=NAMES[fixed.posture].title())
    asked = pace.meeting.get(fixed.id)
    if asked is None:
        return pace.lunch_at, pace.lunch, msg("Lunch")
    return asked.at, asked.minutes, msg("Meeting")
