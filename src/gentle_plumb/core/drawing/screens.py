"""Screens with what holds them, and the lines of sight, from the side."""

from __future__ import annotations

from math import cos, radians, sin

from ..fit import Case
from ..workstation import ScreenHolder, ScreenKind, Settings, SideScreen
from .furniture import Place
from .marks import Point, box
from .outline import Outline
from .pose import Pose
from .supports import Layers, ink_stack, ink_wall

STAND_SHOWN_MM = 120.0
PICTURE_SHOWN_MM = 299.0
WALL_BEHIND_MM = 70.0
LAPTOP_BASE_MM, LAPTOP_DEEP_MM = 18.0, 240.0
"""What is drawn where stand or picture are not recorded; a wall behind its screen; a laptop's
keyboard, mm. Source: house-chain."""


def screen_ends(case: Case, place: Place, settings: Settings) -> tuple[Point, Point] | None:
    """The picture's lower and upper edge from the side, mm; None where it is not known."""
    top, screen = settings.screen_top, case.workstation.screen
    if top is None:
        return None
    height = screen.picture_height or PICTURE_SHOWN_MM
    tilt = radians(settings.tilt if settings.tilt is not None else 8.0)
    x = place.picture
    head: Point = (x + height * sin(tilt) * 0.5, top)
    if screen.kind == ScreenKind.LAPTOP and settings.keys is not None:
        return (place.keys + 110, settings.keys + 6), head
    return (x - height * sin(tilt) * 0.5, top - height * cos(tilt)), head


def base_of(case: Case, settings: Settings) -> float | None:
    """Return the height of what the screen stands on, mm: desk, deck, tray's desk; None if unknown."""
    desk = case.workstation.desk
    if desk.screen_base is None:
        return settings.surface
    if desk.below is not None and not desk.screen_base.fixed and settings.surface is not None:
        return settings.surface + desk.below.low
    if desk.screen_base.fixed or settings.surface is None:
        return desk.screen_base.low
    return desk.screen_base.clamp(settings.surface)


def ink_screen(
    outline: Outline, case: Case, pose: Pose, place: Place, settings: Settings, layers: Layers
) -> None:
    """Picture, what holds it, and the eye's field on it."""
    ends = screen_ends(case, place, settings)
    if ends is None:
        return
    screen, (foot, head) = case.workstation.screen, ends
    attached = screen.kind == ScreenKind.LAPTOP and settings.keys is not None
    if screen.on_wall:
        front = max(head[0], foot[0]) + (screen.depth_behind or WALL_BEHIND_MM)
        ink_wall(outline, front, head[1])
        middle = ((foot[0] + head[0]) / 2, (foot[1] + head[1]) / 2)
        outline.shape("column", [middle, (front, middle[1])], "screen_top", closed=False)
    elif not attached:
        _holder(outline, case, place, settings, ends, layers)
    outline.shape("field", [pose.eye, head, foot], "screen_top")
    level = (head[0] + 20, pose.eye[1])
    outline.shape("eye-line", [pose.eye, level], "screen_top", closed=False)
    outline.shape("gaze", [pose.eye, head], "screen_top", closed=False)
    outline.shape("picture", [head, foot], "screen_top", closed=False)


def _holder(
    outline: Outline,
    case: Case,
    place: Place,
    settings: Settings,
    ends: tuple[Point, Point],
    layers: Layers,
) -> None:
    """What a screen on a desk is held by: an arm from the rear edge, or a stand, on what it stands on."""
    base = base_of(case, settings)
    if base is None:
        return
    screen, (foot, head) = case.workstation.screen, ends
    middle = ((foot[0] + head[0]) / 2 + 14, (foot[1] + head[1]) / 2)
    if screen.held == ScreenHolder.ARM:
        clamp = max(place.edge + place.depth - 40, middle[0] + 60)
        elbow = (clamp, max(base + 120, middle[1] - 40))
        outline.shape("column", [middle, elbow, (clamp, base)], "screen_top", closed=False)
        return
    behind = screen.depth_behind if screen.depth_behind is not None else STAND_SHOWN_MM
    stem = place.picture + behind * 0.7
    pieces = [*layers.get("screen", ())]
    if outline.posture == "standing":
        pieces += layers.get("screen_standing", ())
    low = min(foot[1], head[1])
    pieces = [value for index, value in enumerate(pieces) if base + sum(pieces[: index + 1]) < low]
    if pieces:
        half = max(90.0, behind * 0.6)
        base = ink_stack(
            outline, pieces, middle=stem - 20, half=half, bottom=base, part="screen_top"
        )
    outline.shape(
        "column", [middle, (stem, middle[1] - 30), (stem, base)], "screen_top", closed=False
    )
    outline.shape(
        "column",
        [(stem - 70, base + 4), (place.picture + behind, base + 4)],
        "screen_top",
        closed=False,
    )


def ink_side_screens(outline: Outline, pose: Pose, case: Case, settings: Settings) -> None:
    """Second and third screens, seen from the side as far as they are turned away."""
    for screen in case.details.side_screens:
        top, distance, bearing = settings.of_screen(screen.id)
        if top is None or distance is None:
            continue
        x = pose.eye[0] + distance * cos(radians(bearing or 0.0))
        foot = top - (screen.height or PICTURE_SHOWN_MM)
        _side_base(outline, screen, settings.surface, x, foot)
        outline.shape("picture-side", [(x, foot), (x, top)], closed=False)


def _side_base(
    outline: Outline, screen: SideScreen, surface: float | None, x: float, foot: float
) -> None:
    """What carries a further screen: a laptop its keyboard on the desk, another a stem."""
    if surface is None or foot < surface:
        return
    if screen.kind != ScreenKind.LAPTOP:
        outline.shape("stem-side", [(x + 10, foot + 20), (x + 10, surface)], closed=False)
        return
    base = max(surface, foot - LAPTOP_BASE_MM)
    if base > surface:
        outline.shape("stack", box(x - LAPTOP_DEEP_MM * 0.8, surface, x - 20, base))
    outline.shape("stem-side", box(x - LAPTOP_DEEP_MM, base, x, base + LAPTOP_BASE_MM))
