"""What the limits of a person make of policies and bands. Sources: house-care."""

from __future__ import annotations

from dataclasses import replace

from ..intake import LimitId, PersonLimits
from ..policy import JOINT_BANDS, POLICY_RANGES, Band, Policy
from ..workstation import Span, Workstation
from .case import Case

OPEN_RECLINE_DEG = 10.0
"""Least lean of the back that opens the hips with level thighs, degrees."""
EDGE_RELIEF_MM = 15.0
EDGE_GAP = {"fingers": 2.0, "mm": 40.0}
"""What keeps the seat's edge off thighs and knees: relief in height, and room behind the knee."""


def within_limits(policy: Policy, person: PersonLimits) -> Policy:
    """Return the policy, kept inside what the person may do.

    Open hips lean the back; free thighs keep the seat's edge off; free wrists float at the front edge.
    """
    if person.least_hip:
        leans = max(policy.recline, OPEN_RECLINE_DEG, person.least_hip - 90.0 - policy.thigh_slope)
        policy = replace(policy, recline=min(leans, POLICY_RANGES["recline"][0].high))
    if person.has(LimitId.FREE_THIGHS):
        gap = max(policy.knee_gap_low, EDGE_GAP[policy.knee_gap_unit])
        policy = replace(
            policy,
            relief=max(policy.relief, EDGE_RELIEF_MM),
            knee_gap_low=gap,
            knee_gap_high=max(policy.knee_gap_high, gap),
        )
    if person.has(LimitId.WRISTS_FREE) and policy.set_back:
        policy = replace(policy, set_back=0.0)
    return policy


def pieces_within_limits(station: Workstation, person: PersonLimits) -> Workstation:
    """Return the pieces as the person may use them: armrests to rise with stay on."""
    if not person.has(LimitId.STEADY_SEAT) or not station.chair.armrests_off:
        return station
    return replace(station, chair=replace(station.chair, armrests_off=False))


def hip_band(case: Case) -> Band:
    """Return the band of the hip, degrees: no less open than the person's limits ask."""
    band = JOINT_BANDS["hip"]
    return Band(low=max(band.low, case.person.least_hip), high=band.high)


def knee_band(case: Case) -> Band:
    """Return the band of the knee, degrees: opened by as much as the lower legs are stretched forward."""
    band, forward = JOINT_BANDS["knee"], case.legs_forward
    return Band(low=band.low + forward, high=band.high + forward)


def not_low(case: Case, seat: Span, level: float) -> Span:
    """Return where a seat may be set: not under the knees' height where the hips have to stay above."""
    if not case.person.has(LimitId.HIP_ABOVE_KNEE) or level <= seat.low:
        return seat
    return replace(seat, low=min(level, seat.high))
