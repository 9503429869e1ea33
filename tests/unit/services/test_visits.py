"""Visits and people."""

from dataclasses import replace
from datetime import timedelta

import pytest

from conftest import PASSWORD
from gentle_plumb.core.drawing import SceneRequest
from gentle_plumb.core.errors import ValueOutOfRange
from gentle_plumb.core.record import field_of, read_typed
from gentle_plumb.services.accounts import AccountService
from gentle_plumb.services.errors import LockedOut, NotAllowed, NotSignedIn, WrongPassword
from gentle_plumb.services.models import NewClient
from plumb_demo.clients import DEMO_CLIENTS
from plumb_demo.load import body_readings


def guesses(world, clock, email, many, sender):
    """Wrong passwords one after the other, each as soon as it may be; the seconds waited."""
    waits = []
    for _ in range(many):
        try:
            world.sign_in(email, "wrong", sender=sender)
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
        world.sign_in(email, PASSWORD, sender="10.0.0.9")
    else:
        with pytest.raises(NotSignedIn):
            world.sign_in(email, PASSWORD, sender="10.0.0.9")


def test_nobody_locks_an_owner_out_from_elsewhere(world, clock):
    email = world.office.owner.email
    mine = world.sign_in(email, PASSWORD, sender="10.0.0.1")
    for number in range(60):
        with pytest.raises((NotSignedIn, LockedOut)):
            world.sign_in(email, "wrong", sender=f"10.0.9.{number}")
    with pytest.raises(LockedOut):  # whoever comes from a place not seen before waits with the rest
        world.sign_in(email, PASSWORD, sender="10.0.0.2")
    again = world.sign_in(email, PASSWORD, sender="10.0.0.1", known=mine.known)
    assert again.member == world.office.owner


def test_one_sender_tries_no_end_of_addresses_slowly(world):
    for number in range(30):
        with pytest.raises(NotSignedIn):
            world.sign_in(f"a{number}@saltmere.example", "wrong", sender="10.0.0.9")
    with pytest.raises(LockedOut):
        world.sign_in("a31@saltmere.example", "wrong", sender="10.0.0.9")


def test_a_published_password_opens_nothing_in_earnest(world, clock):
    email = world.office.owner.email
    strict = AccountService(world.accounts_port, clock, {email: PASSWORD})
    with pytest.raises(NotSignedIn, match="public password"):
        strict.sign_in(email, PASSWORD, world.attempts("sign in"))
    with pytest.raises(NotSignedIn, match="incorrect"):
        strict.sign_in(email, "wrong", world.attempts("sign in"))


def test_a_changed_password_ends_all_other_sessions(world):
    email, accounts = world.office.owner.email, world.accounts
    here, there = (world.sign_in(email, PASSWORD) for _ in range(2))

    def change(current):
        accounts.change_password(
            here.member,
            here.session,
            world.attempts("confirm"),
            current=current,
            password="another-tide-9",
        )

    with pytest.raises(WrongPassword):
        change("x")
    assert len(accounts.sessions(here.member, here.session)) == 2
    change(PASSWORD)
    sessions = accounts.sessions(here.member, here.session)
    assert [(session.id, session.here) for session in sessions] == [(here.session.id, True)]
    with pytest.raises(NotSignedIn):
        accounts.who(there.token)
    with pytest.raises(NotSignedIn):
        world.sign_in(email, PASSWORD)
    world.sign_in(email, "another-tide-9")


def test_who_is_removed_is_out_at_once_and_the_last_owner_stays(world):
    office, accounts = world.office, world.accounts
    theirs = world.sign_in(office.practitioner.email, PASSWORD)
    accounts.remove_member(office.owner, office.practitioner.id)
    with pytest.raises(NotSignedIn):
        accounts.who(theirs.token)
    with pytest.raises(NotSignedIn):
        world.sign_in(office.practitioner.email, PASSWORD)
    with pytest.raises(NotAllowed, match="only owner"):
        accounts.remove_member(office.owner, office.owner.id)
    # the address is free again, and what they wrote keeps their name
    accounts.create_member(
        office.practice.id,
        email=office.practitioner.email,
        name="New",
        title="",
        role="reader",
        password="ten-letters-at-least",
    )


def test_tokens_are_held_as_hashes_only(world):
    done = world.sign_in(world.office.owner.email, PASSWORD)
    assert done.token.encode() not in done.session.token_hash
    assert world.accounts.who(done.token)[1] == world.office.owner
    with pytest.raises(NotSignedIn):
        world.accounts.who(None)


