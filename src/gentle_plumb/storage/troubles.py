"""What went wrong while nobody was there to be told, in PostgreSQL."""

from __future__ import annotations

from datetime import datetime

from sqlalchemy import Engine, delete, select
from sqlalchemy.dialects.postgresql import insert

from ..services.running import Trouble
from .models import TroubleRow

_TROUBLE = TroubleRow.__table__.c


class SqlTroubles:
    """The Troubles port."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def note(self, kind: str, at: datetime, detail: str) -> None:
        put = insert(TroubleRow).values(kind=kind, at=at, detail=detail)
        put = put.on_conflict_do_update(index_elements=["kind"], set_={"at": at, "detail": detail})
        with self._engine.begin() as connection:
            connection.execute(put)

    def clear(self, kind: str) -> None:
        with self._engine.begin() as connection:
            connection.execute(delete(TroubleRow).where(_TROUBLE.kind == kind))

    def last(self, kind: str) -> Trouble | None:
        query = select(_TROUBLE.at, _TROUBLE.detail).where(_TROUBLE.kind == kind)
        with self._engine.connect() as connection:
            row = connection.execute(query).first()
        return None if row is None else Trouble(at=row.at, detail=row.detail)
