import pytest
from hypothesis import given
from hypothesis import strategies as st

from gentle_plumb.core.body import DIMENSIONS, Body, BodyValue, Earlier, questions
from plumb_bench.reading_errors import count_slips
from strategies import mean_body


def asked(body, **more):
    return {question.dimension: question for question in reversed(questions(body, **more))}


@pytest.mark.parametrize("sex", ["female", "male"])
def test_a_plain_body_is_not_questioned(sex):
    assert questions(mean_body(sex)) == []
    one = BodyValue(mm=360, sd_mm=3, source="measured")
    assert questions(Body(values={"popliteal_height": one})) == []


@pytest.mark.parametrize(
    ("factor", "words"),
    [
        (1 / 2.54, "inches typed as centimetres"),
        (2.54, "centimetres typed as inches"),
        (0.1, "centimetres typed as millimetres"),
        (10, "millimetres typed as centimetres"),
    ],
)
def test_a_slip_of_unit_is_named_with_the_right_value(factor, words):
    found = asked(mean_body(popliteal_height=400 * factor))["popliteal_height"].slip
    assert found.words == words
    assert found.mm == pytest.approx(400)


def test_a_wrong_stature_is_the_one_in_doubt_not_everything_else():
    found = asked(mean_body(stature=1610 / 2.54))
    assert found["stature"].slip.mm == pytest.approx(1610)
    assert [name for name, one in found.items() if one.kind == "far"] == ["stature"]


def test_two_fields_taken_for_each_other_are_named_together():
    found = asked(mean_body(shoulder_elbow_length=430, elbow_fingertip_length=330))
    assert found["shoulder_elbow_length"].slip.other == "elbow_fingertip_length"
    assert found["elbow_fingertip_length"].slip.mm == 430


def test_a_standing_value_in_a_seated_field_is_seen_for_what_it_is():
    found = asked(mean_body(elbow_height_sitting=1005))["elbow_height_sitting"].slip
    assert (found.kind, found.other) == ("other_posture", "elbow_height_standing")


def test_swapped_digits_are_a_guess_only_where_they_fit():
    slip = asked(mean_body(eye_height_sitting=470))["eye_height_sitting"].slip
    assert (slip.kind, slip.mm) == ("digits", 740)


@pytest.mark.parametrize(
    ("changed", "of"),
    [
        ({"elbow_height_standing": 1510}, ("elbow_height_standing", "eye_height_standing")),
        (
            {"shoulder_breadth_biacromial": 396},
            ("shoulder_breadth_biacromial", "shoulder_breadth_bideltoid"),
        ),
        ({"knee_height": 565}, ("knee_height", "popliteal_height")),
        ({"hand_length": 158}, ("elbow_fingertip_length", "hand_length")),
        (
            {"shoulder_elbow_length": 380},
            ("shoulder_height_sitting", "elbow_height_sitting", "shoulder_elbow_length"),
        ),
    ],
)
def test_relations_that_must_hold_are_questioned(changed, of):
    relations = [
        (question.dimension, *question.others)
        for question in questions(mean_body(**changed))
        if question.kind == "relation"
    ]
    assert of in relations


@given(st.sampled_from(sorted(DIMENSIONS)), st.floats(-80, 80))
def test_adults_do_not_grow_but_posture_and_weight_may_change(name, moved):
    body = mean_body()
    before = Earlier(mm=body.mm(name) + moved, sd_mm=3, on="2026-01-09")
    found = [
        question
        for question in questions(body, earlier={name: before})
        if question.kind == "earlier"
    ]
    bound = DIMENSIONS[name].change_mm + 2 * 18**0.5
    assert bool(found) == (abs(moved) > bound)


def test_a_whole_sheet_of_somebody_else_is_one_question():
    tall = mean_body("male")
    earlier = {
        name: Earlier(mm=value.mm, sd_mm=3, on="2026-01-09")
        for name, value in mean_body("female").values.items()
    }
    sheets = [question for question in questions(tall, earlier=earlier) if question.kind == "sheet"]
    assert len(sheets) == 1
    assert len(sheets[0].others) > 10


def test_left_and_right_are_held_against_each_other():
    body = mean_body(upper_limb_length=705)
    assert not [
        q for q in questions(body, other_side={"upper_limb_length": 720}) if q.kind == "sides"
    ]
    assert [q for q in questions(body, other_side={"upper_limb_length": 760}) if q.kind == "sides"]


def test_a_carried_over_value_is_not_held_against_itself():
    body = mean_body()
    old = BodyValue(mm=480, sd_mm=5, source="carried_over")
    body = Body(values={**body.values, "popliteal_height": old}, sex="female")
    earlier = {"popliteal_height": Earlier(mm=400, sd_mm=3, on="2025-01-09")}
    assert "earlier" not in {question.kind for question in questions(body, earlier=earlier)}


@pytest.mark.parametrize("sex_known", [True, False])
def test_planted_slips_are_asked_about_and_true_values_left_alone(sex_known):
    lines, wrongly = count_slips(700, seed=3, sex_known=sex_known)
    caught = {line.kind: line for line in lines}
    for kind in ("factor 2.54", "factor 10", "fields swapped"):
        assert caught[kind].count > 60
        assert caught[kind].rate >= 95, kind
    assert caught["any two swapped"].rate >= 90
    assert caught["standing for sitting"].rate >= 95
    assert caught["factor 2.54"].right / caught["factor 2.54"].count > 0.9
    assert wrongly < 3
