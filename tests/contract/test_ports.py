"""One contract for the ports, on the fake and on PostgreSQL alike."""

from concurrent.futures import ThreadPoolExecutor
from dataclasses import replace
from datetime import timedelta
from uuid import uuid4

import pytest

from conftest import make_office, new_id
from fakes import FakeAccounts, FakeMeasuring, FakePolicies, FakeRecords, FakeShelf
from gentle_plumb.services.errors import (
    AlreadyThere,
    NeedsConsent,
    NotFound,
    ReusedChange,
    StaleBundle,
    StaleChange,
    StaleItem,
    StaleList,
)
from gentle_plumb.services.models import (
    Change,
    Client,
    Erase,
    Intake,
    MeasuringList,
    PhotoHead,
    PolicyBundle,
    PopulationTable,
    Report,
    Session,
    ShelfItem,
    TableRow,
    Visit,
)
from gentle_plumb.storage import SqlAccounts, SqlMeasuring, SqlPolicies, SqlRecords, SqlShelf


@pytest.fixture(params=["fake", "postgres"])
def ports(request):
    if request.param == "fake":
        accounts, store = FakeAccounts(), FakeMeasuring()
        records = store.records = FakeRecords(accounts, store)
        return accounts, records, FakeShelf(records), store
    engine = request.getfixturevalue("engine")
    return SqlAccounts(engine), SqlRecords(engine), SqlShelf(engine), SqlMeasuring(engine)


@pytest.fixture
def started(ports, clock):
    """An office with a client and a visit."""
    office = make_office(ports[0])
    client = Client(id=uuid4(), practice_id=office.practice.id, name="Odile Marrick", sex="female",
                    work="charts")  # fmt: skip
    visit = Visit(id=uuid4(), practice_id=office.practice.id, client_id=client.id,
                  member_id=office.owner.id, started_on=clock().date())  # fmt: skip
    ports[1].add_client(client)
    ports[1].add_visit(visit)
    return office, client, visit


def change(visit, member, **given):
    usual = {"id": new_id(), "visit_id": visit.id, "path": "look.found.seat", "typed": "46 cm",
             "value": 460.0, "expected_version": 0, "member_id": member.id}  # fmt: skip
    return Change(**usual | given)


def report(visit, clock, number=1, revision=0):
    return Report(id=new_id(), visit_id=visit.id, number=number, revision=revision, sha256="00",
                  content={"client": "Odile"}, signed_by="Owner", signed_at=clock())  # fmt: skip


def test_a_change_is_held_with_what_was_typed_and_who_typed(ports, started, clock):
    office, _, visit = started
    entry, revision = ports[1].write(office.practice.id, change(visit, office.owner), clock())
    assert (entry.value, entry.typed, entry.version, entry.changed_by, revision) == (
        460, "46 cm", 1, "Owner", 1
    )  # fmt: skip
    assert ports[1].open(office.practice.id, visit.id)[2] == [entry]
    assert ports[1].working(office.practice.id, visit.id).values == {"look.found.seat": 460}


def test_sent_twice_counts_once_even_after_later_changes(ports, started, clock):
    office, _, visit = started
    first = change(visit, office.owner)
    ports[1].write(office.practice.id, first, clock())
    ports[1].write(
        office.practice.id,
        change(visit, office.owner, typed="47 cm", value=470.0, expected_version=1),
        clock(),
    )
    entry, revision = ports[1].write(office.practice.id, first, clock())
    assert (entry.value, entry.version, revision) == (470, 2, 2)


def test_stale_change_gives_what_is_there_and_writes_nothing(ports, started, clock):
    office, _, visit = started
    ports[1].write(office.practice.id, change(visit, office.owner), clock())
    with pytest.raises(StaleChange) as stale:
        ports[1].write(
            office.practice.id,
            change(visit, office.practitioner, typed="50 cm", value=500.0),
            clock(),
        )
    assert (stale.value.entry.typed, stale.value.entry.version) == ("46 cm", 1)
    assert ports[1].working(office.practice.id, visit.id).visit.revision == 1


