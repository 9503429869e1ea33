"""The body chart: every region on the body, in its own place."""

import re
from itertools import pairwise
from math import hypot

from gentle_plumb.core.drawing import body_chart
from gentle_plumb.core.intake import REGIONS


def inside(point, outline):
    """Whether a point lies in a polygon, by the crossings of a ray."""
    x, y = point
    crossed = False
    for (x1, y1), (x2, y2) in pairwise([*outline, outline[0]]):
        if (y1 > y) != (y2 > y) and x < (x2 - x1) * (y - y1) / (y2 - y1) + x1:
            crossed = not crossed
    return crossed


def test_every_region_of_the_body_lies_on_it_and_has_its_own_place():
    line, fill = body_chart()
    assert line.d == fill.d
    parts = []
    for part in re.findall(r"M([^MZ]+)Z", line.d):
        numbers = [float(n) for n in re.findall(r"-?\d+\.\d", part)]
        step = 6 if "C" in part else 2
        start = [tuple(numbers[:2])]
        ends = [tuple(numbers[i + step - 2 : i + step]) for i in range(2, len(numbers) - 1, step)]
        parts.append(start + ends)
    for region in REGIONS.values():
        assert any(inside((region.x, region.y), part) for part in parts), region.id
    for view in ("front", "back"):
        mine = [region for region in REGIONS.values() if region.view == view]
        for one in mine:
            nearest = min(mine, key=lambda r: hypot((r.x - one.x) / r.w, (r.y - one.y) / r.h))
            assert nearest is one


def test_every_region_can_be_hit_at_the_size_of_a_desk():
    """24 px at 1.2 px to a unit, as the map is drawn beside the panel at 1280 by 800."""
    assert {id for id, region in REGIONS.items() if 1.2 * 2 * min(region.w, region.h) < 24} == set()


def test_left_and_right_change_sides_from_behind():
    nape = REGIONS["nape"].x
    assert REGIONS["shoulder_front_left"].x > nape > REGIONS["shoulder_front_right"].x
    assert REGIONS["shoulder_top_left"].x < nape < REGIONS["shoulder_top_right"].x
