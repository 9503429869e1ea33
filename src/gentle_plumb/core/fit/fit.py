"""The fit: both postures, first as body and policy want them, then as the equipment can."""

from __future__ import annotations

from dataclasses import replace

from ..errors import MissingInput
from ..workstation import Settings, Span
from .case import Case
from .chair_rows import SeatAim, armrest_row, footrest_row, lumbar_row, seat_depth_row, seat_row
from .frame import (
    legs_terms,
)
from .hand_rows import hand_rows, keys_terms, mouse_row
from .joints import Joint, joints_of, screen_top_band
from .model import fixed_surface, search_model, target_distance
from .result import FitResult, FitRow, Posture, PostureFit
from .rows import SAME_MM
from .screen_rows import desk_depth_row, distance_row, eye_height_terms, tilt_row, top_row
from .search import Found, search
from .terms import total

STANDING_ELBOW_OVER_DEG = 15.0
"""An elbow further outside its band than this makes standing work unfit. Source: house-joint-bands."""


def _run(case: Case, posture: Posture, *, free: bool) -> Found | None:
    try:
        return search(search_model(case, posture, free=free))
    except MissingInput:
        return None


def _legs_seat(case: Case) -> float | None:
    """Seat for the legs alone, where the hands are not known yet."""
    try:
        legs = total(legs_terms(case.body, case))
    except MissingInput:
        return None
    span = case.workstation.chair.seat
    return span.clamp(legs) if span is not None else legs


def _aim(case: Case, free: Found | None) -> SeatAim | None:
    if free is None:
        return None
    surface, legs = fixed_surface(case), total(legs_terms(case.body, case))
    if surface is None or abs(free.seat - legs) <= case.policy.flat_feet_margin + SAME_MM:
        return SeatAim(height=free.seat, by_hands=False)
    return SeatAim(height=free.seat, by_hands=True)


def _by_name(joints: tuple[Joint, ...]) -> dict[str, Joint]:
    return {joint.joint: joint for joint in joints}


def _over(joints: tuple[Joint, ...]) -> float | None:
    known = [abs(joint.over) for joint in joints if joint.over is not None]
    return sum(known) if known else None


def _screen_setting(case: Case, surface: float | None, want: float | None) -> float | None:
    lift = case.workstation.screen.reach(case.workstation.keyboard)
    if want is None or lift is None:
        return want
    return None if surface is None else Span(
        low=lift.low + surface, high=lift.high + surface
    ).clamp(want)  # fmt: skip


def _eye(case: Case, posture: Posture, seat: float | None) -> float | None:
    try:
        return total(eye_height_terms(case.body, case, posture, seat))
    except MissingInput:
        return None


