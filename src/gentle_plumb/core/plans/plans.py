"""Three plans for one client, what each leaves over, and which single purchase removes most."""

from __future__ import annotations

from dataclasses import replace

from ..assessment import hard_limits
from ..catalogue import TIERS, Tier
from ..errors import MissingInput
from ..fit import AimedSettings, Case, aimed_settings
from .addition import PRICE_LABELS, PRICES, Addition
from .addition_set import AdditionSet, with_additions
from .addition_sets import best_additions
from .additions import desk_additions, keys_additions, pointer_additions
from .extras import extras_of
from .feet_additions import feet_additions
from .height_search import HeightSearch, OwnNumbers
from .plan import RISERS_WARNING, Added, Plan, PlanSet, SinglePurchase, total_of, what_is_left
from .screen_additions import screen_additions
from .seat_additions import seat_additions
from .stacks import STACK_WARNING


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
    """Everything that could be bought, each once; the cheapest first, else as it is offered."""
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
            if one.price not in ("nothing", "found"):
                found.setdefault(one.id, one)
    return sorted(found.values(), key=lambda one: PRICES[one.price])


LEAST_FIX_DEG = 0.5
"""A purchase that removes less is not named, degrees. Source: house-order."""


def _fixes(planner: Planner, room: Plan) -> tuple[SinglePurchase, ...]:
    """Single purchases in the place of what the room's plan adds there, by what they remove.

    Those that mend what does not fit at all come first; none that makes any of it worse is named.
    """
    if room.over < LEAST_FIX_DEG and not room.lacks.any:
        return ()
    found, seen = [], set()
    for one in _purchases(planner.case):
        kit = (*(other for other in room.kit if other.slot != one.slot), one)
        over, minutes = planner.over(kit)
        lacks = hard_limits(*planner.settled(kit))
        same = one.slot, one.price, round(over, 1), lacks
        if same in seen:
            continue  # another of its kind at its price does as much
        seen.add(same)
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
            key=lambda one: (not one.mends, -(one.minutes or 0.0), -one.removes, PRICES[one.price]),
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
