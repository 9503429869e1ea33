"""What can hurt: limits of the person, hard limits of the fit, and sentences true of the body."""

import re
from dataclasses import replace
from random import Random

import pytest

from gentle_plumb.core.findings import Facts, findings
from gentle_plumb.core.fit import fit, within_limits
from gentle_plumb.core.fit.model import search_model
from gentle_plumb.core.fit.pair import solve_pair
from gentle_plumb.core.fit.rows import TAPE_MM
from gentle_plumb.core.intake import person_limits
from gentle_plumb.core.plans import make_plans
from gentle_plumb.core.policy import policy_of
from gentle_plumb.core.presentation import hard_limit_words, plan_views
from gentle_plumb.core.record import Record
from gentle_plumb.core.workstation import Settings, Span
from plumb_bench.hard_cases import SEED, seldom_fits
from strategies import mean_body, usual_case

HOURS = {f"ask.hours.{task}": 2.0 for task in ("typing", "mouse", "reading")}


def with_desk(case, **desk):
    station = case.workstation
    return replace(case, workstation=replace(station, desk=replace(station.desk, **desk)))


def with_chair(case, **chair):
    station = case.workstation
    return replace(case, workstation=replace(station, chair=replace(station.chair, **chair)))


def judged(case, entries=None):
    facts = Facts(
        record=Record(entries or HOURS),
        case=replace(case, hours={"typing": 6}),
        result=fit(case),
        unit="cm",
    )
    return {finding.id: finding for finding in findings(facts)}


# ---- the person --------------------------------------------------------------------------------


def test_an_unsteady_seat_is_not_offered_to_who_needs_a_steady_one():
    case = usual_case(surface=(980,), seat=(400, 510))
    high = {fix.id for fix in make_plans(case).fixes}
    assert "high_chair" in high
    steady = replace(case, person=person_limits({"dizziness": {}}))
    assert not {"high_chair", "seat_cushion"} & {fix.id for fix in make_plans(steady).fixes}


def test_open_hips_lean_the_back_and_a_replaced_hip_stays_over_the_knees():
    upright = replace(usual_case(seat=(350, 550)), policy=policy_of({"back": "upright"}))
    assert upright.policy.recline < 10
    for held, least in (("pregnancy", 100), ("hip_replacement", 95)):
        person = person_limits({held: {}})
        case = replace(upright, person=person, policy=within_limits(upright.policy, person))
        hip = next(one for one in fit(case).seated.joints_set if one.joint == "hip")
        assert (hip.angle >= least, hip.low) == (True, least)
    low = with_chair(case, seat=Span(low=330, high=380))
    assert fit(low).row("seated", "seat").setting == 380


@pytest.mark.parametrize("span", [None, Span(low=450, high=550), Span(low=480, high=480)])
def test_a_wheelchairs_seat_is_never_moved_nor_a_footrest_bought(span):
    case = with_chair(
        usual_case(surface=(740,), found={"seat": 500}),
        kind="wheelchair",
        seat=span,
        armrests="fixed",
        armrest=Span(low=230, high=230),
        armrests_off=False,
    )
    case = replace(case, workstation=replace(case.workstation, feet=()), hours={"typing": 6})
    made, plans = fit(case), make_plans(case).plans
    seat, rest = made.row("seated", "seat"), made.row("seated", "footrest")
    assert (seat.setting, seat.change, seat.status) == (500, None, "not_assessable")
    assert (rest.setting, made.foot_gap_mm) == (None, 0)
    for plan in plans:
        assert plan.seated.seat == 500
        assert plan.hard_limits.feet == 0
        assert not {"footrest", "seat_cushion", "task_chair", "high_chair"} & {
            one.id for one in plan.added
        }
    said = " ".join(one.instruction for one in judged(case).values() if one.state == "off")
    assert not re.search(r"take them off|seat to|footrest|closer to the desk", said)
    unknown = with_chair(usual_case(), kind="wheelchair", seat=Span(low=400, high=500))
    assert "Don’t adjust" in fit(unknown).row("seated", "seat").reason


# ---- hard limits -------------------------------------------------------------------------------


