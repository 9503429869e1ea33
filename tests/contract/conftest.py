"""One contract for the ports, on the fake and on PostgreSQL alike."""

from uuid import uuid4

import pytest

from conftest import make_office
from fakes import FakeAccounts, FakeMeasuring, FakeRecords, FakeShelf
from gentle_plumb.services.models import Client, Visit
from gentle_plumb.storage import SqlAccounts, SqlMeasuring, SqlRecords, SqlShelf


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
    client = Client(
        id=uuid4(),
        practice_id=office.practice.id,
        name="Odile Marrick",
        sex="female",
        work="charts",
    )
    visit = Visit(
        id=uuid4(),
        practice_id=office.practice.id,
        client_id=client.id,
        member_id=office.owner.id,
        started_on=clock().date(),
    )
    ports[1].add_client(client)
    ports[1].add_visit(visit)
    return office, client, visit


@pytest.fixture
def started_on_postgres(engine, clock):
    accounts, records = SqlAccounts(engine), SqlRecords(engine)
    office = make_office(accounts)
    client = Client(id=uuid4(), practice_id=office.practice.id, name="Bram", sex=None, work="")
    visit = Visit(
        id=uuid4(),
        practice_id=office.practice.id,
        client_id=client.id,
        member_id=office.owner.id,
        started_on=clock().date(),
    )
    records.add_client(client)
    records.add_visit(visit)
    return records, office, visit, clock
