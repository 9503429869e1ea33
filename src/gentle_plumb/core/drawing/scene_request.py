"""What is asked of a drawing, and what it shows of one posture."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import Literal

from ..errors import MissingInput
from ..fit import Case, Frame, Joint, PostureFit, joints_of, settings_of
from ..memoize import memoize_last
from ..units import LengthUnit
from ..workstation import Settings
from .furniture import Place, place_of
from .marks import Sheet
from .pose import Pose, seated_pose, standing_pose

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


@dataclass(frozen=True, kw_only=True)
class DrawnPosture:
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
def posture_to_draw(case: Case, fit: PostureFit, left: Settings, show: Show) -> DrawnPosture:
    """Return one posture with its pose and furniture; the last six are kept."""
    settings = _shown(case, fit, left, show)
    seated = fit.posture == "seated"
    pose = seated_pose(case, settings) if seated else standing_pose(case, settings)
    place = place_of(case, pose, settings)
    mouse = replace(settings, mouse=settings.mouse if seated else None)
    return DrawnPosture(
        name=fit.posture,
        fit=fit,
        settings=settings,
        pose=pose,
        place=place,
        joints=joints_of(case, mouse, fit.posture),
        sheet=Sheet(x0=0, y0=0, scale=1),
    )


def eye_and_elbow_heights(case: Case, side: DrawnPosture) -> tuple[float | None, float | None]:
    """Return the heights of eye and elbow over the floor, mm; None where they are not known."""
    try:
        frame = Frame.seated(case) if side.name == "seated" else Frame.standing(case)
    except MissingInput:
        return None, None
    base = side.settings.seat if side.name == "seated" else 0.0
    return (None, None) if base is None else (base + frame.eye, base + frame.elbow)


def height_of(side: DrawnPosture) -> float:
    """Return the height of head or screen top, whichever is higher, mm."""
    return max(side.pose.head[1] + 120 * side.pose.scale, side.settings.screen_top or 0.0)
