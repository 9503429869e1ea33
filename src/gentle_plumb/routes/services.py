"""What the routes of the server hand over to."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Protocol

from ..schemas.account import DemoPerson
from ..services.access import AccessService, OneTimeLinkService
from ..services.accounts import AccountService
from ..services.agenda import AgendaService, FeedService
from ..services.archives import ArchiveService
from ..services.audit_log import AuditLogService
from ..services.bulk import BulkService
from ..services.exchange import ExchangeService
from ..services.histories import HistoryService
from ..services.instruments import InstrumentService
from ..services.measuring import MeasuringService
from ..services.own_page import LanguageService, LinkService, MailBox, OwnPageService
from ..services.photos import PhotoService
from ..services.phrases import PhraseService
from ..services.policies import PolicyService
from ..services.ports import DeskController, LightMeter, PdfRenderer
from ..services.presence import PresenceService
from ..services.queue import JobQueue
from ..services.retention import RetentionService
from ..services.search import SearchService
from ..services.shelves import ShelfService
from ..services.system_status import SystemStatusService
from ..services.taking import TakingService
from ..services.throttle import AttemptKind, Attempts
from .visits import VisitServices


class Pool(Protocol):
    """Connections to the database: how many are in use just now, and how many there may be."""

    def checkedout(self) -> int: ...
    def size(self) -> int: ...


class Database(Protocol):
    """The database, looked at."""

    def ping(self) -> None:
        """Raises where it does not answer."""

    def schema(self) -> str:
        """The schema it is at; empty for none."""

    def newest(self) -> str:
        """The schema that this program works with."""

    def pool(self) -> Pool | None:
        """Its connections; None where they are not pooled."""


@dataclass(frozen=True, kw_only=True)
class Services(VisitServices):
    """Everything there is.

    ``secure_cookie`` is None where each request shows whether its cookie can be marked so; ``mailbox`` is the
    simulated mail server's inbox, ``metrics_token`` opens the figures for Prometheus, ``public_url`` the address in
    links, where the request does not show it. ``attempts`` is the limit of a kind of attempt for one sender.
    """

    database: Database
    accounts: AccountService
    attempts: Callable[[AttemptKind, str], Attempts]
    agenda: AgendaService
    feeds: FeedService
    search: SearchService
    photos: PhotoService
    archives: ArchiveService
    shelf: ShelfService
    measuring: MeasuringService
    policies: PolicyService
    phrases: PhraseService
    presence: PresenceService
    exchange: ExchangeService
    instruments: InstrumentService
    light_meter: LightMeter
    desk: DeskController
    own_page: OwnPageService
    links: LinkService
    languages: LanguageService
    histories: HistoryService
    audit_log: AuditLogService
    taking: TakingService
    queue: JobQueue
    entrances: OneTimeLinkService
    access: AccessService
    retention: RetentionService
    system_status: SystemStatusService
    pdf_renderer: PdfRenderer
    bulk: BulkService
    mailbox: MailBox | None = None
    public_url: str = ""
    secure_cookie: bool | None = None
    metrics_token: str = ""
    demo_people: Sequence[DemoPerson] = ()
