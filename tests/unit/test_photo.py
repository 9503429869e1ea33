"""Angles come back from drawings at known joint angles, within the error that is stated."""

from dataclasses import replace
from random import Random

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from gentle_plumb.core.photo import LANDMARKS, MEASURES, read_photo
from plumb_demo.photographs import (
    WIDTH,
    Angles,
    Camera,
    Rear,
    photograph_rear,
    photograph_side,
    rear_joints,
    side_joints,
)
from strategies import seen_by, side_photo

NAMES = ("neck", "trunk", "elbow", "wrist", "hip", "knee", "gaze_top", "gaze_bottom")


def values(read):
    return {reading.id: reading.value for reading in read.readings}


angles = st.builds(
    Angles,
    neck=st.floats(0, 60),
    trunk=st.floats(-25, 25),
    upper_arm=st.floats(-10, 40),
    elbow=st.floats(60, 150),
    wrist=st.floats(-30, 40),
    hip=st.floats(75, 125),
    knee=st.floats(70, 130),
    gaze_top=st.floats(-20, 15),
    gaze_bottom=st.floats(-45, -20),
)


@settings(max_examples=60)
@given(angles, st.floats(1500, 6000), st.floats(-6, 6))
def test_a_square_camera_gives_the_angles_exactly_however_tipped_or_far(drawn, distance, tipped):
    read = read_photo(side_photo(drawn, Camera(distance=distance, tipped=tipped)))
    assert values(read) == pytest.approx(
        {name: getattr(drawn, name) for name in NAMES}
        | {
            "ear_shoulder": values(read)["ear_shoulder"],
            "shoulder_hip": values(read)["shoulder_hip"],
        },
        abs=0.01,
    )


@settings(max_examples=60)
@given(angles, st.floats(2200, 5000), st.floats(-5, 5), st.integers(0, 9999))
def test_a_slip_of_a_pixel_and_of_the_camera_stays_within_the_stated_error(
    drawn, distance, turned, seed
):
    photo = side_photo(drawn, Camera(distance=distance, turned=turned))
    slip = Random(seed).uniform
    moved = {
        name: (x + slip(-0.7, 0.7), y + slip(-0.7, 0.7)) for name, (x, y) in photo.points.items()
    }
    for reading in read_photo(replace(photo, points=moved)).readings:
        if reading.id in NAMES:
            assert abs(reading.value - getattr(drawn, reading.id)) <= reading.error, reading


def test_plumb_offsets_are_millimetres_of_the_body():
    drawn = Angles(neck=40, trunk=10)
    at = side_joints(drawn)
    read = values(read_photo(side_photo(drawn)))
    assert read["ear_shoulder"] == pytest.approx(at["ear"][0] - at["shoulder"][0], abs=0.1)
    assert read["shoulder_hip"] == pytest.approx(at["shoulder"][0] - at["hip"][0], abs=0.1)
    standing = read_photo(side_photo(drawn, posture="standing"))
    joints = side_joints(drawn, standing=True)
    assert standing.get("hip_ankle").value == pytest.approx(
        joints["hip"][0] - joints["ankle"][0], abs=0.1
    )


def test_facing_left_reads_the_same():
    photo = side_photo(Angles(neck=33, wrist=12))
    mirrored = replace(photo, points={n: (WIDTH - x, y) for n, (x, y) in photo.points.items()})
    assert values(read_photo(mirrored)) == pytest.approx(values(read_photo(photo)))


def test_from_behind_lean_lines_and_arms():
    drawn = Rear(shoulder_line=6, hip_line=-2, lean=35, arm_left=9, arm_right=26)
    solids = {name: (*at, 0.0) for name, at in rear_joints(drawn).items()}
    read = values(read_photo(seen_by(solids, Camera(tipped=2), view="rear")))
    assert read == pytest.approx(
        {"shoulder_line": 6, "hip_line": -2, "lean": 35, "arm_left": 9, "arm_right": 26}, abs=0.01
    )


@pytest.mark.parametrize(
    ("camera", "states"),
    [
        (Camera(), {"tipped": "holds", "turned": "holds", "near": "holds"}),
        (Camera(tipped=8), {"tipped": "off", "turned": "holds", "near": "holds"}),
        (Camera(turned=-9), {"tipped": "holds", "turned": "off", "near": "holds"}),
        (Camera(distance=1700), {"tipped": "holds", "turned": "holds", "near": "off"}),
    ],
)
def test_a_camera_askew_or_too_near_is_warned_about(camera, states):
    read = read_photo(side_photo(Angles(), camera))
    assert {warning.id: warning.state for warning in read.warnings} == states


def test_what_can_not_be_told_says_what_it_waits_for():
    photo = side_photo(Angles())
    bare = replace(
        photo,
        points={n: p for n, p in photo.points.items() if n in ("eye", "ear", "c7")},
        fov_deg=None,
    )
    read = read_photo(bare)
    assert {warning.state for warning in read.warnings} == {"not assessable"}
    neck = read.get("neck")  # needs neither scale nor distance, and says what that costs
    assert abs(neck.value - 20) <= neck.error
    reasons = {reading.id: reading.reason for reading in read.readings}
    assert reasons["elbow"] == "Not placed: shoulder, elbow, wrist."
    scaleless = replace(photo, known_mm=None)
    assert {reading.id: reading.reason for reading in read_photo(scaleless).readings}[
        "ear_shoulder"
    ].startswith("No scale")
    assert read_photo(replace(photo, points={})).facing is None


def test_errors_grow_with_a_coarser_picture():
    fine = read_photo(side_photo(Angles()))
    coarse = read_photo(side_photo(Angles(), Camera(distance=9000)))
    for one, other in zip(fine.readings, coarse.readings, strict=True):
        assert 0 < one.pixel_error < other.pixel_error


def test_drawn_pictures_hold_the_points_they_name():
    for made, view in ((photograph_side(Angles()), "side"), (photograph_rear(Rear()), "rear")):
        asked = {mark.id for mark in LANDMARKS.values() if view in mark.views}
        assert set(made.points) == asked
        assert all(0 <= x <= WIDTH and 0 <= y <= 1200 for x, y in made.points.values())
        needed = {name for measure in MEASURES if measure.view == view for name in measure.points}
        assert needed <= asked
