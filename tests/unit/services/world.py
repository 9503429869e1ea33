"""Everything in memory: the use cases apart from SQL and HTTP."""

from uuid import uuid4

from conftest import make_office
from fakes import FakeAccounts, FakeMeasuring, FakeRecords, FakeShelf
from gentle_plumb.documents import PaperFiles
from gentle_plumb.documents.exchange import ExchangeFormats
from gentle_plumb.services.accounts import AccountService
from gentle_plumb.services.exchange import ExchangeService
from gentle_plumb.services.measuring import MeasuringService
from gentle_plumb.services.models import NewClient
from gentle_plumb.services.reports import ReportService
from gentle_plumb.services.throttle import Attempts
from gentle_plumb.services.visits import VisitService


class PaperPress:
    """Keeps what it is given to print."""

    def __init__(self):
        self.printed = []

    def print(self, paper, *, attached=(), pictures=None):
        self.printed.append(paper.model_dump(mode="json"))
        self.attached = {one.name: one.text for one in attached}
        return f"%PDF {len(self.printed)}".encode()

    def mark(self, pdf, words):
        return pdf + words.encode()

    def read_request(self, pdf):
        raise AssertionError(pdf)

    def print_request(self, paper):
        return paper.model_dump_json().encode()

    def print_card(self, card):
        self.printed.append(card.model_dump(mode="json"))
        return f"%PDF card {len(self.printed)}".encode()


class World:
    """Everything in memory."""

    def __init__(self, clock):
        self.clock = clock
        self.accounts_port = FakeAccounts()
        self.store = FakeMeasuring()
        self.records = self.store.records = FakeRecords(self.accounts_port, self.store)
        self.measuring = MeasuringService(self.store, self.accounts_port, clock)
        self.exchange = ExchangeService(self.records, ExchangeFormats(), clock)
        self.accounts = AccountService(self.accounts_port, clock)
        self.visits = VisitService(self.records, clock, self.measuring.errors_of)
        self.press = PaperPress()
        self.reports = ReportService(self.records, self.visits, self.press, clock, PaperFiles())
        self.shelf = FakeShelf(self.records)
        self.office = make_office(self.accounts_port)

    def visit(self):
        given = NewClient(name="Odile", sex="female", work="charts")
        client = self.visits.add_client(self.office.owner, given)
        return self.visits.start(self.office.owner, self.office.practice, client.id).id

    def sign_in(self, email, password, sender="10.0.0.1", **more):
        return self.accounts.sign_in(email, password, self.attempts("sign in", sender), **more)

    def attempts(self, kind, sender="10.0.0.1"):
        return Attempts(kind=kind, sender=sender, store=self.accounts_port, clock=self.clock)

    def type(self, visit, path, typed, version=0, unit="cm", by=None):
        return self.visits.change(
            by or self.office.owner,
            visit,
            change_id=uuid4(),
            path=path,
            typed=typed,
            expected_version=version,
            unit=unit,
        )


def measured_visit(world, name="Odile", *, at=None, **readings):
    """A visit of a new client with two readings each, cm."""
    member = world.office.owner
    client = world.visits.add_client(member, NewClient(name=name, sex="female"))
    visit = world.visits.start(member, world.office.practice, client.id).id
    for dimension, pair in readings.items():
        for which, typed in zip(("first", "second"), pair, strict=False):
            world.type(visit, f"measure.{dimension}.{which}", typed)
    return client, visit


def view_of(world, visit, name, unit="cm"):
    worked = world.visits.results(world.office.owner, visit, unit, history=name)[1]
    return next(one for one in worked.measured if one.dimension == name)
