r"""The house model of a body at a desk, in the plane seen from the side.

Heights are from the floor, lengths in mm, angles in degrees. A joint angle is the included
one: a straight arm has 180. Seat height means loaded, under the sit bones::

             o eye          recline: trunk back from upright, about the hip
             |\             elbow angle: between upper arm and forearm; over 90 is open,
    shoulder + \\  flexion        the hand lower than the elbow
             |  elbow---- keys
        hip  +------ knee
     seat ===|======    |
                        + sole (shoe)

Everything here is plane geometry on the lengths of ``house-chain``.
"""

from __future__ import annotations

from math import asin, atan2, cos, degrees, radians, sin

from ..errors import OutOfReach
from ..language import msg, numeral
from ..tolerances import ROUNDING

HIP_SHARE = 0.6
"""Hip joint above the seat, as a share of thigh clearance. Source: house-chain."""
CURLED_HAND_SHARE = 0.35
"""Share of the hand's length lost by curling the fingers to the keys. Source: house-chain."""
SHOULDER_FROM_BACKREST_MM = 120.0
"""Shoulder joint in front of the backrest plane, upright. Source: house-chain."""
EYE_BEFORE_SHOULDER_MM = 80.0
"""Eye in front of the shoulder. Source: house-chain."""
BELLY_CLEARANCE_MM = 30.0
"""Free space between belly and desk edge. Source: house-desk-depth."""
FREE_FOREARM_TURN_DEG = 15.0
"""How far the forearm turns outwards before the upper arm has to. Source: house-mouse."""


def hip_above_seat(thigh_clearance: float) -> float:
    """Hip joint above the loaded seat, mm.

    >>> hip_above_seat(155)
    93.0
    """
    return HIP_SHARE * thigh_clearance


def trunk_drop(
    *, shoulder_height_sitting: float, thigh_clearance: float, recline_deg: float
) -> float:
    """How far reclining lowers shoulder, elbow and eye, mm (recline 0 to 45 degrees).

    >>> round(trunk_drop(shoulder_height_sitting=555, thigh_clearance=155, recline_deg=10), 2)
    7.02
    """
    lever = shoulder_height_sitting - hip_above_seat(thigh_clearance)
    return lever * (1 - cos(radians(recline_deg)))


def seat_for_legs(
    *,
    popliteal_height: float,
    shoe: float,
    relief: float,
    buttock_popliteal_length: float,
    thigh_slope_deg: float,
) -> float:
    """Loaded seat height at which the feet stand flat, mm.

    Parameters
    ----------
    popliteal_height, shoe, relief, buttock_popliteal_length : float
        mm; relief 0 to 25 keeps the edge off the thigh.
    thigh_slope_deg : float
        Thighs sloping down to the knee, 0 to 15.

    >>> seat_for_legs(popliteal_height=440, shoe=25, relief=15, buttock_popliteal_length=495,
    ...               thigh_slope_deg=0)
    450.0

    """
    slope = buttock_popliteal_length * sin(radians(thigh_slope_deg))
    return popliteal_height + shoe - relief + slope


def thigh_slope_deg(
    *,
    seat: float,
    legs: float,
    level: float,
    margin: float,
    wanted: float,
    buttock_popliteal_length: float,
) -> float:
    """How far the thighs slope down to the knee as the seat is set, degrees; negative: they rise.

    ::

        hip o----___            slope > 0: knees lower than hips
                    ---o knee   knee = 90 + slope, hip = 90 + recline + slope
                       |        (feet flat, shanks upright)

    Parameters
    ----------
    seat : float
        Loaded seat over what the feet stand on, mm.
    legs : float
        The seat for the slope that is wanted, mm; a seat within ``margin`` of it makes that slope.
    level : float
        The seat for level thighs, mm.
    margin : float
        What a seat may be off without harm, mm.
    wanted : float
        The slope the policy asks for, degrees, 0 to 15.
    buttock_popliteal_length : float
        mm.

    Examples
    --------
    >>> round(thigh_slope_deg(seat=480, legs=510, level=410, margin=10, wanted=12,
    ...                       buttock_popliteal_length=480), 2)
    8.39
    >>> round(thigh_slope_deg(seat=380, legs=410, level=410, margin=10, wanted=0,
    ...                       buttock_popliteal_length=480), 2)
    -2.39

    """
    if seat >= legs - margin - ROUNDING:
        return wanted  # flat feet, or feet that hang: the thighs lie as they are meant to
    over = seat - level
    if over < 0:
        over = min(0.0, over + margin)
    return degrees(asin(max(-1.0, min(1.0, over / buttock_popliteal_length))))


