"""The test on the person for a setting: one that a person for whom it was set can pass."""

from __future__ import annotations

from collections.abc import Sequence

from ..catalogue import QUANTITIES
from ..policy import judged_excess
from .result import FitRow

ON_A_SUPPORT = "Feet flat on the support; a flat hand slides between thigh and seat edge."
WITHOUT_ARMRESTS = "Shoulders down, elbows hanging free; the chair comes up to the desk."
BY_READING = "The client reads usual text with the back on the backrest, neither leaning forward nor blurred."
ARM_TERMS = frozenset({"arm length", "fist", "eye forward of the shoulder", "settle-in test"})
"""Terms of a distance that a stretched arm can check."""


def with_check(row: FitRow, rows: Sequence[FitRow]) -> FitRow:
    """Return the row with its test.

    Parameters
    ----------
    row : FitRow
    rows : sequence of FitRow
        All of its posture.

    """
    return row.but(check=_check(row, rows))


def _check(row: FitRow, rows: Sequence[FitRow]) -> str:
    quantity = QUANTITIES[row.key]
    if row.key == "armrest" and row.remedy is not None:
        return WITHOUT_ARMRESTS
    if row.key == "seat" and row.posture == "seated":
        rest = next((one for one in rows if one.key == "footrest"), None)
        return ON_A_SUPPORT if rest is not None and rest.setting else quantity.check
    if row.key == "distance" and any(term.label not in ARM_TERMS for term in row.terms):
        return BY_READING
    if row.setting is not None and judged_excess(row.setting, row.low, row.high):
        return quantity.check_outside or quantity.check
    return quantity.check
