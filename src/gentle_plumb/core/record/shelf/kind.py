"""One generic piece of the shelf."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from ..fields import Field


@dataclass(frozen=True, kw_only=True)
class ShelfKind:
    """One generic piece: its kind, a name, and what is typed into its fields, by path."""

    id: str
    piece: str
    name: str
    values: Mapping[str, str]


def shelf_kind(id: str, piece: str, name: str, values: Mapping[Field[object], str]) -> ShelfKind:
    """Make a generic piece of what is typed into its fields."""
    typed = {field.id: str(text) for field, text in values.items()}
    return ShelfKind(id=id, piece=piece, name=name, values=typed)
