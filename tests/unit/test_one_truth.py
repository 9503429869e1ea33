"""What is said of a visit agrees with what is true of it: over generated visits, seeds in the messages."""

from collections import defaultdict
from dataclasses import replace
from datetime import UTC, datetime
from functools import cache

import pytest

from generated_visits import SEED, visit_values
from gentle_plumb.core.catalogue import JOINTS, QUANTITIES
from gentle_plumb.core.drawing import SceneRequest
from gentle_plumb.core.fit import NO_LIMIT, fit
from gentle_plumb.core.fit.result import RANGE_ENDS
from gentle_plumb.core.presentation import action_text, plan_view
from gentle_plumb.core.what_if import VisitInput, analyse_visit
from gentle_plumb.core.what_if.session import with_settings_applied
from gentle_plumb.core.words import say_amount

VISITS = range(SEED, SEED + 50)
SEEN = ("Settings", "Body")


def over_visits(test):
    """One test over all visits: what each is analysed to is shared."""

    def run():
        for seed in VISITS:
            test(seed)

    run.__name__, run.__doc__ = test.__name__, test.__doc__
    return run


@cache
def analysed(seed):
    given = VisitInput(values=visit_values(seed), today=datetime.now(UTC).date(), sex="female")
    return analyse_visit(given, "cm")


def off(visit, *subjects):
    return [one for one in visit.findings if one.state == "off" and one.subject in subjects]


def limited(visit, posture):
    """Keys of a posture that a named limit keeps from their targets."""
    return {
        row.key
        for row in visit.result.of(posture).rows
        if any(limit.kind not in NO_LIMIT for limit in row.limits)
    }


@over_visits
def test_set_to_its_aim_nothing_is_off_unless_a_limit_is_named(seed):
    before = analysed(seed)
    after = analyse_visit(with_settings_applied(before.given, before), "cm")
    for finding in off(after, *SEEN):
        named = limited(after, finding.posture) | limited(before, finding.posture)
        # what is worked out together is kept from its target together
        assert named & {finding.key, "seat", "surface", "screen_top", "distance"}, (
            seed,
            finding.id,
            finding.cause,
        )


@over_visits
def test_no_two_sentences_give_opposite_directions(seed):
    visit = analysed(seed)
    ways = defaultdict(set)
    for finding in visit.findings:
        if finding.state == "off":
            for way in finding.directions:
                ways[finding.posture, way.quantity].add(way.sign)
    for action in visit.actions():
        if action.kind == "set" and None not in (action.from_value, action.to_value):
            change = action.to_value - action.from_value
            if abs(change) > 5:
                ways[action.posture, action.quantity].add(1 if change > 0 else -1)
    assert not {what: signs for what, signs in ways.items() if len(signs) > 1}, seed


@over_visits
def test_what_is_said_of_a_joint_is_what_the_joint_does(seed):
    visit = analysed(seed)
    for finding in off(visit, "Settings"):
        assessed = visit.assessment.found[0 if finding.posture == "seated" else 1]
        joint = assessed.joint(finding.joint)
        if joint is None or QUANTITIES[finding.key].joint != finding.joint:
            continue
        name = JOINTS[finding.joint]
        if finding.key != "seat":
            assert finding.why == (name.over if joint.over > 0 else name.under), (seed, finding.id)
        if "knees come above" in finding.cause:
            assert assessed.joint("knee").over < 0, seed
        if "feet hang" in finding.cause:
            assert assessed.condition("feet").state == "off", seed


@over_visits
def test_nothing_at_its_target_or_aim_is_a_finding(seed):
    visit = analysed(seed)
    for finding in off(visit, "Settings"):
        row = visit.result.row(finding.posture, finding.key)
        assert abs(row.found - row.target) > 0.5, (seed, finding.cause)
        if row.setting is not None and abs(row.found - row.setting) <= 0.5:
            assert row.limits, (seed, finding.cause)


@over_visits
def test_the_aim_is_not_worse_than_what_was_found_or_it_is_said(seed):
    visit = analysed(seed)
    found, aimed = (visit.assessment.hard_limits(stage) for stage in ("found", "aimed"))
    if aimed.worse_than(found):
        assert visit.assessment.worse, seed
    same = visit.case.workstation == visit.bare.workstation
    pieces = all(
        span is None or value is None or span.low - 0.5 <= value <= span.high + 0.5
        for span, value in (
            (visit.case.workstation.chair.seat, visit.case.found_seated.seat),
            (visit.case.workstation.desk.surface, visit.case.found_seated.surface),
        )
    )
    if same and pieces:  # as found could be set: the aim is no worse
        assert not aimed.worse_than(found), (seed, found, aimed)


