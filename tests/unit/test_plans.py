"""Plans, fixes, stacks, schools: by example, and by what must hold whatever the case."""

from dataclasses import replace

import pytest
from hypothesis import assume, given, settings
from hypothesis import strategies as st

from gentle_plumb.core.errors import MissingInput, UnknownName
from gentle_plumb.core.fit import aimed_settings, fit, joints_of
from gentle_plumb.core.fit.laptop import laptop_turns
from gentle_plumb.core.fit.model import Lengths
from gentle_plumb.core.fit.screen_places import place_screens
from gentle_plumb.core.fit.zones import zones_of
from gentle_plumb.core.plans import OwnNumbers, best_stack, make_plans, stacks_of
from gentle_plumb.core.plans.height_search import HeightSearch
from gentle_plumb.core.policy import POLICY_QUESTIONS, defaults, policy_of, standing_policy_of
from gentle_plumb.core.workstation import Details, Item, Keyboard, Mouse, Settings, SideScreen, Span
from strategies import cases, mean_body, usual_case

REAM = Item(id="ream", label="Ream of paper", thickness=50, count=3, error=1.5)
BOX = Item(id="box", label="Box", thickness=120)
HOURS = {"typing": 4.0, "mouse": 2.0, "reading": 2.0}


def at(case, **pieces):
    return replace(case, workstation=replace(case.workstation, **pieces))


def fixed_desk(**more):
    """The mean woman at a fixed desk 74 high, chair to 51, nothing to put the feet on."""
    case = usual_case(surface=(740,), seat=(400, 510), **more)
    return replace(at(case, feet=()), hours=HOURS)


def labels(plan):
    return [one.id for one in plan.added]


# ---- plans ---------------------------------------------------------------------------------


def test_three_plans_from_the_room_to_the_lasting():
    worked = make_plans(fixed_desk())
    room, little, lasting = worked.plans
    assert (labels(room), room.seated.seat) == (["feet_to_find"], pytest.approx(510))
    assert (room.added[0].height, room.excess_deg) == (
        pytest.approx(100),
        pytest.approx(3.4, abs=0.1),
    )
    assert labels(little) == ["seat_cushion", "feet_to_find"]  # the footrest would cost more
    assert (little.excess_deg, little.seated.footrest) == (0, pytest.approx(130))
    assert labels(lasting) == ["tray"]
    assert (lasting.excess_deg, lasting.seated.seat) == (0, pytest.approx(410))


def test_what_is_left_is_told_in_degrees_and_strain_minutes():
    room = make_plans(fixed_desk()).plan("room")
    elbow = next(one for one in room.left if one.joint == "elbow")
    assert elbow.excess_deg == pytest.approx(-3.42, abs=0.01)
    assert elbow.minutes == pytest.approx(6 * 60 * 3.42 / 30, abs=1)  # typing and mouse, 6 hours
    assert room.minutes == pytest.approx(sum(one.minutes for one in room.left))


def test_single_purchases_are_ranked_by_what_they_remove():
    fixes = make_plans(fixed_desk()).fixes
    assert [fix.id for fix in fixes] == ["seat_cushion"]  # what costs more does no better
    assert [fix.removes for fix in fixes] == sorted((fix.removes for fix in fixes), reverse=True)
    assert "footrest" not in {fix.id for fix in fixes}  # what is to be found does as much
    assert make_plans(usual_case()).fixes == ()


def test_items_are_whole_used_once_and_marked_temporary():
    case = fixed_desk(lift=(350, 350))
    room = make_plans(at(case, items=(REAM, BOX))).plan("room")
    assert [(one.label, one.height) for one in room.added] == [
        ("2 × ream of paper under the feet", 100),
        ("1 × box under the screen", 120),
    ]
    assert [one.items for one in room.additions] == [(("ream", 2),), (("box", 1),)]
    assert room.temporary
    assert room.cautions[1].startswith("Use non-slip")
    assert room.added[0].sd == pytest.approx(3.0)


def test_who_wants_nothing_temporary_gets_nothing_temporary():
    case = replace(at(fixed_desk(), items=(REAM,)), policy=policy_of({"temporary": "never"}))
    assert not any(plan.temporary for plan in make_plans(case).plans)


def test_a_laptop_is_freed_from_its_keys_or_takes_turns():
    case = replace(usual_case(surface=(740,), seat=(460,), kind="laptop"), hours=HOURS)
    little = make_plans(case).plan("little")
    assert "laptop_apart" in labels(little)
    low, raised = laptop_turns(case)
    assert (low.hours, raised.hours) == (6, 2)
    assert raised.neck < low.neck
    assert raised.raise_mm == pytest.approx(178, abs=0.1)  # inside its band, under a stack's 200
    assert laptop_turns(usual_case()) == ()


