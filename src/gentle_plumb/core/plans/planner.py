"""Works a case out with one set of additions after the other."""

from __future__ import annotations

from ..assessment import HardLimits, hard_limits
from ..catalogue import TIERS, Tier
from ..changed import changed
from ..fit import AimedSettings, Case, aimed_settings, untold_joints
from ..language import msg
from ..words import say
from ..workstation import ScreenKind
from .addition import PRICE_LABELS, Addition
from .addition_set import AdditionSet, key_of_set, with_additions
from .height_search import OwnNumbers
from .own_plan import key_of
from .plan import (
    NOT_ALL_TRIED,
    RISERS_WARNING,
    Added,
    AppliedPlan,
    ResidualExcess,
    total_of,
    what_is_left,
)
from .stacks import STACK_WARNING


class Planner:
    """Works a case out with one set of additions after the other, each set once."""

    def __init__(self, case: Case, own: OwnNumbers) -> None:
        self.case, self.own = case, own
        self._made: dict[tuple[object, ...], tuple[Case, AimedSettings]] = {}
        self._left: dict[tuple[object, ...], tuple[ResidualExcess, ...]] = {}
        self._limits: dict[tuple[object, ...], HardLimits] = {}

    def settled(self, kit: AdditionSet) -> tuple[Case, AimedSettings]:
        """The case with these additions, and how it is set then."""
        key = key_of_set(kit)
        if key not in self._made:
            case = changed(self.case, workstation=with_additions(self.case.workstation, kit))
            settings = aimed_settings(
                case, overrule_seated=self.own.seated, overrule_standing=self.own.standing
            )
            self._made[key] = case, settings
        return self._made[key]

    def left(self, kit: AdditionSet) -> tuple[ResidualExcess, ...]:
        """What a set leaves over, joint by joint."""
        key = key_of_set(kit)
        if key not in self._left:
            self._left[key] = what_is_left(*self.settled(kit))
        return self._left[key]

    def limits(self, kit: AdditionSet) -> HardLimits:
        """What hard limits lack with a set."""
        key = key_of_set(kit)
        if key not in self._limits:
            self._limits[key] = hard_limits(*self.settled(kit))
        return self._limits[key]

    def over(self, kit: AdditionSet) -> tuple[float, float | None]:
        """What a set leaves over, degrees and strain minutes."""
        return total_of(self.left(kit))

    def plan(
        self, tier: Tier, kit: AdditionSet, *, whole: bool = True, worth: bool = True
    ) -> AppliedPlan:
        """A plan with what each of its additions removes, where ``worth``: what leaving it out would add.

        ``whole`` is whether every set of additions was tried.
        """
        case, settled = self.settled(kit)
        left = self.left(kit)
        over, minutes = total_of(left)
        limits = self.limits(kit)
        added = [] if worth else [*added_by(kit)]
        for addition in kit if worth else ():
            rest = tuple(other for other in kit if other is not addition)
            without = self.over(rest)
            mends = limits.mends(self.limits(rest))
            added.append(
                _added(addition, without[0] - over, less(without[1], minutes), mends=mends)
            )
        temporary = any(addition.temporary for addition in kit)
        return AppliedPlan(
            id=tier,
            label=TIERS[tier],
            added=tuple(added),
            seated=settled.seated,
            standing=settled.standing,
            left=left,
            excess_deg=over,
            minutes=minutes,
            hard_limits=limits,
            temporary=temporary,
            cautions=(*_cautions(case, kit), *(() if whole else (NOT_ALL_TRIED,))),
            assumes=assumptions_of(case),
            case=case,
            additions=kit,
            not_assessed=untold_in(case, settled),
            whole=whole,
        )


def untold_in(case: Case, settled: AimedSettings) -> tuple[str, ...]:
    """Return the joints of both postures that nothing can be told of, each once."""
    untold = [
        untold_joints(joints, seat_stays=case.seat_stays)
        for joints in (settled.joints_seated, settled.joints_standing)
    ]
    return tuple(dict.fromkeys(label for labels in untold for label in labels))


def added_by(kit: AdditionSet) -> tuple[Added, ...]:
    """Return what a set of additions adds, without what each removes."""
    return tuple(_added(addition, 0.0, None) for addition in kit)


def less(before: float | None, after: float | None) -> float | None:
    """Return how much less it is than before; None where either is not known."""
    return None if before is None or after is None else before - after


def _added(
    addition: Addition, removes: float, minutes: float | None, *, mends: bool = False
) -> Added:
    return Added(
        id=addition.id,
        key=key_of(addition),
        slot=addition.slot,
        label=addition.label,
        does=addition.does,
        price=addition.price,
        price_label=PRICE_LABELS[addition.price],
        temporary=addition.temporary,
        removes=removes,
        minutes=minutes,
        height=addition.height,
        sd=addition.sd,
        span=addition.span,
        mends=mends,
        takes_away=addition.takes_away,
    )


def _cautions(case: Case, kit: AdditionSet) -> tuple[str, ...]:
    texts = []
    if any(addition.temporary for addition in kit):
        dated = case.policy.temporary == "dated"
        texts.append(
            msg("Temporary. Set an end date as the follow-up date.")
            if dated
            else msg("Temporary. Review at the follow-up.")
        )
    if any(addition.items for addition in kit):
        texts.append(STACK_WARNING)
    if any(addition.id == "risers" for addition in kit):
        texts.append(RISERS_WARNING)
    if case.own_seat:
        texts.append(
            msg(
                "Leave the client’s own seating unchanged; any change goes through their therapist."
            )
        )
    if any(addition.id == "high_chair" for addition in kit):
        texts.append(
            msg("Use a high chair on castors only with brakes or glides; set the foot ring first.")
        )
    return tuple(texts)


def assumptions_of(case: Case) -> tuple[str, ...]:
    """Return what a case takes for granted, in words.

    Parameters
    ----------
    case : Case
        With the additions in place.

    """
    station = case.workstation
    screen = station.screen
    moves = screen.kind != ScreenKind.LAPTOP and screen.on_wall_at is None
    taken = (
        ("plan.any_seat", case.sits and station.chair.seat is None and not case.seat_stays),
        ("plan.any_surface", station.desk.surface is None),
        ("plan.any_top", moves and screen.top_above_surface is None),
        ("plan.no_thickness", case.sits and station.desk.thickness is None),
        ("plan.laptop_keys", station.keyboard.assumed),
        ("plan.usual_footrest", station.feet_assumed),
    )
    return tuple(say(words) for words, holds in taken if holds)
