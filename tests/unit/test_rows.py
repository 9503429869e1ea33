"""Each quantity on its own: target, band, limit."""

from dataclasses import replace

import pytest

from gentle_plumb.core.body import Body
from gentle_plumb.core.fit import Policy, fit, notes_in
from gentle_plumb.core.fit.wording import limit_text
from gentle_plumb.core.workstation import Keyboard, Mouse, Settings, Span
from strategies import mean_body, usual_case


def with_station(case, **pieces):
    return replace(case, workstation=replace(case.workstation, **pieces))


def chair(case, **given):
    return with_station(case, chair=replace(case.workstation.chair, **given))


def row(case, key, posture="seated"):
    return fit(case).row(posture, key)


def kinds(found):
    return [limit.kind for limit in found.limits]


@pytest.mark.parametrize(
    ("depth", "setting", "kind"),
    [
        ((380, 420), 420, ["stops"]),
        ((450, 480), 450, ["starts"]),
        ((400, 460), 433.125, []),
        ((470, 470), 470, ["fixed"]),
    ],
)
def test_seat_depth_leaves_two_to_three_fingers(depth, setting, kind):
    found = row(chair(usual_case(), depth=Span(low=depth[0], high=depth[1])), "seat_depth")
    assert found.target == pytest.approx(480 - 2.5 * 75 / 4)
    assert (found.high - found.low) == pytest.approx(75 / 4)
    assert (found.setting, kinds(found)) == (pytest.approx(setting), kind)


def test_lumbar_pad_needs_the_tape_and_stays_in_its_range():
    case = chair(usual_case(), lumbar=Span(low=200, high=260))
    found = row(case, "lumbar")
    assert (found.target, found.setting, kinds(found)) == (190, 200, ["starts"])
    blind = replace(case, body=Body(values={"stature": mean_body().values["stature"]}))
    assert "measure it" in row(blind, "lumbar").reason


def test_armrests_just_under_the_elbow_and_said_where_they_meet_the_desk():
    found = row(chair(usual_case(), armrest=Span(low=150, high=280)), "armrest")
    assert (found.low, found.high) == (
        pytest.approx(found.target - 10),
        pytest.approx(found.target + 10),
    )
    assert limit_text(found.limits[-1]) == (
        "above 175 mm they hit the desk: keep them lower, or stay clear of its edge"
    )
    at_lowest = row(usual_case(), "armrest")
    assert (at_lowest.setting, at_lowest.limits) == (180, ())
    assert at_lowest.reason.startswith("Even at their lowest, the armrests hit the desk")
    none = row(chair(usual_case(), armrests="none"), "armrest")
    assert (none.setting, none.reason) == (None, "The chair has no armrests.")


@pytest.mark.parametrize(
    ("kind", "hand", "offset"),
    [
        ("full", "right", 345),
        ("no_number_block", "right", 260),
        ("compact", "right", 205),
        ("full", "left", 195),
        ("compact", "left", 195),
    ],
)
def test_mouse_lies_beside_its_keyboard_on_its_side(kind, hand, offset):
    case = with_station(
        usual_case(), keyboard=Keyboard(kind=kind, thickness=20), mouse=Mouse(hand=hand)
    )
    assert row(case, "mouse").target == offset


def test_a_wide_keyboard_is_too_wide_for_narrow_shoulders():
    body = mean_body(
        shoulder_breadth_biacromial=260, shoulder_elbow_length=250, elbow_fingertip_length=350
    )
    found = row(usual_case(body=body), "mouse")
    assert kinds(found) == ["wide"]
    assert found.cost.excess_deg > 0
    assert "keyboard extends to 345" in limit_text(found.limits[0])


def test_mouse_without_a_hand_is_not_assessable():
    found = row(with_station(usual_case(), mouse=Mouse()), "mouse")
    assert (found.target, found.reason) == (None, "The mouse hand is not recorded.")


def test_footrest_only_where_feet_do_not_reach():
    assert row(usual_case(), "footrest").target == 0
    high = chair(usual_case(surface=(740,)), seat=Span(low=480, high=520))
    found = row(high, "footrest")
    assert found.target == pytest.approx(110)
    assert [term.label for term in found.terms] == ["seat", "seat for the legs"]