def test_an_id_of_another_change_is_refused(ports, started, clock):
    office, _, visit = started
    first = change(visit, office.owner)
    ports[1].write(office.practice.id, first, clock())
    with pytest.raises(ReusedChange):
        ports[1].write(
            office.practice.id,
            replace(first, typed="99 cm", value=990.0, expected_version=1),
            clock(),
        )


def test_emptied_is_held_as_nothing(ports, started, clock):
    office, _, visit = started
    entry, _ = ports[1].write(
        office.practice.id, change(visit, office.owner, typed="", value=None), clock()
    )
    assert entry.value is None
    assert ports[1].working(office.practice.id, visit.id).values == {"look.found.seat": None}


def test_another_practice_sees_nothing(ports, started, clock):
    office, client, visit = started
    ports[1].add_report(signed := report(visit, clock), b"%PDF")
    other = make_office(ports[0]).practice.id
    for look in (
        lambda: ports[1].client(other, client.id),
        lambda: ports[1].write(other, change(visit, office.owner), clock()),
        lambda: ports[1].open(other, visit.id),
        lambda: ports[1].working(other, visit.id),
        lambda: ports[1].report_pdf(other, signed.id),
    ):
        with pytest.raises(NotFound):
            look()
    assert (ports[1].clients(other), ports[1].visits(other)) == ([], [])
    assert [line.client for line in ports[1].visits(office.practice.id)] == [client]


def test_a_version_is_signed_once_and_kept_byte_for_byte(ports, started, clock):
    office, _, visit = started
    first = report(visit, clock)
    ports[1].add_report(first, b"%PDF-1")
    with pytest.raises(AlreadyThere):
        ports[1].add_report(report(visit, clock), b"%PDF-2")
    ports[1].add_report(report(visit, clock, number=2, revision=4), b"%PDF-3")
    kept, pdf = ports[1].report_pdf(office.practice.id, first.id)
    assert (kept.content, pdf) == ({"client": "Odile"}, b"%PDF-1")
    assert [head.number for head in ports[1].open(office.practice.id, visit.id)[3]] == [1, 2]
    working = ports[1].working(office.practice.id, visit.id)
    assert (working.versions, working.signed_revision) == (2, 4)


def test_a_line_tells_what_is_said_of_warning_signs(ports, started, clock):
    office, _, visit = started
    for path, value in (("ask.sign.fever", "yes"), ("ask.sign.fever.done", None),
                        ("ask.warning", "none"), ("ask.reason", "Neck")):  # fmt: skip
        ports[1].write(office.practice.id, change(visit, office.owner, path=path, typed=value or "",
                                                  value=value), clock())  # fmt: skip
    (line,) = ports[1].visits(office.practice.id)
    assert line.signs == {
        "ask.sign.fever": "yes",
        "ask.sign.fever.done": None,
        "ask.warning": "none",
    }


CONSENT = "ask.consent.photographs"


def agree(ports, office, visit, clock, value="yes", version=0, erase=None):
    given = change(visit, office.owner, path=CONSENT, typed=value, value=value,
                   expected_version=version, erase=erase)  # fmt: skip
    return ports[1].write(office.practice.id, given, clock())


def photo(visit, clock, **more):
    usual = {"id": new_id(), "visit_id": visit.id, "width": 800, "height": 600, "fov_deg": 62.0,
             "size": 3, "sha256": "ab", "added_by": "Owner", "added_at": clock()}  # fmt: skip
    return PhotoHead(**usual | more)


def test_a_change_that_needs_consent_is_kept_only_with_it(ports, started, clock):
    office, _, visit = started
    note = change(visit, office.owner, path="look.note", typed="x", value="x", consent=CONSENT)
    with pytest.raises(NeedsConsent):
        ports[1].write(office.practice.id, note, clock())
    assert ports[1].working(office.practice.id, visit.id).visit.revision == 0
    agree(ports, office, visit, clock)
    assert ports[1].write(office.practice.id, note, clock())[0].typed == "x"


