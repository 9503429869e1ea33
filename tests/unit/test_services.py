"""Use cases on the ports in memory: quick, and apart from SQL and HTTP."""

from uuid import uuid4

import pytest

from conftest import PASSWORD, make_office
from fakes import FakeAccounts, FakeRecords, FakeShelf
from gentle_plumb.core.drawing import SceneRequest
from gentle_plumb.core.errors import ValueOutOfRange
from gentle_plumb.demo import load_demo
from gentle_plumb.demo.clients import DEMO_CLIENTS
from gentle_plumb.demo.people import DEMO_MEMBERS
from gentle_plumb.services.accounts import AccountService
from gentle_plumb.services.errors import LockedOut, NotAllowed, NotReady, NotSignedIn
from gentle_plumb.services.reports import ReportService
from gentle_plumb.services.visits import VisitService


class PaperPress:
    """Keeps what it is given to print."""

    def __init__(self):
        self.printed = []

    def print(self, content):
        self.printed.append(content)
        return f"%PDF {len(self.printed)}".encode()


class World:
    """Everything in memory."""

    def __init__(self, clock):
        self.accounts_port = FakeAccounts()
        self.records = FakeRecords(self.accounts_port)
        self.accounts = AccountService(self.accounts_port, clock)
        self.visits = VisitService(self.records, clock)
        self.press = PaperPress()
        self.reports = ReportService(self.records, self.visits, self.press, clock)
        self.shelf = FakeShelf(self.records)
        self.office = make_office(self.accounts_port)

    def visit(self):
        client = self.visits.add_client(
            self.office.owner, name="Odile", sex="female", work="charts"
        )
        return self.visits.start(self.office.owner, client.id).id

    def type(self, visit, path, typed, version=0, unit="cm", by=None):
        return self.visits.change(
            by or self.office.owner, visit, change_id=uuid4(), path=path, typed=typed,
            expected_version=version, unit=unit,
        )  # fmt: skip


@pytest.fixture
def world(clock):
    return World(clock)


@pytest.fixture(scope="module")
def demo_world():
    from conftest import Clock

    world = World(Clock())
    load_demo(world.accounts_port, world.records, world.shelf, world.reports._clock)
    owner = world.accounts_port.member_by_email(DEMO_MEMBERS[0].email)
    lines = {line.client.name.split()[0]: line for line in world.visits.visits(owner)}
    return world, owner, lines


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
    load_demo(again.accounts_port, again.records, again.shelf, world.reports._clock)
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
