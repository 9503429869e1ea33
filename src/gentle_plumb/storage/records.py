"""Clients, visits, entries and reports in PostgreSQL."""

from __future__ import annotations

from collections.abc import Set
from datetime import UTC, datetime, timedelta
from typing import TypeVar
from uuid import UUID

from sqlalchemy import Engine, delete, exists, or_, select
from sqlalchemy.dialects.postgresql import distinct_on, insert
from sqlalchemy.orm import Session as Db
from sqlalchemy.orm import aliased

from ..core.plans import Prices
from ..core.record import fields
from ..services.errors import AlreadyThere, HoldsSomething, NotFound, Stale
from ..services.models import (
    Change,
    Client,
    Entry,
    ImportBatch,
    PhotoHead,
    ReportHead,
    Visit,
    VisitSnapshot,
)
from .changes import write_change, write_changes
from .errors import mapped_errors
from .measuring import chosen_list, chosen_table
from .models import ChangeRow, ClientRow, EntryRow, MemberRow, PhotoRow, ReportRow, VisitRow
from .photos import SqlPhotos, photo_of, photos_of
from .reports import SqlReports, copies_of
from .rows import client_of, earlier_visits, entry_of, head_of, visit_of
from .statements import CLIENT, PHOTOS, VISIT, WORKING
from .visit_lists import SqlVisitLists

Mine = TypeVar("Mine", ClientRow, VisitRow)


CONSENTS = tuple(one.id for one in fields.ask.consent.values())


