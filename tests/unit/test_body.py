import pytest
from hypothesis import given
from hypothesis import strategies as st

from gentle_plumb.core.body import (
    DIMENSIONS,
    Body,
    BodyValue,
    estimate_from_stature,
    questions,
    resolve_readings,
)
from gentle_plumb.core.errors import MissingDimension
from strategies import mean_body


def test_third_reading_settles_two_that_disagree():
    two = resolve_readings([400, 420], repeat_limit_mm=8)
    three = resolve_readings([400, 420, 418], repeat_limit_mm=8)
    assert (two.value_mm, two.needs_third, two.spread_mm) == (None, True, 20)
    assert (three.value_mm, three.needs_third) == (418, False)


@given(st.lists(st.floats(100, 2000), min_size=1, max_size=3), st.floats(1, 20))
def test_result_lies_within_its_readings_and_is_never_surer_than_the_tape(readings, limit):
    resolved = resolve_readings(readings, repeat_limit_mm=limit)
    if resolved.value_mm is not None:
        assert min(readings) - 1e-9 <= resolved.value_mm <= max(readings) + 1e-9
        assert resolved.sd_mm >= 3


def test_exactly_the_limit_still_agrees():
    assert resolve_readings([400, 408], repeat_limit_mm=8).value_mm == 404


def test_estimate_is_the_mean_at_mean_stature_and_carries_its_error():
    guess = estimate_from_stature("popliteal_height", stature_mm=1672, sex="female")
    assert guess.value_mm == pytest.approx(400 + 0.80 * 27)  # one standard deviation taller
    assert guess.sd_mm == pytest.approx(27 * 0.6)


@pytest.mark.parametrize("name", ["elbow_height_sitting", "lumbar_height_sitting"])
def test_what_stature_does_not_tell_needs_the_tape(name):
    with pytest.raises(MissingDimension, match="tape"):
        estimate_from_stature(name, stature_mm=1700)


def test_mixed_population_is_wider_than_either():
    entry = DIMENSIONS["stature"]
    mixed = entry.spread(None)
    assert mixed.mean_mm == 1675
    assert mixed.sd_mm > max(entry.stats["male"].sd_mm, entry.stats["female"].sd_mm)


def test_measured_goes_before_estimated():
    body = mean_body("male", hand_length=200)
    without = Body(values={"stature": body.values["stature"]}, sex="male")
    assert body.value("hand_length").source == "measured"
    assert without.value("hand_length").source == "estimated"
    assert without.mm("hand_length") == pytest.approx(190)


def test_uncertainty_of_a_sum_adds_in_squares():
    body = mean_body(popliteal_height=400)
    sd, shares = body.uncertainty(lambda b: b.mm("popliteal_height") + 2 * b.mm("thigh_clearance"))
    assert shares == pytest.approx({"popliteal_height": 3, "thigh_clearance": 6})
    assert sd == pytest.approx(45**0.5)


def test_inches_typed_as_centimetres_are_questioned_with_the_right_value():
    body = mean_body(popliteal_height=400 / 2.54)
    asked = [question for question in questions(body) if question.dimension == "popliteal_height"]
    assert asked[0].suggestion_mm == pytest.approx(400)
    assert "inches" in asked[0].text


def test_relations_that_must_hold_are_questioned_and_a_plain_body_is_not():
    body = mean_body(elbow_height_standing=1510, eye_height_standing=1505)
    assert ("elbow_height_standing", "eye_height_standing") in {
        (question.dimension, question.other) for question in questions(body)
    }
    assert questions(mean_body()) == []
    assert (
        questions(Body(values={"popliteal_height": BodyValue(mm=40, sd_mm=3, source="measured")}))
        == []
    )
