"""Visits, people and reports."""

from dataclasses import replace
from datetime import timedelta
from uuid import uuid4

import pytest

from conftest import PASSWORD, weeks_on
from gentle_plumb.core.drawing import SceneRequest
from gentle_plumb.core.errors import ValueOutOfRange
from gentle_plumb.core.record import field_of
from gentle_plumb.services.accounts import AccountService
from gentle_plumb.services.errors import (
    LockedOut,
    MovedOn,
    NotAllowed,
    NotReady,
    NotSignedIn,
    WrongPassword,
)
from plumb_demo import load_demo
from plumb_demo.clients import DEMO_CLIENTS
from plumb_demo.people import NO_FLAGS
from unit.services.world import World


def guesses(world, clock, email, many, sender):
    """Wrong passwords one after the other, each as soon as it may be; the seconds waited."""
    waits = []
    for _ in range(many):
        try:
            world.accounts.sign_in(email, "wrong", sender=sender)
        except LockedOut as locked:
            waits.append(locked.seconds)
            clock.pass_by(seconds=locked.seconds)
        except NotSignedIn:
            continue
    return waits


@pytest.mark.parametrize("known", [True, False])
def test_the_wait_grows_with_each_further_wrong_password_and_is_forgotten(world, clock, known):
    email = world.office.owner.email if known else "nobody@saltmere.example"
    waits = guesses(world, clock, email, 16, "10.0.0.9")
    assert (waits[0], max(waits)) == (31, 15 * 60 + 1)
    assert sorted(waits) == waits
    clock.pass_by(hours=2)
    if known:
        world.accounts.sign_in(email, PASSWORD, sender="10.0.0.9")
    else:
        with pytest.raises(NotSignedIn):
            world.accounts.sign_in(email, PASSWORD, sender="10.0.0.9")


def test_nobody_locks_an_owner_out_from_elsewhere(world, clock):
    email = world.office.owner.email
    mine = world.accounts.sign_in(email, PASSWORD, sender="10.0.0.1")
    for number in range(60):
        with pytest.raises((NotSignedIn, LockedOut)):
            world.accounts.sign_in(email, "wrong", sender=f"10.0.9.{number}")
    with pytest.raises(LockedOut):  # whoever comes from a place not seen before waits with the rest
        world.accounts.sign_in(email, PASSWORD, sender="10.0.0.2")
    again = world.accounts.sign_in(email, PASSWORD, sender="10.0.0.1", known=mine.known)
    assert again.member == world.office.owner


def test_one_sender_tries_no_end_of_addresses_slowly(world):
    for number in range(30):
        with pytest.raises(NotSignedIn):
            world.accounts.sign_in(f"a{number}@saltmere.example", "wrong", sender="10.0.0.9")
    with pytest.raises(LockedOut):
        world.accounts.sign_in("a31@saltmere.example", "wrong", sender="10.0.0.9")


def test_a_published_password_opens_nothing_in_earnest(world, clock):
    email = world.office.owner.email
    strict = AccountService(world.accounts_port, clock, {email: PASSWORD})
    with pytest.raises(NotSignedIn, match="published"):
        strict.sign_in(email, PASSWORD)
    with pytest.raises(NotSignedIn, match="incorrect"):
        strict.sign_in(email, "wrong")


def test_a_changed_password_ends_all_other_sessions(world):
    email, accounts = world.office.owner.email, world.accounts
    here, there = (accounts.sign_in(email, PASSWORD) for _ in range(2))
    with pytest.raises(WrongPassword):
        accounts.change_password(here.member, here.session, current="x", password="another-tide-9")
    assert len(accounts.sessions(here.member)) == 2
    accounts.change_password(here.member, here.session, current=PASSWORD, password="another-tide-9")
    assert [one.id for one in accounts.sessions(here.member)] == [here.session.id]
    with pytest.raises(NotSignedIn):
        accounts.who(there.token)
    with pytest.raises(NotSignedIn):
        accounts.sign_in(email, PASSWORD)
    accounts.sign_in(email, "another-tide-9")