def test_photographs_are_kept_once_with_consent_and_within_the_practice(ports, started, clock):
    office, _, visit = started
    taken = photo(visit, clock)
    keep = {"member_id": office.owner.id, "consent": CONSENT}
    with pytest.raises(NeedsConsent):
        ports[1].add_photo(office.practice.id, taken, b"jpg", **keep)
    agree(ports, office, visit, clock)
    assert ports[1].add_photo(office.practice.id, taken, b"jpg", **keep) == taken
    assert ports[1].add_photo(office.practice.id, taken, b"jpg", **keep) == taken
    assert ports[1].working(office.practice.id, visit.id).visit.revision == 2
    with pytest.raises(AlreadyThere):
        ports[1].add_photo(office.practice.id, replace(taken, sha256="cd"), b"other", **keep)
    assert ports[1].photo(office.practice.id, taken.id) == (taken, b"jpg")
    assert ports[1].open(office.practice.id, visit.id)[4] == [taken]
    assert ports[1].working(office.practice.id, visit.id).photos == (taken,)
    other = make_office(ports[0]).practice.id
    for look in (ports[1].photo, ports[1].drop_photo):
        with pytest.raises(NotFound):
            look(other, taken.id)
    with pytest.raises(NotFound):
        ports[1].add_photo(other, taken, b"jpg", **keep)


def test_erasing_takes_values_texts_and_history_and_leaves_versions(ports, started, clock):
    office, _, visit = started
    agree(ports, office, visit, clock)
    taken = photo(visit, clock)
    ports[1].add_photo(
        office.practice.id, taken, b"jpg", member_id=office.owner.id, consent=CONSENT
    )
    ear = f"look.photo.{taken.id}.ear"
    placed = change(visit, office.owner, path=ear, typed="1 2", value="1.0 2.0")
    ports[1].write(office.practice.id, placed, clock())
    ports[1].write(office.practice.id, change(visit, office.owner), clock())
    agree(ports, office, visit, clock, "withdrawn", 1, Erase(starts=("look.photo.",), photos=True))
    entries = {entry.path: entry for entry in ports[1].open(office.practice.id, visit.id)[2]}
    assert (entries[ear].value, entries[ear].typed, entries[ear].version) == (None, "", 2)
    assert entries["look.found.seat"].typed == "46 cm"
    assert ports[1].open(office.practice.id, visit.id)[4] == []
    with pytest.raises(StaleChange):
        ports[1].write(
            office.practice.id, replace(placed, id=new_id(), expected_version=1), clock()
        )


def test_a_dropped_photograph_takes_its_own_points_only(ports, started, clock):
    office, _, visit = started
    agree(ports, office, visit, clock)
    first, second = photo(visit, clock), photo(visit, clock)
    for one in (first, second):
        ports[1].add_photo(
            office.practice.id, one, b"j", member_id=office.owner.id, consent=CONSENT
        )
        placed = change(
            visit, office.owner, path=f"look.photo.{one.id}.ear", typed="1 2", value="1 2"
        )
        ports[1].write(office.practice.id, placed, clock())
    ports[1].drop_photo(office.practice.id, first.id)
    values = ports[1].working(office.practice.id, visit.id).values
    assert (values[f"look.photo.{first.id}.ear"], values[f"look.photo.{second.id}.ear"]) == (
        None,
        "1 2",
    )
    assert ports[1].working(office.practice.id, visit.id).photos == (second,)
    with pytest.raises(NotFound):
        ports[1].photo(office.practice.id, first.id)


def test_a_shelf_item_is_changed_upon_its_version_only(ports, started, clock):
    office, client, visit = started
    shelf, mine = ports[2], office.practice.id
    desk = ShelfItem(id=new_id(), practice_id=mine, piece="workstation", name="Watch desk",
                     place="Ops", values={"look.desk.kind": "fixed"})  # fmt: skip
    shelf.add_item(desk)
    with pytest.raises(AlreadyThere):
        shelf.add_item(replace(desk, id=new_id()))
    moved = shelf.change_item(replace(desk, place="Bridge"))
    assert (moved.place, moved.version) == ("Bridge", 2)
    with pytest.raises(StaleItem) as stale:
        shelf.change_item(replace(desk, place="Attic"))
    assert stale.value.item == moved
    here = change(
        visit, office.owner, path="look.workstation", typed=str(desk.id), value=str(desk.id)
    )
    ports[1].write(mine, here, clock())
    assert shelf.items(mine) == [replace(moved, users=(client.name,))]
    other = make_office(ports[0]).practice.id
    assert shelf.items(other) == []
    for touch in (lambda: shelf.drop_item(other, desk.id),
                  lambda: shelf.change_item(replace(moved, practice_id=other))):  # fmt: skip
        with pytest.raises(NotFound):
            touch()
    shelf.drop_item(mine, desk.id)
    assert shelf.items(mine) == []


