"""Rows that need the running program: API, browser, memory, start."""

from __future__ import annotations

import itertools
import os
import re
import statistics
import subprocess
import sys
import tempfile
import threading
import time
import urllib.request
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from dataclasses import dataclass, field
from functools import partial
from pathlib import Path
from typing import Any
from uuid import uuid4

from fastapi import FastAPI, Response
from playwright.sync_api import Page
from sqlalchemy import text

from gentle_plumb.config import ROOT
from gentle_plumb.core.record import fields
from gentle_plumb.hosting import run
from gentle_plumb.hosting.postgres import Cluster, free_port
from gentle_plumb.storage import make_engine
from plumb_demo.people import DEMO_MEMBERS

from .kept_rows import merge_row, offline_row
from .photo_times import photo_times
from .rows import Figure, Rows, spread
from .timing import timed

NOT_REDRAWN_MS = 10_000
"""So long a drawing is waited for that does not change, ms: then the row says so."""
GIVEN_UP_S = 300
"""So long a start is waited for; how long it took is a row of its own."""
BROWSER_ARGS = [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-sync",
    "--no-proxy-server",
    "--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE localhost, EXCLUDE 127.0.0.1",
]


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


class CurrentUser:
    """A signed-in caller over one kept connection."""

    def __init__(self, address: str) -> None:
        import httpx2 as httpx

        self.http = httpx.Client(base_url=address)
        person = DEMO_MEMBERS[0]
        me = self.http.post(
            "/api/session", json={"email": person.email, "password": person.password}
        )
        self.http.headers["X-Plumb-Csrf"] = me.json()["csrf"]
        token = re.search(r"plumb_session=([^;]+)", me.headers["set-cookie"])
        assert token is not None
        self.http.headers["Cookie"] = f"plumb_session={token.group(1)}"
        lines = self.http.get("/api/visits").json()
        self.visit = next(line["id"] for line in lines if line["client"] == "Bram Tolliver")
        self.not_set_yet = next(line["id"] for line in lines if line["client"] == "Yara Fenwick")
        self._all = itertools.cycle([line["id"] for line in lines])

    def change(self, path: str, typed: str) -> None:
        """Type into a field, upon its present version."""
        entries = self.http.get(f"/api/visits/{self.visit}").json()["entries"]
        version = entries.get(path, {"version": 0})["version"]
        body = {"path": path, "typed": typed, "expected_version": version}
        answer = self.http.put(f"/api/visits/{self.visit}/changes/{uuid4()}", json=body)
        answer.raise_for_status()

    def record(self) -> dict[str, Any]:
        """The words of the record of a visit."""
        answer = self.http.get(f"/api/visits/{self.visit}/report")
        answer.raise_for_status()
        return dict(answer.json()["content"]["record"])

    def worked(self) -> bytes:
        """A visit worked out and drawn, another one each time: nothing is remembered of it."""
        answer = self.http.get(f"/api/visits/{next(self._all)}/results?width=790&height=690")
        answer.raise_for_status()
        return bytes(answer.content)


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


class Stopwatch:
    """In the page: from an event to the drawing redrawn. It waits, and asks for nothing meanwhile."""

    def __init__(self, page: Page, event: str, when: str = "true") -> None:
        self.page = page
        page.evaluate(
            f"""() => {{
              const room = document.querySelector('[data-testid=elevation]').parentElement;
              let began = 0, tell = null;
              window.plumbStart = () => {{
                began = 0;
                window.plumbDrawn = new Promise((resolve, reject) => {{
                  tell = resolve;
                  setTimeout(() => reject(new Error("nothing was redrawn")), {NOT_REDRAWN_MS});
                }});
              }};
              addEventListener('{event}', (event) => {{
                if ({when}) began = performance.now();
              }}, true);
              new MutationObserver(() => {{
                const mine = began;
                if (mine) requestAnimationFrame(() => tell(performance.now() - mine));
              }}).observe(room, {{ subtree: true, childList: true, attributes: true,
                                   characterData: true }});
            }}"""
        )

    def time(self, act: Callable[[], object]) -> float:
        """Milliseconds from what an act sets off until it is drawn."""
        self.page.evaluate("() => window.plumbStart()")
        act()
        return float(self.page.evaluate("() => window.plumbDrawn"))


