"""How long nothing came to a client's records, and their erasure, in PostgreSQL."""

from __future__ import annotations

from datetime import date, timedelta
from uuid import UUID
from zoneinfo import ZoneInfo

from sqlalchemy import Connection, Engine, Select, delete, exists, func, insert, select

from ..core.record.fields.photo import PHOTO_FAMILY
from ..services.errors import HoldsSomething, NotFound
from ..services.models import ClientStanding, Erasure, ErasureScope
from .access_models import BulkJobRow, ErasureRow
from .models import (
    Base,
    ChangeRow,
    ClientRow,
    EntryRow,
    PhotoRow,
    PracticeRow,
    ReportCopyRow,
    ReportRow,
    VisitRow,
)
from .own_models import CheckRoundRow, ClientLinkRow, GivenAnswerRow, OutgoingMailRow
from .photos import erase

_CLIENT, _VISIT = ClientRow.__table__.c, VisitRow.__table__.c
_ERASURE = ErasureRow.__table__.c
OUTLIVES = ("trail", "erasure")
"""What names an erased client still, by an identifier alone: that it was there, and that it is gone."""


class SqlKeeping:
    """The Keeping port."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine
        self._reader = engine.execution_options(isolation_level="AUTOCOMMIT")

    def standings(self, practice_id: UUID, still_since: date) -> list[ClientStanding]:
        # only these can be due: a look into every entry of a large practice takes its time
        still = (
            select(_VISIT.client_id)
            .outerjoin(PhotoRow, PhotoRow.visit_id == _VISIT.id)
            .where(_VISIT.practice_id == practice_id)
            .group_by(_VISIT.client_id)
            .having(
                (func.max(_VISIT.started_on) <= still_since)
                | (func.max(PhotoRow.added_at) < still_since + timedelta(days=2))
            )
        )
        typed = (
            select(VisitRow.client_id, func.max(EntryRow.changed_at).label("at"))
            .join(EntryRow, EntryRow.visit_id == VisitRow.id)
            .where(VisitRow.practice_id == practice_id, VisitRow.client_id.in_(still))
            .group_by(VisitRow.client_id)
            .subquery()
        )
        signed = (
            select(
                VisitRow.client_id,
                func.count().label("n"),
                func.max(ReportRow.signed_at).label("at"),
            )
            .join(ReportRow, ReportRow.visit_id == VisitRow.id)
            .where(VisitRow.practice_id == practice_id)
            .group_by(VisitRow.client_id)
            .subquery()
        )
        pictures = (
            select(
                VisitRow.client_id, func.count().label("n"), func.max(PhotoRow.added_at).label("at")
            )
            .join(PhotoRow, PhotoRow.visit_id == VisitRow.id)
            .where(VisitRow.practice_id == practice_id)
            .group_by(VisitRow.client_id)
            .subquery()
        )
        query = (
            select(
                _CLIENT.id,
                _CLIENT.name,
                func.max(_VISIT.started_on).label("begun_on"),
                typed.c.at.label("typed_at"),
                signed.c.n.label("signed"),
                signed.c.at.label("signed_at"),
                pictures.c.n.label("photographs"),
                pictures.c.at.label("photographed_at"),
            )
            .join(VisitRow, _VISIT.client_id == _CLIENT.id)
            .outerjoin(typed, typed.c.client_id == _CLIENT.id)
            .outerjoin(signed, signed.c.client_id == _CLIENT.id)
            .outerjoin(pictures, pictures.c.client_id == _CLIENT.id)
            .where(_CLIENT.practice_id == practice_id, _CLIENT.id.in_(still))
            .group_by(_CLIENT.id, typed.c.at, signed.c.n, signed.c.at, pictures.c.n, pictures.c.at)
            .order_by(_CLIENT.name, _CLIENT.id)
        )
        zone_of = select(PracticeRow.time_zone).where(PracticeRow.id == practice_id)
        with self._reader.connect() as connection:
            here = ZoneInfo(connection.scalar(zone_of) or "UTC")
            return [
                ClientStanding(
                    client_id=row.id,
                    client=row.name,
                    last_on=max(
                        [row.begun_on]
                        + [at.astimezone(here).date() for at in (row.typed_at, row.signed_at) if at]
                    ),
                    signed=row.signed or 0,
                    photographs=row.photographs or 0,
                    photographs_on=row.photographed_at.astimezone(here).date()
                    if row.photographed_at
                    else None,
                )
                for row in connection.execute(query)
            ]

    def name(self, practice_id: UUID, client_id: UUID) -> str:
        query = select(_CLIENT.name).where(_CLIENT.id == client_id)
        with self._reader.connect() as connection:
            found: str | None = connection.scalar(query.where(_CLIENT.practice_id == practice_id))
        if found is None:
            raise NotFound("There is no such client.")
        return found

    def erase_client(
        self, practice_id: UUID, client_id: UUID, *, even_signed: bool
    ) -> tuple[dict[str, int], int]:
        mine = (_CLIENT.id == client_id) & (_CLIENT.practice_id == practice_id)
        with self._engine.begin() as connection:
            held = connection.execute(select(_CLIENT.id).where(mine).with_for_update()).first()
            if held is None:
                raise NotFound("There is no such client.")
            counts = _counts(connection, client_id)
            if counts["reports"] and not even_signed:
                raise HoldsSomething("There are signed reports. Only an owner can delete them.")
            visits = list(connection.scalars(_visits(client_id)))
            connection.execute(delete(ClientRow).where(mine))
            _drop_made_papers(connection, practice_id)
            return counts, _left_over(connection, [client_id], visits)

    def erase_photographs(self, practice_id: UUID, client_id: UUID) -> tuple[dict[str, int], int]:
        self.name(practice_id, client_id)
        scope = ErasureScope(starts=(f"{PHOTO_FAMILY}.",), photos=True)
        with self._engine.begin() as connection:
            visits = list(connection.scalars(_visits(client_id).with_for_update()))
            photos = select(func.count()).where(PhotoRow.visit_id.in_(visits))
            counts = {"photographs": connection.scalar(photos) or 0}
            for visit in visits:
                erase(connection, visit, scope)
            _drop_made_papers(connection, practice_id)
            return counts, connection.scalar(photos) or 0

    def add(self, erasure: Erasure) -> None:
        with self._engine.begin() as connection:
            values = {**vars(erasure), "counts": dict(erasure.counts)}
            connection.execute(insert(ErasureRow).values(**values))

    def erasures(self, practice_id: UUID) -> list[Erasure]:
        query = select(*_ERASURE).where(_ERASURE.practice_id == practice_id)
        with self._reader.connect() as connection:
            found = connection.execute(query.order_by(_ERASURE.at.desc(), _ERASURE.id))
            return [Erasure(**row._mapping) for row in found]


def erase_again(engine: Engine, clients: list[UUID]) -> int:
    """Erase clients that came back with a backup; how many there were."""
    with engine.begin() as connection:
        gone = delete(ClientRow).where(_CLIENT.id.in_(clients)).returning(_CLIENT.id)
        return len(list(connection.scalars(gone)))


def _drop_made_papers(connection: Connection, practice_id: UUID) -> None:
    """Forget files of many papers that wait to be fetched: they may hold what is gone."""
    jobs = BulkJobRow.__table__.c
    connection.execute(
        delete(BulkJobRow).where(jobs.practice_id == practice_id, jobs.kind == "papers")
    )


def _visits(client_id: UUID) -> Select[UUID]:
    return select(_VISIT.id).where(_VISIT.client_id == client_id)


def _counts(connection: Connection, client_id: UUID) -> dict[str, int]:
    visits = _visits(client_id)
    reports = select(ReportRow.id).where(ReportRow.visit_id.in_(visits))
    links = select(ClientLinkRow.id).where(ClientLinkRow.client_id == client_id)
    rounds = select(CheckRoundRow.id).where(CheckRoundRow.link_id.in_(links))
    counted = {
        "visits": _VISIT.client_id == client_id,
        "entries": EntryRow.visit_id.in_(visits) & (EntryRow.typed != ""),
        "changes": ChangeRow.visit_id.in_(visits),
        "reports": ReportRow.visit_id.in_(visits),
        "papers": ReportCopyRow.report_id.in_(reports),
        "photographs": PhotoRow.visit_id.in_(visits),
        "links": ClientLinkRow.client_id == client_id,
        "answers": GivenAnswerRow.round_id.in_(rounds),
        "mails": OutgoingMailRow.client_id == client_id,
    }
    return {
        name: connection.scalar(select(func.count()).where(which)) or 0
        for name, which in counted.items()
    }


def _left_over(connection: Connection, clients: list[UUID], visits: list[UUID]) -> int:
    """How many rows of all tables name a client or a visit that is gone."""
    left = 0
    for table in Base.metadata.sorted_tables:
        if table.name in OUTLIVES:
            continue
        for column, gone in (("client_id", clients), ("visit_id", visits)):
            if column in table.c and gone:
                named = select(func.count()).where(table.c[column].in_(gone))
                left += connection.scalar(named) or 0
    still = exists().where(_CLIENT.id.in_(clients)) if clients else None
    if still is not None and connection.scalar(select(still)):
        left += 1
    return left
