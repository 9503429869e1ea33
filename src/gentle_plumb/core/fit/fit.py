"""The fit: both postures, first as body and policy want them, then as the equipment can."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace

from ..errors import MissingInput
from ..memoize import memoize_last
from ..units import LengthUnit, format_length
from ..workstation import ArmrestKind, ScreenKind, Settings
from .case import Case
from .chair_rows import (
    SeatAim,
    armrest_row,
    backrest_row,
    footrest_row,
    lumbar_row,
    seat_depth_row,
    seat_row,
)
from .distance import along_the_floor
from .frame import elbow_terms, legs_terms, standing_elbow_terms
from .hand_rows import hand_rows, keys_edge_row, keys_terms, mouse_forward_row, mouse_row, slope_row
from .joints import Joint, joints_of
from .model import armrest_need, fixed_surface, target_distance
from .moves import moves_between
from .pair import STANDING_OVER_DEG, Pair, ends_at_the_chair, solve_pair, stands_too
from .result import RANGE_ENDS, FitResult, FitRow, Posture, PostureFit
from .rows import SAME_MM, chosen
from .screen_rows import (
    desk_depth_row,
    distance_row,
    eye_height_terms,
    scale_row,
    tilt_row,
    top_row,
)
from .screen_rules import top_band
from .screens import side_screen_rows
from .search_model import Solution
from .terms import total
from .wording import limit_text


def _legs_seat(case: Case) -> float | None:
    """Seat for the legs alone, where the hands are not known yet."""
    if case.own_seat:
        return case.found_seated.seat
    try:
        legs = total(legs_terms(case.body, case))
    except MissingInput:
        return None
    span = case.workstation.chair.seat
    return span.clamp(legs) if span is not None else legs


def _aim(case: Case, free: Solution | None) -> SeatAim | None:
    if free is None:
        return None
    if case.own_seat:
        return None
    surface, legs = fixed_surface(case), total(legs_terms(case.body, case))
    if surface is None or abs(free.seat - legs) <= case.policy.flat_feet_margin + SAME_MM:
        return SeatAim(height=free.seat, by_hands=False)
    return SeatAim(height=free.seat, by_hands=True)


def _over(joints: tuple[Joint, ...]) -> float | None:
    known = [abs(joint.over) for joint in joints if joint.over is not None]
    return sum(known) if known else None


def _eye(case: Case, posture: Posture, seat: float | None) -> float | None:
    try:
        return total(eye_height_terms(case.body, case, posture, seat))
    except MissingInput:
        return None


def _wanted_top(case: Case, eye: float | None, distance: float | None) -> float | None:
    """The top of the picture where the hands are not known, so that no search was made."""
    if eye is None or case.workstation.screen.reach(case.workstation.keyboard) is not None:
        return None
    try:
        if distance is None and case.lower_lens != "none":
            return None
        return eye + top_band(case, distance or 600.0).target
    except MissingInput:
        return None


def _slope(case: Case, posture: Posture, seat: float | None, surface: float | None) -> float | None:
    """The keys' slope that follows the forearm, as far as they can be sloped; degrees."""
    span = case.workstation.desk.tilt
    if span is None:
        return 0.0
    bare = Settings(seat=seat, surface=surface, slope=0.0)
    elbow = next(one for one in joints_of(case, bare, posture) if one.joint == "elbow")
    return span.clamp(90 - elbow.angle) if elbow.angle is not None else None


def _own(own: float | None, computed: Callable[[], float | None]) -> float | None:
    return own if own is not None else computed()


