"""The commands for backups."""

from __future__ import annotations

from pathlib import Path
from typing import TYPE_CHECKING, Annotated

import typer

from .config import ROOT, Settings
from .starting import say, started

if TYPE_CHECKING:
    from pyrage.x25519 import Identity

FOLDER = ROOT / "var" / "backups"


def backup(folder: Annotated[Path, typer.Argument(help="Where to write it.")] = FOLDER) -> None:
    """Back the database up, encrypted and read back; beside a running server too."""
    from .hosting.backups import BackupTrouble, back_up
    from .mailing import now

    with started() as database:
        try:
            key = _key()
            made = back_up(database.migrates, folder, key, now())
        except BackupTrouble as trouble:
            say(str(trouble))
            raise typer.Exit(1) from None
        say(f"{made.path}: {made.size / 1e6:.1f} MB, written and read back.")


def restore(file: Annotated[Path, typer.Argument(help="A backup.")]) -> None:
    """Put a backup into an empty database, then bring it to the present schema."""
    from .hosting.backups import BackupTrouble, erased_since
    from .hosting.backups import restore as put_back
    from .hosting.run import prepare

    with started() as database:
        try:
            put_back(database.migrates, file, _key())
        except BackupTrouble as trouble:
            say(str(trouble))
            raise typer.Exit(1) from None
        prepare(database, demo=False, say=say)
        say(f"{file.name} is restored.")
        gone = erased_since(database.migrates, file.parent)
        if gone:
            say(f"Erased again: {gone} who had been erased after this backup was made.")


def _key() -> Identity:
    from .hosting.backups import backup_key

    path = Settings().backup_key
    key, made = backup_key(path)
    if made:
        say(f"A key was made: {path}. Keep a copy of it elsewhere: no backup opens without it.")
    return key
