"""The practice's own pieces and shared workstations in PostgreSQL."""

from __future__ import annotations

from uuid import UUID

from sqlalchemy import Engine, String, cast, delete, select
from sqlalchemy.orm import Session as Db

from ..core.record import fields
from ..services.errors import NotFound, Stale
from ..services.models import ShelfItem
from .errors import mapped_errors
from .models import ClientRow, EntryRow, ShelfItemRow, VisitRow
from .once import add_once


def item_of(row: ShelfItemRow, users: tuple[str, ...] = ()) -> ShelfItem:
    """The item a row holds."""
    return ShelfItem(
        id=row.id,
        practice_id=row.practice_id,
        piece=row.piece,
        name=row.name,
        place=row.place,
        values=dict(row.values),
        version=row.version,
        users=users,
    )


class SqlShelf:
    """The Shelf port."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def items(self, practice_id: UUID) -> list[ShelfItem]:
        mine = (
            select(ShelfItemRow)
            .where(ShelfItemRow.practice_id == practice_id)
            .order_by(ShelfItemRow.piece, ShelfItemRow.name)
        )
        users = (
            select(EntryRow.typed, ClientRow.name)
            .distinct()
            .join(VisitRow, VisitRow.id == EntryRow.visit_id)
            .join(ClientRow, ClientRow.id == VisitRow.client_id)
            .where(VisitRow.practice_id == practice_id, EntryRow.path == fields.seen.workstation.id)
            .where(EntryRow.typed.in_(select(cast(ShelfItemRow.id, String))))
            .where(~ClientRow.restricted)  # who is open to some only is named in no list
            .order_by(ClientRow.name)
        )
        with Db(self._engine) as db:
            by_item: dict[str, list[str]] = {}
            for item, client in db.execute(users):
                by_item.setdefault(item, []).append(client)
            return [item_of(row, tuple(by_item.get(str(row.id), ()))) for row in db.scalars(mine)]

    def add_item(self, item: ShelfItem) -> ShelfItem:
        with mapped_errors(), Db(self._engine) as db, db.begin():
            given = {name: value for name, value in vars(item).items() if name != "users"}
            return item_of(add_once(db, ShelfItemRow, item.practice_id, given))

    def change_item(self, item: ShelfItem) -> ShelfItem:
        with mapped_errors(), Db(self._engine) as db, db.begin():
            row = self._mine(db, item.practice_id, item.id)
            if row.version != item.version:
                raise Stale(item_of(row))
            row.name, row.place, row.values = item.name, item.place, item.values
            row.version += 1
            db.flush()
            return item_of(row)

    def drop_item(self, practice_id: UUID, item_id: UUID) -> None:
        with Db(self._engine) as db, db.begin():
            self._mine(db, practice_id, item_id)
            db.execute(delete(ShelfItemRow).where(ShelfItemRow.id == item_id))

    def _mine(self, db: Db, practice_id: UUID, item_id: UUID) -> ShelfItemRow:
        row = db.get(ShelfItemRow, item_id, with_for_update=True)
        if row is None or row.practice_id != practice_id:
            raise NotFound("That item is no longer on the shelf.")
        return row
