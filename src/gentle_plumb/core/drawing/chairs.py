"""Chairs of every kind, from the side."""

from __future__ import annotations

from math import cos, radians, sin, tan

from ..body import USUAL_LUMBAR_MM
from ..fit import Case
from ..workstation import ARMREST_BACK_MM, ARMREST_FRONT_MM, ArmrestKind, ChairKind, Settings
from .marks import Point, box
from .outline import Outline
from .pose import Pose, leaned_by
from .supports import Layers, ink_behind_back, ink_cushion

DEPTH_SHOWN_MM = 440.0
BACKLESS_MM = 330.0
PAD_MM, POST_MM = 26.0, 11.0
BIG_WHEEL_MM, SMALL_WHEEL_MM = 300.0, 90.0
"""What is drawn where the seat's depth is not recorded, and of a stool; an armrest's pad and half its post;
wheels of a wheelchair. Source: house-chain."""


def ink_chair(outline: Outline, case: Case, pose: Pose, settings: Settings, layers: Layers) -> None:
    """The chair by its kind, with what lies on it and behind the back."""
    chair = case.workstation.chair
    known = settings.seat is not None
    top = settings.seat if settings.seat is not None else pose.hip[1] - 0.6 * pose.thigh
    cushion, behind = sum(layers.get("seat", ())), sum(layers.get("back", ()))
    deep = settings.seat_depth if settings.seat_depth is not None else DEPTH_SHOWN_MM
    deep = BACKLESS_MM if chair.backless else deep + behind
    own = Outline(outline.posture)
    seat = top - cushion
    match chair.kind:
        case "stool" | "saddle":
            _stool(own, seat)
        case "ball":
            _ball(own, seat)
        case "dining" | "sofa" | "bed":
            _dining(own, seat, deep)
        case "wheelchair":
            _wheelchair(own, seat, deep, pose, behind)
        case _:
            _task(own, seat, deep, leaned_by(case, settings))
            if chair.ring:
                _ring(own, seat, deep)
    if chair.kind != ChairKind.BALL:
        role = "piece" if known else "piece-faint"
        own.shape(role, _pan(seat, deep, _slope(case, settings)), "seat", curved=True)
    if cushion:
        ink_cushion(own, top, deep, cushion)
    if behind:
        up = settings.lumbar if settings.lumbar is not None else USUAL_LUMBAR_MM
        lean = radians(leaned_by(case, settings))
        ink_behind_back(own, (-2 - sin(lean) * up, top + up * cos(lean)), behind)
    outline.add(own, dx=-behind)


def _slope(case: Case, settings: Settings) -> float:
    """How far the pan falls to the front, degrees: a saddle by itself."""
    if case.workstation.chair.kind == ChairKind.SADDLE:
        return case.thigh_slope
    return settings.seat_slope or 0.0


def ink_armrest(outline: Outline, case: Case, settings: Settings) -> None:
    """The near armrest: its post from the pan, and the pad the forearm rests on."""
    chair = case.workstation.chair
    if chair.armrests not in (ArmrestKind.FIXED, ArmrestKind.ADJUSTABLE):
        return
    if not settings.armrest or settings.seat is None:
        return
    rest, middle = settings.seat + settings.armrest, (ARMREST_BACK_MM + ARMREST_FRONT_MM) / 2
    outline.shape(
        "piece",
        box(middle - POST_MM, settings.seat - 30, middle + POST_MM, rest - PAD_MM),
        "armrest",
    )
    outline.shape("piece", box(ARMREST_BACK_MM, rest - PAD_MM, ARMREST_FRONT_MM, rest), "armrest")


def _pan(seat: float, deep: float, slope: float) -> list[Point]:
    drop = tan(radians(slope))
    profile = (
        (-6, seat),
        (deep * 0.5, seat - 4),
        (deep - 20, seat),
        (deep, seat - 18),
        (deep - 10, seat - 46),
        (20, seat - 58),
        (-10, seat - 40),
    )
    return [(x, y - max(0.0, x) * drop) for x, y in profile]


def _leaned(seat: float, recline: float) -> list[Point]:
    """A backrest's curve along the trunk."""
    lean = radians(recline)
    profile = ((70, -16), (140, 2), (200, 14), (270, 8), (360, -6), (470, -22), (540, -34))
    return [(-16 - sin(lean) * up + bow, seat + up * cos(lean)) for up, bow in profile]


def _task(outline: Outline, seat: float, deep: float, recline: float) -> None:
    """Column, castors, backrest along the trunk."""
    middle = deep * 0.46
    outline.shape("column", [(middle, seat - 55), (middle, 95)], "seat", closed=False)
    outline.shape("column", [(middle - 250, 78), (middle, 118), (middle + 250, 78)], closed=False)
    for offset in (-250.0, 0.0, 250.0):
        outline.disc("castor", (middle + offset, 32), 32)
    back = _leaned(seat, recline)
    outline.shape("backrest", back, "lumbar", closed=False, curved=True)
    outline.shape(
        "column", [back[0], (10, seat - 30), (middle, seat - 60)], closed=False, curved=True
    )


def _ring(outline: Outline, seat: float, deep: float) -> None:
    """A high chair's ring for the feet."""
    middle, position = deep * 0.46, seat * 0.45
    outline.shape("column", [(middle - 210, position), (middle + 260, position)], closed=False)


def _stool(outline: Outline, seat: float) -> None:
    """Column, ring for the feet, foot; no backrest."""
    middle = 160.0
    outline.shape("column", [(middle, seat - 55), (middle, 40)], "seat", closed=False)
    outline.shape(
        "column", [(middle - 150, seat * 0.42), (middle + 150, seat * 0.42)], closed=False
    )
    outline.shape("leg", box(middle - 210, 0, middle + 210, 34))


def _ball(outline: Outline, seat: float) -> None:
    """A ball, flattened by who sits on it."""
    outline.disc("cushion", (150, seat / 2), seat / 2, "seat")


def _dining(outline: Outline, seat: float, deep: float) -> None:
    """Four legs, a straight backrest."""
    for x, foot in ((20.0, -20.0), (deep - 40, deep - 20)):
        outline.shape(
            "leg", [(x - 16, seat - 40), (x + 16, seat - 40), (foot + 14, 0), (foot - 14, 0)]
        )
    outline.shape("backrest", [(-14, seat + 10), (-62, seat + 430)], "lumbar", closed=False)


def _wheelchair(outline: Outline, seat: float, deep: float, pose: Pose, behind: float) -> None:
    """Big wheel, small wheel, footplate under the sole, upright backrest."""
    hub = (90.0, BIG_WHEEL_MM)
    outline.disc("castor", hub, BIG_WHEEL_MM)
    outline.disc("castor", hub, BIG_WHEEL_MM - 26)
    small = (max(deep - 20.0, 400.0), SMALL_WHEEL_MM)
    outline.disc("castor", small, SMALL_WHEEL_MM)
    outline.shape("column", [hub, (hub[0], seat - 40)], closed=False)
    outline.shape("column", [small, (small[0], seat - 50)], closed=False)
    ankle, toe = pose.ankle[0] + behind, pose.toe[0] + behind
    outline.shape("column", [(small[0], seat - 50), (ankle - 60, pose.sole + 10)], closed=False)
    outline.shape("leg", box(ankle - 70, pose.sole - 24, toe - 40, pose.sole), "footrest")
    outline.shape("backrest", [(-16, seat + 20), (-70, seat + 400)], "lumbar", closed=False)
    outline.shape("column", [(-70, seat + 390), (-150, seat + 395)], closed=False)