def test_a_low_chair_bends_the_knees_and_says_so():
    found = row(chair(usual_case("male"), seat=Span(low=380, high=400)), "seat")
    assert (found.setting, kinds(found), found.cost.joint) == (400, ["stops"], "knee")
    assert found.cost.excess_deg == pytest.approx(
        -4.64, abs=0.02
    )  # 50 low, 10 of it free, thigh 495


def test_fist_rule_brings_the_screen_nearer_than_fingertips():
    case = usual_case()
    small = replace(case.workstation.screen, width=300, height=200)
    case = with_station(case, screen=small)
    fist = replace(case, policy=Policy(distance_rule="fist"))
    apart = row(case, "distance").target - row(fist, "distance").target
    assert apart == pytest.approx(0.45 * 175)


def test_tilt_is_square_to_the_sight_line_and_ends_at_twenty():
    screen = usual_case().workstation.screen
    found = row(usual_case(lift=(300, 700), surface=(600, 700)), "tilt")
    assert found.target == pytest.approx(15.60, abs=0.01)  # atan((25 + 149.5) / 625)
    low = with_station(
        usual_case(), screen=replace(screen, top_above_surface=Span(low=50, high=60))
    )
    assert row(low, "tilt").target == 20
    stiff = with_station(usual_case(), screen=replace(screen, tilt_deg=Span(low=-5, high=5)))
    assert limit_text(row(stiff, "tilt").limits[0]).startswith("screen tilt stops at 5°")


def test_the_screen_goes_as_far_as_its_stand_and_no_further():
    result = fit(usual_case(lift=(350, 400)))
    top, surface = result.row("seated", "screen_top"), result.row("seated", "surface")
    assert top.setting == pytest.approx(surface.setting + 400)
    assert (kinds(top), top.cost.joint) == (["stops"], "neck")
    standing = result.row("standing", "screen_top")
    assert standing.setting == pytest.approx(result.row("standing", "surface").setting + 400)


def test_belly_moves_the_desk_edge_only_where_it_is_in_the_way():
    def depth(belly):
        return row(usual_case(body=mean_body(abdominal_depth_sitting=belly)), "desk_depth")

    assert depth(220).target == pytest.approx(depth(255).target)
    assert [limit.kind for limit in depth(255).limits] == []
    # 420 + 30 of clearance, less what leaning back takes, reaches past the home row: it hangs over
    stout = depth(420)
    assert (stout.terms[0].value, [limit.kind for limit in stout.limits]) == (70, ["belly"])
    assert stout.limits[0].short == pytest.approx(70 + 18, abs=1.5)
    assert "keyboard overhangs" in limit_text(stout.limits[0])
    case = usual_case(body=mean_body(abdominal_depth_sitting=420))
    said = notes_in(case, fit(case), "cm")
    assert any("abdomen keeps the desk away" in note for note in said)


def test_a_fixed_counter_at_standing_height_is_for_standing():
    result = fit(usual_case(surface=(980,)))
    assert result.standing.possible
    assert result.row("standing", "surface").cost.excess_deg == 0


def test_the_mat_lifts_the_body_not_the_desk():
    bare, mat = usual_case(), replace(usual_case(), mat=15)
    for key in ("surface", "screen_top"):
        moved = row(mat, key, "standing").target - row(bare, key, "standing").target
        assert moved == pytest.approx(15)
        assert row(mat, key).target == row(bare, key).target


def test_the_widest_uncertainty_is_named_for_retaking():
    values = dict(mean_body().values)
    values["elbow_height_sitting"] = replace(values["elbow_height_sitting"], sd_mm=12)
    found = row(usual_case(body=Body(values=values, sex="female")), "surface")
    assert found.retake == "elbow_height_sitting"
    assert found.sd > 12


def test_hanging_feet_and_high_hands_are_seen_as_found():
    found = {"seat": 480, "surface": 760, "mouse": 450, "screen_top": 1000, "distance": 600}
    joints = {joint.joint: joint for joint in fit(usual_case(found=found)).seated.joints_found}
    assert joints["knee"].excess_deg == 0  # hanging feet are no bent knee
    assert joints["elbow"].excess_deg < 0
    assert joints["upper_arm"].excess_deg > 0
    assert joints["neck"].excess_deg < 0


def test_out_of_reach_is_a_reason_not_a_number():
    case = replace(
        usual_case(), found_standing=Settings(surface=400, screen_top=1500, distance=600)
    )
    elbow = fit(case).standing.joints_found[0]
    assert (elbow.angle, elbow.excess_deg) == (None, None)
    assert elbow.reason.startswith("Out of reach")
