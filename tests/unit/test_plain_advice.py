"""Advice that was impossible, contradictory or untrue: each case with what a practitioner would say."""

from dataclasses import replace

import pytest

from generated_visits import visit_values
from gentle_plumb.core.findings import Facts, findings
from gentle_plumb.core.fit import fit, notes_in
from gentle_plumb.core.photo import Photo, read_photo
from gentle_plumb.core.plans import make_plans
from gentle_plumb.core.presentation import plan_view
from gentle_plumb.core.record import Record
from gentle_plumb.core.what_if import VisitInput, analyse_visit
from gentle_plumb.core.workstation import Item, Screen, Settings, SideScreen, Span
from gentle_plumb.core.workstation.kinds import AspectRatio
from seeds import SEED
from strategies import mean_body, usual_case


def visit(values):
    return analyse_visit(VisitInput(values=values, today=None, sex="female"), "cm")


def off(case, hours=(("typing", 6.0),)):
    facts = Facts(
        record=Record({}), case=replace(case, hours=dict(hours)), result=fit(case), unit="cm"
    )
    return {finding.id: finding for finding in findings(facts) if finding.state == "off"}


def under_a_fixed_desk(surface, seat, *, feet=(20, 250), found=None, **body):
    return usual_case(
        surface=(surface,),
        seat=seat,
        thickness=30.0,
        feet=feet,
        found={"seat": 440, "footrest": 0, "surface": surface, **(found or {})},
        body=mean_body(**body),
    )


def test_thighs_that_hold_the_seat_down_ask_for_no_support_of_nothing():
    said = off(under_a_fixed_desk(720, (380, 560), thigh_clearance=245))
    for id in ("seated.seat", "seated.thighs"):
        assert said[id].directions[-1].sign == -1, id
    assert said["seated.seat"].instruction.startswith(
        "Lower by 1.5\xa0cm to 42.5\xa0cm: the thighs need the room"
    )


def test_a_support_for_the_feet_comes_first_only_where_it_is_what_is_missing():
    seat = off(under_a_fixed_desk(740, (380, 580), feet=None))["seated.seat"]
    assert seat.instruction.startswith(
        "First put a support 12.5\xa0cm high under the feet, then raise the seat to 53.5\xa0cm."  # the thighs stop it there
    )
    assert "0.0\xa0cm" not in seat.instruction
    assert seat.directions[0].sign == -1  # down until then, as is said of the feet


def test_long_legs_at_a_low_fixed_desk_share_the_height_with_the_hands():
    body = mean_body("male", popliteal_height=520)
    case = usual_case("male", surface=(640,), seat=(380, 600), thickness=5.0, body=body)
    seat = fit(case).row("seated", "seat")
    legs = 520 + 25 - 15
    assert seat.target < legs - case.policy.flat_feet_margin
    assert "feet are supported" not in seat.why
    assert seat.low <= seat.target <= seat.high


def test_a_pan_too_short_is_never_shortened():
    towel = Item(id="towel", label="Towel roll", thickness=60, uses=frozenset({"lumbar"}))
    for depth, height in ((400, None), (430, 25.0)):
        case = usual_case(found={"seat_depth": depth})
        chair = replace(
            case.workstation.chair, supports_back=False, depth=Span(low=depth, high=depth)
        )
        case = replace(case, workstation=replace(case.workstation, chair=chair, items=(towel,)))
        for plan in make_plans(case).plans[:2]:  # the lasting one has another chair
            behind = [one.height for one in plan.added if one.slot == "back"]
            assert behind == ([height] if height else []), (depth, plan.id)


def with_glasses(far, inches):
    width, height = Screen.picture(inches, AspectRatio.WIDE)
    case = usual_case()
    screen = replace(case.workstation.screen, width=width, height=height)
    return replace(
        case,
        workstation=replace(case.workstation, screen=screen),
        sharp=(None, far),
        eyewear="computer",
    )


def test_glasses_decide_over_the_size_of_the_picture_and_say_so():
    case = with_glasses(550.0, 32)
    row = fit(case).row("seated", "distance")
    assert (row.target, row.low, row.high) == (
        pytest.approx(550),
        pytest.approx(450),
        pytest.approx(550),
    )
    note = next(one for one in notes_in(case, fit(case), "cm") if "glasses" in one)
    assert "19.4\xa0cm nearer" in note
    assert "23 in or less" in note
    assert "eye test" in note
    set_so = replace(case, found_seated=replace(case.found_seated, distance=550.0))
    assert "seated.distance" not in off(set_so)
    assert not any(
        "glasses" in one
        for one in notes_in(with_glasses(900.0, 24), fit(with_glasses(900.0, 24)), "cm")
    )


