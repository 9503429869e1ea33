"""Answers that are kept with a visit, and go with it."""

import gc
import weakref
from dataclasses import dataclass, field, replace
from datetime import date

import pytest

from generated_visits import visit_values
from gentle_plumb.core.changed import changed
from gentle_plumb.core.reuse import Reuse, reuse_last
from gentle_plumb.core.what_if import VisitInput, WhatIfRequest, WhatIfSession
from gentle_plumb.core.workstation import Settings, Span
from seeds import SEED
from strategies import usual_case


@dataclass(frozen=True)
class Owner:
    name: str
    reuse: Reuse = field(default_factory=Reuse, compare=False)


def test_equal_arguments_are_answered_once_and_the_oldest_is_forgotten() -> None:
    worked: list[int] = []

    @reuse_last(2)
    def total(owner: Owner, sizes: dict[str, int]) -> int:
        worked.append(sum(sizes.values()))
        return sum(sizes.values())

    mine = Owner("a")
    for size in (1, 1, 2, 1, 3, 1):
        assert total(mine, {"x": size}) == size
    assert worked == [1, 2, 3, 1]  # two are kept, first in, first out
    total(Owner("a", mine.reuse), {"x": 1})
    assert len(worked) == 4  # an equal owner of the same visit
    total(Owner("a"), {"x": 1})
    assert len(worked) == 5  # another visit shares nothing


def test_equal_things_become_the_same_thing() -> None:
    reuse = Reuse()
    first, again, other = (Settings(seat=seat) for seat in (460.0, 460.0, 470.0))
    assert reuse.equal(first) is reuse.equal(again)
    assert reuse.equal(other) is other


def test_a_changed_copy_is_what_replace_makes_and_keeps_no_answer_of_the_other() -> None:
    case = usual_case()
    assert case.standing() is case.standing()  # kept in the object
    copy = changed(case, mat=12.0, uncertain=False)
    assert copy == replace(case, mat=12.0, uncertain=False)
    assert "_standing" in vars(case)
    assert "_standing" not in vars(copy)
    with pytest.raises(TypeError, match="no matt"):
        changed(case, matt=12.0)
    with pytest.raises(TypeError, match="Span"):  # it checks itself when it is made
        changed(Span(low=1, high=2), high=0)


def test_no_body_outlives_its_visit() -> None:
    """What was worked out for a visit is gone with it, whatever was asked of it."""
    visit = VisitInput(values=visit_values(SEED + 1), today=date(2026, 11, 25), sex="female")
    bench = WhatIfSession(visit)
    request = WhatIfRequest(overrides={}, plans=True, behind=True)
    drawn = bench.try_out(request).scene.marks
    kept = weakref.ref(visit.reuse)
    assert drawn
    assert kept() is not None
    del visit, bench, drawn
    gc.collect()
    assert kept() is None
