"""One state for each thing that can be set: what was set is given for the rest, and papers say what happened."""

from random import Random

import pytest

from generated_visits import visit_values
from gentle_plumb.core.fit.wording import limit_text
from gentle_plumb.core.record import fields
from gentle_plumb.core.states import LEFT_ALONE, NOT_THERE, Known, StateKind
from gentle_plumb.services.papers import papers_of, target_card
from gentle_plumb.services.workup import work_up
from plain_visit import PLAIN, PRACTICE, papers, snapshot, state, worked
from plumb_demo.load import full_visit
from seeds import SEED
from workstations import room


def said_on(answers, step):
    return {f"set.action.{step}.{name}": value for name, value in answers.items()}


def test_a_seat_that_was_left_elsewhere_moves_everything_that_rests_on_it():
    before = worked(PLAIN, **{"look.support.footrest": "yes"})
    aim = state(before, "seat").setting
    after = worked(PLAIN, **{"look.support.footrest": "yes", "set.seated.seat": aim - 40})
    assert state(after, "seat").setting == pytest.approx(aim)  # what was meant stays what was meant
    assert state(after, "seat").stands == aim - 40
    change = state(after, "footrest").setting - state(before, "footrest").setting
    assert change == pytest.approx(-40, abs=1)
    assert after.result.of("seated").setting("screen_top") < before.result.of("seated").setting(
        "screen_top"
    )


def test_what_was_set_before_is_asked_for_again_once_what_it_rests_on_moved():
    here = {"look.support.footrest": "yes"}
    before = worked(PLAIN, **here)
    aim, rest = state(before, "seat").setting, state(before, "footrest").setting
    done = {
        "set.seated.footrest": rest,
        "set.action.set-seated-footrest.aim": rest,
        "set.seated.seat": aim - 40,
        "set.action.set-seated-seat.aim": aim,
    }
    after = worked(PLAIN, **here, **done)
    moved = {action.id for action in after.actions if action.moved}
    assert "set.seated.footrest" in moved
    assert "set.seated.seat" not in moved


PILES = {**room(ream=(5.0, 3), book=(3.0, 2)), "look.support.footrest": "no", "work.plan": "room"}
"""Things to put under the feet: 52 cm is right for the desk, and two reams for 52 cm."""


def under_the_feet(workup):
    """What Set, the plan that was taken and the comparison of plans say is under the feet: one thing."""
    (step,) = (action.text for action in workup.actions if action.id == "add.feet_stack")
    (taken,) = workup.analysis.chosen_plan().added
    compared = workup.analysis.plans().plan("room").added
    assert (taken.label, taken.height) in [(one.label, one.height) for one in compared]
    assert taken.label in step
    assert state(workup, "footrest").setting == taken.height
    return taken.label.removesuffix(" under the feet"), taken.height


@pytest.mark.parametrize("how", ["set", "locked"])
def test_the_pile_under_the_feet_is_chosen_again_for_a_seat_that_stays_elsewhere(how):
    meant = worked(PLAIN, **PILES)
    assert under_the_feet(meant) == ("2 × ream of paper", 100.0)
    stays = {
        "set": {"set.seated.seat": 480.0},
        "locked": {"look.found.seat": 480.0, **said_on({"because": "locked"}, "set-seated-seat")},
    }
    after = worked(PLAIN, **PILES | stays[how])
    assert under_the_feet(after) == ("2 × book", 60.0)
    assert state(after, "seat").setting == state(meant, "seat").setting == 520.0
    _, made = papers(PLAIN, **PILES | stays[how])
    said = made.model_dump_json()
    assert "book" in said
    assert "ream" not in said
    low = worked(PLAIN, **PILES, **{"set.seated.seat": 420.0})  # the feet are on the floor
    assert not any(action.id.startswith("add.") for action in low.actions)
    assert state(low, "seat").setting == 520.0


def test_a_pile_that_was_made_is_asked_for_again_once_the_seat_stands_elsewhere():
    (add,) = (action for action in worked(PLAIN, **PILES).actions if action.id == "add.feet_stack")
    done = said_on({"state": "done", "aim": float(add.aim)}, "add-feet_stack")
    for seat, again in ((520.0, False), (480.0, True)):
        after = worked(PLAIN, **PILES, **done, **{"set.seated.seat": seat})
        (add,) = (action for action in after.actions if action.id == "add.feet_stack")
        assert (add.state, bool(add.moved)) == (("open", True) if again else ("done", False))
    assert "10.0\u00a0cm" in add.moved
    assert "6.0\u00a0cm" in add.moved


