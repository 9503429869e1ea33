"""The fit: both postures, first as body and policy want them, then as the equipment can."""

from __future__ import annotations

from dataclasses import dataclass

from ..changed import changed
from ..reuse import reuse_last
from ..words import say
from ..workstation import PlaceUse, Settings
from .aims import aims, degrees_over, eye_of, seat_aim
from .armrest_rows import armrest_gap_row, armrest_row
from .case import Case
from .chair_rows import backrest_row, lumbar_row, seat_depth_row, seat_slope_row
from .checks import with_check
from .hand_rows import hand_rows, keys_edge_row, keys_midline_row, slope_row
from .joints import Joint, joints_of
from .model import target_distance
from .moves import moves_between
from .notes import armrest_clash, belly_short, notes_of, why_not_at_this_desk
from .pair import STANDING_OVER_DEG, ends_at_the_chair, solve_pair, stands_too
from .piece_ranges import fixed_surface
from .pointer_rows import mouse_forward_row, mouse_row
from .result import RANGE_ENDS, FitResult, FitRow, Posture, PostureFit
from .rows import chosen
from .screen_rows import desk_depth_row, distance_row, tilt_row, top_row
from .screens import side_screen_rows
from .search_model import Solution
from .seat_rows import footrest_row, seat_row
from .text_row import scale_row
from .untold import untold_joints
from .wording import limit_text

_joints_found = reuse_last(4)(joints_of)


@reuse_last(4)
def _posture(
    case: Case, posture: Posture, real: Solution | None, free: Solution | None, overrule: Settings
) -> PostureFit:
    seated = posture == "seated"
    settings = aims(case, posture, real, overrule)
    seat, surface = settings.seat, settings.surface
    top, distance = settings.screen_top, settings.distance
    elbow_deg = case.policy.elbow_angle
    far = distance_row(case, posture, elbow_deg)
    eye = eye_of(case, posture, seat)
    reckoned = distance if distance is not None else target_distance(case)
    made = joints_of(case, settings, posture)
    joints = {joint.joint: joint for joint in made}
    rows: list[FitRow] = []
    if seated:
        rows += [
            seat_row(
                case,
                seat_aim(case, free),
                seat,
                joints["elbow"],
                joints.get("knee"),
                fixed_surface(case),
            ),
            footrest_row(case, seat),
            seat_slope_row(case),
            seat_depth_row(case),
            backrest_row(case),
            lumbar_row(case),
            armrest_row(case, seat, surface),
            armrest_gap_row(case),
        ]
        rows[0] = _ended_by_chair(case, rows[0], real, overrule)
    rows += hand_rows(case, posture, seat, surface, joints["elbow"])
    found = case.found_seated if seated else case.found_standing
    joints_found = _joints_found(case, found, posture)
    bent = next((joint for joint in joints_found if joint.joint == "wrist"), None)
    slope = slope_row(case, posture, joints["elbow"], (bent, joints.get("wrist")))
    rows += [slope] if slope is not None else []
    if seated:
        rows += [keys_edge_row(case), keys_midline_row(case)]
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
    rows = [_in_words(with_check(case, row, rows)) for row in rows]

    possible, why_not = _possible(case, posture, real, rows)
    return PostureFit(
        posture=posture,
        possible=possible,
        why_not=why_not,
        rows=tuple(rows),
        joints_found=joints_found,
        joints_set=made,
        over_found=degrees_over(joints_found),
        over_set=degrees_over(made),
        untold_found=untold_joints(joints_found, seat_stays=case.seat_stays),
        untold_set=untold_joints(made, seat_stays=case.seat_stays),
    )


def _in_words(row: FitRow) -> FitRow:
    """Return a row with its limits in words."""
    if not row.limits:
        return row
    limits = tuple(changed(limit, text=limit_text(limit)) for limit in row.limits)
    return row.replace(limits=limits)


def _ended_by_chair(case: Case, row: FitRow, real: Solution | None, overrule: Settings) -> FitRow:
    """Return the seat's row without the chair's end where that is not what decides."""
    ends = [limit for limit in row.limits if limit.kind in RANGE_ENDS]
    if not ends or real is None or row.target is None or overrule.seat is not None:
        return row
    if ends_at_the_chair(case, overrule, real, row.target):
        return row
    others = [limit for limit in row.limits if limit.kind not in RANGE_ENDS]
    return row.replace(limits=tuple(others or chosen(row, real.seat, "chair")))


def _possible(
    case: Case, posture: Posture, real: Solution | None, rows: list[FitRow]
) -> tuple[bool, str | None]:
    if posture == "seated":
        return case.sits, None if case.sits else "Worked at standing only."
    if case.use == PlaceUse.SIT:
        return False, "Worked at sitting only."
    if case.own_seat:
        return False, "Wheelchair user: no standing set-up."
    barred = case.person.against_standing
    if barred is not None:
        return False, barred.reason
    if case.sits and real is not None and real.excess_deg - real.gaze > STANDING_OVER_DEG:
        return False, why_not_at_this_desk(case, rows, "mm") or say("standing.does_not_fit")
    return True, None


def _overruled(row: FitRow, overrule: Settings) -> FitRow:
    value = overrule.get(row.key)
    if value is None:
        return row
    change = None if row.found is None else value - row.found
    return row.replace(setting=value, change=change, limits=(), cost=None)


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
        thigh_pressed_mm=pair.seated.thigh_pressed_mm if pair.seated else 0.0,
        foot_gap_mm=pair.seated.foot_gap_mm if pair.seated else 0.0,
    )


@dataclass(frozen=True, kw_only=True)
class AimedSettings:
    """A case as it would be set, without targets and reasons: settings and joints.

    ``thigh_pressed_mm``, ``foot_gap_mm``, ``belly`` and ``armrests`` are what hard limits lack, mm: room for thighs
    and unmoving armrests under the desk, support for the feet, desk before the belly, armrests that
    meet the desk at their lowest.
    """

    seated: Settings
    standing: Settings | None
    joints_seated: tuple[Joint, ...]
    joints_standing: tuple[Joint, ...]
    thigh_pressed_mm: float = 0.0
    foot_gap_mm: float = 0.0
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
    joints = joints_of(case, seated, "seated") if case.sits else ()
    hard = {
        "thigh_pressed_mm": pair.seated.thigh_pressed_mm if pair.seated and case.sits else 0.0,
        "foot_gap_mm": pair.seated.foot_gap_mm if pair.seated and case.sits else 0.0,
        "belly": belly_short(case) if case.sits else 0.0,
        "armrests": armrest_clash(case, seated.seat, seated.surface) if case.sits else 0.0,
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
