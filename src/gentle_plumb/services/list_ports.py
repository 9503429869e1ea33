"""The lists of the records: first what they are searched by, then the lines that are shown."""

from __future__ import annotations

from collections.abc import Collection
from datetime import date
from typing import Protocol
from uuid import UUID

from .models import Client, Visit, VisitInList, VisitLine


class VisitLists(Protocol):
    """Lists of clients and visits. Everything is asked within one practice."""

    def clients(self, practice_id: UUID, of: Collection[UUID] | None = None) -> list[Client]:
        """Clients by name: these alone, or all."""

    def client_names(self, practice_id: UUID) -> list[tuple[UUID, str, str]]:
        """Identifier, name and job of every client, by name."""

    def last_visits(
        self, practice_id: UUID, clients: Collection[UUID]
    ) -> dict[UUID, tuple[date, str | None]]:
        """When each of these was seen last, and when that visit says they are seen again."""

    def visits(
        self,
        practice_id: UUID,
        *,
        of: Collection[UUID] | None = None,
        client_id: UUID | None = None,
    ) -> list[VisitLine]:
        """Lines of visits, the latest first: of these alone, of one client, or all."""

    def visits_of(self, practice_id: UUID) -> list[Visit]:
        """Every visit by itself, the first one first."""

    def visit_keys(self, practice_id: UUID) -> list[tuple[UUID, UUID, UUID]]:
        """Visit, client and member of every visit, the latest first."""

    def visits_waiting(
        self, practice_id: UUID, *, soon: date, latest: int, most: int, member_id: UUID | None
    ) -> list[VisitInList]:
        """Visits unsigned or changed since they were signed, due by a day, flagged, or recent; the latest first."""
