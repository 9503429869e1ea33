"""Where the joints are: from a body and settings to points in the side plane.

Seated, x counts forward from the backrest at seat level; standing, from the ankle. y is the
height over the floor. Lengths in mm.
"""

from __future__ import annotations

from dataclasses import dataclass
from math import atan2, cos, degrees, radians, sin, sqrt

from ..body import DIMENSIONS, NEEDED, USUAL_LUMBAR_MM, Body, BodyValue
from ..fit import Case
from ..posture import (
    EYE_BEFORE_SHOULDER_MM,
    SHOULDER_FROM_BACKREST_MM,
    hip_above_seat,
    reach_to_keys,
    trunk_drop,
)
from ..workstation import Settings
from .marks import Point

_TYPICAL = {"lumbar_height_sitting": USUAL_LUMBAR_MM}
"""What a drawing takes for a dimension nobody knows; never used by the fit. Source: house-chain."""
WELL_KNOWN = 10
"""Measured dimensions from which a figure is drawn as this person's. Source: house-chain."""


@dataclass(frozen=True, kw_only=True)
class Pose:
    """The joints of one figure, mm, and whether enough is measured to draw it in ink."""

    head: Point
    ear: Point
    eye: Point
    shoulder: Point
    elbow: Point
    hand: Point
    hip: Point
    knee: Point
    ankle: Point
    toe: Point
    sole: float
    scale: float
    thigh: float
    belly: float
    heel: float
    seated: bool
    known: bool


def drawable(body: Body) -> tuple[Body, bool]:
    """A body with every dimension filled for drawing, and whether enough of it is measured."""
    values: dict[str, BodyValue] = {}
    for name, entry in DIMENSIONS.items():
        if body.has(name):
            values[name] = body.value(name)
            continue
        spread = entry.spread(body.sex)
        mean = spread.mean_mm if spread is not None else _TYPICAL[name]
        values[name] = BodyValue(mm=mean, sd_mm=0.0, source="estimated")
    measured = sum(name in body.values for name in NEEDED)
    return Body(values=values, sex=body.sex, posture=body.posture), measured >= WELL_KNOWN


def body_to_draw(case: Case) -> tuple[Body, bool]:
    """Return a case's body filled for drawing, and whether enough of it is measured."""
    return case.reuse.last(2, drawable, drawable, case.body)


def _arm(
    shoulder: Point, elbow_y: float, body: Body, keys: float | None, band: tuple[float, float]
) -> tuple[Point, Point]:
    """Elbow and hand: the hand on the keys where they are known, else forearm level."""
    reach = reach_to_keys(
        elbow_fingertip_length=body.mm("elbow_fingertip_length"), hand_length=body.mm("hand_length")
    )
    elbow = (shoulder[0], elbow_y)
    drop = 0.0 if keys is None else max(-band[1] * reach, min(band[1] * reach, elbow_y - keys))
    return elbow, (elbow[0] + sqrt(reach**2 - drop**2), elbow_y - drop)


def seated_pose(case: Case, settings: Settings, slope: float | None = None) -> Pose:
    """The figure on its chair. Unknown settings take what the body would like.

    ``slope`` is how far the thighs slope down to the knee, degrees; feet then stand, else they hang
    where the seat is too high for the legs.
    """
    body, known = body_to_draw(case)
    shoe = case.shoe_seated if case.shoe_seated is not None else 25.0
    forward = radians(case.legs_forward)
    shank, thigh = body.mm("popliteal_height"), body.mm("thigh_clearance")
    leg = shank * cos(forward) + shoe
    seat = settings.seat if settings.seat is not None else leg - case.policy.relief
    lift = settings.footrest or 0.0
    lean = leaned_by(case, settings)
    recline = radians(lean)
    over = hip_above_seat(thigh)
    trunk = body.mm("shoulder_height_sitting") - over
    drop = trunk_drop(
        shoulder_height_sitting=body.mm("shoulder_height_sitting"),
        thigh_clearance=thigh,
        recline_deg=lean,
    )
    hip = (SHOULDER_FROM_BACKREST_MM, seat + over)
    shoulder = (hip[0] - trunk * sin(recline), hip[1] + trunk * cos(recline))
    eye = (shoulder[0] + EYE_BEFORE_SHOULDER_MM, seat + body.mm("eye_height_sitting") - drop)
    elbow, hand = _arm(
        shoulder, seat + body.mm("elbow_height_sitting") - drop, body, settings.keys, (0.0, 0.95)
    )
    standing = leg + lift
    knee_y = (standing if slope else max(seat + case.policy.relief, standing)) + 0.1 * leg
    along = body.mm("buttock_popliteal_length") + 30
    knee_x = hip[0] + sqrt(max(1.0, (along - hip[0]) ** 2 - (knee_y - hip[1]) ** 2))
    sole = knee_y - 0.1 * leg - leg
    return _pose(
        body,
        known,
        eye=eye,
        shoulder=shoulder,
        elbow=elbow,
        hand=hand,
        hip=hip,
        knee=(knee_x, knee_y),
        ankle=(knee_x - 4 + shank * sin(forward), sole + shoe + 70),
        sole=sole,
        heel=shoe,
        seated=True,
    )


def leaned_by(case: Case, settings: Settings) -> float:
    """Return how far the back leans, degrees: as the backrest is set, else as the policy has it."""
    return case.recline() if settings.backrest is None else settings.backrest - 90.0


def standing_pose(case: Case, settings: Settings) -> Pose:
    """The figure on its feet: ear, shoulder, hip and ankle on one plumb line."""
    body, known = body_to_draw(case)
    shoe = case.shoe_standing if case.shoe_standing is not None else 25.0
    raised = shoe + case.mat
    stature = body.mm("stature")
    shoulder = (0.0, body.mm("shoulder_height_standing") + raised)
    eye = (EYE_BEFORE_SHOULDER_MM, body.mm("eye_height_standing") + raised)
    elbow, hand = _arm(
        shoulder, body.mm("elbow_height_standing") + raised, body, settings.keys, (0.0, 0.95)
    )
    return _pose(
        body,
        known,
        eye=eye,
        shoulder=shoulder,
        elbow=elbow,
        hand=hand,
        hip=(-4.0, 0.52 * stature + raised),
        knee=(8.0, 0.285 * stature + raised),
        ankle=(-8.0, raised + 70),
        sole=case.mat,
        heel=shoe,
        seated=False,
    )


def _pose(
    body: Body,
    known: bool,
    *,
    eye: Point,
    shoulder: Point,
    elbow: Point,
    hand: Point,
    hip: Point,
    knee: Point,
    ankle: Point,
    sole: float,
    heel: float,
    seated: bool,
) -> Pose:
    scale = body.mm("stature") / 1675.0
    ear = (eye[0] - 88 * scale, eye[1] - 12 * scale)
    return Pose(
        head=(ear[0] + 12 * scale, ear[1] + 32 * scale),
        ear=ear,
        eye=eye,
        shoulder=shoulder,
        elbow=elbow,
        hand=hand,
        hip=hip,
        knee=knee,
        ankle=ankle,
        toe=(ankle[0] + 0.68 * body.mm("foot_length"), sole),
        sole=sole,
        scale=scale,
        thigh=body.mm("thigh_clearance"),
        belly=body.mm("abdominal_depth_sitting"),
        heel=heel,
        seated=seated,
        known=known,
    )


def direction_deg(start: Point, end: Point) -> float:
    """Direction of a segment, degrees counter-clockwise from forward."""
    return degrees(atan2(end[1] - start[1], end[0] - start[0]))
