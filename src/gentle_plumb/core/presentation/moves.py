"""Moves and stacks in words."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..fit import Move
from ..language import filled, joined, msg
from ..plans import STACK_WARNING, StackAnswer
from ..units import LengthUnit, format_difference, format_length


@dataclass(frozen=True, kw_only=True)
class MoveView:
    """What moves between sitting and standing; ``both`` is what is done each way, in one line."""

    piece: str
    label: str
    seated: str | None
    standing: str | None
    by: str | None
    to_stand: str
    to_sit: str
    both: str


def move_views(moves: Sequence[Move], unit: LengthUnit) -> list[MoveView]:
    """What moves between sitting and standing, in words."""

    def said(value: float | None) -> str | None:
        return format_length(value, unit) if value is not None else None

    return [
        MoveView(
            piece=move.piece,
            label=move.label,
            seated=said(move.seated),
            standing=said(move.standing),
            by=format_difference(move.by, unit, up="up", down="down")
            if move.by is not None
            else None,
            to_stand=move.to_stand,
            to_sit=move.to_sit,
            both=joined("; ", filter(None, (move.to_stand, move.to_sit))),
        )
        for move in moves
    ]


@dataclass(frozen=True, kw_only=True)
class StackView:
    """The best stack for a lift in words; all None where nothing at hand serves."""

    text: str | None
    height: str | None
    short: str | None
    warning: str


def stack_view(answer: StackAnswer, unit: LengthUnit) -> StackView:
    """A stack in words, with its error and what it is short of."""
    if answer.stack is None:
        return StackView(text=None, height=None, short=None, warning=STACK_WARNING)
    height = format_length(answer.stack.height, unit, with_unit=True)
    return StackView(
        text=answer.stack.text,
        height=filled("{height} ± {what}", height=height, what=format_length(2 * answer.sd, unit)),
        short=format_difference(answer.short, unit, up=msg("short by"), down=msg("over by")),
        warning=STACK_WARNING,
    )