def aims(case: Case, posture: Posture, real: Solution | None, overrule: Settings) -> Settings:
    """How a posture is set: the optimum, the practitioner's own numbers, and what follows."""
    seated = posture == "seated"
    seat = (real.seat if real else _legs_seat(case)) if seated else None
    seat = overrule.seat if overrule.seat is not None else seat
    surface = real.surface if real else fixed_surface(case)
    surface = overrule.surface if overrule.surface is not None else surface
    surface = surface if surface is not None else _free_surface(case, posture, seat)

    plain = replace(case, uncertain=False) if case.uncertain else case
    far = distance_row(plain, posture, case.policy.elbow_angle)
    distance = far.setting if overrule.distance is None else overrule.distance
    eye = _eye(case, posture, seat)
    reckoned = distance if distance is not None else target_distance(case)
    top = overrule.screen_top
    if top is None:
        top = real.top if real and real.top is not None else _wanted_top(case, eye, reckoned)
    thickness = case.workstation.keyboard.thickness
    return Settings(
        seat=seat,
        footrest=_own(overrule.footrest, lambda: footrest_row(plain, seat).setting)
        if seated
        else None,
        armrest=_own(overrule.armrest, lambda: armrest_row(plain, seat, surface).setting)
        if seated
        else None,
        surface=surface,
        keys=surface + thickness if surface is not None and thickness is not None else None,
        mouse=mouse_row(plain, None).setting if overrule.mouse is None else overrule.mouse,
        screen_top=top,
        distance=distance,
        slope=_slope(case, posture, seat, surface),
    )


_joints_found = memoize_last(4)(joints_of)


@memoize_last(4)
def _posture(
    case: Case, posture: Posture, real: Solution | None, free: Solution | None, overrule: Settings
) -> PostureFit:
    seated = posture == "seated"
    settings = aims(case, posture, real, overrule)
    seat, surface = settings.seat, settings.surface
    top, distance = settings.screen_top, settings.distance
    elbow_deg = case.policy.elbow_angle
    far = distance_row(case, posture, elbow_deg)
    eye = _eye(case, posture, seat)
    reckoned = distance if distance is not None else target_distance(case)
    made = joints_of(case, settings, posture)
    joints = {joint.joint: joint for joint in made}
    rows: list[FitRow] = []
    if seated:
        rows += [
            seat_row(
                case,
                _aim(case, free),
                seat,
                joints["elbow"],
                joints.get("knee"),
                fixed_surface(case),
            ),
            footrest_row(case, seat),
            seat_depth_row(case),
            backrest_row(case),
            lumbar_row(case),
            armrest_row(case, seat, surface),
        ]
        rows[0] = _ended_by_chair(case, rows[0], real, overrule)
    rows += hand_rows(case, posture, seat, surface, joints["elbow"])
    if case.workstation.desk.tilt is not None:
        rows.append(slope_row(case, posture, joints["elbow"]))
    if seated:
        rows.append(keys_edge_row(case))
        rows.append(mouse_row(case, joints["upper_arm"]))
        rows.append(mouse_forward_row(case))
    rows.append(top_row(case, posture, seat, surface, top, reckoned, joints["neck"]))
    rows.append(far)
    rows.append(tilt_row(case, posture, top=top, eye=eye, distance=distance))
    if seated:
        rows += side_screen_rows(case, eye=eye, distance=distance, surface=surface, main_top=top)
        rows.append(scale_row(case, distance))
        rows.append(desk_depth_row(case, elbow_deg))
    rows = [_overruled(row, overrule) for row in rows]

    found = case.found_seated if seated else case.found_standing
    joints_found = _joints_found(case, found, posture)
    possible, why_not = _possible(case, posture, real, rows)
    return PostureFit(
        posture=posture,
        possible=possible,
        why_not=why_not,
        rows=tuple(rows),
        joints_found=joints_found,
        joints_set=made,
        over_found=_over(joints_found),
        over_set=_over(made),
    )


def _ended_by_chair(case: Case, row: FitRow, real: Solution | None, overrule: Settings) -> FitRow:
    """Return the seat's row without the chair's end where that is not what decides."""
    ends = [one for one in row.limits if one.kind in RANGE_ENDS]
    if not ends or real is None or row.target is None or overrule.seat is not None:
        return row
    if ends_at_the_chair(case, overrule, real, row.target):
        return row
    others = [one for one in row.limits if one.kind not in RANGE_ENDS]
    return row.but(limits=tuple(others or chosen(row, real.seat, "chair")))


def _possible(
    case: Case, posture: Posture, real: Solution | None, rows: list[FitRow]
) -> tuple[bool, str | None]:
    if posture == "seated":
        return True, None
    if case.own_seat:
        return False, "Wheelchair user: no standing set-up."
    if not case.person.stands:
        because = " and ".join(case.person.because).lower()
        return False, f"No standing plan before it is cleared: {because}. Ask: {case.person.ask}."
    if real is not None and real.over > STANDING_OVER_DEG:
        why = _why_not_at_this_desk(case, rows, "mm")
        if why is not None:
            return False, why
    return True, None


