"""A tape or a height rod that is asked over a socket (docs/formats/length-instruments.md)."""

from __future__ import annotations

import re
from typing import Literal

from ..core.choices import one_of
from ..core.language import joined, msg
from ..core.units import UNITS, LengthUnit
from ..services.errors import NoAnswer
from ..services.models import InstrumentReading, InstrumentState
from .line import ask

LOW_BATTERY = 15
"""From this percentage on the practitioner is told. House value."""
_WHO = re.compile(r"WHO (tape|rod) unit=(mm|cm|in) battery=(\d{1,3})")
_UNIT = re.compile(r"OK unit=(mm|cm|in)")
_READING = re.compile(r"READING (\d{1,5}(?:\.\d{1,3})?) (mm|cm|in)(?: battery=(\d{1,3}))?")
NAMES = {"tape": "tape", "rod": msg("height rod")}


class SocketInstrument:
    """The Instrument port over a socket. ``address`` is ``host:port``; empty: there is none."""

    def __init__(self, id: Literal["tape", "rod"], address: str) -> None:
        self._id, self._address = id, address

    @property
    def _name(self) -> str:
        if not self._address:
            raise NoAnswer(msg("No {names} connected. Type in the reading.", names=NAMES[self._id]))
        return NAMES[self._id]

    def state(self) -> InstrumentState:
        """Ask what it is set to; raises NoAnswer."""
        match, _ = ask(self._address, "WHO", _WHO, name=self._name)
        battery = int(match[3])
        low = (
            msg("Its battery is at {battery} %.", battery=battery)
            if battery <= LOW_BATTERY
            else None
        )
        unit = one_of(UNITS, match[2]) or "mm"  # the pattern lets no other through
        return InstrumentState(
            id=self._id, name=NAMES[self._id], unit=unit, battery=battery, warning=low
        )

    def set_unit(self, unit: LengthUnit) -> InstrumentState:
        """Set its unit; raises NoAnswer."""
        ask(self._address, f"UNIT {unit}", _UNIT, name=self._name)
        return self.state()

    def read(self, *, subject: str, dimension: str, near: float | None = None) -> InstrumentReading:
        """Take one reading, in whatever unit it is set to; raises NoAnswer."""
        about = f"READ {dimension} {subject}" + (f" near={near:.0f}" if near is not None else "")
        match, noise = ask(self._address, about, _READING, name=self._name)
        warnings = []
        if noise:
            warnings.append(msg("The signal was unclear: check the reading."))
        if match[3] is not None and int(match[3]) <= LOW_BATTERY:
            warnings.append(msg("Its battery is at {int} %.", int=int(match[3])))
        unit = one_of(UNITS, match[2]) or "mm"  # the pattern lets no other through
        return InstrumentReading(amount=match[1], unit=unit, warning=joined(" ", warnings) or None)
