"""The test on the person for a setting: one that a person for whom it was set can pass."""

from __future__ import annotations

from collections.abc import Sequence

from ..catalogue import QUANTITIES, CheckCase
from ..language import msg
from ..policy import judged_excess
from ..workstation import ChairKind
from .case import Case
from .result import FitRow

ARM_TERMS = frozenset(
    {msg("arm length"), "fist", msg("eye forward of the shoulder"), msg("settle-in test")}
)
"""Terms of a distance that a stretched arm can check."""
SIDE_TERMS = frozenset({msg("as the main screen")})
"""The same for a screen beside the main one."""


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
    for check_case, test in quantity.checks.items():
        if _holds(check_case, case, row, rows):
            return test
    if row.setting is not None and judged_excess(row.setting, row.low, row.high):
        return quantity.check_outside or quantity.check
    return quantity.check


def _holds(check_case: CheckCase, case: Case, row: FitRow, rows: Sequence[FitRow]) -> bool:
    if check_case == "leg_forward":
        return case.sits and bool(case.legs_forward)
    if check_case == "on_support":
        rest = next((row for row in rows if row.key == "footrest"), None)
        return rest is not None and bool(rest.setting)
    if check_case == "saddle":
        return case.workstation.chair.kind == ChairKind.SADDLE
    if check_case == "one_hand":
        return case.person.only_hand is not None
    if check_case == "by_reading":
        tested_by = ARM_TERMS if row.key == "distance" else SIDE_TERMS
        return any(term.label not in tested_by for term in row.terms)
    return row.remedy is not None  # no_armrests
