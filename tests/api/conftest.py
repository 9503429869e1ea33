"""The application over real PostgreSQL, called as a browser calls it."""

from random import randrange
from uuid import UUID, uuid4

import httpx2 as httpx
import pytest
from fastapi.testclient import TestClient
from sqlalchemy import text

from conftest import PASSWORD, make_office, run_apart
from gentle_plumb.api import make_app
from gentle_plumb.config import Settings
from gentle_plumb.devices import SmtpMail, SmtpSettings
from gentle_plumb.devices.desk_stand_in import DeskStandIn
from gentle_plumb.devices.light_stand_in import LightStandIn
from gentle_plumb.devices.mail_stand_in import MailStandIn, start_mail_server
from gentle_plumb.devices.stand_ins import LengthStandIn, address_of, listen
from gentle_plumb.hosting.worker import make_worker, work
from gentle_plumb.main import make_services
from gentle_plumb.services.access import OneTimeLinkService
from gentle_plumb.services.accounts import AccountService
from gentle_plumb.services.own_page import MailService
from gentle_plumb.storage import SqlAccounts, SqlOneTimeLinks, SqlOwnPages
from plumb_demo.clients import DEMO_CLIENTS
from plumb_demo.load import body_readings


class LightMeter(LightStandIn):
    """The simulated light meter, and where it answers."""

    address = ""


class Tape(LengthStandIn):
    """The simulated tape, and where it answers."""

    address = ""


class Desk(DeskStandIn):
    """The simulated desk, where it answers, and its clock in seconds."""

    address = ""
    now = 0.0


class MailServer(MailStandIn):
    """The simulated mail server, and its port."""

    port = 0


@pytest.fixture
def meter():
    """The simulated light meter on a port of its own."""
    stand_in = LightMeter()
    server = listen(stand_in)
    stand_in.address = address_of(server)
    yield stand_in
    server.shutdown()
    server.server_close()


@pytest.fixture
def tape():
    """The simulated tape, without its troubles, on a port of its own."""
    stand_in = Tape("tape", troubles=False)
    server = listen(stand_in)
    stand_in.address = address_of(server)
    yield stand_in
    server.shutdown()
    server.server_close()


@pytest.fixture
def electric_desk():
    """The simulated desk on a port of its own; ``now`` is its clock, seconds."""
    stand_in = Desk(at=720, clock=lambda: stand_in.now)
    server = listen(stand_in)
    stand_in.address = address_of(server)
    yield stand_in
    server.shutdown()
    server.server_close()


@pytest.fixture
def mail_folder(tmp_path):
    return tmp_path / "inbox"


@pytest.fixture
def mail_server(mail_folder):
    """The simulated mail server on a port of its own; ``busy`` counts the times it is busy first."""
    handler = MailServer(mail_folder)
    controller = start_mail_server(handler)
    handler.port = controller.port
    yield handler
    controller.stop()


@pytest.fixture
def mail_out(mail_server):
    """What hands mail over to it."""
    settings = SmtpSettings(
        host="127.0.0.1", port=mail_server.port, sender="plumb@saltmere.example", tls=False
    )
    return SmtpMail(settings)


@pytest.fixture(scope="session")
def secrets_key(tmp_path_factory):
    """The key of the database that the tests share."""
    return tmp_path_factory.mktemp("key") / "secrets.key"


@pytest.fixture
def app(engine, clock, meter, tape, electric_desk, mail_server, secrets_key):
    settings = Settings(
        demo=False,
        secrets_key=secrets_key,
        tape=tape.address,
        rod="",
        light_meter=meter.address,
        desk=electric_desk.address,
        mail=f"127.0.0.1:{mail_server.port}",
        mail_from="plumb@saltmere.example",
        mail_tls=False,
    )
    return make_app(make_services(engine, settings, clock))


class Page:
    """One browser: keeps its cookie and sends its token."""

    def __init__(self, app):
        self.app, self.member = app, None
        self.http = TestClient(
            app,
            base_url="https://saltmere.example",
            raise_server_exceptions=False,
            client=(f"10.{randrange(256)}.{randrange(256)}.{randrange(256)}", 50000),
        )

    def sign_in(self, member, password=PASSWORD) -> httpx.Response:
        answer = self.http.post("/api/session", json={"email": member.email, "password": password})
        if answer.status_code == 200:
            self.member = member
            self.http.headers["X-Plumb-Csrf"] = answer.json()["csrf"]
        return answer

    def add(self, path, **given) -> httpx.Response:
        """Something new, with an id made here unless one is given."""
        return self.http.post(f"/api/{path}", json={"id": str(uuid4()), **given})

    def new_visit(self, name="Odile Marrick") -> str:
        client = self.add("clients", name=name, sex="female").json()
        return self.add("visits", client_id=client["id"]).json()["id"]

    def sign(self, visit, revision=None, report=None) -> httpx.Response:
        """Sign the visit as it stands, or as it stood at a revision."""
        if revision is None:
            revision = self.http.get(f"/api/visits/{visit}").json()["revision"]
        return self.http.put(
            f"/api/visits/{visit}/reports/{report or uuid4()}", json={"revision": revision}
        )

    def type(self, visit, path, typed, version=0, change=None, unit="cm") -> httpx.Response:
        return self.http.put(
            f"/api/visits/{visit}/changes/{change or uuid4()}",
            json={"path": path, "typed": typed, "expected_version": version, "unit": unit},
        )

    def worked(self, visit, **query) -> dict:
        return self.http.get(f"/api/visits/{visit}/results", params=query).json()


@pytest.fixture
def guest(app):
    return Page(app)


@pytest.fixture
def owner(guest, office):
    guest.sign_in(office.owner)
    return guest


@pytest.fixture
def reader(app, office):
    page = Page(app)
    page.sign_in(office.reader)
    return page


@pytest.fixture
def colleague(app, office):
    """A practitioner of the same practice."""
    page = Page(app)
    page.sign_in(office.practitioner)
    return page


@pytest.fixture
def deliver(engine, database_url, mail_out, clock):
    """Has what is queued handed over to the mail server, as a worker does; nothing is queued before."""
    with engine.begin() as connection:
        connection.execute(text("delete from procrastinate_jobs"))

    def run(*, give_back=False):
        accounts = SqlAccounts(engine)
        entrances = OneTimeLinkService(
            SqlOneTimeLinks(engine), accounts, AccountService(accounts, clock), mail_out, clock
        )
        mail = MailService(SqlOwnPages(engine), mail_out, clock)
        made = make_worker(database_url, mail, entrances, wait_s=0)

        async def given_back():
            async with made.open_async():
                await made.tasks["give_back"].func(0)

        run_apart(given_back if give_back else lambda: work(made, until_done=True))

    return run


@pytest.fixture
def stranger(app, engine):
    """The owner of another practice."""
    page = Page(app)
    page.sign_in(make_office(SqlAccounts(engine)).owner)
    return page


def demo(name):
    return next(client for client in DEMO_CLIENTS if client.name.startswith(name))


def fill(page, visit, name, **more):
    """What the demo has of a client, written past HTTP: these tests are about what follows."""
    client = demo(name)
    visits, who = page.app.state.services.visits, page.member
    for path, typed in {**client.entries, **body_readings(client), **more}.items():
        if typed:
            visits.change(
                who,
                UUID(visit),
                change_id=uuid4(),
                path=path,
                typed=typed,
                expected_version=0,
                unit="cm",
            )


def rows(worked):
    return {f"{row['posture']}.{row['key']}": row for row in worked["rows"]}