def _browser_row(table: Rows, caller: CurrentUser, address: str, rounds: int) -> None:
    from playwright.sync_api import sync_playwright

    person, spent = DEMO_MEMBERS[0], []
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(executable_path="/usr/bin/chromium", args=BROWSER_ARGS)
        page = browser.new_page(viewport={"width": 1280, "height": 800})
        loaded = _counted(page)
        page.goto(address)
        page.get_by_label("Address").fill(person.email)
        page.get_by_label("Password").fill(person.password)
        page.get_by_role("button", name="Sign in").click()
        page.get_by_role("heading", name="Today", exact=True).wait_for()
        page.get_by_text("To finish").first.wait_for()
        requests, sent = len(loaded), sum(loaded)
        page.goto(f"{address}/visits/{caller.visit}/look")
        seat = page.get_by_role("textbox", name=fields.found.seat.label, exact=True)
        page.get_by_test_id("elevation").wait_for()
        watch = Stopwatch(page, "keydown", "event.key === 'Tab'")
        for index in range(max(12, rounds // 3)):
            seat.fill(f"{42 + index % 7}.{index % 10}")
            spent.append(watch.time(lambda: seat.press("Tab")))
            page.wait_for_timeout(120)

        dragged = _drag_times(page, caller, address, max(30, rounds))
        nudged = _nudge_times(page, caller, address, max(10, rounds // 4))
        shown, read = photo_times(page, address, max(5, rounds // 10))
        browser.close()
    table.add_row(
        "first load, from an empty browser to Today: sent, and requests",
        [Figure("sent", sent / 1000, "kB", 0), Figure("requests", requests, "", 0)],
        "under 300 kB in at most 25",
    )
    table.add_row(
        "photograph of 12 MP: sent, made fit, shown; then a point placed to its angles on screen",
        [
            Figure("shown median", statistics.median(shown), digits=0),
            Figure("placed median", statistics.median(read), digits=0),
        ],
        "shown within 300 ms",
    )
    table.add_row(
        "nudge tapped in Set to drawing redrawn in Chromium",
        spread(nudged, digits=0),
        "p95 under 100 ms",
    )
    table.add_row(
        "flag dragged to drawing redrawn in Chromium, with the core in the page",
        spread(dragged, digits=0),
        "p95 under 30 ms",
    )
    table.add_row(
        "number typed to drawing redrawn in Chromium, over the API",
        spread(spent, digits=0),
        "p95 under 100 ms",
    )


def _counted(page: Page) -> list[float]:
    """The bytes of each answer that a page is sent, headers included, as they come."""
    sent: list[float] = []
    line = page.context.new_cdp_session(page)
    line.send("Network.enable")
    line.on("Network.loadingFinished", lambda event: sent.append(event["encodedDataLength"]))
    return sent


def _drag_times(page: Page, caller: CurrentUser, address: str, rounds: int) -> list[float]:
    """From a pointer's movement on a flag to the drawing redrawn, the page's own core at work."""
    page.goto(f"{address}/visits/{caller.visit}/work")
    page.get_by_test_id("elevation").wait_for()
    page.get_by_role("tab", name="Try").click()
    page.get_by_text("Worked out in this page").wait_for(timeout=90_000)
    flag = page.get_by_role("button", name=re.compile("^Surface, seated")).bounding_box()
    assert flag is not None
    x, y = flag["x"] + 30, flag["y"] + 8
    watch = Stopwatch(page, "pointermove")
    page.mouse.move(x, y)
    page.mouse.down()
    page.mouse.move(x, y - 20)
    page.wait_for_timeout(1500)
    spent = []
    for index in range(rounds):
        up = 24 + 3 * (index % 9)
        spent.append(watch.time(partial(page.mouse.move, x, y - up)))
        page.wait_for_timeout(60)
    page.mouse.up()
    return spent


def _nudge_times(page: Page, caller: CurrentUser, address: str, rounds: int) -> list[float]:
    """From a tap on what is seen of the client to the drawing redrawn, to and fro."""
    page.goto(f"{address}/visits/{caller.not_set_yet}/set")
    page.get_by_test_id("elevation").wait_for()
    page.get_by_role("radio", name="Setting", exact=True).click()
    page.get_by_role("button", name="Seat", exact=True).click()
    watch, spent = Stopwatch(page, "click"), []
    for index in range(rounds):
        page.get_by_role("radio", name="Nearly").click()
        reason = ("Feet light on the floor", "Knees above hips")[index % 2]
        nudge = page.get_by_role("button", name=re.compile(reason))
        nudge.wait_for()
        page.wait_for_timeout(250)
        spent.append(watch.time(nudge.click))
        page.wait_for_timeout(250)
    return spent


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
                    ("in Chromium", lambda: _browser_row(table, caller, address, rounds)),
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
