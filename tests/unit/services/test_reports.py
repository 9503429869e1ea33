"""Drafts of reports, what a signature waits for, and what it freezes."""

from datetime import timedelta
from uuid import uuid4

import pytest

from conftest import weeks_on
from gentle_plumb.core.errors import ValueOutOfRange
from gentle_plumb.core.record import field_of
from gentle_plumb.services.errors import MovedOn, NotReady
from plumb_demo.people import NO_FLAGS


def test_what_a_signature_waits_for_is_said_all_at_once(world):
    visit = world.visit()
    world.type(visit, "work.seated.seat", "44")
    with pytest.raises(NotReady) as waiting:
        world.reports.sign(world.office.owner, world.office.practice, visit, "cm")
    assert [path for path, _ in waiting.value.missing] == [
        "ask.sign.saddle",
        "ask.warning",
        "look.found.seat",
        "report.follow_up",
    ]
    assert world.press.printed == []
    world.type(visit, "ask.consent.notes", "yes")  # a reason is in own words
    waiting = world.reports.draft(world.office.owner, world.office.practice, visit, "cm").missing
    assert waiting[-1].field == "work.seated.seat.why"


def test_an_empty_visit_is_not_signed_and_a_follow_up_comes_after_the_visit(world, clock):
    visit, practice = world.visit(), world.office.practice
    for path, typed in {**NO_FLAGS, "report.follow_up": weeks_on(clock)}.items():
        world.type(visit, path, typed)
    with pytest.raises(NotReady, match="nothing to sign"):
        world.reports.sign(world.office.owner, practice, visit, "cm")
    for day in ("2020-01-01", clock().date().isoformat()):
        with pytest.raises(ValueOutOfRange, match="not after the visit"):
            world.type(visit, "report.follow_up", day, version=1)
    world.type(visit, "look.found.seat", "46")
    world.reports.sign(world.office.owner, practice, visit, "cm")


def test_what_is_signed_is_what_was_looked_at_and_signed_once(world, clock):
    visit, practice, owner = world.visit(), world.office.practice, world.office.owner
    said = {**NO_FLAGS, "report.follow_up": weeks_on(clock), "look.found.seat": "46"}
    for path, typed in said.items():
        world.type(visit, path, typed)
    seen = world.reports.draft(owner, practice, visit, "cm").revision
    world.type(visit, "look.found.surface", "74")
    id = uuid4()
    with pytest.raises(MovedOn):
        world.reports.sign(owner, practice, visit, "cm", report_id=id, revision=seen)
    seen = world.reports.draft(owner, practice, visit, "cm").revision
    first = world.reports.sign(owner, practice, visit, "cm", report_id=id, revision=seen)
    again = world.reports.sign(owner, practice, visit, "cm", report_id=id, revision=seen)
    assert (first, len(world.records.open(practice.id, visit)[3])) == (again, 1)


def test_every_check_before_a_signature_leads_to_its_place(world, clock):
    visit, owner = world.visit(), world.office.owner
    for path, typed in {
        **NO_FLAGS,
        "ask.sign.chest": "yes",
        "look.found.seat": "46",
        "look.keyboard.feet": "out",
        "ask.shoe_seated": "2.5",
        "measure.popliteal_height.first": "41",
        "set.seated.seat.aimed": "42",
        "report.follow_up": weeks_on(clock),
    }.items():
        world.type(visit, path, typed)
    clock.now += timedelta(days=90)
    checks = world.reports.draft(owner, world.office.practice, visit, "cm").checks
    where = {check.group: check.path for check in checks}
    assert where["Before signing"] == "ask.sign.chest.to"
    assert where["Follow-up"] == "report.follow_up"
    assert where["Set, not measured"] == "set.seated.seat"
    assert "work.finding.keyboard_feet.verdict" in {check.path for check in checks}
    assert {check.group for check in checks if check.blocks} == {"Before signing"}
    for check in checks:
        assert field_of(check.path)


@pytest.mark.parametrize("unit", ["cm", "mm", "in"])
def test_the_draft_speaks_one_unit_throughout(demo_world, unit):
    world, owner, lines = demo_world
    practice = world.accounts_port.practice(owner.practice_id)
    draft = world.reports.draft(owner, practice, lines["Odile"].id, unit).content.record.model_dump(
        mode="json"
    )
    heights = [row["before"] for row in draft["table"] if not row["before"].endswith("°")]
    assert {text.split(" ")[-1] for text in heights if text != "–"} == {unit}
    others = {"cm", "mm", "in"} - {unit}
    said = " ".join(found["cause"] for cause in draft["causes"] for found in cause["findings"])
    assert f" {unit}" in said
    assert not any(f"0 {other}" in said for other in others if other != "in")


def test_the_draft_holds_before_target_and_after(demo_world):
    world, owner, lines = demo_world
    practice = world.accounts_port.practice(owner.practice_id)
    draft = world.reports.draft(owner, practice, lines["Odile"].id, "cm").content.record.model_dump(
        mode="json"
    )
    seat = next(row for row in draft["table"] if row["label"] == "Seat")
    assert (seat["before"], seat["target"], seat["after"]) == ("45.5 cm", "43.2 cm", "43.0 cm")
    assert seat["left"] == ""  # two millimetres are less than a tape can tell
    assert "Footrest" not in {row["label"] for row in draft["table"]}
    assert draft["rhythm"]["sit"] + draft["rhythm"]["stand"] + draft["rhythm"]["move"] == 450
    assert draft["local_wording"]
    assert (draft["version"], draft["signed_by"]) == (2, None)
    assert {one["posture"] for one in draft["actions"]} == {"seated", "standing"}


def test_a_posture_that_cannot_be_is_left_out_of_the_paper(demo_world):
    world, owner, lines = demo_world
    practice = world.accounts_port.practice(owner.practice_id)
    draft = world.reports.draft(owner, practice, lines["Nadia"].id, "cm").content.record.model_dump(
        mode="json"
    )
    assert {row["posture"] for row in draft["table"]} == {"seated"}
    assert {joint["posture"] for joint in draft["joints"]} == {"seated"}
    assert draft["standing"].startswith(
        "Not suitable for standing at this desk: desk fixed at 72.0 cm"
    )
    assert draft["estimated"] == ["hand breadth", "hand length"]


def test_a_signature_waits_for_each_sign_and_for_no_reason_to_dismiss(world):
    visit = world.visit()
    for path, typed in (
        ("ask.sign.chest", "yes"),
        ("look.keyboard.feet", "out"),
        ("work.finding.keyboard_feet.verdict", "dismissed"),
    ):
        world.type(visit, path, typed)
    draft = world.reports.draft(world.office.owner, world.office.practice, visit, "cm")
    assert [one.field for one in draft.missing] == [
        "ask.sign.saddle",
        "ask.warning",
        "ask.sign.chest.to",
        "look.found.seat",
        "report.follow_up",
    ]


def test_the_report_says_the_desks_heights_its_display_and_its_keys(demo_world):
    world, owner, lines = demo_world
    visit = lines["Odile"].id
    world.type(visit, "set.preset.standing", "2", by=owner)
    practice = world.accounts_port.practice(owner.practice_id)
    desk = world.reports.draft(owner, practice, visit, "cm").content.record.desk
    assert desk == [
        "Sitting: desk at 63.5 cm, display reads 61.5 cm.",
        "Standing: desk at 102.5 cm, display reads 100.5 cm, saved on key 2.",
    ]
