"""Wiring: settings to services to application."""

from __future__ import annotations

import gc
import sys
from datetime import UTC, datetime, timedelta
from functools import partial
from pathlib import Path

from fastapi import FastAPI
from sqlalchemy import Engine

from .api import make_app
from .config import VERSION, Settings
from .devices import FolderInbox, SocketDesk, SocketInstrument, SocketLightMeter
from .documents import PaperFiles, PillowImageProcessor, TypstPdfRenderer, ZipArchives
from .documents.appointment_calendar import appointment_calendar
from .documents.exchange import ExchangeFormats
from .logs import set_up_logs
from .mailing import appointment_letters, entrance_service, mail_service, now
from .routes.services import Services
from .schemas.account import DemoPerson
from .services.access import AccessService
from .services.accounts import AccountService
from .services.agenda import AgendaService, FeedService
from .services.archives import ArchiveService
from .services.audit_log import AuditLogService
from .services.bulk import BulkService
from .services.client_files import client_files
from .services.drafts import DraftService
from .services.exchange import ExchangeService
from .services.follow_ups import FollowUpService
from .services.histories import HistoryService
from .services.instruments import InstrumentService
from .services.measuring import MeasuringService
from .services.own_page import LanguageService, LinkService, OwnPageService
from .services.photos import PhotoService
from .services.phrases import PhraseService
from .services.policies import PolicyService
from .services.ports import Clock
from .services.presence import PresenceService
from .services.reports import ReportService
from .services.retention import RetentionService
from .services.search import SearchService
from .services.shelves import ShelfService
from .services.system_status import BackupFile, SystemStatusService
from .services.taking import TakingService
from .services.throttle import Attempts
from .services.visit_reuse import VisitReuse
from .services.visits import VisitService
from .storage import (
    SqlAccounts,
    SqlAgenda,
    SqlAuditLog,
    SqlBulkJobs,
    SqlClientAccesses,
    SqlDatabase,
    SqlFailedMails,
    SqlMeasuring,
    SqlOwnPages,
    SqlPhrases,
    SqlPolicies,
    SqlPresence,
    SqlQueue,
    SqlRecords,
    SqlRetention,
    SqlShelf,
    SqlTroubles,
    make_engine,
    note_erased,
    note_left,
    secrets_in,
)

SWITCH_S = 0.001
"""After so long a drawing lets a change go first, s; Python's own is five times that. House value."""


def _demo_people() -> list[DemoPerson]:
    """The people of the demo; none where the program is installed without it."""
    try:
        from plumb_demo.people import DEMO_MEMBERS
    except ModuleNotFoundError:
        return []
    return [
        DemoPerson(email=person.email, password=person.password, says=person.says)
        for person in DEMO_MEMBERS
    ]


def last_backup(folder: Path, now: datetime) -> BackupFile | None:
    """The latest backup in a folder, by the moment in its name; each was read back before it got one.

    One of the future, made while a clock was wrong, tells nothing of last night.
    """
    dated = [
        (datetime.strptime(path.name[:21], "plumb-%Y%m%d-%H%M%S").replace(tzinfo=UTC), path)
        for path in folder.glob("plumb-*.dump.age")
    ]
    moment, last = max(
        (entry for entry in dated if entry[0] <= now + CLOCKS_APART), default=(None, None)
    )
    return BackupFile(at=moment, size=last.stat().st_size) if moment and last else None


CLOCKS_APART = timedelta(minutes=5)
"""So far may the clocks of worker and server differ. House value."""