def standing_reason(case: Case, result: FitResult, unit: LengthUnit) -> str | None:
    """Why nobody stands here, lengths in a unit; None where somebody does."""
    if result.standing.possible or not case.may_stand:
        return result.standing.why_not
    return _why_not_at_this_desk(case.standing(), result.standing.rows, unit)


def _why_not_at_this_desk(case: Case, rows: Sequence[FitRow], unit: LengthUnit) -> str | None:
    """What keeps this desk from being worked at standing: only what really does."""
    if case.workstation.screen.kind == ScreenKind.LAPTOP:
        return (
            "No work standing with this laptop alone: the picture is joined to the keys. "
            "Raised, with separate keys and mouse, it can be."
        )
    for key in ("surface", "screen_top"):
        row = next(row for row in rows if row.key == key)
        binding = next((one for one in row.limits if one.kind in RANGE_ENDS), None)
        outside = row.setting is not None and (
            (row.low is not None and row.setting < row.low - SAME_MM)
            or (row.high is not None and row.setting > row.high + SAME_MM)
        )
        if binding is not None and outside:
            return f"No work standing at this desk: {limit_text(binding, unit)}."
    return None


def _free_surface(case: Case, posture: Posture, seat: float | None) -> float | None:
    """Where the search could not be made for want of legs or shoes, the hands alone."""
    try:
        elbow_terms(case.body, case) if posture == "seated" else standing_elbow_terms(
            case.body, case
        )
        want = total(keys_terms(case.body, case, posture, seat, case.policy.elbow_angle))
        want -= case.keyboard_thickness()
    except MissingInput:
        return None
    span = case.workstation.desk.surface
    return span.clamp(want) if span is not None else want


def _overruled(row: FitRow, overrule: Settings) -> FitRow:
    value = overrule.get(row.key)
    if value is None:
        return row
    change = None if row.found is None else value - row.found
    return row.but(setting=value, change=change, limits=(), cost=None)


def belly_short(case: Case) -> float:
    """How far the keyboard hangs over the desk's edge because of the belly, mm; 0 where unknown."""
    try:
        return along_the_floor(
            case.body, case, elbow_deg=case.policy.elbow_angle, distance=0.0
        ).belly_short
    except MissingInput:
        return 0.0


def armrest_clash(case: Case, seat: float | None, surface: float | None) -> float:
    """How far armrests that move stand into the desk even at their lowest, mm; 0 where unknown.

    Those that can't be moved are a hard limit of the search.
    """
    chair, desk = case.workstation.chair, case.workstation.desk
    under = desk.underside
    if under is None and surface is not None and desk.thickness is not None:
        under = surface - desk.thickness
    idle = case.own_seat or case.policy.armrest_use == "off" or chair.armrests_off
    if (
        idle
        or chair.armrests != ArmrestKind.ADJUSTABLE
        or chair.armrest is None
        or chair.armrest.fixed
    ):
        return 0.0
    return 0.0 if under is None or seat is None else max(0.0, seat + chair.armrest.low - under)


def notes_in(case: Case, result: FitResult, unit: LengthUnit) -> tuple[str, ...]:
    """All notes of a result, those with lengths in a unit."""
    notes, short, depth = [*result.notes], belly_short(case), case.workstation.desk.depth
    if short > SAME_MM:
        notes.append(
            "The belly keeps the desk's edge from the keys: the keyboard would hang over it by "
            f"{format_length(short, unit, with_unit=True)}. Lean back further, bring the upper arms "
            "forward, or put the keys on a tray that comes to the body."
        )
    least, far = case.policy.least_distance, result.row("seated", "distance")
    shallow = any(one.kind == "shallow" for one in far.limits)
    if depth is not None and shallow and far.setting is not None and far.setting <= least + SAME_MM:
        notes.append(
            "The desk is too shallow even for the nearest picture, "
            f"{format_length(least, unit, with_unit=True)} from the eye: an arm, a tray or a deeper desk."
        )
    return tuple(notes)


