"""One contract for the ports, on the fake and on PostgreSQL alike."""

from concurrent.futures import ThreadPoolExecutor
from dataclasses import replace
from uuid import uuid4

import pytest

from conftest import make_office, new_id
from fakes import FakeAccounts, FakeRecords
from gentle_plumb.services.errors import AlreadyThere, NotFound, ReusedChange, StaleChange
from gentle_plumb.services.models import Change, Client, Report, Session, Visit
from gentle_plumb.storage import SqlAccounts, SqlRecords


@pytest.fixture(params=["fake", "postgres"])
def ports(request):
    if request.param == "fake":
        accounts = FakeAccounts()
        return accounts, FakeRecords(accounts)
    engine = request.getfixturevalue("engine")
    return SqlAccounts(engine), SqlRecords(engine)


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