def widened(case, key, by):
    """The case with one piece that reaches so much further, mm or degrees."""
    station = case.workstation
    place = {
        "seat": ("chair", "seat"),
        "seat_depth": ("chair", "depth"),
        "lumbar": ("chair", "lumbar"),
        "armrest": ("chair", "armrest"),
        "surface": ("desk", "surface"),
        "screen_top": ("screen", "top_above_surface"),
    }.get(key)
    span = place and getattr(getattr(station, place[0]), place[1])
    if not span or (key == "armrest" and station.chair.armrests == "fixed"):
        return None  # armrests that can't move place the seat, which places them
    longer = replace(span, low=span.low + min(0, by), high=span.high + max(0, by))
    piece = replace(getattr(station, place[0]), **{place[1]: longer})
    policy = replace(case.policy, keep_what_holds=False)  # a piece that moves may be left as found
    return replace(case, workstation=replace(station, **{place[0]: piece}), policy=policy)


@over_visits
def test_every_limit_that_is_shown_binds(seed):
    visit = analysed(seed)
    for row in visit.result.seated.rows:
        for limit in row.limits:
            if limit.kind not in RANGE_ENDS - {"steps"}:
                continue
            wider = widened(visit.case, row.key, limit.short)
            if wider is None:
                continue
            setting = fit(wider).seated.setting(row.key)
            assert setting is None or abs(setting - row.setting) > 0.01, (seed, limit.text)


@over_visits
def test_nothing_goes_against_a_limit_of_the_person(seed):
    visit = analysed(seed)
    person, actions = visit.case.person, visit.actions()
    if not visit.case.may_stand:
        assert not visit.result.standing.possible
        assert not [one for one in actions if one.posture == "standing" and one.kind == "set"], seed
        assert not [
            one for one in visit.findings if one.posture == "standing" and one.directions
        ], seed
    if visit.case.own_seat:
        own = {"seat", "footrest", "seat_depth", "lumbar", "armrest", "backrest"}
        assert not own & {one.quantity for one in actions if one.kind == "set"}, seed
    if person.steady_seat:
        bought = {one.id for one in actions if one.kind == "add"}
        assert not bought & {"add.high_chair", "add.ball"}, seed


@over_visits
def test_the_plan_set_and_report_say_the_same_actions(seed):
    visit = analysed(seed)
    plan, actions = visit.chosen_plan(), visit.actions()
    added = {one.what: one.to_value for one in actions if one.kind == "add"}
    assert added == {one.label: one.height for one in plan.added}, seed
    for action in actions:
        if action.kind != "set":
            continue
        row = visit.result.row(action.posture, action.quantity)
        settings = plan.seated if action.posture == "seated" else plan.standing
        assert action.to_value == row.setting, seed
        if QUANTITIES[action.quantity].on_card:
            assert settings.get(action.quantity) == pytest.approx(row.setting), seed


@over_visits
def test_a_number_is_the_same_in_list_drawing_set_and_plan(seed):
    visit = analysed(seed)
    rows = {(row.posture, row.key): row for row in visit.rows("cm", brief=True)}
    scene = visit.scene(SceneRequest(width=1100, height=760))
    drawn = {
        (mark.posture, mark.part): mark.text.removeprefix("~")
        for mark in scene.marks
        if mark.role == "flag-value"
    }
    for key in ("seat", "surface", "screen_top", "footrest"):
        row = rows["seated", key]
        if ("seated", key) in drawn:
            assert drawn["seated", key] == row.setting, (seed, key)
        for action in visit.actions():
            if (action.posture, action.quantity) == ("seated", key) and action.to_value:
                said = say_amount(QUANTITIES[key], action.to_value, "cm")
                assert said == f"{row.setting} cm", (seed, key)
                assert said in action_text(action, "cm"), (seed, key)
    shown = {one.label: one.value for one in plan_view(visit.chosen_plan(), "cm").seated}
    for label, value in shown.items():
        key = next(one.key for one in QUANTITIES.values() if one.label == label)
        if key != "mouse":
            assert value == f"{rows['seated', key].setting} cm", (seed, label)