def test_what_hurts_is_left_where_it_is_and_the_rest_is_solved_around_it():
    hurts = said_on({"word": "hurts", "hurts_at": "neck", "stopped_at": 1250.0}, "set-seated-seat")
    after = worked(PLAIN, **hurts)
    seat = state(after, "seat")
    assert (seat.kind, seat.stands, seat.stopped_at) == (StateKind.STOPPED, 460.0, 1250.0)
    assert seat.keep is None
    alone = worked({**PLAIN, "look.chair.seat_min": 460.0, "look.chair.seat_max": 460.0})
    assert state(after, "screen_top").setting == pytest.approx(
        state(alone, "screen_top").setting, abs=1
    )


STOPPED = said_on({"word": "hurts", "hurts_at": "neck"}, "set-seated-mouse")
LOCKED = said_on(
    {"because": "locked", "owner": "workplace", "due": "2030-01-05"}, "set-seated-screen_top"
)


def test_nothing_stopped_or_locked_is_a_number_to_keep_on_any_paper():
    start = worked(PLAIN)
    aims = {
        key: start.analysis.rows("cm")[0] and state(start, key).setting
        for key in ("mouse", "screen_top")
    }
    tried = {"set.seated.mouse": aims["mouse"], **STOPPED, **LOCKED}
    workup, made = papers(PLAIN, **tried)
    assert state(workup, "mouse").kind == StateKind.STOPPED
    assert state(workup, "screen_top").kind == StateKind.NOT_TODAY
    for keys in (
        "Mouse",
        "Top of the screen, from the floor",
        "How far the mouse is from your middle",
    ):
        assert keys not in [line.label for line in made.client.numbers]
    card = target_card(PRACTICE, [(snapshot({**PLAIN, **tried}), workup)], "cm")
    assert {"mouse", "screen_top"}.isdisjoint(line.key for line in card.people[0].lines)
    row = next(one for one in made.workplace.table if one.label.startswith("Mouse"))
    assert (row.setting, row.after) == ("–", "Left unchanged")
    assert "hurt" not in made.workplace.model_dump_json()
    asked = {request.title for request in made.workplace.requests}
    assert any(title.startswith("Screen top") for title in asked)


def test_a_footrest_that_nobody_looked_for_is_not_set_by_the_way():
    unasked, absent = worked(PLAIN), worked(PLAIN, **{"look.support.footrest": "no"})
    assert state(unasked, "footrest").kind == StateKind.TO_GET
    assert state(absent, "footrest").kind in NOT_THERE
    for workup in (unasked, absent):
        told = [action for action in workup.actions if action.id == "set.seated.footrest"]
        assert not any("0.0" in one.text for one in told)
    sources, made = papers(PLAIN, **{"look.support.footrest": "no"})
    high = state(sources, "footrest").setting / 10
    asked = next(request for request in made.workplace.requests if request.id.startswith("add-"))
    assert (asked.count, asked.covers, asked.who) == ("1", f"{high:.1f}\u00a0cm high", "Workplace")
    _, made = papers(PLAIN, **{"look.support.footrest": "no"})
    heights = {one.text for one in (*made.client.first, *made.client.todo) if "ootrest" in one.text}
    assert len(heights) <= 1


def test_a_footrest_that_is_here_is_used_though_its_range_is_not_recorded():
    here = worked(PLAIN, **{"look.support.footrest": "yes"})
    assert not any(action.id.startswith("add.") for action in here.actions)
    (step,) = (action for action in here.actions if action.id == "set.seated.footrest")
    assert "its range is not recorded" in step.text
    assert any("a typical one is assumed" in note for note in here.analysis.result.notes)
    known = {"look.footrest.height_min": 60.0, "look.footrest.height_max": 80.0}
    low = worked(PLAIN, **{"look.support.footrest": "yes", **known})
    assert any(action.id == "add.feet_to_find" for action in low.actions)  # 8 cm don't do
    assert not any("a typical one is assumed" in note for note in low.analysis.result.notes)


def test_a_limit_of_the_person_is_part_of_the_band_and_makes_a_step():
    body = {"ask.care.pregnancy": "yes", "look.found.backrest": 95.0}
    chair = {"look.chair.backrest_min": 85.0, "look.chair.backrest_max": 120.0}
    workup, made = papers(PLAIN, **body, **chair)
    back = state(workup, "backrest")
    assert (back.target, back.setting, back.kind) == (100.0, 100.0, StateKind.TARGET)
    assert "set.seated.backrest" in workup.set_order
    hip = next(joint for joint in made.record.joints if joint.label.startswith("Hip"))
    assert hip.aim == "100°"
    stiff = {**chair, "look.chair.backrest_max": 95.0}
    workup, made = papers(PLAIN, **body, **stiff)
    hip = next(joint for joint in made.record.joints if joint.label.startswith("Hip"))
    assert (hip.aim, hip.aim_off) == ("95°", True)
    assert "Not met" in next(
        care.limit for care in made.record.precautions if care.id == "pregnancy"
    )


