from dataclasses import replace

import pytest
from hypothesis import given, settings

from gentle_plumb.core.body import Body
from gentle_plumb.core.catalogue import QUANTITIES
from gentle_plumb.core.findings import Facts, findings
from gentle_plumb.core.fit import Case, Term, fit, terms_text, total, working_order
from gentle_plumb.core.fit.chair_rows import as_it_will_lean
from gentle_plumb.core.fit.wording import limit_text
from gentle_plumb.core.plans import make_plans
from gentle_plumb.core.record import Record
from gentle_plumb.core.tolerances import SAME_SHOWN
from gentle_plumb.core.workstation import Settings, Workstation
from strategies import cases, mean_body, usual_case


def judged(case, unit="mm"):
    """The findings of a case about which nothing else is recorded."""
    return findings(Facts(record=Record(), case=case, result=fit(case), unit=unit))


def test_fixed_desk_with_a_short_chair_names_the_limit_and_its_cost():
    result = fit(usual_case(surface=(740,), seat=(400, 510), found={"seat": 430}))
    seat = result.row("seated", "seat")
    assert (round(seat.target, 1), seat.setting) == (564.2, 510)
    assert terms_text(seat.terms) == (
        "564 = 740 surface + 20 keyboard − 228 elbow height above the seat + 32 forearm at 95°"
    )
    assert (
        [limit_text(limit) for limit in seat.limits]
        == [
            "chair stops at 510 mm, 54 mm lower than its target"  # the thighs would stop it at 540: that decides nothing
        ]
    )
    assert (seat.cost.joint, round(seat.cost.excess_deg, 1)) == ("elbow", -3.4)
    assert result.row("seated", "footrest").setting == pytest.approx(100)
    assert not result.standing.possible
    assert (
        result.standing.why_not
        == "Not suitable for standing at this desk: desk fixed at 740 mm, 238 mm lower than its target."
    )


def test_thighs_decide_where_the_top_is_thick():
    surface = fit(usual_case(thickness=60, surface=(560, 1270))).row("seated", "surface")
    assert surface.setting == pytest.approx(410 + 155 + 20 + 60)
    assert surface.limits[0].kind == "thighs"
    assert surface.cost.joint == "elbow"


def test_terms_of_a_seat_read_as_a_sum():
    man = fit(usual_case("male")).row("seated", "seat")
    assert terms_text(man.terms) == "450 = 440 popliteal height + 25 shoe − 15 relief"
    assert terms_text(man.terms, "cm") == "45.0 = 44.0 popliteal height + 2.5 shoe − 1.5 relief"


@given(...)
def test_shown_terms_always_add_up(values: list[float]):
    usable = [Term(label="part", value=value) for value in values if abs(value) < 5000]
    head, _, tail = terms_text(usable).partition(" = ")
    signed = tail.replace("−", "-").replace("- ", "-").replace("+ ", "").replace("part", "").split()
    assert sum(int(number) for number in signed) == int(head.replace("−", "-"))


def test_laptop_joins_picture_to_keys_and_says_what_it_costs():
    result = fit(usual_case(surface=(740,), seat=(460,), kind="laptop"))
    top = result.row("seated", "screen_top")
    assert top.setting == pytest.approx(740 + 20 + 20 + 210)
    assert (top.limits[0].kind, top.cost.joint) == ("joined", "neck")
    assert top.cost.excess_deg < -10
    assert result.row("seated", "distance").limits[0].kind == "joined"


def test_what_is_joined_is_nothing_to_set_but_has_a_way_out():
    found = {"seat": 460, "surface": 740, "screen_top": 980, "distance": 480, "mouse": 345}
    case = usual_case(surface=(740,), seat=(460,), kind="laptop", found=found)
    result = fit(case)
    row = result.row("seated", "screen_top")
    assert row.change is None
    [joined] = [limit for limit in row.limits if limit.kind == "joined"]
    assert joined.short == pytest.approx(row.target - joined.at)
    assert joined.short > 100  # the eyes are far above a laptop's lid
    assert not {"screen_top", "distance"} & {row.key for row in working_order(case, result)}
    top = next(one for one in judged(case) if one.key == "screen_top")
    assert top.instruction.startswith("Raise the laptop and add a separate keyboard and mouse")


