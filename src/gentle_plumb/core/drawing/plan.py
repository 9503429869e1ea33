"""The plan: shoulders, keys, mouse and screen from above, with the arm's angle."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from math import cos, pi, radians, sin

from ..fit import NEAR_MM, Case, Joint, zones_of
from ..posture import reach_to_keys
from ..units import LengthUnit, format_length
from ..workstation import (
    KEYBOARD_LEFT_MM,
    KEYBOARD_RIGHT_MM,
    OUTERMOST_LETTER_MM,
    Details,
    Settings,
    SideScreen,
)
from .marks import Mark, Point, arc, box, number, polyline, smooth
from .pose import drawable

ZONE_MM = {"phone": (45.0, 60.0), "paper": (110.0, 75.0), "writing": (110.0, 80.0)}
"""Half the breadth and depth that a zone is drawn with, mm. Source: house-phone, house-paper."""
SPAN_MM = (-570.0, 620.0)
"""What the plan shows from left to right of the midline, mm."""


def ink_plan(
    case: Case,
    settings: Settings,
    details: Details,
    joint: Joint | None,
    *,
    left: float,
    top: float,
    width: float,
    height: float,
    unit: LengthUnit,
) -> tuple[list[Mark], float]:
    """Marks of the plan and its scale: the person at the bottom looking up the sheet.

    Parameters
    ----------
    left, top, width, height : float
        The room for it, px.

    """
    body, known = drawable(case.body)
    reach = reach_to_keys(
        elbow_fingertip_length=body.mm("elbow_fingertip_length"), hand_length=body.mm("hand_length")
    )
    hand = case.workstation.mouse.hand
    mirror = -1.0 if hand == "left" else 1.0
    distance = min(settings.distance if settings.distance is not None else 625.0, 900.0)
    low, high = -150.0, max(distance + 130.0, 640.0)
    span = _span_across(details, settings, mirror)
    scale = min(width / (span[1] - span[0]), height / (high - low))
    x0 = left + width / 2 - mirror * scale * (span[0] + span[1]) / 2
    y0 = top + height + scale * low

    def at(x: float, y: float) -> Point:
        return x0 + scale * x, y0 - scale * y

    marks: list[Mark] = []

    def shape(
        role: str,
        points: Sequence[Point],
        part: str = "",
        *,
        closed: bool = True,
        curved: bool = False,
    ) -> None:
        placed = [at(*point) for point in points]
        data = smooth(placed, closed=closed) if curved else polyline(placed, closed=closed)
        marks.append(Mark(kind="path", role=role, d=data, part=part, posture="plan"))

    half = body.mm("shoulder_breadth_biacromial") / 2
    wide = body.mm("shoulder_breadth_bideltoid") / 2
    tail = "" if known else "-faint"
    screen = case.workstation.screen
    if screen.kind is not None:
        sides, middle = _picture(
            distance + 80, settings.screen_bearing or 0.0, screen.width or 310.0
        )
        shape("picture", sides, "screen_top", closed=False)
        shape("gaze", [(0, 100), middle], "distance", closed=False)
    _beside(shape, details, settings)
    marks += _zones(case, at)
    for side in (-1.0, 1.0):
        shape("reach", arc((side * half, 0), NEAR_MM, 0.05 * pi, 0.95 * pi), closed=False)
    off = settings.keys_midline or 0.0
    _keyboard(shape, case, reach, off)
    shoulders = [
        (-wide, 0),
        (-wide * 0.7, 72),
        (0, 84),
        (wide * 0.7, 72),
        (wide, 0),
        (wide * 0.7, -72),
        (0, -92),
        (-wide * 0.7, -72),
    ]
    shape(f"figure-line{tail}", shoulders, curved=True)
    shape(f"figure-fill{tail}", shoulders, curved=True)
    head = [(-72, 10), (-58, 88), (0, 118), (58, 88), (72, 10), (50, -62), (0, -84), (-50, -62)]
    shape(f"figure-arm-line{tail}", head, curved=True)
    shape(f"figure-arm-fill{tail}", head, curved=True)
    _keys_arm(shape, case, half * mirror, mirror, (off, reach - 10))
    if settings.mouse is not None and hand is not None:
        x, y = mirror * settings.mouse, reach - 10
        off = joint is not None and bool(joint.over)
        shape(
            "device",
            [(x - 30, y - 45), (x + 30, y - 45), (x + 30, y + 20), (x, y + 58), (x - 30, y + 20)],
            "mouse",
            curved=True,
        )
        elbow = _elbow(case, joint, half * mirror, mirror, body.mm("shoulder_elbow_length"))
        shape("limb", [(half * mirror, 0), elbow, (x, y)], "mouse", closed=False)
        text_x, text_y = at(x + 46 * mirror, y - 20)
        angle = "" if joint is None or joint.angle is None else f" · {joint.angle:.0f}°"
        marks.append(
            Mark(
                kind="text",
                role="dial-off" if off else "rule-value",
                x=text_x,
                y=text_y,
                text=f"{format_length(settings.mouse, unit)}{angle}",
                part="mouse",
                anchor="end" if mirror < 0 else "start",
                posture="plan",
            )
        )
    marks.append(
        Mark(
            kind="path",
            role="midline",
            posture="plan",
            d=f"M{number(x0)} {number(at(0, low + 20)[1])}L{number(x0)} {number(at(0, high)[1])}",
        )
    )
    marks.append(
        Mark(
            kind="text",
            role="caption",
            x=left,
            y=top + height - 4,
            text="Plan view",
            posture="plan",
        )
    )
    return marks, scale * mirror


def _keyboard(shape: Callable[..., None], case: Case, reach: float, off: float) -> None:
    """The keyboard with its letters, its B key so far off the midline, mm."""
    kind = case.workstation.keyboard.kind
    if kind is None:
        return
    left, right = off - KEYBOARD_LEFT_MM, off + KEYBOARD_RIGHT_MM[kind]
    shape("piece", box(left, reach - 80, right, reach + 70), "keys")
    shape("letters", box(left + 14, reach - 62, off + 150, reach + 52), "keys")


def _keys_arm(
    shape: Callable[..., None], case: Case, shoulder: float, side: float, letters: Point
) -> None:
    """The arm without the mouse, its hand on the outermost letter of its side."""
    if case.workstation.keyboard.kind is not None:
        hand = letters[0] - OUTERMOST_LETTER_MM * side, letters[1]
        shape("limb", [(-shoulder, 0.0), (-shoulder, 20.0), hand], "keys", closed=False)


def _span_across(details: Details, settings: Settings, mirror: float) -> tuple[float, float]:
    """What is shown from left to right of the midline, mm, every screen within."""
    ends = [mirror * x for x in _screen_ends(details, settings)]
    return (min(SPAN_MM[0], *ends), max(SPAN_MM[1], *ends)) if ends else SPAN_MM


def _zones(case: Case, at: Callable[[float, float], Point]) -> list[Mark]:
    """Where phone and paper belong, within the plan's room."""
    marks = []
    for zone in zones_of(case):
        if abs(zone.x) > SPAN_MM[1]:
            continue
        half_w, half_h = ZONE_MM[zone.id]
        corners = box(zone.x - half_w, zone.y - half_h, zone.x + half_w, zone.y + half_h)
        marks.append(
            Mark(
                kind="path",
                role="piece-faint",
                posture="plan",
                d=polyline([at(*point) for point in corners], closed=True),
            )
        )
        x, y = at(zone.x, zone.y - half_h)
        marks.append(
            Mark(
                kind="text",
                role="caption",
                x=x,
                y=y + 13,
                text=zone.label,
                anchor="middle",
                posture="plan",
            )
        )
    return marks


