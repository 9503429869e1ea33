"""Lists beside the backups, so that nobody comes back with an older one: erased clients, and members who left.

Identifiers alone.
"""

from __future__ import annotations

import os
from pathlib import Path
from uuid import UUID

from ..core.language import filled

ERASED, LEFT = "erased.txt", "left.txt"


def note_erased(folder: Path, client_id: UUID) -> None:
    """Add a client to the list, for good; raises OSError where that can't be written."""
    _note(folder / ERASED, client_id)


def note_left(folder: Path, member_id: UUID) -> None:
    """Add a member who left, for good; raises OSError where that can't be written."""
    _note(folder / LEFT, member_id)


def noted_as_erased(folder: Path) -> list[UUID]:
    """The clients on the list; what is no identifier in it, as after a power cut, is passed over."""
    return _noted(folder / ERASED)


def noted_as_left(folder: Path) -> list[UUID]:
    """The members on the list; likewise."""
    return _noted(folder / LEFT)


def _note(path: Path, id: UUID) -> None:
    path.parent.mkdir(parents=True, exist_ok=True)
    with path.open("a") as file:
        file.write(filled("{id}\n", id=id))
        file.flush()
        os.fsync(file.fileno())


def _noted(path: Path) -> list[UUID]:
    try:
        lines = path.read_text().splitlines()
    except OSError:
        return []
    return [UUID(line) for line in lines if len(line) == 36]
