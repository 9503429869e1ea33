"""Backups: one consistent copy of the database, encrypted as it is written, read back before it counts.

A backup is PostgreSQL's own archive format within an age file: both are open, and opened without this program too.
"""

from __future__ import annotations

import hashlib
import os
import subprocess
from collections.abc import Sequence
from contextlib import suppress
from dataclasses import dataclass
from datetime import datetime, timedelta
from pathlib import Path
from typing import IO

import pyrage
from pyrage import x25519
from sqlalchemy import text
from sqlalchemy.engine import URL, make_url

from ..storage import erase_again, make_engine, noted_as_erased, noted_as_left
from .postgres import binaries

SUFFIX = ".dump.age"
NAME = "plumb-{:%Y%m%d-%H%M%S}" + SUFFIX


class BackupTrouble(Exception):
    """A backup or restore that did not come to its end; one plain sentence."""


@dataclass(frozen=True, kw_only=True)
class Backup:
    """A backup that was read back: its file, its size, bytes, and the SHA-256 of what is in it."""

    path: Path
    size: int
    sha256: str


class _Counted:
    """A stream on its way: what passes is counted into a digest."""

    def __init__(self, source: IO[bytes] | None = None, sink: IO[bytes] | None = None) -> None:
        self._source, self._sink = source, sink
        self._digest = hashlib.sha256()

    def read(self, size: int = -1) -> bytes:
        assert self._source is not None
        part = self._source.read(size)
        self._digest.update(part)
        return part

    def write(self, part: bytes) -> int:
        self._digest.update(part)
        if self._sink is not None:
            self._sink.write(part)
        return len(part)

    def flush(self) -> None:
        if self._sink is not None:
            self._sink.flush()

    @property
    def sha256(self) -> str:
        return self._digest.hexdigest()


def backup_key(path: Path, folder: Path | None = None) -> tuple[x25519.Identity, bool]:
    """Return the key that opens backups, and whether it was made just now; raises BackupTrouble.

    One is made only for the first backup of a folder: a second key in the place of a missing one would
    leave what is there for ever closed, and nobody would know. Without a folder none is made.
    """
    try:
        if path.exists():
            return x25519.Identity.from_str(path.read_text().strip()), False
        if folder is None or any(folder.glob(f"plumb-*{SUFFIX}")):
            raise BackupTrouble(
                f"The key {path} is missing. It is the only one that opens the backups made with it: put "
                "its copy there, or name it in GENTLE_PLUMB_BACKUP_KEY."
            )
        path.parent.mkdir(parents=True, exist_ok=True)
        identity = x25519.Identity.generate()
        path.touch(mode=0o600)
        path.write_text(f"{identity}\n")
    except (OSError, pyrage.IdentityError) as error:
        raise BackupTrouble(f"The key {path} can’t be used: {error}") from None
    return identity, True


def back_up(url: str, folder: Path, key: x25519.Identity, now: datetime) -> Backup:
    """Write a backup and read it back; raises BackupTrouble, and leaves nothing half made.

    Parameters
    ----------
    url : str
        Address of the database, as a role that may read all of it.
    folder : Path
    key : Identity
        What opens the backup.
    now : datetime
        Names it.

    """
    path = folder / NAME.format(now)
    half = path.with_suffix(".part")
    try:
        folder.mkdir(parents=True, exist_ok=True)
        with half.open("wb") as file:
            half.chmod(0o600)
            written = _dump(url, file, key)
            file.flush()
            os.fsync(file.fileno())
        if _read_back(half, key) != written:
            raise BackupTrouble("What was written is not what is read back. Is the disk failing?")
        half.rename(path)
    except OSError as error:
        raise BackupTrouble(f"{folder}: {error.strerror}.") from None
    finally:
        with suppress(OSError):
            half.unlink(missing_ok=True)
    return Backup(path=path, size=path.stat().st_size, sha256=written)


def _dump(url: str, file: IO[bytes], key: x25519.Identity) -> str:
    with _tool(url, "pg_dump", "--format=custom", "--no-owner", "--no-privileges") as dump:
        assert dump.stdout is not None
        counted = _Counted(source=dump.stdout)
        pyrage.encrypt_io(counted, file, [key.to_public()])
        _ended(dump)
    return counted.sha256


