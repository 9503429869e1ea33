"""What can be ticked for the practitioner's own plan, and what each tick comes to."""

from __future__ import annotations

from dataclasses import replace

from ..fit import Case
from .addition import PRICES
from .addition_set import AdditionSet, items_used, with_additions
from .addition_sets import SWAP
from .height_search import OwnNumbers
from .own_plan import SLOTS, Offer, key_of, offers_in, own_kit
from .planner import Planner, less

MOST_STACKS = 3
"""Stacks of what is here that are offered in one slot: those that leave least over."""


def offers_of(case: Case, *, own: OwnNumbers | None = None) -> tuple[Offer, ...]:
    """Return everything that can be ticked for the practitioner's own plan, slot by slot, the best first.

    Parameters
    ----------
    case : Case
        With the pieces as they are.
    own : OwnNumbers, optional
        The practitioner's own numbers, and what is ticked already.

    """
    own = own or OwnNumbers()
    planner, kit = Planner(case, own), own_kit(case, own.taken)
    offers: list[Offer] = []
    slots = list(SLOTS)
    for place, slot in enumerate(slots):
        before = tuple(addition for addition in kit if addition.slot in slots[:place])
        others = tuple(addition for addition in kit if addition.slot != slot)
        with_kit = replace(case, workstation=with_additions(case.workstation, before))
        rest = planner.over(others)
        mine = []
        for addition in offers_in(with_kit, slot, items_used(others)):
            over, minutes = planner.over(_in_order((*others, addition)))
            mine.append(
                Offer(
                    key=key_of(addition),
                    slot=slot,
                    label=addition.label,
                    does=addition.does,
                    price=addition.price,
                    temporary=addition.temporary,
                    taken=key_of(addition) in own.taken,
                    removes=rest[0] - over,
                    minutes=less(rest[1], minutes),
                    left=over,
                    height=addition.height,
                    span=addition.span,
                )
            )
        mine.sort(
            key=lambda offer: (
                not offer.taken,
                offer.key == SWAP,
                -offer.removes,
                PRICES[offer.price],
            )
        )
        for kind in ("_stack", "_topped"):
            stacks = [offer for offer in mine if kind in offer.key]
            mine = [offer for offer in mine if offer not in stacks[MOST_STACKS:]]
        offers += mine
    return tuple(offers)


def _in_order(kit: AdditionSet) -> AdditionSet:
    slots = list(SLOTS)
    return tuple(sorted(kit, key=lambda addition: slots.index(addition.slot)))
