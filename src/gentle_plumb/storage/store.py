"""What every store of the database has: how models are found, added once, changed and dropped."""

from __future__ import annotations

from dataclasses import replace
from typing import Any, TypeVar
from uuid import UUID

from sqlalchemy import ColumnElement, Connection, Engine, Select, UnaryExpression, delete, select
from sqlalchemy import update as update_table
from sqlalchemy.dialects.postgresql import insert

from ..core.language import msg
from ..services.errors import AlreadyThere, NotFound, Stale
from ..services.models import OfAPractice, Versioned
from .errors import mapped_errors
from .mapping import columns_of, model_of, own_table, values_of

Model = TypeVar("Model")


Thing = TypeVar("Thing", bound=OfAPractice)
AnyVersioned = TypeVar("AnyVersioned", bound=Versioned)


class Store:
    """A part of the database behind a port."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine
        self._reader = engine.execution_options(isolation_level="AUTOCOMMIT")

    def _first(self, model: type[Model], *where: ColumnElement[bool]) -> Model | None:
        """The one that is looked for, if it is there."""
        with self._reader.connect() as connection:
            row = connection.execute(select(*columns_of(model)).where(*where)).first()
        return None if row is None else model_of(model, row)

    def _get(self, model: type[Model], missing: str, *where: ColumnElement[bool]) -> Model:
        """The one that is looked for; raises NotFound, with these words."""
        found = self._first(model, *where)
        if found is None:
            raise NotFound(missing)
        return found

    def _list(
        self,
        model: type[Model],
        *where: ColumnElement[bool],
        order: tuple[ColumnElement[Any] | UnaryExpression[Any], ...],
    ) -> list[Model]:
        """All that are looked for, in this order."""
        return self._read(model, select(*columns_of(model)).where(*where).order_by(*order))

    def _read(self, model: type[Model], query: Select[*tuple[Any, ...]]) -> list[Model]:
        """All that a query finds which selects ``columns_of`` the model."""
        with self._reader.connect() as connection:
            return [model_of(model, row) for row in connection.execute(query)]

    def _add_once(self, thing: Thing) -> Thing:
        """Add a thing, or return the one that an earlier sending added."""
        with mapped_errors(), self._engine.begin() as connection:
            return add_once(connection, thing)

    def _change(self, thing: AnyVersioned, *, only: tuple[str, ...], missing: str) -> AnyVersioned:
        """Change these fields of a thing that nobody has changed meanwhile."""
        with mapped_errors(), self._engine.begin() as connection:
            return change(connection, thing, only=only, missing=missing)

    def _drop(self, model: type, practice_id: UUID, id: UUID, missing: str) -> None:
        """Delete a practice's thing; raises NotFound."""
        table = own_table(model)
        mine = (table.c.id == id) & (table.c.practice_id == practice_id)
        with self._engine.begin() as connection:
            if connection.execute(delete(table).where(mine).returning(table.c.id)).first() is None:
                raise NotFound(missing)


def add_once(connection: Connection, thing: Thing) -> Thing:
    """Add a thing, or return the one that an earlier sending added.

    Raises AlreadyThere if the identifier is another practice's; a name that is taken as the driver says.
    """
    kind = type(thing)
    table = own_table(kind)
    put = insert(table).values(**values_of(thing)).on_conflict_do_nothing(index_elements=["id"])
    connection.execute(put)
    query = select(*columns_of(kind)).where(table.c.id == thing.id)
    held = model_of(kind, connection.execute(query).one())
    if held.practice_id != thing.practice_id:
        raise AlreadyThere(
            msg("Another {replace} has this id.", replace=table.name.replace("_", " "))
        )
    return held


def locked(
    connection: Connection, model: type[Thing], practice_id: UUID, id: UUID, missing: str
) -> Thing:
    """A practice's thing, held until the transaction ends; raises NotFound."""
    table = own_table(model)
    mine = (table.c.id == id) & (table.c.practice_id == practice_id)
    row = connection.execute(select(*columns_of(model)).where(mine).with_for_update()).first()
    if row is None:
        raise NotFound(missing)
    return model_of(model, row)


def change(
    connection: Connection, thing: AnyVersioned, *, only: tuple[str, ...], missing: str
) -> AnyVersioned:
    """Change these fields, if the thing is still at the version it was read at; raises Stale with what is held."""
    held = locked(connection, type(thing), thing.practice_id, thing.id, missing)
    if held.version != thing.version:
        raise Stale(held)
    table, version = own_table(type(thing)), thing.version + 1
    connection.execute(
        update_table(table)
        .where(table.c.id == thing.id)
        .values(**values_of(thing, only=only), version=version)
    )
    changed = {name: getattr(thing, name) for name in only}
    new: AnyVersioned = replace(held, **changed, version=version)  # type: ignore[type-var]
    return new
