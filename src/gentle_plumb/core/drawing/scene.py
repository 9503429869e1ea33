"""The whole drawing: both figures facing the staff, flags, ground rule, plan."""

from __future__ import annotations

from collections.abc import Mapping
from math import ceil

from ..body import DIMENSIONS
from ..fit import Case, FitResult
from ..workstation import Settings
from .body_labels import ink_body_labels
from .grips import grips_of, ink_grips
from .layout import HEADROOM_MM, MARGIN_PX, TOP_PX
from .marks import Mark, Scene
from .measuring import draw_measuring
from .scene_parts import (
    draw_flags,
    draw_floor,
    draw_habits,
    draw_plan,
    draw_posture,
    draw_rule,
    note_not_recorded,
)
from .scene_request import SceneRequest, height_of, posture_to_draw
from .staff import STAFF_W, ink_staff
from .stage import Stage
from .supports import Layers

STAFF_STEP_MM, STAFF_OVER_MM = 100.0, 20.0
"""A staff ends so far over a whole numeral over the highest thing, mm."""


def draw_scene(
    case: Case,
    result: FitResult,
    request: SceneRequest,
    *,
    left: tuple[Settings, Settings] = (Settings(), Settings()),
    overruled: tuple[set[str], set[str]] = (set(), set()),
    seen: Mapping[str, str] | None = None,
    behind: tuple[Case, FitResult] | None = None,
    layers: Layers | None = None,
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
    layers : mapping, optional
        What of the room things are to stand on, by what it carries; mm a piece, from below.

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
    stage = Stage(case, result, request, left, layers or {})
    if request.layer == "habits":
        posture = "standing" if request.mode == "standing" else "seated"
        return draw_habits(case, stage.side(posture), request, seen or {})
    return _scene(stage, overruled, behind)


def _scene(
    stage: Stage, overruled: tuple[set[str], set[str]], behind: tuple[Case, FitResult] | None
) -> Scene:
    request, case, layout = stage.request, stage.case, stage.layout()
    marks = [draw_floor(request.width, layout.y0)]
    plan_scale = None
    if request.mode in ("both", "seated") and request.person:
        plan, plan_scale = draw_plan(
            case,
            stage.sides[0],
            request,
            layout,
            tallest=_staff_top(stage),
            noted=len(stage.missing),
        )
        marks += plan
    for index, side in enumerate(stage.sides):
        sheet = layout.sheets[side.name]
        if behind is not None:
            fit = behind[1].of(side.name)
            other = posture_to_draw(behind[0], fit, Settings(), request.show)
            marks += draw_posture(behind[0], other, sheet, {}, faint=True)
        faint = request.mode == "overlay" and index == 0
        marks += draw_posture(case, side, sheet, stage.layers, faint=faint, person=request.person)
    marks += _around(stage, overruled)
    grips = [
        grip
        for side in (stage.sides[-1:] if request.mode == "overlay" else stage.sides)
        if request.grips
        for grip in grips_of(
            case,
            side.fit,
            side.settings,
            side.pose,
            side.place,
            side.joints,
            layout.sheets[side.name],
        )
    ]
    return Scene(
        width=request.width,
        height=request.height,
        px_per_mm=layout.scale,
        marks=(*marks, *ink_grips(grips)),
        plan_px_per_mm=plan_scale,
        grips=tuple(grips),
    )


def _staff_top(stage: Stage) -> float:
    """Where the staff ends if there is room for it, mm."""
    wanted = max(height_of(side) for side in stage.sides) + 2 * HEADROOM_MM
    return ceil(wanted / STAFF_STEP_MM) * STAFF_STEP_MM + STAFF_OVER_MM


def _around(stage: Stage, overruled: tuple[set[str], set[str]]) -> list[Mark]:
    """The staff with its flags, the rule along the floor, the body's own heights."""
    request, case, layout = stage.request, stage.case, stage.layout()
    edge = layout.staff_left
    top = min((layout.y0 - TOP_PX) / layout.scale, _staff_top(stage))
    marks = [
        *case.reuse.hashed(ink_staff)(
            left=edge, y0=layout.y0, scale=layout.scale, top_mm=top, unit=request.unit
        )
    ]
    for side in stage.sides:
        mine = overruled[0 if side.name == "seated" else 1]
        marks += draw_flags(case, side, request, mine, layout)
        if request.mode != "overlay" or side.name == "seated":
            sheet, middle = layout.sheets[side.name], edge + STAFF_W / 2
            ends = (2.0, request.width - 2)
            if request.mode == "both":
                ends = (2.0, middle - 6) if sheet.facing == 1 else (middle + 6, ends[1])
            marks += draw_rule(case, side, sheet, request.unit, ends, request.person)
    for sheet, heights in stage.body_heights(layout):
        marks += ink_body_labels(heights, sheet, request.unit, request.width)
    x = edge - MARGIN_PX if edge > request.width / 2 else request.width - MARGIN_PX
    return [*marks, *note_not_recorded(stage.missing, x, TOP_PX - 4)]