COURSES = 30
"""Random courses of Set over generated visits. House value."""


WORDS = ("", "", "set", "set", "aimed", "else", "hurts", "hurts_typed", "locked", "declined")


def course(draw, workup):
    """What somebody says and types going through Set: set, hurts, locked, declined, re-measured, or nothing."""
    typed = {}
    for (posture, key), one in workup.analysis.states.items():
        if one.setting is None or one.quantity.unit == "%":
            continue
        step, what = (f"set-{posture}-{key}", draw.choice(WORDS))
        near = draw.uniform(-40, 40) if one.quantity.unit == "mm" else draw.uniform(-5, 5)
        path = f"set.{posture}.{key}"
        if what in ("set", "hurts_typed"):
            typed[path] = one.setting
        if what == "else":
            typed[path] = max(0.0, one.setting + near)
        if what == "aimed":
            typed[f"{path}.aimed"] = one.setting
        if what.startswith("hurts"):
            typed |= said_on({"word": "hurts", "hurts_at": "neck"}, step)
        if what == "locked":
            typed |= said_on({"because": "locked", "owner": "workplace"}, step)
        if what == "declined":
            typed |= said_on({"because": "unwanted"}, step)
    return typed


def gone_through(draw, values):
    """A course of Set, much of it undone, and a second one over what was left: set again, re-measured, hurts now."""
    first = course(draw, worked(values))
    kept = {path: typed for path, typed in first.items() if draw.random() < 0.5}
    return kept | course(draw, worked(values, **kept))


@pytest.mark.parametrize("seed", range(SEED, SEED + COURSES))
def test_every_number_of_every_paper_is_that_of_the_state(seed):
    draw, values = Random(seed), visit_values(seed)
    workup, made = papers(values, **gone_through(draw, values))
    rows = {(row.posture, row.label): row for row in workup.rows}
    for row in (*made.record.table, *made.workplace.table):
        became = rows[row.posture, row.label].became
        assert row.state == became.kind
        if became.kind in {*LEFT_ALONE, *NOT_THERE, StateKind.TARGET}:
            assert not any(letter.isdigit() for letter in row.after), row
        elif became.keep:
            assert row.after == became.keep
    theirs = {(one.posture, one.label): one for one in made.workplace.table}
    for row in made.record.table:
        other = theirs.get((row.posture, row.label))
        if other is None:  # what was never there and never set is no business of the workplace's
            assert not any(letter.isdigit() for letter in row.before + row.after), row
            continue
        assert (other.before, other.state) == (row.before, row.state)
        assert other.setting in (row.setting, "–")
        assert other.after in (row.after, "Left unchanged")
    hip = workup.analysis.stands.seated.joint("hip") if workup.case.sits else None
    least = workup.case.person.least_hip
    said = [limit.unmet for care in workup.precautions for limit in care.limits if limit.unmet]
    if least and hip is not None and hip.angle is not None:
        assert bool(said) == (hip.angle < least - 0.5)  # met only by the angle it will have
    by_key = {(row.posture, row.key): row.became for row in workup.rows}
    for line in made.client.numbers:
        for posture, text, word in (
            ("seated", line.seated, line.seated_is),
            ("standing", line.standing, line.standing_is),
        ):
            if line.key in ("display", "key") or not text:
                continue
            became = by_key[posture, line.key]
            assert text == (became.keep or became.to_set)
            assert word == became.word
    alone = {
        f"set.{posture}.{key}"
        for (posture, key), one in workup.analysis.states.items()
        if one.kind in LEFT_ALONE
    }
    assert alone.isdisjoint(one.id for one in made.client.first)
    assert alone.isdisjoint(
        one.id for one in (*made.client.done, *made.record.actions) if one.state in ("open", "done")
    )
    for one in workup.analysis.states.values():
        if one.kind == StateKind.SET and one.stands is not None:
            assert one.known in {Known.MEASURED, Known.UNMEASURED}
    card = target_card(PRACTICE, [(snapshot({}), workup)], "cm").people[0].lines
    assert [(one.key, one.seated, one.standing) for one in card] == [
        (number.key, number.seated, number.standing) for number in made.client.numbers
    ]


def test_a_signed_visit_of_the_demo_says_of_each_number_what_it_is():
    _, made = papers(full_visit("Odile Marrick")[0])
    words = {line.seated_is for line in made.client.numbers if line.seated and line.key != "key"}
    assert words <= {"left at", "as found", "still to set", "set to, not measured", ""}
    assert all(row.state for row in made.record.table)


