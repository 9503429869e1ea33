"""One client whole, as it leaves a practice and comes to another."""

from __future__ import annotations

from dataclasses import dataclass, field
from datetime import date

from ...core.body import Sex


@dataclass(frozen=True, kw_only=True)
class ArchivedPhoto:
    """A photograph with its entries: what was placed on it, by the last part of their paths."""

    id: str
    jpeg: bytes


@dataclass(frozen=True, kw_only=True)
class ArchivedVisit:
    """A visit: every entry as it would be typed, its photographs, its signed papers by file name."""

    on: date
    entries: dict[str, str]
    practice: dict[str, str] = field(default_factory=dict)
    photos: tuple[ArchivedPhoto, ...] = ()
    papers: dict[str, bytes] = field(default_factory=dict)
    open_files: dict[str, str] = field(default_factory=dict)


@dataclass(frozen=True, kw_only=True)
class ClientArchive:
    """A client with every visit, the first one first; ``beside`` are further files by name, which are not read back."""

    name: str
    sex: Sex | None
    work: str
    visits: tuple[ArchivedVisit, ...]
    email: str = ""
    birth_year: int | None = None
    beside: dict[str, str] = field(default_factory=dict)
