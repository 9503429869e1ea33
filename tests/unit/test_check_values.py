"""The worked values of the model, exact to a tenth of a millimetre."""

import json
from dataclasses import replace
from pathlib import Path

import pytest

from gentle_plumb.core.fit import Case, Policy, fit, total
from gentle_plumb.core.fit.distance import distance_terms
from gentle_plumb.core.fit.frame import legs_terms
from gentle_plumb.core.fit.hand_rows import keys_terms
from gentle_plumb.core.fit.screen_places import place_screens
from gentle_plumb.core.fit.screen_rows import eye_height_terms
from gentle_plumb.core.fit.screen_rules import gaze_by_rule
from gentle_plumb.core.fit.text_row import capital_mm
from gentle_plumb.core.plans import make_plans
from gentle_plumb.core.policy import policy_of
from gentle_plumb.core.posture import abduction_deg, gaze_deg, reach_to_keys
from gentle_plumb.core.presentation import chance_in_band
from gentle_plumb.core.workstation import Details, Item, SideScreen
from strategies import mean_body, usual_case

REFERENCE = json.loads(
    (Path(__file__).parents[1] / "reference" / "check_values.json").read_text(encoding="utf-8")
)
SEX = {"woman": "female", "man": "male"}


@pytest.fixture(params=["woman", "man"])
def who(request):
    return request.param


def case_of(who, **policy):
    return Case(body=mean_body(SEX[who]), shoe_seated=25, shoe_standing=25, policy=Policy(**policy))


def test_heights_by_the_body_chain(who):
    known, case = REFERENCE[who], case_of(who)
    seat = total(legs_terms(case.body, case))
    upright = replace(case, policy=Policy(recline=0))
    heights = {
        "seat_legs": seat,
        "home_row_upright_90": total(keys_terms(case.body, upright, "seated", seat, 90)),
        "home_row_recline_10_elbow_95": total(keys_terms(case.body, case, "seated", seat, 95)),
        "eye_recline_10": total(eye_height_terms(case.body, case, "seated", seat)),
        "standing_home_row_95": total(keys_terms(case.body, case, "standing", None, 95)),
        "eye_to_screen": total(distance_terms(case.body, case)),
    }
    assert heights == pytest.approx({key: known[key] for key in heights}, abs=0.05)


@pytest.mark.parametrize(("who", "offset"), [("woman", 345), ("woman", 450), ("man", 450)])
def test_upper_arm_for_a_mouse_far_out(who, offset):
    body = mean_body(SEX[who])
    angle = abduction_deg(
        offset=offset,
        biacromial=body.mm("shoulder_breadth_biacromial"),
        reach=reach_to_keys(
            elbow_fingertip_length=body.mm("elbow_fingertip_length"),
            hand_length=body.mm("hand_length"),
        ),
        shoulder_elbow_length=body.mm("shoulder_elbow_length"),
    )
    assert angle == pytest.approx(REFERENCE[who][f"mouse_{offset}_deg"], abs=0.05)


def test_gaze_to_top_centre_and_bottom():
    known = REFERENCE["gaze_woman_299_high_at_625_top_edge_deg"]
    below = {"top": 0.0, "centre": -299 / 2, "bottom": -299}
    seen = {name: gaze_deg(above_eye=down, distance=625) for name, down in below.items()}
    assert seen == pytest.approx(known, abs=0.06)


def test_slump_only_where_measured_erect():
    relaxed = case_of("woman")
    erect = replace(relaxed, body=replace(relaxed.body, posture="erect"))
    drop = {
        key: fit(relaxed).row("seated", key).target - fit(erect).row("seated", key).target
        for key in ("keys", "screen_top", "seat")
    }
    assert drop == pytest.approx({"keys": 15, "screen_top": 25, "seat": 0})


WORKED = json.loads(
    (Path(__file__).parents[1] / "reference" / "worked_cases.json").read_text(encoding="utf-8")
)


def at_a_fixed_desk(**more):
    case = usual_case(surface=(740,), seat=(400, 510))
    return replace(case, workstation=replace(case.workstation, **{"feet": (), **more}))


