"""Properties of the body chain."""

import inspect

import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from gentle_plumb.core import posture
from gentle_plumb.core.errors import OutOfReach
from gentle_plumb.core.posture import (
    abduction_deg,
    belly_front_x,
    elbow_above_seat,
    elbow_angle_deg,
    gaze_deg,
    keys_height,
    keys_x,
    seat_for_legs,
    shoulder_x,
    trunk_drop,
)

lengths = st.floats(100, 900)
angles = st.floats(20, 160)


@given(st.floats(200, 1200), st.floats(200, 500), angles)
def test_elbow_angle_undoes_keys_height(elbow, reach, angle):
    keys = keys_height(elbow=elbow, reach=reach, elbow_deg=angle)
    assert elbow_angle_deg(elbow=elbow, keys=keys, reach=reach) == pytest.approx(angle, abs=1e-6)


def test_keys_beyond_the_forearm_are_out_of_reach():
    with pytest.raises(OutOfReach, match="forearm 368 mm"):
        elbow_angle_deg(elbow=600, keys=1000, reach=368)


@given(st.floats(300, 700), st.floats(80, 250), st.floats(0, 44))
def test_reclining_lowers_and_never_lifts(shoulder, thigh, recline):
    assume(shoulder > thigh)
    low, high = (
        trunk_drop(shoulder_height_sitting=shoulder, thigh_clearance=thigh, recline_deg=angle)
        for angle in (recline, recline + 1)
    )
    assert 0 <= low < high


@given(st.floats(0, 900), st.floats(0, 899))
def test_a_device_further_out_never_lowers_the_arm(offset, nearer):
    def arm(at):
        return abduction_deg(offset=at, biacromial=380, reach=380, shoulder_elbow_length=340)

    near, far = sorted((offset, nearer))
    assert 0 <= arm(near) <= arm(far) <= 90
    assert arm(190 + 98) == 0  # the forearm's own 15 degrees


def test_known_places_along_the_floor():
    shoulder = shoulder_x(shoulder_height_sitting=555, thigh_clearance=155, recline_deg=10)
    assert shoulder == pytest.approx(120 - 462 * 0.173648, abs=1e-3)
    keys = keys_x(
        shoulder=shoulder, shoulder_elbow_length=330, flexion_deg=0, reach=368.75, elbow_deg=95
    )
    assert keys - shoulder == pytest.approx(368.75 * 0.996195, abs=1e-3)
    belly = belly_front_x(
        abdominal_depth=255, elbow_height_sitting=235, thigh_clearance=155, recline_deg=10
    )
    assert belly == pytest.approx(255 - 142 * 0.173648 + 30, abs=1e-3)


@pytest.mark.parametrize(("slope", "higher"), [(0, 0), (10, 83.35), (15, 124.2)])
def test_sloping_thighs_raise_the_seat(slope, higher):
    seat = seat_for_legs(
        popliteal_height=400,
        shoe=25,
        relief=15,
        buttock_popliteal_length=480,
        thigh_slope_deg=slope,
    )
    assert seat == pytest.approx(410 + higher, abs=0.05)


def test_arm_forward_lifts_the_elbow():
    heights = [
        elbow_above_seat(
            elbow_height_sitting=235, drop=0, shoulder_elbow_length=330, flexion_deg=flexion
        )
        for flexion in (0, 10, 20)
    ]
    assert heights == pytest.approx([235, 240.01, 254.9], abs=0.05)


@given(st.floats(-600, 600, allow_subnormal=False), st.floats(300, 1500))
def test_gaze_is_up_for_what_is_higher(above, distance):
    angle = gaze_deg(above_eye=above, distance=distance)
    assert (angle > 0) == (above > 0)
    assert abs(angle) < 90


def test_two_of_a_kind_are_told_apart_by_name():
    """Lengths are easily swapped: no function of the chain takes two of them by position."""
    public = inspect.getmembers(posture, inspect.isfunction)
    assert len(public) > 5
    for name, function in public:
        takes = inspect.signature(function).parameters.values()
        positional = [one for one in takes if one.kind is not inspect.Parameter.KEYWORD_ONLY]
        assert len(positional) <= 1, name
