"""Fifty practitioners at once: several processes and servers on one PostgreSQL."""

from __future__ import annotations

import asyncio
import os
import random
import subprocess
import sys
import tempfile
import time
from collections.abc import Iterator
from contextlib import ExitStack, contextmanager
from dataclasses import dataclass, field
from pathlib import Path
from typing import Literal, get_args
from uuid import uuid4

import httpx2 as httpx

from gentle_plumb.api.render_queue import BUSY
from gentle_plumb.config import ROOT, Settings
from gentle_plumb.hosting import run
from gentle_plumb.hosting.postgres import Addresses, Cluster, free_port
from gentle_plumb.main import make_services
from gentle_plumb.services.models import NewClient
from gentle_plumb.storage import SqlAccounts
from plumb_demo.clients import DEMO_CLIENTS
from plumb_demo.load import body_readings
from plumb_demo.people import DEMO_MEMBERS

from .rows import Figure, Measured, Rows, spread

PEOPLE = 50
PASSWORD = uuid4().hex
SERVERS = ((2, "2 processes"), (1, "1 more server"))
"""Processes of each server that stands on the database."""
DRAWN = {
    "nobody": "",
    "server": ", drawn anew by the server",
    "page": ", drawn anew by the page where the server is busy",
}
TYPED = ("look.found.seat", (40, 55)), ("look.found.surface", (62, 80))


def _visits(database: Addresses) -> list[str]:
    """A filled visit for each who types, written past HTTP."""
    client = next(
        demo_client for demo_client in DEMO_CLIENTS if demo_client.name.startswith("Odile")
    )
    entries = {path: typed for path, typed in client.entries.items() if typed}
    entries |= body_readings(client)
    visits = []
    with run.opened(database.serves) as engine:
        services = make_services(engine, Settings(demo=False))
        member = SqlAccounts(engine).member_by_email(DEMO_MEMBERS[0].email)
        assert member is not None
        services.accounts.reset_password(member.email, PASSWORD)  # the published one opens nothing
        practice = SqlAccounts(engine).practice(member.practice_id)
        for number in range(PEOPLE):
            of = services.visits.add_client(member, NewClient(name=f"Load {number}", sex="female"))
            visit = services.visits.start(member, practice, of.id)
            for path, typed in entries.items():
                services.visits.change(
                    member,
                    visit.id,
                    change_id=uuid4(),
                    path=path,
                    typed=typed,
                    expected_version=0,
                    unit="cm",
                )
            visits.append(str(visit.id))
    return visits


Draws = Literal["nobody", "server", "page"]


@dataclass(frozen=True)
class Job:
    """How long they type, s, and who draws each change: nobody, the server, or the page where the server is busy."""

    seconds: int
    draws: Draws


@contextmanager
def _server(url: str, processes: int) -> Iterator[str]:
    port = free_port()
    env = {**os.environ, "PYTHONPATH": str(ROOT / "src"), "GENTLE_PLUMB_DATABASE_URL": url}
    command = [sys.executable, "-m", "gentle_plumb.cli", "serve", f"--port={port}"]
    process = subprocess.Popen(
        [*command, f"--workers={processes}"],
        env=env | {"GENTLE_PLUMB_BACKUP_FOLDER": ""},
        stdout=subprocess.DEVNULL,
        stderr=subprocess.DEVNULL,  # its log
    )
    address = f"http://127.0.0.1:{port}"
    try:
        while True:
            try:
                if httpx.get(f"{address}/api/ready", timeout=2).status_code == httpx.codes.OK:
                    break
            except httpx.HTTPError:
                time.sleep(0.1)
        yield address
    finally:
        process.terminate()
        process.wait(20)


@dataclass
class Took:
    """Times of all who type, ms: until a change was acknowledged, and until its drawing was there."""

    acknowledged: list[float] = field(default_factory=list)
    shown: list[float] = field(default_factory=list)
    overtaken: int = 0
    """Drawings that a later change came before."""
    left: int = 0
    """Drawings left to the page."""


VIEW = "width=790&height=690"


