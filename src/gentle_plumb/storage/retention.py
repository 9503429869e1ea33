"""How long nothing came to a client's records, and their erasure, in PostgreSQL."""

from __future__ import annotations

from datetime import date, datetime, timedelta
from uuid import UUID
from zoneinfo import ZoneInfo

from sqlalchemy import (
    Column,
    Connection,
    Engine,
    Select,
    Subquery,
    Table,
    delete,
    exists,
    func,
    insert,
    select,
)

from ..core.language import msg
from ..core.record.fields.photo import PHOTO_FAMILY
from ..services.errors import HoldsSomething, NotFound
from ..services.models import ClientStanding, Erasure, ErasureScope
from .mapping import values_of
from .photos import erase
from .store import Store
from .tables import (
    BULK_JOB,
    CHANGE,
    CHECK_ROUND,
    CLIENT,
    CLIENT_LINK,
    ENTRY,
    ERASURE,
    GIVEN_ANSWER,
    METADATA,
    OUTGOING_MAIL,
    PHOTO,
    PRACTICE,
    REPORT,
    REPORT_COPY,
    VISIT,
)

_CLIENT, _VISIT = CLIENT.c, VISIT.c
OUTLIVES = ("trail", "erasure")
"""What names an erased client still, by an identifier alone: that it was there, and that it is gone."""


class SqlRetention(Store):
    """The RetentionStore port."""

    def standings(self, practice_id: UUID, still_since: date) -> list[ClientStanding]:
        # only these can be due: a look into every entry of a large practice takes its time
        still = (
            select(_VISIT.client_id)
            .outerjoin(PHOTO, PHOTO.c.visit_id == _VISIT.id)
            .where(_VISIT.practice_id == practice_id)
            .group_by(_VISIT.client_id)
            .having(
                (func.max(_VISIT.started_on) <= still_since)
                | (func.max(PHOTO.c.added_at) < still_since + timedelta(days=2))
            )
        )
        typed = (
            select(VISIT.c.client_id, func.max(ENTRY.c.changed_at).label("at"))
            .join(ENTRY, ENTRY.c.visit_id == VISIT.c.id)
            .where(VISIT.c.practice_id == practice_id, VISIT.c.client_id.in_(still))
            .group_by(VISIT.c.client_id)
            .subquery()
        )
        signed = _kept_by_client(practice_id, REPORT, REPORT.c.signed_at)
        pictures = _kept_by_client(practice_id, PHOTO, PHOTO.c.added_at)
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
            .join(VISIT, _VISIT.client_id == _CLIENT.id)
            .outerjoin(typed, typed.c.client_id == _CLIENT.id)
            .outerjoin(signed, signed.c.client_id == _CLIENT.id)
            .outerjoin(pictures, pictures.c.client_id == _CLIENT.id)
            .where(_CLIENT.practice_id == practice_id, _CLIENT.id.in_(still))
            .group_by(_CLIENT.id, typed.c.at, signed.c.n, signed.c.at, pictures.c.n, pictures.c.at)
            .order_by(_CLIENT.name, _CLIENT.id)
        )
        zone_of = select(PRACTICE.c.time_zone).where(PRACTICE.c.id == practice_id)
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
            text: str | None = connection.scalar(query.where(_CLIENT.practice_id == practice_id))
        if text is None:
            raise NotFound(msg("There is no such client."))
        return text

    def erase_client(
        self, practice_id: UUID, client_id: UUID, *, even_signed: bool
    ) -> tuple[dict[str, int], int]:
        mine = (_CLIENT.id == client_id) & (_CLIENT.practice_id == practice_id)
        with self._engine.begin() as connection:
            held = connection.execute(select(_CLIENT.id).where(mine).with_for_update()).first()
            if held is None:
                raise NotFound(msg("There is no such client."))
            counts = _counts(connection, client_id)
            if counts["reports"] and not even_signed:
                raise HoldsSomething(
                    msg("There are signed reports. Only an owner can delete them.")
                )
            visits = list(connection.scalars(_visits(client_id)))
            connection.execute(delete(CLIENT).where(mine))
            _drop_made_papers(connection, practice_id)
            return counts, _left_over(connection, [client_id], visits)

    def erase_photographs(self, practice_id: UUID, client_id: UUID) -> tuple[dict[str, int], int]:
        self.name(practice_id, client_id)
        scope = ErasureScope(starts=(f"{PHOTO_FAMILY}.",), photos=True)
        with self._engine.begin() as connection:
            visits = list(connection.scalars(_visits(client_id).with_for_update()))
            photos = select(func.count()).where(PHOTO.c.visit_id.in_(visits))
            counts = {"photographs": connection.scalar(photos) or 0}
            for visit in visits:
                erase(connection, visit, scope)
            _drop_made_papers(connection, practice_id)
            return counts, connection.scalar(photos) or 0

    def add(self, erasure: Erasure) -> None:
        with self._engine.begin() as connection:
            connection.execute(insert(ERASURE).values(**values_of(erasure)))

    def erasures(self, practice_id: UUID) -> list[Erasure]:
        mine = ERASURE.c.practice_id == practice_id
        return self._list(Erasure, mine, order=(ERASURE.c.at.desc(), ERASURE.c.id))


