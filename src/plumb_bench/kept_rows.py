"""Rows about what is kept: a visit without network, its merge, backup and restore of a large practice."""

from __future__ import annotations

import itertools
import re
import tempfile
import time
from datetime import UTC, datetime
from pathlib import Path
from uuid import uuid4

import httpx2 as httpx
import psycopg
from playwright.sync_api import sync_playwright
from pyrage import x25519
from sqlalchemy import Connection, FromClause, text
from sqlalchemy.engine import make_url

from gentle_plumb.hosting import run
from gentle_plumb.hosting.backups import back_up, restore
from gentle_plumb.hosting.postgres import Cluster
from gentle_plumb.storage.tables import CHANGE, ENTRY, PHOTO, REPORT, REPORT_COPY, VISIT
from plumb_demo.people import DEMO_MEMBERS

from .rows import Figure, Rows

CHANGES = 400
WITH_PAPERS = 20
"""Of so many visits one has its signed papers and its photographs."""


def offline_row(table: Rows, address: str, browser_args: list[str]) -> None:
    """The page started without network, to its door, to Today, and to an open visit with its own Python."""
    person = DEMO_MEMBERS[0]
    with sync_playwright() as playwright, tempfile.TemporaryDirectory() as folder:
        context = playwright.chromium.launch_persistent_context(
            folder,
            executable_path="/usr/bin/chromium",
            args=browser_args,
            viewport={"width": 1280, "height": 800},
        )
        page = context.pages[0]
        page.goto(address)
        page.get_by_label("Email").fill(person.email)
        page.get_by_label("Password").fill(person.password)
        page.get_by_role("button", name="Sign in").click()
        page.get_by_role("heading", name="Today", exact=True).wait_for()
        while not page.evaluate("navigator.serviceWorker.controller !== null"):
            page.wait_for_timeout(200)
        page.wait_for_timeout(8000)  # today's visits are taken along
        context.set_offline(True)
        page.reload()
        page.get_by_label("Password").fill(person.password)
        start = time.perf_counter()
        page.reload()
        page.get_by_label("Password").wait_for()
        door = time.perf_counter() - start
        page.get_by_label("Password").fill(person.password)
        start = time.perf_counter()
        page.get_by_role("button", name="Open saved visits").click()
        page.get_by_role("heading", name="Today", exact=True).wait_for()
        today = time.perf_counter() - start
        page.wait_for_timeout(500)
        start = time.perf_counter()
        page.get_by_role("link", name=re.compile("Bram Tolliver")).first.click()
        page.get_by_role("button", name=re.compile(r"^1 Ask, ")).wait_for(timeout=120_000)
        visit = time.perf_counter() - start
        context.close()
    table.add_row(
        "page started without network: its door; Today once the password is typed; first visit open",
        [Figure("door", door, "s"), Figure("Today", today, "s"), Figure("visit", visit, "s")],
        "no bar set",
    )


def merge_row(table: Rows, http: httpx.Client, visit: str) -> None:
    """Changes of one visit sent one after the other, as the page does when the network is back."""
    entries = http.get(f"/api/visits/{visit}").json()["entries"]
    paths = ("look.found.surface", "look.found.distance")
    versions = {path: entries.get(path, {"version": 0})["version"] for path in paths}
    start = time.perf_counter()
    for number, path in zip(range(CHANGES), itertools.cycle(paths), strict=False):
        body = {"path": path, "typed": f"{62 + number % 9}", "expected_version": versions[path]}
        answer = http.put(f"/api/visits/{visit}/changes/{uuid4()}", json=body)
        answer.raise_for_status()
        versions[path] = answer.json()["entry"]["version"]
    spent = time.perf_counter() - start
    table.add_row(
        f"merge of a visit of {CHANGES} changes, one after the other",
        [Figure("all", spent, "s"), Figure("a change", spent / CHANGES * 1000)],
        "no bar set",
    )


