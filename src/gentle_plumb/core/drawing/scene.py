"""The whole drawing: both figures facing the staff, flags, ground rule, plan."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import Literal

from ..body import DIMENSIONS
from ..errors import MissingInput
from ..fit import TAPE_MM, Case, FitResult, Frame, Joint, PostureFit, joints_of, settings_of
from ..memoize import memoize_last
from ..units import LengthUnit
from ..workstation import Settings
from .chairs import ink_chair
from .dials import ink_dials
from .figure import ink_figure
from .flags import FLAG_W, LANE, LEAST_CHANGE_MM, flags_of, ink_flags
from .furniture import Ink, Place, ink_desk, ink_plumb, ink_screen, ink_side_screens, place_of
from .grips import grips_of, ink_grips
from .habit_marks import field_size, ink_habits
from .marks import Mark, Point, Scene, Sheet, number
from .measuring import draw_measuring
from .plan import ink_plan
from .pose import Pose, seated_pose, standing_pose
from .staff import RULE_STEP, STAFF_W, ink_rule, ink_staff

Mode = Literal["both", "seated", "standing", "overlay"]
Show = Literal["found", "target", "left"]
Layer = Literal["heights", "habits", "measuring"]

HEADROOM_MM = 70.0
SEATED_SPAN_MM = (-255.0, 1040.0)
STANDING_SPAN_MM = (-190.0, 850.0)
"""What a figure with its furniture needs behind and in front of its origin, mm."""
SEATED_BODY_MM = (-230.0, 760.0)
STANDING_BODY_MM = (-190.0, 600.0)
"""The same for the body alone; furniture may end behind the fields of habits."""
SEATED_ALONE_MM = 1700.0
"""Height given to a seated figure alone, so that the plan has its place over it, mm."""
TOP_PX, RULE_PX = 26.0, 3 * RULE_STEP + 8


@dataclass(frozen=True, kw_only=True)
class SceneRequest:
    """What to draw: ``width`` and ``height`` in px, which settings, which figures, which unit.

    The layer ``habits`` puts what is seen of the body in the place of heights and distances; the
    layer ``measuring`` shows the figure in the pose of the dimension that ``tape`` names. With
    ``grips`` there are rings to turn joints and pieces by. Without the ``person`` furniture alone is
    drawn, with no height or distance of a body.
    """

    width: float = 860.0
    height: float = 700.0
    mode: Mode = "both"
    show: Show = "target"
    unit: LengthUnit = "cm"
    tape: str | None = None
    layer: Layer = "heights"
    grips: bool = False
    person: bool = True


_staff = memoize_last(2)(ink_staff)


@dataclass(frozen=True, kw_only=True)
class _Side:
    """One posture ready to draw."""

    name: Literal["seated", "standing"]
    fit: PostureFit
    settings: Settings
    pose: Pose
    place: Place
    joints: tuple[Joint, ...]
    sheet: Sheet


def _shown(case: Case, fit: PostureFit, left: Settings, show: Show) -> Settings:
    """The settings to draw; what was not set is drawn as found, what was not found as aimed at."""
    found = case.found_seated if fit.posture == "seated" else case.found_standing
    aim = settings_of(fit)
    order = {"found": (found,), "target": (aim, found), "left": (left, found, aim)}[show]
    merged = {
        key: next((value for layer in order if (value := layer.get(key)) is not None), None)
        for key in Settings.__dataclass_fields__
    }
    if show == "found" and fit.posture == "standing":
        merged = {key: merged[key] if merged[key] is not None else aim.get(key) for key in merged}
    surface, thickness = merged["surface"], case.workstation.keyboard.thickness
    if surface is not None and thickness is not None:
        merged["keys"] = surface + thickness
    return Settings(**merged)


@memoize_last(6)
def _side(case: Case, fit: PostureFit, left: Settings, show: Show) -> _Side:
    settings = _shown(case, fit, left, show)
    seated = fit.posture == "seated"
    pose = seated_pose(case, settings) if seated else standing_pose(case, settings)
    place = place_of(case, pose, settings)
    mouse = replace(settings, mouse=settings.mouse if seated else None)
    return _Side(
        name=fit.posture,
        fit=fit,
        settings=settings,
        pose=pose,
        place=place,
        joints=joints_of(case, mouse, fit.posture),
        sheet=Sheet(x0=0, y0=0, scale=1),
    )


def _eye_and_elbow(case: Case, side: _Side) -> tuple[float | None, float | None]:
    try:
        frame = Frame.seated(case) if side.name == "seated" else Frame.standing(case)
    except MissingInput:
        return None, None
    base = side.settings.seat if side.name == "seated" else 0.0
    return (None, None) if base is None else (base + frame.eye, base + frame.elbow)


@memoize_last(6)
def _ink_side(
    case: Case, side: _Side, *, faint: bool = False, dials: bool = True, person: bool = True
) -> list[Mark]:
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
def _rule(
    case: Case, side: _Side, y0: float, unit: LengthUnit, right: float, person: bool = True
) -> list[Mark]:
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
def _flags(
    case: Case,
    side: _Side,
    request: SceneRequest,
    overruled: set[str],
    *,
    edge: float,
    hand: int,
    y0: float,
    scale: float,
) -> list[Mark]:
    found = case.found_seated if side.name == "seated" else case.found_standing
    aim = settings_of(side.fit)
    reference = side.settings if request.show == "left" else found
    eye, elbow = _eye_and_elbow(case, side) if request.person else (None, None)
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


def draw_scene(
    case: Case,
    result: FitResult,
    request: SceneRequest,
    *,
    left: tuple[Settings, Settings] = (Settings(), Settings()),
    overruled: tuple[set[str], set[str]] = (set(), set()),
    seen: Mapping[str, str] | None = None,
    behind: tuple[Case, FitResult] | None = None,
) -> Scene:
    """Draw a case.

    Parameters
    ----------
    case, result
        The case and its fit.
    request : SceneRequest
        Size, mode and unit.
    left : pair of Settings
        What was set and re-measured, seated and standing.
    overruled : pair of sets
        Keys the practitioner has put a number of their own to.
    seen : mapping, optional
        Habits that were seen, with what is said of each.
    behind : pair of Case and FitResult, optional
        Drawn faintly behind, to the same scale on the same floor.

    Returns
    -------
    Scene
        Marks in px, to be inked in order.

    """
    if request.layer == "measuring" and request.tape in DIMENSIONS:
        return draw_measuring(
            case,
            request.tape,
            width=request.width,
            height=request.height,
            unit=request.unit,
            known=request.tape in case.body.values,
        )
    seated = _side(case, result.seated, left[0], request.show)
    standing = _side(case, result.standing, left[1], request.show)
    if request.layer == "habits":
        side = standing if request.mode == "standing" else seated
        return _habits(case, side, request, seen or {})
    if not result.standing.possible and request.mode in ("both", "overlay"):
        request = replace(request, mode="seated")  # there is no standing to be drawn
    sides = {
        "both": [seated, standing],
        "seated": [seated],
        "standing": [standing],
        "overlay": [standing, seated],
    }[request.mode]
    tallest = max(_height(side) for side in (seated, standing))
    if request.mode == "seated":
        tallest = max(_height(seated), SEATED_ALONE_MM)
    y0 = request.height - RULE_PX
    lanes = (FLAG_W + LANE) * (1 if request.mode in ("seated", "standing") else 2)
    spans = [SEATED_SPAN_MM if side.name == "seated" else STANDING_SPAN_MM for side in sides]
    wide = spans[-1:] if request.mode == "overlay" else spans
    need = sum(high - low for low, high in wide)
    free = request.width - STAFF_W - 12.0 - (lanes if request.mode != "both" else 0.42 * lanes)
    scale = min((y0 - TOP_PX) / (tallest + HEADROOM_MM), free / need)
    staff_left, sheets = _places(request, sides, scale, y0)
    sides = [replace(side, sheet=sheet) for side, sheet in zip(sides, sheets, strict=True)]

    marks = [_floor(request.width, y0)]
    plan_scale = None
    if request.mode in ("both", "seated") and request.person:
        plan, plan_scale = _plan(case, seated, request, scale, y0, staff_left)
        marks += plan
    if behind is not None:
        for side in sides:
            fit_behind = behind[1].of(side.name)
            other = _side(behind[0], fit_behind, Settings(), request.show)
            marks += _ink_side(behind[0], replace(other, sheet=side.sheet), faint=True)
    for index, side in enumerate(sides):
        marks += _ink_side(
            case, side, faint=request.mode == "overlay" and index == 0, person=request.person
        )
    top_mm = (y0 - TOP_PX) / scale
    marks += _staff(left=staff_left, y0=y0, scale=scale, top_mm=top_mm, unit=request.unit)
    for side in sides:
        hand = 1 if side.name == "seated" else -1
        edge = staff_left if hand == 1 else staff_left + STAFF_W
        mine = overruled[0 if side.name == "seated" else 1]
        marks += _flags(case, side, request, mine, edge=edge, hand=hand, y0=y0, scale=scale)
        if request.mode != "overlay" or side.name == "seated":
            right = staff_left if hand == 1 else request.width
            marks += _rule(case, side, y0, request.unit, right, request.person)
    grips = [
        grip
        for side in (sides[-1:] if request.mode == "overlay" else sides)
        if request.grips
        for grip in grips_of(
            case, side.fit, side.settings, side.pose, side.place, side.joints, side.sheet
        )
    ]
    marks += ink_grips(grips)
    return Scene(
        width=request.width,
        height=request.height,
        px_per_mm=scale,
        marks=tuple(marks),
        plan_px_per_mm=plan_scale,
        grips=tuple(grips),
    )


def _habits(case: Case, side: _Side, request: SceneRequest, seen: Mapping[str, str]) -> Scene:
    """One figure between the fields of its habits."""
    y0 = request.height - 24.0
    span = SEATED_BODY_MM if side.name == "seated" else STANDING_BODY_MM
    free = request.width - 2 * field_size(request.width)[0] - 24.0
    scale = min((y0 - TOP_PX) / (_height(side) + HEADROOM_MM), free / (span[1] - span[0]))
    facing = 1 if side.name == "seated" else -1
    middle = request.width / 2 - facing * scale * (span[0] + span[1]) / 2
    side = replace(side, sheet=Sheet(x0=middle, y0=y0, scale=scale, facing=facing))
    marks = [_floor(request.width, y0), *_ink_side(case, side, dials=False)]
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


def _height(side: _Side) -> float:
    return max(side.pose.head[1] + 120 * side.pose.scale, side.settings.screen_top or 0.0)


def _places(
    request: SceneRequest, sides: list[_Side], scale: float, y0: float
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


def _floor(width: float, y0: float) -> Mark:
    return Mark(kind="path", role="floor", d=f"M0 {number(y0)}L{number(width)} {number(y0)}")


def _plan(
    case: Case, side: _Side, request: SceneRequest, scale: float, y0: float, staff_left: float
) -> tuple[list[Mark], float | None]:
    """The plan in the empty band above the seated figure, where there is room for it."""
    head: Point = (0.0, y0 - (_height(side) + 30) * scale)
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
