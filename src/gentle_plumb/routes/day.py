"""The practitioner's day: the agenda, private calendars, and finding anything."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import date
from typing import Annotated
from uuid import UUID

from pydantic import Field

from ..core.language import msg
from ..schemas.agenda import FeedChoice
from ..services.agenda import AgendaView, FeedView, MadeFeed
from ..services.models import (
    AppointmentView,
    ChangedAppointment,
    ChangedPhrase,
    NewAppointment,
    NewPhrase,
    PhraseView,
)
from ..services.presence import Pulse
from ..services.search import Found
from ..services.visit_lists import ListQuery
from .route import Call, Caller, FileAnswer, Needs, Routes
from .services import Services
from .visits import Words

DAY_ROUTES = Routes("practice")
get, post, put, delete = (DAY_ROUTES.get, DAY_ROUTES.post, DAY_ROUTES.put, DAY_ROUTES.delete)
Days = Annotated[int, Field(ge=1, le=42, description="How many days.")]
CALENDAR = "text/calendar; charset=utf-8"


@get("/agenda", Needs.MEMBER, audit=("read", msg("agenda")))
def agenda(to: Services, who: Caller, start: date | None = None, days: Days = 7) -> AgendaView:
    """What is planned from a day on, what clashes, and free times for what is due."""
    lines = to.visits.visits(who.member, ListQuery(), who.practice)
    checks = to.links.waiting(who.member)
    return to.agenda.agenda(who.member, who.practice, lines, checks, start=start, days=days)


@get("/phrases", Needs.MEMBER)
def phrases(to: Services, who: Caller) -> Sequence[PhraseView]:
    """The practice's own sentences, by their codes."""
    return to.phrases.phrases(who.member)


@post("/phrases", Needs.WRITER, audit=("manage", msg("phrase")), status=201)
def add_phrase(to: Services, who: Caller, phrase: NewPhrase) -> PhraseView:
    """Keep a sentence and its code; sent twice it is one."""
    return to.phrases.add(who.member, phrase)


@put("/phrases/{phrase_id}", Needs.WRITER, audit=("manage", msg("phrase")))
def change_phrase(to: Services, who: Caller, phrase_id: UUID, phrase: ChangedPhrase) -> PhraseView:
    """Change one upon its version; on a stale version it answers 409 with what is there."""
    return to.phrases.change(who.member, phrase_id, phrase)


@delete("/phrases/{phrase_id}", Needs.WRITER, audit=("manage", msg("phrase")), status=204)
def drop_phrase(to: Services, who: Caller, phrase_id: UUID) -> None:
    """Drop one; what was written with it stays."""
    to.phrases.drop(who.member, phrase_id)


@put("/visits/{visit_id}/pages/{page_id}", Needs.HEALTH, unattended=True)
def pulse(to: Services, who: Caller, visit_id: UUID, page_id: UUID) -> Pulse:
    """Say that a visit is open on a page; at which revision it is, and on which others."""
    return to.presence.pulse(who.member, visit_id, page_id)


@delete("/visits/{visit_id}/pages/{page_id}", Needs.HEALTH, unattended=True, status=204)
def leave(to: Services, who: Caller, visit_id: UUID, page_id: UUID) -> None:
    """Say that a visit is no longer open on a page; said twice it is the same."""
    to.presence.leave(who.member, page_id)


@get("/search", Needs.MEMBER, audit=("read", msg("search")))
def search(to: Services, who: Caller, q: Words) -> Found:
    """Clients, visits and equipment that words find, typing errors allowed; the best of each kind."""
    return to.search.find(who.member, q)


@post("/appointments", Needs.OFFICE, audit=("change", msg("appointment")), status=201)
def add_appointment(to: Services, who: Caller, appointment: NewAppointment) -> AppointmentView:
    """Keep a time for a client; sent twice it is one."""
    return to.agenda.add(who.member, who.practice, appointment)


@put("/appointments/{appointment_id}", Needs.OFFICE, audit=("change", msg("appointment")))
def change_appointment(
    to: Services, who: Caller, appointment_id: UUID, appointment: ChangedAppointment
) -> AppointmentView:
    """Move or change an appointment upon its version; on a stale version it answers 409 with what is there."""
    return to.agenda.change(who.member, who.practice, appointment_id, appointment)


@delete(
    "/appointments/{appointment_id}", Needs.OFFICE, audit=("change", msg("appointment")), status=204
)
def cancel_appointment(to: Services, who: Caller, appointment_id: UUID) -> None:
    """Cancel an appointment; a client who was told of it by email is told so."""
    to.agenda.drop(who.member, who.practice, appointment_id)


@get(
    "/appointments/{appointment_id}/invitation.ics",
    Needs.OFFICE,
    audit=("share", msg("appointment")),
    media=CALENDAR,
)
def invitation(to: Services, who: Caller, appointment_id: UUID) -> FileAnswer:
    """An appointment as a calendar file for the client."""
    content, client = to.agenda.invitation(who.member, who.practice, appointment_id)
    return FileAnswer(
        content=content, media=CALENDAR, name="appointment.ics", clients=frozenset({client.id})
    )


@get("/calendar", Needs.MEMBER)
def calendar(to: Services, who: Caller) -> FeedView:
    """Whether one's private calendar is on, and what it tells."""
    return to.feeds.view(who.member)


@post("/calendar", Needs.MEMBER, audit=("share", msg("private calendar")), status=201)
def make_calendar(to: Services, call: Call, who: Caller, choice: FeedChoice) -> MadeFeed:
    """Make one's private calendar, or give it another address; it is told this once."""
    return to.feeds.make(who.member, to.public_url or call.base_url, names=choice.names)


@delete("/calendar", Needs.MEMBER, audit=("share", msg("private calendar")), status=204)
def drop_calendar(to: Services, who: Caller) -> None:
    """Close one's private calendar."""
    to.feeds.drop(who.member)


@get("/calendars/{token}.ics", Needs.NOBODY, media=CALENDAR)
def calendar_file(
    to: Services, token: Annotated[str, Field(pattern="^[A-Za-z0-9_-]{20,80}$")]
) -> FileAnswer:
    """A private calendar, for the calendar program that knows its address."""
    return FileAnswer(content=to.feeds.file(token), media=CALENDAR, name="calendar.ics")
