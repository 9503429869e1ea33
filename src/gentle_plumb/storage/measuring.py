"""Lists of dimensions, tables of populations and pairs of readings in PostgreSQL."""

from __future__ import annotations

from typing import TypeVar
from uuid import UUID

from sqlalchemy import Connection, Function, Numeric, cast, exists, func, select

from ..core.language import msg
from ..services.models import Difference, MeasuringList, PopulationTable
from .mapping import columns_of, model_of, own_table
from .store import Store
from .tables import ENTRY, MEASURING_LIST, POPULATION_TABLE, VISIT

Chosen = TypeVar("Chosen", MeasuringList, PopulationTable)


def chosen_by(
    connection: Connection, kind: type[Chosen], practice_id: UUID, value: object
) -> Chosen | None:
    """The practice's list or table that an entry names; None where it names none, or one that is gone."""
    try:
        wanted = UUID(str(value))
    except ValueError:
        return None
    kept = own_table(kind).c
    mine = (kept.id == wanted) & (kept.practice_id == practice_id)
    row = connection.execute(select(*columns_of(kind)).where(mine)).first()
    return None if row is None else model_of(kind, row)


class SqlMeasuring(Store):
    """The MeasuringStore port."""

    def lists(self, practice_id: UUID) -> list[MeasuringList]:
        mine = MEASURING_LIST.c.practice_id == practice_id
        return self._list(MeasuringList, mine, order=(MEASURING_LIST.c.name,))

    def add_list(self, kept: MeasuringList) -> MeasuringList:
        return self._add_once(kept)

    def change_list(self, kept: MeasuringList) -> MeasuringList:
        missing = msg("List not found.")
        return self._change(kept, only=("name", "dimensions"), missing=missing)

    def drop_list(self, practice_id: UUID, list_id: UUID) -> None:
        self._drop(MeasuringList, practice_id, list_id, msg("List not found."))

    def tables(self, practice_id: UUID) -> list[PopulationTable]:
        mine = POPULATION_TABLE.c.practice_id == practice_id
        return self._list(PopulationTable, mine, order=(POPULATION_TABLE.c.name,))

    def add_table(self, table: PopulationTable) -> PopulationTable:
        return self._add_once(table)

    def drop_table(self, practice_id: UUID, table_id: UUID) -> None:
        self._drop(PopulationTable, practice_id, table_id, msg("Reference data not found."))

    def differences(self, practice_id: UUID, member_id: UUID | None = None) -> list[Difference]:
        first, second, about = ENTRY.alias("first"), ENTRY.alias("second"), ENTRY.alias("about")
        dimension = func.split_part(first.c.path, ".", 2)

        def path(part: str) -> Function[str]:
            return func.concat("measure.", dimension, part)

        elsewhere = exists().where(
            about.c.visit_id == first.c.visit_id,
            about.c.path.in_((path(".origin"), path(".taken_by"))),
            about.c.value.is_not(None),
            about.c.typed != "measured",
        )
        query = (
            select(
                first.c.member_id,
                dimension,
                cast(first.c.value, Numeric) - cast(second.c.value, Numeric),
            )
            .join_from(first, VISIT, VISIT.c.id == first.c.visit_id)
            .join(
                second, (second.c.visit_id == first.c.visit_id) & (second.c.path == path(".second"))
            )
            .where(VISIT.c.practice_id == practice_id)
            .where(first.c.path.like("measure.%.first"), first.c.member_id == second.c.member_id)
            .where(first.c.value.is_not(None), second.c.value.is_not(None), ~elsewhere)
            .order_by(first.c.visit_id, first.c.path)
        )
        if member_id is not None:
            query = query.where(first.c.member_id == member_id)
        with self._reader.connect() as connection:
            return [
                Difference(member_id=member, dimension=name, mm=float(mm))
                for member, name, mm in connection.execute(query)
            ]
