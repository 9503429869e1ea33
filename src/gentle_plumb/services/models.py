"""The things the use cases work on, as plain records."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import date, datetime
from typing import Any, Literal
from uuid import UUID

from ..core.body.dimensions import Sex
from ..core.units import LengthUnit

Role = Literal["owner", "practitioner", "reader"]
WRITERS: tuple[Role, ...] = ("owner", "practitioner")


@dataclass(frozen=True, kw_only=True)
class Practice:
    """A practice; ``local_wording`` is its own sentence about local rules for reports."""

    id: UUID
    name: str
    unit: LengthUnit
    local_wording: str


@dataclass(frozen=True, kw_only=True)
class Member:
    """Somebody who signs in."""

    id: UUID
    practice_id: UUID
    email: str
    name: str
    title: str
    role: Role
    password_hash: str
    failures: int = 0
    locked_until: datetime | None = None


@dataclass(frozen=True, kw_only=True)
class Session:
    """A signed-in browser; only a hash of its token is stored."""

    token_hash: bytes
    member_id: UUID
    csrf: str
    expires_at: datetime


@dataclass(frozen=True, kw_only=True)
class Client:
    """A person who is helped."""

    id: UUID
    practice_id: UUID
    name: str
    sex: Sex | None
    work: str
    version: int = 1


@dataclass(frozen=True, kw_only=True)
class Visit:
    """One visit; ``revision`` counts its changes."""

    id: UUID
    practice_id: UUID
    client_id: UUID
    member_id: UUID
    started_on: date
    revision: int = 0


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
class Developed:
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
class Erase:
    """What a withdrawn consent takes with it: values at these paths, and the photographs."""

    paths: tuple[str, ...] = ()
    starts: tuple[str, ...] = ()
    photos: bool = False


@dataclass(frozen=True, kw_only=True)
class Lux:
    """What a light meter says, and what it warns of."""

    lux: float
    warning: str | None = None


@dataclass(frozen=True, kw_only=True)
class Working:
    """What working a visit out needs: the values by path, and the revision signed last."""

    visit: Visit
    client: Client
    values: dict[str, float | str | None]
    versions: int
    signed_revision: int | None
    photos: tuple[PhotoHead, ...] = ()


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
    erase: Erase | None = None


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
    """A visit in a list; ``signs`` are its entries about warning signs."""

    visit: Visit
    client: Client
    practitioner: str
    changed_at: datetime | None
    follow_up: str | None
    signs: Mapping[str, float | str | None]
    signed_at: datetime | None
    signed_revision: int | None