def test_lower_lens_lowers_the_screen_by_its_angle():
    plain = usual_case()
    top = {
        lens: fit(replace(plain, lower_lens=lens)).row("seated", "screen_top").target
        for lens in ("none", "progressive", "bifocal")
    }
    assert top["none"] - top["progressive"] == pytest.approx(625 * 0.17633, abs=0.1)
    assert top["none"] - top["bifocal"] == pytest.approx(625 * 0.26795, abs=0.1)


def test_large_pictures_move_back():
    case = usual_case()
    screen = replace(case.workstation.screen, width=940, height=400)
    row = fit(replace(case, workstation=replace(case.workstation, screen=screen))).row(
        "seated", "distance"
    )
    assert row.target == pytest.approx(max(470 / 0.57735, 200 / 0.26795), abs=0.5)


def test_shallow_desk_gives_way_in_numbers():
    case = usual_case()
    desk = replace(case.workstation.desk, depth=480)
    result = fit(replace(case, workstation=replace(case.workstation, desk=desk)))
    needed = result.row("seated", "desk_depth").target
    distance = result.row("seated", "distance")
    assert distance.setting == pytest.approx(distance.target - (needed - 480))
    assert distance.limits[0].kind == "shallow"


def test_nothing_known_means_nothing_claimed():
    result = fit(Case(body=Body(values={})))
    rows = [*result.seated.rows, *result.standing.rows]
    assert all(row.status == "not_assessable" and row.reason for row in rows)
    chosen = {
        "backrest",
        "keys_edge",
        "keys_midline",
        "mouse_forward",
        "screen_bearing",
    }  # by policy alone
    assert {row.key for row in rows if row.target is not None} == chosen
    by_eye = [row.key for row in working_order(Case(body=Body(values={})), result)]
    assert by_eye[:4] == [
        "seat",
        "footrest",
        "seat_depth",
        "lumbar",
    ]  # with the tests on the person
    assert all(QUANTITIES[key].check for key in by_eye)


def test_stature_alone_estimates_all_but_the_elbow():
    whole = mean_body()
    body = Body(values={"stature": whole.values["stature"]}, sex="female")
    result = fit(Case(body=body, workstation=usual_case().workstation, shoe_seated=25))
    seat, surface = result.row("seated", "seat"), result.row("seated", "surface")
    assert seat.target == pytest.approx(410)
    assert seat.estimated == ("popliteal_height",)
    assert seat.sd == pytest.approx(27 * 0.6)
    assert surface.target is None
    assert "measure it" in surface.reason


def test_unknown_equipment_is_said_not_assumed():
    notes = " ".join(fit(replace(usual_case(), workstation=Workstation())).notes)
    for word in (
        "Thigh clearance",
        "Chair height range",
        "Desk height range",
        "Screen height range",
    ):
        assert word in notes


def test_own_number_overrules_and_what_depends_follows():
    case = usual_case(found={"seat": 400})
    plain, own = fit(case), fit(case, overrule_seated=Settings(seat=430))
    assert own.row("seated", "seat").setting == 430
    assert own.row("seated", "seat").change == 30
    moved = own.row("seated", "screen_top").target - plain.row("seated", "screen_top").target
    assert moved == pytest.approx(430 - plain.row("seated", "seat").setting)


