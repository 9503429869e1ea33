"""Tables of the trade kept as data files beside their code: read once, and checked whole.

A table is TOML, an entry for each name, or CSV, an entry a line. Every entry becomes an object of
a class that says what it holds: unknown names, missing parts and values of another kind are
refused with the file, the entry and the part.
"""

from __future__ import annotations

import csv
import io
import tomllib
from collections.abc import Callable, Mapping
from dataclasses import MISSING, fields, is_dataclass
from enum import Enum
from importlib.resources import files
from types import NoneType, UnionType
from typing import Any, Literal, TypeVar, Union, get_args, get_origin, get_type_hints

from .errors import PlumbError
from .language import Text, msg

T = TypeVar("T")
Reader = Callable[[Any], Any]


class TableError(ValueError):
    """A table holds something that can't be; the message names file, entry and part."""


def toml_table(package: str, name: str) -> dict[str, Any]:
    """What a TOML file of a package holds; raises TableError."""
    try:
        return tomllib.loads(files(package).joinpath(name).read_text("utf-8"))
    except tomllib.TOMLDecodeError as error:
        raise TableError(f"{name}: {error}") from None


def csv_table(package: str, name: str) -> list[dict[str, str]]:
    """The lines of a CSV file of a package, by column; raises TableError for one with cells too many or too few."""
    text = files(package).joinpath(name).read_text("utf-8")
    lines = list(csv.DictReader(io.StringIO(text)))
    for number, line in enumerate(lines, 2):
        if None in line or None in line.values():
            raise TableError(
                f"{name}, line {number}: it has another number of cells than the first"
            )
    return lines


def entries_of(
    kind: type[T],
    package: str,
    name: str,
    *,
    key: str = "id",
    readers: Mapping[Any, Reader] | None = None,
) -> dict[str, T]:
    """Every entry of a TOML table by its name, which is the ``key`` of the object it becomes."""
    return {
        id: entry(kind, {key: id, **given}, f"{name}: {id}", readers or {})
        for id, given in toml_table(package, name).items()
    }


def entry(kind: type[T], given: Mapping[str, Any], place: str, readers: Mapping[Any, Reader]) -> T:
    """An object made of one entry.

    Parameters
    ----------
    kind : dataclass
    given : mapping
        Its parts by name.
    place : str
        Where it stands, for what is said of it.
    readers : mapping
        How parts of some name, or of some type, are read that a file can't hold as they are.

    """
    hints = get_type_hints(kind)
    parts = {field.name: field for field in fields(kind) if field.init}  # type: ignore[arg-type]
    unknown = given.keys() - parts.keys()
    missing = [
        name
        for name, field in parts.items()
        if name not in given and field.default is MISSING and field.default_factory is MISSING
    ]
    if unknown or missing:
        words = [f"there is no {name}" for name in sorted(unknown)]
        raise TableError(
            f"{place}: {', '.join(words + [f'{name} is missing' for name in missing])}"
        )
    values = {
        name: _read(readers.get(name), hints[name], value, f"{place}: {name}", readers)
        for name, value in given.items()
    }
    return kind(**values)


def _read(
    own: Reader | None, hint: Any, value: Any, place: str, readers: Mapping[Any, Reader]
) -> Any:
    try:
        return own(value) if own is not None else _converted(hint, value, place, readers)
    except TableError:
        raise
    except (KeyError, TypeError, ValueError, PlumbError) as error:
        raise TableError(f"{place}: {value!r} can’t be: {error}") from None


def _converted(hint: Any, value: Any, place: str, readers: Mapping[Any, Reader]) -> Any:
    """A value as its type; raises ValueError, TypeError, KeyError, TableError."""
    origin, args = get_origin(hint), get_args(hint)
    own = readers.get(origin or hint)
    if own is not None:
        return own(value)
    if origin in (Union, UnionType):
        left = [part for part in args if part is not NoneType]
        return None if value is None else _first_of(left, value, place, readers)
    if origin is Literal:
        return _one_of(args, value)
    if origin is tuple:
        return _tuple(args, value, place, readers)
    if origin is frozenset:
        return frozenset(_converted(args[0], part, place, readers) for part in value)
    if origin is not None and issubclass(origin, Mapping):
        return {
            _converted(args[0], name, place, readers): _converted(args[1], part, place, readers)
            for name, part in value.items()
        }
    if is_dataclass(hint) and isinstance(hint, type):
        return entry(hint, value, place, readers)
    if isinstance(hint, type) and issubclass(hint, Enum):
        return hint(value)
    return _plain(hint, value)


def _first_of(kinds: list[Any], value: Any, place: str, readers: Mapping[Any, Reader]) -> Any:
    """A value as the first of several types that takes it."""
    for kind in kinds[:-1]:
        try:
            return _converted(kind, value, place, readers)
        except (ValueError, TypeError, KeyError):
            continue
    return _converted(kinds[-1], value, place, readers)


def _one_of(choices: tuple[Any, ...], value: Any) -> Any:
    if value not in choices:
        raise ValueError(f"it is none of {', '.join(map(str, choices))}")
    return value


def _tuple(
    args: tuple[Any, ...], value: Any, place: str, readers: Mapping[Any, Reader]
) -> tuple[Any, ...]:
    """A list as a tuple; a table of lists as pairs of its names and values."""
    parts = list(value.items()) if isinstance(value, Mapping) else value
    if not isinstance(parts, list | tuple):
        raise TypeError("it is no list")
    kinds = [args[0]] * len(parts) if args[1:] == (...,) else args
    if len(kinds) != len(parts):
        raise ValueError(f"it has {len(parts)} parts in place of {len(kinds)}")
    return tuple(
        _converted(kind, part, place, readers) for kind, part in zip(kinds, parts, strict=True)
    )


def _plain(hint: Any, value: Any) -> Any:
    if hint is Any:
        return value
    if hint is Text:
        return msg(_plain(str, value)) if value else value
    if hint is float and isinstance(value, int) and not isinstance(value, bool):
        return float(value)
    if not isinstance(value, hint) or (hint in (int, float) and isinstance(value, bool)):
        raise TypeError(f"it is no {hint.__name__}")
    return value