def test_sessions_end_and_addresses_are_taken_once(ports, started, clock):
    office, _, _ = started
    session = Session(token_hash=uuid4().bytes, member_id=office.owner.id, csrf="x",
                      expires_at=clock.now)  # fmt: skip
    live = replace(session, token_hash=uuid4().bytes, expires_at=clock.now.replace(hour=12))
    for one in (session, live):
        ports[0].add_session(one)
    assert ports[0].session(session.token_hash, clock()) is None
    assert ports[0].session(live.token_hash, clock())[1:] == (office.owner, office.practice)
    ports[0].drop_session(live.token_hash)
    assert ports[0].session(live.token_hash, clock()) is None
    with pytest.raises(AlreadyThere):
        ports[0].add_member(replace(office.reader, id=uuid4(), email=office.owner.email))


def test_of_many_at_once_exactly_one_wins(started_on_postgres):
    records, office, visit, clock = started_on_postgres

    def put(job):
        version, number = job
        mine = change(visit, office.owner, typed=f"{number}", value=1.0, expected_version=version)
        try:
            records.write(office.practice.id, mine, clock())
        except StaleChange:
            return 0
        return 1

    with ThreadPoolExecutor(8) as pool:
        for version in range(10):
            assert sum(pool.map(put, [(version, number) for number in range(8)])) == 1
    assert records.working(office.practice.id, visit.id).visit.revision == 10


@pytest.fixture
def started_on_postgres(engine, clock):
    accounts, records = SqlAccounts(engine), SqlRecords(engine)
    office = make_office(accounts)
    client = Client(id=uuid4(), practice_id=office.practice.id, name="Bram", sex=None, work="")
    visit = Visit(id=uuid4(), practice_id=office.practice.id, client_id=client.id,
                  member_id=office.owner.id, started_on=clock().date())  # fmt: skip
    records.add_client(client)
    records.add_visit(visit)
    return records, office, visit, clock


def test_no_note_slips_in_beside_a_withdrawal(started_on_postgres):
    records, office, visit, clock = started_on_postgres
    notes = "ask.consent.notes"

    def put(path, typed, version=0, **more):
        records.write(office.practice.id, change(visit, office.owner, path=path, typed=typed,
                                                 value=typed, expected_version=version, **more),
                      clock())  # fmt: skip

    def write(number):
        try:
            put(f"ask.care.note{number}", "x", consent=notes)
        except NeedsConsent:
            return False
        return True

    put(notes, "yes")
    with ThreadPoolExecutor(8) as pool:
        before = [pool.submit(write, number) for number in range(12)]
        gone = pool.submit(put, notes, "withdrawn", 1, erase=Erase(starts=("ask.care.",)))
        after = [pool.submit(write, number) for number in range(12, 40)]
        gone.result()
        kept = [job.result() for job in before + after]
    assert not write(99)
    values = records.working(office.practice.id, visit.id).values
    assert {value for path, value in values.items() if path.startswith("ask.care.")} <= {None}
    assert sum(kept) < 40


def test_a_picture_sent_many_times_at_once_is_kept_once(started_on_postgres):
    records, office, visit, clock = started_on_postgres
    consent = change(visit, office.owner, path=CONSENT, typed="yes", value="yes")
    records.write(office.practice.id, consent, clock())
    taken = photo(visit, clock)

    def send(_):
        return records.add_photo(office.practice.id, taken, b"jpg", member_id=office.owner.id,
                                 consent=CONSENT)  # fmt: skip

    with ThreadPoolExecutor(8) as pool:
        assert set(pool.map(send, range(16))) == {taken}
    working = records.working(office.practice.id, visit.id)
    assert (working.photos, working.visit.revision) == ((taken,), 2)


