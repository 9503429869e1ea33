"""What instruments read."""

from __future__ import annotations

from dataclasses import dataclass

from ...core.units import LengthUnit


@dataclass(frozen=True, kw_only=True)
class LightReading:
    """What a light meter says, and what it warns of."""

    lux: float
    warning: str | None = None


@dataclass(frozen=True, kw_only=True)
class InstrumentState:
    """What an instrument says of itself: its unit, battery in percent, what it warns of."""

    id: str
    name: str
    unit: LengthUnit
    battery: int | None
    warning: str | None = None


@dataclass(frozen=True, kw_only=True)
class InstrumentReading:
    """One reading as the instrument showed it, in the unit it is set to."""

    amount: str
    unit: LengthUnit
    warning: str | None = None

    @property
    def typed(self) -> str:
        """As it goes into a field."""
        return f"{self.amount} {self.unit}"


@dataclass(frozen=True, kw_only=True)
class DeskState:
    """An electric desk: range of its display and where it stands, mm; how many keys hold heights."""

    low: float
    high: float
    presets: int
    at: float


@dataclass(frozen=True, kw_only=True)
class DeskMotion:
    """Where a desk stands, mm of its display, and whether it is moving."""

    at: float
    moving: bool
