"""Rings in the drawing, by which joints and pieces are turned."""

from datetime import date
from math import atan2, degrees

import pytest

from gentle_plumb.core.drawing import SceneRequest
from gentle_plumb.core.what_if import VisitInput, WhatIfRequest, WhatIfSession
from plumb_demo.load import full_visit


def test_a_ring_turns_what_it_is_on_by_as_much_as_the_hand():
    values, _ = full_visit("Bram Tolliver")
    given = VisitInput(values=values, today=date(2026, 11, 25), sex="male")

    def rings(**tried):
        request = WhatIfRequest(overrides=tried, scene=SceneRequest(grips=True), brief=True)
        grips = WhatIfSession(given).try_out(request).scene.grips
        return {(grip.posture, grip.field): grip for grip in grips}

    def way(one):
        return degrees(atan2(one.centre_y - one.y, one.x - one.centre_x))

    before = rings()
    assert {field for _, field in before} == {
        "work.number.elbow_angle",
        "work.number.recline",
        "work.number.thigh_slope",
        "work.seated.tilt",
        "work.standing.tilt",
    }
    for key, by in (
        (("seated", "work.number.recline"), 7),
        (("seated", "work.seated.tilt"), -5),
        (("standing", "work.standing.tilt"), 4),
    ):
        was = before[key]
        now = rings(**{key[1]: f"{was.degrees + by:g}"})[key]
        assert now.degrees == pytest.approx(was.degrees + by, abs=0.001)
        assert way(now) - way(was) == pytest.approx(was.sign * by, abs=0.2)
