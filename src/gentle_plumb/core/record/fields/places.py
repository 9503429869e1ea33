"""The places one works at: the main one, and further ones with pieces and settings of their own."""

from __future__ import annotations

from dataclasses import dataclass

from ...language import msg
from ...workstation import PlaceUse
from .field import Field
from .group import FieldGroup

MAIN = "main"
FURTHER = ("2", "3", "4")
"""Identifiers of the places: the main one is the record itself, what is entered at a further one stands under
``place.<identifier>``."""
PLACE = "place"


@dataclass(frozen=True, eq=False)
class PlaceFields:
    """What a place is called, and how one works there."""

    name: Field[str]
    use: Field[PlaceUse]


def at(id: str) -> PlaceFields:
    """Return what is kept of a place itself."""
    here = FieldGroup(f"{PLACE}.{id}", msg("Places"))
    return PlaceFields(
        name=here.words("name", msg("Name of the place"), health=True),
        use=here.choice("use", msg("Worked at"), PlaceUse),
    )
