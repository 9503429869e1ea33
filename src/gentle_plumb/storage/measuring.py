"""Lists of dimensions, tables of populations and pairs of readings in PostgreSQL."""

from __future__ import annotations

from typing import Any
from uuid import UUID

from sqlalchemy import Connection, Engine, Numeric, cast, delete, exists, func, select
from sqlalchemy.orm import Session as Db
from sqlalchemy.orm import aliased

from ..services.errors import NotFound, Stale
from ..services.models import Difference, MeasuringList, PopulationTable, TableRow
from .errors import mapped_errors
from .models import EntryRow, MeasuringListRow, PopulationTableRow, VisitRow
from .once import add_once


def list_of(row: Any) -> MeasuringList:
    """The list a row holds."""
    return MeasuringList(
        id=row.id,
        practice_id=row.practice_id,
        name=row.name,
        dimensions=tuple(row.dimensions),
        version=row.version,
    )


def table_of(row: Any) -> PopulationTable:
    """The table a row holds."""
    return PopulationTable(
        id=row.id,
        practice_id=row.practice_id,
        name=row.name,
        origin=row.origin,
        rows=tuple(TableRow(**one) for one in row.rows),
        added_by=row.added_by,
        added_at=row.added_at,
    )


def _chosen(
    connection: Connection,
    kept: type[MeasuringListRow | PopulationTableRow],
    practice_id: UUID,
    value: object,
) -> Any:
    """The practice's row that an entry names; None where it names none, or one that is gone."""
    try:
        wanted = UUID(str(value))
    except ValueError:
        return None
    mine = (kept.id == wanted) & (kept.practice_id == practice_id)
    return connection.execute(select(kept.__table__).where(mine)).first()


def chosen_table(
    connection: Connection, practice_id: UUID, value: object
) -> PopulationTable | None:
    """The practice's table that an entry names, None for the program's own."""
    found = _chosen(connection, PopulationTableRow, practice_id, value)
    return table_of(found) if found is not None else None


def chosen_list(connection: Connection, practice_id: UUID, value: object) -> MeasuringList | None:
    """The practice's list that an entry names, None for the short and the full one."""
    found = _chosen(connection, MeasuringListRow, practice_id, value)
    return list_of(found) if found is not None else None


class SqlMeasuring:
    """The MeasuringStore port."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def lists(self, practice_id: UUID) -> list[MeasuringList]:
        query = select(MeasuringListRow).where(MeasuringListRow.practice_id == practice_id)
        with Db(self._engine) as db:
            return [list_of(row) for row in db.scalars(query.order_by(MeasuringListRow.name))]

    def add_list(self, kept: MeasuringList) -> MeasuringList:
        given = {**vars(kept), "dimensions": list(kept.dimensions)}
        with mapped_errors(), Db(self._engine) as db, db.begin():
            return list_of(add_once(db, MeasuringListRow, kept.practice_id, given))

    def change_list(self, kept: MeasuringList) -> MeasuringList:
        with mapped_errors(), Db(self._engine) as db, db.begin():
            row = self._list(db, kept.practice_id, kept.id)
            if row.version != kept.version:
                raise Stale(list_of(row))
            row.name, row.dimensions = kept.name, list(kept.dimensions)
            row.version += 1
            db.flush()
            return list_of(row)

    def drop_list(self, practice_id: UUID, list_id: UUID) -> None:
        with Db(self._engine) as db, db.begin():
            self._list(db, practice_id, list_id)
            db.execute(delete(MeasuringListRow).where(MeasuringListRow.id == list_id))

    def _list(self, db: Db, practice_id: UUID, list_id: UUID) -> MeasuringListRow:
        row = db.get(MeasuringListRow, list_id, with_for_update=True)
        if row is None or row.practice_id != practice_id:
            raise NotFound("There is no such list.")
        return row

    def tables(self, practice_id: UUID) -> list[PopulationTable]:
        query = select(PopulationTableRow).where(PopulationTableRow.practice_id == practice_id)
        with Db(self._engine) as db:
            return [table_of(row) for row in db.scalars(query.order_by(PopulationTableRow.name))]

    def add_table(self, table: PopulationTable) -> PopulationTable:
        given = {**vars(table), "rows": [vars(row) for row in table.rows]}
        with mapped_errors(), Db(self._engine) as db, db.begin():
            return table_of(add_once(db, PopulationTableRow, table.practice_id, given))

    def drop_table(self, practice_id: UUID, table_id: UUID) -> None:
        with Db(self._engine) as db, db.begin():
            row = db.get(PopulationTableRow, table_id, with_for_update=True)
            if row is None or row.practice_id != practice_id:
                raise NotFound("There is no such table.")
            db.execute(delete(PopulationTableRow).where(PopulationTableRow.id == table_id))

    def differences(self, practice_id: UUID, member_id: UUID | None = None) -> list[Difference]:
        first, second, about = aliased(EntryRow), aliased(EntryRow), aliased(EntryRow)
        name = func.split_part(first.path, ".", 2)
        elsewhere = exists().where(
            about.visit_id == first.visit_id,
            about.path.in_(
                (
                    func.concat("measure.", name, ".origin"),
                    func.concat("measure.", name, ".taken_by"),
                )
            ),
            about.value.is_not(None),
            about.typed != "measured",
        )
        query = (
            select(first.member_id, name, cast(first.value, Numeric) - cast(second.value, Numeric))
            .join(VisitRow, VisitRow.id == first.visit_id)
            .join(
                second,
                (second.visit_id == first.visit_id)
                & (second.path == func.concat("measure.", name, ".second")),
            )
            .where(VisitRow.practice_id == practice_id)
            .where(first.path.like("measure.%.first"), first.member_id == second.member_id)
            .where(first.value.is_not(None), second.value.is_not(None), ~elsewhere)
            .order_by(first.visit_id, first.path)
        )
        if member_id is not None:
            query = query.where(first.member_id == member_id)
        with self._engine.connect() as connection:
            return [
                Difference(member_id=member, dimension=dimension, mm=float(mm))
                for member, dimension, mm in connection.execute(query)
            ]
