"""Chairs of every kind, from the side."""

from __future__ import annotations

from math import cos, radians, sin

from ..fit import Case
from ..workstation import ARMREST_BACK_MM, ARMREST_FRONT_MM, ArmrestKind, ChairKind, Settings
from .furniture import Ink
from .marks import Point, box
from .pose import Pose

DEPTH_SHOWN_MM = 440.0
BIG_WHEEL_MM, SMALL_WHEEL_MM = 300.0, 90.0
"""What is drawn where the seat's depth is not recorded; wheels of a wheelchair. Source: house-chain."""


def ink_chair(ink: Ink, case: Case, pose: Pose, settings: Settings) -> None:
    """The chair by its kind, its armrests, and a footrest where there is one."""
    chair = case.workstation.chair
    known = settings.seat is not None
    seat = settings.seat if settings.seat is not None else pose.hip[1] - 0.6 * pose.thigh
    role = "piece" if known else "piece-faint"
    deep = settings.seat_depth if settings.seat_depth is not None else DEPTH_SHOWN_MM
    match chair.kind:
        case "stool" | "ball":
            _stool(ink, seat)
        case "dining":
            _dining(ink, seat, deep)
        case "wheelchair":
            _wheelchair(ink, seat, deep, pose)
        case _:
            back = settings.backrest
            _task(ink, seat, deep, case.recline() if back is None else back - 90)
    ink.shape(
        role,
        _pan(seat, 330.0 if chair.kind in (ChairKind.STOOL, ChairKind.BALL) else deep),
        "seat",
        curved=True,
    )
    if chair.armrests in (ArmrestKind.FIXED, ArmrestKind.ADJUSTABLE) and settings.armrest:
        rest = seat + settings.armrest
        ink.shape("column", [(220, seat - 40), (220, rest - 20)], closed=False)
        ink.shape(role, box(ARMREST_BACK_MM, rest - 26, ARMREST_FRONT_MM, rest), "armrest")
    if settings.footrest and chair.kind != ChairKind.WHEELCHAIR:
        lift = settings.footrest
        front, heel = pose.toe[0] + 40, pose.ankle[0] - 80
        ink.shape(role, [(heel, 0), (heel, lift), (front, lift), (front, 0)], "footrest")


def _pan(seat: float, deep: float) -> list[Point]:
    return [
        (-6, seat),
        (deep * 0.5, seat - 4),
        (deep - 20, seat),
        (deep, seat - 18),
        (deep - 10, seat - 46),
        (20, seat - 58),
        (-10, seat - 40),
    ]


def _leaned(seat: float, recline: float) -> list[Point]:
    """A backrest's curve along the trunk."""
    lean = radians(recline)
    profile = ((70, -16), (140, 2), (200, 14), (270, 8), (360, -6), (470, -22), (540, -34))
    return [(-16 - sin(lean) * up + bow, seat + up * cos(lean)) for up, bow in profile]


def _task(ink: Ink, seat: float, deep: float, recline: float) -> None:
    """Column, castors, backrest along the trunk."""
    middle = deep * 0.46
    ink.shape("column", [(middle, seat - 55), (middle, 95)], "seat", closed=False)
    ink.shape("column", [(middle - 250, 78), (middle, 118), (middle + 250, 78)], closed=False)
    for offset in (-250.0, 0.0, 250.0):
        ink.dot("castor", (middle + offset, 32), 32 * ink.sheet.scale)
    back = _leaned(seat, recline)
    ink.shape("backrest", back, "lumbar", closed=False, curved=True)
    ink.shape("column", [back[0], (10, seat - 30), (middle, seat - 60)], closed=False, curved=True)


def _stool(ink: Ink, seat: float) -> None:
    """Column, ring for the feet, foot; no backrest."""
    middle = 160.0
    ink.shape("column", [(middle, seat - 55), (middle, 40)], "seat", closed=False)
    ink.shape("column", [(middle - 150, seat * 0.42), (middle + 150, seat * 0.42)], closed=False)
    ink.shape("leg", box(middle - 210, 0, middle + 210, 34))


def _dining(ink: Ink, seat: float, deep: float) -> None:
    """Four legs, a straight backrest."""
    for x, foot in ((20.0, -20.0), (deep - 40, deep - 20)):
        ink.shape("leg", [(x - 16, seat - 40), (x + 16, seat - 40), (foot + 14, 0), (foot - 14, 0)])
    ink.shape("backrest", [(-14, seat + 10), (-62, seat + 430)], "lumbar", closed=False)


def _wheelchair(ink: Ink, seat: float, deep: float, pose: Pose) -> None:
    """Big wheel, small wheel, footplate under the sole, upright backrest."""
    scale = ink.sheet.scale
    hub = (90.0, BIG_WHEEL_MM)
    ink.dot("castor", hub, BIG_WHEEL_MM * scale)
    ink.dot("castor", hub, (BIG_WHEEL_MM - 26) * scale)
    small = (max(deep - 20.0, 400.0), SMALL_WHEEL_MM)
    ink.dot("castor", small, SMALL_WHEEL_MM * scale)
    ink.shape("column", [hub, (hub[0], seat - 40)], closed=False)
    ink.shape("column", [small, (small[0], seat - 50)], closed=False)
    ink.shape("column", [(small[0], seat - 50), (pose.ankle[0] - 60, pose.sole + 10)], closed=False)
    ink.shape(
        "leg", box(pose.ankle[0] - 70, pose.sole - 24, pose.toe[0] - 40, pose.sole), "footrest"
    )
    ink.shape("backrest", [(-16, seat + 20), (-70, seat + 400)], "lumbar", closed=False)
    ink.shape("column", [(-70, seat + 390), (-150, seat + 395)], closed=False)
