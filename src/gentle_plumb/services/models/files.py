"""Measurements read from files and written to them."""

from __future__ import annotations

from dataclasses import dataclass, field
from datetime import date

from ...core.body import Sex
from .visits import Change, Client, Visit


@dataclass(kw_only=True)
class MeasurementSheet:
    """What was measured of one client at one visit, as it goes into a file and comes out of it.

    ``entries`` are typed texts by path, lengths with their unit. ``place`` and ``places`` say
    where in a file the sheet and its entries stand. ``means`` where the file gives what a
    dimension's readings come to in the place of the first.
    """

    client_id: str
    name: str
    sex: Sex | None
    work: str
    visit_id: str
    on: date
    entries: dict[str, str]
    means: bool = field(default=False, compare=False)
    place: str = field(default="", compare=False)
    places: dict[str, str] = field(default_factory=dict, compare=False)


Trouble = tuple[str, str, str]
"""Line or place in a file, field, reason."""


@dataclass(frozen=True)
class FileLine:
    """What is to be said of a line or place in a file."""

    line: str
    field: str
    reason: str


MOST_TROUBLES = 200
"""So many are told of a file; more help nobody. House value."""


class Troubles(list[Trouble]):
    """Troubles in the order they were found; past the most that are told they are only counted."""

    unlisted: int = 0

    def append(self, trouble: Trouble) -> None:
        if len(self) < MOST_TROUBLES:
            super().append(trouble)
        else:
            self.unlisted += 1


@dataclass(kw_only=True)
class FileRead:
    """What a file says: sheets, what is wrong with it, and what was not understood.

    Sheets hold what could be read even where something is wrong, so that all of a file is looked
    at in one go; nothing of it may be written then.
    """

    sheets: list[MeasurementSheet] = field(default_factory=list)
    troubles: Troubles = field(default_factory=Troubles)
    left_out: Troubles = field(default_factory=Troubles)


@dataclass(frozen=True, kw_only=True)
class ImportBatch:
    """What an import writes: new clients and visits, and changes; all of it or nothing."""

    clients: tuple[Client, ...]
    visits: tuple[Visit, ...]
    changes: tuple[Change, ...]
