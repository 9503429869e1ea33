"""Clients, visits, what was typed in them, and their reports."""

from __future__ import annotations

import hashlib
from collections.abc import Mapping
from dataclasses import dataclass, field
from datetime import date, datetime
from functools import cached_property
from typing import Annotated, Any
from uuid import UUID

from pydantic import Field

from ...core.body import Sex
from ...core.plans import Prices
from ...core.record import Record, Value, fields
from ...core.record.fields.ask import ConsentAnswer
from ...core.reuse import Reuse
from ...core.visit import StandingConditions, standing_conditions
from .shared import MeasuringList, PopulationTable
from .texts import Changed, Email, Line, Name, New


@dataclass(frozen=True, kw_only=True)
class ClientFacts:
    """What is said of a person who is helped.

    ``email`` is where the link to their own page is sent, empty where there is none. ``birth_year`` tells them
    from a namesake in a letter.
    """

    name: Name
    sex: Sex | None = None
    work: Line = ""
    email: Email = ""
    birth_year: Annotated[int, Field(ge=1900, le=2100)] | None = None


@dataclass(frozen=True, kw_only=True)
class ClientView(ClientFacts):
    """A client as they are shown; ``restricted``: some of the practice see them, and nobody else."""

    id: UUID
    version: int = 1
    restricted: bool = False


@dataclass(frozen=True, kw_only=True)
class Client(ClientView):
    """A client of a practice; ``origin_id`` is the identifier in the file they came from."""

    practice_id: UUID
    origin_id: str | None = None


@dataclass(frozen=True, kw_only=True)
class ListedClient(ClientView):
    """A client in a list: when they were seen last, and when they are to be seen again."""

    last_visit: date | None
    follow_up: str | None


@dataclass(frozen=True, kw_only=True)
class NewClient(ClientFacts, New):
    """A client to be added."""


@dataclass(frozen=True, kw_only=True)
class ChangedClient(ClientFacts, Changed):
    """A client corrected."""


@dataclass(frozen=True, kw_only=True)
class Visit:
    """One visit; ``revision`` counts its changes.

    ``errors`` is the practitioner's error of one reading by dimension, mm, as it stood when the
    visit began: a tolerance must not move while one measures. ``policies`` is what the practice
    had chosen then: another choice later must not move a target that somebody has set. ``discarded_at`` is when a
    draft was thrown away: it is in no list any more, and can be taken back for some time.
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
    discarded_at: datetime | None = None


@dataclass(frozen=True, kw_only=True)
class Entry:
    """What a field of a visit holds: the value in the field's own unit (mm, degrees, hours), and what was typed for it.

    ``self_reported``: the client gave it on their own page, and nobody has changed it since.
    """

    path: str
    value: float | str | None
    typed: str
    version: int
    changed_at: datetime
    changed_by: str
    self_reported: bool = False


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
    """A picture made fit to be kept: upright, without metadata, as JPEG; its size in pixels."""

    jpeg: bytes
    width: int
    height: int
    fov_deg: float | None


@dataclass(frozen=True, kw_only=True)
class ErasureScope:
    """What a withdrawn consent takes with it: values at these paths, and the photographs.

    ``families`` are paths with a ``*`` for the identifier of one of many; ``answers`` are what the client
    answered on their own page for this visit.
    """

    paths: tuple[str, ...] = ()
    families: tuple[str, ...] = ()
    starts: tuple[str, ...] = ()
    photos: bool = False
    answers: bool = False


@dataclass(frozen=True, kw_only=True)
class EarlierVisit:
    """What was measured at an earlier visit of the same client, and what was said of conditions: values by path."""

    visit_id: UUID
    started_on: date
    values: dict[str, Value]
    conditions: dict[str, Value] = field(default_factory=dict)

    @property
    def record(self) -> Record:
        """What was entered, read by field."""
        return Record(self.values)


@dataclass(frozen=True, kw_only=True)
class VisitSnapshot:
    """What working a visit out needs: the values by path, and the revision signed last.

    ``earlier`` are the same client's visits before this day, the latest first; ``table`` and
    ``listed`` what the visit chose of the practice's own, where it did; ``prices`` are its sums.
    ``self_reported`` are the paths that the client gave and nobody has changed since. ``read_on`` is the day on
    which all this was read, where that is known: a limit that was cleared by then is lifted. ``reuse`` keeps what
    was worked out from it.
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
    prices: Prices = Prices()
    self_reported: frozenset[str] = frozenset()
    read_on: date | None = None
    reuse: Reuse = field(default_factory=Reuse, compare=False, repr=False)

    @cached_property
    def standing(self) -> StandingConditions:
        """Conditions from earlier visits that nobody has asked about at this one; none once notes are withdrawn."""
        if self.values.get(fields.ask.consent["notes"].id) == ConsentAnswer.WITHDRAWN:
            return StandingConditions()
        said = [(visit.started_on, visit.conditions) for visit in self.earlier if visit.conditions]
        return standing_conditions(said, self.values)

    @property
    def facts(self) -> dict[str, Value]:
        """What was entered, over the conditions that stand from earlier visits."""
        return {**self.standing.values, **self.values}

    @property
    def record(self) -> Record:
        """What was entered and what stands from earlier visits, read by field."""
        return Record(self.facts)


