"""Visits, people and reports."""

import pytest

from conftest import PASSWORD
from gentle_plumb.core.drawing import SceneRequest
from gentle_plumb.core.errors import FieldError, ValueOutOfRange
from gentle_plumb.demo import load_demo
from gentle_plumb.demo.clients import DEMO_CLIENTS
from gentle_plumb.services.errors import (
    LockedOut,
    NotAllowed,
    NotReady,
    NotSignedIn,
)
from gentle_plumb.services.shelves import ShelfService
from unit.services.world import World


def test_lock_grows_with_each_further_wrong_password(world, clock):
    email = world.office.owner.email
    waits = []
    for _ in range(7):
        try:
            world.accounts.sign_in(email, "wrong")
        except LockedOut as locked:
            waits.append(locked.seconds)
            clock.pass_by(seconds=locked.seconds)
        except NotSignedIn:
            continue
    assert waits[0] <= 31
    assert sorted(waits) == waits
    member = world.accounts_port.member_by_email(email)
    clock.now = max(clock.now, member.locked_until)
    world.accounts.sign_in(email, PASSWORD)
    assert world.accounts_port.member_by_email(email).failures == 0


def test_tokens_are_held_as_hashes_only(world):
    token, session, _ = world.accounts.sign_in(world.office.owner.email, PASSWORD)
    assert token.encode() not in session.token_hash
    assert world.accounts.who(token)[1] == world.office.owner
    with pytest.raises(NotSignedIn):
        world.accounts.who(None)


def test_a_bare_number_keeps_the_unit_it_was_typed_in(world):
    visit = world.visit()
    assert world.type(visit, "look.found.seat", "18", unit="in")[0].typed == "18 in"
    assert world.type(visit, "look.found.surface", "1'6\"")[0].typed == "1'6\""
    assert world.type(visit, "ask.hours.typing", "3")[0].typed == "3"


def test_refused_input_and_readers_leave_no_trace(world):
    visit = world.visit()
    with pytest.raises(ValueOutOfRange):
        world.type(visit, "look.found.seat", "5")
    with pytest.raises(NotAllowed):
        world.type(visit, "look.found.seat", "46", by=world.office.reader)
    assert world.records.visit(world.office.practice.id, visit).revision == 0


def test_what_a_signature_waits_for_is_said_all_at_once(world):
    visit = world.visit()
    world.type(visit, "work.seated.seat", "44")
    with pytest.raises(NotReady) as waiting:
        world.reports.sign(world.office.owner, world.office.practice, visit, "cm")
    assert [path for path, _ in waiting.value.missing] == [
        "ask.warning", "report.follow_up", "work.seated.seat.why"
    ]  # fmt: skip
    assert world.press.printed == []


def test_demo_has_visits_in_every_state(demo_world):
    world, _, lines = demo_world
    assert len(lines) == len(DEMO_CLIENTS) >= 6
    signed = {name for name, line in lines.items() if line.signed_at}
    changed = {name for name in signed if lines[name].signed_revision != lines[name].visit.revision}
    assert (signed, changed) == ({"Odile", "Casper"}, {"Casper"})
    assert lines["Mirela"].visit.revision == 0
    assert len(world.press.printed) == 0  # the demo prints with the real press


def test_demo_gives_the_same_bodies_each_time(demo_world):
    world, owner, lines = demo_world
    again = World(world.reports._clock)
    load_demo(again.accounts_port, again.records, again.shelf, again.store, world.reports._clock)
    other = again.accounts_port.member_by_email(owner.email)
    twin = next(line for line in again.visits.visits(other) if line.client.name.startswith("Yara"))
    values = world.records.working(owner.practice_id, lines["Yara"].visit.id).values
    assert again.records.working(other.practice_id, twin.visit.id).values == values


@pytest.mark.parametrize("unit", ["cm", "mm", "in"])
def test_the_draft_speaks_one_unit_throughout(demo_world, unit):
    world, owner, lines = demo_world
    practice = world.accounts.practice(owner)
    draft, _ = world.reports.draft(owner, practice, lines["Odile"].visit.id, unit)
    heights = [row["before"] for row in draft["table"] if not row["before"].endswith("°")]
    assert {text.split(" ")[-1] for text in heights if text != "–"} == {unit}
    others = {"cm", "mm", "in"} - {unit}
    said = " ".join(found["cause"] + found["instruction"] for found in draft["findings"])
    assert f" {unit}" in said
    assert not any(f"0 {other}" in said for other in others if other != "in")


def test_the_draft_holds_before_target_and_after(demo_world):
    world, owner, lines = demo_world
    practice = world.accounts.practice(owner)
    draft, _ = world.reports.draft(owner, practice, lines["Odile"].visit.id, "cm")
    seat = next(row for row in draft["table"] if row["label"] == "Seat")
    assert (seat["before"], seat["target"], seat["after"]) == ("45.5 cm", "43.2 cm", "43.0 cm")
    assert seat["left"] == "up 0.2"
    assert "Footrest" not in {row["label"] for row in draft["table"]}
    assert draft["rhythm"]["sit"] + draft["rhythm"]["stand"] + draft["rhythm"]["move"] == 450
    assert draft["local_wording"]
    assert (draft["version"], draft["signed_by"]) == (2, None)
    assert {found["posture"] for found in draft["findings"]} == {"seated", "standing"}


