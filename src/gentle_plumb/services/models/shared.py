"""What a practice keeps beside its visits: pieces, lists, tables, rule sets."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime
from uuid import UUID

from ...core.body import Sex


@dataclass(frozen=True, kw_only=True)
class ShelfItem:
    """A piece of the practice's own shelf, or a whole workstation: typed texts by path.

    ``piece`` is one of the record's pieces, or ``workstation``. ``users`` are the clients whose
    visits name it.
    """

    id: UUID
    practice_id: UUID
    piece: str
    name: str
    place: str
    values: dict[str, str]
    version: int = 1
    users: tuple[str, ...] = ()


@dataclass(frozen=True, kw_only=True)
class MeasuringList:
    """A practice's own list of dimensions, in the order of measuring."""

    id: UUID
    practice_id: UUID
    name: str
    dimensions: tuple[str, ...]
    version: int = 1


@dataclass(frozen=True, kw_only=True)
class TableRow:
    """One line of a table: a dimension in one sex, mm; ``r`` where it brings its own."""

    dimension: str
    sex: Sex
    mean_mm: float
    sd_mm: float
    r: float | None = None


@dataclass(frozen=True, kw_only=True)
class StoredRuleSet:
    """A named bundle of positions, by question; ``is_default``: new visits begin with it."""

    id: UUID
    practice_id: UUID
    name: str
    choices: Mapping[str, str]
    is_default: bool = False
    version: int = 1


@dataclass(frozen=True, kw_only=True)
class PopulationTable:
    """A table of a population that a practice added, and where it is from."""

    id: UUID
    practice_id: UUID
    name: str
    origin: str
    rows: tuple[TableRow, ...]
    added_by: str
    added_at: datetime


@dataclass(frozen=True, kw_only=True)
class Difference:
    """Two readings of one dimension by one member: first less second, mm."""

    member_id: UUID
    dimension: str
    mm: float
