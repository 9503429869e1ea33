"""Three plans for one client, what each leaves over, and which single purchase removes most."""

from __future__ import annotations

from dataclasses import dataclass, replace

from ..assessment import HardLimits, hard_limits, strain_minutes
from ..catalogue import JOINTS, TIERS, Tier
from ..errors import MissingInput
from ..fit import UNREACHABLE_DEG, AimedSettings, Case, Joint, Posture, aimed_settings
from ..workstation import Settings
from .addition_sets import AdditionSet, HeightSearch, OwnNumbers, best_additions, with_additions
from .additions import (
    PRICE_LABELS,
    PRICES,
    Addition,
    Price,
    Slot,
    desk_additions,
    feet_additions,
    keys_additions,
    pointer_additions,
    screen_additions,
    seat_additions,
)
from .extras import extras_of
from .stacks import STACK_WARNING

RISERS_WARNING = "Don't lift a loaded desk alone. Use identical risers under every leg."


@dataclass(frozen=True, kw_only=True)
class ResidualExcess:
    """A joint that stays outside its band: degrees, and strain minutes a day where hours are known."""

    joint: str
    label: str
    posture: Posture
    over: float
    minutes: float | None


@dataclass(frozen=True, kw_only=True)
class Added:
    """One addition of a plan, with the degrees and strain minutes it removes there."""

    id: str
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


@dataclass(frozen=True, kw_only=True)
class Plan:
    """One plan: what is added, how everything is set then, and what is left over."""

    id: Tier
    label: str
    added: tuple[Added, ...]
    seated: Settings
    standing: Settings | None
    left: tuple[ResidualExcess, ...]
    over: float
    minutes: float | None
    lacks: HardLimits
    temporary: bool
    cautions: tuple[str, ...]
    case: Case
    kit: AdditionSet


@dataclass(frozen=True, kw_only=True)
class SinglePurchase:
    """One purchase on top of what is in the room: what it alone removes.

    ``mends`` where it is for a hard limit that is lacking now; ``lacks`` is what is lacking then.
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
    lacks: HardLimits = HardLimits()


@dataclass(frozen=True, kw_only=True)
class PlanSet:
    """All three plans, and single purchases by what they remove."""

    plans: tuple[Plan, ...]
    fixes: tuple[SinglePurchase, ...]

    def plan(self, tier: Tier) -> Plan:
        """The plan of a tier."""
        return next(one for one in self.plans if one.id == tier)


def hours_of(case: Case, tasks: tuple[str, ...], posture: Posture) -> float | None:
    """Hours a day of these tasks in a posture; None where nobody recorded hours."""
    whole = sum(case.hours.values())
    if not whole:
        return None
    share = min(1.0, (case.standing_hours or 0.0) / whole)
    share = share if posture == "standing" else 1 - share
    return share * sum(case.hours.get(task, 0.0) for task in tasks)


def _left_of(case: Case, posture: Posture, joints: tuple[Joint, ...]) -> list[ResidualExcess]:
    found = []
    for joint in joints:
        over = UNREACHABLE_DEG if joint.out_of_reach else joint.over
        if not over or (posture == "standing" and joint.joint == "upper_arm"):
            continue
        hours = hours_of(case, JOINTS[joint.joint].tasks, posture)
        found.append(
            ResidualExcess(
                joint=joint.joint,
                label=joint.label,
                posture=posture,
                over=over,
                minutes=None
                if hours is None
                else strain_minutes(hours=hours, share=1.0, over_deg=over),
            )
        )
    return found


def what_is_left(case: Case, settled: AimedSettings) -> tuple[ResidualExcess, ...]:
    """Every joint that stays outside its band, the most degrees first.

    Keys that no arm reaches count as much as any joint can be off.
    """
    found = _left_of(case, "seated", settled.joints_seated)
    found += _left_of(case, "standing", settled.joints_standing)
    return tuple(sorted(found, key=lambda one: (-abs(one.over), one.posture, one.joint)))


def total_of(left: tuple[ResidualExcess, ...]) -> tuple[float, float | None]:
    """Degrees and strain minutes together; minutes None where no hours are known."""
    known = [one.minutes for one in left if one.minutes is not None]
    minutes = sum(known) if known or not left else None
    return sum(abs(one.over) for one in left), minutes


class Planner:
    """Works a case out with one set of additions after the other, each set once."""

    def __init__(self, case: Case, own: OwnNumbers) -> None:
        self.case, self.own = case, own
        self._made: dict[tuple[str, ...], tuple[Case, AimedSettings]] = {}

    def settled(self, kit: AdditionSet) -> tuple[Case, AimedSettings]:
        """The case with these additions, and how it is set then."""
        key = tuple(f"{one.id}:{one.height}:{one.items}" for one in kit)
        if key not in self._made:
            case = replace(self.case, workstation=with_additions(self.case.workstation, kit))
            made = aimed_settings(
                case, overrule_seated=self.own.seated, overrule_standing=self.own.standing
            )
            self._made[key] = case, made
        return self._made[key]

    def over(self, kit: AdditionSet) -> tuple[float, float | None]:
        """What a set leaves over, degrees and strain minutes."""
        return total_of(what_is_left(*self.settled(kit)))

    def plan(self, tier: Tier, kit: AdditionSet) -> Plan:
        """A plan with what each of its additions removes: what leaving it out would add."""
        case, settled = self.settled(kit)
        left = what_is_left(case, settled)
        over, minutes = total_of(left)
        added = []
        for one in kit:
            rest = tuple(other for other in kit if other is not one)
            without = self.over(rest)
            added.append(_added(one, without[0] - over, _less(without[1], minutes)))
        extras = extras_of(case, tier)
        temporary = any(one.temporary for one in kit) or any(one.temporary for one in extras)
        return Plan(
            id=tier,
            label=TIERS[tier],
            added=(*added, *(_added(one, 0.0, None) for one in extras)),
            seated=settled.seated,
            standing=settled.standing,
            left=left,
            over=over,
            minutes=minutes,
            lacks=hard_limits(case, settled),
            temporary=temporary,
            cautions=_cautions(case, kit),
            case=case,
            kit=kit,
        )


def added_by(case: Case, kit: AdditionSet, tier: Tier) -> tuple[Added, ...]:
    """Return what a set of additions and the tier's extras add, without what each removes."""
    return tuple(_added(one, 0.0, None) for one in (*kit, *extras_of(case, tier)))


