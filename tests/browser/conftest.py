"""The program started as people start it, and a browser in front of it."""

import os
import re
import signal
import subprocess
import sys
import time
import urllib.request
from collections.abc import Iterator
from contextlib import suppress
from dataclasses import dataclass, field

import psycopg
import pytest
from playwright.sync_api import Locator, Page, expect
from sqlalchemy.engine import make_url

from conftest import ROOT, empty_database
from gentle_plumb.hosting.postgres import Addresses, free_port
from gentle_plumb.hosting.run import prepare
from plumb_demo.people import DEMO_MEMBERS

expect.set_options(timeout=60_000)


@dataclass
class Program:
    """``plumb demo`` on a port of its own."""

    database: str
    port: int = field(default_factory=free_port)

    @property
    def address(self) -> str:
        return f"http://127.0.0.1:{self.port}"

    def start(self) -> None:
        env = {
            **os.environ,
            "GENTLE_PLUMB_DATABASE_URL": self.database,
            "PYTHONPATH": str(ROOT / "src"),
        }
        self.process = subprocess.Popen(
            [sys.executable, "-m", "gentle_plumb.cli", "demo", "--port", str(self.port)],
            env=env,
            stdout=subprocess.DEVNULL,
        )
        deadline = time.monotonic() + 90
        while True:
            try:
                urllib.request.urlopen(f"{self.address}/api/health", timeout=2).read()
                return
            except OSError:
                assert self.process.poll() is None, "the program ended"
                assert time.monotonic() < deadline, "the program does not answer"
                time.sleep(0.1)

    def stop(self) -> None:
        self.process.send_signal(signal.SIGTERM)
        self.process.wait(60)


ONE_LOADS = 7_316_206
"""Any number of its own: the first to need the demo loads it, the others wait and copy."""


@pytest.fixture(scope="session")
def demo_database(server_url, testrun_uid):
    """The name of a database with the demo in it, loaded once however many run these tests."""
    name = f"plumb_demo_{testrun_uid[:12]}"
    with psycopg.connect(server_url, autocommit=True) as db:
        db.execute("select pg_advisory_lock(%s)", [ONE_LOADS])
        there = "select datname from pg_database where datname like 'plumb_demo_%'"
        names = [row[0] for row in db.execute(there)]
        if name not in names:
            for old in names:  # of runs that are over
                db.execute(f'drop database "{old}" with (force)')
            with empty_database(
                server_url
            ) as url:  # a load that broke is not taken for a whole one
                prepare(Addresses(migrates=url, serves=url), demo=True, say=lambda _: None)
                db.execute(f'create database "{name}" template "{make_url(url).database}"')
        db.execute("select pg_advisory_unlock(%s)", [ONE_LOADS])
    return name


@pytest.fixture(scope="session")
def program(server_url, demo_database):
    with empty_database(server_url, demo_database) as url:
        started = Program(url)
        started.start()
        yield started
        started.stop()


@pytest.fixture(scope="session")
def browser_type_launch_args(browser_type_launch_args):
    return {
        **browser_type_launch_args,
        "executable_path": "/usr/bin/chromium",
        "args": [
            "--no-sandbox",
            "--disable-gpu",
            "--disable-sync",
            "--no-proxy-server",
            "--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE localhost, EXCLUDE 127.0.0.1",
            "--font-render-hinting=none",
            "--use-fake-device-for-media-stream",
            "--use-fake-ui-for-media-stream",
        ],
    }


@pytest.fixture(scope="session")
def browser_context_args(browser_context_args):
    # the page's files are fetched to a device only where a test is about that: it is 18 MB each time
    return {
        **browser_context_args,
        "viewport": {"width": 1280, "height": 800},
        "service_workers": "block",
    }


SIGNED_IN = {}
"""Cookies of who signed in before, and when they were used last, by address and member: a password is checked
slowly, on purpose."""
USABLE_S = 600
"""A session that was left alone for longer may have locked, s."""


def sign_in(page: Page, program: Program, who: int = 0) -> Page:
    page.set_default_timeout(60_000)
    cookies, used = SIGNED_IN.get((program.address, who), ([], 0))
    page.context.add_cookies(cookies if time.monotonic() - used < USABLE_S else [])
    page.goto(program.address)
    today, address = (
        page.get_by_role("heading", name="Today", exact=True),
        page.get_by_label("Email"),
    )
    expect(today.or_(address)).to_be_visible()
    if address.is_visible():
        address.fill(DEMO_MEMBERS[who].email)
        page.get_by_label("Password").fill(DEMO_MEMBERS[who].password)
        page.get_by_role("button", name="Sign in").click()
        expect(today).to_be_visible()
    remember(page, program, who)
    return page


