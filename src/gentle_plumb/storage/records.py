"""Clients, visits, entries and reports in PostgreSQL."""

from __future__ import annotations

from collections.abc import Iterable, Set
from datetime import UTC, date, datetime, timedelta
from uuid import UUID

from sqlalchemy import Engine, delete, exists, insert, or_, select, update
from sqlalchemy.dialects.postgresql import distinct_on

from ..core.language import msg
from ..core.plans import Prices
from ..core.record import fields
from ..core.visit import CONDITIONS
from ..services.errors import AlreadyThere, HoldsSomething, NotFound
from ..services.models import (
    Change,
    Client,
    EarlierVisit,
    Entry,
    ImportBatch,
    MeasuringList,
    PhotoHead,
    PopulationTable,
    ReportHead,
    Visit,
    VisitSnapshot,
)
from .changes import write_change, write_changes
from .errors import mapped_errors
from .mapping import columns_of, model_of, values_of
from .measuring import chosen_by
from .photos import SqlPhotos
from .reports import HEADS, SqlReports, head_of
from .statements import PHOTOS, SNAPSHOT
from .store import add_once, locked
from .tables import CHANGE, CLIENT, ENTRY, MEMBER, PHOTO, REPORT, VISIT
from .visit_lists import SqlVisitLists

CONSENTS = tuple(field.id for field in fields.ask.consent.values())
NO_VISIT = msg("There is no such visit.")


