"""Use cases on the ports in memory: quick, and apart from SQL and HTTP."""

import json
from dataclasses import replace
from uuid import uuid4

import pytest

from conftest import PASSWORD, make_office
from fakes import FakeAccounts, FakeMeasuring, FakeRecords, FakeShelf
from gentle_plumb.core.drawing import SceneRequest
from gentle_plumb.core.errors import FieldError, ValueOutOfRange
from gentle_plumb.demo import load_demo
from gentle_plumb.demo.clients import DEMO_CLIENTS
from gentle_plumb.demo.load import body_of, body_readings
from gentle_plumb.demo.people import DEMO_MEMBERS
from gentle_plumb.devices.stand_ins import LengthStandIn
from gentle_plumb.documents.exchange import FORMATS, ExchangeFormats
from gentle_plumb.services.accounts import AccountService
from gentle_plumb.services.errors import (
    BadFile,
    LockedOut,
    NeedsConsent,
    NoAnswer,
    NotAllowed,
    NotFound,
    NotReady,
    NotSignedIn,
    Withheld,
)
from gentle_plumb.services.exchange import ExchangeService
from gentle_plumb.services.instruments import InstrumentService
from gentle_plumb.services.measuring import MeasuringService
from gentle_plumb.services.models import InstrumentReading, InstrumentState
from gentle_plumb.services.reports import ReportService, for_workplace
from gentle_plumb.services.shelves import ShelfService
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
        self.store = FakeMeasuring()
        self.records = self.store.records = FakeRecords(self.accounts_port, self.store)
        self.measuring = MeasuringService(self.store, self.accounts_port, clock)
        self.exchange = ExchangeService(self.records, ExchangeFormats(), clock)
        self.accounts = AccountService(self.accounts_port, clock)
        self.visits = VisitService(self.records, clock, self.measuring.errors_of)
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
    load_demo(world.accounts_port, world.records, world.shelf, world.store, world.reports._clock)
    owner = world.accounts_port.member_by_email(DEMO_MEMBERS[0].email)
    lines = {line.client.name.split()[0]: line for line in reversed(world.visits.visits(owner))}
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


def consent(world, visit, name="notes", value="yes", version=0):
    world.type(visit, f"ask.consent.{name}", value, version=version)


def test_health_notes_wait_for_consent_and_warning_signs_do_not(world):
    visit = world.visit()
    with pytest.raises(NeedsConsent) as refused:
        world.type(visit, "ask.reason", "Neck")
    assert (refused.value.field, refused.value.consent) == ("ask.reason", "ask.consent.notes")
    world.type(visit, "ask.sign.fever", "yes")
    world.type(visit, "ask.sign.fever.done", "Rang her doctor.")
    world.type(visit, "look.found.seat", "46")
    consent(world, visit)
    world.type(visit, "ask.reason", "Neck")
    world.type(visit, "ask.discomfort.nape", "5")


def test_a_withdrawn_consent_erases_and_lets_nothing_new_in(world):
    visit = world.visit()
    consent(world, visit)
    world.type(visit, "ask.reason", "Neck")
    world.type(visit, "ask.sign.fever", "yes")
    world.type(visit, "look.found.seat", "46")
    consent(world, visit, value="withdrawn", version=1)
    opened = world.visits.open(world.office.owner, visit)
    typed = {entry.path: entry.typed for entry in opened.entries}
    assert typed["ask.reason"] == ""
    assert (typed["look.found.seat"], typed["ask.consent.notes"]) == ("46 cm", "withdrawn")
    assert not any("Neck" in change.typed for change in world.records.changes.values())
    with pytest.raises(NeedsConsent):
        world.type(visit, "ask.reason", "Neck again", version=2)


