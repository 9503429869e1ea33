"""The things the use cases work on, as plain records."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from datetime import date, datetime
from typing import Any, Literal
from uuid import UUID
from zoneinfo import ZoneInfo

from ..core.body import Sex
from ..core.record import Record, Value
from ..core.units import LengthUnit

Role = Literal["owner", "practitioner", "reader"]
WRITERS: tuple[Role, ...] = ("owner", "practitioner")


@dataclass(frozen=True, kw_only=True)
class Practice:
    """A practice; ``local_wording`` is its own sentence about local rules for reports.

    ``time_zone`` is an IANA name; days are the practice's own, wherever the server stands.
    """

    id: UUID
    name: str
    unit: LengthUnit
    local_wording: str
    time_zone: str = "UTC"

    def local(self, moment: datetime) -> datetime:
        """A moment by the clock on the practice's wall."""
        return moment.astimezone(ZoneInfo(self.time_zone))

    def day(self, moment: datetime) -> date:
        """The practice's day of a moment."""
        return self.local(moment).date()


@dataclass(frozen=True, kw_only=True)
class Member:
    """Somebody who signs in; ``sees_health`` is granted to readers one by one."""

    id: UUID
    practice_id: UUID
    email: str
    name: str
    title: str
    role: Role
    password_hash: str
    sees_health: bool = True


@dataclass(frozen=True, kw_only=True)
class Session:
    """A signed-in browser; only a hash of its token is stored."""

    id: UUID
    token_hash: bytes
    member_id: UUID
    csrf: str
    started_at: datetime
    expires_at: datetime
    browser: str = ""


@dataclass(frozen=True, kw_only=True)
class Client:
    """A person who is helped; ``origin_id`` is the identifier in the file they came from."""

    id: UUID
    practice_id: UUID
    name: str
    sex: Sex | None
    work: str
    version: int = 1
    origin_id: str | None = None


@dataclass(frozen=True, kw_only=True)
class Visit:
    """One visit; ``revision`` counts its changes.

    ``errors`` is the practitioner's error of one reading by dimension, mm, as it stood when the
    visit began: a tolerance must not move while one measures. ``policies`` is what the practice
    had chosen then: another choice later must not move a target that somebody has set.
    """

    id: UUID
    practice_id: UUID
    client_id: UUID
    member_id: UUID
    started_on: date
    revision: int = 0
    errors: Mapping[str, float] = field(default_factory=dict)
    policies: Mapping[str, str] = field(default_factory=dict)
    origin_id: str | None = None


@dataclass(frozen=True, kw_only=True)
class Entry:
    """What a field of a visit holds: the value, and what was typed for it."""

    path: str
    value: float | str | None
    typed: str
    version: int
    changed_at: datetime
    changed_by: str


@dataclass(frozen=True, kw_only=True)
class PhotoHead:
    """A kept photograph without its picture; ``size`` in bytes, ``fov_deg`` where the camera told it."""

    id: UUID
    visit_id: UUID
    width: int
    height: int
    fov_deg: float | None
    size: int
    sha256: str
    added_by: str
    added_at: datetime


@dataclass(frozen=True, kw_only=True)
class ProcessedPhoto:
    """A picture made fit to be kept: upright, without metadata, as JPEG."""

    jpeg: bytes
    width: int
    height: int
    fov_deg: float | None


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
class ErasureScope:
    """What a withdrawn consent takes with it: values at these paths, and the photographs.

    ``families`` are paths with a ``*`` for the identifier of one of many.
    """

    paths: tuple[str, ...] = ()
    families: tuple[str, ...] = ()
    starts: tuple[str, ...] = ()
    photos: bool = False


@dataclass(frozen=True, kw_only=True)
class LightReading:
    """What a light meter says, and what it warns of."""

    lux: float
    warning: str | None = None


@dataclass(frozen=True, kw_only=True)
class EarlierVisit:
    """What was measured at an earlier visit of the same client: values by path."""

    visit_id: UUID
    started_on: date
    values: dict[str, Value]

    @property
    def record(self) -> Record:
        """What was entered, read by field."""
        return Record(self.values)


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
MOST_TROUBLES = 200
"""So many are told of a file; more help nobody. House value."""


class Troubles(list[Trouble]):
    """Troubles in the order they were found; past the most that are told they are only counted."""

    untold: int = 0

    def append(self, trouble: Trouble) -> None:
        if len(self) < MOST_TROUBLES:
            super().append(trouble)
        else:
            self.untold += 1


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


@dataclass(frozen=True, kw_only=True)
class InstrumentState:
    """What an instrument says of itself: its unit, battery in percent, what it warns of."""

    id: str
    name: str
    unit: LengthUnit
    battery: int | None
    warning: str | None = None


@dataclass(frozen=True, kw_only=True)
class InstrumentReading:
    """One reading as the instrument showed it, in the unit it is set to."""

    amount: str
    unit: LengthUnit
    warning: str | None = None

    @property
    def typed(self) -> str:
        """As it goes into a field."""
        return f"{self.amount} {self.unit}"


@dataclass(frozen=True, kw_only=True)
class VisitSnapshot:
    """What working a visit out needs: the values by path, and the revision signed last.

    ``earlier`` are the same client's visits before this day, the latest first; ``table`` and
    ``listed`` what the visit chose of the practice's own, where it did.
    """

    visit: Visit
    client: Client
    values: dict[str, Value]
    versions: int
    signed_revision: int | None
    photos: tuple[PhotoHead, ...] = ()
    earlier: tuple[EarlierVisit, ...] = ()
    table: PopulationTable | None = None
    listed: MeasuringList | None = None

    @property
    def record(self) -> Record:
        """What was entered, read by field."""
        return Record(self.values)


@dataclass(frozen=True, kw_only=True)
class Change:
    """One small change, with an id made on the page.

    ``consent`` is the path that must hold ``yes`` for it to be kept; ``erase`` what it takes away.
    """

    id: UUID
    visit_id: UUID
    path: str
    typed: str
    value: float | str | None
    expected_version: int
    member_id: UUID
    consent: str | None = None
    erase: ErasureScope | None = None


@dataclass(frozen=True, kw_only=True)
class ReportHead:
    """A signed version: which revision of the visit it froze, and its PDF's digest."""

    id: UUID
    visit_id: UUID
    number: int
    revision: int
    sha256: str
    signed_by: str
    signed_at: datetime


@dataclass(frozen=True, kw_only=True)
class Report(ReportHead):
    """A signed version with its frozen content."""

    content: dict[str, Any]


@dataclass(frozen=True, kw_only=True)
class VisitLine:
    """A visit in a list; ``signs`` are its entries about warning signs.

    ``shared_report`` is the latest signed version, where the client's consent to a copy for the
    workplace stands.
    """

    visit: Visit
    client: Client
    practitioner: str
    changed_at: datetime | None
    follow_up: str | None
    signs: Mapping[str, float | str | None]
    signed_at: datetime | None
    signed_revision: int | None
    shared_report: UUID | None
