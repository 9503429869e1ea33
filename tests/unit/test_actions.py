"""Causes and actions: what is grouped, what is said of it, what counts as done."""

from dataclasses import fields, replace
from datetime import UTC, date, datetime

import pytest

from gentle_plumb.core.actions import set_steps
from gentle_plumb.core.assessment import VisitAssessment
from gentle_plumb.core.catalogue import JOINTS, MECHANISMS, QUANTITIES, quantities_set
from gentle_plumb.core.findings.rules import RULES
from gentle_plumb.core.findings.rules.habits import HABIT_RULES
from gentle_plumb.core.fit import fit, working_order
from gentle_plumb.core.presentation import action_text, action_views, cause_views, pair_view
from gentle_plumb.core.what_if import VisitInput, analyse_visit
from gentle_plumb.core.words import MESSAGES, say, say_joint, say_minutes
from gentle_plumb.core.workstation import Settings
from plumb_demo.load import full_visit
from strategies import usual_case

BOTH = Settings(), Settings()


def analysed(name="Yara Fenwick", **more):
    values = {**full_visit(name)[0], **more}
    return analyse_visit(VisitInput(values=values, today=datetime.now(UTC).date()), "cm")


def assessed(case, left=BOTH):
    return VisitAssessment(case=case, result=fit(case), left=left)


def test_every_quantity_is_a_setting_and_every_mechanism_is_known():
    assert {field.name for field in fields(Settings)} == set(QUANTITIES)
    rules = [rule for _, some in RULES for rule in some] + list(HABIT_RULES)
    assert {rule.mechanism for rule in rules} <= set(MECHANISMS)
    assert {quantity.joint for quantity in QUANTITIES.values()} - {""} <= set(JOINTS)
    orders = [one.order for one in quantities_set("seated")]
    assert orders == sorted(set(orders))


def test_the_same_function_tells_found_aimed_and_set():
    case = usual_case(found={"seat": 470.0, "surface": 700.0, "footrest": 0.0})
    visit = assessed(case, (Settings(seat=415.0), Settings()))
    feet = [visit.at(stage)[0].condition("feet").short for stage in ("found", "aimed", "set")]
    assert feet[0] == pytest.approx(60, abs=0.5)  # 470 less the 410 of her legs
    assert feet[1:] == [0, 0]
    assert visit.set[0].setting("seat").known == "measured"
    assert visit.set[0].setting("surface").value == 700.0  # not set: as found
    assert not visit.worse


def test_a_piece_with_one_place_stands_there():
    values = {"look.chair.depth_min": 480.0, "look.chair.depth_max": 480.0}
    visit = analysed(**values, **{"look.found.seat_depth": None})
    state = visit.assessment.found[0].setting("seat_depth")
    assert (state.value, state.known) == (480.0, "declared")
    finding = next(finding for finding in visit.findings if finding.id == "seated.seat_depth")
    assert finding.state == "off"
    assert "from the manufacturer’s data" in finding.evidence[0]


def test_causes_carry_their_direction_their_evidence_and_what_they_explain():
    visit = analysed()
    causes = {cause_view.id: cause_view for cause_view in cause_views(visit.causes().causes)}
    assert causes["feet"].title == "The feet are off the floor"
    assert causes["hands_height"].title == "The keys are above the hands"
    assert {"seated.feet", "seated.seat", "habit_feet_hanging"} <= set(causes["feet"].findings)
    assert any("thigh" in felt for felt in causes["feet"].explains)
    shown = [id for cause in causes.values() for id in cause.findings]
    off = [finding.id for finding in visit.findings if finding.state == "off"]
    assert sorted(shown) == sorted(off)


def test_discomfort_that_nothing_explains_is_said():
    visit = analysed(**{"ask.discomfort.jaw": 7.0, "ask.discomfort.heel_left": 4.0})
    assert any("heel" in felt for felt in visit.causes().unexplained)


def test_what_is_dismissed_is_no_evidence_and_no_action():
    visit = analysed(**{"work.finding.habit_perching.verdict": "dismissed"})
    back = next(cause for cause in visit.causes().causes if cause.id == "back")
    assert "habit_perching" not in back.findings
    assert "habit_perching" not in {action.id for action in visit.actions()}


