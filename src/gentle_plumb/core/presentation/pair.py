"""The pair of postures as one record: what stands where sitting and standing, and how that is known."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..fit import Move
from ..language import joined, msg
from ..record import fields
from .rows import RowView

REMEASURED = 3
"""So many of what moves are measured again standing, and named. House value."""


@dataclass(frozen=True, kw_only=True)
class PairLine:
    """One thing of the pair: where it stands in each posture, in words, and how each is known; empty: not yet."""

    key: str
    label: str
    unit: str
    seated: str
    seated_by: str
    standing: str
    standing_by: str
    again: bool


@dataclass(frozen=True, kw_only=True)
class PairView:
    """What is set in both postures.

    ``again`` marks what is to be measured again standing; ``open`` names those that are not yet; ``says`` how far
    the pair is.
    """

    lines: list[PairLine]
    open: list[str]
    says: str


PIECE = {"screen": "screen_top"}
"""The quantity of a piece that moves, where it has another name."""
NOT_MEASURED = msg("set, not measured")


def pair_view(rows: Sequence[RowView], moves: Sequence[Move]) -> PairView | None:
    """Return the pair; None where nothing moves between the postures.

    What moves with the desk comes first; of what has a number standing, the first three are measured again.
    """
    if not moves:
        return None
    views = {(row.posture, row.key): row for row in rows}
    keys = [key for key in fields.settings.setting["standing"] if ("standing", key) in views]
    both = [
        (views["seated", key], views["standing", key])
        for key in keys
        if ("seated", key) in views and views["standing", key].setting is not None
    ]
    moved = {PIECE.get(move.piece, move.piece) for move in moves}
    both.sort(key=lambda pair: pair[1].key not in moved)
    chosen = {standing.key for _, standing in both[:REMEASURED]}
    lines = [
        PairLine(
            key=standing.key,
            label=standing.label,
            unit=standing.unit,
            seated=seated.left or "",
            seated_by=_how(seated),
            standing=standing.left or "",
            standing_by=_how(standing),
            again=standing.key in chosen,
        )
        for seated, standing in both
    ]
    left = [
        line.label.lower()
        for line in lines
        if line.again and line.standing_by in ("", NOT_MEASURED)
    ]
    says = (
        msg("Measure again standing: {left}.", left=joined(", ", left))
        if left
        else msg("Measured in both postures.")
    )
    return PairView(lines=lines, open=left, says=says)


def _how(row: RowView) -> str:
    if row.left is None:
        return ""
    return NOT_MEASURED if row.left_unmeasured else row.left_by.lower()