def _posture(case: Case, posture: Posture, real: Found | None, overrule: Settings) -> PostureFit:
    seated = posture == "seated"
    fixed = fixed_surface(case) is not None  # else the legs alone decide
    free = _run(case, posture, free=True) if seated and fixed else None
    seat = (real.seat if real else _legs_seat(case)) if seated else None
    seat = overrule.seat if overrule.seat is not None else seat
    surface = _surface(case, posture, seat, real)
    surface = overrule.surface if overrule.surface is not None else surface

    elbow_deg = case.policy.elbow_angle
    far = distance_row(case, posture, elbow_deg)
    distance = far.setting if overrule.distance is None else overrule.distance
    eye = _eye(case, posture, seat)
    reckoned = distance if distance is not None else target_distance(case)
    want_top = None
    if eye is not None and (case.lower_lens == "none" or reckoned is not None):
        want_top = eye + screen_top_band(case, reckoned or 600.0)[1]
    top = overrule.screen_top
    if top is None:
        top = _screen_setting(case, surface, want_top)

    mouse = mouse_row(case, None)
    thickness = case.workstation.keyboard.thickness
    foot = footrest_row(case, seat) if seated else None
    settings = Settings(
        seat=seat,
        footrest=foot.setting if foot else None,
        surface=surface,
        keys=surface + thickness if surface is not None and thickness is not None else None,
        mouse=mouse.setting if overrule.mouse is None else overrule.mouse,
        screen_top=top,
        distance=distance,
    )
    joints = _by_name(joints_of(case, settings, posture))
    rows: list[FitRow] = []
    if seated and foot is not None:
        aim = _aim(case, free)
        rows += [
            seat_row(case, aim, seat, joints["elbow"], joints.get("knee"), fixed_surface(case)),
            foot,
            seat_depth_row(case),
            lumbar_row(case),
            armrest_row(case, seat, surface),
        ]
    rows += hand_rows(case, posture, seat, surface, joints["elbow"])
    if seated:
        rows.append(mouse_row(case, joints["upper_arm"]))
    rows.append(top_row(case, posture, seat, surface, top, reckoned, joints["neck"]))
    rows.append(far)
    rows.append(tilt_row(case, posture, top=top, eye=eye, distance=distance))
    if seated:
        rows.append(desk_depth_row(case, elbow_deg))
    rows = [_overruled(row, overrule) for row in rows]

    found = case.found_seated if seated else case.found_standing
    joints_found = joints_of(case, found, posture)
    possible, why_not = True, None
    if not seated and case.workstation.chair.kind == "wheelchair":
        possible, why_not = False, "Seated in a wheelchair: nothing is worked out for standing."
    elif not seated and real is not None and real.over > STANDING_ELBOW_OVER_DEG:
        limits = next(row.limits for row in rows if row.key == "surface")
        if limits:
            possible, why_not = False, f"No work standing at this desk: {limits[0].text}."
    return PostureFit(
        posture=posture,
        possible=possible,
        why_not=why_not,
        rows=tuple(rows),
        joints_found=joints_found,
        joints_set=tuple(joints.values()),
        over_found=_over(joints_found),
        over_set=_over(tuple(joints.values())),
    )


def _surface(case: Case, posture: Posture, seat: float | None, real: Found | None) -> float | None:
    if real is not None and (posture == "standing" or seat == real.seat):
        return real.surface
    fixed = fixed_surface(case)
    if fixed is not None or seat is None or real is None:
        return fixed
    want = total(keys_terms(case.body, case, posture, seat, case.policy.elbow_angle))
    span = case.workstation.desk.surface
    want -= case.keyboard_thickness()
    desk = case.workstation.desk
    if desk.thickness is not None:
        room = case.body.mm("thigh_clearance") + case.policy.thigh_room
        want = max(want, seat + room + desk.thickness)
    return span.clamp(want) if span is not None else want


def _overruled(row: FitRow, overrule: Settings) -> FitRow:
    value = overrule.get(row.key)
    if value is None:
        return row
    change = None if row.found is None else value - row.found
    return replace(row, setting=value, change=change, limits=(), cost=None)


def fit(
    case: Case,
    *,
    overrule_seated: Settings | None = None,
    overrule_standing: Settings | None = None,
) -> FitResult:
    """Work a case out.

    Parameters
    ----------
    case : Case
        Body, equipment, policies, and what was found.
    overrule_seated, overrule_standing : Settings, optional
        Numbers the practitioner has put in place of the computed ones; what depends on them
        follows.

    Returns
    -------
    FitResult
        Rows for both postures. Nothing is guessed: what can't be told is ``not_assessable``
        with its reason.

    """
    blank = Settings()
    notes: list[str] = []
    station = case.workstation
    if station.desk.thickness is None:
        notes.append("Room above the thighs not checked: the desk's thickness is not recorded.")
    if station.chair.seat is None:
        notes.append("The chair's range is not recorded: the seat is taken as free to move.")
    if station.desk.surface is None:
        notes.append("The desk's range is not recorded: the surface is taken as free to move.")
    if station.screen.kind != "laptop" and station.screen.top_above_surface is None:
        notes.append("The screen stand's range is not recorded: it is taken as free to move.")
    if "abdominal_depth_sitting" not in case.body.values:
        notes.append("Belly room at the desk edge not checked: belly depth is not measured.")
    real = _run(case, "seated", free=False)
    if real is not None and real.thighs_pressed:
        notes.append(
            "No setting leaves room for the thighs under this desk: raise the desk, or take a "
            "thinner top or a lower chair."
        )
    return FitResult(
        seated=_posture(case, "seated", real, overrule_seated or blank),
        standing=_posture(
            case, "standing", _run(case, "standing", free=False), overrule_standing or blank
        ),
        notes=tuple(notes),
    )