def test_no_purchase_or_plan_makes_thighs_or_feet_worse_and_what_mends_comes_first():
    offered = mended = 0
    for number in range(60):
        draw = Random(SEED + 31 * number)
        case = seldom_fits(draw)
        thigh = draw.uniform(120, 240)
        body = replace(
            case.body,
            values={
                **case.body.values,
                "thigh_clearance": replace(case.body.value("thigh_clearance"), mm=thigh),
            },
        )
        worked = make_plans(replace(case, body=body, hours={"typing": 6}))
        room = worked.plan("room")
        for fix in worked.fixes:
            offered += 1
            assert not fix.hard_limits.worse_than(room.hard_limits), f"{number}: {fix.id}"
        mends = [fix.mends for fix in worked.fixes]
        assert mends == sorted(mends, reverse=True), number
        bare = solve_pair(replace(case, body=body)).seated
        for plan in worked.plans:
            assert plan.hard_limits.thighs <= bare.thigh_pressed_mm + 0.5, number
            hang = bare.foot_gap_mm + case.policy.flat_feet_margin if bare.foot_gap_mm else 0.0
            assert plan.hard_limits.feet <= hang + 0.5, number
            short = plan.hard_limits
            gravest = max(short.thighs, short.feet, short.belly, short.armrests)
            assert bool(hard_limit_words(short, "cm")) == (gravest > TAPE_MM or bool(short.keys))
        mended += any(mends)
    assert offered > 60
    assert mended > 10


def test_thighs_under_a_drawer_get_the_risers_and_no_cushion():
    case = with_desk(
        usual_case(surface=(740,), seat=(450, 550), body=mean_body(thigh_clearance=250)),
        thickness=100.0,
        under="drawer",
    )
    worked = make_plans(replace(case, hours={"typing": 6}))
    ids = [fix.id for fix in worked.fixes]
    assert ids[0] in ("risers", "sit_stand")
    assert not {"seat_cushion", "high_chair"} & set(ids)
    shown = plan_views(worked, "cm")[0][0]
    assert shown.shortfalls[0].startswith(
        "Thighs or armrests don’t fit under the desk: 8.0 cm too little room"
    )


def test_keys_out_of_reach_count_and_are_said():
    case = replace(usual_case(surface=(1150,), seat=(400, 455)), hours={"typing": 6})
    room = make_plans(case).plan("room")
    assert room.hard_limits.keys == ("seated",)
    assert room.excess_deg > 180
    assert any("Keys out of reach, " in said for said in hard_limit_words(room.hard_limits, "cm"))


def test_a_lifted_shoulder_counts_in_the_search_for_additions():
    case = with_chair(usual_case(), armrests="fixed", armrest=Span(low=270, high=270))
    case = replace(case, hours={"typing": 6, "mouse": 2})
    lasting = make_plans(case).plan("lasting")
    assert [one.id for one in lasting.added] == ["task_chair"]
    assert lasting.excess_deg < make_plans(case).plan("room").excess_deg - 3
    off = with_chair(case, armrests_off=True)
    assert fit(off).row("seated", "armrest").reason.endswith("Take them off.")
    assert make_plans(off).plan("room").excess_deg == pytest.approx(0, abs=0.5)


def test_armrests_that_cannot_move_stay_out_of_the_desk():
    case = with_chair(
        usual_case(surface=(740,), seat=(400, 560)),
        armrests="fixed",
        armrest=Span(low=240, high=240),
    )
    seat = fit(case).row("seated", "seat")
    assert seat.setting <= 740 - 25 - 240 + 0.5
    assert any(limit.kind == "armrests" for limit in seat.limits)
    free = fit(with_chair(case, armrests_off=True)).row("seated", "seat")
    assert free.setting > seat.setting


@pytest.mark.parametrize(
    ("bodies", "seat", "knee"), [("female", 430.0, 92.4), ("female", 400.0, 90.0)]
)
def test_the_knee_opens_where_the_thighs_slope_down(bodies, seat, knee):
    case = replace(
        usual_case(bodies, seat=(seat,), surface=(740,)), policy=policy_of({"back": "hips_high"})
    )
    assert 3 <= case.policy.thigh_slope <= 5
    joints = {
        one.joint: one
        for one in fit(
            replace(case, found_seated=Settings(seat=seat, footrest=0))
        ).seated.joints_found
    }
    assert joints["knee"].angle == pytest.approx(knee, abs=0.3)
    assert joints["hip"].angle - joints["knee"].angle == pytest.approx(case.recline(), abs=1e-6)


def test_the_picture_is_searched_at_the_distance_the_desk_allows():
    policy = policy_of({"screen_height": "gaze_drop"})
    for depth in (350.0, 420.0, 520.0):
        case = replace(with_desk(usual_case(), depth=depth), policy=policy)
        made = fit(case)
        row = made.row("seated", "distance")
        assert search_model(case, "seated").distance == pytest.approx(row.setting)
        neck = next(one for one in made.seated.joints_set if one.joint == "neck")
        assert neck.excess_deg == 0, depth
    near = fit(with_desk(usual_case(), depth=250.0)).row("seated", "distance")
    assert near.setting == case.policy.least_distance


# ---- sentences ---------------------------------------------------------------------------------
