"""The order of work: from the piece that can't move."""

from __future__ import annotations

from collections.abc import Callable, Sequence

from ..catalogue import QUANTITIES, Quantity
from .case import Case
from .piece_ranges import fixed_surface
from .result import FitResult, FitRow

NEEDED_ROWS = frozenset(quantity.key for quantity in QUANTITIES.values() if quantity.needed)
"""Rows without which nothing is worked out."""


def working_order(case: Case, result: FitResult) -> list[FitRow]:
    """Return the rows in the order in which they are set: seated, then standing where possible.

    Where the surface can't move, hands come first and the chair follows; keys are re-measured with
    their surface and are no step of their own. Where nothing of the body is known yet, everything is
    gone through by eye, with the tests on the person.
    """
    hands_first = fixed_surface(case) is not None

    def seated(quantity: Quantity) -> int:
        return quantity.order_hands_first if hands_first else quantity.order

    def standing(quantity: Quantity) -> int:
        return quantity.order_standing

    if by_eye(result):
        return _by_eye(case, result.seated.rows, seated)
    steps = _steps(result.seated.rows, seated) if result.seated.possible else []
    if result.standing.possible:
        steps += _steps(result.standing.rows, standing)
    return steps


def _steps(rows: Sequence[FitRow], place: Callable[[Quantity], int]) -> list[FitRow]:
    """Return the rows that are steps, by their place."""
    chair_rows = [
        (place(QUANTITIES[row.key]), row)
        for row in rows
        if row.remedy or (row.setting is not None and not _joined(row) and _worth_a_step(row))
    ]
    return [row for index, row in sorted(chair_rows, key=lambda pair: pair[0]) if index]


def by_eye(result: FitResult) -> bool:
    """Whether no height can be told: nothing of the body is measured, and nothing estimated."""
    heights = [result.row("seated", key) for key in ("seat", "surface", "screen_top")]
    return all(height.setting is None for height in (*heights, result.row("standing", "surface")))


def _by_eye(case: Case, rows: Sequence[FitRow], place: Callable[[Quantity], int]) -> list[FitRow]:
    """Return what is set by eye, in its order; a client's own seating is left alone."""
    chair = {"seat", "footrest", "seat_depth", "lumbar", "armrest"}
    fit_rows = [
        row
        for row in rows
        if QUANTITIES[row.key].own_number and not (case.seat_stays and row.key in chair)
    ]
    fit_rows.sort(key=lambda row: place(QUANTITIES[row.key]))
    return [row for row in fit_rows if place(QUANTITIES[row.key])]


def _worth_a_step(row: FitRow) -> bool:
    """Whether a setting is always gone through, or was found outside its band."""
    quantity = QUANTITIES[row.key]
    if row.target is None:
        return False  # the client's own seating, or nothing to aim at
    if quantity.any_target_is_step and row.target:
        return True  # the thighs fall to the knee: a pan that stays level presses on them
    if quantity.zero_is_none and not row.setting and not row.found:
        return False  # the feet reach the floor, and nothing lies under them
    if quantity.datum == "ahead" and abs(row.change or 0.0) > SHIFT_DEG:
        return True  # it makes room for the screen beside it
    return quantity.own_number or not quantity.judged or row.status == "off"


SHIFT_DEG = 5.0
"""A screen in its band that turns aside by more, for another one, is moved. Source: house-bearing."""


def _joined(row: FitRow) -> bool:
    """Whether there is nothing to set because the piece is joined to another."""
    return any(limit.kind == "joined" for limit in row.limits)
