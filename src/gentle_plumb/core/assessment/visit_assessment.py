"""The three stages of a visit assessed: as found, as aimed at, as set."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cached_property

from ..fit import Case, FitResult, settings_of
from ..workstation import Settings
from .assess import Pair, Stage, assess
from .hard_limits import HardLimits, hard_limits_in

WORSE_DEG = 1.0
"""Degrees that an aim may exceed what was found before it is said. Source: house-order."""


STAGES_COMPARED: tuple[Stage, Stage] = ("found", "aimed")


@dataclass(frozen=True, kw_only=True)
class VisitAssessment:
    """Both postures at the three stages, each assessed once it is asked for.

    Parameters
    ----------
    case : Case
    result : FitResult
        What each thing is meant to be.
    stands : FitResult
        The workstation as it will be: what was set stands where it was left; not given, nothing was.
    left : pair of Settings
        What was set, seated and standing; what was not set counts as found.
    not_remeasured : pair of frozenset
        Keys that were set to their aim and not measured again.

    """

    case: Case
    result: FitResult
    left: tuple[Settings, Settings]
    not_remeasured: tuple[frozenset[str], frozenset[str]] = (frozenset(), frozenset())
    stands: FitResult | None = None

    @property
    def _as_it_will_be(self) -> FitResult:
        return self.stands or self.result

    @cached_property
    def found(self) -> Pair:
        """Return what is true as found."""
        case, result = self.case, self.result
        return (
            assess(case, result.seated, case.found_seated, "found", declared=case.declared),
            assess(case, result.standing, case.found_standing, "found"),
        )

    @cached_property
    def aimed(self) -> Pair:
        """Return what is true as aimed at."""
        case, result = self.case, self._as_it_will_be
        seated, standing = result.seated, result.standing
        return (
            assess(case, seated, settings_of(seated), "aimed"),
            assess(case, standing, settings_of(standing), "aimed"),
        )

    @cached_property
    def set(self) -> Pair:
        """Return what is true as set; what was not set counts as found."""
        case, result = self.case, self._as_it_will_be
        seated, standing = (
            settings.over(left)
            for settings, left in zip(
                (case.found_seated, case.found_standing), self.left, strict=True
            )
        )
        unmeasured = self.not_remeasured
        return (
            assess(case, result.seated, seated, "set", not_remeasured=unmeasured[0]),
            assess(case, result.standing, standing, "set", not_remeasured=unmeasured[1]),
        )

    def at(self, stage: Stage) -> Pair:
        """Return both postures at a stage."""
        return {"found": lambda: self.found, "aimed": lambda: self.aimed, "set": lambda: self.set}[
            stage
        ]()

    def hard_limits(self, stage: Stage) -> HardLimits:
        """Return what does not fit at all at a stage, postures that are possible alone."""
        return hard_limits_in(
            (assessment.posture, assessment.conditions)
            for assessment in self.at(stage)
            if assessment.possible
        )

    @property
    def worse(self) -> bool:
        """Whether what is aimed at fits worse than what was found: hard limits, then degrees.

        Only what is known at both stages is compared: what nobody recorded as found was not better.
        """
        known = {
            (assessment.posture, condition.key)
            for assessment in self.found
            for condition in assessment.conditions
            if condition.state != "unknown"
        }
        limits, aimed = (
            hard_limits_in(
                (
                    assessment.posture,
                    [
                        each
                        for each in assessment.conditions
                        if (assessment.posture, each.key) in known
                    ],
                )
                for assessment in self.at(stage)
                if assessment.possible
            )
            for stage in STAGES_COMPARED
        )
        if aimed.worse_than(limits):
            return True
        if aimed.mends(limits):
            return False
        mine = 0 if self.case.sits else 1
        texts = {joint.joint for joint in self.found[mine].joints if joint.excess_deg is not None}
        then, now = (
            sum(
                abs(joint.excess_deg)
                for joint in joints
                if joint.joint in texts and joint.excess_deg
            )
            for joints in (self.found[mine].joints, self.aimed[mine].joints)
        )
        return now > then + WORSE_DEG