@dataclass(frozen=True, kw_only=True)
class Change:
    """One small change, with an id made on the page; its value in the field's own unit.

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
    self_reported: bool = False


@dataclass(frozen=True, kw_only=True)
class ReportHead:
    """A signed version: which revision of the visit it froze, and each copy's SHA-256 by its name."""

    id: UUID
    visit_id: UUID
    number: int
    revision: int
    signed_by: str
    signed_at: datetime
    copies: Mapping[str, str] = field(default_factory=dict)


@dataclass(frozen=True, kw_only=True)
class Report(ReportHead):
    """A signed version with its frozen content: every copy's, by its name."""

    content: dict[str, Any]


@dataclass(frozen=True, kw_only=True)
class Attachment:
    """A file that a paper carries: its name, what it is in words, and its text."""

    name: str
    says: str
    media: str
    text: str


@dataclass(frozen=True, kw_only=True)
class PrintedCopy:
    """A copy as it was printed, byte for byte.

    ``without`` is the same without photographs: it takes its place where they are erased. None where there are none.
    """

    pdf: bytes
    without: bytes | None = None

    @property
    def sha256(self) -> str:
        """Digest of the file."""
        return hashlib.sha256(self.pdf).hexdigest()


@dataclass(frozen=True, kw_only=True)
class OpenVisit:
    """A visit with all it holds; ``discarded``: it is a draft that was thrown away."""

    id: UUID
    client: ClientView
    started_on: date
    revision: int
    discarded: bool
    entries: Mapping[str, Entry]
    reports: list[ReportHead]
    photos: list[PhotoHead]
    consents: list[Entry]


@dataclass(frozen=True, kw_only=True)
class VisitLine:
    """A visit in a list; ``signs`` are its entries about warning signs, ``touched`` what its paths begin with.

    ``shared_report`` is the latest signed version, where the client's consent to a copy for the
    workplace stands; ``settling`` are its entries about a settle-in test that runs; ``felt`` and ``felt_before`` its
    entries about discomfort, and those of the same client's visit before.
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
    touched: frozenset[str] = frozenset()
    settling: Mapping[str, float | str | None] = field(default_factory=dict)
    felt: Mapping[str, float | str | None] = field(default_factory=dict)
    felt_before: Mapping[str, float | str | None] = field(default_factory=dict)


@dataclass(frozen=True, kw_only=True)
class VisitInList:
    """What Today sorts a visit by; the whole line is fetched for those shown.

    ``signed`` is whether it is signed and unchanged since, ``due`` whether its follow-up comes soon and the
    client has not come since, ``flagged`` whether a red flag was raised.
    """

    id: UUID
    client_id: UUID
    member_id: UUID
    started_on: date
    signed: bool
    due: bool
    flagged: bool
