"""What the routes hand over to."""

from __future__ import annotations

from dataclasses import dataclass, field

from sqlalchemy import Engine

from ..schemas import DemoPerson
from ..services.access import AccessService, EntranceService
from ..services.accounts import AccountService
from ..services.archives import ArchiveService
from ..services.bulk import BulkService
from ..services.desks import DeskService
from ..services.drafts import DraftService
from ..services.exchange import ExchangeService
from ..services.follow_ups import FollowUpService
from ..services.histories import HistoryService
from ..services.instruments import InstrumentService
from ..services.keeping import KeepingService
from ..services.measuring import MeasuringService
from ..services.own_page import LanguageService, LinkService, MailBox, OwnPageService
from ..services.photos import PhotoService
from ..services.policies import PolicyService
from ..services.ports import LightMeter, PdfRenderer
from ..services.queue import JobQueue
from ..services.reports import ReportService
from ..services.running import RunningService
from ..services.shelves import ShelfService
from ..services.taking import TakingService
from ..services.trail import TrailService
from ..services.visits import VisitService


@dataclass(frozen=True, kw_only=True)
class Services:
    """What the routes hand over to.

    ``secure_cookie`` is None where each request shows whether its cookie can be marked so; ``mailbox`` is the
    simulated mail server's inbox, ``metrics_token`` opens the figures for Prometheus, ``public_url`` the address in links, where the request does not show it.
    """

    engine: Engine
    accounts: AccountService
    visits: VisitService
    drafts: DraftService
    reports: ReportService
    follow_ups: FollowUpService
    photos: PhotoService
    archives: ArchiveService
    shelf: ShelfService
    measuring: MeasuringService
    policies: PolicyService
    exchange: ExchangeService
    instruments: InstrumentService
    light_meter: LightMeter
    desk: DeskService
    own_page: OwnPageService
    links: LinkService
    languages: LanguageService
    histories: HistoryService
    trail: TrailService
    taking: TakingService
    queue: JobQueue
    entrances: EntranceService
    access: AccessService
    keeping: KeepingService
    running: RunningService
    press: PdfRenderer
    bulk: BulkService
    mailbox: MailBox | None = None
    public_url: str = ""
    secure_cookie: bool | None = None
    metrics_token: str = ""
    demo_people: list[DemoPerson] = field(default_factory=list)