def _read_back(path: Path, key: x25519.Identity) -> str:
    """Open a backup to its last byte, through PostgreSQL's own reader; the SHA-256 of what is in it."""
    command = [str(binaries() / "pg_restore"), "--file=/dev/null"]
    with subprocess.Popen(command, stdin=subprocess.PIPE, stderr=subprocess.PIPE) as reader:
        counted = _opened_into(path, key, reader)
        _ended(reader)
    return counted.sha256


def _opened_into(path: Path, key: x25519.Identity, sink: subprocess.Popen[bytes]) -> _Counted:
    assert sink.stdin is not None
    counted = _Counted(sink=sink.stdin)
    try:
        with path.open("rb") as file:
            pyrage.decrypt_io(file, counted, [key])
        sink.stdin.close()
    except BrokenPipeError:
        pass  # its own words tell why
    except (pyrage.DecryptError, OSError):
        sink.kill()
        raise BackupTrouble(f"{path.name} is not opened by this key, or it is damaged.") from None
    return counted


def restore(url: str, path: Path, key: x25519.Identity) -> None:
    """Put a backup into an empty database, whole or not at all; raises BackupTrouble.

    Parameters
    ----------
    url : str
        Address of the database, as the role that is to own it.
    path : Path
    key : Identity

    """
    if not path.is_file():
        raise BackupTrouble(f"{path}: there is no such file.")
    engine = make_engine(url, pool_size=1)
    try:
        with engine.connect() as connection:
            query = "select count(*) from pg_class where relnamespace = 'public'::regnamespace"
            if connection.scalar(text(query)):
                raise BackupTrouble("The database is not empty. A backup goes into an empty one.")
    finally:
        engine.dispose()
    _read_back(path, key)  # damaged or of another key: nothing is touched
    whole = ("--single-transaction", "--exit-on-error", "--no-owner", "--no-privileges")
    with _tool(url, "pg_restore", *whole, stdin=subprocess.PIPE) as reader:
        _opened_into(path, key, reader)
        _ended(reader)


def erased_since(url: str, folder: Path) -> int:
    """Erase again who is on the list beside the backups and came back with one; how many there were."""
    noted = noted_as_erased(folder)
    if not noted:
        return 0
    engine = make_engine(url, pool_size=1)
    try:
        return erase_again(engine, noted)
    finally:
        engine.dispose()


def shut_out(url: str, folder: Path) -> int:
    """After a restore: end every session, close every unused link, keep out who left since.

    Returns how many members were kept out who had come back with the backup.
    """
    left = noted_as_left(folder)
    engine = make_engine(url, pool_size=1)
    try:
        with engine.begin() as connection:
            for table in ("session", "link_session", "known_browser"):
                connection.execute(text(f"delete from {table}"))  # noqa: S608  # names of our own
            connection.execute(
                text(
                    "update one_time_link set ends_at = now() where used_at is null and ends_at > now()"
                )
            )
            query = text(
                "update member set left_at = now(), password_hash = '' "
                "where id = any(:left) and left_at is null"
            )
            return connection.execute(query, {"left": left}).rowcount
    finally:
        engine.dispose()


def drop_old(folder: Path, days: int, now: datetime) -> list[Path]:
    """Delete backups older than so many days: what was erased outlives it no longer than that."""
    oldest = NAME.format(now - timedelta(days=days))
    gone = [path for path in sorted(folder.glob(f"plumb-*{SUFFIX}")) if path.name < oldest]
    for path in gone:
        path.unlink()
    return gone


def _tool(
    url: str, name: str, *words: str, stdin: int = subprocess.DEVNULL
) -> subprocess.Popen[bytes]:
    """One of PostgreSQL's tools on a database; its password is in no list of processes."""
    address = make_url(url)
    return subprocess.Popen(
        [str(binaries() / name), *words, *_where(address)],
        stdin=stdin,
        stdout=subprocess.PIPE,
        stderr=subprocess.PIPE,
        env={**os.environ, "PGPASSWORD": address.password or ""},
    )


def _where(address: URL) -> Sequence[str]:
    given = {
        "--host": address.host,
        "--port": address.port,
        "--username": address.username,
        "--dbname": address.database,
    }
    return [f"{name}={value}" for name, value in given.items() if value]


def _ended(tool: subprocess.Popen[bytes]) -> None:
    said = tool.stderr.read().decode(errors="replace") if tool.stderr is not None else ""
    if tool.wait() != 0:
        lines = said.strip().splitlines() or ["no reason given"]
        name = Path(str(tool.args[0] if isinstance(tool.args, list) else tool.args)).name
        raise BackupTrouble(f"{name}: {lines[0][:300]}")