def _less(before: float | None, after: float | None) -> float | None:
    return None if before is None or after is None else before - after


def _added(one: Addition, removes: float, minutes: float | None) -> Added:
    return Added(
        id=one.id,
        slot=one.slot,
        label=one.label,
        does=one.does,
        price=one.price,
        price_label=PRICE_LABELS[one.price],
        temporary=one.temporary,
        removes=removes,
        minutes=minutes,
        height=one.height,
        sd=one.sd,
    )


def _cautions(case: Case, kit: AdditionSet) -> tuple[str, ...]:
    found = []
    if any(one.temporary for one in kit):
        dated = case.policy.temporary == "dated"
        found.append(
            "Temporary. Set an end date as the follow-up date."
            if dated
            else "Temporary. Review at the follow-up."
        )
    if any(one.items for one in kit):
        found.append(STACK_WARNING)
    if any(one.id == "risers" for one in kit):
        found.append(RISERS_WARNING)
    if case.own_seat:
        found.append(
            "Leave the client's own seating unchanged; any change goes through their therapist."
        )
    if any(one.id == "high_chair" for one in kit):
        found.append(
            "Use a high chair on castors only with brakes or glides; set the foot ring first."
        )
    return tuple(found)


def _purchases(case: Case) -> list[Addition]:
    """Everything that could be bought, each once; the cheapest first."""
    found: dict[str, Addition] = {}
    for tier in ("little", "lasting"):
        for one in (
            *seat_additions(case, tier),
            *desk_additions(case, tier),
            *keys_additions(case, tier),
            *feet_additions(case, tier),
            *screen_additions(case, tier),
            *pointer_additions(case, tier),
        ):
            if one.price != "nothing":
                found.setdefault(one.id, one)
    return sorted(found.values(), key=lambda one: (PRICES[one.price], one.id))


LEAST_FIX_DEG = 0.5
"""A purchase that removes less is not named, degrees. Source: house-order."""


def _fixes(planner: Planner, room: Plan) -> tuple[SinglePurchase, ...]:
    """Single purchases in the place of what the room's plan adds there, by what they remove.

    Those that mend what does not fit at all come first; none that makes any of it worse is named.
    """
    if room.over < LEAST_FIX_DEG and not room.lacks.any:
        return ()
    found = []
    for one in _purchases(planner.case):
        kit = (*(other for other in room.kit if other.slot != one.slot), one)
        over, minutes = planner.over(kit)
        lacks = hard_limits(*planner.settled(kit))
        mends = lacks.mends(room.lacks)
        if lacks.worse_than(room.lacks):
            continue
        if mends or room.over - over >= LEAST_FIX_DEG:
            found.append(
                SinglePurchase(
                    id=one.id,
                    label=one.label,
                    does=one.does,
                    price=one.price,
                    price_label=PRICE_LABELS[one.price],
                    removes=room.over - over,
                    minutes=_less(room.minutes, minutes),
                    left=over,
                    mends=mends,
                    lacks=lacks,
                )
            )
    return tuple(
        sorted(
            found,
            key=lambda one: (
                not one.mends,
                -(one.minutes or 0.0),
                -one.removes,
                PRICES[one.price],
                one.id,
            ),
        )
    )


def one_plan(case: Case, tier: Tier, *, own: OwnNumbers | None = None) -> Plan:
    """The plan of one tier alone."""
    return Planner(case, own or OwnNumbers()).plan(tier, best_additions(case, tier, own=own))


def make_plans(case: Case, *, own: OwnNumbers | None = None, fixes: bool = True) -> PlanSet:
    """Three plans and what single purchases remove.

    Parameters
    ----------
    case : Case
    own : Own, optional
        The practitioner's own numbers; they hold in every plan.
    fixes : bool
        Whether single purchases are ranked.

    Returns
    -------
    WorkedOut
        Plans for the room, for little money, and to last, in this order.

    """
    planner = Planner(case, own or OwnNumbers())
    solver: HeightSearch | None
    try:
        solver = HeightSearch(case, own)
    except MissingInput:
        solver = None
    tiers: tuple[Tier, ...] = ("room", "little", "lasting")
    plans = tuple(planner.plan(tier, best_additions(case, tier, solver, own=own)) for tier in tiers)
    return PlanSet(plans=plans, fixes=_fixes(planner, plans[0]) if fixes else ())


__all__ = [
    "RISERS_WARNING",
    "Added",
    "OwnNumbers",
    "Plan",
    "PlanSet",
    "ResidualExcess",
    "SinglePurchase",
    "added_by",
    "make_plans",
    "one_plan",
    "what_is_left",
]
