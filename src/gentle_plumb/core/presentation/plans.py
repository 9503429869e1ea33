"""Plans and single purchases in words."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..catalogue import QUANTITIES, Tier
from ..fit import UNREACHABLE_DEG
from ..language import filled, msg, numeral
from ..plans import Added, Plan, PlanSet, ResidualExcess, SinglePurchase, total_price
from ..tolerances import SAME_SHOWN
from ..units import LengthUnit, format_length
from ..words import say_addition, say_amount, say_minutes
from ..workstation import Settings, Span
from .hard_limits import hard_limit_words
from .money import NO_MONEY, Money, cost_text, over_budget_text, price_text


@dataclass(frozen=True, kw_only=True)
class AddedView:
    """One addition: what it does, what it costs, what it removes."""

    id: str
    key: str
    label: str
    does: str
    price: str
    temporary: bool
    removes: str | None
    mends: str
    height: str | None


@dataclass(frozen=True, kw_only=True)
class LeftView:
    """A joint that stays outside its band."""

    joint: str
    label: str
    posture: str
    excess: str
    minutes: str | None


@dataclass(frozen=True, kw_only=True)
class SetAt:
    """What a piece is set to."""

    label: str
    value: str


@dataclass(frozen=True, kw_only=True)
class PlanView:
    """A plan as it is shown; ``same_as`` names an earlier one that comes to the same.

    ``shortfalls`` is what does not fit at all, said before anything else. ``cost`` is the sum of what is bought, or how
    many of each price class where the practice has no sums; ``over_budget`` by how much that is too much. ``proven``
    says that every set of changes was held against it, with all that matters known.
    """

    id: Tier
    label: str
    shortfalls: list[str]
    added: list[AddedView]
    left: list[LeftView]
    excess: str
    not_assessed: list[str]
    minutes: str | None
    temporary: bool
    cautions: list[str]
    assumes: list[str]
    seated: list[SetAt]
    standing: list[SetAt]
    same_as: str | None
    cost: str | None
    over_budget: str | None
    proven: bool


@dataclass(frozen=True, kw_only=True)
class PurchaseView:
    """One purchase and what it alone removes; ``mends`` where it is for what does not fit at all."""

    id: str
    label: str
    does: str
    price: str
    removes: str
    left: str
    mends: bool
    shortfalls: list[str]


def _minutes(minutes: float | None) -> str | None:
    return None if minutes is None else msg("{minutes} a day", minutes=say_minutes(minutes))


def both_text(over: float, minutes: float | None) -> str:
    """Return degrees, and strain minutes where they are known."""
    said = _minutes(minutes)
    return (
        filled("{over}°", over=numeral(f"{over:.0f}"))
        if said is None
        else filled("{over}°, {said}", over=numeral(f"{over:.0f}"), said=said)
    )


def over_text(over: float, untold: Sequence[str]) -> str:
    """Return degrees outside the bands; never a sum that leaves out what nobody knows, as if whole.

    >>> over_text(12.4, ()), over_text(12.4, ("Elbow",)), over_text(0.0, ("Elbow",))
    ('12° left', '12° left, of what is known', 'not known')

    """
    if not untold:
        return msg("{over}° left", over=numeral(f"{over:.0f}"))
    return (
        msg("{over}° left, of what is known", over=numeral(f"{over:.0f}"))
        if over >= SAME_SHOWN
        else msg("not known")
    )


def label_of(label: str, span: Span | None, unit: LengthUnit) -> str:
    """Return what is added, with the range it is offered in."""
    return say_addition(label, (span.low, span.high) if span is not None else None, unit)


def _added(added: Added, unit: LengthUnit, money: Money) -> AddedView:
    height = None
    if added.height is not None:
        height = format_length(added.height, unit, with_unit=True)
        if added.sd:
            height += filled(" ± {what}", what=format_length(2 * added.sd, unit))
    return AddedView(
        id=added.id,
        key=added.key,
        label=label_of(added.label, added.span, unit),
        does=added.does,
        price=price_text(added.price, money),
        temporary=added.temporary,
        removes=both_text(added.removes, added.minutes) if added.removes >= SAME_SHOWN else None,
        mends=msg("needed to make everything fit") if added.mends and added.removes < 0.5 else "",
        height=height,
    )


def _left(excess: ResidualExcess) -> LeftView:
    if abs(excess.excess_deg) >= UNREACHABLE_DEG:
        return LeftView(
            joint=excess.joint,
            label=excess.label,
            posture=excess.posture,
            excess=msg("out of reach"),
            minutes=_minutes(excess.minutes),
        )
    if excess.judged:
        return LeftView(
            joint=excess.joint,
            label=excess.label,
            posture=excess.posture,
            excess=msg("weighs {excess_deg}°", excess_deg=numeral(f"{excess.excess_deg:.0f}")),
            minutes=_minutes(excess.minutes),
        )
    side = msg("over") if excess.excess_deg > 0 else msg("under")
    return LeftView(
        joint=excess.joint,
        label=excess.label,
        posture=excess.posture,
        excess=msg(
            "{abs}° {side} its range", abs=numeral(f"{abs(excess.excess_deg):.1f}"), side=side
        ),
        minutes=_minutes(excess.minutes),
    )


def _settings(settings: Settings | None, unit: LengthUnit) -> list[SetAt]:
    if settings is None:
        return []
    return [
        SetAt(label=quantity.label, value=say_amount(quantity, value, unit))
        for quantity in QUANTITIES.values()
        if quantity.on_card
        and (value := settings.get(quantity.key)) is not None
        and not (quantity.zero_is_none and not value)
    ]


def _same(plans: Sequence[Plan], index: int) -> str | None:
    """The label of an earlier plan with the same additions."""
    mine = {(added.id, added.height) for added in plans[index].added}
    for other in plans[:index]:
        if {(added.id, added.height) for added in other.added} == mine:
            return other.label
    return None


def plan_view(
    plan: Plan, unit: LengthUnit, *, same_as: str | None = None, money: Money = NO_MONEY
) -> PlanView:
    """One plan in words."""
    total = total_price([added.price for added in plan.added], money.prices)
    return PlanView(
        id=plan.id,
        label=plan.label,
        shortfalls=hard_limit_words(plan.hard_limits, unit),
        added=[_added(added, unit, money) for added in plan.added],
        left=[_left(excess) for excess in plan.left],
        excess=over_text(plan.excess_deg, plan.not_assessed),
        not_assessed=list(plan.not_assessed),
        minutes=_minutes(plan.minutes),
        temporary=plan.temporary,
        cautions=list(plan.cautions),
        assumes=list(plan.assumes),
        seated=_settings(plan.seated, unit),
        standing=_settings(plan.standing, unit),
        same_as=same_as,
        cost=cost_text(total, money),
        over_budget=over_budget_text(total, money),
        proven=plan.whole and not plan.not_assessed and plan.id != "own",
    )


def plan_views(
    plan_set: PlanSet, unit: LengthUnit, money: Money = NO_MONEY
) -> tuple[list[PlanView], list[PurchaseView]]:
    """Every plan and every single purchase, in words."""
    plans = [
        plan_view(plan, unit, same_as=_same(plan_set.plans, index), money=money)
        for index, plan in enumerate(plan_set.plans)
    ]
    return plans, [_fix(fix, unit) for fix in plan_set.fixes]


def _fix(purchase: SinglePurchase, unit: LengthUnit) -> PurchaseView:
    return PurchaseView(
        id=purchase.id,
        label=label_of(purchase.label, purchase.span, unit),
        does=purchase.does,
        price=purchase.price_label,
        removes=_removes(purchase),
        left=filled("{left}°", left=numeral(f"{purchase.left:.0f}")),
        mends=purchase.mends,
        shortfalls=hard_limit_words(purchase.hard_limits, unit),
    )


def _removes(purchase: SinglePurchase) -> str:
    """What a purchase removes; one that mends what did not fit may remove no degree."""
    if purchase.removes < 0.5:
        return msg("fixes what doesn’t fit")
    return both_text(purchase.removes, purchase.minutes)