def test_who_is_removed_is_out_at_once_and_the_last_owner_stays(world):
    office, accounts = world.office, world.accounts
    theirs = accounts.sign_in(office.practitioner.email, PASSWORD)
    with pytest.raises(NotAllowed):
        accounts.remove_member(office.practitioner, office.reader.id)
    accounts.remove_member(office.owner, office.practitioner.id)
    with pytest.raises(NotSignedIn):
        accounts.who(theirs.token)
    with pytest.raises(NotSignedIn):
        accounts.sign_in(office.practitioner.email, PASSWORD)
    with pytest.raises(NotAllowed, match="last owner"):
        accounts.remove_member(office.owner, office.owner.id)
    # the address is free again, and what they wrote keeps their name
    accounts.add_member(
        office.owner,
        id=uuid4(),
        email=office.practitioner.email,
        name="New",
        title="",
        role="reader",
        password="ten-letters-at-least",
    )


def test_tokens_are_held_as_hashes_only(world):
    done = world.accounts.sign_in(world.office.owner.email, PASSWORD)
    assert done.token.encode() not in done.session.token_hash
    assert world.accounts.who(done.token)[1] == world.office.owner
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
        "ask.sign.saddle",
        "ask.warning",
        "look.found.seat",
        "report.follow_up",
    ]
    assert world.press.printed == []
    world.type(visit, "ask.consent.notes", "yes")  # a reason is in own words
    waiting = world.reports.draft(world.office.owner, world.office.practice, visit, "cm").missing
    assert waiting[-1][0] == "work.seated.seat.why"


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


def test_a_red_flag_is_settled_by_a_referral_in_words(world):
    visit = world.visit()
    world.type(visit, "ask.sign.chest", "yes")

    def done(**said):
        for what, (typed, version) in said.items():
            world.type(visit, f"ask.sign.chest.{what}", typed, version)
        return world.visits.worked(world.office.owner, visit, "cm")[1].signs[0].done

    assert done(done=("x", 0)) is None
    assert done(by=("Ines Calloway", 0)) is None  # still an x
    assert done(done=("Told to keep still.", 1)) is None  # to whom is not said
    assert done(to=("Emergency room", 0)) == (
        "Referred to Emergency room. Told to keep still. (Ines Calloway)"
    )


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
    where = {one.group: one.path for one in checks}
    assert where["Before signing"] == "ask.sign.chest.to"
    assert where["Follow-up"] == "report.follow_up"
    assert where["Set, not re-measured"] == "set.seated.seat"
    assert "work.finding.keyboard_feet.verdict" in {one.path for one in checks}
    assert {one.group for one in checks if one.blocks} == {"Before signing"}
    for one in checks:
        assert field_of(one.path)


def test_days_are_those_of_the_practice(world, clock):
    clock.now = clock.now.replace(hour=23, minute=30)
    today = clock.now.date()
    client = world.visits.add_client(world.office.owner, name="Odile", sex=None, work="")
    for zone, days in (("Pacific/Auckland", 1), ("America/Los_Angeles", 0), ("UTC", 0)):
        practice = replace(world.office.practice, time_zone=zone)
        begun = world.visits.start(world.office.owner, practice, client.id).started_on
        assert begun == today + timedelta(days=days), zone
    clock.now = clock.now.replace(hour=2)
    practice = replace(world.office.practice, time_zone="America/Los_Angeles")
    begun = world.visits.start(world.office.owner, practice, client.id).started_on
    assert begun == today - timedelta(days=1)


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
    practice = world.accounts_port.practice(owner.practice_id)
    draft = world.reports.draft(
        owner, practice, lines["Odile"].visit.id, unit
    ).content.record.model_dump(mode="json")
    heights = [row["before"] for row in draft["table"] if not row["before"].endswith("°")]
    assert {text.split(" ")[-1] for text in heights if text != "–"} == {unit}
    others = {"cm", "mm", "in"} - {unit}
    said = " ".join(found["cause"] for cause in draft["causes"] for found in cause["findings"])
    assert f" {unit}" in said
    assert not any(f"0 {other}" in said for other in others if other != "in")


