"""What a practice keeps beside its visits: pieces, lists, tables, rule sets."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, fields
from datetime import datetime
from typing import Annotated, Any, Protocol, TypeVar
from uuid import UUID

from pydantic import Field, StringConstraints

from ...core.body import Sex
from ...core.units import LengthUnit
from .texts import Changed, Line, Name, New

View = TypeVar("View")


def view_of(kind: type[View], source: object, **more: Any) -> View:
    """What a view takes of a thing, by the names of the view's fields; ``more`` is what the thing can't say."""
    own = {field.name for field in fields(kind)} - more.keys()  # type: ignore[arg-type]
    return kind(**{name: getattr(source, name) for name in own}, **more)


class OfAPractice(Protocol):
    """A thing with an identifier that belongs to a practice."""

    @property
    def id(self) -> UUID: ...
    @property
    def practice_id(self) -> UUID: ...


class Versioned(OfAPractice, Protocol):
    """A practice's thing that counts its changes, so that two people's don't cross."""

    @property
    def version(self) -> int: ...


@dataclass(frozen=True, kw_only=True)
class ShelfFacts:
    """What is kept of a piece or a whole workstation: typed texts by path.

    ``piece`` is one of the record's pieces, or ``workstation``.
    """

    piece: Annotated[str, StringConstraints(max_length=40)]
    name: Name
    place: Line = ""
    values: Annotated[
        dict[
            Annotated[str, StringConstraints(max_length=200)],
            Annotated[str, StringConstraints(max_length=200)],
        ],
        Field(max_length=400),
    ]


@dataclass(frozen=True, kw_only=True)
class ShelfView(ShelfFacts):
    """One as it stands on the shelf; ``users`` are the clients whose visits name it."""

    id: UUID
    version: int = 1
    users: tuple[str, ...] = ()


@dataclass(frozen=True, kw_only=True)
class ShelfItem(ShelfView):
    """One of a practice."""

    practice_id: UUID


@dataclass(frozen=True, kw_only=True)
class NewShelfItem(ShelfFacts, New):
    """A piece or workstation to be kept; bare numbers are in ``unit``."""

    unit: LengthUnit = "cm"


@dataclass(frozen=True, kw_only=True)
class ChangedShelfItem(ShelfFacts, Changed):
    """One changed."""

    unit: LengthUnit = "cm"


@dataclass(frozen=True, kw_only=True)
class ListFacts:
    """A name and dimensions, in the order of measuring."""

    name: Name
    dimensions: Annotated[
        tuple[Annotated[str, StringConstraints(max_length=60)], ...],
        Field(min_length=1, max_length=60),
    ]


@dataclass(frozen=True, kw_only=True)
class ListView(ListFacts):
    """A list of dimensions as it is kept."""

    id: UUID
    version: int = 1


@dataclass(frozen=True, kw_only=True)
class MeasuringList(ListView):
    """One of a practice."""

    practice_id: UUID


@dataclass(frozen=True, kw_only=True)
class NewList(ListFacts, New):
    """A list to be kept."""


@dataclass(frozen=True, kw_only=True)
class ChangedList(ListFacts, Changed):
    """One changed."""


@dataclass(frozen=True, kw_only=True)
class TableRow:
    """One line of a table: a dimension in one sex, mm; ``r`` where it brings its own."""

    dimension: str
    sex: Sex
    mean_mm: float
    sd_mm: float
    r: float | None = None


ShortId = Annotated[str, StringConstraints(max_length=60)]


@dataclass(frozen=True, kw_only=True)
class RuleSetFacts:
    """A named bundle of positions, by question; ``is_default``: new visits begin with it."""

    name: Name
    choices: Annotated[Mapping[ShortId, ShortId], Field(max_length=60)]
    is_default: bool = False


@dataclass(frozen=True, kw_only=True)
class RuleSetView(RuleSetFacts):
    """A bundle as it is kept."""

    id: UUID
    version: int = 1


@dataclass(frozen=True, kw_only=True)
class StoredRuleSet(RuleSetView):
    """One of a practice."""

    practice_id: UUID


@dataclass(frozen=True, kw_only=True)
class NewRuleSet(RuleSetFacts, New):
    """A bundle to be kept."""


@dataclass(frozen=True, kw_only=True)
class ChangedRuleSet(RuleSetFacts, Changed):
    """One changed."""


@dataclass(frozen=True, kw_only=True)
class TableFacts:
    """What a table of a population is called, and where it is from."""

    name: Name
    origin: Name


@dataclass(frozen=True, kw_only=True)
class NewTable(TableFacts, New):
    """A table to be kept, as CSV."""

    text: Annotated[str, StringConstraints(max_length=400_000)]


@dataclass(frozen=True, kw_only=True)
class TableHead(TableFacts):
    """A table without its rows."""

    id: UUID
    added_by: str
    added_at: datetime


@dataclass(frozen=True, kw_only=True)
class TableView(TableHead):
    """A table in a list; ``lines`` is how many rows it has, ``dimensions`` of which."""

    lines: int
    dimensions: tuple[str, ...]


@dataclass(frozen=True, kw_only=True)
class PopulationTable(TableHead):
    """A table of a population that a practice added."""

    practice_id: UUID
    rows: tuple[TableRow, ...]

    @property
    def view(self) -> TableView:
        """As it is listed."""
        dimensions = tuple(dict.fromkeys(row.dimension for row in self.rows))
        return view_of(TableView, self, lines=len(self.rows), dimensions=dimensions)


@dataclass(frozen=True, kw_only=True)
class Difference:
    """Two readings of one dimension by one member: first less second, mm."""

    member_id: UUID
    dimension: str
    mm: float
