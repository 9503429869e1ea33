"""The sheet a plan is drawn on: its scale, its marks, and places for its words."""

from __future__ import annotations

from collections.abc import Iterator

from ..fit import Case
from ..posture import reach_to_keys
from ..workstation import Settings
from .label_places import Box, Candidate, LabelPlaces
from .marks import Mark, Point, polyline, smooth
from .plan_screens import MOST_AHEAD_MM, USUAL_DISTANCE_MM, span_across
from .pose import body_to_draw

BEHIND_MM, BEYOND_MM, LEAST_AHEAD_MM = 150.0, 130.0, 640.0
"""What the plan shows behind the midline's start, beyond the screen, and ahead at least, mm."""


class PlanSheet:
    """The plan in the making: the person at the bottom looking up the sheet."""

    def __init__(
        self,
        case: Case,
        settings: Settings,
        *,
        left: float,
        top: float,
        width: float,
        height: float,
        words: Box,
    ) -> None:
        self.case, self.settings, self.details = case, settings, case.details
        self.body, self.known = body_to_draw(case)
        self.reach = reach_to_keys(
            elbow_fingertip_length=self.body.mm("elbow_fingertip_length"),
            hand_length=self.body.mm("hand_length"),
        )
        self.hand = case.workstation.mouse.hand
        self.mirror = -1.0 if self.hand == "left" else 1.0
        self.distance = min(settings.distance or USUAL_DISTANCE_MM, MOST_AHEAD_MM)
        low, high = -BEHIND_MM, max(self.distance + BEYOND_MM, LEAST_AHEAD_MM)
        span = span_across(self.details, settings, self.mirror)
        self.scale = min(width / (span[1] - span[0]), height / (high - low))
        self._x0 = left + width / 2 - self.mirror * self.scale * (span[0] + span[1]) / 2
        self._y0 = top + height + self.scale * low
        self.low, self.high = low, high
        self.marks: list[Mark] = []
        self.room = (left, top, left + width, top + height)
        self.words = LabelPlaces(words)

    def at(self, point: Point) -> Point:
        """A point in mm, right and ahead of the midline, as pixels."""
        return self._x0 + self.scale * point[0], self._y0 - self.scale * point[1]

    def shape(
        self,
        role: str,
        points: list[Point],
        part: str = "",
        *,
        closed: bool = True,
        curved: bool = False,
        over: bool = False,
    ) -> None:
        """Add a path through points in mm; words keep off it, but for those that may lie ``over`` it."""
        placed = [self.at(point) for point in points]
        data = smooth(placed, closed=closed) if curved else polyline(placed, closed=closed)
        self.marks.append(Mark(kind="path", role=role, d=data, part=part, posture="plan"))
        if not over:
            self.words.avoid(placed, closed=closed)

    def around(self, middle: Point, half: Point, first: str = "right") -> Iterator[Candidate]:
        """Places for a word beside something of this half breadth and depth, mm: one side first."""
        x, y = self.at(middle)
        w, h = half[0] * self.scale + 5, half[1] * self.scale
        sides: dict[str, list[Candidate]] = {
            "right": [(x + w, y + dy, "start") for dy in (4.0, 18.0, -10.0)],
            "left": [(x - w, y + dy, "end") for dy in (4.0, 18.0, -10.0)],
            "below": [(x, y + h + 13, "middle"), (x + w, y + h + 13, "middle")],
            "above": [(x, y - h - 5, "middle"), (x + w, y - h - 5, "middle")],
        }
        yield from sides.pop(first)
        for places in sides.values():
            yield from places
