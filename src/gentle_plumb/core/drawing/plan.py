"""The plan: shoulders, keys, mouse and screen from above, with the arm's angle."""

from __future__ import annotations

from math import pi, radians, sin

from ..fit import NEAR_MM, Case, Joint, zones_of
from ..language import filled, msg, numeral
from ..units import LengthUnit, format_length
from ..workstation import (
    KEYBOARD_LEFT_MM,
    KEYBOARD_RIGHT_MM,
    OUTERMOST_LETTER_MM,
    PointerKind,
    Settings,
)
from .label_places import Box, Candidate
from .marks import Mark, Point, arc, box
from .plan_screens import BRIDGE_MM, SPAN_MM, picture, side_picture
from .plan_sheet import PlanSheet

ZONE_MM = {"phone": (45.0, 60.0), "paper": (110.0, 75.0), "writing": (110.0, 80.0)}
"""Half the breadth and depth that a zone is drawn with, mm. Source: house-phone, house-paper."""


def ink_plan(
    case: Case,
    settings: Settings,
    joint: Joint | None,
    *,
    left: float,
    top: float,
    width: float,
    height: float,
    words: Box,
    unit: LengthUnit,
) -> tuple[list[Mark], float]:
    """Marks of the plan and its scale, negative where the mouse lies to the left.

    Parameters
    ----------
    case, settings
    joint : Joint, optional
        The upper arm of the mouse.
    left, top, width, height : float
        The room for it, px.
    words : tuple
        The room that its words may use, px.

    """
    plan = PlanSheet(case, settings, left=left, top=top, width=width, height=height, words=words)
    _screens(plan)
    half = plan.body.mm("shoulder_breadth_biacromial") / 2
    plan.shape("midline", [(0, plan.low + 20), (0, plan.high)], closed=False, over=True)
    for side in (-1.0, 1.0):
        bow = arc((side * half, 0), NEAR_MM, 0.05 * pi, 0.95 * pi)
        plan.shape("reach", bow, closed=False, over=True)
    _armrests(plan)
    off = settings.keys_midline or 0.0
    _keyboard(plan, off)
    _shoulders_and_head(plan)
    _keys_arm(plan, half * plan.mirror, (off, plan.reach - 10))
    zones = _zones(plan)
    _pointer(plan, joint, half * plan.mirror, unit)
    for label, middle, size in zones:
        plan.words.put(label, "caption", plan.around(middle, size, "below"))
    x1, y1, x2, y2 = plan.room
    corners: list[Candidate] = [
        (x1 + 3, y2 - 5, "start"),
        (x2 - 3, y2 - 5, "end"),
        (x1 + 3, y1 + 14, "start"),
        (x2 - 3, y1 + 14, "end"),
    ]
    plan.words.put(msg("From above"), "caption", corners)
    return [*plan.marks, *plan.words.marks], plan.scale * plan.mirror


def _screens(plan: PlanSheet) -> None:
    """The main screen and the others, with their lines of sight."""
    screen, settings = plan.case.workstation.screen, plan.settings
    if screen.kind is not None:
        ends, middle = picture(
            plan.distance + BRIDGE_MM, settings.screen_bearing or 0.0, screen.width or 310.0
        )
        plan.shape("picture", ends, "screen_top", closed=False)
        plan.shape("gaze", [(0, 100), middle], "distance", closed=False)
    for other in plan.details.side_screens:
        ends, middle = side_picture(other, settings)
        plan.shape("picture-side", ends, closed=False)
        plan.shape("midline", [(0, 100), middle], closed=False)


def _armrests(plan: PlanSheet) -> None:
    gap = plan.settings.armrest_gap or plan.details.armrest_gap
    if gap is None:
        return
    for side in (-1.0, 1.0):
        near, out = side * gap / 2, side * (gap / 2 + 60)
        plan.shape("piece-faint", box(min(near, out), -40, max(near, out), 190), "armrest")


def _keyboard(plan: PlanSheet, off: float) -> None:
    """The keyboard with its letters, its B key so far off the midline, mm."""
    kind = plan.case.workstation.keyboard.kind
    if kind is None:
        return
    left, right = off - KEYBOARD_LEFT_MM, off + KEYBOARD_RIGHT_MM[kind]
    plan.shape("piece", box(left, plan.reach - 80, right, plan.reach + 70), "keys")
    plan.shape("letters", box(left + 14, plan.reach - 62, off + 150, plan.reach + 52), "keys")


