"""Screens from above: where they stand, and how wide a plan has to be to show them."""

from __future__ import annotations

from math import cos, radians, sin

from ..workstation import Details, Settings, SideScreen
from .marks import Point

SPAN_MM = (-570.0, 620.0)
"""What a plan shows at least from left to right of the midline, mm."""
USUAL_DISTANCE_MM, MOST_AHEAD_MM, BRIDGE_MM = 625.0, 900.0, 80.0
"""Where a screen is drawn whose distance is not known; how far away one is drawn at most; and the eye before the
shoulders, mm. Source: house-chain."""


def span_across(details: Details, settings: Settings, mirror: float) -> tuple[float, float]:
    """What is shown from left to right of the midline, mm, every screen within."""
    ends = [mirror * x for x in _screen_ends(details, settings)]
    return (min(SPAN_MM[0], *ends), max(SPAN_MM[1], *ends)) if ends else SPAN_MM


def side_picture(screen: SideScreen, settings: Settings) -> tuple[list[Point], Point]:
    """Return a further screen from above: its ends and its middle, mm."""
    _, distance, bearing = settings.of_screen(screen.id)
    far = min(distance or USUAL_DISTANCE_MM, MOST_AHEAD_MM) + BRIDGE_MM
    return picture(far, bearing or 0.0, screen.width or 450.0)


def _screen_ends(details: Details, settings: Settings) -> list[float]:
    """How far the other screens reach to the sides, mm."""
    return [x for screen in details.side_screens for x, _ in side_picture(screen, settings)[0]]


def picture(far: float, bearing: float, wide: float) -> tuple[list[Point], Point]:
    """A screen from above: its ends and its middle, square to the line of sight."""
    a = radians(bearing)
    middle = (far * sin(a), far * cos(a))
    x, y = wide / 2 * cos(a), wide / 2 * sin(a)
    return [(middle[0] - x, middle[1] + y), (middle[0] + x, middle[1] - y)], middle
