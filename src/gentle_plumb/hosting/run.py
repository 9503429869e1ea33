"""Starting and stopping everything: database, schema, demo data, web server."""

from __future__ import annotations

import ctypes
import json
import os
import signal
import subprocess
import sys
import threading
import time
import urllib.request
from collections.abc import Callable, Iterator
from contextlib import contextmanager, suppress
from pathlib import Path
from tempfile import TemporaryDirectory
from typing import Any

import uvicorn
from fastapi import FastAPI
from sqlalchemy import Engine, select
from sqlalchemy.exc import ArgumentError, DBAPIError, OperationalError, ProgrammingError
from sqlalchemy.orm import Session as Db

from ..api.metrics import SEVERAL
from ..config import ROOT, Settings
from ..logs import limit_noise
from ..mailing import now
from ..main import create_app
from ..services.errors import NoKey
from ..services.instruments import subject_word
from ..storage import (
    SqlAccounts,
    SqlAgenda,
    SqlMeasuring,
    SqlOwnPages,
    SqlPhrases,
    SqlRecords,
    SqlShelf,
    make_engine,
    migrate,
    seal_what_is_open,
    secrets_in,
)
from ..storage.queue import DROP_QUEUE
from ..storage.roles import role_of
from ..storage.tables import CLIENT, PRACTICE
from .postgres import Addresses, Cluster, PostgresTrouble, free_port, port_taken
from .processes import end_with_parent, watched

PORT = 8750
GREET_AFTER_S = 60.0
"""After so long without an answer it is said that starting takes long, s. House value."""
VAR = ROOT / "var"
Say = Callable[[str], None]


@contextmanager
def database(say: Say, folder: Path = VAR / "postgres") -> Iterator[Addresses]:
    """The addresses of the database: from the environment, or of a private one, stopped after."""
    settings = Settings()
    if settings.database_url:
        say("Database: from GENTLE_PLUMB_DATABASE_URL.")
        yield Addresses(
            migrates=settings.migrations_url or settings.database_url, serves=settings.database_url
        )
        return
    cluster = Cluster(folder)
    new = not (cluster.data / "PG_VERSION").exists()
    with _told_at_the_end(cluster, say), cluster.up() as mine:
        if cluster.moved_aside is not None:
            say(
                f"Database: {_near(cluster.moved_aside)} was no whole database; it was moved there."
            )
        text = "made" if new else "started" if mine else "joined the running"
        say(f"Database: {text} private PostgreSQL in {_near(folder)}, 127.0.0.1:{cluster.port}.")
        yield cluster.addresses


@contextmanager
def _told_at_the_end(cluster: Cluster, say: Say) -> Iterator[None]:
    try:
        yield
    finally:
        if cluster.port:
            left = cluster.running()
            say("Database left to the others that use it." if left else "Database stopped.")


def _near(path: Path) -> str:
    return str(path.relative_to(ROOT)) if path.is_relative_to(ROOT) else str(path)


class PortTaken(Exception):
    """Something else answers on the port; one plain sentence."""


def need_port(port: int, host: str = "127.0.0.1") -> None:
    """Raise PortTaken where a start would not be heard; port 0 takes any free one."""
    if port and port_taken(port, host):
        raise PortTaken(
            f"Port {port} is in use, perhaps by another ./plumb. Give another one with --port, or "
            "--port 0 for any free one."
        )


@contextmanager
def plain_errors() -> Iterator[None]:
    """What goes wrong at a start as PostgresTrouble or PortTaken: one line, and nothing left running."""
    try:
        yield
    except (OperationalError, ArgumentError, ProgrammingError) as error:
        cause = error.orig if isinstance(error, DBAPIError) else error
        lines = [line.strip() for line in str(cause).splitlines() if line.strip()]
        raise PostgresTrouble(
            f"The database can’t be used: {lines[0] if lines else cause}"
        ) from None
    except OSError as error:
        raise PostgresTrouble(f"{error.filename or 'The system'}: {error.strerror}.") from None


@contextmanager
def opened(url: str) -> Iterator[Engine]:
    """A pool with the usual size, closed at the end."""
    engine = make_engine(url, pool_size=Settings().pool_size)
    try:
        yield engine
    finally:
        engine.dispose()