def _shoulders_and_head(plan: PlanSheet) -> None:
    wide, tail = plan.body.mm("shoulder_breadth_bideltoid") / 2, "" if plan.known else "-faint"
    shoulders: list[Point] = [
        (-wide, 0),
        (-wide * 0.7, 72),
        (0, 84),
        (wide * 0.7, 72),
        (wide, 0),
        (wide * 0.7, -72),
        (0, -92),
        (-wide * 0.7, -72),
    ]
    head: list[Point] = [
        (-72, 10),
        (-58, 88),
        (0, 118),
        (58, 88),
        (72, 10),
        (50, -62),
        (0, -84),
        (-50, -62),
    ]
    for role, points in (("figure", shoulders), ("figure-arm", head)):
        for layer in ("line", "fill"):
            plan.shape(f"{role}-{layer}{tail}", points, curved=True)


def _keys_arm(plan: PlanSheet, shoulder: float, letters: Point) -> None:
    """The arm without the mouse, its hand on the outermost letter of its side."""
    if plan.case.workstation.keyboard.kind is not None:
        hand = letters[0] - OUTERMOST_LETTER_MM * plan.mirror, letters[1]
        plan.shape("limb", [(-shoulder, 0.0), (-shoulder, 20.0), hand], "keys", closed=False)


def _pointer(plan: PlanSheet, joint: Joint | None, shoulder: float, unit: LengthUnit) -> None:
    """The pointer with its arm: beside the keys, or a central one before them."""
    aside = plan.settings.mouse
    if aside is None or plan.hand is None:
        return
    x, y = plan.mirror * aside, plan.reach - 10
    size: Point = (30.0, 55.0)
    if plan.case.workstation.mouse.kind == PointerKind.CENTRAL:
        y, size = plan.reach - 125, (120.0, 24.0)
        plan.shape("device", box(x - 120, y - 24, x + 120, y + 24), "mouse")
    else:
        mouse: list[Point] = [
            (x - 30, y - 45),
            (x + 30, y - 45),
            (x + 30, y + 20),
            (x, y + 58),
            (x - 30, y + 20),
        ]
        plan.shape("device", mouse, "mouse", curved=True)
    elbow = _elbow(joint, shoulder, plan.mirror, plan.body.mm("shoulder_elbow_length"))
    plan.shape("limb", [(shoulder, 0), elbow, (x, y)], "mouse", closed=False)
    off = joint is not None and bool(joint.excess_deg)
    angle = (
        ""
        if joint is None or joint.angle is None
        else filled("{angle}°", angle=numeral(f"{joint.angle:.0f}"))
    )
    number, role = format_length(aside, unit), "dial-off" if off else "rule-value"
    outside = "left" if plan.mirror < 0 else "right"

    def put(text: str) -> bool:
        return plan.words.put(text, role, plan.around((x, y), size, outside), "mouse")

    if not angle or not put(filled("{number} · {angle}", number=number, angle=angle)):
        put(number)  # where both have no room on one line, each has its own
        if angle:
            put(angle)


def _zones(plan: PlanSheet) -> list[tuple[str, Point, Point]]:
    """Where phone and paper belong, within the plan's room: names, middles and half sizes, mm."""
    zones = []
    for zone in zones_of(plan.case):
        if abs(zone.x) > SPAN_MM[1]:
            continue
        half_w, half_h = ZONE_MM[zone.id]
        corners = box(zone.x - half_w, zone.y - half_h, zone.x + half_w, zone.y + half_h)
        plan.shape("piece-faint", corners)
        zones.append((zone.label, (zone.x, zone.y), (half_w, half_h)))
    return zones


def _elbow(joint: Joint | None, shoulder: float, side: float, upper: float) -> Point:
    """Where the elbow is seen from above: out by the upper arm's angle, hanging otherwise."""
    angle = joint.angle if joint is not None and joint.angle is not None else 0.0
    return shoulder + side * upper * sin(radians(angle)), 20.0
