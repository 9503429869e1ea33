"""The parts of a scene: figures, rule, flags, habits, floor, plan."""

from __future__ import annotations

from collections.abc import Mapping, Sequence

from ..fit import Case
from ..language import filled, msg
from ..reuse import reuse_last
from ..units import LengthUnit
from ..words import say_posture
from .body_labels import back_at
from .chairs import ink_armrest, ink_chair
from .collisions import ink_clashes
from .dials import ink_dials
from .figure import outline_figure
from .flag_ink import FlagLane, ink_flags
from .flags import present_flags, target_flags
from .furniture import ink_desk, ink_plumb
from .habit_marks import field_size, ink_habits
from .layout import CLEAR_PX, HEADROOM_MM, MARGIN_PX, TOP_PX, Layout
from .marks import Mark, Scene, Sheet, number
from .outline import Outline, extent
from .plan import ink_plan
from .scene_request import DrawnPosture, SceneRequest, height_of
from .screens import ink_screen, ink_side_screens
from .staff import ink_rule
from .supports import Layers, ink_underfoot

TRUNK_BACK_MM, TOE_MM = 135.0, 70.0
"""How far a back reaches behind hip and shoulder, and a shoe or knee beyond its joint, mm.
Source: house-chain."""
BODY_SPAN_MM = {"seated": (-230.0, 760.0), "standing": (-190.0, 600.0)}
"""What a body alone needs behind and in front of its origin; furniture may end behind the fields of
habits, mm."""
PLAN_LEAST_PX, PLAN_MOST_PX = 96.0, (340.0, 250.0)
"""Least height that a plan is drawn in, and the most it takes, px."""


@reuse_last(8)
def furniture_of(case: Case, side: DrawnPosture, layers: Layers) -> Outline:
    """Return what is under and before a figure, in mm, in the order of inking; the last eight are kept."""
    outline = Outline(side.name)
    pose, settings, place = side.pose, side.settings, side.place
    seated = side.name == "seated"
    if not side.recorded:
        if seated and case.sits:
            ink_chair(outline, case, pose, settings, layers)
        return outline
    ink_underfoot(outline, case, pose, settings, layers)
    if seated:
        ink_chair(outline, case, pose, settings, layers)
    ink_desk(outline, case, place, settings, layers)
    if seated:
        ink_side_screens(outline, pose, case, settings)
    ink_screen(outline, case, pose, place, settings, layers)
    return outline


@reuse_last(8)
def figure_over(
    case: Case, side: DrawnPosture, *, faint: bool = False, dials: bool = True
) -> Outline:
    """Return the figure with what is drawn over it; the last eight are kept."""
    outline, pose = Outline(side.name), side.pose
    role = "ghost" if faint else "figure"
    beside = Outline(side.name)
    if side.name == "seated":
        ink_armrest(beside, case, side.settings)
    outline_figure(outline, pose, role=role, beside=beside)
    if not faint:
        ink_clashes(outline, case, pose, side.place, side.settings)
        ink_plumb(outline, pose)
        if dials:
            ink_dials(outline, pose, side.joints)
    return outline


OF_THE_EYE = frozenset({"field", "eye-line", "gaze"})
"""Roles of what starts from the eye: where no person is drawn, their eye's height is not told either."""


@reuse_last(8)
def draw_posture(
    case: Case,
    side: DrawnPosture,
    sheet: Sheet,
    layers: Layers,
    *,
    faint: bool = False,
    dials: bool = True,
    person: bool = True,
) -> list[Mark]:
    """Return the marks of a figure with its furniture; the last eight are kept."""
    marks = furniture_of(case, side, layers).placed(sheet)
    if not person:
        return [mark for mark in marks if mark.role not in OF_THE_EYE]
    return [*marks, *figure_over(case, side, faint=faint, dials=dials).placed(sheet)]


def extent_of(case: Case, side: DrawnPosture, layers: Layers) -> tuple[float, float]:
    """Return how far a figure with its furniture reaches back and forward, mm."""
    back, front, _ = extent(furniture_of(case, side, layers).shapes)
    pose = side.pose
    trunk = min(pose.hip[0], pose.shoulder[0]) - TRUNK_BACK_MM * pose.scale
    return min(back, trunk), max(front, pose.toe[0] + TOE_MM, pose.hand[0], pose.knee[0] + TOE_MM)


@reuse_last(8)
def behind_of(case: Case, sides: tuple[DrawnPosture, ...], layers: Layers, height: float) -> float:
    """Return how far back any of these figures and their furniture reach near a height, mm."""
    shapes = [
        shape
        for side in sides
        for outline in (furniture_of(case, side, layers), figure_over(case, side))
        for shape in outline.shapes
    ]
    return back_at(shapes, height)