def test_an_action_is_done_by_its_setting_or_by_the_practitioners_word():
    seat = analysed().result.row("seated", "seat").setting
    said = {"set.seated.seat": seat + 3, "set.action.room_stored.state": "later"}
    states = {action.id: action.state for action in analysed(**said).actions()}
    assert (states["set.seated.seat"], states["set.seated.surface"]) == ("done", "open")
    assert states["room_stored"] == "later"


def step(**said):
    """The seat's step with what was said of it."""
    seat = analysed().result.row("seated", "seat").setting
    values = {"set.seated.seat": seat} | {
        f"set.action.set-seated-seat.{name}": value for name, value in said.items()
    }
    visit = analysed(**values)
    actions = visit.actions()
    view = next(
        action_view
        for action_view in action_views(
            actions, visit.causes().causes, "cm", {"seat": "Lever, right front"}
        )
        if action_view.id == "set.seated.seat"
    )
    return next(action for action in actions if action.id == "set.seated.seat"), view


@pytest.mark.parametrize(
    ("said", "state", "remark"),
    [
        ({"test": "passes", "word": "good"}, "done", ""),
        ({"test": "nearly"}, "done", "Test with the client: nearly."),
        ({"test": "fails"}, "open", "Test with the client: fails."),
        ({"word": "hurts", "hurts_at": "nape"}, "stopped", "Stopped: it hurts, back of the neck"),
        ({"word": "hurts", "test": "passes"}, "stopped", "place not recorded"),
        ({"word": "not_yet"}, "done", "The client says: not yet."),
    ],
)
def test_pain_and_the_test_on_the_person_overrule_the_number(said, state, remark):
    action, view = step(**said)
    assert (action.state, bool(view.remark)) == (state, bool(remark))
    assert remark in view.remark
    assert view.lever == "Lever, right front"
    assert view.tolerance.startswith("± 0.5")
    assert {"Feet light on the floor", "Knees above hips"} <= {
        nudge.reason for nudge in view.nudges
    }


def test_what_can_not_be_done_today_has_an_owner_and_a_day():
    said = {"because": "locked", "owner": "workplace", "due": "2026-12-03"}
    values = {f"set.action.set-seated-seat.{name}": value for name, value in said.items()}
    visit = analysed(**values)
    view = next(
        action_view
        for action_view in action_views(visit.actions(), visit.causes().causes, "cm")
        if action_view.id == "set.seated.seat"
    )
    assert (view.state, view.who, view.when) == ("later", "Workplace", "by 3 December 2026")
    assert view.remark == "Not today: it is locked or broken."
    values["set.action.set-seated-seat.because"] = "unwanted"
    visit = analysed(**values)
    views = action_views(visit.actions(), visit.causes().causes, "cm")
    view = next(view for view in views if view.id == "set.seated.seat")
    assert (view.state, view.remark) == ("later", "Declined.")


def test_an_aim_that_moves_under_what_was_set_is_said():
    aim = analysed().result.row("seated", "seat").setting
    assert step(aim=aim)[0].moved_from is None
    action, view = step(aim=aim + 40)
    assert action.moved_from == aim + 40
    assert view.moved.startswith(f"The target was {(aim + 40) / 10:.1f}")


def test_steps_follow_from_what_rests_on_what():
    visit = analysed(**{"look.room.trips": "wrong", "look.support.footrest": "no"})
    steps = [set_step.id for set_step in set_steps(visit.actions())]
    place = {id: at for at, id in enumerate(steps)}
    assert steps[0] == "room_trips"  # what is unsafe comes before all else
    order = [f"set.{row.posture}.{row.key}" for row in working_order(visit.case, visit.result)]
    assert [id for id in steps if id.startswith("set.")] == order
    assert place["set.seated.surface"] < place["set.seated.seat"]  # this desk can't move
    added = next(
        action
        for action in visit.actions()
        if action.kind == "add" and action.group == "feet_chair"
    )
    assert place[added.id] < place["set.seated.seat"]
    standing = [at for id, at in place.items() if id.startswith("set.standing")]
    seated = [at for id, at in place.items() if id.startswith("set.seated")]
    assert not standing or min(standing) > max(seated)
    assert len(steps) == len(place)


