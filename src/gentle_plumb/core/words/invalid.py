"""What is wrong with a document's value, in our own words: from an error's type, not from its text."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from typing import Any

from ..language import filled, msg

MOST_SHOWN = 60
"""So many signs of a value are shown. House value."""

_KINDS = {
    "string": msg("a text"),
    "float": msg("a number"),
    "int": msg("a whole number"),
    "bool": msg("true or false"),
    "list": msg("a list"),
    "tuple": msg("a list"),
    "dict": msg("an object with named fields"),
    "model": msg("an object with named fields"),
    "model_attributes": msg("an object with named fields"),
    "dataclass": msg("an object with named fields"),
    "date": msg("a date such as 2026-11-30"),
    "date_from_datetime": msg("a date such as 2026-11-30"),
    "datetime": msg("a date and time"),
    "uuid": msg("an identifier (UUID)"),
    "finite": msg("a finite number"),
}
_ENDS = {
    "greater_than_equal": ("ge", msg("at least")),
    "greater_than": ("gt", msg("more than")),
    "less_than_equal": ("le", msg("at most")),
    "less_than": ("lt", msg("less than")),
}
_LENGTHS = {
    "too_long": ("max_length", msg("at most"), msg("entries")),
    "too_short": ("min_length", msg("at least"), msg("entries")),
    "string_too_long": ("max_length", msg("at most"), msg("characters")),
    "string_too_short": ("min_length", msg("at least"), msg("characters")),
}


def invalid_text(error: Mapping[str, Any]) -> str:
    """Return what is wrong, without its place.

    Parameters
    ----------
    error : mapping
        ``type``, ``input``, ``ctx`` and ``msg`` of one error, as a validator tells it.

    Examples
    --------
    >>> invalid_text({"type": "missing", "input": {}})
    'is missing'
    >>> invalid_text({"type": "greater_than_equal", "input": -1, "ctx": {"ge": 0}})
    '-1 has to be at least 0'
    >>> invalid_text({"type": "model_type", "input": 3})
    '3 has to be an object with named fields'

    """
    kind, given, ctx = str(error["type"]), error.get("input"), error.get("ctx") or {}
    shown = _shown(given)
    if kind == "missing":
        return msg("is missing")
    if kind == "extra_forbidden":
        return msg("there is no field of this name")
    if kind == "json_invalid":
        return msg("is not JSON, or was cut off")
    if kind in ("literal_error", "enum"):
        return msg("{shown} has to be one of {get}", shown=shown, get=ctx.get("expected", ""))
    if kind in _ENDS:
        name, words = _ENDS[kind]
        return msg(
            "{shown} has to be {words} {number}",
            shown=shown,
            words=words,
            number=_number(ctx.get(name)),
        )
    if kind in _LENGTHS:
        name, words, what = _LENGTHS[kind]
        return msg("has to have {words} {get} {what}", words=words, get=ctx.get(name), what=what)
    for ending in ("_type", "_parsing", "_from_float", "_inclusive", "_number"):
        wanted = _KINDS.get(kind.removesuffix(ending)) if kind.endswith(ending) else None
        if wanted is not None:
            return msg("{shown} has to be {wanted}", shown=shown, wanted=wanted)
    return str(error.get("msg", "")).removeprefix("Value error, ")


def invalid_at(place: Sequence[object], error: Mapping[str, Any], *, whole: str) -> tuple[str, str]:
    """Return the full path of an error, and what is wrong there.

    Parameters
    ----------
    place : sequence
        Names and indices that the validator tells.
    error : mapping
        As for :func:`invalid_text`; a :class:`Misplaced` within it adds its own path.
    whole : str
        What the whole document is called, where the error has no place of its own.

    """
    cause = (error.get("ctx") or {}).get("error")
    path = [str(part) for part in place]
    if isinstance(cause, Misplaced):
        return ".".join([*path, cause.path]), cause.words
    return ".".join(path) or whole, invalid_text(error)


class Misplaced(ValueError):
    """Something is wrong at a path further down: ``path`` and ``words`` are told together."""

    def __init__(self, path: str, words: str) -> None:
        super().__init__(filled("{path}: {words}", path=path, words=words))
        self.path, self.words = path, words

    def under(self, part: str) -> Misplaced:
        """The same, seen from one level further up."""
        return Misplaced(f"{part}.{self.path}", self.words)


def _shown(given: object) -> str:
    if isinstance(given, dict | list | tuple):
        return msg("what stands here")
    text = given if isinstance(given, str) else str(given)
    text = text if len(text) <= MOST_SHOWN else f"{text[:MOST_SHOWN]}…"
    return (
        filled("“{text}”", text=text)
        if isinstance(given, str)
        else text.lower()
        if isinstance(given, bool)
        else text
    )


def _number(value: object) -> str:
    return f"{value:g}" if isinstance(value, int | float) else str(value)
