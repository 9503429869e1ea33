"""Decisions as practitioners take them, against cases worked out by hand."""

import json
from dataclasses import replace
from math import atan, degrees
from pathlib import Path
from random import Random

import pytest

from gentle_plumb.core.body import Body, BodyValue
from gentle_plumb.core.fit import Policy, fit, hung_on_wall, working_order
from gentle_plumb.core.fit.screen_places import place_screens
from gentle_plumb.core.intake import person_limits
from gentle_plumb.core.plans import make_plans
from gentle_plumb.core.policy import policy_of
from gentle_plumb.core.workstation import (
    Details,
    Item,
    Keyboard,
    Mouse,
    ScreenHolder,
    SideScreen,
    Span,
    use_by_share,
)
from strategies import LUMBAR_MM, mean_body, usual_case

WORKED = json.loads((Path(__file__).parents[1] / "reference" / "worked_cases.json").read_text())
REAM = Item(id="ream", label="Ream of paper", thickness=50, count=3, error=1.5)


def at(case, **pieces):
    return replace(case, workstation=replace(case.workstation, **pieces))


# ---- screens -------------------------------------------------------------------------------


def test_a_free_picture_is_put_inside_its_band_and_not_on_its_end():
    case = replace(usual_case(surface=(600, 700)), person=person_limits({"dizziness": {}}))
    top = fit(case).row("seated", "screen_top")
    assert top.target - top.setting == pytest.approx(WORKED["inside_the_band"]["under_the_eye"])
    assert [limit.kind for limit in top.limits] == ["inside"]


def test_a_screen_that_cannot_follow_gets_a_riser_in_for_standing_and_out_for_sitting():
    worked = WORKED["riser_in_and_out"]
    case = usual_case(surface=(720, 1270), seat=(400, 420), lift=(420, 420))
    bare = fit(case)
    assert bare.standing.joint("neck").excess_deg == pytest.approx(
        -worked["standing_without"], abs=0.01
    )
    room = make_plans(at(case, items=(REAM,))).plan("room")
    assert [one.id for one in room.added] == ["screen_stack_standing"]
    assert room.seated.screen_top == pytest.approx(worked["seated_top"])
    assert room.standing.screen_top == pytest.approx(worked["standing_top"], abs=0.1)
    moves = {move.piece: move for move in fit(room.case).moves}
    assert (moves["riser"].seated, moves["riser"].standing) == (0, worked["riser"])
    assert "screen" not in moves  # the stand itself stays


def test_a_screen_on_the_wall_stays_on_the_wall():
    top = WORKED["screen_on_the_wall"]["top"]
    case = usual_case(found={"screen_top": top, "surface": 750}, lift=(611, 611))
    screen = replace(case.workstation.screen, held=ScreenHolder.WALL)
    case = at(case, screen=screen)
    case = replace(case, workstation=hung_on_wall(case.workstation, case.found_seated))
    result = fit(case)
    assert {result.row(one, "screen_top").setting for one in ("seated", "standing")} == {top}
    assert "screen" not in {move.piece for move in result.moves}
    assert make_plans(case).plan("room").seated.surface == pytest.approx(
        fit(at(case, screen=replace(screen, on_wall_at=Span(low=900, high=1300)))).seated.setting(
            "surface"
        )
    )  # the keys do not move for it


def test_a_platform_that_carries_its_screen_takes_it_along():
    case = usual_case(surface=(740, 1100), lift=(420, 420))
    desk = replace(
        case.workstation.desk,
        form="carrier",
        screen_base=Span(low=860, high=1220),
        below=Span(low=120, high=120),
    )
    result = fit(at(case, desk=desk))
    for posture in ("seated", "standing"):
        over = result.row(posture, "screen_top").setting - result.row(posture, "surface").setting
        assert over == pytest.approx(540)


def test_the_settle_in_test_overrules_what_the_pictures_size_asks_for():
    worked = WORKED["settle_in"]
    case = usual_case()
    wide = at(case, screen=replace(case.workstation.screen, width=900.0))
    for made, settle, target in (
        (case, 0, worked["fingertips"]),
        (wide, 0, worked["wide"]),
        (wide, -100, worked["after_test"]),
    ):
        row = fit(replace(made, settle=settle)).row("seated", "distance")
        assert row.target == pytest.approx(target, abs=0.1)


# ---- armrests ------------------------------------------------------------------------------


@pytest.mark.parametrize(
    ("chair", "policy", "remedy", "setting"),
    [
        ({"armrests_off": True}, {}, "take_off", None),
        ({"armrests_turn": True}, {}, "turn_away", None),
        ({}, {}, "keep_off", 200),
        ({"armrests_off": True}, {"armrest_use": "off"}, "take_off", None),
        ({}, {"armrest_use": "off"}, "lower", None),
    ],
)
def test_armrests_that_do_not_serve_are_taken_off_turned_away_or_kept_off(
    chair, policy, remedy, setting
):
    case = usual_case(surface=(620,), seat=(410,), found={"armrest": 230})
    made = replace(case.workstation.chair, armrest=Span(low=200, high=280), **chair)
    case = replace(at(case, chair=made), policy=Policy(**policy))
    result = fit(case)  # desk 620 less its 25 leaves 185 over the seat: 15 under their lowest
    row = result.row("seated", "armrest")
    assert (row.remedy, row.setting) == (remedy, setting)
    assert row in working_order(case, result)
    assert result.seated.joint("shoulder").excess_deg == 0


