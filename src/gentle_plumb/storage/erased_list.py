"""The list of erased clients beside the backups, so that none comes back with an older one: identifiers alone."""

from __future__ import annotations

import os
from pathlib import Path
from uuid import UUID

NAME = "erased.txt"


def note_erased(folder: Path, client_id: UUID) -> None:
    """Add a client to the list, for good; raises OSError where that can't be written."""
    folder.mkdir(parents=True, exist_ok=True)
    with (folder / NAME).open("a") as file:
        file.write(f"{client_id}\n")
        file.flush()
        os.fsync(file.fileno())


def noted_as_erased(folder: Path) -> list[UUID]:
    """The clients on the list; what is no identifier in it, as after a power cut, is passed over."""
    try:
        lines = (folder / NAME).read_text().splitlines()
    except OSError:
        return []
    return [UUID(line) for line in lines if len(line) == 36]
