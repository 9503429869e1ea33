"""The commands for backups, and for going back to an earlier schema."""

from __future__ import annotations

from pathlib import Path
from typing import TYPE_CHECKING, Annotated

import typer

from .bootstrap import say, started
from .config import ROOT, Settings

if TYPE_CHECKING:
    from pyrage.x25519 import Identity

FOLDER = ROOT / "var" / "backups"


def backup(folder: Annotated[Path, typer.Argument(help="Where to write it.")] = FOLDER) -> None:
    """Back the database up, encrypted and read back; beside a running server too."""
    from .hosting.backups import BackupTrouble, back_up
    from .mailing import now

    with started() as database:
        try:
            key = _key(folder)
            made = back_up(database.migrates, folder, key, now())
        except BackupTrouble as trouble:
            say(str(trouble))
            raise typer.Exit(1) from None
        say(f"{made.path}: {made.size / 1e6:.1f} MB, written and read back.")


def restore(file: Annotated[Path, typer.Argument(help="A backup.")]) -> None:
    """Put a backup into an empty database, then bring it to the present schema."""
    from .hosting.backups import BackupTrouble, erased_since, shut_out
    from .hosting.backups import restore as put_back
    from .hosting.run import prepare

    with started() as database:
        try:
            put_back(database.migrates, file, _key())
        except BackupTrouble as trouble:
            say(str(trouble))
            raise typer.Exit(1) from None
        prepare(database, demo=False, say=say)
        say(
            f"{file.name} is restored. Everybody signs in again; links that were not used are closed."
        )
        left = shut_out(database.migrates, file.parent)
        if left:
            say(f"Kept out: {left} who had left the practice after this backup was made.")
        gone = erased_since(database.migrates, file.parent)
        if gone:
            say(f"Erased again: {gone} who had been erased after this backup was made.")


def roll_back(
    schema: Annotated[str, typer.Argument(help="The earlier schema, as CHANGELOG.md names it.")],
    yes: Annotated[bool, typer.Option("--yes", help="Don’t ask for confirmation.")] = False,
) -> None:
    """Bring the database back to an earlier version's schema, before that version is started."""
    from .hosting.run import opened
    from .storage import roll_back as go_back

    say("What only the later version keeps is gone then. Make a backup first: ./plumb backup")
    if not yes and not typer.confirm(f"Go back to schema {schema}?"):
        raise typer.Exit(1)
    with started() as database, opened(database.migrates) as engine:
        try:
            go_back(engine, schema)
        except ValueError as trouble:
            say(str(trouble))
            raise typer.Exit(1) from None
        say(f"The database is at schema {schema}. Start the version that belongs to it.")


def _key(folder: Path | None = None) -> Identity:
    """The key that opens backups; one is made only for the first backup of a folder."""
    from .hosting.backups import backup_key

    path = Settings().backup_key
    key, created = backup_key(path, folder)
    if created:
        say(f"A key was made: {path}. Keep a copy of it elsewhere: no backup opens without it.")
    return key