def test_how_far_apart_armrests_are_is_judged_and_set():
    worked = WORKED["armrests_apart"]
    case = usual_case(found={"armrest_gap": 520})
    chair = replace(case.workstation.chair, armrest_gap=Span(low=440, high=540))
    row = fit(at(case, chair=chair)).row("seated", "armrest_gap")
    assert (row.target, row.high, row.setting) == (worked["target"], worked["most"], 440)
    assert row.status == "off"


# ---- the chair -----------------------------------------------------------------------------


def with_chair(case, **changed):
    return at(case, chair=replace(case.workstation.chair, **changed))


def test_an_insert_shortens_the_seat_in_target_and_setting():
    worked = WORKED["behind_the_back"]
    case = with_chair(
        usual_case(found={"seat_depth": 480}), depth=Span(low=480, high=480), supports_back=True
    )
    little = make_plans(case).plan("little")
    insert = next(one for one in little.added if one.id == "insert")
    assert insert.height == pytest.approx(worked["insert"])
    row = fit(little.case).row("seated", "seat_depth")
    assert row.setting == row.target == pytest.approx(worked["usable"])
    assert row.limits == ()
    assert row.note  # it is measured before the insert


def test_a_towel_at_hand_carries_a_back_without_support():
    case = with_chair(
        usual_case(), kind="dining", supports_back=False, depth=Span(low=430, high=430)
    )
    assert fit(case).row("seated", "lumbar").reason == "The chair has no lumbar support."
    towel = Item(id="towel", label="Towel roll", thickness=90, uses=frozenset({"lumbar"}))
    room = make_plans(at(case, items=(towel,))).plan("room")
    assert [(one.id, one.height) for one in room.added] == [
        ("roll", WORKED["behind_the_back"]["towel"])
    ]
    assert fit(room.case).row("seated", "lumbar").setting == pytest.approx(LUMBAR_MM)


def test_to_last_starts_with_the_chair_where_the_chair_is_the_fault():
    stool = with_chair(usual_case(), kind="stool", armrests="none", armrest=None)
    result = fit(stool)
    for key in ("lumbar", "seat_depth", "backrest"):
        assert result.row("seated", key).reason == "The seat has no backrest."
    plans = make_plans(stool)
    assert [one.id for one in plans.plan("lasting").added] == ["task_chair"]
    assert (
        plans.plan("lasting").excess_deg == plans.plan("room").excess_deg - 10
    )  # no back weighs as much
    assert plans.fixes[0].id == "task_chair"


def test_long_legs_get_a_larger_chair_and_no_high_one():
    case = usual_case(
        body=mean_body("male", popliteal_height=560), seat=(400, 510), surface=(620, 1270)
    )
    lasting = make_plans(case).plan("lasting")
    assert [one.id for one in lasting.added] == ["large_chair"]
    assert lasting.seated.seat == pytest.approx(WORKED["taller_chair"]["seat"], abs=10)


def test_hips_above_knees_is_a_few_degrees_and_the_pan_slopes_with_them():
    worked = WORKED["hips_above_knees"]
    case = replace(usual_case(), policy=policy_of({"back": "hips_high"}))
    case = with_chair(case, slope=Span(low=-2, high=8))
    result = fit(case)
    assert result.row("seated", "seat").setting == pytest.approx(worked["seat"], abs=0.01)
    assert result.row("seated", "seat_slope").setting == worked["slope"]
    assert result.seated.joint("knee").angle == pytest.approx(worked["knee"])
    assert "seat_slope" in [row.key for row in working_order(case, result)]
    flat = fit(with_chair(case, slope=Span(low=0, high=0)))
    assert any("front edge presses" in note for note in flat.notes)


# ---- hands ---------------------------------------------------------------------------------


def test_changing_hands_comes_last_and_never_for_a_degree():
    wide = at(usual_case(), mouse=Mouse(hand="right"), keyboard=Keyboard(kind="full", thickness=20))
    narrow = replace(wide, body=mean_body(shoulder_breadth_biacromial=310))
    for case, expected in ((wide, []), (narrow, [])):
        room = make_plans(case).plan("room")
        assert [one.id for one in room.added] == expected
    far = replace(
        narrow, body=mean_body(shoulder_breadth_biacromial=250, shoulder_elbow_length=270)
    )
    over = WORKED["mouse_far"]["over"]
    assert fit(far).seated.joint("upper_arm").excess_deg == pytest.approx(over, abs=0.01)
    assert [one.id for one in make_plans(far).plan("room").added] == ["other_hand"]
    assert [one.id for one in make_plans(far).plan("little").added] == ["short_keyboard"]