def test_a_bare_number_keeps_the_unit_it_was_typed_in(world):
    visit = world.visit()
    assert world.type(visit, "look.found.seat", "18", unit="in")[0].typed == "18 in"
    assert world.type(visit, "look.found.surface", "1'6\"")[0].typed == "1'6\""
    assert world.type(visit, "ask.hours.typing", "3")[0].typed == "3"


def test_refused_input_leaves_no_trace(world):
    visit = world.visit()
    with pytest.raises(ValueOutOfRange):
        world.type(visit, "look.found.seat", "5")
    assert world.records.visit(world.office.practice.id, visit).revision == 0


def test_a_red_flag_is_settled_by_a_referral_in_words(world):
    visit = world.visit()
    world.type(visit, "ask.sign.chest", "yes")

    def done(**said):
        for what, (typed, version) in said.items():
            world.type(visit, f"ask.sign.chest.{what}", typed, version)
        return world.visits.results(world.office.owner, visit, "cm")[1].red_flags[0].done

    assert done(done=("x", 0)) is None
    assert done(by=("Ines Calloway", 0)) is None  # still an x
    assert done(done=("Told to keep still.", 1)) is None  # to whom is not said
    assert done(to=("Emergency room", 0)) == (
        "Referred to Emergency room. Told to keep still. (Ines Calloway)"
    )


def test_days_are_those_of_the_practice(world, clock):
    clock.now = clock.now.replace(hour=23, minute=30)
    today = clock.now.date()
    client = world.visits.add_client(world.office.owner, NewClient(name="Odile"))
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
    states = {name: line.state for name, line in lines.items()}
    assert (states["Odile"], states["Casper"], states["Mirela"]) == ("signed", "changed", "new")
    assert {"draft"} == {*states.values()} - {"signed", "changed", "new"}
    assert len(world.press.printed) == 0  # the demo prints with the real press


def test_the_demo_holds_the_bodies_it_says(demo_world):
    world, owner, lines = demo_world
    yara = next(demo_client for demo_client in DEMO_CLIENTS if demo_client.name.startswith("Yara"))
    held = world.records.load_snapshot(owner.practice_id, lines["Yara"].id).values
    for path, typed in body_readings(yara).items():
        assert held[path] == pytest.approx(read_typed(field_of(path), typed, unit="cm"))


def test_overruled_flags_follow_the_practitioner(world):
    visit = world.visit()
    for path, typed in (
        ("look.found.seat", "46"),
        ("work.seated.seat", "44"),
        ("ask.shoe_seated", "2.5"),
        ("measure.popliteal_height.first", "41"),
    ):
        world.type(visit, path, typed)
    _, workup = world.visits.results(world.office.owner, visit, "cm")
    scene = workup.analysis.scene(SceneRequest())
    roles = {mark.role for mark in scene.marks if mark.part == "seat"}
    assert "flag-overruled" in roles
    row = next(row for row in workup.rows if row.key == "seat")
    assert (row.setting, row.change, row.terms) == (
        "44.0",
        "down 2.0",
        "42.0 = 41.0 popliteal height + 2.5 shoe − 1.5 relief",
    )


def test_hours_that_can_not_be_are_doubted(world):
    visit = world.visit()

    def doubt(path, typed, version=0):
        world.type(visit, path, typed, version)
        return world.visits.results(world.office.owner, visit, "cm")[1].hours_doubt

    assert doubt("ask.hours.typing", "7") is None
    assert doubt("ask.day_hours", "7.5") is None
    assert "come to 7 h, at the desk in all 5 h" in doubt("ask.day_hours", "5", 1)
    assert "a day has 24" in doubt("ask.hours.mouse", "18")


def test_the_desks_display_is_told_what_to_show(demo_world):
    world, owner, lines = demo_world
    _, workup = world.visits.results(owner, lines["Odile"].id, "cm")
    row = next(row for row in workup.rows if (row.posture, row.key) == ("seated", "surface"))
    assert workup.display == "The display reads 2.0 cm too low."
    assert float(row.setting) - float(row.dial) == pytest.approx(2.0)


def test_demo_uses_all_of_it(demo_world):
    world, owner, lines = demo_world
    used = {}
    for line in lines.values():
        for path, value in world.records.load_snapshot(owner.practice_id, line.id).values.items():
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
    _, elif_ = world.visits.results(owner, lines["Elif"].id, "cm")
    assert [(sign.urgency, sign.done) for sign in elif_.red_flags] == [("clinician", None)]