async def _type(address: str, token: dict[str, str], visit: str, job: Job, took: Took) -> int:
    """One practitioner, as the page does it: a change a second, its drawing with it or asked for until the next one."""
    query = f"?draw=true&{VIEW}" if job.draws != "nobody" else ""
    wrong = 0
    async with httpx.AsyncClient(base_url=address, headers=token, timeout=30) as http:
        entries = (await http.get(f"/api/visits/{visit}")).json()["entries"]
        versions = {path: entries[path]["version"] for path, _ in TYPED}
        await asyncio.sleep(random.random())  # noqa: S311
        for number in range(job.seconds):
            path, (low, high) = TYPED[number % len(TYPED)]
            body = {
                "path": path,
                "typed": str(random.randrange(low, high)),  # noqa: S311
                "expected_version": versions[path],
            }
            begun = time.perf_counter()
            answer = await http.put(f"/api/visits/{visit}/changes/{uuid4()}{query}", json=body)
            took.acknowledged.append((time.perf_counter() - begun) * 1000)
            if answer.status_code == httpx.codes.OK:
                said = answer.json()
                versions[path] = said["entry"]["version"]
                if said["drawn"] is not None:
                    took.shown.append((time.perf_counter() - begun) * 1000)
                elif job.draws == "page" and BUSY in answer.headers:
                    took.left += 1
                elif job.draws != "nobody":
                    await _show(http, visit, begun, took)
            else:
                wrong += 1
            await asyncio.sleep(max(0.0, 1 - (time.perf_counter() - begun)))
    return wrong


async def _show(http: httpx.AsyncClient, visit: str, begun: float, took: Took) -> None:
    """Ask for the drawing of a change that came without; given up when the next change is due."""
    left = 1 - (time.perf_counter() - begun)
    try:
        asked = http.get(f"/api/visits/{visit}/results?{VIEW}")
        await asyncio.wait_for(asked, max(0.01, left))
    except TimeoutError:
        took.overtaken += 1
    else:
        took.shown.append((time.perf_counter() - begun) * 1000)


def _token(address: str) -> dict[str, str]:
    credentials = {"email": DEMO_MEMBERS[0].email, "password": PASSWORD}
    with httpx.Client(base_url=address) as http:
        answer = http.post("/api/session", json=credentials)
        return {
            "X-Plumb-Csrf": answer.json()["csrf"],
            "Cookie": f"plumb_session={answer.cookies['plumb_session']}",
        }


async def _all(addresses: list[str], visits: list[str], job: Job) -> tuple[Took, int]:
    took = Took()
    tokens = {address: _token(address) for address in addresses}
    of = [addresses[number % len(addresses)] for number in range(len(visits))]
    wrong = await asyncio.gather(
        *(
            _type(address, tokens[address], visit, job, took)
            for address, visit in zip(of, visits, strict=True)
        )
    )
    return took, sum(wrong)


def load_rows(table: Rows, seconds: int) -> None:
    """Add the rows about many at once: one server, then several on the same database."""
    with tempfile.TemporaryDirectory(dir=run.VAR if run.VAR.exists() else None) as folder:
        cluster = Cluster(Path(folder) / "load")
        with cluster.up():
            run.prepare(cluster.addresses, demo=True, say=lambda _: None)
            visits = _visits(cluster.addresses)
            for draws in get_args(Draws):
                for count in range(1, len(SERVERS) + 1):
                    chosen = SERVERS[:count]
                    with ExitStack() as held:
                        addresses = [
                            held.enter_context(_server(cluster.addresses.serves, processes))
                            for processes, _ in chosen
                        ]
                        took, wrong = asyncio.run(_all(addresses, visits, Job(seconds, draws)))
                    name = ", ".join(words for _, words in chosen)
                    table.add_row(
                        f"{PEOPLE} type a change a second{DRAWN[draws]} ({name})",
                        _said(took, wrong),
                        "p95 under 200 ms, 0 errors",
                    )


def _said(took: Took, wrong: int) -> Measured:
    said: list[Figure | str] = [
        *spread(took.acknowledged, digits=0),
        f"{wrong} errors of {len(took.acknowledged)}",
    ]
    if took.shown:
        said += spread(took.shown, f"{len(took.shown)} drawn", digits=0)
    if took.overtaken:
        said.append(f"{took.overtaken} overtaken by the next change")
    if took.left:
        said.append(f"{took.left} left to the page")
    return said
