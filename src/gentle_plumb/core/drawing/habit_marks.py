"""Habits on the figure: a field for each, fanned out on both sides, tied to the joint it is seen at."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from textwrap import wrap

from ..language import filled
from ..observation import HABITS, Habit
from .marks import Mark, Point, Sheet, number
from .pose import Pose

FIELD_H, GAP = 44.0, 3.0
"""A field's height (for a finger) and the least room between two, px."""
TIGHT_PX = 680.0
"""Drawings narrower than this have narrower fields."""
PITCH = (16.0, 16.0, 14.0)
"""From line to line on a field of one, two and three lines, px."""


def field_size(width: float) -> tuple[float, int]:
    """Width of a field in px on a drawing this wide, and the letters on a line of it."""
    return (128.0, 17) if width < TIGHT_PX else (178.0, 25)


@dataclass(frozen=True, kw_only=True)
class _Placed:
    habit: Habit
    joint: Point
    y: float
    height: float


def _joint(pose: Pose, habit: Habit) -> Point:
    """Where a habit is seen, mm; the back half-way up the trunk."""
    if habit.at == "back":
        return (
            (pose.hip[0] + pose.shoulder[0]) / 2 - 95 * pose.scale,
            (pose.hip[1] + pose.shoulder[1]) / 2,
        )
    positions: Point = getattr(pose, habit.at)
    return positions


def _stacked(habits: list[tuple[Habit, Point]], top: float, bottom: float) -> list[_Placed]:
    """Fields one under the other, in the order of their joints, as even as there is room."""
    ordered = sorted(habits, key=lambda mark: mark[1][1])
    room = (bottom - top) / max(1, len(ordered))
    height = max(FIELD_H, min(room - GAP, FIELD_H + 8))
    return [
        _Placed(habit=habit, joint=joint, height=height, y=top + index * room + (room - height) / 2)
        for index, (habit, joint) in enumerate(ordered)
    ]


def habits_for(posture: str) -> list[Habit]:
    """The habits that can be seen in a posture, from the head down."""
    return [habit for habit in HABITS.values() if habit.posture == posture and habit.on_figure]


def ink_habits(
    pose: Pose,
    sheet: Sheet,
    seen: Mapping[str, str],
    *,
    posture: str,
    width: float,
    top: float,
    bottom: float,
) -> list[Mark]:
    """Marks of all habits of a posture.

    Parameters
    ----------
    pose, sheet
        The figure, and where it stands.
    seen : mapping
        Habits that were seen, by identifier, with what is said of each (``often, right``).
    posture : {"seated", "standing"}
    width, top, bottom : float
        Room for the fields, px.

    """
    placed = [(habit, sheet.at(_joint(pose, habit))) for habit in habits_for(posture)]
    placed.sort(key=lambda mark: mark[1][0])
    half = len(placed) // 2
    wide, letters = field_size(width)
    marks: list[Mark] = []
    for side, members in ((0, placed[:half]), (1, placed[half:])):
        left = 6.0 if side == 0 else width - wide - 6.0
        edge = left + wide if side == 0 else left
        for one in _stacked(members, top, bottom):
            marks += _field(one, left, edge, seen.get(one.habit.id), wide, letters)
    return [mark for mark in marks if mark.role == "habit-leader"] + [
        mark for mark in marks if mark.role != "habit-leader"
    ]


def _field(
    placed: _Placed, left: float, edge: float, said: str | None, wide: float, letters: int
) -> list[Mark]:
    habit, on = placed.habit, said is not None
    middle = placed.y + placed.height / 2
    text = filled("{label}: {said}", label=habit.label, said=said.lower()) if said else habit.label
    lines = wrap(text, letters)[: len(PITCH)]
    pitch = PITCH[len(lines) - 1]
    first = middle + 4.5 - pitch / 2 * (len(lines) - 1)
    state = "on" if on else "off"
    joint = placed.joint
    return [
        Mark(
            kind="path",
            role="habit-leader",
            d=f"M{number(edge)} {number(middle)}L{number(joint[0])} {number(joint[1])}",
        ),
        Mark(kind="dot", role="habit-joint", x=joint[0], y=joint[1], size=3.0),
        Mark(
            kind="path",
            role=f"habit-{state}",
            part=habit.id,
            posture="habit",
            text=habit.label,
            d=f"M{number(left)} {number(placed.y)}h{number(wide)}v{number(placed.height)}"
            f"h{number(-wide)}Z",
        ),
        *(
            Mark(
                kind="text",
                role=f"habit-text-{state}",
                x=left + 9,
                y=first + pitch * index,
                text=line,
            )
            for index, line in enumerate(lines)
        ),
    ]
