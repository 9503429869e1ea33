"""Who has a visit open, and at which revision it is: so that two people, or two pages, see each other's work."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Protocol
from uuid import UUID

from .models import Member
from .ports import Clock

GONE_AFTER = timedelta(seconds=6)
"""A page that has said nothing for so long has gone: four of its calls. House value."""


@dataclass(frozen=True, kw_only=True)
class OpenPage:
    """Another page on which a visit is open: whose, and whether that is who asks."""

    name: str
    own: bool


@dataclass(frozen=True, kw_only=True)
class Pulse:
    """The revision a visit is at, and the other pages on which it is open."""

    revision: int
    others: Sequence[OpenPage]


class PresenceStore(Protocol):
    """Pages by the visit that is open on them."""

    def note(self, member: Member, visit_id: UUID, page_id: UUID, now: datetime) -> int:
        """Note that a page is there; the visit's revision. Raises NotFound."""

    def drop(self, member: Member, page_id: UUID) -> None:
        """Forget a page of a member's; nothing where it is not there."""

    def others(self, visit_id: UUID, page_id: UUID, since: datetime) -> list[tuple[UUID, str]]:
        """Members on other pages that were there since, with their names, the longest there first."""


class PresenceService:
    """Pages that say that they are there."""

    def __init__(self, store: PresenceStore, clock: Clock) -> None:
        self._store, self._clock = store, clock

    def pulse(self, member: Member, visit_id: UUID, page_id: UUID) -> Pulse:
        """Note a page, and say what has changed and who else is there. Raises NotFound."""
        now = self._clock()
        revision = self._store.note(member, visit_id, page_id, now)
        there = dict.fromkeys(self._store.others(visit_id, page_id, now - GONE_AFTER))
        return Pulse(
            revision=revision,
            others=[OpenPage(name=name, own=id == member.id) for id, name in there],
        )

    def leave(self, member: Member, page_id: UUID) -> None:
        """Forget a page that is left."""
        self._store.drop(member, page_id)