class SqlRecords(SqlVisitLists, SqlReports, SqlPhotos):
    """The Records port."""

    def __init__(self, engine: Engine) -> None:
        super().__init__(engine)
        self._snapshot = engine.execution_options(
            isolation_level="REPEATABLE READ", postgresql_readonly=True
        )

    def client(self, practice_id: UUID, client_id: UUID) -> Client:
        mine = (CLIENT.c.id == client_id) & (CLIENT.c.practice_id == practice_id)
        return self._get(Client, msg("There is no such client."), mine)

    def add_client(self, client: Client) -> Client:
        return self._add_once(client)

    def change_client(self, client: Client) -> Client:
        only = ("name", "sex", "work", "email", "birth_year")
        return self._change(client, only=only, missing=msg("There is no such client."))

    def add_visit(self, visit: Visit) -> Visit:
        with self._engine.begin() as connection:
            held = add_once(connection, visit)
            if held.client_id != visit.client_id:
                raise AlreadyThere(msg("Another visit has this id."))
            return held

    def visit_before(self, practice_id: UUID, visit_id: UUID) -> UUID | None:
        mine = VISIT.alias("mine")
        was_set = exists().where(ENTRY.c.visit_id == VISIT.c.id, ENTRY.c.path.startswith("set."))
        signed = exists().where(REPORT.c.visit_id == VISIT.c.id)
        query = (
            select(VISIT.c.id)
            .join(mine, mine.c.client_id == VISIT.c.client_id)
            .where(mine.c.id == visit_id, VISIT.c.practice_id == practice_id)
            .where(VISIT.c.id != visit_id, VISIT.c.started_on <= mine.c.started_on)
            .where(VISIT.c.discarded_at.is_(None))
            .where(or_(was_set, signed))
            .order_by(VISIT.c.started_on.desc(), VISIT.c.id)
            .limit(1)
        )
        with self._reader.connect() as connection:
            before: UUID | None = connection.scalar(query)
            return before

    def drop_visit(self, practice_id: UUID, visit_id: UUID) -> None:
        typed = select(ENTRY.c.path).where(ENTRY.c.visit_id == visit_id, ENTRY.c.typed != "")
        kept = (select(table.c.id).where(table.c.visit_id == visit_id) for table in (PHOTO, REPORT))
        with self._engine.begin() as connection:
            locked(connection, Visit, practice_id, visit_id, NO_VISIT)
            if any(connection.execute(query).first() is not None for query in (typed, *kept)):
                raise HoldsSomething(
                    msg("This visit is not empty: only an empty one can be deleted.")
                )
            connection.execute(delete(VISIT).where(VISIT.c.id == visit_id))

    def consents_said(self, practice_id: UUID, visit_id: UUID) -> list[Entry]:
        said = {name: CHANGE.c[name] for name in ("path", "value", "typed", "version")}
        query = (
            select(
                *columns_of(
                    Entry,
                    **said,
                    changed_at=CHANGE.c.made_at,
                    changed_by=MEMBER.c.name,
                    self_reported=CHANGE.c.self_reported,
                )
            )
            .join_from(CHANGE, MEMBER, MEMBER.c.id == CHANGE.c.member_id)
            .join(VISIT, VISIT.c.id == CHANGE.c.visit_id)
            .where(VISIT.c.practice_id == practice_id, CHANGE.c.visit_id == visit_id)
            .where(CHANGE.c.path.in_(CONSENTS), CHANGE.c.typed != "")
            .order_by(CHANGE.c.made_at, CHANGE.c.path, CHANGE.c.version)
        )
        return self._read(Entry, query)

    def discard_visit(
        self, practice_id: UUID, visit_id: UUID, moment: datetime | None, *, forget: timedelta
    ) -> None:
        signed = select(REPORT.c.id).where(REPORT.c.visit_id == visit_id)
        with self._engine.begin() as connection:
            locked(connection, Visit, practice_id, visit_id, NO_VISIT)
            if moment is not None and connection.execute(signed).first() is not None:
                raise HoldsSomething(msg("This visit was signed: it can’t be discarded."))
            mine = update(VISIT).where(VISIT.c.id == visit_id)
            connection.execute(mine.values(discarded_at=moment))
            if moment is not None:
                old = VISIT.c.discarded_at < moment - forget
                connection.execute(delete(VISIT).where(VISIT.c.practice_id == practice_id, old))

    def open(
        self, practice_id: UUID, visit_id: UUID
    ) -> tuple[Visit, Client, list[Entry], list[ReportHead], list[PhotoHead]]:
        visit = (
            select(*columns_of(Visit), *columns_of(Client))
            .join_from(VISIT, CLIENT, CLIENT.c.id == VISIT.c.client_id)
            .where(VISIT.c.id == visit_id, VISIT.c.practice_id == practice_id)
        )
        entries = (
            select(*columns_of(Entry, changed_by=MEMBER.c.name))
            .join_from(ENTRY, MEMBER, MEMBER.c.id == ENTRY.c.member_id)
            .where(ENTRY.c.visit_id == visit_id)
        )
        versions = HEADS.where(REPORT.c.visit_id == visit_id).order_by(REPORT.c.number)
        with self._snapshot.connect() as connection:
            row = connection.execute(visit).first()
            if row is None:
                raise NotFound(NO_VISIT)
            return (
                model_of(Visit, row),
                model_of(Client, row),
                [model_of(Entry, entry) for entry in connection.execute(entries)],
                [head_of(version) for version in connection.execute(versions)],
                [
                    model_of(PhotoHead, photo)
                    for photo in connection.execute(PHOTOS, {"visit": visit_id})
                ],
            )

    def visits_at(self, practice_id: UUID, workstation_id: str) -> list[UUID]:
        last = (
            select(VISIT.c.id, CLIENT.c.name)
            .ext(distinct_on(VISIT.c.client_id))
            .join_from(VISIT, CLIENT, CLIENT.c.id == VISIT.c.client_id)
            .join(ENTRY, ENTRY.c.visit_id == VISIT.c.id)
            .where(VISIT.c.practice_id == practice_id)
            .where(ENTRY.c.path == fields.seen.workstation.id, ENTRY.c.typed == workstation_id)
            .order_by(VISIT.c.client_id, VISIT.c.started_on.desc(), VISIT.c.id)
            .subquery()
        )
        with self._reader.connect() as connection:
            return list(connection.scalars(select(last.c.id).order_by(last.c.name, last.c.id)))

    def load_snapshot(self, practice_id: UUID, visit_id: UUID) -> VisitSnapshot:
        keys = {"practice": practice_id, "visit": visit_id}
        with self._reader.connect() as connection:
            row = connection.execute(SNAPSHOT, keys).first()
            if row is None:
                raise NotFound(NO_VISIT)
            photos = connection.execute(PHOTOS, keys) if row.pictures else ()
            values = row.entered or {}
            table_id = values.get(fields.measure.table.id)
            list_id = values.get(fields.measure.list_.id)
            visit = model_of(Visit, row)
            return VisitSnapshot(
                visit=visit,
                client=model_of(Client, row),
                values=values,
                self_reported=frozenset(row.self_reported or ()),
                versions=row.versions,
                signed_revision=row.signed_revision,
                photos=tuple(model_of(PhotoHead, photo) for photo in photos),
                earlier=_earlier_visits(row.earlier or (), visit.started_on),
                read_on=datetime.now(UTC).date(),
                table=chosen_by(connection, PopulationTable, practice_id, table_id),
                listed=chosen_by(connection, MeasuringList, practice_id, list_id),
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
            select(
                *columns_of(Visit),
                *columns_of(Client),
                *columns_of(Entry, changed_by=MEMBER.c.name),
                VISIT.c.id,
            )
            .join_from(VISIT, CLIENT, CLIENT.c.id == VISIT.c.client_id)
            .join(ENTRY, ENTRY.c.visit_id == VISIT.c.id)
            .join(MEMBER, MEMBER.c.id == ENTRY.c.member_id)
            .where(VISIT.c.practice_id == practice_id)
            .where(ENTRY.c.path.startswith("measure.", autoescape=True), ENTRY.c.typed != "")
            .order_by(CLIENT.c.name, VISIT.c.started_on, VISIT.c.id, ENTRY.c.path)
        )
        if visit_ids is not None:
            query = query.where(VISIT.c.id.in_(visit_ids))
        measured: dict[UUID, tuple[Visit, Client, list[Entry]]] = {}
        with self._reader.connect() as connection:
            for row in connection.execute(query):
                if row.id not in measured:
                    measured[row.id] = (model_of(Visit, row), model_of(Client, row), [])
                measured[row.id][2].append(model_of(Entry, row))
        return list(measured.values())

    def import_batch(self, practice_id: UUID, intake: ImportBatch, now: datetime) -> None:
        with mapped_errors(), self._engine.begin() as connection:
            for table, models in ((CLIENT, intake.clients), (VISIT, intake.visits)):
                if models:
                    connection.execute(insert(table), [values_of(model) for model in models])
            write_changes(connection, practice_id, intake.changes, now)


def _earlier_visits(
    lines: Iterable[tuple[str, str, str, float | str | None]], before: date
) -> tuple[EarlierVisit, ...]:
    """Visits from lines of visit, day, path and value; the latest first.

    What was measured on the day itself is no history yet; what was said of conditions then stands.
    """
    visits: dict[str, EarlierVisit] = {}
    for visit_id, day, path, value in lines:
        if visit_id not in visits:
            visits[visit_id] = EarlierVisit(
                visit_id=UUID(visit_id), started_on=date.fromisoformat(day), values={}
            )
        visit = visits[visit_id]
        if path.startswith(CONDITIONS):
            visit.conditions[path] = value
        elif visit.started_on < before:
            visit.values[path] = value
    return tuple(sorted(visits.values(), key=lambda visit: visit.started_on, reverse=True))