def prepare(database: Addresses, *, demo: bool, say: Say, fresh: bool = False) -> None:
    """Bring the schema up to date, let the serving role work, load the demo practice where there is none.

    ``fresh`` erases all there was before.
    """
    with opened(database.migrates) as engine:
        if fresh:
            erase(engine)
            say("Erased.")
        serving = role_of(database.serves)
        migrate(engine, serving if serving != role_of(database.migrates) else None)
    with opened(database.serves) as engine:
        _seal_second_factors(engine, say)
        if demo:
            _load_demo(engine, say)


def _seal_second_factors(engine: Engine, say: Say) -> None:
    """Seal what an earlier version kept open. A missing key keeps nobody from starting: recovery codes still open."""
    key = Settings().secrets_key
    try:
        sealed = seal_what_is_open(engine, secrets_in(engine, key))
    except NoKey as trouble:
        say(str(trouble))
        return
    if sealed:
        say(f"Second factors sealed: {sealed}. Keep a copy of {_near(key)}.")


def _load_demo(engine: Engine, say: Say) -> None:
    with Db(engine) as db:
        empty = db.scalar(select(PRACTICE.c.id).limit(1)) is None
    if empty:
        from plumb_demo import load_demo

        say("Loading the demo practice.")
        load_demo(
            SqlAccounts(engine),
            SqlRecords(engine),
            SqlShelf(engine),
            SqlMeasuring(engine),
            now,
            SqlOwnPages(engine),
            SqlAgenda(engine),
            SqlPhrases(engine),
        )
    else:
        say("Using the existing data.")


def erase(engine: Engine) -> None:
    """Drop everything of ours: for ``--fresh`` only."""
    from ..storage.tables import METADATA

    with engine.begin() as connection:
        METADATA.drop_all(connection)
        connection.exec_driver_sql("drop table if exists alembic_version")
        connection.exec_driver_sql("drop function if exists trail_is_added_to_only()")
        connection.exec_driver_sql(DROP_QUEUE.replace("%", "%%"))


def serve(
    url: str, *, demo: bool, say: Say, port: int = PORT, host: str = "127.0.0.1", workers: int = 1
) -> None:
    """Serve until Ctrl-C or a polite kill, with so many processes; 0: one for each core."""
    workers = workers or os.cpu_count() or 1
    os.environ["GENTLE_PLUMB_DATABASE_URL"] = url
    os.environ["GENTLE_PLUMB_DEMO"] = "1" if demo else "0"
    if not demo:
        os.environ.setdefault("GENTLE_PLUMB_BACKUP_FOLDER", str(VAR / "backups"))
        with worker(say):
            _serve(demo=demo, say=say, port=port, host=host, workers=workers)
        return
    with (
        TemporaryDirectory(prefix="plumb-mail-") as folder,
        stand_ins(demo_bodies(url), Path(folder) / "inbox") as addresses,
    ):
        inbox = Path(folder) / "inbox"
        os.environ |= {"GENTLE_PLUMB_MAIL_FOLDER": str(inbox), "GENTLE_PLUMB_MAIL_TLS": "0"}
        for name, address in addresses.items():
            os.environ.setdefault(f"GENTLE_PLUMB_{name.upper()}", address)
        say(f"Simulated: {', '.join(f'{name} {at}' for name, at in addresses.items())}.")
        with worker(say):
            _serve(demo=demo, say=say, port=port, host=host, workers=workers)


@contextmanager
def worker(say: Say) -> Iterator[None]:
    """One worker in a process of its own, for as long as the server runs; one that dies is replaced."""
    with watched(lambda done: _keep_working(done, say)):
        yield


def _keep_working(done: threading.Event, say: Say) -> None:
    while not done.is_set():
        with subprocess.Popen(
            [sys.executable, "-m", "gentle_plumb.hosting.worker"],
            stdin=subprocess.PIPE,
            env={**os.environ, "PYTHONPATH": str(ROOT / "src")},
        ) as process:
            while process.poll() is None and not done.wait(WORKER_WATCH_S):
                pass
            if process.poll() is None:
                _end(process)
                return
        say(f"The queue’s worker ended ({process.returncode}); another one is started.")
        done.wait(WORKER_WATCH_S)


WORKER_WATCH_S = 1.0
"""How often it is looked whether the worker is there, and how long before another is started, s. House value."""


def _end(process: subprocess.Popen[Any]) -> None:
    """End a process by the end of its input; not at once, not for ever."""
    if process.stdin is not None:
        process.stdin.close()
    try:
        process.wait(timeout=3)
    except subprocess.TimeoutExpired:
        process.kill()