def test_the_workplace_gets_a_copy_only_with_consent_and_without_health(demo_world):
    world, owner, lines = demo_world
    practice = world.accounts.practice(owner)
    visit = lines["Bram"].visit.id
    world.reports.draft_pdf(owner, practice, visit, "cm")
    mine = world.press.printed[-1]
    world.reports.draft_pdf(owner, practice, visit, "cm", "workplace")
    theirs = world.press.printed[-1]
    said = json.dumps(theirs)
    for word in ("aches", "shoulder, front", "Photograph", "stands out for hours", "right side"):
        assert word in json.dumps(mine)
        assert word not in said
    assert {found["subject"] for found in theirs["findings"]} & {"Settings", "Room"}
    assert (theirs["copy"], theirs["reason"], theirs["strain"]) == ("workplace", "", [])
    for refused in ("Elif", "Mirela"):
        with pytest.raises(Withheld):
            world.reports.draft_pdf(owner, practice, lines[refused].visit.id, "cm", "workplace")


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


def measured_visit(world, name="Odile", *, at=None, **readings):
    """A visit of a new client with two readings each, cm."""
    member = world.office.owner
    client = world.visits.add_client(member, name=name, sex="female", work="")
    visit = world.visits.start(member, client.id).id
    for dimension, pair in readings.items():
        for which, typed in zip(("first", "second"), pair, strict=False):
            world.type(visit, f"measure.{dimension}.{which}", typed)
    return client, visit


def test_a_visit_starts_with_how_well_its_practitioner_repeats(world):
    for index in range(12):
        measured_visit(world, f"C{index}", popliteal_height=("40.0", "41.4"))
    _, visit = measured_visit(world, "Last")
    errors = world.records.visit(world.office.practice.id, visit).errors
    own, house = 14 / 2**0.5, 8 / (1.96 * 2**0.5)
    assert errors["popliteal_height"] == pytest.approx(
        ((12 * own**2 + 10 * house**2) / 22) ** 0.5, abs=0.001
    )
    found = {one.dimension: one.precision for one in world.measuring.precision(world.office.owner)}
    assert (found["popliteal_height"].pairs, found["popliteal_height"].over_limit) == (12, 12)
    world.type(visit, "measure.popliteal_height.first", "40")
    world.type(visit, "measure.popliteal_height.second", "40")
    view = {
        one.dimension: one
        for one in world.visits.worked(world.office.owner, visit, "mm")[1].measured
    }
    assert view["popliteal_height"].plus_minus == f"{2 * errors['popliteal_height'] / 2**0.5:.0f}"


def later_visit(world, clock, client, days):
    clock.pass_by(days=days)
    return world.visits.start(world.office.owner, client.id).id


def view_of(world, visit, name, unit="cm"):
    worked = world.visits.worked(world.office.owner, visit, unit, history=name)[1]
    return next(one for one in worked.measured if one.dimension == name)


def test_a_later_visit_knows_the_earlier_one_and_can_carry_it_over(world, clock):
    client, _ = measured_visit(world, knee_height=("50.0", "50.2"))
    visit = later_visit(world, clock, client, 200)
    past = view_of(world, visit, "knee_height").past[0]
    assert (past.value, past.day) == ("50.1", "25 November 2026")
    for what, typed in (("origin", "carried_over"), ("taken_on", past.on), ("first", past.typed)):
        world.type(visit, f"measure.knee_height.{what}", typed)
    view = view_of(world, visit, "knee_height")
    assert view.source == "Carried over from 25 November 2026, 7 months old"
    assert (view.value, view.done, view.doubts) == ("50.1", True, [])
    assert len(view.history) > 4
    third = later_visit(world, clock, client, 10)
    assert [one.day for one in view_of(world, third, "knee_height").past] == ["25 November 2026"]
    world.type(third, "measure.knee_height.first", "54.6")
    assert "Adults don't grow" in view_of(world, third, "knee_height").doubts[0].text


