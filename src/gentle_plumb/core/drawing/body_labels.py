"""Heights of the body itself, eye and elbow, written behind the figure: nobody sets them."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

from ..fit import Case
from ..language import msg
from ..units import LengthUnit, format_length
from .flags import fan_out
from .lettering import text_width
from .marks import Mark, Point, Sheet, number
from .outline import Shape
from .scene_request import DrawnPosture, eye_and_elbow_heights

LABEL_H, GAP_PX = 30.0, 9.0
NAMES = {"eye": msg("Eye"), "elbow": msg("Elbow")}
NEAR_MM = 75.0
"""Height of a label and its gap to the body, px; names; and how near in height a part has to be to stand in
its way, mm."""


def label_room(unit: LengthUnit) -> float:
    """Return how wide a label is at most, px."""
    widest = format_length(1999.0, unit)
    return max(
        text_width(widest, "body-value"), *(text_width(name, "body-label") for name in NAMES)
    )


def heights_of(case: Case, side: DrawnPosture) -> list[tuple[str, float]]:
    """Return the part and height over the floor of what is written, mm, the highest first."""
    pairs = zip(("eye", "elbow"), eye_and_elbow_heights(case, side), strict=True)
    return [(part, height) for part, height in pairs if height is not None]


IN_THE_WAY = ("figure-fill", "ghost-fill", "backrest", "piece", "column", "cushion", "castor")
"""Roles of what may stand behind a figure."""


def back_at(shapes: Sequence[Shape], height: float) -> float:
    """Return how far back anything reaches near a height, mm."""
    values = [0.0]
    for shape in shapes:
        if not shape.role.startswith(IN_THE_WAY):
            continue
        for points, _ in shape.outlines:
            values += _backs(points, height - NEAR_MM, height + NEAR_MM)
        if shape.centre is not None and not shape.text and not shape.fixed:
            x, y = shape.centre
            if abs(y - height) < shape.radius + NEAR_MM:
                values.append(x - shape.radius)
    return min(values)


def _backs(points: Sequence[Point], low: float, high: float) -> list[float]:
    """Where a path is between two heights, mm: its points, and where it comes in and goes out."""
    backs = [x for x, y in points if low < y < high]
    for (x1, y1), (x2, y2) in pairwise([*points, points[0]]):
        for edge in (low, high):
            if (y1 - edge) * (y2 - edge) < 0:
                backs.append(x1 + (x2 - x1) * (edge - y1) / (y2 - y1))
    return backs


@dataclass(frozen=True, kw_only=True)
class BodyHeight:
    """A height of the body to be written: its part and posture, mm over the floor, and how far back it ends."""

    part: str
    posture: str
    height: float
    back: float


def ink_body_labels(
    heights: Sequence[BodyHeight], sheet: Sheet, unit: LengthUnit, width: float
) -> list[Mark]:
    """Marks of the heights of the body on one sheet, behind the figure and clear of each other."""
    facing, room = sheet.facing, label_room(unit)
    placed = sorted(
        ((height, sheet.at((height.back, height.height))) for height in heights),
        key=lambda pair: pair[1][1],
    )
    places = fan_out(
        [positions[1] for _, positions in placed], size=LABEL_H, low=LABEL_H, high=sheet.y0
    )
    marks: list[Mark] = []
    for (height, positions), y in zip(placed, places, strict=True):
        end = positions[0] - facing * GAP_PX
        end = max(end, room + 3) if facing == 1 else min(end, width - room - 3)
        # a longer name, in another language, grows towards the figure: at the edge it would be cut off
        for role, drop, text, x in (
            ("body-label", -2.0, NAMES[height.part], end - facing * room),
            ("body-value", 11.0, format_length(height.height, unit), end),
        ):
            towards = (facing == 1) == (role == "body-label")
            marks.append(
                Mark(
                    kind="text",
                    role=role,
                    x=x,
                    y=y + drop,
                    text=text,
                    anchor="start" if towards else "end",
                    part=height.part,
                    posture=height.posture,
                )
            )
        data = f"M{number(end + facing * 3)} {number(positions[1])}L{number(positions[0])} {number(positions[1])}"
        marks.append(
            Mark(kind="path", role="leader", d=data, part=height.part, posture=height.posture)
        )
    return marks
