"""How a model of the services is a table: its fields are the columns, and its rows become it again.

A field's annotation gives its column's type and whether it may be null, its default the server's
default.
"""

from __future__ import annotations

from collections.abc import Callable, Iterable, Mapping
from dataclasses import MISSING, Field, fields, is_dataclass
from datetime import date, datetime
from types import NoneType
from typing import Any, Literal, TypeVar, Union, get_args, get_origin, get_type_hints
from uuid import UUID

from sqlalchemy import (
    Boolean,
    CheckConstraint,
    Column,
    Date,
    Double,
    ForeignKey,
    Index,
    Integer,
    Label,
    MetaData,
    Row,
    String,
    Table,
    UniqueConstraint,
    Uuid,
    text,
)
from sqlalchemy.dialects.postgresql import BYTEA, JSONB, TIMESTAMP

Model = TypeVar("Model")
MOMENT = TIMESTAMP(timezone=True)
METADATA = MetaData(
    naming_convention={
        "ix": "ix_%(column_0_label)s",
        "uq": "uq_%(table_name)s_%(column_0_name)s",
        "ck": "ck_%(table_name)s_%(constraint_name)s",
        "fk": "fk_%(table_name)s_%(column_0_name)s",
        "pk": "pk_%(table_name)s",
    }
)
_TYPES: dict[type, Any] = {
    UUID: Uuid,
    str: String,
    int: Integer,
    float: Double,
    bool: Boolean,
    date: Date,
    datetime: MOMENT,
    bytes: BYTEA,
}
_TABLES: dict[type, Table] = {}
_READERS: dict[type, dict[str, Callable[[Any], Any]]] = {}
"""By model and field, how what is stored becomes what the model holds: tuples are stored as lists."""


def cascades(table: str) -> ForeignKey:
    """A reference to another table's row, with which this one goes."""
    return ForeignKey(f"{table}.id", ondelete="CASCADE")


def table_of(
    model: type,
    name: str,
    *parts: Column[Any] | CheckConstraint | UniqueConstraint | Index,
    key: tuple[str, ...] = ("id",),
    without: Iterable[str] = (),
    checked: Iterable[str] = (),
    **references: ForeignKey,
) -> Table:
    """Declare the table that holds a model.

    Parameters
    ----------
    model : dataclass
    name : str
    parts : columns and constraints
        What the database holds beside the model's fields, and a field's column that is none of the usual.
    key : names of fields
        The fields of the primary key.
    without : names of fields
        Fields that are read from elsewhere.
    checked : names of fields
        Fields whose ``Literal`` the database checks too.
    references : ForeignKey by field
        What a field points at.

    """
    hints = get_type_hints(model)
    apart = {*without, *(part.name for part in parts if isinstance(part, Column))}
    columns = [
        _column(field, hints[field.name], references.get(field.name), primary=field.name in key)
        for field in fields(model)
        if field.name not in apart
    ]
    checks = [one_of(name, get_args(_without_none(hints[name])[0])) for name in checked]
    _READERS[model] = {field.name: _reader(hints[field.name]) for field in fields(model)}
    _TABLES[model] = Table(name, METADATA, *columns, *checks, *parts)
    return _TABLES[model]


def one_of(column: str, values: Iterable[str]) -> CheckConstraint:
    """A check that a column holds one of these words."""
    listed = ", ".join(f"'{value}'" for value in values if value)
    return CheckConstraint(f"{column} in ({listed})", name=column)


def _without_none(hint: Any) -> tuple[Any, bool]:
    """A type without None, and whether None was among what it may be."""
    parts = get_args(hint)
    if NoneType not in parts:
        return hint, False
    left = tuple(part for part in parts if part is not NoneType)
    return (left[0] if len(left) == 1 else Union[left]), True  # noqa: UP007 - made from a tuple


def _column(
    field: Field[Any], hint: Any, reference: ForeignKey | None, *, primary: bool
) -> Column[Any]:
    bare, nullable = _without_none(hint)
    words = all(get_origin(part) is Literal for part in get_args(bare) or [bare])
    kind: Any = String if words or get_origin(bare) is Literal else _TYPES.get(bare)
    if kind is None:  # several kinds of value, or a collection
        kind = JSONB(none_as_null=True)
    return Column(
        field.name,
        kind,
        *([reference] if reference is not None else []),
        primary_key=primary,
        nullable=nullable,
        server_default=_server_default(field),
    )


def _server_default(field: Field[Any]) -> Any:
    value = field.default if field.default_factory is MISSING else field.default_factory()
    if value is MISSING or value is None:
        return None
    if isinstance(value, bool | int | float):
        return text(str(value).lower())
    return value if isinstance(value, str) else text("'[]'" if isinstance(value, tuple) else "'{}'")


def own_table(model: type) -> Table:
    """The table that holds a model."""
    return _TABLES[model]


def columns_of(model: type, **elsewhere: Any) -> list[Label[Any]]:
    """What to select for a model: its columns, under names that meet no other model's.

    ``elsewhere`` are the fields that stand in another table, or are worked out.
    """
    table = _TABLES[model]
    columns = {**table.c, **elsewhere}
    return [
        columns[field.name].label(f"{table.name}__{field.name}")
        for field in fields(model)
        if field.name in columns
    ]


def model_of(model: type[Model], row: Row[*tuple[Any, ...]], **more: Any) -> Model:
    """The model that a row holds which was selected by ``columns_of``; ``more`` is what is in no column."""
    start, held = f"{_TABLES[model].name}__", row._mapping
    values = {
        name: read(held[start + name])
        for name, read in _READERS[model].items()
        if start + name in held
    }
    return model(**values, **more)


def _reader(hint: Any) -> Callable[[Any], Any]:
    if get_origin(hint) is not tuple:
        return lambda value: value
    make: Any = get_args(hint)[0]
    held_by_name = is_dataclass(make)
    return (lambda value: tuple(make(**row) for row in value)) if held_by_name else tuple


def values_of(thing: Any, *, only: Iterable[str] | None = None) -> dict[str, Any]:
    """A model's fields as they are stored; all that have a column, or ``only`` these."""
    names = _TABLES[type(thing)].c if only is None else only
    return {
        field.name: _stored(getattr(thing, field.name))
        for field in fields(thing)
        if field.name in names
    }


def _stored(value: Any) -> Any:
    if isinstance(value, tuple):
        return [vars(item) if is_dataclass(item) else item for item in value]
    return dict(value) if isinstance(value, Mapping) else value
