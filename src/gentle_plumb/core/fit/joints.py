"""The joint angles that settings make of a body, each against its band."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from math import asin, degrees
from typing import Literal

from ..catalogue import JOINTS
from ..errors import MissingInput, OutOfReach
from ..language import msg
from ..policy import JOINT_BANDS, Band, judged_excess
from ..posture import abduction_deg, elbow_angle_deg, gaze_deg, thigh_slope_deg
from ..workstation import OUTERMOST_LETTER_MM, ArmrestKind, PointerKind, Settings
from .case import Case, leaning_at
from .frame import Frame, legs_terms, level_seat, reach
from .person import hip_band, knee_band
from .screen_rules import top_band
from .search_model import USUAL_DISTANCE_MM
from .terms import total


@dataclass(frozen=True, kw_only=True)
class Joint:
    """One joint: angle and band in degrees, ``excess_deg`` how far outside (signed), 0 inside.

    ``angle`` is None where it can't be told; ``reason`` says why. Where no angle brings the hand
    to the keys, ``out_of_reach`` is true and ``excess_deg`` None.
    """

    joint: str
    label: str
    angle: float | None
    low: float
    high: float
    excess_deg: float | None
    reason: str | None = None
    out_of_reach: bool = False


def neck_band(case: Case, distance: float) -> Band:
    """The band of the gaze to the top edge that the screen rule and lenses ask for, degrees.

    Raises MissingInput where the rule needs the picture's height and it is not recorded.
    """
    band = top_band(case, distance)
    return Band(
        low=gaze_deg(above_eye=band.low, distance=distance),
        high=gaze_deg(above_eye=band.high, distance=distance),
    )


def _need(value: float | None, what: str, reason: str) -> float:
    if value is None:
        raise MissingInput(what, reason)
    return value


def _elbow(case: Case, settings: Settings, seated: bool) -> float:
    frame = Frame.seated(case) if seated else Frame.standing(case)
    base = _need(settings.seat, "seat", msg("The seat height is not recorded.")) if seated else 0.0
    keys = settings.keys
    if keys is None:
        surface = _need(settings.surface, "surface", msg("The surface height is not recorded."))
        keys = surface + case.keyboard_thickness()
    return elbow_angle_deg(elbow=base + frame.elbow, keys=keys, reach=frame.reach)


def thigh_slope(case: Case, settings: Settings) -> float:
    """How far the thighs slope down to the knee under these settings, degrees; negative: they rise.

    Raises MissingInput where seat or legs are not known, for a wheelchair's footplates and on a sofa or bed.
    """
    if case.seat_stays:
        raise MissingInput(
            "footplates",
            msg("The wheelchair’s footplates support the feet: not measured here.")
            if case.own_seat
            else msg("The legs are stretched out or drawn up: not measured here."),
        )
    seat = _need(settings.seat, "seat", msg("The seat height is not recorded."))
    return thigh_slope_deg(
        seat=seat - (settings.footrest or 0.0),
        legs=total(legs_terms(case.body, case)),
        level=level_seat(case.body, case),
        margin=case.policy.flat_feet_margin,
        wanted=case.thigh_slope,
        buttock_popliteal_length=case.body.mm("buttock_popliteal_length"),
    )


def _knee(case: Case, settings: Settings) -> float:
    return 90 + case.legs_forward + thigh_slope(case, settings)


def _wrist(case: Case, settings: Settings, seated: bool) -> float:
    """Bent back: the keys' slope against the forearm's, which falls by what the elbow is open."""
    slope = settings.slope if settings.slope is not None else case.workstation.keyboard.slope
    return _elbow(case, settings, seated) - 90 + slope


def _shoulder(case: Case, settings: Settings) -> float:
    """How far an armrest over the elbow lifts the shoulder, about the breastbone."""
    if (
        case.workstation.chair.armrests in (None, ArmrestKind.NONE)
        or case.policy.armrest_use == "off"
    ):
        return 0.0
    if case.seat_stays:
        raise MissingInput(
            "armrest", msg("The armrests are part of the seating and stay as they are.")
        )
    rest = _need(settings.armrest, "armrest", msg("The armrests’ height is not recorded."))
    lift = max(0.0, rest - Frame.seated(case).elbow)
    half = case.body.mm("shoulder_breadth_biacromial") / 2
    return degrees(asin(min(1.0, lift / half)))


def _upper_arm(case: Case, settings: Settings) -> float:
    if case.workstation.mouse.kind == PointerKind.CENTRAL:
        return 0.0  # it lies before the keys, on the midline
    body = case.body
    return abduction_deg(
        offset=_need(settings.mouse, "mouse", msg("The mouse position is not recorded.")),
        biacromial=body.mm("shoulder_breadth_biacromial"),
        reach=reach(body),
        shoulder_elbow_length=body.mm("shoulder_elbow_length"),
    )


def _upper_arm_keys(case: Case, settings: Settings) -> float:
    """The arm that is further from the letters: its hand on the outermost of them."""
    off = _need(
        settings.keys_midline, "keys_midline", msg("Position of the letter keys not recorded.")
    )
    body = case.body
    return abduction_deg(
        offset=OUTERMOST_LETTER_MM + abs(off),
        biacromial=body.mm("shoulder_breadth_biacromial"),
        reach=reach(body),
        shoulder_elbow_length=body.mm("shoulder_elbow_length"),
    )


def _gaze_top(case: Case, settings: Settings, seated: bool) -> float:
    frame = Frame.seated(case) if seated else Frame.standing(case)
    base = _need(settings.seat, "seat", msg("The seat height is not recorded.")) if seated else 0.0
    top = _need(settings.screen_top, "screen_top", msg("The screen’s height is not recorded."))
    distance = _need(settings.distance, "distance", msg("The eye distance is not recorded."))
    return gaze_deg(above_eye=top - base - frame.eye, distance=distance)


def _joint(name: str, band: Band, angle: Callable[[], float]) -> Joint:
    label = JOINTS[name].label
    try:
        value = angle()
    except (MissingInput, OutOfReach) as why:
        reason = (
            why.reason if isinstance(why, MissingInput) else msg("Out of reach: {why}.", why=why)
        )
        return Joint(
            joint=name,
            label=label,
            angle=None,
            low=band.low,
            high=band.high,
            excess_deg=None,
            reason=reason,
            out_of_reach=isinstance(why, OutOfReach),
        )
    over = judged_excess(value, band.low, band.high)
    return Joint(
        joint=name, label=label, angle=value, low=band.low, high=band.high, excess_deg=over
    )


def joints_of(
    case: Case, settings: Settings, posture: Literal["seated", "standing"]
) -> tuple[Joint, ...]:
    """Every joint of a posture under these settings.

    Parameters
    ----------
    case : Case
        Body, shoes and policies.
    settings : Settings
        As found, as aimed at, or as left.
    posture : {"seated", "standing"}
        Standing has no hip and knee to judge.

    Returns
    -------
    tuple of Joint
        ``angle`` None, with the reason, for what can't be told.

    """
    seated = posture == "seated"
    if not seated:
        case = case.standing()
    elif settings.backrest is not None:
        case = leaning_at(case, settings.backrest)
    joints = [
        _joint("elbow", case.policy.elbow_band, lambda: _elbow(case, settings, seated)),
        _joint("wrist", JOINT_BANDS["wrist"], lambda: _wrist(case, settings, seated)),
    ]
    if seated:
        upright = 90 + case.recline()
        joints += [
            _joint("shoulder", JOINT_BANDS["shoulder"], lambda: _shoulder(case, settings)),
            _joint("hip", hip_band(case), lambda: upright + thigh_slope(case, settings)),
            _joint("knee", knee_band(case), lambda: _knee(case, settings)),
        ]
    joints.append(_joint("upper_arm", JOINT_BANDS["upper_arm"], lambda: _upper_arm(case, settings)))
    if seated:
        band = JOINT_BANDS["upper_arm_keys"]
        joints.append(_joint("upper_arm_keys", band, lambda: _upper_arm_keys(case, settings)))
    distance = settings.distance if settings.distance is not None else USUAL_DISTANCE_MM
    try:
        band = neck_band(case, distance)
    except MissingInput as missing:
        reason = missing.reason
        return (
            *joints,
            Joint(
                joint="neck",
                label=JOINTS["neck"].label,
                angle=None,
                low=0.0,
                high=0.0,
                excess_deg=None,
                reason=reason,
            ),
        )
    joints.append(_joint("neck", band, lambda: _gaze_top(case, settings, seated)))
    return tuple(joints)