def test_lists_and_tables_are_the_visits_to_choose(world):
    owner = world.office.owner
    _, visit = measured_visit(world, stature=("161", "161"))
    own = world.measuring.add_list(owner, name="Counter", dimensions=["stature", "hand_length"])
    assert own.dimensions == ("hand_length", "stature")
    world.type(visit, "measure.list", str(own.id))
    workup = world.visits.worked(owner, visit, "cm")[1]
    assert [one.dimension for one in workup.measured if one.listed] == ["hand_length", "stature"]
    assert next(step for step in workup.steps if step.step == "measure").needed == 2
    lines = "dimension,sex,mean_mm,sd_mm\nstature,female,1700,50\n"
    table = world.measuring.add_table(owner, name="Tall", origin="made up", text=lines)
    before = view_of(world, visit, "stature").percentile
    world.type(visit, "measure.table", str(table.id))
    assert (before, view_of(world, visit, "stature").percentile) == ("50th", "4th")
    with pytest.raises(FieldError):
        world.measuring.add_list(owner, name="Odd", dimensions=["wingspan"])
    for change in (
        lambda: world.measuring.add_list(world.office.reader, name="x", dimensions=["stature"]),
        lambda: world.measuring.add_table(world.office.reader, name="x", origin="y", text=lines),
    ):
        with pytest.raises(NotAllowed):
            change()


@pytest.mark.parametrize("format", ["csv_readings", "json", "fhir"])
def test_a_practice_takes_in_what_another_gave_out_and_gives_out_the_same(world, clock, format):
    _, visit = measured_visit(world, stature=("161.2", "161.4"), hand_length=("6 7/8 in", "17.4"))
    world.type(visit, "measure.knee_height.skip", "time")
    world.type(visit, "measure.posture", "erect")
    raw, _, _ = world.exchange.export(world.office.owner, format)
    other = World(clock)
    preview = other.exchange.take_in(other.office.owner, raw)
    assert [(one.client, one.client_known, one.values, one.new) for one in preview.understood] == [
        ("Odile", False, 4, 4)
    ]
    assert other.exchange.export(other.office.owner, format)[0] == raw
    again = other.exchange.take_in(other.office.owner, raw)
    assert [(one.client_known, one.visit_known, one.new) for one in again.understood] == [
        (True, True, 0)
    ]
    assert other.exchange.export(other.office.owner, format)[0] == raw
    home = world.exchange.look(world.office.owner, raw)
    assert [(one.visit_known, one.new) for one in home.understood] == [(True, 0)]


def test_a_file_that_says_otherwise_is_refused_whole_and_nothing_is_written(world, clock):
    _, visit = measured_visit(world, stature=("161.2", "161.4"))
    raw = world.exchange.export(world.office.owner, "csv_readings")[0].decode()
    line = raw.splitlines()[1]
    extra = line.replace(",stature,first,1612,161.2 cm", ",hand_length,first,175,17.5 cm")
    for changed, reason in (
        (raw.replace("1612,161.2 cm", "1622,162.2 cm") + extra, "here it is “161.2 cm” already"),
        (raw + extra.replace("175,17.5 cm", "1750,175 cm"), "outside 100 to 270 mm"),
        (raw + extra.replace("Odile", "Somebody"), "differs from line 2"),
        (
            raw + extra.replace("175,17.5", "1750,175") + "\r\n" + extra.replace("2026", "x"),
            "outside 100",
        ),
    ):
        preview = world.exchange.look(world.office.owner, changed.encode())
        assert any(reason in why for _, _, why in preview.troubles), preview.troubles
        with pytest.raises(BadFile):
            world.exchange.take_in(world.office.owner, changed.encode())
    assert world.exchange.export(world.office.owner, "csv_readings")[0].decode() == raw
    added = world.exchange.take_in(world.office.owner, (raw + extra).encode())
    assert [one.new for one in added.understood] == [1]
    assert view_of(world, visit, "hand_length").value == "17.5"
    with pytest.raises(NotAllowed):
        world.exchange.take_in(world.office.reader, raw.encode())


def test_every_format_ships_and_names_its_file(world):
    measured_visit(world, stature=("161.2", "161.4"))
    for format in FORMATS:
        raw, media, name = world.exchange.export(world.office.owner, format)
        assert raw
        assert "/" in media
        assert "." in name


