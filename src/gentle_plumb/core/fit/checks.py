"""The test on the person for a setting: one that a person for whom it was set can pass."""

from __future__ import annotations

from collections.abc import Sequence

from ..catalogue import QUANTITIES
from ..policy import judged_excess
from ..workstation import ChairKind
from .case import Case
from .result import FitRow

ON_A_SUPPORT = "Feet flat on the support; a flat hand slides between thigh and seat edge."
ON_A_SADDLE = (
    "Feet flat and apart, the thighs falling to both sides; the weight is on both sit bones."
)
LEG_FORWARD = "The heel is held without strain, the leg forward; a flat hand slides between thigh and seat edge."
ONE_HAND = "The B key lies before the shoulder of that hand, and its forearm points straight ahead."
WITHOUT_ARMRESTS = "Shoulders down, elbows hanging free; the chair comes up to the desk."
BY_READING = "The client reads usual text with the back on the backrest, neither leaning forward nor blurred."
ARM_TERMS = frozenset({"arm length", "fist", "eye forward of the shoulder", "settle-in test"})
"""Terms of a distance that a stretched arm can check."""


def with_check(case: Case, row: FitRow, rows: Sequence[FitRow]) -> FitRow:
    """Return the row with its test.

    Parameters
    ----------
    case : Case
        Whom it is for, and what they sit on.
    row : FitRow
    rows : sequence of FitRow
        All of its posture.

    """
    return row.replace(check=_check(case, row, rows))


def _check(case: Case, row: FitRow, rows: Sequence[FitRow]) -> str:
    quantity = QUANTITIES[row.key]
    if row.key == "armrest" and row.remedy is not None:
        return WITHOUT_ARMRESTS
    if row.key == "seat" and row.posture == "seated":
        return _seat_check(case, rows) or quantity.check
    if row.key == "keys_midline" and case.person.only_hand is not None:
        return ONE_HAND
    tested_by = ARM_TERMS if row.key == "distance" else {"as the main screen"}
    if row.key.endswith("distance") and any(term.label not in tested_by for term in row.terms):
        return BY_READING
    if row.setting is not None and judged_excess(row.setting, row.low, row.high):
        return quantity.check_outside or quantity.check
    return quantity.check


def _seat_check(case: Case, rows: Sequence[FitRow]) -> str:
    """Return the test of a seat that feet flat on the floor can't be, or is not all there is to it; else nothing."""
    if case.legs_forward:
        return LEG_FORWARD
    rest = next((row for row in rows if row.key == "footrest"), None)
    if rest is not None and rest.setting:
        return ON_A_SUPPORT
    return ON_A_SADDLE if case.workstation.chair.kind == ChairKind.SADDLE else ""
