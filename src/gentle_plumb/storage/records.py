"""Clients, visits, entries and reports in PostgreSQL."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable, Sequence, Set
from datetime import date, datetime
from typing import TypeVar
from uuid import UUID

from sqlalchemy import Connection, Engine, delete, func, select, update
from sqlalchemy.dialects.postgresql import distinct_on, insert
from sqlalchemy.orm import Session as Db
from sqlalchemy.orm import undefer

from ..core.body import SEXES
from ..core.choices import one_of
from ..core.record import fields
from ..services.consent import WORKPLACE
from ..services.errors import AlreadyThere, HoldsSomething, MovedOn, NotFound, ReusedChange, Stale
from ..services.models import (
    Change,
    Client,
    EarlierVisit,
    Entry,
    ImportBatch,
    PhotoHead,
    Report,
    ReportHead,
    Visit,
    VisitLine,
    VisitSnapshot,
)
from .errors import mapped_errors
from .measuring import chosen_list, chosen_table
from .models import ChangeRow, ClientRow, EntryRow, MemberRow, PhotoRow, ReportRow, VisitRow
from .photos import SqlPhotos, erase, need_consent, photo_of, photos_of
from .statements import BEFORE, CLIENT, LOCK, PHOTOS, PUT, VISIT, WORKING

Mine = TypeVar("Mine", ClientRow, VisitRow)


def client_of(row: ClientRow) -> Client:
    """The client a row holds."""
    return Client(
        id=row.id,
        practice_id=row.practice_id,
        name=row.name,
        sex=one_of(SEXES, row.sex),
        work=row.work,
        version=row.version,
        origin_id=row.origin_id,
    )


def visit_of(row: VisitRow) -> Visit:
    """The visit a row holds."""
    return Visit(
        id=row.id,
        practice_id=row.practice_id,
        client_id=row.client_id,
        member_id=row.member_id,
        started_on=row.started_on,
        revision=row.revision,
        errors=row.errors or {},
        policies=row.policies or {},
        origin_id=row.origin_id,
    )


def entry_of(row: EntryRow, by: str) -> Entry:
    """The entry a row holds, with the name of who changed it."""
    return Entry(
        path=row.path,
        value=row.value,
        typed=row.typed,
        version=row.version,
        changed_at=row.changed_at,
        changed_by=by,
    )


def head_of(row: ReportRow) -> ReportHead:
    """The signed version a row holds, without content and PDF."""
    return ReportHead(
        id=row.id,
        visit_id=row.visit_id,
        number=row.number,
        revision=row.revision,
        sha256=row.sha256,
        signed_by=row.signed_by,
        signed_at=row.signed_at,
    )


def _keys(practice_id: UUID, change: Change) -> dict[str, object]:
    return {
        "practice": practice_id,
        "visit": change.visit_id,
        "path": change.path,
        "change": change.id,
        "member": change.member_id,
    }


class SqlRecords(SqlPhotos):
    """The Records port."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine
        self._reader = engine.execution_options(isolation_level="AUTOCOMMIT")
        self._snapshot = engine.execution_options(
            isolation_level="REPEATABLE READ", postgresql_readonly=True
        )

    def clients(self, practice_id: UUID) -> list[Client]:
        query = select(ClientRow).where(ClientRow.practice_id == practice_id)
        with Db(self._reader) as db:
            return [client_of(row) for row in db.scalars(query.order_by(ClientRow.name))]

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
            row.version += 1
            db.flush()
            return client_of(row)

    def drop_client(self, practice_id: UUID, client_id: UUID, *, even_signed: bool) -> None:
        with Db(self._engine) as db, db.begin():
            row = _mine(db, ClientRow, practice_id, client_id)
            signed = (
                select(ReportRow.id)
                .join(VisitRow, VisitRow.id == ReportRow.visit_id)
                .where(VisitRow.client_id == client_id)
            )
            if not even_signed and db.execute(signed).first() is not None:
                raise HoldsSomething("There are signed reports. Only an owner can delete them.")
            db.execute(delete(ClientRow).where(ClientRow.id == row.id))

    def add_visit(self, visit: Visit) -> Visit:
        with Db(self._engine) as db, db.begin():
            put = insert(VisitRow).values(**vars(visit))
            db.execute(put.on_conflict_do_nothing(index_elements=["id"]))
            held = db.get_one(VisitRow, visit.id)
            if (held.practice_id, held.client_id) != (visit.practice_id, visit.client_id):
                raise AlreadyThere("Another visit has this id.")
            return visit_of(held)

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

    def visits(self, practice_id: UUID) -> list[VisitLine]:
        changed = (
            select(func.max(EntryRow.changed_at))
            .where(EntryRow.visit_id == VisitRow.id)
            .scalar_subquery()
        )
        follow_up = (
            select(EntryRow.value)
            .where(EntryRow.visit_id == VisitRow.id, EntryRow.path == fields.report.follow_up.id)
            .scalar_subquery()
        )
        signs = (
            select(func.jsonb_object_agg(EntryRow.path, EntryRow.value))
            .where(EntryRow.visit_id == VisitRow.id)
            .where(EntryRow.path.in_(fields.ask.RED_FLAG_PATHS))
            .scalar_subquery()
        )
        signed = (
            select(ReportRow.id, ReportRow.visit_id, ReportRow.signed_at, ReportRow.revision)
            .ext(distinct_on(ReportRow.visit_id))
            .order_by(ReportRow.visit_id, ReportRow.number.desc())
            .subquery()
        )
        shared = (
            select(EntryRow.value)
            .where(EntryRow.visit_id == VisitRow.id, EntryRow.path == WORKPLACE)
            .scalar_subquery()
        )
        query = (
            select(
                VisitRow,
                ClientRow,
                MemberRow.name,
                changed,
                follow_up,
                signs,
                signed.c.signed_at,
                signed.c.revision,
                signed.c.id,
                shared,
            )
            .join(ClientRow, ClientRow.id == VisitRow.client_id)
            .join(MemberRow, MemberRow.id == VisitRow.member_id)
            .outerjoin(signed, signed.c.visit_id == VisitRow.id)
            .where(VisitRow.practice_id == practice_id)
            .order_by(VisitRow.started_on.desc(), ClientRow.name)
        )
        with Db(self._reader) as db:
            found = db.execute(query)
            return [
                VisitLine(
                    visit=visit_of(visit),
                    client=client_of(client),
                    practitioner=name,
                    changed_at=at,
                    follow_up=follow,
                    signs=said or {},
                    signed_at=signed_at,
                    signed_revision=revision,
                    shared_report=report if consent == "yes" else None,
                )
                for visit, client, name, at, follow, said, signed_at, revision, report, consent in found
            ]

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
                [head_of(row) for row in db.scalars(versions)],
                [photo_of(row) for row in db.scalars(photos_of(visit_id))],
            )

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
            versions=row[-2],
            signed_revision=row[-1],
            photos=photos,
            earlier=_earlier(row.earlier or ()),
            table=table,
            listed=listed,
        )

    def write(self, practice_id: UUID, change: Change, now: datetime) -> tuple[Entry, int]:
        with self._engine.begin() as connection:
            return _write(connection, practice_id, change, now)

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
            _write_all(connection, practice_id, intake.changes, now)

    def report_pdf(self, practice_id: UUID, report_id: UUID) -> tuple[Report, bytes]:
        query = (
            select(ReportRow)
            .join(VisitRow, VisitRow.id == ReportRow.visit_id)
            .where(ReportRow.id == report_id, VisitRow.practice_id == practice_id)
            .options(undefer(ReportRow.pdf), undefer(ReportRow.content))
        )
        with Db(self._reader) as db:
            row = db.scalar(query)
            if row is None:
                raise NotFound("There is no such report.")
            return Report(**vars(head_of(row)), content=row.content), row.pdf

    def add_report(self, report: Report, pdf: bytes) -> ReportHead:
        with mapped_errors(), Db(self._engine) as db, db.begin():
            # changes wait for the visit's row as well: what is frozen is what stands there
            visit = db.get(VisitRow, report.visit_id, with_for_update=True)
            held = db.get(ReportRow, report.id)
            if held is not None:
                if held.visit_id != report.visit_id:
                    raise AlreadyThere("Another report has this id.")
                return head_of(held)
            if visit is None or visit.revision != report.revision:
                raise MovedOn("The visit was changed in this moment. Look at it again, then sign.")
            row = ReportRow(**vars(report), pdf=pdf)
            db.add(row)
            db.flush()
            return head_of(row)

    def report_of(self, visit_id: UUID, report_id: UUID) -> ReportHead | None:
        with Db(self._reader) as db:
            row = db.get(ReportRow, report_id)
            return head_of(row) if row is not None and row.visit_id == visit_id else None