def demo_bodies(url: str) -> dict[str, dict[str, float]]:
    """The bodies of the demo's clients, for the simulated instruments to measure."""
    from plumb_demo.clients import DEMO_CLIENTS
    from plumb_demo.load import body_of

    engine = make_engine(url, pool_size=1)
    try:
        with Db(engine) as db:
            clients = list(db.execute(select(CLIENT.c.id, CLIENT.c.name)))
    finally:
        engine.dispose()
    known = {client.name: body_of(client) for client in DEMO_CLIENTS}
    return {subject_word(id): known[name] for id, name in clients if name in known}


@contextmanager
def stand_ins(bodies: dict[str, dict[str, float]], inbox: Path) -> Iterator[dict[str, str]]:
    """The simulated instruments and mail server in a process of their own; addresses by setting's name.

    Mail that arrives is kept in ``inbox``.
    """
    with subprocess.Popen(
        [sys.executable, "-m", "gentle_plumb.devices.stand_ins"],
        stdin=subprocess.PIPE,
        stdout=subprocess.PIPE,
        text=True,
        env={**os.environ, "PYTHONPATH": str(ROOT / "src"), "GENTLE_PLUMB_MAIL_FOLDER": str(inbox)},
    ) as process:
        assert process.stdin is not None
        assert process.stdout is not None
        process.stdin.write(json.dumps(bodies) + "\n")
        process.stdin.flush()
        addresses: dict[str, str] = {}
        for line in process.stdout:
            name, _, address = line.strip().partition(" ")
            if name == "ready":
                break
            addresses["light_meter" if name == "light" else name] = address
        try:
            yield addresses
        finally:
            _end(process)


def _serve(*, demo: bool, say: Say, port: int, host: str, workers: int) -> None:
    port = port or free_port()
    event = threading.Event()
    threading.Thread(target=_greet, args=(port, demo, say, event), daemon=True).start()
    with TemporaryDirectory(prefix="plumb-figures-") as figures:
        if workers > 1:
            os.environ[SEVERAL] = figures
        try:
            _run(workers, host, port)
        finally:
            event.set()
            os.environ.pop(SEVERAL, None)


M_ARENA_MAX = -8
"""The C library's own name for the number of its heaps, from its malloc.h."""
MOST_ARENAS = 2
"""How many heaps the C library may use; with one for every thread, each would keep its own peak. House value."""


def _few_arenas() -> None:
    mallopt = getattr(ctypes.CDLL(None), "mallopt", None)  # glibc's own
    if mallopt is not None:
        mallopt(M_ARENA_MAX, MOST_ARENAS)


def _run(workers: int, host: str, port: int) -> None:
    _few_arenas()
    limit_noise()
    uvicorn.run(
        "gentle_plumb.hosting.run:serving_process" if workers > 1 else create_app(),
        factory=workers > 1,
        workers=workers if workers > 1 else None,
        host=host,
        port=port,
        log_level="warning",
        access_log=False,
        timeout_graceful_shutdown=3,
        forwarded_allow_ips=Settings().trusted_proxies,
        server_header=False,
        timeout_worker_healthcheck=WORKER_PATIENCE_S,
    )


WORKER_PATIENCE_S = 120
"""How long a serving process may take to start, or to answer while it is busy, s: a slow machine takes ten for
its imports alone. House value."""


def serving_process() -> FastAPI:
    """The application of one of several processes, which ends with the one that started it."""
    end_with_parent()
    limit_noise()
    return create_app()


def _greet(port: int, demo: bool, say: Say, event: threading.Event) -> None:
    """Say where it answers, once it does."""
    address = f"http://127.0.0.1:{port}"
    begun, patient = time.monotonic(), True
    while not _answers(address):
        if event.wait(0.05):
            return  # it ended before it began
        if patient and time.monotonic() - begun > GREET_AFTER_S:
            say("Still starting: this machine is slow today.")
            patient = False
    say(f"Gentle Plumb answers at {address}")
    if demo:
        from plumb_demo.people import DEMO_MEMBERS

        for person in DEMO_MEMBERS:
            say(f"  sign in as {person.email}  password {person.password}   ({person.says})")
    say("Press Ctrl-C to stop.")


def _answers(address: str) -> bool:
    with suppress(OSError):
        urllib.request.urlopen(f"{address}/api/health", timeout=5).read()
        return True
    return False


def end_on_signals() -> None:
    """A polite kill ends like Ctrl-C, so that the database is stopped as well."""

    def leave(*_: object) -> None:
        raise KeyboardInterrupt

    signal.signal(signal.SIGTERM, leave)
    signal.signal(signal.SIGHUP, leave)
