"""The whole drawing: both figures facing the staff, flags, ground rule, plan."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace

from ..body import DIMENSIONS
from ..fit import Case, FitResult
from ..memoize import memoize_last
from ..workstation import Settings
from .flags import FLAG_W, LANE
from .grips import grips_of, ink_grips
from .marks import Scene
from .measuring import draw_measuring
from .scene_parts import (
    RULE_PX,
    TOP_PX,
    draw_flags,
    draw_floor,
    draw_habits,
    draw_places,
    draw_plan,
    draw_posture,
    draw_rule,
)
from .scene_request import (
    HEADROOM_MM,
    SEATED_ALONE_MM,
    SEATED_SPAN_MM,
    STANDING_SPAN_MM,
    SceneRequest,
    height_of,
    posture_to_draw,
)
from .staff import STAFF_W, ink_staff

_staff = memoize_last(2)(ink_staff)


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
    seated = posture_to_draw(case, result.seated, left[0], request.show)
    standing = posture_to_draw(case, result.standing, left[1], request.show)
    if request.layer == "habits":
        side = standing if request.mode == "standing" else seated
        return draw_habits(case, side, request, seen or {})
    if not result.seated.possible:
        request = replace(request, mode="standing")  # nobody sits here
    elif not result.standing.possible and request.mode in ("both", "overlay"):
        request = replace(request, mode="seated")  # there is no standing to be drawn
    sides = {
        "both": [seated, standing],
        "seated": [seated],
        "standing": [standing],
        "overlay": [standing, seated],
    }[request.mode]
    tallest = max(height_of(side) for side in (seated, standing))
    if request.mode == "seated":
        tallest = max(height_of(seated), SEATED_ALONE_MM)
    y0 = request.height - RULE_PX
    lanes = (FLAG_W + LANE) * (1 if request.mode in ("seated", "standing") else 2)
    spans = [SEATED_SPAN_MM if side.name == "seated" else STANDING_SPAN_MM for side in sides]
    wide = spans[-1:] if request.mode == "overlay" else spans
    need = sum(high - low for low, high in wide)
    free = request.width - STAFF_W - 12.0 - (lanes if request.mode != "both" else 0.42 * lanes)
    scale = min((y0 - TOP_PX) / (tallest + HEADROOM_MM), free / need)
    staff_left, sheets = draw_places(request, sides, scale, y0)
    sides = [replace(side, sheet=sheet) for side, sheet in zip(sides, sheets, strict=True)]

    marks = [draw_floor(request.width, y0)]
    plan_scale = None
    if request.mode in ("both", "seated") and request.person:
        plan, plan_scale = draw_plan(case, seated, request, scale, y0, staff_left)
        marks += plan
    if behind is not None:
        for side in sides:
            fit_behind = behind[1].of(side.name)
            other = posture_to_draw(behind[0], fit_behind, Settings(), request.show)
            marks += draw_posture(behind[0], replace(other, sheet=side.sheet), faint=True)
    for index, side in enumerate(sides):
        marks += draw_posture(
            case, side, faint=request.mode == "overlay" and index == 0, person=request.person
        )
    top_mm = (y0 - TOP_PX) / scale
    marks += _staff(left=staff_left, y0=y0, scale=scale, top_mm=top_mm, unit=request.unit)
    for side in sides:
        hand = 1 if side.name == "seated" else -1
        edge = staff_left if hand == 1 else staff_left + STAFF_W
        mine = overruled[0 if side.name == "seated" else 1]
        marks += draw_flags(case, side, request, mine, edge=edge, hand=hand, y0=y0, scale=scale)
        if request.mode != "overlay" or side.name == "seated":
            right = staff_left if hand == 1 else request.width
            marks += draw_rule(case, side, y0, request.unit, right, request.person)
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