def test_a_wheelchair_is_not_ours_to_change():
    case = fixed_desk()
    chair = replace(case.workstation.chair, kind="wheelchair", seat=Span(low=480, high=480))
    worked = make_plans(at(case, chair=chair, feet=None))
    added = {one.id for plan in worked.plans for one in plan.added} | {
        fix.id for fix in worked.fixes
    }
    assert not added & {"seat_cushion", "task_chair", "high_chair", "cushion"}


def test_a_seat_too_deep_gets_an_insert_of_what_is_missing():
    case = usual_case()
    chair = replace(case.workstation.chair, depth=Span(low=480, high=480))
    little = make_plans(at(case, chair=chair)).plan("little")
    assert [(one.label, round(one.height)) for one in little.added] == [("Lumbar insert", 47)]


def test_a_mouse_too_far_out_comes_nearer_the_cheapest_way():
    body = mean_body(shoulder_breadth_biacromial=320, shoulder_elbow_length=280)
    case = usual_case(body=body)
    case = at(case, keyboard=Keyboard(kind="full", thickness=20))
    far = replace(case, policy=replace(case.policy, mouse_gap=90))
    assert labels(make_plans(far).plan("room")) == ["other_hand"]


# ---- what must hold ------------------------------------------------------------------------


@settings(max_examples=30, deadline=None)
@given(cases(), st.booleans())
def test_no_plan_puts_a_desk_through_thighs_or_lets_feet_hang(case, bare):
    case = at(case, feet=() if bare else None, items=(REAM, BOX))
    for plan in make_plans(case, fixes=False).plans:
        station, seat, surface = plan.case.workstation, plan.seated.seat, plan.seated.surface
        result = fit(plan.case)
        if seat is None or surface is None or result.thigh_pressed_mm or result.foot_gap_mm:
            continue
        try:
            legs = Lengths.of(plan.case, "seated").legs
        except MissingInput:
            continue
        if station.desk.thickness is not None and station.desk.underside is None:
            room = surface - station.desk.thickness - seat - case.body.mm("thigh_clearance")
            assert room >= case.policy.thigh_room - 1e-6
        raised = seat - legs - case.policy.flat_feet_margin
        if station.feet is not None and raised > 1e-6:
            assert any(span.high >= raised - 1e-6 for span in station.feet)


@settings(max_examples=30, deadline=None)
@given(
    cases(), st.sampled_from(["chair", "desk", "screen"]), st.integers(1, 80), st.integers(1, 80)
)
def test_more_adjustable_is_never_worse(case, piece, down, up):
    station = case.workstation
    spans = {
        "chair": station.chair.seat,
        "desk": station.desk.surface,
        "screen": station.screen.top_above_surface,
    }
    span = spans[piece]
    assume(span is not None)
    wider = Span(low=span.low - down, high=span.high + up)
    name = {"chair": "seat", "desk": "surface", "screen": "top_above_surface"}[piece]
    changed = at(case, **{piece: replace(getattr(station, piece), **{name: wider})})
    try:
        before = HeightSearch(case).heights(station).seated.rank
        after = HeightSearch(changed).heights(changed.workstation).seated.rank
    except MissingInput:
        assume(False)
    assert after <= tuple(one + 1e-6 for one in before)


@settings(max_examples=40, deadline=None)
@given(
    st.floats(-60, 60),
    st.floats(1, 60),
    st.booleans(),
    st.sampled_from([None, (), (Span(low=0, high=150),)]),
)
def test_a_longer_lower_leg_never_lowers_the_seat(shift, more, fixed, feet):
    def seat(leg):
        case = usual_case(
            body=mean_body(popliteal_height=leg), **({"surface": (740,)} if fixed else {})
        )
        return aimed_settings(at(case, feet=feet)).seated.seat

    leg = 400 + shift
    assert seat(leg + more) >= seat(leg) - 1e-6


def test_a_mirrored_person_gets_a_mirrored_plan():
    beside = SideScreen(use="some", width=500, height=300)

    def person(hand, sign):
        case = usual_case(found={"screen2_bearing": sign * 40})
        return replace(
            at(case, mouse=Mouse(hand=hand)),
            writing_hand=hand,
            hours={**HOURS, "calls": 1.0},
            details=Details(side_screens=(beside,)),
        )

    right, left = person("right", 1), person("left", -1)
    mine, theirs = aimed_settings(right).seated, aimed_settings(left).seated
    sided = {"mouse": None, "screen2_bearing": None}
    assert replace(mine, **sided) == replace(theirs, **sided)
    assert [place_screen.bearing for place_screen in place_screens(right, 625)] == [
        -place_screen.bearing for place_screen in place_screens(left, 625)
    ]
    assert [(one.x, one.y) for one in zones_of(right)] == [
        (-one.x, one.y) for one in zones_of(left)
    ]


def test_what_is_in_its_band_is_left_and_what_is_not_goes_to_its_target():
    def seat(found, **policy):
        case = usual_case(found={"seat": found})
        return aimed_settings(replace(case, policy=replace(case.policy, **policy))).seated.seat

    assert seat(416) == 416
    assert seat(416, keep_what_holds=False) == pytest.approx(410)
    assert seat(431) == pytest.approx(410)


