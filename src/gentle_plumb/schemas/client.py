"""Clients and their visits."""

from __future__ import annotations

from datetime import date, datetime
from typing import Annotated, Literal
from uuid import UUID

from pydantic import BaseModel, Field

from ..core.intake import URGENCY
from ..core.presentation import settles_at
from ..core.record import Record, StepId
from ..core.visit import furthest_step, got_worse, raised_red_flags
from ..services.models import Client, PhotoHead, ReportHead, VisitLine
from ..services.visit_lists import ClientLine
from .common import Email, Line, Name, New, RequestModel, Sex

BirthYear = Annotated[int, Field(ge=1900, le=2100)]
"""A year of birth."""


class ClientFacts(RequestModel):
    """What is said of a client."""

    name: Name
    sex: Sex | None = None
    work: Line = ""
    email: Email = ""
    birth_year: BirthYear | None = None


class ClientIn(New, ClientFacts):
    """A new client."""


class ClientChange(ClientFacts):
    """A client corrected upon its version."""

    version: Annotated[int, Field(ge=1, le=2_000_000_000)]


class ClientOut(BaseModel):
    """A client; ``restricted``: some of the practice see them, and nobody else.

    In a list ``last_visit`` is when they were seen last, ``follow_up`` when they are to be seen again.
    """

    id: UUID
    name: str
    sex: Sex | None
    work: str
    email: str
    birth_year: int | None
    version: int
    restricted: bool
    last_visit: date | None = None
    follow_up: str | None = None

    @classmethod
    def of(cls, client: Client) -> ClientOut:
        """From the record."""
        listed = {"last_visit", "follow_up"}
        return cls(**{name: getattr(client, name) for name in cls.model_fields.keys() - listed})

    @classmethod
    def in_list(cls, line: ClientLine) -> ClientOut:
        """With their last visit."""
        seen = {"last_visit": line.last, "follow_up": line.follow_up}
        return cls.of(line.client).model_copy(update=seen)


class VisitIn(New):
    """A new visit; ``from_visit`` is one of the same client that it follows up."""

    client_id: UUID
    from_visit: UUID | None = None


class DiscardIn(RequestModel):
    """Whether a draft is thrown away, or taken back."""

    discarded: bool


class VisitLineOut(BaseModel):
    """A visit in a list."""

    id: UUID
    client_id: UUID
    client: str
    work: str
    practitioner: str
    started_on: date
    changed_at: datetime | None
    follow_up: str | None
    state: Literal["new", "draft", "signed", "changed"]
    sign: str | None
    call_back: date | None
    shared_report: UUID | None
    step: StepId | None
    settles_at: float | None
    worse: list[str]

    @classmethod
    def of(cls, line: VisitLine) -> VisitLineOut:
        """From the record; ``changed`` is signed, then changed again.

        ``call_back`` is the first day on which a client is called back about a red flag, ``sign`` is what the gravest warning sign asks for that nobody has written an answer to,
        ``step`` the furthest that anything was entered in, ``settles_at`` when the settle-in test that runs is over, s
        since 1970.
        """
        flags = raised_red_flags(Record(line.signs))
        waiting = [one for one in flags if one.done is None]
        calls = sorted(one.to_call for one in flags if one.to_call)
        if line.signed_at is not None:
            same = line.signed_revision == line.visit.revision
            state: Literal["new", "draft", "signed", "changed"] = "signed" if same else "changed"
        else:
            state = "draft" if line.visit.revision else "new"
        return cls(
            id=line.visit.id,
            client_id=line.client.id,
            client=line.client.name,
            work=line.client.work,
            practitioner=line.practitioner,
            started_on=line.visit.started_on,
            changed_at=line.changed_at,
            follow_up=line.follow_up,
            state=state,
            sign=URGENCY[waiting[0].urgency] if waiting else None,
            call_back=date.fromisoformat(calls[0]) if calls else None,
            shared_report=line.shared_report,
            step=furthest_step(line.touched),
            settles_at=settles_at(Record(line.settling)),
            worse=[
                f"{one.label} {one.was:g} to {one.now:g} of 10"
                for one in got_worse(Record(line.felt_before), Record(line.felt))
            ],
        )


class ReportOut(BaseModel):
    """A signed version; ``copies`` are the SHA-256 of each of its copies, by name."""

    id: UUID
    number: int
    signed_by: str
    signed_at: datetime
    copies: dict[str, str]
    current: bool

    @classmethod
    def of(cls, report: ReportHead, revision: int) -> ReportOut:
        """From the record; ``current`` while nothing has changed since."""
        return cls(
            id=report.id,
            number=report.number,
            signed_by=report.signed_by,
            signed_at=report.signed_at,
            copies=dict(report.copies),
            current=report.revision == revision,
        )


class PhotoOut(BaseModel):
    """A kept photograph without its picture."""

    id: UUID
    width: int
    height: int
    size: int
    added_by: str
    added_at: datetime

    @classmethod
    def of(cls, photo: PhotoHead) -> PhotoOut:
        """From the record."""
        return cls(**{name: getattr(photo, name) for name in cls.model_fields})


class SignatureIn(RequestModel):
    """What is signed: the visit as it stood at this revision."""

    revision: Annotated[int, Field(ge=0, le=2_000_000_000)]
