"""A plan of one's own: ticked, swapped and combined, with its sum."""

from dataclasses import replace

import pytest

from gentle_plumb.core.fit import Policy
from gentle_plumb.core.plans import (
    OwnNumbers,
    Prices,
    best_additions,
    make_plans,
    offers_of,
    total_price,
)
from gentle_plumb.core.presentation import Money, offer_views, plan_views
from gentle_plumb.core.workstation import Item
from strategies import usual_case

REAM = Item(id="ream", label="Ream of paper", thickness=50, count=3, error=1.5)
BOOK = Item(id="book", label="Book", thickness=30, count=2)


def fixed_desk(**more):
    """The mean woman at a fixed desk 74 high, chair to 51, reams and books in the room."""
    case = usual_case(surface=(740,), seat=(400, 510), lift=(350, 350), **more)
    station = replace(case.workstation, feet=(), items=(REAM, BOOK))
    return replace(case, workstation=station, hours={"typing": 4.0, "mouse": 2.0})


def own(*keys):
    return OwnNumbers(taken=frozenset(keys))


def test_every_addition_of_a_plan_can_be_ticked_and_comes_to_the_same():
    case = fixed_desk()
    for plan in make_plans(case).plans:
        if plan.added:
            taken = own(*(one.key for one in plan.added))
            mine = make_plans(case, own=taken).plan("own")
            assert {one.key for one in mine.added} == {one.key for one in plan.added}
            assert mine.excess_deg == pytest.approx(plan.excess_deg)


def test_what_is_combined_rests_on_each_other_and_no_piece_is_used_twice():
    case = fixed_desk()
    kit = best_additions(case, "own", own=own("feet_stack-ream2", "screen_stack-ream2", "risers"))
    assert [one.id for one in kit] == ["risers", "feet_stack"]  # two reams of three are gone
    both = make_plans(case, own=own("feet_stack-ream2", "screen_stack-ream1")).plan("own")
    assert [one.id for one in both.added] == ["feet_stack", "screen_stack"]
    assert both.seated.footrest == 100


def test_offers_say_what_each_removes_beside_what_is_ticked():
    case = fixed_desk()
    offers = {one.key: one for one in offers_of(case, own=own("feet_stack-ream2"))}
    assert offers["feet_stack-ream2"].taken
    feet = [offer for offer in offers.values() if offer.slot == "feet"]
    assert offers["feet_stack-ream2"].removes == max(foot.removes for foot in feet) > 0
    assert offers["tray"].left == pytest.approx(
        make_plans(case, own=own("feet_stack-ream2", "tray")).plan("own").excess_deg
    )
    mouse = [offer.key for offer in offers.values() if offer.slot == "pointer"]
    assert mouse[-1] == "other_hand"  # changing hands comes last
    stacks = [key for key in offers if key.startswith("screen_stack")]
    assert 0 < len(stacks) <= 3  # of many: those that leave least


def test_what_is_offered_no_more_is_left_out():
    gone = make_plans(fixed_desk(), own=own("laptop_apart")).plan("own")
    assert gone.added == ()


@pytest.mark.parametrize(
    ("prices", "cost", "over"),
    [
        (Prices(small=60, medium=400, large=900, currency="EUR"), "460\u00a0EUR", "160\u00a0EUR"),
        (Prices(small=60), "1 small, 1 medium", None),
        (Prices(small=50, medium=250), "300", None),
    ],
)
def test_a_plan_says_its_sum_and_how_far_that_is_over_the_budget(prices, cost, over):
    worked = make_plans(fixed_desk(), own=own("footrest", "tray"))
    plans, _ = plan_views(worked, "cm", Money(prices=prices, budget=300))
    mine = next(plan for plan in plans if plan.id == "own")
    assert mine.cost == cost
    assert mine.over_budget == (over and f"{over} over budget")


def test_what_costs_nothing_counts_for_nothing():
    assert total_price(["nothing", "found"], Prices(small=60)).sum == 0
    assert total_price(["large"], Prices(small=60)).sum is None


def test_what_is_offered_in_a_range_says_it_in_the_practices_unit():
    case = fixed_desk()
    worked = make_plans(case, own=own("footrest"))
    for unit, said in (
        ("cm", "Footrest, 6.0 to 15.0\u00a0cm"),
        ("mm", "Footrest, 60 to 150\u00a0mm"),
    ):
        plans, _ = plan_views(worked, unit)
        assert [one.label for one in plans[-1].added] == [said]
        offers = offer_views(offers_of(case), unit)
        assert said in {offer.label for offer in offers}
    inches = next(
        offer_view
        for offer_view in offer_views(offers_of(case), "in")
        if offer_view.key == "footrest"
    )
    assert (inches.label, inches.price) == ("Footrest, 2.36 to 5.91 in", "small")


def test_where_makeshifts_are_excluded_none_can_be_ticked():
    case = replace(fixed_desk(), policy=Policy(temporary="never"))
    assert not [one.key for one in offers_of(case) if one.temporary]
    assert best_additions(case, "own", own=own("feet_stack-ream2")) == ()