def _kept_by_client(practice_id: UUID, table: Table, moment: Column[datetime]) -> Subquery:
    """How many rows each client of a practice has in a table of visits (``n``), and the latest (``at``)."""
    return (
        select(VISIT.c.client_id, func.count().label("n"), func.max(moment).label("at"))
        .join(table, table.c.visit_id == VISIT.c.id)
        .where(VISIT.c.practice_id == practice_id)
        .group_by(VISIT.c.client_id)
        .subquery()
    )


def erase_again(engine: Engine, clients: list[UUID]) -> int:
    """Erase clients that came back with a backup; how many there were."""
    with engine.begin() as connection:
        gone = delete(CLIENT).where(_CLIENT.id.in_(clients)).returning(_CLIENT.id)
        return len(list(connection.scalars(gone)))


def _drop_made_papers(connection: Connection, practice_id: UUID) -> None:
    """Forget files of many papers that wait to be fetched: they may hold what is gone."""
    jobs = BULK_JOB.c
    connection.execute(
        delete(BULK_JOB).where(jobs.practice_id == practice_id, jobs.kind == "papers")
    )


def _visits(client_id: UUID) -> Select[UUID]:
    return select(_VISIT.id).where(_VISIT.client_id == client_id)


def _counts(connection: Connection, client_id: UUID) -> dict[str, int]:
    visits = _visits(client_id)
    reports = select(REPORT.c.id).where(REPORT.c.visit_id.in_(visits))
    links = select(CLIENT_LINK.c.id).where(CLIENT_LINK.c.client_id == client_id)
    rounds = select(CHECK_ROUND.c.id).where(CHECK_ROUND.c.link_id.in_(links))
    counted = {
        "visits": _VISIT.client_id == client_id,
        "entries": ENTRY.c.visit_id.in_(visits) & (ENTRY.c.typed != ""),
        "changes": CHANGE.c.visit_id.in_(visits),
        "reports": REPORT.c.visit_id.in_(visits),
        "papers": REPORT_COPY.c.report_id.in_(reports),
        "photographs": PHOTO.c.visit_id.in_(visits),
        "links": CLIENT_LINK.c.client_id == client_id,
        "answers": GIVEN_ANSWER.c.round_id.in_(rounds),
        "mails": OUTGOING_MAIL.c.client_id == client_id,
    }
    return {
        name: connection.scalar(select(func.count()).where(which)) or 0
        for name, which in counted.items()
    }


def _left_over(connection: Connection, clients: list[UUID], visits: list[UUID]) -> int:
    """How many rows of all tables name a client or a visit that is gone."""
    left = 0
    for table in METADATA.sorted_tables:
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