def _mine(db: Db, table: type[Mine], practice_id: UUID, id: UUID) -> Mine:
    """The practice's row, locked; raises NotFound."""
    row = db.get(table, id, with_for_update=True)
    if row is None or row.practice_id != practice_id:
        raise NotFound("There is no such thing here.")
    return row


def _write(
    connection: Connection, practice_id: UUID, change: Change, now: datetime
) -> tuple[Entry, int]:
    """Apply a change within a transaction."""
    # the visit's row is the lock: changes to one visit come one after the other; what
    # is held is read after it, or a change that waited would see the time before
    if connection.execute(LOCK, _keys(practice_id, change)).first() is None:
        raise NotFound("There is no such visit.")
    found = connection.execute(BEFORE, _keys(practice_id, change)).one()
    held = None
    if found.version is not None:
        held = Entry(
            path=change.path,
            value=found.value,
            typed=found.typed,
            version=found.version,
            changed_at=found.changed_at,
            changed_by=found.holder,
        )
    if found.change_path is not None:
        same = (found.change_visit, found.change_path, found.change_typed) == (
            change.visit_id,
            change.path,
            change.typed,
        )
        if not same or held is None:
            raise ReusedChange("This change was made before, with other content.")
        return held, found.revision
    need_consent(connection, change.visit_id, change.consent, change.path)
    version = held.version if held is not None else 0
    if version != change.expected_version:
        raise Stale(
            held
            or Entry(
                path=change.path, value=None, typed="", version=0, changed_at=now, changed_by=""
            )
        )
    new = {
        "visit_id": change.visit_id,
        "path": change.path,
        "value": change.value,
        "typed": change.typed,
        "version": version + 1,
        "member_id": change.member_id,
    }
    keys = {f"new_{name}": value for name, value in new.items()}
    keys |= {"change": change.id, "now": now}
    revision = connection.execute(PUT, keys).scalar_one()
    if change.erase is not None:
        erase(connection, change.visit_id, change.erase, now)
    return (
        Entry(
            path=change.path,
            value=change.value,
            typed=change.typed,
            version=version + 1,
            changed_at=now,
            changed_by=found.writer,
        ),
        revision,
    )