def remember(page: Page, program: Program, who: int = 0) -> None:
    """Keep the session of a page for those that come after."""
    SIGNED_IN[program.address, who] = page.context.cookies(), time.monotonic()


@pytest.fixture
def owner(playwright, program):
    """The owner signed in without a page, to do what a test is not about."""
    seen = playwright.request.new_context(base_url=program.address)
    who = {"email": DEMO_MEMBERS[0].email, "password": DEMO_MEMBERS[0].password}
    token = seen.post("/api/session", data=who).json()["csrf"]
    head = {"X-Plumb-Csrf": token}
    made = playwright.request.new_context(
        base_url=program.address, extra_http_headers=head, storage_state=seen.storage_state()
    )
    seen.dispose()
    yield made
    made.dispose()


@pytest.fixture
def sees_health(owner):
    """The reader sees health data while this test runs: the owner has said so."""
    reader = next(one["id"] for one in owner.get("/api/members").json() if one["role"] == "reader")

    def grant(sees):
        assert owner.put(f"/api/members/{reader}/health", data={"sees_health": sees}).ok

    grant(True)
    yield
    grant(False)


def at_rest(page: Page) -> None:
    """Wait until what was asked for is drawn and nothing on the page moves any more."""
    page.evaluate(
        """async () => {
            await new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)));
            const ends = (one) => one.effect?.getComputedTiming().endTime !== Infinity;
            const moving = document.getAnimations().filter(ends);
            await Promise.allSettled(moving.map((one) => one.finished));
        }"""
    )


@pytest.fixture
def desk(page: Page, program: Program) -> Iterator[Page]:
    """A page with the owner signed in; errors in it fail the test."""
    troubles = []
    page.on("pageerror", lambda error: troubles.append(str(error)))
    page.add_locator_handler(all_the_same(page), lambda button: button.click())
    yield sign_in(page, program)
    assert troubles == []


def all_the_same(page: Page) -> Locator:
    """What answers the question before a change to a signed visit; ``desk`` says yes to it."""
    return page.get_by_role("button", name="Edit anyway")


def visit_id(page: Page, program: Program, name: str) -> str:
    lines = page.request.get(f"{program.address}/api/visits", max_retries=3).json()
    return next(line["id"] for line in lines if line["client"].startswith(name))


def open_step(page: Page, program: Program, name: str, step: str) -> None:
    page.goto(f"{program.address}/visits/{visit_id(page, program, name)}/{step}")
    expect(page.locator("#main :is(h2, h3)").first).to_be_visible()


def unheard(*pages: Page) -> None:
    """Keep pages from hearing what others change, as where both type in the same moment."""
    for page in pages:
        page.route(re.compile("/pages/"), lambda route: route.fulfill(status=503, body="{}"))


def kept(page: Page) -> None:
    """Everything typed has reached the server."""
    expect(page.get_by_role("status").first).to_contain_text(
        re.compile("Saved|Everything else saved")
    )


def pick(scope: Page | Locator, label: str, option: str) -> None:
    """Choose from a list that opens."""
    scope.get_by_label(label, exact=True).click()
    page = scope if isinstance(scope, Page) else scope.page
    page.get_by_role("option", name=option).click()


def tab(page: Page, name: str) -> None:
    """Open a part of a step."""
    page.get_by_role("tab", name=re.compile(f"^{name}( ?,|$| ?\\d)")).click()


def walk_to(page: Page, label: str) -> Locator:
    """The large field of something found, opened from the list."""
    for folded in page.locator("#main [aria-expanded=false]", has_text="where it matters").all():
        folded.click()
    line = page.get_by_role("button", name=re.compile(rf"^(! )?{re.escape(label)} ?[\dnot−-]"))
    field = page.get_by_role("textbox", name=label, exact=True)
    for _ in range(4):
        line.click()  # falls beside it where the page moves on just then
        with suppress(AssertionError):
            expect(field).to_be_visible(timeout=5000)
            return field
    expect(field).to_be_visible()
    return field


def entry(page: Page, program: Program, path: str, name: str) -> dict:
    """What the server holds of a field in a client's visit."""
    visit = visit_id(page, program, name)
    return (
        page.request.get(f"{program.address}/api/visits/{visit}", max_retries=3)
        .json()["entries"]
        .get(path, {})
    )
