"""A backup is whole, closed to who has no key, and comes back byte for byte."""

import os
import subprocess
from datetime import UTC, datetime, timedelta

import pytest
from pyrage import x25519
from sqlalchemy import func, select, text

from conftest import ROOT, empty_database, make_office
from gentle_plumb.config import Settings
from gentle_plumb.hosting.backups import (
    BackupTrouble,
    back_up,
    backup_key,
    drop_old,
    restore,
    shut_out,
)
from gentle_plumb.hosting.postgres import Addresses, Cluster
from gentle_plumb.hosting.run import opened, prepare
from gentle_plumb.main import make_services
from gentle_plumb.services.audit_log import AuditEntry, AuditTarget
from gentle_plumb.storage import SqlAccounts, note_left
from gentle_plumb.storage.tables import METADATA

NOW = datetime(2026, 11, 27, 2, 30, tzinfo=UTC)


@pytest.fixture(scope="module")
def cluster():
    made = Cluster(ROOT / "var" / f"test-backup-{os.getpid()}")
    with made.up():
        yield made
    subprocess.run(["rm", "-rf", str(made.folder)], check=True)


@pytest.fixture(scope="module")
def demo(cluster):
    """The demo practice, in which somebody has read something."""
    prepare(cluster.addresses, demo=True, say=lambda _: None)
    with opened(cluster.addresses.serves) as engine:
        who = SqlAccounts(engine).member_by_email("ines@saltmere.example")
        deed = AuditEntry(
            practice_id=who.practice_id,
            member_id=who.id,
            who=who.name,
            act="read",
            what="list of visits",
            target=AuditTarget(),
            request_id="",
        )
        make_services(engine, Settings(demo=False)).audit_log.note(deed)
    return cluster.addresses


@pytest.fixture
def empty(cluster):
    """An empty database beside it, and its address as its owner."""
    with empty_database(cluster.url) as url:
        yield Addresses(migrates=url, serves=url)


def papers(database):
    """Every signed copy, byte for byte, and the end of the audit log."""
    with opened(database.serves) as engine, engine.connect() as connection:
        copies = connection.execute(
            text("select report_id, copy, pdf from report_copy order by report_id, copy")
        ).all()
        counts = {
            table: connection.scalar(select(func.count()).select_from(METADATA.tables[table]))
            for table in ("client", "visit", "entry", "photo", "trail", "change")
        }
    return copies, counts


def test_the_demo_comes_back_byte_for_byte_and_goes_on(demo, empty, tmp_path):
    key, _ = backup_key(tmp_path / "key", tmp_path / "none")
    made = back_up(demo.migrates, tmp_path, key, NOW)
    assert made.path.name == "plumb-20261127-023000.dump.age"
    raw = made.path.read_bytes()
    assert raw.startswith(b"age-encryption.org/v1")
    assert b"Saltmere" not in raw
    restore(empty.migrates, made.path, key)
    prepare(empty, demo=False, say=lambda _: None)
    copies, counts = papers(empty)
    assert copies
    assert (copies, counts) == papers(demo)
    with opened(empty.serves) as engine:
        services = make_services(engine, Settings(demo=False))
        who = SqlAccounts(engine).member_by_email("ines@saltmere.example")
        assert services.visits.visits(who)
        assert [broken for _, _, broken, _ in services.audit_log.check()] == [None]


def test_nothing_half_or_wrong_is_restored(demo, empty, tmp_path):
    key, _ = backup_key(tmp_path / "key", tmp_path / "none")
    path = back_up(demo.migrates, tmp_path, key, NOW).path
    with pytest.raises(BackupTrouble, match="not empty"):
        restore(demo.migrates, path, key)
    with pytest.raises(BackupTrouble, match="not opened by this key"):
        restore(empty.migrates, path, x25519.Identity.generate())
    whole = path.read_bytes()
    path.write_bytes(whole[: len(whole) // 2])
    with pytest.raises(BackupTrouble):
        restore(empty.migrates, path, key)
    with opened(empty.serves) as engine, engine.connect() as connection:
        tables = "select count(*) from pg_tables where schemaname = 'public'"
        assert connection.scalar(text(tables)) == 0


def test_a_backup_that_fails_leaves_no_file(demo, tmp_path):
    key, made = backup_key(tmp_path / "key", tmp_path / "none")
    assert made
    assert backup_key(tmp_path / "key", tmp_path / "none")[1] is False
    with pytest.raises(BackupTrouble):
        back_up(demo.migrates.replace("/plumb", "/nowhere"), tmp_path, key, NOW)
    assert not list(tmp_path.glob("plumb-*"))


def test_backups_are_kept_for_so_many_days(tmp_path):
    for days in (1, 35, 36, 400):
        (tmp_path / f"plumb-{NOW - timedelta(days=days):%Y%m%d-%H%M%S}.dump.age").touch()
    assert len(drop_old(tmp_path, 35, NOW)) == 2
    assert len(list(tmp_path.iterdir())) == 2


def test_a_restore_shuts_out_who_left_and_makes_no_second_key(empty, tmp_path):
    key, _ = backup_key(tmp_path / "key", tmp_path)
    prepare(empty, demo=False, say=lambda _: None)
    back_up(empty.migrates, tmp_path, key, NOW)
    (tmp_path / "key").unlink()
    for folder in (None, tmp_path):
        with pytest.raises(BackupTrouble, match="is missing"):
            backup_key(tmp_path / "key", folder)
    assert not (tmp_path / "key").exists()
    with opened(empty.migrates) as engine:
        member = make_office(SqlAccounts(engine)).reader.id
        with engine.begin() as db:
            add = "insert into session (token_hash, member_id, csrf, expires_at) "
            add += "values ('x', :member, 'c', now() + interval '1 hour')"
            db.execute(text(add), {"member": member})
        note_left(tmp_path, member)
        assert shut_out(empty.migrates, tmp_path) == 1
        with engine.connect() as db:
            assert db.execute(text("select count(*) from session")).scalar() == 0
            query = text("select left_at, password_hash from member where id = :id")
            at, password = db.execute(query, {"id": member}).one()
    assert (at is not None, password) == (True, "")
