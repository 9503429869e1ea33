"""Adding something once, however often it is sent."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any, TypeVar
from uuid import UUID

from sqlalchemy.dialects.postgresql import insert
from sqlalchemy.orm import Session as Db

from ..services.errors import AlreadyThere
from .models import MeasuringListRow, PopulationTableRow, RuleSetRow, ShelfItemRow

Row = TypeVar("Row", MeasuringListRow, RuleSetRow, PopulationTableRow, ShelfItemRow)


def add_once(db: Db, table: type[Row], practice_id: UUID, values: Mapping[str, Any]) -> Row:
    """The row of this id: put now, or the one that an earlier sending put.

    Raises AlreadyThere if the id is another practice's; a name that is taken as the driver says.
    """
    put = insert(table).values(**values).on_conflict_do_nothing(index_elements=["id"])
    db.execute(put)
    held = db.get_one(table, values["id"])
    if held.practice_id != practice_id:
        raise AlreadyThere("Another thing has this id.")
    return held
