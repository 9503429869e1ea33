"""The record of a visit: what was entered, read by field."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, field
from typing import TypeVar

from ..choices import YesNo
from .fields import Field, Value, When

T = TypeVar("T")


@dataclass(frozen=True)
class Record:
    """What was entered. ``values`` maps path to value: mm, number, answer, text; None once cleared.

    ``record[fields.chair.kind]`` is an answer of the field's own type, or None. Paths are for what
    comes in from the page, the database and open files.
    """

    values: Mapping[str, Value] = field(default_factory=dict)

    def __getitem__(self, field: Field[T]) -> T | None:
        """Return the answer to a field; None where there is none."""
        value = self.values.get(field.id)
        return None if value is None else field.read(value)

    def __contains__(self, field: Field[object]) -> bool:
        """Whether a field has an answer."""
        return self.values.get(field.id) is not None

    def yes(self, field: Field[YesNo]) -> bool:
        """Whether a question is answered with yes; False where it is open."""
        return self.values.get(field.id) == "yes"

    def said(self, field: Field[str]) -> str:
        """Return a text without its margins; empty where there is none."""
        return (self[field] or "").strip()

    def holds(self, when: When) -> bool:
        """Whether every condition holds; an answer not given counts as the empty text."""
        return all(str(self.values.get(path) or "") in answers for path, answers in when)

    def applies(self, field: Field[object]) -> bool:
        """Whether a field makes sense with what is already said."""
        return self.holds(field.when) or (bool(field.or_when) and self.holds(field.or_when))

    def members(self, family: str) -> Iterator[str]:
        """Yield the identifiers under what a family's paths begin with, in the order entered."""
        start = f"{family}."
        seen = dict.fromkeys(
            path.removeprefix(start).split(".", 1)[0]
            for path, value in self.values.items()
            if path.startswith(start) and value is not None
        )
        yield from seen