class SqlRecords(SqlVisitLists, SqlReports, SqlPhotos):
    """The Records port."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine
        self._reader = engine.execution_options(isolation_level="AUTOCOMMIT")
        self._snapshot = engine.execution_options(
            isolation_level="REPEATABLE READ", postgresql_readonly=True
        )

    def client(self, practice_id: UUID, client_id: UUID) -> Client:
        with Db(self._reader) as db:
            row = db.get(ClientRow, client_id)
            if row is None or row.practice_id != practice_id:
                raise NotFound("There is no such client.")
            return client_of(row)

    def add_client(self, client: Client) -> Client:
        with Db(self._engine) as db, db.begin():
            put = insert(ClientRow).values(**vars(client))
            db.execute(put.on_conflict_do_nothing(index_elements=["id"]))
            held = db.get_one(ClientRow, client.id)
            if held.practice_id != client.practice_id:
                raise AlreadyThere("Another client has this id.")
            return client_of(held)

    def change_client(self, client: Client) -> Client:
        with Db(self._engine) as db, db.begin():
            row = _mine(db, ClientRow, client.practice_id, client.id)
            if row.version != client.version:
                raise Stale(client_of(row))
            row.name, row.sex, row.work = client.name, client.sex, client.work
            row.email, row.birth_year = client.email, client.birth_year
            row.version += 1
            db.flush()
            return client_of(row)

    def add_visit(self, visit: Visit) -> Visit:
        with Db(self._engine) as db, db.begin():
            put = insert(VisitRow).values(**vars(visit))
            db.execute(put.on_conflict_do_nothing(index_elements=["id"]))
            held = db.get_one(VisitRow, visit.id)
            if (held.practice_id, held.client_id) != (visit.practice_id, visit.client_id):
                raise AlreadyThere("Another visit has this id.")
            return visit_of(held)

    def visit_before(self, practice_id: UUID, visit_id: UUID) -> UUID | None:
        mine = aliased(VisitRow)
        was_set = exists().where(EntryRow.visit_id == VisitRow.id, EntryRow.path.startswith("set."))
        signed = exists().where(ReportRow.visit_id == VisitRow.id)
        query = (
            select(VisitRow.id)
            .join(mine, mine.client_id == VisitRow.client_id)
            .where(mine.id == visit_id, VisitRow.practice_id == practice_id)
            .where(VisitRow.id != visit_id, VisitRow.started_on <= mine.started_on)
            .where(VisitRow.discarded_at.is_(None))
            .where(or_(was_set, signed))
            .order_by(VisitRow.started_on.desc(), VisitRow.id)
            .limit(1)
        )
        with Db(self._reader) as db:
            return db.scalar(query)

    def drop_visit(self, practice_id: UUID, visit_id: UUID) -> None:
        with Db(self._engine) as db, db.begin():
            _mine(db, VisitRow, practice_id, visit_id)
            typed = select(EntryRow.path).where(EntryRow.visit_id == visit_id, EntryRow.typed != "")
            kept = (
                select(table.id).where(table.visit_id == visit_id)
                for table in (PhotoRow, ReportRow)
            )
            if any(db.execute(query).first() is not None for query in (typed, *kept)):
                raise HoldsSomething("This visit is not empty: only an empty one can be deleted.")
            db.execute(delete(VisitRow).where(VisitRow.id == visit_id))

    def consents_said(self, practice_id: UUID, visit_id: UUID) -> list[Entry]:
        query = (
            select(ChangeRow, MemberRow.name)
            .join(MemberRow, MemberRow.id == ChangeRow.member_id)
            .join(VisitRow, VisitRow.id == ChangeRow.visit_id)
            .where(VisitRow.practice_id == practice_id, ChangeRow.visit_id == visit_id)
            .where(ChangeRow.path.in_(CONSENTS), ChangeRow.typed != "")
            .order_by(ChangeRow.made_at, ChangeRow.path, ChangeRow.version)
        )
        with Db(self._reader) as db:
            return [
                Entry(
                    path=row.path,
                    value=row.value,
                    typed=row.typed,
                    version=row.version,
                    changed_at=row.made_at,
                    changed_by=name,
                    self_reported=row.self_reported,
                )
                for row, name in db.execute(query)
            ]

    def discard_visit(
        self, practice_id: UUID, visit_id: UUID, at: datetime | None, *, forget: timedelta
    ) -> None:
        with Db(self._engine) as db, db.begin():
            row = _mine(db, VisitRow, practice_id, visit_id)
            signed = select(ReportRow.id).where(ReportRow.visit_id == visit_id)
            if at is not None and db.execute(signed).first() is not None:
                raise HoldsSomething("This visit was signed: it can't be discarded.")
            row.discarded_at = at
            if at is not None:
                db.execute(
                    delete(VisitRow)
                    .where(VisitRow.practice_id == practice_id)
                    .where(VisitRow.discarded_at < at - forget)
                )

    def open(
        self, practice_id: UUID, visit_id: UUID
    ) -> tuple[Visit, Client, list[Entry], list[ReportHead], list[PhotoHead]]:
        held = (
            select(EntryRow, MemberRow.name)
            .join(MemberRow, MemberRow.id == EntryRow.member_id)
            .where(EntryRow.visit_id == visit_id)
        )
        versions = (
            select(ReportRow).where(ReportRow.visit_id == visit_id).order_by(ReportRow.number)
        )
        with Db(self._snapshot) as db:
            found = db.execute(
                select(VisitRow, ClientRow)
                .join(ClientRow, ClientRow.id == VisitRow.client_id)
                .where(VisitRow.id == visit_id, VisitRow.practice_id == practice_id)
            ).first()
            if found is None:
                raise NotFound("There is no such visit.")
            return (
                visit_of(found[0]),
                client_of(found[1]),
                [entry_of(row, name) for row, name in db.execute(held)],
                [head_of(row, copies_of(db, row.id)) for row in db.scalars(versions)],
                [photo_of(row) for row in db.scalars(photos_of(visit_id))],
            )

    def visits_at(self, practice_id: UUID, workstation_id: str) -> list[UUID]:
        last = (
            select(VisitRow.id, ClientRow.name)
            .ext(distinct_on(VisitRow.client_id))
            .join(ClientRow, ClientRow.id == VisitRow.client_id)
            .join(EntryRow, EntryRow.visit_id == VisitRow.id)
            .where(VisitRow.practice_id == practice_id)
            .where(EntryRow.path == fields.seen.workstation.id, EntryRow.typed == workstation_id)
            .order_by(VisitRow.client_id, VisitRow.started_on.desc(), VisitRow.id)
            .subquery()
        )
        with Db(self._engine) as db:
            return list(db.scalars(select(last.c.id).order_by(last.c.name, last.c.id)))

    def working(self, practice_id: UUID, visit_id: UUID) -> VisitSnapshot:
        with self._reader.connect() as connection:
            keys = {"practice": practice_id, "visit": visit_id}
            row = connection.execute(WORKING, keys).first()
            if row is None:
                raise NotFound("There is no such visit.")
            photos: tuple[PhotoHead, ...] = ()
            if row.pictures:
                found = connection.execute(PHOTOS, keys)
                photos = tuple(PhotoHead(**photo._mapping) for photo in found)
            values = row[-3] or {}
            table = chosen_table(connection, practice_id, values.get(fields.measure.table.id))
            listed = chosen_list(connection, practice_id, values.get(fields.measure.list_.id))
        visit, client = row[: len(VISIT)], row[len(VISIT) : len(VISIT) + len(CLIENT)]
        return VisitSnapshot(
            visit=Visit(**dict(zip(VISIT, visit, strict=True))),
            client=Client(**dict(zip(CLIENT, client, strict=True))),
            values=values,
            self_reported=frozenset(row.self_reported or ()),
            versions=row[-2],
            signed_revision=row[-1],
            photos=photos,
            earlier=earlier_visits(row.earlier or (), row.started_on),
            read_on=datetime.now(UTC).date(),
            table=table,
            listed=listed,
            prices=Prices(
                small=row.price_small,
                medium=row.price_medium,
                large=row.price_large,
                currency=row.currency,
            ),
        )

    def write(self, practice_id: UUID, change: Change, now: datetime) -> tuple[Entry, int]:
        with self._engine.begin() as connection:
            return write_change(connection, practice_id, change, now)

    def measured(
        self, practice_id: UUID, visit_ids: Set[UUID] | None = None
    ) -> list[tuple[Visit, Client, list[Entry]]]:
        query = (
            select(VisitRow, ClientRow, EntryRow, MemberRow.name)
            .join(ClientRow, ClientRow.id == VisitRow.client_id)
            .join(EntryRow, EntryRow.visit_id == VisitRow.id)
            .join(MemberRow, MemberRow.id == EntryRow.member_id)
            .where(VisitRow.practice_id == practice_id)
            .where(EntryRow.path.startswith("measure.", autoescape=True), EntryRow.typed != "")
            .order_by(ClientRow.name, VisitRow.started_on, VisitRow.id, EntryRow.path)
        )
        if visit_ids is not None:
            query = query.where(VisitRow.id.in_(visit_ids))
        found: dict[UUID, tuple[Visit, Client, list[Entry]]] = {}
        with Db(self._reader) as db:
            for visit, client, entry, by in db.execute(query):
                if visit.id not in found:
                    found[visit.id] = (visit_of(visit), client_of(client), [])
                found[visit.id][2].append(entry_of(entry, by))
        return list(found.values())

    def import_batch(self, practice_id: UUID, intake: ImportBatch, now: datetime) -> None:
        with mapped_errors(), self._engine.begin() as connection:
            for table, rows in ((ClientRow, intake.clients), (VisitRow, intake.visits)):
                if rows:
                    connection.execute(insert(table), [vars(row) for row in rows])
            write_changes(connection, practice_id, intake.changes, now)


def _mine(db: Db, table: type[Mine], practice_id: UUID, id: UUID) -> Mine:
    """The practice's row, locked; raises NotFound."""
    row = db.get(table, id, with_for_update=True)
    if row is None or row.practice_id != practice_id:
        raise NotFound("There is no such thing here.")
    return row
