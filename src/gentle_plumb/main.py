"""Wiring: settings to services to application."""

from __future__ import annotations

import gc
from datetime import UTC, datetime

from fastapi import FastAPI
from sqlalchemy import Engine

from .api import Services, make_app
from .config import Settings
from .devices import (
    FolderInbox,
    SmtpMail,
    SmtpSettings,
    SocketDesk,
    SocketInstrument,
    SocketLightMeter,
)
from .documents import PaperFiles, PillowImageProcessor, TypstPdfRenderer, ZipArchives
from .documents.exchange import ExchangeFormats
from .schemas import DemoPerson
from .services.accounts import AccountService
from .services.archives import ArchiveService
from .services.desks import DeskService
from .services.exchange import ExchangeService
from .services.follow_ups import FollowUpService
from .services.histories import HistoryService
from .services.instruments import InstrumentService
from .services.measuring import MeasuringService
from .services.own_page import LanguageService, LinkService, MailService, OwnPageService
from .services.photos import PhotoService
from .services.policies import PolicyService
from .services.ports import Clock
from .services.reports import ReportService
from .services.shelves import ShelfService
from .services.taking import TakingService
from .services.trail import TrailService
from .services.visits import VisitService
from .storage import (
    SqlAccounts,
    SqlMeasuring,
    SqlOwnPages,
    SqlPolicies,
    SqlQueue,
    SqlRecords,
    SqlShelf,
    SqlTrail,
    make_engine,
)


def now() -> datetime:
    """The clock."""
    return datetime.now(UTC)


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


def mail_sender(settings: Settings) -> SmtpMail | None:
    """The mail server of the settings, if there is one."""
    host, _, port = settings.mail.rpartition(":")
    if not host or not port.isdigit():
        return None
    return SmtpMail(
        SmtpSettings(
            host=host,
            port=int(port),
            sender=settings.mail_from or f"plumb@{host}",
            user=settings.mail_user,
            password=settings.mail_password.get_secret_value(),
            tls=settings.mail_tls,
        )
    )


def mail_service(engine: Engine, settings: Settings, clock: Clock = now) -> MailService:
    """What queues mail and hands it over."""
    return MailService(SqlOwnPages(engine), mail_sender(settings), clock)


def make_services(engine: Engine, settings: Settings, clock: Clock = now) -> Services:
    """The services over a database, with the instruments and the mail server that the settings name."""
    records = SqlRecords(engine)
    accounts, pages = SqlAccounts(engine), SqlOwnPages(engine)
    measuring = MeasuringService(SqlMeasuring(engine), SqlAccounts(engine), clock)
    policies = PolicyService(SqlPolicies(engine))
    visits = VisitService(records, clock, measuring.errors_of, policies.chosen)
    photos = PhotoService(records, PillowImageProcessor(), clock)
    demo = _demo_people()
    published = {person.email: person.password for person in demo}
    return Services(
        engine=engine,
        accounts=AccountService(SqlAccounts(engine), clock, {} if settings.demo else published),
        visits=visits,
        follow_ups=FollowUpService(records, visits, clock),
        reports=ReportService(records, visits, TypstPdfRenderer(), clock, PaperFiles()),
        photos=photos,
        archives=ArchiveService(records, photos, ZipArchives(), PaperFiles(), clock),
        own_page=OwnPageService(pages, records, accounts, photos, clock),
        links=LinkService(pages, records, accounts, mail_service(engine, settings, clock), clock),
        languages=LanguageService(pages),
        histories=HistoryService(records, pages, clock),
        taking=TakingService(records, measuring, policies),
        queue=SqlQueue(engine),
        metrics_token=settings.metrics_token.get_secret_value(),
        trail=TrailService(SqlTrail(engine), clock),
        mailbox=FolderInbox(settings.mail_folder) if settings.mail_folder else None,
        public_url=settings.public_url,
        shelf=ShelfService(SqlShelf(engine)),
        measuring=measuring,
        policies=policies,
        exchange=ExchangeService(records, ExchangeFormats(), clock),
        instruments=InstrumentService(
            records,
            {
                "tape": SocketInstrument("tape", settings.tape),
                "rod": SocketInstrument("rod", settings.rod),
            },
        ),
        light_meter=SocketLightMeter(settings.light_meter),
        desk=DeskService(SocketDesk(settings.desk)),
        secure_cookie=settings.secure_cookie,
        demo_people=demo if settings.demo else [],
    )


def create_app() -> FastAPI:
    """The application as uvicorn wants it: everything from the environment."""
    settings = Settings()
    gc.freeze()  # what is loaded now stays: no need to look through it again and again
    gc.set_threshold(20_000, 20, 20)
    engine = make_engine(settings.database_url, pool_size=settings.pool_size)
    page = settings.page if (settings.page / "index.html").exists() else None
    return make_app(make_services(engine, settings), page)
