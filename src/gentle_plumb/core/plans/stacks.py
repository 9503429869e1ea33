"""Stacks of whole pieces: what heights the items of a room make, and how sure they are.

At most 200 mm and three items, four under the feet, non-slip, never under castors. Source: house-stack.
"""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass
from math import sqrt

from ..language import filled, joined, msg
from ..tolerances import COST_DECIMALS, ROUNDING
from ..workstation import Item

MOST_ITEMS = {"seat": 1, "feet": 4}
MOST_ELSEWHERE = 3
HIGHEST_STACK_MM = 200.0
STACK_WARNING = msg(
    "Use non-slip material between layers, never under castors, and check stability before use."
)


@dataclass(frozen=True, kw_only=True)
class Stack:
    """Whole pieces on each other: items by identifier with how many of each, the thickest lowest.

    ``height`` and how unsure it is (``sd``) in mm.
    """

    items: tuple[tuple[str, int], ...]
    labels: tuple[tuple[str, int], ...]
    height: float
    sd: float
    assumed: bool = False

    @property
    def count(self) -> int:
        """How many pieces."""
        return sum(many for _, many in self.items)

    @property
    def text(self) -> str:
        """In words: ``2 reams of paper + 1 book``."""
        said = joined(
            " + ",
            (
                filled("{many} × {label}", many=many, label=label.lower())
                for label, many in self.labels
            ),
        )
        return msg("{said} (thickness assumed)", said=said) if self.assumed else said


def stacks_of(
    items: Iterable[Item], use: str, taken: Mapping[str, int] | None = None
) -> list[Stack]:
    """Every stack that the items make, the fewest pieces and the lowest first.

    Parameters
    ----------
    items : iterable of Item
    use : {"feet", "screen", "seat", "keys", "laptop"}
        What it is to carry; items that may not are left out.
    taken : mapping, optional
        Pieces that something else stands on already, by item.

    """
    usable = sorted(
        (item for item in items if use in item.uses and item.thickness > 0),
        key=lambda item: (-item.thickness, item.id),
    )
    left = {item.id: item.count - (taken or {}).get(item.id, 0) for item in usable}
    most = MOST_ITEMS.get(use, MOST_ELSEWHERE)
    stacks: list[Stack] = []

    def extend(start: int, chosen: list[tuple[Item, int]], count: int, height: float) -> None:
        if count:
            stacks.append(
                Stack(
                    items=tuple((item.id, many) for item, many in chosen),
                    labels=tuple((item.label, many) for item, many in chosen),
                    height=height,
                    sd=sqrt(sum((many * item.error) ** 2 for item, many in chosen)),
                    assumed=any(item.assumed for item, _ in chosen),
                )
            )
        for index in range(start, len(usable)):
            item = usable[index]
            for many in range(1, min(left[item.id], most - count) + 1):
                over = height + many * item.thickness
                if over > HIGHEST_STACK_MM + ROUNDING:
                    break
                extend(index + 1, [*chosen, (item, many)], count + many, over)

    extend(0, [], 0, 0.0)
    return sorted(stacks, key=lambda stack: (stack.count, stack.height, stack.items))


@dataclass(frozen=True, kw_only=True)
class StackAnswer:
    """The best stack for a lift: what it is short of (positive) and its error, mm."""

    stack: Stack | None
    wanted: float
    short: float
    sd: float


def best_stack(items: Sequence[Item], wanted: float, use: str) -> StackAnswer:
    """The stack nearest a wanted lift; of equally near ones the fewest pieces, then the surest.

    Parameters
    ----------
    items : sequence of Item
    wanted : float
        mm to lift by.
    use : {"feet", "screen", "seat", "keys", "laptop"}

    Examples
    --------
    >>> ream = Item(id="ream", label="Ream", thickness=50, count=3)
    >>> best_stack([ream], 110, "screen").stack.text
    '2 × ream'

    """
    near = min(
        stacks_of(items, use),
        key=lambda stack: (
            round(abs(stack.height - wanted), COST_DECIMALS),
            stack.count,
            stack.sd,
            stack.items,
        ),
        default=None,
    )
    if near is None or wanted <= 0 or abs(near.height - wanted) >= wanted:
        return StackAnswer(stack=None, wanted=wanted, short=max(0.0, wanted), sd=0.0)
    return StackAnswer(stack=near, wanted=wanted, short=wanted - near.height, sd=near.sd)
