"""What workers do that takes long, in PostgreSQL."""

from __future__ import annotations

from datetime import datetime, timedelta
from uuid import UUID

from sqlalchemy import delete, insert, or_, select, update

from ..core.language import msg
from ..services.errors import NotFound
from ..services.models import BulkJob, SignedPaper
from .mapping import columns_of, model_of, values_of
from .queue import put_bulk
from .store import Store
from .tables import BULK_JOB, CLIENT, REPORT, VISIT

DIED_AFTER = timedelta(minutes=30)
"""A job in hand for longer was in the hand of a worker that died: another one takes it up. House value."""
_JOB = BULK_JOB.c
_WITH_FILE = (*columns_of(BulkJob), _JOB.file)


class SqlBulkJobs(Store):
    """The BulkJobs port."""

    def add(self, job: BulkJob, file: bytes | None) -> None:
        with self._engine.begin() as connection:
            connection.execute(insert(BULK_JOB).values(**values_of(job), file=file))
            put_bulk(connection, job.id)

    def of(self, practice_id: UUID, member_id: UUID) -> list[BulkJob]:
        mine = (_JOB.practice_id == practice_id) & (_JOB.member_id == member_id)
        return self._list(BulkJob, mine, order=(_JOB.made_at.desc(), _JOB.id))

    def claim(self, job_id: UUID, now: datetime) -> tuple[BulkJob, bytes | None] | None:
        died = (_JOB.state == "working") & (_JOB.claimed_at < now - DIED_AFTER)
        claimed = (
            update(BULK_JOB)
            .where(_JOB.id == job_id, or_(_JOB.state == "waiting", died))
            .values(state="working", claimed_at=now)
            .returning(*_WITH_FILE)
        )
        with self._engine.begin() as connection:
            row = connection.execute(claimed).first()
        return None if row is None else (model_of(BulkJob, row), row.file)

    def settle(self, job: BulkJob, file: bytes | None) -> None:
        done = update(BULK_JOB).where(_JOB.id == job.id)
        with self._engine.begin() as connection:
            connection.execute(done.values(**values_of(job), file=file))

    def file(self, practice_id: UUID, job_id: UUID) -> tuple[BulkJob, bytes | None]:
        mine = (_JOB.id == job_id) & (_JOB.practice_id == practice_id)
        with self._reader.connect() as connection:
            row = connection.execute(select(*_WITH_FILE).where(mine)).first()
        if row is None:
            raise NotFound(msg("There is no such job."))
        return model_of(BulkJob, row), row.file

    def drop(self, practice_id: UUID, job_id: UUID) -> None:
        self._drop(BulkJob, practice_id, job_id, msg("There is no such job."))

    def drop_old(self, before: datetime) -> None:
        with self._engine.begin() as connection:
            connection.execute(delete(BULK_JOB).where(_JOB.made_at < before))

    def signed(self, practice_id: UUID, since: datetime, until: datetime) -> list[SignedPaper]:
        query = (
            select(
                REPORT.c.id.label("report_id"),
                CLIENT.c.id.label("client_id"),
                CLIENT.c.name.label("client"),
                REPORT.c.number,
                REPORT.c.signed_at,
            )
            .join_from(REPORT, VISIT, VISIT.c.id == REPORT.c.visit_id)
            .join(CLIENT, CLIENT.c.id == VISIT.c.client_id)
            .where(VISIT.c.practice_id == practice_id)
            .where(REPORT.c.signed_at >= since, REPORT.c.signed_at < until)
            .order_by(REPORT.c.signed_at, REPORT.c.id)
        )
        with self._reader.connect() as connection:
            return [SignedPaper(**row._mapping) for row in connection.execute(query)]