def sheet_file(*sheets):
    usual = {"client": "Tove", "visit_on": "2026-10-02"}
    whole = [{**usual, "dimensions": {"stature": {"first": "169 cm"}}, **one} for one in sheets]
    return json.dumps(
        {"format": "gentle-plumb.measurements", "version": 1, "sheets": whole}
    ).encode()


def troubles(world, *sheets):
    found = world.exchange.look(world.office.owner, sheet_file(*sheets))
    return [(place, field) for place, field, _ in found.troubles]


def test_whom_a_file_means_is_never_guessed(world):
    client, visit = measured_visit(world, "Tove", stature=("169", "169"))
    named = world.exchange.look(world.office.owner, sheet_file({"visit_on": "2026-11-25"}))
    assert [(one.client_known, one.visit_known, one.new) for one in named.understood] == [
        (True, True, 0)
    ]
    measured_visit(world, "Tove", stature=("170", "170"))
    assert troubles(world, {}) == [("sheet 1", "client")]  # two of that name
    assert troubles(world, {"client_id": str(client.id)}) == []
    assert troubles(world, {"client_id": str(client.id), "client": "Bo"}) == [("sheet 1", "client")]
    theirs = {"client_id": "elsewhere", "visit_id": str(visit), "client": "Ann"}
    assert ("sheet 1", "visit_id") in troubles(world, theirs)
    moved = {"client_id": str(client.id), "visit_id": str(visit), "visit_on": "2026-01-01"}
    assert troubles(world, moved) == [("sheet 1", "visit_on")]


def test_a_file_can_not_say_a_thing_twice_or_in_signs_nobody_sees(world):
    assert troubles(world, {}, {}) == [("sheet 2", "stature.first")]
    assert troubles(world, {"client": "To\u0007ve"}) == [("sheet 1", "client")]
    assert troubles(world, {"dimensions": {"stature": {"taken_on": "2026-10-02"}}}) == []
    odd = {"dimensions": {"hand_length": {"skip": "lunch"}}}
    assert troubles(world, odd) == [("sheet 1", "hand_length.skip")]


def test_several_visits_of_one_new_client_become_one_client(world):
    world.exchange.take_in(
        world.office.owner, sheet_file({}, {"visit_on": "2026-11-02"}, {"client": "Bo"})
    )
    names = [
        (line.client.name, line.visit.started_on.month)
        for line in world.visits.visits(world.office.owner)
    ]
    assert sorted(names) == [("Bo", 10), ("Tove", 10), ("Tove", 11)]
    assert [one.name for one in world.visits.clients(world.office.owner)] == ["Bo", "Tove"]


class FakeInstrument:
    """Answers, or says why not."""

    def __init__(self, trouble=None):
        self.trouble, self.asked = trouble, []

    def state(self):
        if self.trouble:
            raise NoAnswer(self.trouble)
        return InstrumentState(id="tape", name="tape", unit="cm", battery=80)

    def set_unit(self, unit):
        return replace(self.state(), unit=unit)

    def read(self, *, subject, dimension):
        self.asked.append((subject, dimension))
        return InstrumentReading(amount="46.2", unit="cm")


def test_an_instrument_learns_neither_name_nor_number(world):
    tape, rod = FakeInstrument(), FakeInstrument("The height rod does not answer.")
    service = InstrumentService(world.records, {"tape": tape, "rod": rod})
    client, visit = measured_visit(world)
    owner = world.office.owner
    assert [(one.id, one.trouble) for one in service.found(owner)] == [
        ("tape", None), ("rod", "The height rod does not answer.")
    ]  # fmt: skip
    assert service.read(owner, visit, "tape", "stature").typed == "46.2 cm"
    subject, dimension = tape.asked[0]
    assert dimension == "stature"
    assert client.name not in subject
    assert str(client.id)[:8] not in subject
    assert service.set_unit(owner, "tape", "in").unit == "in"
    with pytest.raises(NotFound):
        service.read(owner, visit, "laser", "stature")
    with pytest.raises(FieldError):
        service.read(owner, visit, "tape", "wingspan")
    with pytest.raises(NotAllowed):
        service.read(world.office.reader, visit, "tape", "stature")


