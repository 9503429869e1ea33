"""Rows about the lists of a large practice."""

from __future__ import annotations

import statistics
import tempfile
from functools import partial
from pathlib import Path

from sqlalchemy import text

from gentle_plumb.hosting import run
from gentle_plumb.hosting.postgres import Cluster, free_port

from .caller import CurrentUser
from .rows import Figure, Rows
from .served import started
from .timing import timed

VISITS = 10_000
AUDIT_LINES = 100_000

CLIENTS = """
    insert into client (id, practice_id, name, work)
    select gen_random_uuid(), :practice, 'Client ' || n || ' Marrick', 'chart compiler'
    from generate_series(1, :visits) n
"""
OWN_VISITS = """
    insert into visit (id, practice_id, client_id, member_id, started_on, revision)
    select gen_random_uuid(), :practice, id, :member,
           current_date - (row_number() over ())::int % 900, 12
    from client where practice_id = :practice and work = 'chart compiler'
"""
ENTRIES = """
    insert into entry (visit_id, path, value, typed, version, member_id, changed_at)
    select v.id, 'measure.d' || n || '.first', '420'::jsonb, '42', 1, :member, now()
    from visit v, generate_series(1, 11) n where v.revision = 12
    on conflict do nothing
"""
LINES = """
    insert into trail (practice_id, number, at, member_id, who, act, what, request_id, digest)
    select :practice, (select coalesce(max(number), 0) from trail) + n, now(), :member, 'Ines', 'read',
           'visit', 'bench', decode('00', 'hex')
    from generate_series(1, :lines) n
"""
LISTS = (
    ("clients", "/api/clients"),
    ("clients searched", "/api/clients?q=client+77"),
    ("last page of clients", f"/api/clients?offset={VISITS - 100}"),
    ("Today", "/api/visits"),
    ("visits searched", "/api/visits?q=marr"),
    ("my visits", "/api/visits?mine=true"),
    ("keeping", "/api/retention"),
    ("audit", "/api/audit-log"),
    ("checks", "/api/checks"),
    ("restricted", "/api/restricted"),
)


def list_rows(table: Rows, rounds: int) -> None:
    """Every list, in a practice with as many visits and audit lines as the largest has."""
    with tempfile.TemporaryDirectory(dir=run.VAR if run.VAR.exists() else None) as folder:
        cluster = Cluster(Path(folder) / "lists")
        with cluster.up():
            run.prepare(cluster.addresses, demo=True, say=lambda _: None)
            with run.opened(cluster.addresses.migrates) as engine, engine.begin() as db:
                member, practice = db.execute(
                    text("select id, practice_id from member where role = 'owner' limit 1")
                ).one()
                parameters = {
                    "practice": practice,
                    "member": member,
                    "visits": VISITS,
                    "lines": AUDIT_LINES,
                }
                for filling in (CLIENTS, OWN_VISITS, ENTRIES, LINES, "analyze"):
                    db.execute(text(filling), parameters if ":" in filling else {})
            with started(cluster.url, free_port()) as (address, _, _):
                caller = CurrentUser(address)
                said: list[Figure] = []
                for name, path in LISTS:
                    caller.http.get(path).raise_for_status()
                    spent = timed(partial(caller.http.get, path), max(5, rounds // 20))
                    said.append(Figure(name, statistics.median(spent), digits=0))
    table.add_row(
        f"lists of a practice with {VISITS:,} visits and {AUDIT_LINES:,} audit lines",
        said,
        "each within 300 ms",
    )
