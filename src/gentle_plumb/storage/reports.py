"""Signed reports in PostgreSQL: their frozen content, and every copy byte for byte."""

from __future__ import annotations

from collections.abc import Mapping
from uuid import UUID

from sqlalchemy import Engine, select
from sqlalchemy.orm import Session as Db
from sqlalchemy.orm import undefer

from ..services.errors import AlreadyThere, MovedOn, NotFound
from ..services.models import PrintedCopy, Report, ReportHead
from .errors import mapped_errors
from .models import ReportCopyRow, ReportRow, VisitRow
from .rows import head_of


class SqlReports:
    """The part of the Records port that is about signed reports."""

    _engine: Engine
    _reader: Engine

    def report_pdf(
        self, practice_id: UUID, report_id: UUID, copy: str
    ) -> tuple[Report, bytes | None]:
        query = (
            select(ReportRow)
            .join(VisitRow, VisitRow.id == ReportRow.visit_id)
            .where(ReportRow.id == report_id, VisitRow.practice_id == practice_id)
            .options(undefer(ReportRow.content))
        )
        kept = select(ReportCopyRow.pdf).where(
            ReportCopyRow.report_id == report_id, ReportCopyRow.copy == copy
        )
        with Db(self._reader) as db:
            row = db.scalar(query)
            if row is None:
                raise NotFound("There is no such report.")
            head = head_of(row, copies_of(db, row.id))
            return Report(**vars(head), content=row.content), db.scalar(kept)

    def last_report(self, practice_id: UUID, visit_id: UUID) -> Report | None:
        query = (
            select(ReportRow)
            .join(VisitRow, VisitRow.id == ReportRow.visit_id)
            .where(ReportRow.visit_id == visit_id, VisitRow.practice_id == practice_id)
            .order_by(ReportRow.number.desc())
            .limit(1)
            .options(undefer(ReportRow.content))
        )
        with Db(self._reader) as db:
            row = db.scalar(query)
            if row is None:
                return None
            return Report(**vars(head_of(row, copies_of(db, row.id))), content=row.content)

    def add_report(self, report: Report, printed: Mapping[str, PrintedCopy]) -> ReportHead:
        with mapped_errors(), Db(self._engine) as db, db.begin():
            # changes wait for the visit's row as well: what is frozen is what stands there
            visit = db.get(VisitRow, report.visit_id, with_for_update=True)
            held = db.get(ReportRow, report.id)
            if held is not None:
                if held.visit_id != report.visit_id:
                    raise AlreadyThere("Another report has this id.")
                return head_of(held, copies_of(db, held.id))
            if visit is None or visit.revision != report.revision:
                raise MovedOn("The visit was changed in this moment. Look at it again, then sign.")
            row = ReportRow(**{k: v for k, v in vars(report).items() if k != "copies"})
            db.add(row)
            db.flush()
            for copy, one in printed.items():
                db.add(
                    ReportCopyRow(
                        report_id=row.id,
                        copy=copy,
                        pdf=one.pdf,
                        sha256=one.sha256,
                        without=one.without,
                    )
                )
            db.flush()
            return head_of(row, copies_of(db, row.id))

    def report_of(self, visit_id: UUID, report_id: UUID) -> ReportHead | None:
        with Db(self._reader) as db:
            row = db.get(ReportRow, report_id)
            if row is None or row.visit_id != visit_id:
                return None
            return head_of(row, copies_of(db, row.id))


def copies_of(db: Db, report_id: UUID) -> dict[str, str]:
    """The digest of each copy of a report."""
    query = select(ReportCopyRow.copy, ReportCopyRow.sha256)
    found = db.execute(query.where(ReportCopyRow.report_id == report_id))
    return {row.copy: row.sha256 for row in found}