def own_list(office, name="Counter", **given):
    usual = {"id": new_id(), "practice_id": office.practice.id, "name": name,
             "dimensions": ("hand_length", "stature")}  # fmt: skip
    return MeasuringList(**usual | given)


def table(office, clock, name="Staff"):
    rows = (TableRow(dimension="stature", sex="female", mean_mm=1640, sd_mm=60.5),)
    return PopulationTable(id=new_id(), practice_id=office.practice.id, name=name, origin="made up",
                           rows=rows, added_by="Owner", added_at=clock())  # fmt: skip


def test_lists_are_kept_changed_upon_their_version_and_stay_in_their_practice(ports, started):
    office, store = started[0], ports[3]
    stranger = make_office(ports[0])
    kept = own_list(office)
    store.add_list(kept)
    store.add_list(own_list(stranger))
    with pytest.raises(AlreadyThere):
        store.add_list(own_list(office))
    longer = replace(kept, dimensions=("stature",))
    assert store.change_list(longer).version == 2
    with pytest.raises(StaleList) as stale:
        store.change_list(kept)
    assert stale.value.kept.dimensions == ("stature",)
    with pytest.raises(NotFound):
        store.drop_list(stranger.practice.id, kept.id)
    assert store.lists(office.practice.id) == [replace(longer, version=2)]
    store.drop_list(office.practice.id, kept.id)
    assert store.lists(office.practice.id) == []


def test_tables_come_back_as_they_were(ports, started, clock):
    office, store = started[0], ports[3]
    kept = table(office, clock)
    store.add_table(kept)
    with pytest.raises(AlreadyThere):
        store.add_table(table(office, clock))
    assert store.tables(office.practice.id) == [kept]
    with pytest.raises(NotFound):
        store.drop_table(make_office(ports[0]).practice.id, kept.id)
    store.drop_table(office.practice.id, kept.id)
    assert store.tables(office.practice.id) == []


def read(ports, visit, member, clock, path, mm, version=0):
    said = mm if isinstance(mm, str) else float(mm)
    ports[1].write(
        visit.practice_id,
        change(
            visit,
            member,
            path=f"measure.{path}",
            typed=str(mm),
            value=said,
            expected_version=version,
        ),
        clock(),
    )


def test_a_visit_brings_its_list_its_table_and_what_was_measured_before(ports, started, clock):
    office, client, first = started
    read(ports, first, office.owner, clock, "stature.first", 1660)
    ports[1].write(office.practice.id, change(first, office.owner), clock())
    visit = replace(first, id=new_id(), started_on=first.started_on + timedelta(days=90),
                    errors={"stature": 4.5})  # fmt: skip
    other = replace(client, id=new_id(), name="Bram")
    ports[1].add_visit(visit)
    ports[1].add_client(other)
    ports[1].add_visit(replace(first, id=new_id(), client_id=other.id))
    kept, listed = table(office, clock), own_list(office)
    ports[3].add_table(kept)
    ports[3].add_list(listed)
    read(ports, visit, office.owner, clock, "table", str(kept.id))
    read(ports, visit, office.owner, clock, "list", str(listed.id))
    working = ports[1].working(office.practice.id, visit.id)
    assert (working.table, working.listed, working.visit.errors) == (kept, listed, {"stature": 4.5})
    assert [(one.visit_id, one.values) for one in working.earlier] == [
        (first.id, {"measure.stature.first": 1660})
    ]
    assert ports[1].working(office.practice.id, first.id).earlier == ()
    read(ports, visit, office.owner, clock, "list", "full", version=1)
    read(ports, visit, office.owner, clock, "table", str(new_id()), version=1)
    working = ports[1].working(office.practice.id, visit.id)
    assert (working.table, working.listed) == (None, None)


