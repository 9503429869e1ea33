"""A plan: what it adds, what is left over, in degrees and strain minutes."""

from __future__ import annotations

from dataclasses import dataclass

from ..assessment import HardLimits, strain_minutes
from ..catalogue import JOINTS, Tier
from ..fit import UNREACHABLE_DEG, AimedSettings, Case, Joint, Posture
from ..language import msg
from ..workstation import Settings, Span
from .addition import Price, Slot
from .addition_set import AdditionSet
from .comfort import discomforts_of

NOT_ALL_TRIED = msg(
    "Too many combinations to try them all: this is the best of those tried. Use larger steps or fewer available items."
)
RISERS_WARNING = msg("Don’t lift a loaded desk alone. Use identical risers under every leg.")


@dataclass(frozen=True, kw_only=True)
class ResidualExcess:
    """A joint that stays outside its band: degrees, and strain minutes a day where hours are known.

    ``judged`` where no angle is off and the degrees weigh what the chair asks of the body.
    """

    joint: str
    label: str
    posture: Posture
    excess_deg: float
    minutes: float | None
    judged: bool = False


@dataclass(frozen=True, kw_only=True)
class Added:
    """One addition of a plan, with the degrees and strain minutes it removes there.

    ``key`` identifies it in the practitioner's own plan; ``mends`` is true if something does not fit without it.
    """

    id: str
    key: str
    slot: Slot
    label: str
    does: str
    price: Price
    price_label: str
    temporary: bool
    removes: float
    minutes: float | None
    height: float | None = None
    sd: float = 0.0
    span: Span | None = None
    mends: bool = False
    takes_away: bool = False


@dataclass(frozen=True, kw_only=True)
class Plan:
    """One plan: what it adds, how everything is then set, and what remains (degrees, and strain minutes a day).

    ``excess_deg`` is the sum of the joints that are known; ``not_assessed`` names the deciding ones that are not. ``whole`` is
    whether every set of additions was held against it; ``assumes`` what it takes for granted, in words.
    """

    id: Tier
    label: str
    added: tuple[Added, ...]
    seated: Settings
    standing: Settings | None
    left: tuple[ResidualExcess, ...]
    excess_deg: float
    minutes: float | None
    hard_limits: HardLimits
    temporary: bool
    cautions: tuple[str, ...]
    not_assessed: tuple[str, ...] = ()
    whole: bool = True
    assumes: tuple[str, ...] = ()


@dataclass(frozen=True, kw_only=True)
class AppliedPlan(Plan):
    """A plan with what was added, and the case as it is with all of that in place."""

    case: Case
    additions: AdditionSet


@dataclass(frozen=True, kw_only=True)
class SinglePurchase:
    """A single purchase: the strain it would remove from the present set-up, and what would remain.

    Both are given in degrees and in strain minutes a day.

    ``mends`` where it is for a hard limit that is lacking now; ``hard_limits`` is what is lacking then.
    """

    id: str
    label: str
    does: str
    price: Price
    price_label: str
    removes: float
    minutes: float | None
    left: float
    mends: bool = False
    hard_limits: HardLimits = HardLimits()
    span: Span | None = None


@dataclass(frozen=True, kw_only=True)
class PlanSet:
    """All three plans, and single purchases by what they remove."""

    plans: tuple[AppliedPlan, ...]
    fixes: tuple[SinglePurchase, ...]

    def plan(self, tier: Tier) -> AppliedPlan:
        """The plan of a tier."""
        return next(plan for plan in self.plans if plan.id == tier)


def hours_of(case: Case, tasks: tuple[str, ...], posture: Posture) -> float | None:
    """Hours a day of these tasks in a posture; None where nobody recorded hours."""
    whole = sum(case.hours.values())
    if not whole:
        return None
    share = 1.0 if not case.sits else min(1.0, (case.standing_hours or 0.0) / whole)
    share = share if posture == "standing" else 1 - share
    return share * sum(case.hours.get(task, 0.0) for task in tasks)


def _left_of(case: Case, posture: Posture, joints: tuple[Joint, ...]) -> list[ResidualExcess]:
    excesses = []
    for joint in joints:
        over = UNREACHABLE_DEG if joint.out_of_reach else joint.excess_deg
        if not over or (posture == "standing" and joint.joint == "upper_arm"):
            continue
        hours = hours_of(case, JOINTS[joint.joint].tasks, posture)
        excesses.append(
            ResidualExcess(
                joint=joint.joint,
                label=joint.label,
                posture=posture,
                excess_deg=over,
                minutes=None
                if hours is None
                else strain_minutes(hours=hours, share=1.0, over_deg=over),
            )
        )
    return excesses


def _asked_of(case: Case) -> list[ResidualExcess]:
    """What the chair asks of the body, in the hours that are sat."""
    if not case.sits:
        return []
    hours = hours_of(case, JOINTS["trunk"].tasks, "seated")
    return [
        ResidualExcess(
            joint=discomfort.joint,
            label=discomfort.label,
            posture="seated",
            excess_deg=discomfort.deg,
            minutes=None
            if hours is None
            else strain_minutes(hours=hours, share=1.0, over_deg=discomfort.deg),
            judged=True,
        )
        for discomfort in discomforts_of(case, case.workstation)
    ]


def what_is_left(case: Case, settled: AimedSettings) -> tuple[ResidualExcess, ...]:
    """Every joint that stays outside its band, the most degrees first.

    Keys that no arm reaches count as much as any joint can be off.
    """
    excesses = _left_of(case, "seated", settled.joints_seated)
    excesses += _left_of(case, "standing", settled.joints_standing)
    excesses += _asked_of(case)
    return tuple(
        sorted(excesses, key=lambda excess: (-abs(excess.excess_deg), excess.posture, excess.joint))
    )


def total_of(left: tuple[ResidualExcess, ...]) -> tuple[float, float | None]:
    """Degrees and strain minutes together; minutes None where no hours are known."""
    known = [excess.minutes for excess in left if excess.minutes is not None]
    minutes = sum(known) if known or not left else None
    return sum(abs(excess.excess_deg) for excess in left), minutes
