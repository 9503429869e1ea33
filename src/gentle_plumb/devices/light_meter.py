"""A light meter that is asked over a socket, one line each way (docs/formats/light-meter.md)."""

from __future__ import annotations

import re

from ..services.errors import NoAnswer
from ..services.models import LightReading
from .line import ask

DARKEST, BRIGHTEST = 0.0, 200_000.0
"""Range of a reading, lux: from dark to full sun. House value."""
_READING = re.compile(r"LUX (\d{1,6}(?:\.\d{1,2})?)(?: (LOWBATT))?")


class SocketLightMeter:
    """The LightMeter port over a socket. ``address`` is ``host:port``; empty: there is none."""

    def __init__(self, address: str) -> None:
        self._address = address

    def read(self) -> LightReading:
        """Ask for one reading.

        Raises
        ------
        NoAnswer
            If nothing listens, the line breaks, it takes over 2 s, or what comes is no reading.

        """
        if not self._address:
            raise NoAnswer("No light meter connected. Type in the reading.")
        match, _ = ask(self._address, "READ", _READING, name="light meter")
        lux = float(match[1])
        if not DARKEST <= lux <= BRIGHTEST:
            raise NoAnswer(
                f"The light meter says {lux:g} lux, outside {DARKEST:g} to {BRIGHTEST:g}."
            )
        return LightReading(lux=lux, warning="Its battery is low." if match[2] else None)