def test_pairs_of_readings_count_for_who_took_both(ports, started, clock):
    office, _, visit = started
    owner, colleague = office.owner, office.practitioner
    for name, takers, more in (
        ("stature", (owner, owner), {}), ("hand_length", (owner, colleague), {}),
        ("knee_height", (colleague, colleague), {"origin": "measured"}),
        ("foot_length", (owner, owner), {"origin": "carried_over"}),
        ("hand_breadth", (owner, owner), {"taken_by": "Somebody"}),
    ):  # fmt: skip
        read(ports, visit, takers[0], clock, f"{name}.first", 500)
        read(ports, visit, takers[1], clock, f"{name}.second", 496.5)
        for what, said in more.items():
            read(ports, visit, takers[0], clock, f"{name}.{what}", said)
    found = ports[3].differences(office.practice.id)
    assert {(one.member_id, one.dimension, one.mm) for one in found} == {
        (owner.id, "stature", 3.5), (colleague.id, "knee_height", 3.5)
    }  # fmt: skip
    assert [one.dimension for one in ports[3].differences(office.practice.id, owner.id)] == [
        "stature"
    ]
    assert ports[3].differences(make_office(ports[0]).practice.id) == []


def test_an_import_is_written_whole_or_not_at_all(ports, started, clock):
    office, client, visit = started
    read(ports, visit, office.owner, clock, "stature.first", 1660)
    new = replace(client, id=new_id(), name="Bram", origin_id="b7")
    theirs = replace(visit, id=new_id(), client_id=new.id, origin_id="v7")
    changes = (
        change(theirs, office.owner, path="measure.stature.first", typed="170 cm", value=1700.0),
        change(visit, office.owner, path="measure.stature.first", typed="171 cm", value=1710.0),
    )  # fmt: skip
    with pytest.raises(StaleChange):
        ports[1].take_in(
            office.practice.id, Intake(clients=(new,), visits=(theirs,), changes=changes), clock()
        )
    assert ports[1].clients(office.practice.id) == [client]
    whole = Intake(clients=(new,), visits=(theirs,), changes=changes[:1])
    ports[1].take_in(office.practice.id, whole, clock())
    found = {
        one[1].name: [e.typed for e in one[2]] for one in ports[1].measured(office.practice.id)
    }
    assert found == {"Bram": ["170 cm"], "Odile Marrick": ["1660"]}
    assert [one[0].id for one in ports[1].measured(office.practice.id, visit.id)] == [visit.id]
    twice = Intake(clients=(replace(new, id=new_id()),), visits=(), changes=())
    with pytest.raises(AlreadyThere):
        ports[1].take_in(office.practice.id, twice, clock())


@pytest.fixture(params=["fake", "postgres"])
def policies(request):
    if request.param == "fake":
        return FakeAccounts(), FakePolicies()
    engine = request.getfixturevalue("engine")
    return SqlAccounts(engine), SqlPolicies(engine)


def test_bundles_have_one_default_and_change_upon_their_version(policies):
    accounts, store = policies
    office, stranger = make_office(accounts), make_office(accounts)

    def bundle(of, name="House", **more):
        return PolicyBundle(id=new_id(), practice_id=of.practice.id, name=name,
                            choices={"elbow": "square"}, **more)  # fmt: skip

    first, theirs = bundle(office, is_default=True), bundle(stranger, is_default=True)
    store.add_bundle(first)
    store.add_bundle(theirs)
    with pytest.raises(AlreadyThere):
        store.add_bundle(bundle(office))
    second = bundle(office, "Second", is_default=True)
    store.add_bundle(second)
    assert [(one.name, one.is_default) for one in store.bundles(office.practice.id)] == [
        ("House", False), ("Second", True),
    ]  # fmt: skip
    assert store.bundles(stranger.practice.id) == [theirs]
    with pytest.raises(StaleBundle) as stale:
        store.change_bundle(first)  # it stopped being the default, so its version moved on
    changed = store.change_bundle(replace(stale.value.kept, choices={}, is_default=True))
    assert (changed.version, changed.choices) == (3, {})
    with pytest.raises(NotFound):
        store.drop_bundle(stranger.practice.id, first.id)
    store.drop_bundle(office.practice.id, first.id)
    assert [one.is_default for one in store.bundles(office.practice.id)] == [False]