@reuse_last(4)
def draw_rule(
    case: Case,
    side: DrawnPosture,
    sheet: Sheet,
    unit: LengthUnit,
    ends: tuple[float, float],
    person: bool = True,
) -> list[Mark]:
    """Return the rule under a figure with the distances on it; the last four are kept."""

    def px(x: float) -> float:
        return sheet.at((x, 0.0))[0]

    place, settings = side.place, side.settings
    spans: list[tuple[str, str, float, float, float]] = []

    def span(part: str, words: str, start: float, mm: float) -> None:
        spans.append((part, words, px(start), px(start + mm), mm))

    if settings.distance is not None and person:
        span("distance", msg("viewing distance"), side.pose.eye[0], settings.distance)
    if settings.surface is not None:
        span("keys", msg("desk edge to home row"), place.edge, place.keys - place.edge)
        if case.workstation.desk.depth is not None:
            span("desk_depth", msg("desk depth"), place.edge, case.workstation.desk.depth)
    return ink_rule(spans, y0=sheet.y0, unit=unit, posture=side.name, ends=ends)


@reuse_last(4)
def draw_flags(
    case: Case, side: DrawnPosture, request: SceneRequest, overruled: set[str], layout: Layout
) -> list[Mark]:
    """Return the flags of the heights beside a figure: what is aimed at, or what is there."""
    hand = layout.sheets[side.name].facing if request.mode != "overlay" else 0
    hand = hand or (1 if side.name == "seated" else -1)
    if not side.recorded:
        return []
    if request.show == "target" and request.between is None:
        flags = target_flags(case, side.fit, overruled)
    else:
        left = request.show == "left" and request.between is None
        flags = present_flags(side.fit, side.settings, left=left)
    lane = FlagLane(
        staff_edge=layout.staff_edge(hand),
        side=hand,
        width=layout.flag_w,
        lane=layout.lane,
        y0=layout.y0,
        scale=layout.scale,
        top=TOP_PX,
    )
    return ink_flags(flags, lane, unit=request.unit, posture=side.name)


def draw_habits(
    case: Case, side: DrawnPosture, request: SceneRequest, seen: Mapping[str, str]
) -> Scene:
    """One figure between the fields of its habits, its furniture faint behind."""
    y0 = request.height - 24.0
    span = BODY_SPAN_MM[side.name]
    free = request.width - 2 * field_size(request.width)[0] - 24.0
    scale = min((y0 - TOP_PX) / (height_of(side) + HEADROOM_MM), free / (span[1] - span[0]))
    facing = 1 if side.name == "seated" else -1
    middle = request.width / 2 - facing * scale * (span[0] + span[1]) / 2
    sheet = Sheet(x0=middle, y0=y0, scale=scale, facing=facing)
    marks = [draw_floor(request.width, y0), *draw_posture(case, side, sheet, {}, dials=False)]
    marks += ink_habits(
        side.pose,
        sheet,
        seen,
        posture=side.name,
        width=request.width,
        top=6.0,
        bottom=request.height - 6.0,
    )
    return Scene(width=request.width, height=request.height, px_per_mm=scale, marks=tuple(marks))


def draw_floor(width: float, y0: float) -> Mark:
    """Return the line of the floor."""
    return Mark(kind="path", role="floor", d=f"M0 {number(y0)}L{number(width)} {number(y0)}")


@reuse_last(4)
def draw_plan(
    case: Case,
    side: DrawnPosture,
    request: SceneRequest,
    layout: Layout,
    *,
    tallest: float,
    noted: int = 0,
) -> tuple[list[Mark], float | None]:
    """The plan above the seated figure, or above both, whichever leaves it more room; under what is noted."""
    over = NOTE_PX * noted
    height = layout.y0 - (height_of(side) + 30) * layout.scale - TOP_PX - over
    width = layout.staff_left - layout.flags_wide - 2 * MARGIN_PX
    above = layout.y0 - tallest * layout.scale - TOP_PX - over
    if min(above, PLAN_MOST_PX[1]) > min(
        height, PLAN_MOST_PX[1], PLAN_MOST_PX[1] / PLAN_MOST_PX[0] * width
    ):
        height, width = above, request.width - 2 * MARGIN_PX
    if height < PLAN_LEAST_PX or width < PLAN_LEAST_PX:
        return [], None
    arm = next((joint for joint in side.joints if joint.joint == "upper_arm"), None)
    wide, high = min(PLAN_MOST_PX[0], width), min(height - 14, PLAN_MOST_PX[1])
    return ink_plan(
        case,
        side.settings,
        arm,
        left=MARGIN_PX + (width - wide) / 2,
        top=8 + over + (height - 14 - high) / 3,
        width=wide,
        height=high,
        words=(0.0, over, width + 2 * MARGIN_PX - CLEAR_PX, over + height + TOP_PX),
        unit=request.unit,
    )


NOTE_PX = 22.0
NOT_RECORDED = msg("nothing recorded yet")


def note_not_recorded(missing: Sequence[str], x: float, y: float) -> list[Mark]:
    """Say which posture is not drawn, since nobody recorded anything of it."""
    return [
        Mark(
            kind="text",
            role="note",
            x=x,
            y=y + NOTE_PX * index,
            text=filled(
                "{posture}: {not_recorded}",
                posture=say_posture(posture).title(),
                not_recorded=NOT_RECORDED,
            ),
            anchor="end",
        )
        for index, posture in enumerate(missing)
    ]
