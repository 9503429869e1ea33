"""The parts of a scene: rule, flags, habits, places, floor, plan."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace

from ..fit import TAPE_MM, Case, settings_of
from ..memoize import memoize_last
from ..units import LengthUnit
from .chairs import ink_chair
from .dials import ink_dials
from .figure import ink_figure
from .flag_ink import ink_flags
from .flags import FLAG_W, LANE, LEAST_CHANGE_MM, flags_of
from .furniture import Ink, ink_desk, ink_plumb, ink_screen, ink_side_screens
from .habit_marks import field_size, ink_habits
from .marks import Mark, Point, Scene, Sheet, number
from .plan import ink_plan
from .scene_request import (
    HEADROOM_MM,
    SEATED_BODY_MM,
    SEATED_SPAN_MM,
    STANDING_BODY_MM,
    STANDING_SPAN_MM,
    DrawnPosture,
    SceneRequest,
    eye_and_elbow_heights,
    height_of,
)
from .staff import RULE_STEP, STAFF_W, ink_rule

TOP_PX, RULE_PX = 26.0, 3 * RULE_STEP + 8


@memoize_last(6)
def draw_posture(
    case: Case, side: DrawnPosture, *, faint: bool = False, dials: bool = True, person: bool = True
) -> list[Mark]:
    """Return the marks of a figure with its furniture; the last six are kept."""
    ink = Ink(side.sheet, side.name)
    if side.name == "seated":
        ink_chair(ink, case, side.pose, side.settings)
    ink_desk(ink, case, side.place, side.settings)
    if side.name == "seated":
        ink_side_screens(ink, side.pose, case.details, side.settings)
    ink_screen(ink, case, side.pose, side.place, side.settings)
    if not person:
        return ink.marks
    role = "ghost" if faint else "figure"
    marks = [*ink.marks, *ink_figure(side.pose, side.sheet, posture=side.name, role=role)]
    over = Ink(side.sheet, side.name)
    if not faint:
        ink_plumb(over, side.pose)
        if dials:
            ink_dials(over, side.pose, side.joints)
    return [*marks, *over.marks]


@memoize_last(4)
def draw_rule(
    case: Case, side: DrawnPosture, y0: float, unit: LengthUnit, right: float, person: bool = True
) -> list[Mark]:
    """Return the rule under a figure with the distances on it; the last four are kept."""

    def px(x: float) -> float:
        return side.sheet.at((x, 0.0))[0]

    place, settings = side.place, side.settings
    spans: list[tuple[str, str, float, float, float]] = []
    if settings.distance is not None and person:
        eye = side.pose.shoulder[0] + 80.0
        spans.append(
            (
                "distance",
                "viewing distance",
                px(eye),
                px(eye + settings.distance),
                settings.distance,
            )
        )
    if settings.surface is not None:
        spans.append(
            (
                "keys",
                "desk edge to home row",
                px(place.edge),
                px(place.keys),
                place.keys - place.edge,
            )
        )
    depth = case.workstation.desk.depth
    if depth is not None and settings.surface is not None:
        spans.append(("desk_depth", "desk depth", px(place.edge), px(place.edge + depth), depth))
    return ink_rule(spans, y0=y0, unit=unit, posture=side.name, right_end=right)


@memoize_last(4)
def draw_flags(
    case: Case,
    side: DrawnPosture,
    request: SceneRequest,
    overruled: set[str],
    *,
    edge: float,
    hand: int,
    y0: float,
    scale: float,
) -> list[Mark]:
    """Return the flags of the heights beside a figure; the last four are kept."""
    found = case.found_seated if side.name == "seated" else case.found_standing
    aim = settings_of(side.fit)
    reference = side.settings if request.show == "left" else found
    eye, elbow = eye_and_elbow_heights(case, side) if request.person else (None, None)
    flags = flags_of(
        side.fit,
        reference,
        overruled,
        eye,
        elbow,
        aim,
        TAPE_MM if request.show == "left" else LEAST_CHANGE_MM,
    )
    return ink_flags(
        flags,
        staff_edge=edge,
        side=hand,
        y0=y0,
        scale=scale,
        top=TOP_PX,
        unit=request.unit,
        posture=side.name,
    )


def draw_habits(
    case: Case, side: DrawnPosture, request: SceneRequest, seen: Mapping[str, str]
) -> Scene:
    """One figure between the fields of its habits."""
    y0 = request.height - 24.0
    span = SEATED_BODY_MM if side.name == "seated" else STANDING_BODY_MM
    free = request.width - 2 * field_size(request.width)[0] - 24.0
    scale = min((y0 - TOP_PX) / (height_of(side) + HEADROOM_MM), free / (span[1] - span[0]))
    facing = 1 if side.name == "seated" else -1
    middle = request.width / 2 - facing * scale * (span[0] + span[1]) / 2
    side = replace(side, sheet=Sheet(x0=middle, y0=y0, scale=scale, facing=facing))
    marks = [draw_floor(request.width, y0), *draw_posture(case, side, dials=False)]
    marks += ink_habits(
        side.pose,
        side.sheet,
        seen,
        posture=side.name,
        width=request.width,
        top=6.0,
        bottom=request.height - 6.0,
    )
    return Scene(width=request.width, height=request.height, px_per_mm=scale, marks=tuple(marks))


def draw_places(
    request: SceneRequest, sides: list[DrawnPosture], scale: float, y0: float
) -> tuple[float, list[Sheet]]:
    """Where the staff stands and each figure has its origin, px."""
    seat_low, seat_high = SEATED_SPAN_MM
    stand_low = STANDING_SPAN_MM[0]
    if request.mode == "both":
        room = (request.width - STAFF_W) / (
            (seat_high - seat_low) + (STANDING_SPAN_MM[1] - stand_low)
        )
        staff_left = room * (seat_high - seat_low)
        return staff_left, [
            Sheet(x0=12 - seat_low * scale, y0=y0, scale=scale),
            Sheet(x0=request.width - 12 + stand_low * scale, y0=y0, scale=scale, facing=-1),
        ]
    if request.mode == "standing":
        staff_left = 8.0
        sheet = Sheet(x0=request.width - 12 + stand_low * scale, y0=y0, scale=scale, facing=-1)
        return staff_left, [sheet]
    right = STAFF_W + 8 + (FLAG_W + LANE if request.mode == "overlay" else 0.0)
    sheet = Sheet(x0=12 - seat_low * scale, y0=y0, scale=scale)
    return request.width - right, [sheet for _ in sides]


def draw_floor(width: float, y0: float) -> Mark:
    """Return the line of the floor."""
    return Mark(kind="path", role="floor", d=f"M0 {number(y0)}L{number(width)} {number(y0)}")


def draw_plan(
    case: Case,
    side: DrawnPosture,
    request: SceneRequest,
    scale: float,
    y0: float,
    staff_left: float,
) -> tuple[list[Mark], float | None]:
    """The plan in the empty band above the seated figure, where there is room for it."""
    head: Point = (0.0, y0 - (height_of(side) + 30) * scale)
    height = head[1] - TOP_PX
    if height < 90:
        return [], None
    arm = next((joint for joint in side.joints if joint.joint == "upper_arm"), None)
    return ink_plan(
        case,
        side.settings,
        case.details,
        arm,
        left=16,
        top=8,
        width=min(300.0, staff_left - FLAG_W - LANE - 24),
        height=min(height - 14, 230.0),
        unit=request.unit,
    )