def test_a_posture_that_cannot_be_is_left_out_of_the_paper(demo_world):
    world, owner, lines = demo_world
    practice = world.accounts.practice(owner)
    draft, _ = world.reports.draft(owner, practice, lines["Nadia"].visit.id, "cm")
    assert {row["posture"] for row in draft["table"]} == {"seated"}
    assert {joint["posture"] for joint in draft["joints"]} == {"seated"}
    assert draft["standing"].startswith("No work standing at this desk: desk fixed at 72.0")
    assert draft["estimated"] == ["hand breadth", "hand length"]


def test_overruled_flags_follow_the_practitioner(world):
    visit = world.visit()
    for path, typed in (("look.found.seat", "46"), ("work.seated.seat", "44"),
                        ("ask.shoe_seated", "2.5"), ("measure.popliteal_height.first", "41")):  # fmt: skip
        world.type(visit, path, typed)
    _, workup = world.visits.worked(world.office.owner, visit, "cm")
    scene = world.visits.scene(workup, SceneRequest())
    roles = {mark.role for mark in scene.marks if mark.part == "seat"}
    assert "flag-overruled" in roles
    row = next(row for row in workup.rows if row.key == "seat")
    assert (row.setting, row.change, row.terms) == (
        "44.0", "down 2.0", "42.0 = 41.0 lower leg + 2.5 shoe − 1.5 relief"
    )  # fmt: skip


def test_a_signature_waits_for_each_sign_and_each_dismissal(world):
    visit = world.visit()
    for path, typed in (("ask.sign.chest", "yes"), ("look.keyboard.feet", "out"),
                        ("work.finding.keyboard_feet.verdict", "dismissed")):  # fmt: skip
        world.type(visit, path, typed)
    _, missing = world.reports.draft(world.office.owner, world.office.practice, visit, "cm")
    assert [path for path, _ in missing] == [
        "ask.sign.chest.done", "work.finding.keyboard_feet.reason", "report.follow_up"
    ]  # fmt: skip


def test_hours_that_can_not_be_are_doubted(world):
    visit = world.visit()

    def doubt(path, typed, version=0):
        world.type(visit, path, typed, version)
        return world.visits.worked(world.office.owner, visit, "cm")[1].hours_doubt

    assert doubt("ask.hours.typing", "7") is None
    assert doubt("ask.day_hours", "7.5") is None
    assert "come to 7 h, at the desk in all 5 h" in doubt("ask.day_hours", "5", 1)
    assert "a day has 24" in doubt("ask.hours.mouse", "18")


def test_the_desks_display_is_told_what_to_show(demo_world):
    world, owner, lines = demo_world
    _, workup = world.visits.worked(owner, lines["Odile"].visit.id, "cm")
    row = next(row for row in workup.rows if (row.posture, row.key) == ("seated", "surface"))
    assert workup.display == "The display reads 2.0 cm too low."
    assert float(row.setting) - float(row.dial) == pytest.approx(2.0)


def test_the_shelf_takes_readable_values_with_their_unit(world):
    shelf, owner = ShelfService(world.shelf), world.office.owner
    kept = shelf.add(owner, piece="chair", name="Bridge chair", place="", unit="in",
                     values={"look.chair.seat_min": "17", "look.chair.kind": "task",
                             "look.chair.seat_max": ""})  # fmt: skip
    assert kept.values == {"look.chair.seat_min": "17 in", "look.chair.kind": "task"}
    for values in ({"look.desk.kind": "fixed"}, {"look.chair.seat_min": "tall"}):
        with pytest.raises(FieldError):
            shelf.add(owner, piece="chair", name="Other", place="", unit="cm", values=values)
    with pytest.raises(NotAllowed):
        shelf.drop(world.office.reader, kept.id)


def test_demo_uses_all_of_it(demo_world):
    world, owner, lines = demo_world
    used = {}
    for line in lines.values():
        for path, value in world.records.working(owner.practice_id, line.visit.id).values.items():
            used.setdefault(path, set()).add(value)
    kinds = used["look.desk.kind"] | used["look.chair.kind"] | used["look.screen.kind"]
    assert {"cart", "counter", "platform", "fixed", "sit_stand", "stool", "dining", "wheelchair",
            "laptop"} <= kinds  # fmt: skip
    assert any(path.startswith("look.photo.") and path.endswith(".c7") for path in used)
    assert 12 <= len(lines) <= 20
    watch = next(
        item for item in world.shelf.items(owner.practice_id) if item.piece == "workstation"
    )
    assert watch.users == ("Elif Sandor", "Saskia Vell")
    _, elif_ = world.visits.worked(owner, lines["Elif"].visit.id, "cm")
    assert [(sign.urgency, sign.done) for sign in elif_.signs] == [("clinician", None)]