def _beside(shape: Callable[..., None], details: Details, settings: Settings) -> None:
    """Other screens with their lines of sight, and the armrests."""
    for other in details.side_screens:
        ends, middle = _side_picture(other, settings)
        shape("picture-side", ends, closed=False)
        shape("midline", [(0, 100), middle], closed=False)
    if details.armrest_gap is not None:
        for side in (-1.0, 1.0):
            near, out = side * details.armrest_gap / 2, side * (details.armrest_gap / 2 + 60)
            shape("piece-faint", box(min(near, out), -40, max(near, out), 190), "armrest")


def _side_picture(screen: SideScreen, settings: Settings) -> tuple[list[Point], Point]:
    _, distance, bearing = settings.of_screen(screen.id)
    far = min(distance or 625.0, 900.0) + 80
    return _picture(far, bearing or 0.0, screen.width or 450.0)


def _screen_ends(details: Details, settings: Settings) -> list[float]:
    """How far the other screens reach to the sides, mm."""
    return [x for screen in details.side_screens for x, _ in _side_picture(screen, settings)[0]]


def _picture(far: float, bearing: float, wide: float) -> tuple[list[Point], Point]:
    """A screen from above: its ends and its middle, square to the line of sight."""
    a = radians(bearing)
    middle = (far * sin(a), far * cos(a))
    x, y = wide / 2 * cos(a), wide / 2 * sin(a)
    return [(middle[0] - x, middle[1] + y), (middle[0] + x, middle[1] - y)], middle


def _elbow(case: Case, joint: Joint | None, shoulder: float, side: float, upper: float) -> Point:
    """Where the elbow is seen from above: out by the upper arm's angle, hanging otherwise."""
    angle = joint.angle if joint is not None and joint.angle is not None else 0.0
    return shoulder + side * upper * sin(radians(angle)), 20.0