def backup_row(table: Rows, visits: int) -> None:
    """A large practice, backed up with its reading back, and restored into an empty database."""
    with tempfile.TemporaryDirectory(dir=run.VAR if run.VAR.exists() else None) as folder:
        cluster = Cluster(Path(folder) / "large")
        with cluster.up():
            run.prepare(cluster.addresses, demo=True, say=lambda _: None)
            with run.opened(cluster.addresses.migrates) as engine, engine.begin() as connection:
                rows = _multiply(connection, visits)
            key, url = x25519.Identity.generate(), cluster.addresses.migrates
            start = time.perf_counter()
            backup = back_up(url, Path(folder) / "backups", key, datetime.now(UTC))
            backed = time.perf_counter() - start
            with psycopg.connect(cluster.url, autocommit=True) as db:
                db.execute("create database empty owner plumb_migrates")
            empty = make_url(url).set(database="empty").render_as_string(hide_password=False)
            start = time.perf_counter()
            restore(empty, backup.path, key)
            restored = time.perf_counter() - start
    table.add_row(
        "backup of a large practice",
        [
            f"{visits:,} visits, {rows:,} rows, papers and photographs in one of {WITH_PAPERS}",
            Figure("backed up and read back, each", backed / visits * 1000),
            Figure("file", backup.size / 1e6, "MB", 0),
            Figure("restored, each", restored / visits * 1000),
        ],
        "restored within 6 ms each, 10,000 within 60 s",
    )


def _multiply(connection: Connection, visits: int) -> int:
    """Copy the demo's fullest visit so many times; how many rows there are of it."""
    source = connection.scalar(
        text(
            "select visit_id from report join visit on visit.id = report.visit_id "
            "join client on client.id = visit.client_id where client.name like 'Odile%' limit 1"
        )
    )
    parameters = {"source": source, "visits": visits, "few": WITH_PAPERS}
    run_ = connection.execute
    run_(
        text(
            "create temp table made as select gen_random_uuid() as id, number "
            "from generate_series(1, :visits) number"
        ),
        parameters,
    )
    run_(text(_copied(VISIT, {"id": "made.id"}, "t.id = :source")), parameters)
    fresh = {"id": "gen_random_uuid()", "visit_id": "made.id"}
    whole = "t.visit_id = :source"
    few = f"{whole} and made.number % :few = 0"
    run_(text(_copied(ENTRY, {"visit_id": "made.id"}, whole)), parameters)
    run_(text(_copied(CHANGE, fresh, whole)), parameters)
    run_(text(_copied(PHOTO, fresh, few)), parameters)
    run_(text(_copied(REPORT, fresh, few)), parameters)
    columns = ", ".join(_names(REPORT_COPY))
    others = ", ".join(f"c.{name}" for name in _names(REPORT_COPY) if name != "report_id")
    run_(
        text(
            f"insert into report_copy ({columns}) select r.id, {others} from report r "  # noqa: S608
            "join made on made.id = r.visit_id join report old on old.visit_id = :source "
            "and old.number = r.number join report_copy c on c.report_id = old.id"
        ),
        parameters,
    )
    counted = ("visit", "entry", "change", "photo", "report", "report_copy")
    return sum(
        connection.scalar(text(f"select count(*) from {size}")) or 0  # noqa: S608
        for size in counted
    )


def _names(table: FromClause) -> list[str]:
    return [column.name for column in table.columns]


def _copied(table: FromClause, put: dict[str, str], which: str) -> str:
    """An insert of rows like those of a visit, for each visit that is made."""
    names = _names(table)
    values = ", ".join(put.get(name, f"t.{_quoted(name)}") for name in names)
    held = ", ".join(map(_quoted, names))
    return f"insert into {table.description} ({held}) select {values} from {table.description} t, made where {which}"  # noqa: S608


def _quoted(name: str) -> str:
    return f'"{name}"'