def make_services(engine: Engine, settings: Settings, clock: Clock = now) -> Services:
    """The services over a database, with the instruments and the mail server that the settings name."""
    records = SqlRecords(engine)
    accounts, pages, trail = SqlAccounts(engine), SqlOwnPages(engine), SqlAuditLog(engine)
    access = AccessService(SqlClientAccesses(engine), accounts)
    queue, press = SqlQueue(engine), TypstPdfRenderer()
    measuring = MeasuringService(SqlMeasuring(engine), SqlAccounts(engine), clock)
    policies = PolicyService(SqlPolicies(engine))
    reuse = VisitReuse()
    visits = VisitService(
        records, clock, measuring.errors_of, policies.chosen, access.hidden, reuse
    )
    photos = PhotoService(records, PillowImageProcessor(), clock)
    demo = _demo_people()
    published = {person.email: person.password for person in demo}
    mail, folder = mail_service(engine, settings, clock), settings.backup_folder
    languages = LanguageService(pages)
    reports = ReportService(
        records, visits, press, clock, PaperFiles(), access.hidden, languages.words_of
    )
    archives = ArchiveService(
        records, photos, ZipArchives(), PaperFiles(), clock, client_files(pages, trail)
    )
    return Services(
        database=SqlDatabase(engine),
        attempts=lambda kind, sender: Attempts(
            kind=kind, sender=sender, store=accounts, clock=clock
        ),
        bulk=BulkService(SqlBulkJobs(engine), accounts, reports, archives, clock, access.hidden),
        accounts=AccountService(
            accounts,
            clock,
            {} if settings.demo else published,
            partial(note_left, folder) if folder else None,
            secrets_in(engine, settings.secrets_key),
        ),
        agenda=AgendaService(
            SqlAgenda(engine),
            accounts,
            appointment_letters(engine, settings, clock),
            clock,
            access.hidden,
        ),
        search=SearchService(records, SqlShelf(engine), access.hidden),
        feeds=FeedService(SqlAgenda(engine), appointment_calendar, clock, access.hidden),
        entrances=entrance_service(engine, settings, clock),
        access=access,
        retention=RetentionService(
            SqlRetention(engine),
            accounts,
            trail,
            clock,
            settings.backup_days if folder else None,
            partial(note_erased, folder) if folder else None,
            forget=reuse.drop,
        ),
        system_status=SystemStatusService(
            SqlFailedMails(engine),
            queue,
            SqlTroubles(engine),
            clock,
            version=VERSION,
            kept_days=settings.backup_days,
            last_backup=(lambda: last_backup(folder, clock())) if folder else None,
        ),
        pdf_renderer=press,
        visits=visits,
        drafts=DraftService(records, clock),
        follow_ups=FollowUpService(records, visits, clock),
        reports=reports,
        photos=photos,
        archives=archives,
        own_page=OwnPageService(pages, records, accounts, photos, clock),
        links=LinkService(pages, records, accounts, mail, clock, access.hidden),
        languages=languages,
        histories=HistoryService(records, pages, clock),
        taking=TakingService(records, measuring, policies),
        queue=queue,
        metrics_token=settings.metrics_token.get_secret_value(),
        audit_log=AuditLogService(trail, clock),
        mailbox=FolderInbox(settings.mail_folder) if settings.mail_folder else None,
        public_url=settings.public_url,
        shelf=ShelfService(SqlShelf(engine)),
        measuring=measuring,
        policies=policies,
        phrases=PhraseService(SqlPhrases(engine)),
        presence=PresenceService(SqlPresence(engine), clock),
        exchange=ExchangeService(records, ExchangeFormats(), clock, access.hidden),
        instruments=InstrumentService(
            records,
            {
                "tape": SocketInstrument("tape", settings.tape),
                "rod": SocketInstrument("rod", settings.rod),
            },
        ),
        light_meter=SocketLightMeter(settings.light_meter),
        desk=SocketDesk(settings.desk),
        secure_cookie=settings.secure_cookie,
        demo_people=demo if settings.demo else [],
    )


def create_app() -> FastAPI:
    """The application as uvicorn wants it: everything from the environment."""
    set_up_logs()
    settings = Settings()
    gc.freeze()  # what is loaded now stays: no need to look through it again and again
    gc.set_threshold(20_000, 20, 20)
    sys.setswitchinterval(SWITCH_S)
    engine = make_engine(settings.database_url, pool_size=settings.pool_size)
    page = settings.page if (settings.page / "index.html").exists() else None
    return make_app(make_services(engine, settings), page)