def test_letters_off_the_midline_are_judged_with_the_arm_that_pays():
    worked = WORKED["letters_aside"]
    case = usual_case(found={"keys_midline": -280})
    result = fit(case)
    row = result.row("seated", "keys_midline")
    assert (row.status, row.change) == ("off", 280)
    found = {one.joint: one for one in result.seated.joints_found}
    assert found["upper_arm_keys"].angle == pytest.approx(worked["angle"], abs=0.01)
    assert result.seated.joint("upper_arm_keys").excess_deg == 0


def test_a_screen_used_almost_as_much_as_the_main_one_counts_as_equal():
    picture = {"width": 531.0, "height": 299.0}
    for share, seam in ((45.0, True), (20.0, False)):
        beside = SideScreen(use=use_by_share(share, None), share=share, **picture)
        case = replace(usual_case(), details=Details(side_screens=(beside,)))
        placed = place_screens(case, 625)
        assert placed[1].seam is seam
        assert fit(case).row("seated", "screen2_bearing").target == pytest.approx(placed[1].bearing)


def test_a_third_screen_stands_beyond_the_one_whose_side_it_is_on():
    second = SideScreen(id="screen2", use="equal", width=700.0, height=400.0)
    third = SideScreen(id="screen3", use="rare", width=300.0, height=200.0)
    for found, bearings in (({}, (-1, 1)), ({"screen3_bearing": -60.0}, (-1, -1))):
        case = usual_case(found=found)
        case = replace(case, details=Details(side_screens=(second, third)))
        main, beside, last = place_screens(case, 625)
        assert main.bearing > 0  # the seam lies straight ahead
        own = case.workstation.screen.width or 0.0
        passed = own if bearings[1] > 0 else 700.0  # the screen between the seam and the third
        angle = 2 * degrees(atan(passed / 2 / 625)) + degrees(atan(150 / 625))
        assert last.bearing == pytest.approx(bearings[1] * angle)
        assert beside.bearing * bearings[0] > 0


# ---- little known --------------------------------------------------------------------------


def test_from_stature_alone_there_are_targets_with_their_honest_width():
    """Popliteal 27 * 0.6 = 16.2, and so on; what stature does not tell asks for the tape."""
    tall = Body(values={"stature": BodyValue(mm=1850, sd_mm=3, source="measured")}, sex="female")
    result = fit(replace(usual_case(), body=tall))
    seat, up = result.row("seated", "seat"), result.row("standing", "surface")
    assert seat.sd == pytest.approx(16.2)
    assert up.target is not None
    assert up.estimated == ("elbow_height_standing",)
    assert up.sd > 10
    assert "measure it" in result.row("seated", "surface").reason


def test_a_central_pointer_needs_no_arm_to_have_its_place():
    bare = Body(values={"stature": BodyValue(mm=1600, sd_mm=20, source="measured")}, sex="female")
    case = at(replace(usual_case(), body=bare), mouse=Mouse(kind="central"))
    assert fit(case).row("seated", "mouse").setting == 0


def test_a_screen_on_an_arm_needs_no_desk_behind_it_and_one_on_a_wall_none_at_all():
    """Policy: 120 for a stand behind the picture."""
    case = usual_case()
    depth = {
        held: fit(at(case, screen=replace(case.workstation.screen, held=held))).row(
            "seated", "desk_depth"
        )
        for held in ("stand", "arm")
    }
    stand = case.policy.stand_depth
    assert depth["stand"].target - depth["arm"].target == pytest.approx(stand) == 120
    desk = replace(case.workstation.desk, depth=400)
    wall = at(case, desk=desk, screen=replace(case.workstation.screen, held="wall"))
    far = fit(wall).row("seated", "distance")
    assert (far.setting, far.limits) == (far.target, ())


@pytest.mark.parametrize("seed", range(30))
def test_a_short_persons_plan_is_never_worse_than_what_was_found(seed):
    draw = Random(seed)
    body = mean_body(
        popliteal_height=draw.uniform(340, 390),
        elbow_height_sitting=draw.uniform(190, 240),
        thigh_clearance=draw.uniform(120, 170),
    )
    desk, seat = draw.choice([720, 740, 760]), draw.uniform(400, 480)
    found = {"seat": seat, "surface": desk, "footrest": 0, "screen_top": 1150, "distance": 600}
    case = usual_case(body=body, surface=(desk,), seat=(400, 510), found={**found, "mouse": 345})
    case = at(case, feet=())
    was = sum(abs(one.excess_deg) for one in fit(case).seated.joints_found if one.excess_deg)
    hung = max(0.0, seat - body.mm("popliteal_height") - 10 - case.policy.flat_feet_margin)
    room = make_plans(case).plan("room")
    assert room.hard_limits.feet <= hung
    assert room.excess_deg <= was or room.hard_limits.feet < hung
