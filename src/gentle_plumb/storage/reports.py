"""Signed reports in PostgreSQL: their frozen content, and every copy byte for byte."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any
from uuid import UUID

from sqlalchemy import Connection, Row, Select, func, insert, select

from ..core.language import msg
from ..services.errors import AlreadyThere, MovedOn, NotFound
from ..services.models import PrintedCopy, Report, ReportHead
from .errors import mapped_errors
from .mapping import columns_of, model_of, values_of
from .store import Store
from .tables import REPORT, REPORT_COPY, VISIT

_COPIES = (
    select(func.jsonb_object_agg(REPORT_COPY.c.copy, REPORT_COPY.c.sha256))
    .where(REPORT_COPY.c.report_id == REPORT.c.id)
    .correlate(REPORT)
    .scalar_subquery()
)
HEADS = select(*columns_of(ReportHead, copies=_COPIES))
"""Signed versions without their content, each with the digest of every copy by its name."""


def head_of(row: Row[*tuple[Any, ...]]) -> ReportHead:
    """The signed version that a row of ``HEADS`` holds."""
    return model_of(ReportHead, row)


class SqlReports(Store):
    """The part of the Records port that is about signed reports."""

    def _whole(self, practice_id: UUID, query: Select[*tuple[Any, ...]]) -> Report | None:
        whole = query.add_columns(REPORT.c.content).join(VISIT, VISIT.c.id == REPORT.c.visit_id)
        with self._reader.connect() as connection:
            row = connection.execute(whole.where(VISIT.c.practice_id == practice_id)).first()
        return None if row is None else Report(**vars(head_of(row)), content=row.content)

    def report_pdf(
        self, practice_id: UUID, report_id: UUID, copy: str
    ) -> tuple[Report, bytes | None]:
        report = self._whole(practice_id, HEADS.where(REPORT.c.id == report_id))
        if report is None:
            raise NotFound(msg("There is no such report."))
        kept = select(REPORT_COPY.c.pdf).where(
            REPORT_COPY.c.report_id == report_id, REPORT_COPY.c.copy == copy
        )
        with self._reader.connect() as connection:
            return report, connection.scalar(kept)

    def last_report(self, practice_id: UUID, visit_id: UUID) -> Report | None:
        versions = HEADS.where(REPORT.c.visit_id == visit_id)
        return self._whole(practice_id, versions.order_by(REPORT.c.number.desc()).limit(1))

    def add_report(self, report: Report, printed: Mapping[str, PrintedCopy]) -> ReportHead:
        mine = select(VISIT.c.revision).where(VISIT.c.id == report.visit_id).with_for_update()
        with mapped_errors(), self._engine.begin() as connection:
            # changes wait for the visit's row as well: what is frozen is what stands there
            revision = connection.scalar(mine)
            held = _head(connection, report.id)
            if held is not None:
                if held.visit_id != report.visit_id:
                    raise AlreadyThere(msg("Another report has this id."))
                return held
            if revision != report.revision:
                raise MovedOn(
                    msg("The visit was changed in this moment. Look at it again, then sign.")
                )
            values = values_of(report, only=REPORT.c.keys())
            connection.execute(insert(REPORT).values(**values))
            copies = [
                {"report_id": report.id, "copy": copy, "sha256": paper.sha256, **vars(paper)}
                for copy, paper in printed.items()
            ]
            if copies:
                connection.execute(insert(REPORT_COPY), copies)
            signed = _head(connection, report.id)
        assert signed is not None
        return signed

    def report_of(self, visit_id: UUID, report_id: UUID) -> ReportHead | None:
        with self._reader.connect() as connection:
            head = _head(connection, report_id)
        return head if head is not None and head.visit_id == visit_id else None


def _head(connection: Connection, report_id: UUID) -> ReportHead | None:
    row = connection.execute(HEADS.where(REPORT.c.id == report_id)).first()
    return None if row is None else head_of(row)