def test_the_report_says_what_was_measured_and_where_it_is_from(world, clock):
    client, _ = measured_visit(world, knee_height=("50.0", "50.2"))
    visit = later_visit(world, clock, client, 100)
    for path, typed in (
        ("stature.first", "161"), ("stature.origin", "self_measured"), ("knee_height.first", "50.1"),
        ("knee_height.origin", "carried_over"), ("knee_height.taken_on", "2026-11-25"),
        ("hand_length.first", "17.4"), ("hand_length.second", "17.6"), ("foot_length.skip", "clothing"),
    ):  # fmt: skip
        world.type(visit, f"measure.{path}", typed)
    draft, _ = world.reports.draft(world.office.owner, world.office.practice, visit, "cm")
    said = {line["label"]: (line["value"], line["how"]) for line in draft["body"]}
    assert said == {
        "Stature": ("161.0 cm", "Self-measured"), "Hand length": ("17.5 cm", "mean of two"),
        "Knee height": ("50.1 cm", "Carried over from 25 November 2026, 3 months old"),
        "Foot length": ("", "left out: clothing is in the way"),
    }  # fmt: skip
    assert for_workplace(draft)["body"] == []


def test_an_unsure_stature_is_helped_by_the_rest(world):
    _, visit = measured_visit(world, stature=("161",), elbow_height_standing=("109", "109"))
    alone = view_of(world, visit, "popliteal_height")
    assert alone.basis.startswith("from ")
    assert "elbow, standing" in alone.basis
    world.type(visit, "measure.stature.second", "161")
    sure = view_of(world, visit, "popliteal_height")
    assert sure.basis == "from stature"
    assert float(alone.estimate) > float(sure.estimate) == 40


def test_a_doubt_does_not_keep_a_report_from_being_signed_but_is_said_in_it(world):
    _, visit = measured_visit(world, stature=("161", "161"), thigh_clearance=("6.1", "6.1"))
    world.type(visit, "ask.warning", "none")
    world.type(visit, "report.follow_up", "2026-12-20")
    world.reports.sign(world.office.owner, world.office.practice, visit, "cm")
    assert "In doubt and not settled: thigh thickness." in world.press.printed[0]["notes"]
    world.type(visit, "measure.thigh_clearance.kept", "Measured again")
    world.type(visit, "measure.thigh_clearance.kept_at", "6.1")
    draft, _ = world.reports.draft(world.office.owner, world.office.practice, visit, "cm")
    assert not [note for note in draft["notes"] if "doubt" in note]


def test_withdrawn_lists_and_tables_leave_the_visit_whole(world):
    owner = world.office.owner
    _, visit = measured_visit(world, stature=("161", "161"))
    own = world.measuring.add_list(owner, name="Counter", dimensions=["stature"])
    table = world.measuring.add_table(
        owner,
        name="Tall",
        origin="made up",
        text="dimension,sex,mean_mm,sd_mm\nstature,female,1700,50\n",
    )
    world.type(visit, "measure.list", str(own.id))
    world.type(visit, "measure.table", str(table.id))
    world.measuring.drop_list(owner, own.id)
    world.measuring.drop_table(owner, table.id)
    workup = world.visits.worked(owner, visit, "cm")[1]
    assert workup.table[0] == "British adults of 19 to 65"
    assert {one.dimension for one in workup.measured if one.listed} == set(workup.needed)


def test_the_simulated_tape_measures_the_demos_own_clients():
    client = DEMO_CLIENTS[0]
    tape = LengthStandIn("tape", {"w": body_of(client)}, troubles=False)
    for name, typed in body_readings(client).items():
        dimension = name.split(".")[1]
        answer = tape.answer(f"READ {dimension} w\n".encode()).decode().split()
        assert float(answer[1]) == pytest.approx(float(typed), abs=2.2)
