"""Rows that need the running program: API, browser, memory, start."""

from __future__ import annotations

import os
import re
import subprocess
import sys
import tempfile
import threading
import time
import urllib.request
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any

from fastapi import FastAPI, Response
from sqlalchemy import text

from gentle_plumb.config import ROOT
from gentle_plumb.hosting import run
from gentle_plumb.hosting.postgres import Cluster, free_port
from gentle_plumb.storage import make_engine

from .browser_rows import BROWSER_ARGS, browser_row
from .caller import CurrentUser
from .kept_rows import merge_row, offline_row
from .rows import Figure, Rows, spread
from .timing import timed

GIVEN_UP_S = 300
"""So long a start is waited for; how long it took is a row of its own."""


@contextmanager
def started(database: str, port: int) -> Iterator[tuple[str, int, float]]:
    """The program as people start it: its address, process id, and seconds until it answered."""
    env = {**os.environ, "GENTLE_PLUMB_DATABASE_URL": database, "PYTHONPATH": str(ROOT / "src")}
    start = time.monotonic()
    process = subprocess.Popen(
        [sys.executable, "-m", "gentle_plumb.cli", "demo", "--port", str(port)],
        env=env,
        stdout=subprocess.DEVNULL,
        stderr=subprocess.DEVNULL,  # its log
    )
    address = f"http://127.0.0.1:{port}"
    try:
        while True:
            try:
                urllib.request.urlopen(f"{address}/api/health", timeout=1).read()
                break
            except OSError:
                if process.poll() is not None or time.monotonic() - start > GIVEN_UP_S:
                    raise
                time.sleep(0.02)
        yield address, process.pid, time.monotonic() - start
    finally:
        process.terminate()
        process.wait(10)


@contextmanager
def bare_route(database: str, body: bytes) -> Iterator[str]:
    """A FastAPI route with one SELECT that answers with the same bytes."""
    import uvicorn

    engine, app, port = make_engine(database), FastAPI(), free_port()

    @app.get("/")
    def bare() -> Response:
        with engine.connect() as connection:
            connection.execute(text("select id from visit limit 1")).all()
        return Response(body, media_type="application/json")

    server = uvicorn.Server(uvicorn.Config(app, port=port, log_level="critical"))
    thread = threading.Thread(target=server.run, daemon=True)
    thread.start()
    while not server.started:
        time.sleep(0.02)
    yield f"http://127.0.0.1:{port}/"
    server.should_exit = True
    thread.join(5)
    engine.dispose()


def _api_row(table: Rows, caller: CurrentUser, database: str, rounds: int) -> None:
    import httpx2 as httpx

    body = sorted((caller.worked() for _ in range(15)), key=len)[7]
    ours = timed(caller.worked, rounds)
    with bare_route(database, body) as address, httpx.Client() as http:
        plain = timed(lambda: http.get(address).content, rounds)
    ratio = sorted(ours)[len(ours) // 2] / sorted(plain)[len(plain) // 2]
    table.add_row(
        "recompute over the API, database included",
        [*spread(ours), Figure("of a bare route", ratio, "times")],
        "within 2 times; p95 under 50 ms",
    )


def _card_row(table: Rows, caller: CurrentUser, rounds: int) -> None:
    """A target card with its drawing and its code, worked out, set and sent."""

    def made() -> bytes:
        answer = caller.http.get(f"/api/visits/{caller.visit}/card.pdf")
        answer.raise_for_status()
        return bytes(answer.content)

    spent = timed(made, max(10, rounds // 4))
    table.add_row("target card as PDF over the API", spread(spent, digits=0), "")


def _used_mb(process: int) -> float:
    status = Path(f"/proc/{process}/status").read_text(encoding="utf-8")
    match = re.search(r"VmRSS:\s+(\d+)", status)
    assert match is not None
    return int(match.group(1)) / 1024


@dataclass
class Served:
    """What the running program gave out that another row needs."""

    content: dict[str, Any] = field(default_factory=dict)

    def record(self) -> dict[str, Any]:
        """The words of a visit's record; raises LookupError where the program gave none."""
        if not self.content:
            raise LookupError("the running program gave no record to print")
        return self.content


def served_rows(table: Rows, rounds: int, served: Served) -> None:
    """Add the rows that need the running program, and keep a record's words for others."""
    with tempfile.TemporaryDirectory(dir=run.VAR if run.VAR.exists() else None) as folder:
        cluster = Cluster(Path(folder) / "bench")
        with cluster.up():
            with started(cluster.url, free_port()):
                pass  # the first start migrates and loads the demo
            with started(cluster.url, free_port()) as (address, process, seconds):
                caller = CurrentUser(address)
                served.content = caller.record()
                rest = _used_mb(process)
                work: list[tuple[str, Callable[[], object]]] = [
                    (
                        "recompute over the API",
                        lambda: _api_row(table, caller, cluster.url, rounds),
                    ),
                    ("target card as PDF", lambda: _card_row(table, caller, rounds)),
                    ("in Chromium", lambda: browser_row(table, caller, address, rounds)),
                    ("demo up, memory", lambda: _running_rows(table, process, seconds, rest)),
                    ("merge of a visit", lambda: merge_row(table, caller.http, caller.visit)),
                    ("without network", lambda: offline_row(table, address, BROWSER_ARGS)),
                ]
                for what, measure in work:
                    with table.at_its_own_cost(what):
                        measure()


def _running_rows(table: Rows, process: int, seconds: float, rest: float) -> None:
    table.add_row(
        "demo up, everything installed", [Figure("up", seconds, "s")], "answers within 8 s"
    )
    table.add_row(
        "server at rest; after papers, photographs and all of the above",
        [Figure("at rest", rest, "MB", 0), Figure("after", _used_mb(process), "MB", 0)],
        "at rest under 170 MB, after under 220 MB",
    )
