"""A change of a visit, and its answer."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Annotated

from pydantic import Field, StringConstraints

from ..core.units import LengthUnit
from ..services.models import Entry
from ..services.workup import DrawnVisit
from .common import RequestModel


class EntryChange(RequestModel):
    """One change: what was typed into which field, upon which version of it."""

    path: Annotated[str, StringConstraints(max_length=200)]
    typed: Annotated[str, StringConstraints(max_length=8000)]
    expected_version: Annotated[int, Field(ge=0, le=2_000_000_000)]
    unit: LengthUnit = "cm"


@dataclass(frozen=True, kw_only=True)
class ChangeAnswer:
    """The entry as it is now; the visit worked out anew where that was asked for."""

    entry: Entry
    revision: int
    drawn: DrawnVisit | None = None