def notes_of(case: Case, pair: Pair) -> tuple[str, ...]:
    """What could not be judged, and what no setting can do, in words."""
    notes: list[str] = []
    station, real = case.workstation, pair.seated
    if station.desk.thickness is None and station.desk.underside is None:
        notes.append("Thigh clearance not checked: desk thickness not recorded.")
    if station.chair.seat is None:
        notes.append("Chair height range not recorded: assumed fully adjustable.")
    if station.desk.surface is None:
        notes.append("Desk height range not recorded: assumed fully adjustable.")
    if station.screen.kind != ScreenKind.LAPTOP and station.screen.top_above_surface is None:
        notes.append("Screen height range not recorded: assumed fully adjustable.")
    if "abdominal_depth_sitting" not in case.body.values:
        notes.append("Space at the desk edge not checked: abdominal depth not measured.")
    if real is not None and real.footrest and station.feet is None and not case.own_seat:
        notes.append("Footrest not recorded: assumed available.")
    if real is not None and real.presses:
        armrests = armrest_need(station)
        thighs = (
            case.body.mm("thigh_clearance") + case.policy.thigh_room
            if case.body.has("thigh_clearance")
            else 0.0
        )
        notes.append(
            "No setting leaves room for the thighs under this desk: raise the desk, or take a "
            "thinner top or a lower chair."
            if armrests is None or thighs >= armrests
            else "At every setting the armrests meet the desk: take them off, take lower ones, or raise "
            "the desk."
        )
    if real is not None and real.hangs:
        notes.append(
            "No setting holds the feet: a footrest, a box or a lower chair is needed before anything "
            "else."
        )
    notes += [
        f"{label}: recorded as here, but its thickness is not; it is left out of every stack."
        for label in station.unmeasured
    ]
    return tuple(notes)


def fit(
    case: Case,
    *,
    overrule_seated: Settings | None = None,
    overrule_standing: Settings | None = None,
) -> FitResult:
    """Work a case out with the pieces it names.

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
        Rows for both postures and what moves between them. Nothing is guessed: what can't be told
        is ``not_assessable`` with its reason.

    """
    own = overrule_seated or Settings(), overrule_standing or Settings()
    pair = solve_pair(case, overrule_seated=own[0], overrule_standing=own[1])
    seated = _posture(case, "seated", pair.seated, pair.free, own[0])
    standing = _posture(case.standing(), "standing", pair.standing, None, own[1])
    return FitResult(
        seated=seated,
        standing=standing,
        notes=notes_of(case, pair),
        moves=moves_between(case, seated, standing),
        presses=pair.seated.presses if pair.seated else 0.0,
        hangs=pair.seated.hangs if pair.seated else 0.0,
    )


@dataclass(frozen=True, kw_only=True)
class AimedSettings:
    """A case as it would be set, without targets and reasons: settings and joints.

    ``presses``, ``hangs``, ``belly`` and ``armrests`` are what hard limits lack, mm: room for thighs
    and unmoving armrests under the desk, support for the feet, desk before the belly, armrests that
    meet the desk at their lowest.
    """

    seated: Settings
    standing: Settings | None
    joints_seated: tuple[Joint, ...]
    joints_standing: tuple[Joint, ...]
    presses: float = 0.0
    hangs: float = 0.0
    belly: float = 0.0
    armrests: float = 0.0


def aimed_settings(
    case: Case,
    *,
    overrule_seated: Settings | None = None,
    overrule_standing: Settings | None = None,
) -> AimedSettings:
    """What :func:`fit` would set, and the joints it makes; ``standing`` None where nobody stands.

    For comparing many sets of equipment: a fifth of the work.
    """
    own = overrule_seated or Settings(), overrule_standing or Settings()
    pair = solve_pair(case, overrule_seated=own[0], overrule_standing=own[1], whole=False)
    seated = aims(case, "seated", pair.seated, own[0])
    joints = joints_of(case, seated, "seated")
    hard = {
        "presses": pair.seated.presses if pair.seated else 0.0,
        "hangs": pair.seated.hangs if pair.seated else 0.0,
        "belly": belly_short(case),
        "armrests": armrest_clash(case, seated.seat, seated.surface),
    }
    if not stands_too(case, pair.standing):
        return AimedSettings(
            seated=seated, standing=None, joints_seated=joints, joints_standing=(), **hard
        )
    up = case.standing()
    standing = aims(up, "standing", pair.standing, own[1])
    return AimedSettings(
        seated=seated,
        standing=standing,
        joints_seated=joints,
        joints_standing=joints_of(up, standing, "standing"),
        **hard,
    )
