"""What workers do that takes long, in PostgreSQL."""

from __future__ import annotations

from datetime import datetime, timedelta
from uuid import UUID

from sqlalchemy import Engine, delete, insert, or_, select, update

from ..services.errors import NotFound
from ..services.models import BulkJob, SignedPaper
from .access_models import BulkJobRow
from .models import ClientRow, ReportRow, VisitRow
from .queue import put_bulk

_JOB = BulkJobRow.__table__.c
_OF_JOB = tuple(_JOB[name] for name in BulkJob.__dataclass_fields__)
DIED_AFTER = timedelta(minutes=30)
"""A job in hand for longer was in the hand of a worker that died: another one takes it up. House value."""


class SqlBulkJobs:
    """The BulkJobs port."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine
        self._reader = engine.execution_options(isolation_level="AUTOCOMMIT")

    def add(self, job: BulkJob, file: bytes | None) -> None:
        with self._engine.begin() as connection:
            connection.execute(insert(BulkJobRow).values(**vars(job), file=file))
            put_bulk(connection, job.id)

    def of(self, practice_id: UUID, member_id: UUID) -> list[BulkJob]:
        mine = (_JOB.practice_id == practice_id) & (_JOB.member_id == member_id)
        query = select(*_OF_JOB).where(mine).order_by(_JOB.made_at.desc(), _JOB.id)
        with self._reader.connect() as connection:
            return [BulkJob(**row._mapping) for row in connection.execute(query)]

    def claim(self, job_id: UUID, now: datetime) -> tuple[BulkJob, bytes | None] | None:
        died = (_JOB.state == "working") & (_JOB.claimed_at < now - DIED_AFTER)
        claimed = (
            update(BulkJobRow)
            .where(_JOB.id == job_id, or_(_JOB.state == "waiting", died))
            .values(state="working", claimed_at=now)
            .returning(*_OF_JOB, _JOB.file)
        )
        with self._engine.begin() as connection:
            row = connection.execute(claimed).first()
        if row is None:
            return None
        held = dict(row._mapping)
        file = held.pop("file")
        return BulkJob(**held), file

    def settle(self, job: BulkJob, file: bytes | None) -> None:
        with self._engine.begin() as connection:
            connection.execute(
                update(BulkJobRow).where(_JOB.id == job.id).values(**vars(job), file=file)
            )

    def file(self, practice_id: UUID, job_id: UUID) -> tuple[BulkJob, bytes | None]:
        query = select(*_OF_JOB, _JOB.file).where(
            _JOB.id == job_id, _JOB.practice_id == practice_id
        )
        with self._reader.connect() as connection:
            row = connection.execute(query).first()
        if row is None:
            raise NotFound("There is no such job.")
        held = dict(row._mapping)
        file = held.pop("file")
        return BulkJob(**held), file

    def drop(self, practice_id: UUID, job_id: UUID) -> None:
        mine = delete(BulkJobRow).where(_JOB.id == job_id, _JOB.practice_id == practice_id)
        with self._engine.begin() as connection:
            if connection.execute(mine.returning(_JOB.id)).first() is None:
                raise NotFound("There is no such job.")

    def drop_old(self, before: datetime) -> None:
        with self._engine.begin() as connection:
            connection.execute(delete(BulkJobRow).where(_JOB.made_at < before))

    def signed(self, practice_id: UUID, since: datetime, until: datetime) -> list[SignedPaper]:
        report, client = ReportRow.__table__.c, ClientRow.__table__.c
        query = (
            select(
                report.id.label("report_id"),
                client.id.label("client_id"),
                client.name.label("client"),
                report.number,
                report.signed_at,
            )
            .join_from(ReportRow, VisitRow, VisitRow.id == ReportRow.visit_id)
            .join(ClientRow, ClientRow.id == VisitRow.client_id)
            .where(VisitRow.practice_id == practice_id)
            .where(report.signed_at >= since, report.signed_at < until)
            .order_by(report.signed_at, report.id)
        )
        with self._reader.connect() as connection:
            return [SignedPaper(**row._mapping) for row in connection.execute(query)]
