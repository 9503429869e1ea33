"""What of the drawing turns under a hand: joints and pieces whose angle can be tried."""

from __future__ import annotations

from ..fit import Case, Joint, PostureFit
from ..language import filled, msg
from ..record import Field, fields
from ..words import say_degrees
from ..workstation import ScreenKind, Settings
from .furniture import Place
from .marks import Grip, Mark, Point, Sheet
from .pose import Pose
from .screens import screen_ends

GRIP_PX = 6.0
"""Radius of the ring that is taken hold of, px."""
ALONG = 0.62
"""Where on thigh and forearm their rings lie, of the whole: clear of what is drawn at the joints."""


def _along(start: Point, end: Point, share: float) -> Point:
    return start[0] + share * (end[0] - start[0]), start[1] + share * (end[1] - start[1])


def grips_of(
    case: Case,
    fit: PostureFit,
    settings: Settings,
    pose: Pose,
    place: Place,
    joints: tuple[Joint, ...],
    sheet: Sheet,
) -> list[Grip]:
    """Every angle of a posture that can be tried, each where it turns."""
    seated = fit.posture == "seated"
    elbow = next((joint.angle for joint in joints if joint.joint == "elbow"), None)
    rings: list[tuple[Field[float], str, float | None, Point, Point, int]] = [
        (
            fields.work.angle["elbow_angle"],
            msg("Elbow"),
            elbow,
            pose.elbow,
            _along(pose.elbow, pose.hand, ALONG),
            -1,
        )
    ]
    if seated:
        rings += [
            (
                fields.work.angle["recline"],
                msg("Recline"),
                case.recline(),
                pose.hip,
                pose.shoulder,
                1,
            ),
            (
                fields.work.angle["thigh_slope"],
                msg("Thigh slope"),
                case.policy.thigh_slope,
                pose.hip,
                _along(pose.hip, pose.knee, ALONG),
                -1,
            ),
        ]
    ends = screen_ends(case, place, settings)
    if ends is not None and case.workstation.screen.kind != ScreenKind.LAPTOP:
        foot, head = ends
        rings.append(
            (
                fields.work.own_number[fit.posture]["tilt"].value,
                msg("Screen tilt"),
                settings.tilt,
                head,
                foot,
                -1,
            )
        )
    grips = []
    for field, label, angle, centre, positions, sign in rings:
        if angle is None:
            continue
        (x, y), (centre_x, centre_y) = sheet.at(positions), sheet.at(centre)
        grips.append(
            Grip(
                field=field.id,
                label=label,
                posture=fit.posture,
                degrees=angle,
                x=x,
                y=y,
                centre_x=centre_x,
                centre_y=centre_y,
                sign=sign * sheet.facing,
            )
        )
    return grips


def ink_grips(grips: list[Grip]) -> list[Mark]:
    """The rings, each with its words for whoever can't see it."""
    return [
        Mark(
            kind="dot",
            role="grip",
            x=grip.x,
            y=grip.y,
            size=GRIP_PX,
            part=grip.field,
            posture=grip.posture,
            text=filled("{label} {angle}", label=grip.label, angle=say_degrees(grip.degrees)),
            value=grip.degrees,
        )
        for grip in grips
    ]
