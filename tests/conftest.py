"""One PostgreSQL for the whole run; every test has a practice of its own in it."""

import asyncio
import os
from collections.abc import Callable, Coroutine, Iterator
from concurrent.futures import ThreadPoolExecutor
from contextlib import contextmanager
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from functools import cache
from pathlib import Path
from typing import Any, TypeVar
from uuid import UUID, uuid4

import psycopg
import pytest
from hypothesis import settings
from pwdlib import PasswordHash
from pwdlib.hashers.argon2 import Argon2Hasher
from sqlalchemy import Engine
from sqlalchemy.engine import make_url

from gentle_plumb.hosting.postgres import Cluster
from gentle_plumb.services import accounts
from gentle_plumb.services.models import WRITERS, Member, Practice
from gentle_plumb.storage import SqlAccounts, SqlRecords, make_engine, migrate
from seeds import SEED

settings.register_profile("plumb", deadline=None)  # no test is timed
settings.load_profile("plumb")


def pytest_terminal_summary(terminalreporter):
    """Say what was drawn by chance, so that a red run can be had again, and what tests counted."""
    terminalreporter.write_line(
        f"Fuzz and generated visits: seed {SEED}; GENTLE_PLUMB_SEED=N sets another one."
    )
    for report in terminalreporter.getreports("passed") + terminalreporter.getreports("failed"):
        for name, said in report.user_properties if report.when == "call" else ():
            terminalreporter.write_line(f"{report.nodeid} {name}: {said}")


QUICK_HASHER = PasswordHash((Argon2Hasher(time_cost=1, memory_cost=64, parallelism=1),))
accounts._hasher = QUICK_HASHER  # slow on purpose where it counts; tests sign in hundreds of times


Made = TypeVar("Made")
ROOT = Path(__file__).parents[1]
PASSWORD = "spring-tide-at-noon"


def run_apart(work: Callable[[], Coroutine[Any, Any, Made]]) -> Made:
    """Run a coroutine to its end on a thread of its own: a browser's loop may run on this one."""
    with ThreadPoolExecutor(1) as pool:
        return pool.submit(lambda: asyncio.run(work())).result()


@pytest.fixture(scope="session")
def server_url() -> Iterator[str]:
    """The server the environment names, else a private one."""
    given = os.environ.get("GENTLE_PLUMB_DATABASE_URL")
    if given:
        yield make_url(given).set(drivername="postgresql").render_as_string(hide_password=False)
        return
    cluster = Cluster(ROOT / "var" / "test-postgres")
    with cluster.up():
        yield cluster.url


@contextmanager
def empty_database(server_url: str, template: str = "template1") -> Iterator[str]:
    """A database of its own on the server, dropped afterwards; empty, or as the template is."""
    name = f"plumb_test_{uuid4().hex[:12]}"
    with psycopg.connect(server_url, autocommit=True) as db:
        db.execute(f'create database "{name}" template "{template}"')
    yield make_url(server_url).set(database=name).render_as_string(hide_password=False)
    with psycopg.connect(server_url, autocommit=True) as db:
        db.execute(f'drop database "{name}" with (force)')


@pytest.fixture(scope="session")
def database_url(server_url: str) -> Iterator[str]:
    with empty_database(server_url) as url:
        yield url


@pytest.fixture(scope="session")
def engine(database_url: str) -> Iterator[Engine]:
    made = make_engine(database_url)
    migrate(made)
    yield made
    made.dispose()


class Clock:
    """Nine in the morning of whatever day it is; stands until it is moved."""

    def __init__(self) -> None:
        self.now = datetime.now(UTC).replace(hour=9, minute=0, second=0, microsecond=0)

    def __call__(self) -> datetime:
        return self.now

    def pass_by(self, **time: float) -> None:
        self.now += timedelta(**time)


@pytest.fixture
def clock() -> Clock:
    return Clock()


@dataclass
class Office:
    """A practice with one member of each role."""

    practice: Practice
    owner: Member
    practitioner: Member
    assistant: Member
    reader: Member


@cache
def hashed(password: str) -> str:
    return QUICK_HASHER.hash(password)


def make_office(store) -> Office:
    practice = Practice(id=uuid4(), name="Saltmere", unit="cm", local_wording="")
    store.add_practice(practice)
    people = {
        role: Member(
            id=uuid4(),
            practice_id=practice.id,
            email=f"{role}-{uuid4().hex[:8]}@saltmere.example",
            name=role.title(),
            title="",
            role=role,
            password_hash=hashed(PASSWORD),
            sees_health=role in WRITERS,
        )
        for role in ("owner", "practitioner", "assistant", "reader")
    }
    for member in people.values():
        store.add_member(member)
    return Office(practice=practice, **people)


@pytest.fixture
def office(engine: Engine) -> Office:
    return make_office(SqlAccounts(engine))


@pytest.fixture
def records(engine: Engine) -> SqlRecords:
    return SqlRecords(engine)


def weeks_on(clock: Clock, weeks: int = 4) -> str:
    """The day some weeks after the clock's, as it is typed."""
    return (clock().date() + timedelta(weeks=weeks)).isoformat()


def new_id() -> UUID:
    return uuid4()