# ---- schools -------------------------------------------------------------------------------


def test_every_position_of_every_question_makes_a_policy_and_moves_what_it_says():
    case = usual_case()
    plain = fit(case)
    moved = set()
    for question in POLICY_QUESTIONS.values():
        for position in question.positions:
            policy = policy_of({question.id: position.id})
            result = fit(replace(case, policy=policy))
            for row in result.seated.rows:
                before = plain.row("seated", row.key)
                if row.setting != before.setting or row.target != before.target:
                    moved.add(question.id)
        assert policy_of({question.id: question.default}) == policy_of({}), question.id
    assert moved >= {
        "elbow",
        "back",
        "knee_gap",
        "lumbar",
        "armrests",
        "screen_height",
        "screen_distance",
        "forearms",
    }


def test_bundles_go_over_each_other_and_standing_may_differ():
    practice, visit = {"elbow": "square", "screen_height": "top_third"}, {"elbow": "never_under"}
    assert policy_of(practice, visit).elbow_angle == 100
    alone = {**practice, "standing.screen_height": "top_edge"}
    assert policy_of(alone).screen_rule == "top_third"
    assert standing_policy_of(alone).screen_rule == "top_edge"
    assert standing_policy_of(alone).elbow_angle == 90
    for wrong in ({"elbow": "bent"}, {"knees": "bent"}, {"standing.lumbar": "belt"}):
        with pytest.raises(UnknownName):
            standing_policy_of(wrong)
    assert set(defaults()) == set(POLICY_QUESTIONS)


def test_hips_above_knees_raises_the_seat_and_closes_no_hip():
    upright = replace(usual_case(), policy=policy_of({"back": "hips_high"}))
    settings = aimed_settings(upright).seated
    assert settings.seat == pytest.approx(410 + 480 * 0.06976, abs=0.1)
    hip = next(one for one in joints_of(upright, settings, "seated") if one.joint == "hip")
    assert hip.angle == pytest.approx(94, abs=0.1)


def test_feet_first_keeps_the_chair_to_the_legs_hands_first_the_elbow_to_its_band():
    case = usual_case(surface=(740,), seat=(400, 620))
    heights = {
        first: aimed_settings(replace(case, policy=policy_of({"first": first}))).seated.seat
        for first in ("feet", "fixed", "hands")
    }
    assert heights["feet"] == pytest.approx(420)
    assert heights["fixed"] > 500
    assert heights["hands"] > 500


# ---- screens, stacks, chance ---------------------------------------------------------------


def test_phone_rules_that_disagree_are_shown():
    case = replace(
        at(usual_case(), mouse=Mouse(hand="left")), writing_hand="right", hours={"calls": 2.0}
    )
    phone = zones_of(case)[0]
    assert phone.side == "left"
    assert "opposite the mouse is right" in phone.conflict
    assert "headset" in phone.why
    other = replace(case, policy=policy_of({"phone_side": "opposite_mouse"}))
    assert zones_of(other)[0].side == "right"


def test_glasses_and_the_settle_in_test_move_the_screen():
    case = usual_case()
    plain = fit(case).row("seated", "distance").target
    back = fit(replace(case, settle=80)).row("seated", "distance")
    assert back.target == pytest.approx(plain + 80)
    sharp = fit(replace(case, sharp=(450.0, 600.0))).row("seated", "distance")
    assert (sharp.target, sharp.terms[-1].label) == (600, "glasses sharp up to")


def test_stacks_stay_within_their_limits():
    found = stacks_of([REAM, BOX], "screen")
    assert max(one.height for one in found) <= 200
    assert max(one.count for one in found) <= 3
    assert best_stack([REAM], 105, "screen").short == pytest.approx(5)
    assert best_stack([REAM], 20, "screen").stack is None  # nothing is nearer than 50
    assert best_stack([REAM], 140, "screen").sd == pytest.approx(4.5)


def test_own_numbers_hold_in_every_plan_and_keep_the_computed_one():
    worked = make_plans(fixed_desk(), own=OwnNumbers(seated=Settings(seat=455)))
    assert {plan.seated.seat for plan in worked.plans} == {455}


def test_a_body_hardly_measured_is_planned_as_far_as_it_goes():
    case = fixed_desk(body=mean_body())
    few = replace(
        case.body, values={name: case.body.values[name] for name in ("stature", "popliteal_height")}
    )
    worked = make_plans(replace(case, body=few))
    assert [plan.seated.surface for plan in worked.plans] == [740, 740, 740]
    assert fit(replace(case, body=few)).row("seated", "footrest").setting is not None


def test_additions_are_chosen_with_the_own_numbers_held():
    case = at(fixed_desk(), items=(REAM,))
    assert labels(make_plans(case).plan("room")) == ["feet_stack"]
    low = make_plans(case, own=OwnNumbers(seated=Settings(seat=415))).plan("room")
    assert labels(low) == []  # at that seat the feet reach the floor