@settings(max_examples=120, deadline=None)
@given(cases())
def test_any_case_is_answered_and_consistent(case):
    result = fit(case)
    for row in (*result.seated.rows, *result.standing.rows):
        if row.target is not None:
            assert total(row.terms) == pytest.approx(row.target)
            assert row.low is None or row.high is None or row.low <= row.high + 1e-9
        if row.status == "not_assessable":
            assert row.reason
        else:
            below = 0.0 if row.low is None else row.low - row.found
            above = 0.0 if row.high is None else row.found - row.high
            if (out := max(below, above)) != pytest.approx(
                SAME_SHOWN
            ):  # at the very end either is right
                assert (out < SAME_SHOWN) == (row.status == "holds")
        joined = any(limit.kind == "joined" for limit in row.limits)
        if row.setting is not None and row.found is not None and not joined:
            assert row.change == pytest.approx(row.setting - row.found)
        for limit in row.limits:
            assert limit_text(limit)


def test_working_order_starts_from_the_piece_that_cannot_move():
    movable, fixed = usual_case(), usual_case(surface=(740,))
    assert [row.key for row in working_order(movable, fit(movable))][:2] == ["seat", "seat_depth"]
    order = [row.key for row in working_order(fixed, fit(fixed))]
    assert order[:3] == ["surface", "seat", "footrest"]
    assert {row.posture for row in working_order(fixed, fit(fixed))} == {"seated"}


def test_findings_say_cause_before_instruction_worst_first():
    case = usual_case(
        found={"seat": 410, "surface": 610, "screen_top": 1033, "distance": 625, "mouse": 450}
    )
    found = [one for one in judged(case, "cm") if one.state == "off"]
    assert [one.key for one in found] == ["mouse", "screen_top"]
    assert found[0].cause == (
        "Mouse 45.0 cm, 10.5 cm further out than its target: "
        "the upper arm is held away from the body (shoulder abduction 32°)."
    )
    assert found[0].instruction == "Bring in by 10.5 cm to 34.5 cm."
    assert found[1].cause.startswith("Screen top 11.0 cm below eye level: the neck bends down")
    assert found[1].instruction == "Raise by 9.5 cm to 112.8 cm, within range but not at its limit."


def test_both_ends_of_a_band_belong_to_it_and_half_a_millimetre_beyond():
    seat = fit(usual_case(found={"seat": 400})).row("seated", "seat")
    assert (seat.low, seat.high) == (400, 420)
    states = {
        height: fit(usual_case(found={"seat": height})).row("seated", "seat").status
        for height in (399.4, 399.6, 420.4, 420.6)
    }
    assert states == {399.4: "off", 399.6: "holds", 420.4: "holds", 420.6: "off"}


@pytest.mark.parametrize("lift", [(300, 300), (300, 420), (620, 700)])
def test_keys_never_move_to_serve_a_screen(lift):
    free, kept = fit(usual_case(lift=(100, 900))), fit(usual_case(lift=lift))
    for posture in ("seated", "standing"):
        hands = free.row(posture, "surface").setting
        assert kept.row(posture, "surface").setting == pytest.approx(hands)
    top = kept.row("standing", "screen_top")
    assert top.setting != pytest.approx(top.target)
    assert [limit.kind for limit in top.limits] in (["stops"], ["starts"], ["fixed"])
    plan = make_plans(usual_case(lift=lift), fixes=False).plan("little")
    if lift[1] < 500:  # a screen too low gets a riser, and the desk stays
        assert "screen_riser" in {one.id for one in plan.added}
    assert plan.standing.surface == pytest.approx(hands)


def test_what_is_missing_is_named_where_a_joint_has_no_angle():
    bare = usual_case(found={"seat": 450})
    joints = {joint.joint: joint for joint in fit(bare).seated.joints_found}
    assert joints["elbow"].angle is None
    assert "surface" in joints["elbow"].reason


def test_a_back_is_worked_out_as_it_leans_where_the_backrest_is_left_in_its_band():
    assert as_it_will_lean(usual_case(found={"backrest": 102})).lean == 12.0
    assert as_it_will_lean(usual_case(found={"backrest": 140})).lean is None  # it is put back