def _write_all(
    connection: Connection, practice_id: UUID, changes: Sequence[Change], now: datetime
) -> None:
    """Apply changes that need no consent, in a few statements however many they are."""
    counts = Counter(change.visit_id for change in changes)
    mine = (
        select(VisitRow.id)
        .where(VisitRow.id.in_(counts), VisitRow.practice_id == practice_id)
        .order_by(VisitRow.id)
        .with_for_update()
    )
    if len(connection.execute(mine).all()) != len(counts):
        raise NotFound("There is no such visit.")
    held = {
        (row.visit_id, row.path): row
        for row in connection.execute(
            select(EntryRow.__table__).where(EntryRow.visit_id.in_(counts))
        )
    }
    rows = []
    for change in changes:
        before = held.get((change.visit_id, change.path))
        version = before.version if before is not None else 0
        if version != change.expected_version:
            raise Stale(
                Entry(
                    path=change.path,
                    value=before.value if before is not None else None,
                    typed=before.typed if before is not None else "",
                    version=version,
                    changed_at=before.changed_at if before is not None else now,
                    changed_by="",
                )
            )
        rows.append(
            {
                "visit_id": change.visit_id,
                "path": change.path,
                "value": change.value,
                "typed": change.typed,
                "version": version + 1,
                "member_id": change.member_id,
            }
        )
    if not rows:
        return
    put = insert(EntryRow)
    same = ("value", "typed", "version", "member_id", "changed_at")
    put = put.on_conflict_do_update(
        index_elements=["visit_id", "path"], set_={name: put.excluded[name] for name in same}
    )
    connection.execute(put, [{**row, "changed_at": now} for row in rows])
    connection.execute(
        insert(ChangeRow),
        [
            {**row, "id": change.id, "made_at": now}
            for row, change in zip(rows, changes, strict=True)
        ],
    )
    for visit_id, count in counts.items():
        raised = update(VisitRow).where(VisitRow.id == visit_id)
        connection.execute(raised.values(revision=VisitRow.revision + count))


def _earlier(found: Iterable[tuple[str, str, str, float | str | None]]) -> tuple[EarlierVisit, ...]:
    """Visits from lines of visit, day, path and value; the latest first."""
    visits: dict[str, EarlierVisit] = {}
    for visit, day, path, value in found:
        if visit not in visits:
            visits[visit] = EarlierVisit(
                visit_id=UUID(visit), started_on=date.fromisoformat(day), values={}
            )
        visits[visit].values[path] = value
    return tuple(sorted(visits.values(), key=lambda one: one.started_on, reverse=True))