def left(plan):
    return {one.joint: one.excess_deg for one in plan.left}


def test_plans_at_a_fixed_desk():
    known = WORKED["plans_at_a_fixed_desk"]
    bare, little, _ = make_plans(at_a_fixed_desk(), fixes=False).plans
    assert (bare.seated.seat, bare.added[0].height) == pytest.approx(
        (known["bare"]["seat"], known["bare"]["footrest"])
    )
    assert left(bare) == pytest.approx({"elbow": known["bare"]["elbow"]}, abs=0.01)
    strict = replace(at_a_fixed_desk(), policy=policy_of({"temporary": "never"}))
    never = make_plans(strict, fixes=False).plan("room")
    assert never.seated.seat == pytest.approx(known["never_improvised"]["seat"])
    assert left(never) == pytest.approx(
        {name: known["never_improvised"][name] for name in ("elbow", "wrist")}, abs=0.01
    )
    free = usual_case(surface=(740,), seat=(400, 620), thickness=0)
    free = replace(free, workstation=replace(free.workstation, feet=()))
    high = make_plans(free, fixes=False).plan("room")
    assert (high.seated.seat, high.added[0].height) == pytest.approx((564.16, 154.16), abs=0.01)
    ream = Item(id="ream", label="Ream", thickness=50, count=2)
    reams = make_plans(at_a_fixed_desk(items=(ream,)), fixes=False).plan("room")
    assert (reams.seated.seat, reams.seated.footrest) == pytest.approx((510, 100))
    assert left(reams) == pytest.approx({"elbow": known["two_reams"]["elbow"]}, abs=0.01)
    assert (little.seated.seat, little.seated.footrest, little.excess_deg) == pytest.approx(
        (540, 130, 0)
    )


def test_every_screen_rule_in_the_same_currency():
    screen = replace(usual_case().workstation.screen, height=299.0)
    case = replace(usual_case(), workstation=replace(usual_case().workstation, screen=screen))
    for one in gaze_by_rule(case, 625):
        assert [one.to_top, one.to_centre, one.to_bottom] == pytest.approx(
            WORKED["screen_rules"][one.rule], abs=0.011
        )


def test_two_screens():
    def placed(use):
        beside = SideScreen(use=use, width=531, height=299)
        case = usual_case(found={"screen2_bearing": 30})
        case = replace(case, details=Details(side_screens=(beside,)))
        screen = replace(case.workstation.screen, width=531.0)
        case = replace(case, workstation=replace(case.workstation, screen=screen))
        last = place_screens(case, 625)[-1]
        return last.bearing, last.neck

    assert placed("equal") == pytest.approx(WORKED["two_screens"]["seam"], abs=0.01)
    assert placed("some") == pytest.approx(WORKED["two_screens"]["beside"], abs=0.01)


def test_text_and_chance():
    assert capital_mm(625) == pytest.approx(WORKED["text"]["capital_mm"], abs=0.001)
    screen = replace(usual_case().workstation.screen, width=531.0, pixels_across=3840)
    case = replace(usual_case(), workstation=replace(usual_case().workstation, screen=screen))
    row = fit(case).row("seated", "scale")
    assert row.terms[0].value == pytest.approx(WORKED["text"]["scale"], abs=0.1)
    seat = replace(fit(case).row("seated", "seat"), sd=10.0)
    assert chance_in_band(seat) == pytest.approx(WORKED["chance"]["middle"], abs=1e-4)
    assert chance_in_band(replace(seat, setting=seat.high)) == pytest.approx(
        WORKED["chance"]["edge"], abs=1e-4
    )


def test_a_tray_under_a_fixed_desk():
    lasting = make_plans(at_a_fixed_desk(), fixes=False).plan("lasting")
    assert [one.id for one in lasting.added] == ["tray"]
    made = fit(lasting.case)
    assert made.row("seated", "surface").setting == pytest.approx(WORKED["tray"]["surface"])
    assert made.seated.joint("elbow").angle == pytest.approx(WORKED["tray"]["elbow"], abs=0.01)
