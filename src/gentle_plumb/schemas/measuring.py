"""What goes over the wire about measuring."""

from __future__ import annotations

from collections.abc import Iterable
from datetime import datetime
from typing import Annotated
from uuid import UUID

from pydantic import BaseModel, Field, StringConstraints

from ..core.units import LengthUnit, fine_length
from ..services.exchange import Preview
from ..services.import_plan import Understood
from ..services.instruments import Found
from ..services.measuring import MemberPrecision
from ..services.models import MeasuringList, PopulationTable, Trouble
from . import Name, New, RequestModel


class ListFacts(RequestModel):
    """What a list of dimensions is."""

    name: Name
    dimensions: Annotated[
        list[Annotated[str, StringConstraints(max_length=60)]], Field(min_length=1, max_length=60)
    ]


class ListIn(New, ListFacts):
    """A list of dimensions to be kept."""


class ListChange(ListFacts):
    """A list changed upon its version."""

    version: Annotated[int, Field(ge=1, le=2_000_000_000)]


class ListOut(BaseModel):
    """A practice's own list."""

    id: UUID
    name: str
    dimensions: list[str]
    version: int

    @classmethod
    def of(cls, kept: MeasuringList) -> ListOut:
        """From the record."""
        return cls(
            id=kept.id, name=kept.name, dimensions=list(kept.dimensions), version=kept.version
        )


class TableIn(New):
    """A table of a population as CSV."""

    name: Name
    origin: Name
    text: Annotated[str, StringConstraints(max_length=400_000)]


class TableOut(BaseModel):
    """A kept table; ``lines`` is how many it has, ``dimensions`` which."""

    id: UUID
    name: str
    origin: str
    lines: int
    dimensions: list[str]
    added_by: str
    added_at: datetime

    @classmethod
    def of(cls, kept: PopulationTable) -> TableOut:
        """From the record."""
        return cls(
            id=kept.id,
            name=kept.name,
            origin=kept.origin,
            lines=len(kept.rows),
            dimensions=list(dict.fromkeys(row.dimension for row in kept.rows)),
            added_by=kept.added_by,
            added_at=kept.added_at,
        )


class PrecisionOut(BaseModel):
    """How a member repeats a dimension: every number in the unit asked for."""

    member: str
    dimension: str
    label: str
    pairs: int
    over_limit: int
    error: str
    low: str
    high: str
    reckoned: str

    @classmethod
    def of(cls, found: MemberPrecision, unit: LengthUnit) -> PrecisionOut:
        """From what was found; an open end is shown as such."""
        known = found.precision
        return cls(
            member=found.name,
            dimension=found.dimension,
            label=found.label,
            pairs=known.pairs,
            over_limit=known.over_limit,
            error=fine_length(known.error_mm, unit),
            low=fine_length(known.low_mm, unit),
            high=fine_length(known.high_mm, unit),
            reckoned=fine_length(found.reckoned_mm, unit),
        )


class InstrumentOut(BaseModel):
    """An instrument near the desk, or why it does not answer."""

    id: str
    unit: LengthUnit | None
    battery: int | None
    trouble: str | None

    @classmethod
    def of(cls, found: Found) -> InstrumentOut:
        """From its state."""
        state = found.state
        return cls(
            id=found.id,
            unit=state.unit if state else None,
            battery=state.battery if state else None,
            trouble=found.trouble or (state.warning if state else None),
        )


class LineOut(BaseModel):
    """A line or place of a file, the field, and what is to be said of it."""

    line: str
    field: str
    reason: str

    @classmethod
    def all_of(cls, troubles: Iterable[Trouble]) -> list[LineOut]:
        """From what was found."""
        return [cls(line=line, field=field, reason=reason) for line, field, reason in troubles]


class PreviewOut(BaseModel):
    """What a file says, and what importing it does."""

    format: str
    understood: list[Understood]
    troubles: list[LineOut]
    left_out: list[LineOut]

    @classmethod
    def of(cls, found: Preview) -> PreviewOut:
        """From the service's answer."""
        return cls(
            format=found.format,
            understood=found.understood,
            troubles=LineOut.all_of(found.troubles),
            left_out=LineOut.all_of(found.left_out),
        )


class UnitIn(RequestModel):
    """The unit an instrument is to be set to."""

    unit: LengthUnit


class ReadIn(RequestModel):
    """What a reading is taken of: a dimension, or a piece that was set ``near`` a height, mm."""

    dimension: Annotated[str, StringConstraints(max_length=60)]
    near: Annotated[float, Field(ge=0, le=4000)] | None = None


class ReadingOut(BaseModel):
    """One reading, as it goes into its field."""

    typed: str
    warning: str | None
