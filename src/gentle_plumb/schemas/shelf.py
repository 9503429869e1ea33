"""The practice's shelf and instruments."""

from __future__ import annotations

from typing import Annotated
from uuid import UUID

from pydantic import BaseModel, Field, StringConstraints

from ..core.units import LengthUnit
from ..services.models import ShelfItem
from .common import Line, Name, New, RequestModel


class ShelfFacts(RequestModel):
    """What is kept of a piece or workstation: typed texts by path."""

    piece: Annotated[str, StringConstraints(max_length=40)]
    name: Name
    place: Line = ""
    values: Annotated[
        dict[
            Annotated[str, StringConstraints(max_length=200)],
            Annotated[str, StringConstraints(max_length=200)],
        ],
        Field(max_length=400),
    ]
    unit: LengthUnit = "cm"


class ShelfIn(New, ShelfFacts):
    """A piece or workstation to be kept."""


class ShelfChange(ShelfFacts):
    """A shelf item changed upon its version."""

    version: Annotated[int, Field(ge=1, le=2_000_000_000)]


class ShelfOut(BaseModel):
    """A kept piece or workstation; ``users`` are the clients whose visits name it."""

    id: UUID
    piece: str
    name: str
    place: str
    values: dict[str, str]
    version: int
    users: list[str]

    @classmethod
    def of(cls, item: ShelfItem) -> ShelfOut:
        """From the record."""
        return cls(
            **{name: getattr(item, name) for name in cls.model_fields if name != "users"},
            users=list(item.users),
        )


class LuxOut(BaseModel):
    """One reading of the light meter."""

    lux: float
    warning: str | None