def test_who_has_to_rise_safely_gets_the_lower_of_two_seats_that_serve_alike():
    electric = {
        "look.desk.kind": "sit_stand",
        "look.desk.surface_min": 650.0,
        "look.desk.surface_max": 1250.0,
        "look.support.footrest": "yes",
        "look.found.seat": 490.0,
        "look.found.surface": 700.0,
    }
    plain = worked(PLAIN, **electric)
    dizzy = worked(PLAIN, **electric, **{"ask.care.dizziness": "yes"})
    assert state(dizzy, "seat").setting < state(plain, "seat").setting + 1
    assert state(dizzy, "seat").setting < 490
    for workup in (plain, dizzy):
        seat = workup.analysis.result.row("seated", "seat")
        texts = [limit_text(limit) for limit in seat.limits]
        if seat.setting == seat.found:
            assert not any("served best" in text for text in texts)


def test_the_stronger_of_two_limits_is_the_one_that_is_said_on_every_paper():
    _, made = papers(PLAIN, **{"ask.care.pregnancy": "yes", "ask.care.dizziness": "yes"})
    said = " ".join((*made.client.limits, *made.workplace.limits))
    assert "No standing" in said
    assert "short spells" not in said
    assert len(made.client.limits) == len(set(made.client.limits))


def test_what_is_set_aside_for_rising_is_never_taken_off():
    arms = {
        "look.chair.armrests": "fixed",
        "look.chair.armrest_min": 280.0,
        "look.chair.armrest_max": 280.0,
        "look.chair.armrests_off": "yes",
        "look.found.armrest": 280.0,
        "ask.care.dizziness": "yes",
    }
    _, made = papers(PLAIN, **arms)
    text = made.client.model_dump_json() + made.record.model_dump_json()
    assert "ake them off" not in text
    assert "or without" not in text


def test_somebody_in_a_wheelchair_is_told_of_weight_shifts_and_of_nothing_standing():
    wheels = {
        "ask.care.wheelchair": "yes",
        "look.chair.kind": "wheelchair",
        "pace.rhythm": "up_every_30",
        "ask.hours.typing": 4.0,
        "ask.discomfort.shoulder_right": 5.0,
        "look.room.brakes": "wrong",
    }
    _, made = papers(PLAIN, **wheels)
    labels = [movement.label for movement in made.client.movements]
    assert labels[:2] == ["Lean forward", "Shift the weight sideways"]
    text = made.client.model_dump_json().lower()
    for words in ("feet flat", "beside the chair", "stand up", "min seated"):
        assert words not in text, words
    assert any("15 to 30 minutes" in rule for rule in made.client.movement_rules)
    assert any(request.title == "Brakes" and request.safety for request in made.workplace.requests)


def test_the_three_things_that_come_first_are_those_of_the_complaint():
    neck = {
        "ask.discomfort.nape": 7.0,
        "look.found.screen_top": 1500.0,
        "look.keyboard.feet": "out",
        "ask.hours.typing": 6.0,
        "ask.hours.reading": 2.0,
        "look.support.footrest": "no",
    }
    _, made = papers(PLAIN, **neck)
    helped = [one for one in made.client.first if "It may ease" in one.helps]
    assert helped
    assert any("Screen top" in one.text for one in made.client.first)
    left_out = {**neck, "report.unconfirmed": "leave_out"}
    _, without = papers(PLAIN, **left_out)
    assert all(
        not cause.findings or all(f.confirmed for f in cause.findings)
        for cause in without.client.causes
    )
    assert any(not f.confirmed for cause in made.client.causes for f in cause.findings)


@pytest.mark.parametrize("seed", range(SEED, SEED + 6))
def test_a_second_place_speaks_from_states_of_its_own(seed):
    draw, values = Random(seed), visit_values(seed)
    at = fields.places.FURTHER[0]
    there = {
        f"place.{at}.{path}": value
        for path, value in visit_values(seed + 500).items()
        if path.startswith("look.")
    }
    named = {f"place.{at}.name": "Kitchen counter", f"place.{at}.use": "sit"}
    both = {**values, **there, **named}
    start = work_up(snapshot(both), "cm", body=False, place=at)
    said = {f"place.{at}.{path}": typed for path, typed in course(draw, start).items()}
    opened = snapshot({**both, **said})
    main = work_up(opened, "cm")
    made = papers_of(PRACTICE, opened, main, "cm")
    second = work_up(opened, "cm", body=False, place=at)
    assert {one.place for one in second.analysis.states.values()} == {at}
    rows = {(row.posture, row.label): row.became for row in second.rows}
    (paper,) = made.record.places
    assert paper.table
    for row in paper.table:
        became = rows[row.posture, row.label]
        assert row.state == became.kind
        if became.kind in {*LEFT_ALONE, *NOT_THERE, StateKind.TARGET}:
            assert not any(letter.isdigit() for letter in row.after)
    before = {key: one.kind for key, one in work_up(snapshot(both), "cm").analysis.states.items()}
    assert {
        key: one.kind for key, one in main.analysis.states.items()
    } == before  # the main place is not moved
