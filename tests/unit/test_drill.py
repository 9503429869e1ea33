"""The drill of setting up: its answers are those of the order of work, the joints and the red flags."""

import random
from dataclasses import replace

import pytest

from gentle_plumb.core.catalogue import QUANTITIES
from gentle_plumb.core.drill import set_up_question
from gentle_plumb.core.errors import ValueOutOfRange
from gentle_plumb.core.fit import fit, joints_of, working_order
from gentle_plumb.core.intake import RED_FLAGS
from gentle_plumb.services.drill import answer_set_up, pose_set_up

MADE = [set_up_question(random.Random(number), "cm") for number in range(120)]


def of(kind):
    return [one for one in MADE if one.kind == kind]


def rows_asked(made):
    """The seated rows a question asks about, in the order of work."""
    labels = {option.split(":")[0] for option in made.options}
    order = working_order(made.case, fit(made.case))
    return [one for one in order if one.posture == "seated" and QUANTITIES[one.key].label in labels]


def test_each_kind_is_asked_and_no_place_is_always_right():
    for kind in ("first", "explains", "urgent"):
        made = of(kind)
        assert len(made) > 20
        assert len({one.right for one in made}) > 1
        assert all(len(set(one.options)) == len(one.options) >= 2 for one in made)
    assert set_up_question(random.Random(5), "cm") == MADE[5]


def test_what_comes_first_is_the_first_of_the_order_of_work():
    for made in of("first"):
        first = rows_asked(made)[0]
        assert made.options[made.right].startswith(QUANTITIES[first.key].label)


def test_what_explains_a_posture_takes_most_of_it_away():
    for made in of("explains"):
        label = made.question.split(":")[0]
        found = made.case.found_seated
        now = {one.label: one for one in joints_of(made.case, found, "seated")}[label]
        left = {}
        for row in rows_asked(made):
            settings = replace(found, **{row.key: row.setting})
            if row.key == "surface":
                settings = replace(settings, keys=found.keys + row.setting - found.surface)
            after = {one.label: one for one in joints_of(made.case, settings, "seated")}[label]
            left[QUANTITIES[row.key].label] = abs(after.excess_deg)
        best = min(left, key=left.get)
        assert made.options[made.right].startswith(best)
        assert left[best] < abs(now.excess_deg)


def test_what_is_urgent_is_the_only_urgent_sign():
    urgency = {red_flag.label: red_flag.urgency for red_flag in RED_FLAGS.values()}
    for made in of("urgent"):
        urgent = [at for at, one in enumerate(made.options) if urgency[one] == "urgent"]
        assert urgent == [made.right]


def test_a_choice_is_judged_and_one_that_is_not_there_is_refused():
    posed = pose_set_up(1, "in")
    said = [answer_set_up(1, at, "in") for at in range(len(posed.options))]
    assert sum(one.points for one in said) == 1
    assert said[said[0].right].points == 1
    with pytest.raises(ValueOutOfRange, match="Choice 9"):
        answer_set_up(1, 9, "in")
