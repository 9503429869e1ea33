"""A light meter that is asked over a socket, one line each way (docs/formats/light-meter.md)."""

from __future__ import annotations

import re

from ..core.language import msg, numeral
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
            raise NoAnswer(msg("No light meter connected. Type in the reading."))
        match, _ = ask(self._address, "READ", _READING, name=msg("light meter"))
        lux = float(match[1])
        if not DARKEST <= lux <= BRIGHTEST:
            raise NoAnswer(
                msg(
                    "The light meter says {lux} lux, outside {darkest} to {brightest}.",
                    lux=numeral(f"{lux:g}"),
                    darkest=numeral(f"{DARKEST:g}"),
                    brightest=numeral(f"{BRIGHTEST:g}"),
                )
            )
        return LightReading(lux=lux, warning=msg("Its battery is low.") if match[2] else None)
