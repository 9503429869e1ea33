"""A shelf of generic pieces to start from, from shelf.toml: what is typed into their fields.

Everyday ranges, to be checked with the tape; no make is meant. Source: house-shelf.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from ..language import Words
from ..tables import TableError, entries_of
from .fields import field_of
from .reading import read_typed


@dataclass(frozen=True, kw_only=True)
class ShelfKind:
    """One generic piece: its kind, a name, and what is typed into its fields, by path."""

    id: str
    piece: str
    name: Words
    values: Mapping[str, str]

    def __post_init__(self) -> None:
        for path, typed in self.values.items():
            if read_typed(field_of(path), typed, unit="cm") is None:
                raise TableError(f"shelf.toml: {self.id}: {path} holds nothing")


SHELF: dict[str, ShelfKind] = entries_of(ShelfKind, __package__, "shelf.toml")
"""Every generic piece, by name."""