def test_a_bent_wrist_is_a_row_and_a_finding_in_either_posture():
    case = usual_case(found={"seat": 420, "surface": 545})
    case = replace(case, found_standing=replace(case.found_standing, surface=880.0))
    for posture in ("seated", "standing"):
        wrist = next(one for one in fit(case).of(posture).joints_found if one.joint == "wrist")
        assert wrist.excess_deg > 0
        assert fit(case).row(posture, "slope").status == "off"
        assert "bends back" in off(case)[f"{posture}.wrist"].cause
    straight = usual_case(found={"seat": 420, "surface": 600})
    assert "seated.wrist" not in off(straight)
    assert all(row.key != "slope" for row in fit(straight).seated.rows)


@pytest.mark.parametrize("seed", range(SEED, SEED + 8))
def test_set_to_the_numbers_as_they_are_shown_nothing_is_at_fault(seed):
    values = visit_values(seed)
    for row in visit(values).result.seated.rows:
        if row.target is not None and row.low is not None and row.setting == row.target:
            shown = round(row.target) if row.unit != "mm" else round(row.target, 0)
            assert row.low - 0.5 <= shown, (seed, row.key)
            assert row.high is None or shown <= row.high + 0.5, (seed, row.key)
    for fit_ in (visit(values).result.seated, visit(values).result.standing):
        for row in fit_.rows:
            assert row.low is None or row.high is None or row.low <= row.high, (seed, row.key)


def test_unknown_keys_are_no_degrees_and_a_laptop_has_usual_ones():
    case = usual_case(found={"seat": 420})
    bare = replace(
        case,
        workstation=replace(
            case.workstation, keyboard=replace(case.workstation.keyboard, thickness=None)
        ),
    )
    assert "Elbow angle" in fit(bare).seated.untold_set
    plan = plan_view(make_plans(bare).plan("room"), "cm")
    assert plan.excess == "not known"
    assert "Elbow angle" in plan.not_assessed
    values = visit_values(SEED + 1)
    laptop = {
        path: value
        for path, value in values.items()
        if not path.startswith(("look.screen", "look.keyboard"))
    }
    made = visit(laptop | {"look.screen.kind": "laptop"})
    assert made.facts.case.workstation.keyboard.thickness == 20
    assert "Elbow angle" not in made.result.seated.untold_set


def test_nothing_found_is_not_better_than_the_target():
    values = {f"measure.stature.{which}": 1640.0 for which in ("first", "second")}
    stature_only = visit(values | {"ask.shoe_seated": 25.0, "look.keyboard.thickness": 20.0})
    assert not stature_only.assessment.worse


def test_a_low_seat_with_flat_feet_is_said_of_the_hands():
    said = off(
        usual_case(
            surface=(740,), seat=(400, 560), found={"seat": 415, "footrest": 0, "surface": 740}
        )
    )
    assert said["seated.seat"].mechanism == "hands_height"


def test_a_screen_seldom_looked_at_weighs_little():
    case = usual_case(
        found={"screen2_top": 900.0, "screen_top": 1100.0, "distance": 620.0, "seat": 420.0}
    )
    minutes = {}
    for use in ("equal", "rare"):
        side = SideScreen(id="screen2", width=531, height=299, use=use)
        seen = replace(case, details=replace(case.details, side_screens=(side,)))
        minutes[use] = off(seen)["seated.screen2_top"].minutes
    assert minutes["rare"] == pytest.approx(minutes["equal"] * 0.15 / 0.45)


@pytest.mark.parametrize(("missing", "how"), [((), "measured"), (("seat",), "not measured")])
def test_what_was_set_is_told_as_measured_only_where_it_was_measured(missing, how):
    case = usual_case(found={"seat": 560.0, "surface": 740.0})
    result = fit(case)
    facts = Facts(
        record=Record({}),
        case=case,
        result=result,
        unit="cm",
        left=(Settings(seat=result.row("seated", "seat").setting), Settings()),
        not_remeasured=(frozenset(missing), frozenset()),
    )
    done = next(finding for finding in findings(facts) if finding.id == "seated.seat")
    assert done.instruction.startswith("Done: set to ")
    assert done.instruction.endswith(f", {how}.")


def test_the_chair_comes_back_when_sitting_down_again():
    moves = {move.piece: move for move in fit(usual_case()).moves}
    assert "away" in moves["chair"].to_stand
    assert "bring it back" in moves["chair"].to_sit


def test_a_level_line_is_no_plumb_line():
    points = {
        "upright_a": (100.0, 500.0),
        "upright_b": (900.0, 500.0),
        "c7": (400.0, 300.0),
        "ear": (420.0, 250.0),
    }
    lying = read_photo(Photo(id="p", width=1000, height=1000, points=points))
    assert "isn’t vertical" in lying.warnings[0].text
    neck = next(reading for reading in lying.readings if reading.id == "neck")
    assert neck.value is None or -45 < neck.value < 90
    assert all("Whether the camera stood" not in warning.text for warning in lying.warnings)
