"""What is asked of a drawing, and what it shows of one posture."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import Literal

from ..errors import MissingInput
from ..fit import Case, Frame, Joint, PostureFit, joints_of, settings_of
from ..reuse import reuse_last
from ..units import LengthUnit
from ..workstation import Settings
from .furniture import Place, place_of
from .pose import Pose, seated_pose, standing_pose

Mode = Literal["both", "seated", "standing", "overlay"]
Show = Literal["found", "target", "left", "kept"]
Layer = Literal["heights", "habits", "measuring"]


@dataclass(frozen=True, kw_only=True)
class SceneRequest:
    """What to draw: ``width`` and ``height`` in px, which settings, which figures, which unit.

    ``kept`` shows what to come back to: what was left where something was, else what was worked out.

    The layer ``habits`` puts what is seen of the body in the place of heights and distances; the
    layer ``measuring`` shows the figure in the pose of the dimension that ``tape`` names. With
    ``grips`` there are rings to turn joints and pieces by. Without the ``person`` furniture alone is
    drawn, with no height or distance of a body. ``between`` 0 to 1 draws what lies so far on the way
    from what was found to what is shown.
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
    between: float | None = None


@dataclass(frozen=True, kw_only=True)
class DrawnPosture:
    """One posture ready to draw; ``recorded`` where there is anything of it to show."""

    name: Literal["seated", "standing"]
    fit: PostureFit
    settings: Settings
    pose: Pose
    place: Place
    joints: tuple[Joint, ...]
    recorded: bool = True


ANCHORS = {"seated": ("seat", "surface", "screen_top"), "standing": ("surface", "screen_top")}
"""One of these has to be recorded for a posture to be shown as found, or as set. Source: house-chain."""


def _shown(
    case: Case, fit: PostureFit, left: Settings, show: Show, between: float | None
) -> Settings:
    """The settings to draw: what is aimed at falls back on what was found, never the other way."""
    found = case.found_seated if fit.posture == "seated" else case.found_standing
    if show == "found":
        settings = found
    else:
        worked_out = settings_of(fit)
        over = {"target": worked_out, "left": left, "kept": worked_out.over(left)}[show]
        settings = found.over(over)
        if between is not None:
            settings = _on_the_way(found, settings, between)
    surface, thickness = settings.surface, case.workstation.keyboard.thickness
    if surface is not None and thickness is not None:
        settings = replace(settings, keys=surface + thickness)
    return settings


def _on_the_way(start: Settings, end: Settings, share: float) -> Settings:
    """Settings between two: what only one of them knows stays as it is."""
    merged = {}
    for key in Settings.__dataclass_fields__:
        a, b = start.get(key), end.get(key)
        both = a is not None and b is not None
        merged[key] = a + (b - a) * share if both else (b if a is None else a)  # type: ignore[operator]
    return Settings(**merged)


@reuse_last(8)
def posture_to_draw(
    case: Case, fit: PostureFit, left: Settings, show: Show, between: float | None = None
) -> DrawnPosture:
    """Return one posture with its pose and furniture; the last eight are kept."""
    settings = _shown(case, fit, left, show, between)
    seated = fit.posture == "seated"
    mouse = replace(settings, mouse=settings.mouse if seated else None)
    joints = joints_of(case, mouse, fit.posture)
    if seated:
        knee = next((joint.angle for joint in joints if joint.joint == "knee"), None)
        pose = seated_pose(case, settings, None if knee is None else knee - 90)
    else:
        pose = standing_pose(case, settings)
    recorded = any(settings.get(key) is not None for key in ANCHORS[fit.posture])
    if show not in ("target", "kept") and (not recorded or (seated and settings.seat is None)):
        pose = replace(pose, known=False)  # nobody recorded how they sit or stand
    return DrawnPosture(
        name=fit.posture,
        fit=fit,
        settings=settings,
        pose=pose,
        place=place_of(case, pose, settings),
        joints=joints,
        recorded=recorded,
    )


def eye_and_elbow_heights(case: Case, side: DrawnPosture) -> tuple[float | None, float | None]:
    """Return the heights of eye and elbow over the floor, mm; None where they are not known."""
    try:
        _ = Frame.seated(case) if side.name == "seated" else Frame.standing(case)
    except MissingInput:
        return None, None
    if side.name == "seated" and side.settings.seat is None:
        return None, None
    return side.pose.eye[1], side.pose.elbow[1]


def height_of(side: DrawnPosture) -> float:
    """Return the height of head or screen top, whichever is higher, mm."""
    return max(side.pose.head[1] + 120 * side.pose.scale, side.settings.screen_top or 0.0)
