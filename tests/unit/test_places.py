"""Several places in one visit: one body, each place with its own pieces and targets."""

import json
from dataclasses import replace
from pathlib import Path

import pytest

from gentle_plumb.core.drawing import SceneRequest
from gentle_plumb.core.errors import UnknownName
from gentle_plumb.core.fit import fit, working_order
from gentle_plumb.core.plans import make_plans
from gentle_plumb.core.record import Record, field_of
from gentle_plumb.core.visit import places_of, values_at
from gentle_plumb.core.what_if import VisitInput, analyse_visit, at_place
from gentle_plumb.core.workstation import Item, PlaceUse
from plumb_demo.load import full_visit
from strategies import mean_body, usual_case

WORKED = json.loads((Path(__file__).parents[1] / "reference" / "worked_cases.json").read_text())
COUNTER_TOO_LOW = WORKED["counter_too_low"]
COUNTER = {
    "place.main.name": "Desk in the office",
    "place.main.use": "sit",
    "place.2.name": "Counter",
    "place.2.use": "stand",
    "place.2.look.desk.kind": "counter",
    "place.2.look.desk.thickness": 40.0,
    "place.2.look.found_standing.surface": 920.0,
    "place.2.look.found.surface": 920.0,
    "place.2.look.keyboard.kind": "compact",
    "place.2.look.keyboard.thickness": 20.0,
    "place.2.look.screen.kind": "laptop",
    "place.2.look.screen.keys": "own",
    "place.2.look.support.ream": "yes",
    "place.2.look.support.ream.height": 50.0,
    "place.2.look.support.ream.count": 3.0,
}


def two_places():
    return VisitInput(
        values={**full_visit("Odile Marrick")[0], **COUNTER}, today=None, sex="female"
    )


def test_each_place_has_its_own_pieces_and_shares_the_body():
    given = two_places()
    main, counter = (analyse_visit(at_place(given, id), "cm") for id in ("main", "2"))
    assert main.bare.body == counter.bare.body
    assert counter.bare.workstation.desk.form == "counter"
    assert main.bare.workstation.desk.form != "counter"
    places = places_of(given.record)
    assert [(place.id, place.name, place.use) for place in places] == [
        ("main", "Desk in the office", PlaceUse.SIT),
        ("2", "Counter", PlaceUse.STAND),
    ]


def test_where_one_only_stands_nothing_is_said_of_seat_feet_and_back():
    through = analyse_visit(at_place(two_places(), "2"), "cm")
    assert not through.result.seated.possible
    assert through.result.standing.possible
    assert {row.posture for row in through.rows("cm")} == {"standing"}
    assert {row.posture for row in working_order(through.case, through.result)} == {"standing"}
    assert {joint.posture for joint in through.joints()} == {"standing"}
    assert not [
        action
        for action in through.actions()
        if action.kind == "set" and action.posture == "seated"
    ]
    assert not any(
        "seat" in note.lower() or "thigh" in note.lower() for note in through.result.notes
    )
    off = {
        finding.posture for finding in through.findings if finding.key and finding.state == "off"
    }
    assert off <= {"standing"}
    scene = through.scene(SceneRequest(mode="both"))
    assert {mark.posture for mark in scene.marks} & {"seated", "standing"} == {"standing"}


def test_where_one_only_sits_no_standing_is_planned_though_the_desk_moves():
    sits = replace(usual_case(), use=PlaceUse.SIT)
    result = fit(sits)
    assert (result.standing.possible, result.moves) == (False, ())
    assert fit(usual_case()).standing.possible


def test_keys_on_a_counter_that_is_too_low_get_a_stack():
    case = usual_case(surface=(880,))
    ream = Item(id="ream", label="Ream", thickness=50, count=3, uses=frozenset({"keys"}))
    counter = replace(case.workstation.desk, form="counter")
    station = replace(case.workstation, desk=counter, items=(ream,), feet=())
    case = replace(case, use=PlaceUse.STAND, workstation=station)
    assert fit(case).standing.joint("wrist").excess_deg > 10
    room = make_plans(case).plan("room")
    assert [(one.id, one.height) for one in room.added] == [
        ("keys_stack", COUNTER_TOO_LOW["stack"])
    ]
    assert room.standing.surface == pytest.approx(COUNTER_TOO_LOW["surface"])
    assert [one.id for one in make_plans(case).plan("lasting").added] == ["sit_stand"]
    assert not {"footrest", "seat_cushion", "task_chair"} & {
        fix.id for fix in make_plans(case).fixes
    }


def test_a_tall_person_stands_at_a_counter_with_the_picture_raised():
    case = replace(
        usual_case("male", body=mean_body("male"), surface=(1060,), lift=(300, 300)),
        use=PlaceUse.STAND,
    )
    counter = replace(case.workstation.desk, form="counter")  # no risers under that
    case = replace(case, workstation=replace(case.workstation, desk=counter))
    little = make_plans(case).plan("little")
    assert [one.id for one in little.added] == ["screen_riser"]


def test_choices_hold_everywhere_and_a_place_may_choose_otherwise():
    values = {"work.policy.elbow": "square", "place.2.work.policy.elbow": "never_under"}
    assert values_at(values, "3")["work.policy.elbow"] == "square"
    assert values_at(values, "2")["work.policy.elbow"] == "never_under"
    assert values_at(values, "main") == {"work.policy.elbow": "square"}


def test_a_place_there_is_not_and_photographs_of_one_are_no_field():
    assert field_of("place.2.look.desk.kind").choices == field_of("look.desk.kind").choices
    for path in ("place.9.look.desk.kind", "place.2.look.photo.a.ear", "place.2.ask.job"):
        with pytest.raises(UnknownName):
            field_of(path)
    assert [one.id for one in places_of(Record({"place.3.use": "both"}))] == ["main", "3"]


def test_a_laptop_on_a_worktop_that_is_too_low_stands_on_books():
    book = Item(id="book", label="Book", thickness=30, count=4, uses=frozenset({"laptop"}))
    case = usual_case(surface=(880,), kind="laptop")
    station = replace(case.workstation, items=(book,))
    room = make_plans(replace(case, use=PlaceUse.STAND, workstation=station)).plan("room")
    assert [(one.id, one.height) for one in room.added] == [
        ("laptop_stack", COUNTER_TOO_LOW["books"])
    ]
    assert room.standing.surface == pytest.approx(COUNTER_TOO_LOW["laptop_surface"])
    assert room.standing.screen_top - room.standing.surface == pytest.approx(20 + 20 + 210)
