"""What is true of this body at this workstation: as found, as aimed at, and as set, by one function."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cached_property
from typing import Literal

from ..catalogue import QUANTITIES, Quantity
from ..fit import Case, FitRow, Joint, Limit, Posture, PostureFit, joints_of
from ..policy import judged_excess
from ..workstation import Settings
from .condition import Condition, State
from .conditions import conditions_of

Stage = Literal["found", "aimed", "set"]
Known = Literal["measured", "declared", "computed", "not_remeasured"]
"""How a value is known: read with the tape, said by the piece, worked out, or set to its target."""


@dataclass(frozen=True, kw_only=True)
class SettingState:
    """One quantity in one posture at one stage; mm, degrees or per cent.

    ``excess`` is how far ``value`` lies outside the band, signed, 0 inside and None where it can't
    be told; ``target`` is what the body asks for, ``aim`` what the pieces can do of it, and
    ``limits`` what keeps it from its target.
    """

    quantity: Quantity
    posture: Posture
    value: float | None
    known: Known | None
    target: float | None
    low: float | None
    high: float | None
    aim: float | None
    excess: float | None
    limits: tuple[Limit, ...]
    reason: str | None

    @property
    def state(self) -> State:
        """Whether the value lies in its band."""
        if self.excess is None:
            return "unknown"
        return "off" if self.excess else "ok"


@dataclass(frozen=True, kw_only=True)
class Assessment:
    """One posture at one stage: settings against their bands, joints, clearances and supports."""

    stage: Stage
    posture: Posture
    possible: bool
    settings: tuple[SettingState, ...]
    joints: tuple[Joint, ...]
    conditions: tuple[Condition, ...]

    def setting(self, key: str) -> SettingState | None:
        """Return one setting; None where the posture has none of the key."""
        return next((setting for setting in self.settings if setting.quantity.key == key), None)

    def joint(self, name: str) -> Joint | None:
        """Return one joint; None where the posture has none of the name."""
        return next((joint for joint in self.joints if joint.joint == name), None)

    def condition(self, key: str) -> Condition:
        """Return one clearance or support; raises KeyError."""
        for condition in self.conditions:
            if condition.key == key:
                return condition
        raise KeyError(key)

    @cached_property
    def hard(self) -> tuple[Condition, ...]:
        """Return the hard conditions that are off, the worst first."""
        off = [
            condition
            for condition in self.conditions
            if condition.hard and condition.state == "off"
        ]
        return tuple(sorted(off, key=lambda condition: -(condition.short or 0.0)))


def assess(
    case: Case,
    fit: PostureFit,
    settings: Settings,
    stage: Stage,
    *,
    declared: frozenset[str] = frozenset(),
    not_remeasured: frozenset[str] = frozenset(),
) -> Assessment:
    """Assess one posture under given settings.

    Parameters
    ----------
    case : Case
        With the pieces of the chosen plan.
    fit : PostureFit
        Targets, bands and aims of the posture.
    settings : Settings
        As found, as aimed at, or as set.
    stage : {"found", "aimed", "set"}
    declared : frozenset of str
        Keys whose value a fixed piece says, not the tape.
    not_remeasured : frozenset of str
        Keys that were set to their aim and not measured again.

    """
    posture = fit.posture
    own = case if posture == "seated" else case.standing()
    joints = _joints(own, fit, settings, stage)
    states = tuple(
        _setting(row, settings.get(row.key), stage, declared, not_remeasured) for row in fit.rows
    )
    return Assessment(
        stage=stage,
        posture=posture,
        possible=fit.possible,
        settings=states,
        joints=joints,
        conditions=conditions_of(
            own, settings, joints, seated=posture == "seated", found=stage == "found"
        ),
    )


def _joints(case: Case, fit: PostureFit, settings: Settings, stage: Stage) -> tuple[Joint, ...]:
    if stage == "found":
        return fit.joints_found
    if stage == "aimed":
        return fit.joints_set
    return joints_of(case, settings, fit.posture)


def _setting(
    row: FitRow,
    value: float | None,
    stage: Stage,
    declared: frozenset[str],
    not_remeasured: frozenset[str],
) -> SettingState:
    known: Known | None = None
    if value is not None:
        known = "measured" if stage != "aimed" else "computed"
        if row.key in declared:
            known = "declared"
        elif row.key in not_remeasured:
            known = "not_remeasured"
    excess = None
    if value is not None and row.target is not None:
        excess = judged_excess(value, row.low, row.high)
    return SettingState(
        quantity=QUANTITIES[row.key],
        posture=row.posture,
        value=value,
        known=known,
        target=row.target,
        low=row.low,
        high=row.high,
        aim=row.setting,
        excess=excess,
        limits=row.limits,
        reason=row.reason,
    )


Pair = tuple[Assessment, Assessment]
"""Both postures: seated and standing."""
