"""What is asked of instruments near the desk, and what they answer."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Annotated

from pydantic import Field, StringConstraints

from ..core.units import LengthUnit
from .common import RequestModel


class InstrumentUnit(RequestModel):
    """The unit an instrument is to be set to."""

    unit: LengthUnit


class ReadingRequest(RequestModel):
    """What a reading is taken of: a dimension, or a piece that was set ``near`` a height, mm."""

    dimension: Annotated[str, StringConstraints(max_length=60)]
    near: Annotated[float, Field(ge=0, le=4000)] | None = None


@dataclass(frozen=True, kw_only=True)
class TypedReading:
    """One reading, as it goes into its field."""

    typed: str
    warning: str | None


class DeskTarget(RequestModel):
    """A height of the display to go on towards, mm."""

    target: Annotated[float, Field(ge=300, le=1600)]


@dataclass(frozen=True, kw_only=True)
class SavedPreset:
    """What a key of the desk holds, read back: mm of the display."""

    key: int
    held: float
