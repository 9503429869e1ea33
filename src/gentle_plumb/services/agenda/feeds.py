"""A member's private calendar: an address that only they know, which a calendar program asks again and again.

Only a digest of the address is kept, so it is shown once. Clients' names and addresses are in it by choice only.
"""

from __future__ import annotations

import secrets
from collections.abc import Callable
from dataclasses import dataclass
from datetime import datetime, timedelta
from uuid import UUID

from ...core.language import filled, language_of, msg
from ..accounts import token_hash
from ..errors import NotFound
from ..models import AppointmentKind, CalendarFeed, Member, PlannedAppointment, Practice
from ..ports import Clock
from .letters import where_words
from .ports import AgendaStore, CalendarWriter, Event

BACK, AHEAD = timedelta(days=30), timedelta(days=365)
"""How far back and ahead a calendar reaches. House values."""
KINDS: dict[AppointmentKind, str] = {
    "visit": msg("Visit"),
    "follow_up": msg("Follow-up"),
    "check": msg("Check"),
    "call_back": msg("Call"),
}


@dataclass(frozen=True, kw_only=True)
class FeedView:
    """A member's calendar as it is set; ``made_at`` is None where there is none."""

    names: bool = False
    made_at: datetime | None = None


@dataclass(frozen=True, kw_only=True)
class MadeFeed(FeedView):
    """A calendar just made, with its address: it is told this once."""

    url: str


class FeedService:
    """Private calendars."""

    def __init__(
        self,
        store: AgendaStore,
        calendar: CalendarWriter,
        clock: Clock,
        hidden: Callable[[Member], frozenset[UUID]],
    ) -> None:
        self._store, self._calendar, self._clock, self._hidden = store, calendar, clock, hidden

    def view(self, member: Member) -> FeedView:
        """Whether a member has a calendar, and what it tells."""
        held = self._store.feed(member.id)
        return FeedView() if held is None else FeedView(names=held.names, made_at=held.made_at)

    def make(self, member: Member, base_url: str, *, names: bool) -> MadeFeed:
        """Make the calendar's address, or another one: the one before opens nothing any more."""
        token, now = secrets.token_urlsafe(32), self._clock()
        self._store.put_feed(
            CalendarFeed(
                member_id=member.id, token_hash=token_hash(token), names=names, made_at=now
            )
        )
        return MadeFeed(names=names, made_at=now, url=f"{base_url}/api/calendars/{token}.ics")

    def drop(self, member: Member) -> None:
        """Close the calendar."""
        self._store.drop_feed(member.id)

    def file(self, token: str) -> bytes:
        """Return the calendar at an address; raises NotFound."""
        held = self._store.feed_at(token_hash(token))
        if held is None:
            raise NotFound(msg("There is no calendar at this address."))
        feed, member, practice = held
        today = practice.day(self._clock())
        lines = self._store.planned(
            practice.id, today - BACK, today + AHEAD, member_id=feed.member_id
        )
        hidden = self._hidden(member)
        events = [
            _event(line, member, practice, names=feed.names and line.client_id not in hidden)
            for line in lines
        ]
        return self._calendar(events, name=practice.name, made_at=self._clock())


def _event(line: PlannedAppointment, member: Member, practice: Practice, *, names: bool) -> Event:
    kind = KINDS[line.kind]
    title = filled("{kind}: {client}", kind=kind, client=line.client) if names else kind
    told = names or line.place_kind == "room"
    language = language_of(member.language or "en")
    return Event(
        key=str(line.id),
        version=line.version,
        title=language.say(title),
        place=language.say(where_words(line.place_kind, line.place if told else "")),
        starts=line.starts(practice.time_zone),
        ends=line.ends(practice.time_zone),
    )