def elbow_above_seat(
    *, elbow_height_sitting: float, drop: float, shoulder_elbow_length: float, flexion_deg: float
) -> float:
    """Underside of the elbow above the seat, mm; flexion is the upper arm forward, 0 to 20."""
    lift = shoulder_elbow_length * (1 - cos(radians(flexion_deg)))
    return elbow_height_sitting - drop + lift


def eye_above_seat(*, eye_height_sitting: float, drop: float) -> float:
    """Eye above the seat with the head level, mm."""
    return eye_height_sitting - drop


def reach_to_keys(*, elbow_fingertip_length: float, hand_length: float) -> float:
    """Elbow to the home row with curled fingers, mm.

    >>> reach_to_keys(elbow_fingertip_length=430, hand_length=175)
    368.75
    """
    return elbow_fingertip_length - CURLED_HAND_SHARE * hand_length


def keys_height(*, elbow: float, reach: float, elbow_deg: float) -> float:
    """Home row at which the wrist is straight, mm from where ``elbow`` counts.

    >>> round(keys_height(elbow=637.98, reach=368.75, elbow_deg=95), 1)
    605.8
    """
    return elbow - reach * sin(radians(elbow_deg - 90))


def elbow_angle_deg(*, elbow: float, keys: float, reach: float) -> float:
    """Elbow angle that keeps the wrist straight on keys at this height; inverse of above.

    Raises
    ------
    OutOfReach
        If the keys are further above or below the elbow than the forearm is long.

    >>> round(elbow_angle_deg(elbow=737.98, keys=760, reach=368.75), 1)
    86.6

    """
    ratio = (elbow - keys) / reach
    if abs(ratio) > 1:
        raise OutOfReach(
            msg(
                "keys {abs} mm from the elbow, forearm {reach} mm",
                abs=numeral(f"{abs(elbow - keys):.0f}"),
                reach=numeral(f"{reach:.0f}"),
            )
        )
    return 90 + degrees(asin(ratio))


def gaze_deg(*, above_eye: float, distance: float) -> float:
    """Angle of the line of sight, up positive, to a point ``above_eye`` mm over the eye.

    >>> round(gaze_deg(above_eye=-299, distance=625), 1)
    -25.6
    """
    return degrees(atan2(above_eye, distance))


def abduction_deg(
    *, offset: float, biacromial: float, reach: float, shoulder_elbow_length: float
) -> float:
    """How far the upper arm stands out for a device ``offset`` mm from the midline, degrees.

    The forearm turns outwards 15 degrees free of charge. Beyond what the upper arm can do,
    90 is returned.

    >>> round(abduction_deg(offset=345, biacromial=355, reach=368.75, shoulder_elbow_length=330), 1)
    12.6
    """
    outside = offset - biacromial / 2
    rest = outside - reach * sin(radians(FREE_FOREARM_TURN_DEG))
    return degrees(asin(min(1.0, max(0.0, rest / shoulder_elbow_length))))


def shoulder_x(
    *, shoulder_height_sitting: float, thigh_clearance: float, recline_deg: float
) -> float:
    """Shoulder in front of the backrest at seat level, mm."""
    lever = shoulder_height_sitting - hip_above_seat(thigh_clearance)
    return SHOULDER_FROM_BACKREST_MM - lever * sin(radians(recline_deg))


def keys_x(
    *,
    shoulder: float,
    shoulder_elbow_length: float,
    flexion_deg: float,
    reach: float,
    elbow_deg: float,
) -> float:
    """Home row in front of where ``shoulder`` counts from, mm."""
    upper = shoulder_elbow_length * sin(radians(flexion_deg))
    return shoulder + upper + reach * cos(radians(elbow_deg - 90))


def belly_front_x(
    *,
    abdominal_depth: float,
    elbow_height_sitting: float,
    thigh_clearance: float,
    recline_deg: float,
) -> float:
    """Nearest the desk's front edge may come to the backrest plane, mm."""
    lever = elbow_height_sitting - hip_above_seat(thigh_clearance)
    return abdominal_depth - lever * sin(radians(recline_deg)) + BELLY_CLEARANCE_MM
