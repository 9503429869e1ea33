"""The fit: both postures, first as body and policy want them, then as the equipment can."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from ..reuse import reuse_last
from ..workstation import Settings
from .aims import aims
from .case import Case
from .joints import Joint, joints_of
from .moves import moves_between
from .notes import armrest_clash, belly_short, notes_of
from .pair import solve_pair, stands_too
from .posture_rows import possible, posture_fit, posture_rows
from .result import FitResult, FitRow, Posture


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
    seated = posture_fit(case, "seated", pair.seated, pair.free, own[0])
    standing = posture_fit(case.standing(), "standing", pair.standing, None, own[1])
    return FitResult(
        seated=seated,
        standing=standing,
        notes=notes_of(case, pair),
        moves=moves_between(case, seated, standing),
        thigh_pressed_mm=pair.seated.thigh_pressed_mm if pair.seated else 0.0,
        foot_gap_mm=pair.seated.foot_gap_mm if pair.seated else 0.0,
    )


@reuse_last(8)
def rows_alone(
    case: Case, keys: frozenset[str], *, overrule_seated: Settings, overrule_standing: Settings
) -> Mapping[Posture, Mapping[str, FitRow]]:
    """Return the rows that :func:`fit` would have for some quantities, without working out the others.

    Parameters
    ----------
    case : Case
    keys : frozenset of str
        Quantities.
    overrule_seated, overrule_standing : Settings
        As for :func:`fit`.

    """
    pair = solve_pair(case, overrule_seated=overrule_seated, overrule_standing=overrule_standing)
    up = case.standing()
    return {
        "seated": posture_rows(case, "seated", pair.seated, pair.free, overrule_seated, keys),
        "standing": posture_rows(up, "standing", pair.standing, None, overrule_standing, keys),
    }


@reuse_last(4)
def possible_postures(
    case: Case, overrule_seated: Settings, overrule_standing: Settings
) -> Mapping[Posture, tuple[bool, str | None]]:
    """Return whether each posture is possible, and why not, as :func:`fit` would find."""
    pair = solve_pair(case, overrule_seated=overrule_seated, overrule_standing=overrule_standing)
    up = case.standing()
    return {
        "seated": possible(case, "seated", pair.seated, overrule_seated),
        "standing": possible(up, "standing", pair.standing, overrule_standing),
    }


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
