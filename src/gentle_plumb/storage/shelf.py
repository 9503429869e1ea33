"""The practice's own pieces and shared workstations in PostgreSQL."""

from __future__ import annotations

from dataclasses import replace
from uuid import UUID

from sqlalchemy import String, cast, select

from ..core.language import msg
from ..core.record import fields
from ..services.models import ShelfItem
from .store import Store
from .tables import CLIENT, ENTRY, SHELF_ITEM, VISIT

MISSING = msg("That item is no longer on the shelf.")


class SqlShelf(Store):
    """The Shelf port."""

    def items(self, practice_id: UUID) -> list[ShelfItem]:
        users = (
            select(ENTRY.c.typed, CLIENT.c.name)
            .distinct()
            .join_from(ENTRY, VISIT, VISIT.c.id == ENTRY.c.visit_id)
            .join(CLIENT, CLIENT.c.id == VISIT.c.client_id)
            .where(VISIT.c.practice_id == practice_id, ENTRY.c.path == fields.seen.workstation.id)
            .where(ENTRY.c.typed.in_(select(cast(SHELF_ITEM.c.id, String))))
            .where(~CLIENT.c.restricted)  # who is open to some only is named in no list
            .order_by(CLIENT.c.name)
        )
        by_item: dict[str, list[str]] = {}
        with self._reader.connect() as connection:
            for item, client in connection.execute(users):
                by_item.setdefault(item, []).append(client)
        items = self._list(
            ShelfItem,
            SHELF_ITEM.c.practice_id == practice_id,
            order=(SHELF_ITEM.c.piece, SHELF_ITEM.c.name),
        )
        return [replace(item, users=tuple(by_item.get(str(item.id), ()))) for item in items]

    def add_item(self, item: ShelfItem) -> ShelfItem:
        return self._add_once(item)

    def change_item(self, item: ShelfItem) -> ShelfItem:
        return self._change(item, only=("name", "place", "values"), missing=MISSING)

    def drop_item(self, practice_id: UUID, item_id: UUID) -> None:
        self._drop(ShelfItem, practice_id, item_id, MISSING)
