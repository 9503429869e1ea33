"""What went wrong while nobody was there to be told, in PostgreSQL."""

from __future__ import annotations

from datetime import datetime

from sqlalchemy import delete, select
from sqlalchemy.dialects.postgresql import insert

from ..services.system_status import Trouble
from .store import Store
from .tables import TROUBLE


class SqlTroubles(Store):
    """The Troubles port."""

    def note(self, kind: str, moment: datetime, detail: str) -> None:
        put = insert(TROUBLE).values(kind=kind, at=moment, detail=detail)
        put = put.on_conflict_do_update(
            index_elements=["kind"], set_={"at": moment, "detail": detail}
        )
        with self._engine.begin() as connection:
            connection.execute(put)

    def clear(self, kind: str) -> None:
        with self._engine.begin() as connection:
            connection.execute(delete(TROUBLE).where(TROUBLE.c.kind == kind))

    def last(self, kind: str) -> Trouble | None:
        query = select(*TROUBLE.c["at", "detail"]).where(TROUBLE.c.kind == kind)
        with self._reader.connect() as connection:
            row = connection.execute(query).first()
        return None if row is None else Trouble(**row._mapping)