def test_the_draft_holds_before_target_and_after(demo_world):
    world, owner, lines = demo_world
    practice = world.accounts_port.practice(owner.practice_id)
    draft = world.reports.draft(
        owner, practice, lines["Odile"].visit.id, "cm"
    ).content.record.model_dump(mode="json")
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
    draft = world.reports.draft(
        owner, practice, lines["Nadia"].visit.id, "cm"
    ).content.record.model_dump(mode="json")
    assert {row["posture"] for row in draft["table"]} == {"seated"}
    assert {joint["posture"] for joint in draft["joints"]} == {"seated"}
    assert draft["standing"].startswith("No work standing at this desk: desk fixed at 72.0 cm")
    assert draft["estimated"] == ["hand breadth", "hand length"]


def test_overruled_flags_follow_the_practitioner(world):
    visit = world.visit()
    for path, typed in (
        ("look.found.seat", "46"),
        ("work.seated.seat", "44"),
        ("ask.shoe_seated", "2.5"),
        ("measure.popliteal_height.first", "41"),
    ):
        world.type(visit, path, typed)
    _, workup = world.visits.worked(world.office.owner, visit, "cm")
    scene = world.visits.scene(workup, SceneRequest())
    roles = {mark.role for mark in scene.marks if mark.part == "seat"}
    assert "flag-overruled" in roles
    row = next(row for row in workup.rows if row.key == "seat")
    assert (row.setting, row.change, row.terms) == (
        "44.0",
        "down 2.0",
        "42.0 = 41.0 popliteal height + 2.5 shoe − 1.5 relief",
    )


def test_a_signature_waits_for_each_sign_and_each_dismissal(world):
    visit = world.visit()
    for path, typed in (
        ("ask.sign.chest", "yes"),
        ("look.keyboard.feet", "out"),
        ("work.finding.keyboard_feet.verdict", "dismissed"),
    ):
        world.type(visit, path, typed)
    draft = world.reports.draft(world.office.owner, world.office.practice, visit, "cm")
    assert [path for path, _ in draft.missing] == [
        "ask.sign.saddle",
        "ask.warning",
        "ask.sign.chest.to",
        "look.found.seat",
        "work.finding.keyboard_feet.reason",
        "report.follow_up",
    ]


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
    assert workup.display == "The display reads 2.0 cm too low."
    assert float(row.setting) - float(row.dial) == pytest.approx(2.0)


def test_the_report_says_the_desks_heights_its_display_and_its_keys(demo_world):
    world, owner, lines = demo_world
    visit = lines["Odile"].visit.id
    world.type(visit, "set.preset.standing", "2", by=owner)
    practice = world.accounts_port.practice(owner.practice_id)
    desk = world.reports.draft(owner, practice, visit, "cm").content.record.desk
    assert desk == [
        "Sitting: desk at 63.5 cm, its display reads 61.5 cm.",
        "Standing: desk at 102.5 cm, its display reads 100.5 cm, saved on key 2.",
    ]


def test_demo_uses_all_of_it(demo_world):
    world, owner, lines = demo_world
    used = {}
    for line in lines.values():
        for path, value in world.records.working(owner.practice_id, line.visit.id).values.items():
            used.setdefault(path, set()).add(value)
    kinds = used["look.desk.kind"] | used["look.chair.kind"] | used["look.screen.kind"]
    assert {
        "cart",
        "counter",
        "platform",
        "fixed",
        "sit_stand",
        "stool",
        "dining",
        "wheelchair",
        "laptop",
    } <= kinds
    assert any(path.startswith("look.photo.") and path.endswith(".c7") for path in used)
    assert 12 <= len(lines) <= 20
    watch = next(
        item for item in world.shelf.items(owner.practice_id) if item.piece == "workstation"
    )
    assert watch.users == ("Elif Sandor", "Saskia Vell")
    _, elif_ = world.visits.worked(owner, lines["Elif"].visit.id, "cm")
    assert [(sign.urgency, sign.done) for sign in elif_.signs] == [("clinician", None)]
