"""Generic chairs. Heights are loaded and in cm."""

from __future__ import annotations

from ...workstation import (
    ArmrestKind,
    Castors,
    ChairKind,
    GasSpring,
    Lever,
    LumbarKind,
    Stability,
    TiltLock,
)
from ..fields import chair
from .kind import shelf_kind

CHAIRS = (
    shelf_kind(
        "task",
        "chair",
        "Task chair, adjustable seat and armrests",
        {
            chair.kind: ChairKind.TASK,
            chair.seat.low: "41 cm",
            chair.seat.high: "52 cm",
            chair.depth.low: "40 cm",
            chair.depth.high: "48 cm",
            chair.lock: TiltLock.LOCKS,
            chair.backrest.low: "90",
            chair.backrest.high: "115",
            chair.lumbar_kind: LumbarKind.FREE,
            chair.lumbar.low: "15 cm",
            chair.lumbar.high: "25 cm",
            chair.armrests: ArmrestKind.ADJUSTABLE,
            chair.armrest.low: "18 cm",
            chair.armrest.high: "28 cm",
            chair.castors: Castors.HARD,
            chair.stability: Stability.FIRM,
            chair.lift: GasSpring.HOLDS,
            chair.lever["seat"]: Lever.RIGHT_FRONT,
            chair.lever["seat_depth"]: Lever.RIGHT_REAR,
            chair.lever["backrest"]: Lever.LEFT_REAR,
            chair.lever["lumbar"]: Lever.CLICKS,
            chair.lever["armrest"]: Lever.BUTTON,
        },
    ),
    shelf_kind(
        "task_plain",
        "chair",
        "Task chair, plain, fixed seat depth",
        {
            chair.kind: ChairKind.TASK,
            chair.seat.low: "42 cm",
            chair.seat.high: "53 cm",
            chair.depth.low: "45 cm",
            chair.depth.high: "45 cm",
            chair.lock: TiltLock.FREE,
            chair.lumbar_kind: LumbarKind.FIXED,
            chair.lumbar.low: "20 cm",
            chair.lumbar.high: "20 cm",
            chair.armrests: ArmrestKind.NONE,
            chair.castors: Castors.CARPET,
            chair.stability: Stability.FIRM,
            chair.lift: GasSpring.HOLDS,
        },
    ),
    shelf_kind(
        "dining",
        "chair",
        "Dining chair",
        {
            chair.kind: ChairKind.DINING,
            chair.seat.low: "46 cm",
            chair.seat.high: "46 cm",
            chair.depth.low: "42 cm",
            chair.depth.high: "42 cm",
            chair.lumbar_kind: LumbarKind.NONE,
            chair.armrests: ArmrestKind.NONE,
            chair.castors: Castors.GLIDES,
            chair.stability: Stability.FIRM,
        },
    ),
    shelf_kind(
        "stool",
        "chair",
        "Stool",
        {
            chair.kind: ChairKind.STOOL,
            chair.seat.low: "65 cm",
            chair.seat.high: "65 cm",
            chair.armrests: ArmrestKind.NONE,
            chair.castors: Castors.GLIDES,
            chair.stability: Stability.FIRM,
        },
    ),
    shelf_kind(
        "wheelchair",
        "chair",
        "Wheelchair, own seating",
        {
            chair.kind: ChairKind.WHEELCHAIR,
            chair.armrests: ArmrestKind.FIXED,
            chair.stability: Stability.FIRM,
        },
    ),
)
