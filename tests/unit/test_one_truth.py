"""What is said of a visit agrees with what is true of it: over generated visits, seeds in the messages.

Wanted of thousands of visits, these are held over the first fifty here; ./plumb bench goes on.
"""

from datetime import UTC, datetime
from functools import cache

import pytest

from generated_visits import visit_values
from gentle_plumb.core.what_if import VisitInput, analyse_visit
from seeds import SEED
from truths import TRUTHS

VISITS = range(SEED, SEED + 50)


@cache
def analysed(seed):
    given = VisitInput(values=visit_values(seed), today=datetime.now(UTC).date(), sex="female")
    return analyse_visit(given, "cm")


@pytest.mark.parametrize("truth", TRUTHS, ids=lambda truth: truth.__name__)
def test_what_is_said_is_true(truth):
    assert [(seed, said) for seed in VISITS for said in truth(analysed(seed))] == []
