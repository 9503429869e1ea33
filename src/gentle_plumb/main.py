"""Wiring: settings to services to application."""

from __future__ import annotations

import gc
from datetime import UTC, datetime

from fastapi import FastAPI
from sqlalchemy import Engine

from .api import Services, make_app
from .api.schemas import DemoPerson
from .config import Settings
from .devices import SocketDesk, SocketInstrument, SocketLightMeter
from .documents import PaperFiles, PillowImageProcessor, TypstPdfRenderer, ZipArchives
from .documents.exchange import ExchangeFormats
from .services.accounts import AccountService
from .services.archives import ArchiveService
from .services.desks import DeskService
from .services.exchange import ExchangeService
from .services.follow_ups import FollowUpService
from .services.instruments import InstrumentService
from .services.measuring import MeasuringService
from .services.photos import PhotoService
from .services.policies import PolicyService
from .services.reports import ReportService
from .services.shelves import ShelfService
from .services.visits import VisitService
from .storage import SqlAccounts, SqlMeasuring, SqlPolicies, SqlRecords, SqlShelf, make_engine


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


def make_services(engine: Engine, settings: Settings) -> Services:
    """The services over a database."""
    records = SqlRecords(engine)
    measuring = MeasuringService(SqlMeasuring(engine), SqlAccounts(engine), now)
    policies = PolicyService(SqlPolicies(engine))
    visits = VisitService(records, now, measuring.errors_of, policies.chosen)
    photos = PhotoService(records, PillowImageProcessor(), now)
    demo = _demo_people()
    published = {person.email: person.password for person in demo}
    return Services(
        engine=engine,
        accounts=AccountService(SqlAccounts(engine), now, {} if settings.demo else published),
        visits=visits,
        follow_ups=FollowUpService(records, visits, now),
        reports=ReportService(records, visits, TypstPdfRenderer(), now, PaperFiles()),
        photos=photos,
        archives=ArchiveService(records, photos, ZipArchives(), PaperFiles(), now),
        shelf=ShelfService(SqlShelf(engine)),
        measuring=measuring,
        policies=policies,
        exchange=ExchangeService(records, ExchangeFormats(), now),
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