def test_what_is_arranged_comes_before_what_is_set_with_it_and_has_a_test_of_its_own():
    visit = analysed(**{"look.keyboard.feet": "out", "look.keyboard.turned": 12.0})
    steps = set_steps(visit.actions())
    place = {one.id: at for at, one in enumerate(steps)}
    hands = next(at for at, one in enumerate(steps) if one.kind == "set" and one.group == "hands")
    for id in ("keyboard_feet", "keyboard_turned"):
        assert place[id] < hands
        view = next(
            action_view for action_view in action_views(steps, (), "cm") if action_view.id == id
        )
        assert view.check.startswith("Wrists straight")
        assert not view.settled
    said = {"set.action.keyboard_feet.word": "hurts"}
    hurt = analysed(**{"look.keyboard.feet": "out"}, **said).actions()
    assert next(one for one in hurt if one.id == "keyboard_feet").state == "stopped"


def test_the_pair_says_how_each_number_is_known_and_which_three_are_measured_again():
    name = "Odile Marrick"
    rows, moves = (found := analysed(name)).rows("cm"), found.result.moves
    open_pair = pair_view(rows, moves)
    again = [line.key for line in open_pair.lines if line.again]
    assert again == ["surface", "distance", "screen_top"]
    assert len(open_pair.open) == 3
    said = {f"set.standing.{key}": 1000.0 for key in again}
    said |= {"set.seated.surface.aimed": 660.0, "set.standing.surface.by": "display"}
    visit = analysed(name, **said)
    pair = pair_view(visit.rows("cm"), visit.result.moves)
    surface = next(line for line in pair.lines if line.key == "surface")
    assert (surface.seated_by, surface.standing_by) == (
        "set, not measured",
        "from the desk’s display",
    )
    assert (pair.open, pair.says) == ([], "Measured in both postures.")


def test_a_finding_does_not_ask_for_what_the_plan_adds():
    hours = {"ask.hours.calls": 3.0, "look.support.headset": "no"}
    room = {action.id for action in analysed(**hours).actions()}
    lasting = {action.id for action in analysed(**hours, **{"work.plan": "lasting"}).actions()}
    assert "headset" in room
    assert ("add.headset" in lasting, "headset" in lasting) == (True, False)


def test_an_action_says_from_where_to_where_and_from_what():
    visit = analysed()
    texts = {action.id: action_text(action, "cm") for action in visit.actions()}
    assert texts["set.seated.seat"] == "Seat: raise from 47.0 cm to 51.0 cm from the floor."
    assert texts["set.seated.surface"] == "Surface: leave at 74.0 cm from the floor."
    views = action_views(visit.actions(), visit.causes().causes, "in")
    seat = next(view for view in views if view.id == "set.seated.seat")
    assert (seat.text, seat.changes) == (
        "Seat: raise from 18.50 in to 20.08 in from the floor.",
        True,
    )


def test_every_sentence_stands_by_name_and_is_complete():
    assert say("cause.feet_hang") == "The feet are off the floor"
    with pytest.raises(KeyError):
        say("no.such")
    assert all(text and text == text.strip() for text in MESSAGES.values())


def test_joints_and_minutes_are_said_by_their_terms():
    assert say_joint("wrist", -28) == "Wrist flexion 28°"
    assert say_joint("wrist", 12) == "Wrist extension 12°"
    assert (say_minutes(-8.2), say_minutes(0.2)) == ("−8 min", "0 min")


def test_an_aim_that_fits_worse_is_told():
    case = usual_case(seat=(500, 500), found={"seat": 415.0, "footrest": 0.0})
    bare = replace(case, workstation=replace(case.workstation, feet=()))
    assert assessed(bare).worse


def test_without_a_measure_set_is_a_checklist_with_the_tests_on_the_person():
    def made(**more):
        given = VisitInput(values={"look.desk.kind": "sit_stand", **more}, today=date(2026, 11, 26))
        return {
            action.id: action
            for action in analyse_visit(given, "cm").actions()
            if action.kind == "set"
        }

    seat = made()["set.seated.seat"]
    assert action_text(seat, "cm").startswith("Seat, by eye: Feet flat on the floor")
    assert (seat.to_value, seat.state) == (None, "open")
    assert made(**{"set.action.set-seated-seat.state": "done"})["set.seated.seat"].state == "done"
    assert made(**{"set.seated.seat": 440.0})["set.seated.seat"].state == "done"
