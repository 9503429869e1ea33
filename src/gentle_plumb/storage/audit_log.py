"""The trail in PostgreSQL: added to under one lock a practice, and never changed."""

from __future__ import annotations

from collections.abc import Callable, Generator, Iterator, Sequence
from contextlib import contextmanager
from datetime import datetime, timedelta
from typing import Any
from uuid import UUID
from zoneinfo import ZoneInfo

from sqlalchemy import Connection, Row, Select, func, select
from sqlalchemy.dialects.postgresql import insert

from ..services.audit_log import FIRST, digest_of
from ..services.models.audit_log import AuditEntry, AuditLine, AuditQuery, AuditTarget, TargetKind
from .audited import audited
from .mapping import columns_of, model_of, values_of
from .store import Store
from .tables import CHECK_ROUND, CLIENT, CLIENT_LINK, PHOTO, PRACTICE, REPORT, TRAIL, VISIT

_LINE = TRAIL.c
_LINES = select(*columns_of(AuditLine), _LINE.client_id, _LINE.visit_id)


class SqlAuditLog(Store):
    """The Trail port."""

    def add(self, deeds: Sequence[AuditEntry], now: datetime) -> list[AuditLine]:
        with self._engine.begin() as connection:
            return [self._add(connection, deed, now) for deed in deeds]

    @contextmanager
    def during(
        self, deed_of: Callable[[UUID | None], AuditEntry | None], now: Callable[[], datetime]
    ) -> Iterator[Callable[[], bool]]:
        def write(connection: Connection, made: UUID | None) -> None:
            deed = deed_of(made)
            if deed is not None:
                self._add(connection, deed, now())

        with audited(write) as call:
            yield lambda: call.written

    @staticmethod
    def _add(connection: Connection, deed: AuditEntry, now: datetime) -> AuditLine:
        last = (
            select(_LINE.number, _LINE.digest)
            .where(_LINE.practice_id == deed.practice_id)
            .order_by(_LINE.number.desc())
            .limit(1)
        )
        # lines of one practice come one after the other, or two would follow the same one
        connection.execute(
            select(func.pg_advisory_xact_lock(func.hashtextextended(str(deed.practice_id), 7)))
        )
        before = connection.execute(last).first()
        number = (before.number if before is not None else 0) + 1
        digest = digest_of(before.digest if before is not None else FIRST, number, now, deed)
        line = AuditLine(**vars(deed), number=number, at=now, digest=digest)
        connection.execute(insert(TRAIL).values(**values_of(line), **vars(deed.target)))
        return line

    def target(self, kind: TargetKind, id: UUID) -> AuditTarget:
        if kind == "client":
            return AuditTarget(client_id=id)
        with self._reader.connect() as connection:
            row = connection.execute(_whose(kind, id)).first()
        if row is None:
            return AuditTarget()
        return AuditTarget(client_id=row.client_id, visit_id=row.id)

    def lines(self, practice_id: UUID, query: AuditQuery) -> list[AuditLine]:
        statement = _LINES.where(_LINE.practice_id == practice_id)
        for column, value in (
            (_LINE.client_id, query.client_id),
            (_LINE.member_id, query.member_id),
            (_LINE.act, query.act),
        ):
            if value is not None:
                statement = statement.where(column == value)
        if not query.carried and query.act is None:
            statement = statement.where(_LINE.act != "carry")
        if query.before is not None:
            statement = statement.where(_LINE.number < query.before)
        with self._reader.connect() as connection:
            zone = connection.scalar(
                select(PRACTICE.c.time_zone).where(PRACTICE.c.id == practice_id)
            )
            here = ZoneInfo(zone or "UTC")
            if query.since is not None:
                begin = datetime.combine(query.since, datetime.min.time(), here)
                statement = statement.where(_LINE.at >= begin)
            if query.until is not None:
                end = datetime.combine(query.until + timedelta(days=1), datetime.min.time(), here)
                statement = statement.where(_LINE.at < end)
            rows = connection.execute(statement.order_by(_LINE.number.desc()).limit(query.most))
            return [_line(row) for row in rows]

    def whole(self, practice_id: UUID) -> Generator[AuditLine, None, None]:
        lines = _LINES.where(_LINE.practice_id == practice_id).order_by(_LINE.number)
        with (
            self._engine.connect() as connection,
            connection.execution_options(yield_per=2000).execute(lines) as streamed,
        ):
            for row in streamed:
                yield _line(row)

    def practices(self) -> list[UUID]:
        with self._reader.connect() as connection:
            practices = select(_LINE.practice_id).distinct().order_by(_LINE.practice_id)
            return list(connection.scalars(practices))

    def names(self, practice_id: UUID) -> dict[UUID, str]:
        clients = CLIENT.c
        with self._reader.connect() as connection:
            names = select(clients.id, clients.name).where(clients.practice_id == practice_id)
            return {row.id: row.name for row in connection.execute(names)}


def _whose(kind: TargetKind, id: UUID) -> Select[UUID, UUID]:
    visit = select(VISIT.c.id, VISIT.c.client_id)
    if kind == "visit":
        return visit.where(VISIT.c.id == id)
    if kind == "report":
        return visit.join(REPORT, REPORT.c.visit_id == VISIT.c.id).where(REPORT.c.id == id)
    if kind == "photo":
        return visit.join(PHOTO, PHOTO.c.visit_id == VISIT.c.id).where(PHOTO.c.id == id)
    linked = visit.join(CLIENT_LINK, CLIENT_LINK.c.visit_id == VISIT.c.id)
    if kind == "link":
        return linked.where(CLIENT_LINK.c.id == id)
    return linked.join(CHECK_ROUND, CHECK_ROUND.c.link_id == CLIENT_LINK.c.id).where(
        CHECK_ROUND.c.id == id
    )


def _line(row: Row[*tuple[Any, ...]]) -> AuditLine:
    target = AuditTarget(client_id=row.client_id, visit_id=row.visit_id)
    return model_of(AuditLine, row, target=target)
