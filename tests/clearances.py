"""What covers what in a drawing: labels as boxes, body and furniture as polygons, in px."""

from __future__ import annotations

import re
from itertools import combinations, pairwise

from gentle_plumb.core.drawing import INKS
from gentle_plumb.core.drawing.lettering import text_box

SOLID = (
    *("piece", "piece-faint", "device", "stack", "cushion", "clash", "wall", "letters"),
    *("figure-fill", "figure-arm-fill", "ghost-fill", "ghost-arm-fill"),
    *("figure-fill-faint", "figure-arm-fill-faint"),
)
"""Filled things a flag may not lie on."""
STROKES = ("picture", "picture-side", "backrest", "column")
"""Lines of pieces a flag may not lie on."""
ON_THE_BODY = ("dial-on", "dial-off")
"""Words that belong on the figure itself."""
SLACK_PX = 0.5


def points_of(data: str) -> list[list[tuple[float, float]]]:
    """The sub-paths of path data as points, ends and control points of curves alike."""
    return [
        [(float(x), float(y)) for x, y in re.findall(r"(-?[\d.]+)[ ,](-?[\d.]+)", part)]
        for part in re.split(r"(?=M)", data)
        if part
    ]


def box_of(points):
    xs, ys = zip(*points, strict=True)
    return min(xs), min(ys), max(xs), max(ys)


def overlap(one, other, slack=SLACK_PX):
    return (
        min(one[2], other[2]) - max(one[0], other[0]) > slack
        and min(one[3], other[3]) - max(one[1], other[1]) > slack
    )


def inside(point, polygon):
    x, y = point
    result = False
    for (x1, y1), (x2, y2) in zip(polygon, [*polygon[1:], polygon[0]], strict=True):
        if (y1 > y) != (y2 > y) and x < (x2 - x1) * (y - y1) / (y2 - y1) + x1:
            result = not result
    return result


def crosses(start, end, box):
    """Whether a segment runs through a box (Liang and Barsky)."""
    (x1, y1), (x2, y2) = start, end
    low, high = 0.0, 1.0
    for delta, near, far in (
        (x2 - x1, box[0] - x1, box[2] - x1),
        (y2 - y1, box[1] - y1, box[3] - y1),
    ):
        if abs(delta) < 1e-9:
            if near > 0 or far < 0:
                return False
            continue
        ends = sorted((near / delta, far / delta))
        low, high = max(low, ends[0]), min(high, ends[1])
    return low < high


def covers(box, mark):
    """Whether a box lies on a filled or drawn mark."""
    inner = (box[0] + SLACK_PX, box[1] + SLACK_PX, box[2] - SLACK_PX, box[3] - SLACK_PX)
    closed = mark.role in SOLID
    for points in points_of(mark.d):
        edges = list(pairwise(points))
        if closed:
            edges.append((points[-1], points[0]))
        if any(crosses(a, b, inner) for a, b in edges):
            return True
        if closed and inside(((inner[0] + inner[2]) / 2, (inner[1] + inner[3]) / 2), points):
            return True
    return False


def words_of(scene):
    """Every word with its box; those of one flag belong together."""
    return [
        (mark, text_box(mark.text, mark.role, mark.x, mark.y, mark.anchor))
        for mark in scene.marks
        if mark.kind == "text"
    ]


def flags_of(scene):
    return [
        (mark, box_of(points_of(mark.d)[0]))
        for mark in scene.marks
        if mark.kind == "path" and mark.role.startswith("flag-")
    ]


def faults(scene):
    """Everything in a drawing that covers something it must not, in words."""
    found = []
    solid = [
        mark
        for mark in scene.marks
        if mark.kind == "path" and mark.role in (*SOLID, *STROKES) and mark.d
    ]
    flags, words = flags_of(scene), words_of(scene)
    labels = [(f"flag {mark.part} {mark.posture}", box) for mark, box in flags]
    outside = [(mark, box) for mark, box in words if not mark.role.startswith(("flag-", "staff-"))]
    labels += [(f"{mark.role} {mark.text}", box) for mark, box in outside]
    for name, box in labels:
        if box[0] < -SLACK_PX or box[2] > scene.width + SLACK_PX or box[1] < 0:
            found.append(f"{name} leaves the sheet: {box}")
        if box[3] > scene.height:
            found.append(f"{name} leaves the sheet: {box}")
    for (name, box), (other, second) in combinations(labels, 2):
        if overlap(box, second):
            found.append(f"{name} on {other}")
    for name, box in labels:
        if name.startswith(ON_THE_BODY):
            continue
        found += [
            f"{name} covers {mark.role} {mark.part} {mark.posture}"
            for mark in solid
            if covers(box, mark)
        ]
    return found


assert set(SOLID) | set(STROKES) <= set(INKS)
