"""What of the records is the server's alone."""

from __future__ import annotations

from collections.abc import Collection, Mapping, Set
from datetime import date
from typing import NoReturn
from uuid import UUID

from ..core.language import msg
from ..services.errors import NeedsServer
from ..services.models import (
    Client,
    Entry,
    PrintedCopy,
    Report,
    ReportHead,
    Visit,
    VisitInList,
    VisitLine,
)


def _needs_server() -> NoReturn:
    raise NeedsServer(msg("You can do this when you are back online."))


class ServerOnlyRecords:
    """Lists, erasing, and everything about signed reports: each raises NeedsServer on a device."""

    def clients(self, practice_id: UUID, of: Collection[UUID] | None = None) -> list[Client]:
        _needs_server()

    def change_client(self, client: Client) -> Client:
        _needs_server()

    def visits_at(self, practice_id: UUID, workstation_id: str) -> list[UUID]:
        _needs_server()

    def visits(
        self,
        practice_id: UUID,
        *,
        of: Collection[UUID] | None = None,
        client_id: UUID | None = None,
    ) -> list[VisitLine]:
        _needs_server()

    def visits_of(self, practice_id: UUID) -> list[Visit]:
        _needs_server()

    def visit_keys(self, practice_id: UUID) -> list[tuple[UUID, UUID, UUID]]:
        _needs_server()

    def visits_waiting(
        self, practice_id: UUID, *, soon: date, latest: int, most: int, member_id: UUID | None
    ) -> list[VisitInList]:
        _needs_server()

    def client_names(self, practice_id: UUID) -> list[tuple[UUID, str, str]]:
        _needs_server()

    def last_visits(
        self, practice_id: UUID, clients: Collection[UUID]
    ) -> dict[UUID, tuple[date, str | None]]:
        _needs_server()

    def measured(
        self, practice_id: UUID, visit_ids: Set[UUID] | None = None
    ) -> list[tuple[Visit, Client, list[Entry]]]:
        _needs_server()

    def report_pdf(
        self, practice_id: UUID, report_id: UUID, copy: str
    ) -> tuple[Report, bytes | None]:
        _needs_server()

    def add_report(self, report: Report, printed: Mapping[str, PrintedCopy]) -> ReportHead:
        _needs_server()

    def report_of(self, visit_id: UUID, report_id: UUID) -> ReportHead | None:
        _needs_server()
