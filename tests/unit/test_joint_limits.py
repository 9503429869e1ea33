"""Joint limits of this person, as numbers: kept to by seat, drawing, movements and papers."""

from math import cos, radians

import pytest
from pydantic import ValidationError

from gentle_plumb.core.record import fields
from gentle_plumb.documents.case_person import PersonDocument
from plain_visit import PLAIN, papers, state

FORWARD_MM = 400.0 * (1 - cos(radians(30)))
MOVES = {  # a desk that comes to whatever seat the legs ask for
    "look.desk.kind": "sit_stand",
    "look.desk.surface_min": 560.0,
    "look.desk.surface_max": 1200.0,
    "look.chair.seat_min": 320.0,
    "look.support.footrest": "no",
    "ask.consent.workplace": "yes",
}


def knee(workup):
    return next(
        joint for joint in workup.joints if joint.joint == "knee" and joint.posture == "seated"
    )


def test_a_knee_that_bends_no_further_sends_the_feet_forward_and_the_seat_down():
    free, made = papers(PLAIN, **MOVES)
    held, told = papers(PLAIN, **MOVES, **{"ask.joint.knee_bend": 60.0})
    assert state(free, "seat").target - state(held, "seat").target == pytest.approx(FORWARD_MM)
    assert (knee(free).at, knee(held).at) == (pytest.approx(90, abs=2), pytest.approx(120, abs=2))
    assert knee(held).low == 120  # 60° from straight
    lines = " ".join(told.client.limits)
    assert "The knee bends no further than 60°" in lines
    assert "knee" not in " ".join(told.workplace.limits).lower()
    assert "stretch the legs forward" in " ".join(told.workplace.limits)
    barred = {one.movement.id for one in held.analysis.programme().left_out}
    assert barred >= {"half_squats", "heel_to_buttock", "ankle_pumps"}
    assert not made.workplace.limits


def test_an_arm_that_may_not_go_higher_gets_no_movement_over_the_head():
    free, _ = papers(PLAIN, **MOVES)
    held, told = papers(PLAIN, **MOVES, **{"ask.joint.arm_raise": 40.0})
    over = {"palms_overhead", "elbow_behind_head"}
    barred = {one.movement.id for one in held.analysis.programme().left_out}
    assert over <= barred
    assert not over <= {one.movement.id for one in free.analysis.programme().left_out}
    assert "The arm is lifted no higher than 40°" in " ".join(told.client.limits)


def test_a_case_file_says_them_as_well_and_refuses_what_is_no_joint():
    assert fields.conditions.joint.keys() == {"hip_open", "knee_bend", "arm_raise"}
    with pytest.raises(ValidationError, match="no limit of a joint"):
        PersonDocument(joints={"no_standing": 60})
    with pytest.raises(ValidationError, match="it must be from 20 to 150"):
        PersonDocument(joints={"knee_bend": 5})
