"""An electric desk that is asked over a socket, one line each way (docs/formats/desk-controllers.md)."""

from __future__ import annotations

import re

from ..core.language import msg, numeral
from ..services.errors import NoAnswer
from ..services.models import DeskMotion, DeskState
from .line import ask

_WHO = re.compile(r"WHO desk low=(\d{3,4}) high=(\d{3,4}) presets=(\d{1,2})")
_AT = re.compile(r"AT (\d{3,4})")
_MOTION = re.compile(r"(AT|MOVING) (\d{3,4})")
_SAVED = re.compile(r"SAVED (\d{1,2}) (\d{3,4})")
_PRESET = re.compile(r"PRESET (\d{1,2}) (\d{3,4}|empty)")
_HIT = re.compile(r"hit something at (\d{3,4}) and went back to (\d{3,4})")
NAME = "desk"
AT_ITS_KEYS = msg("Check its height, then hold the button again, or use the desk’s own controls.")


class SocketDesk:
    """The DeskController port over a socket. ``address`` is ``host:port``; empty: there is none."""

    def __init__(self, address: str) -> None:
        self._address = address

    def _ask(self, line: str, wanted: re.Pattern[str]) -> re.Match[str]:
        if not self._address:
            raise NoAnswer(msg("No electric desk connected. Use the desk’s own controls."))
        try:
            return ask(self._address, line, wanted, name=NAME, otherwise=AT_ITS_KEYS)[0]
        except NoAnswer as error:
            hit = _HIT.search(str(error))
            if hit is None:
                raise
            at, back = (msg("{int} cm", int=numeral(f"{int(mm) / 10:.1f}")) for mm in hit.groups())
            raise NoAnswer(
                msg(
                    "The desk hit something at {at} and went back to {back}. Clear the area, press Stop, then hold again.",
                    at=at,
                    back=back,
                )
            ) from None

    def state(self) -> DeskState:
        """Ask for range, keys and height; raises NoAnswer."""
        who = self._ask("WHO", _WHO)
        match = self._ask("POSITION", _AT)
        return DeskState(
            low=float(who[1]), high=float(who[2]), presets=int(who[3]), at=float(match[1])
        )

    def hold(self, target: float) -> DeskMotion:
        """Tell it to go on towards a height of its display, mm; it stops by itself where this is not repeated.

        Raises NoAnswer where it refuses, hit something, or the line broke.
        """
        match = self._ask(f"HOLD {target:.0f}", _MOTION)
        return DeskMotion(at=float(match[2]), moving=match[1] == "MOVING")

    def stop(self) -> DeskMotion:
        """Stop at once; raises NoAnswer."""
        return DeskMotion(at=float(self._ask("STOP", _AT)[1]), moving=False)

    def save(self, key: int) -> float:
        """Save where it stands on a key, and read it back: the height, mm.

        Raises NoAnswer, also where what is read back is another height.
        """
        saved = self._ask(f"SAVE {key}", _SAVED)
        held = self._ask(f"PRESET {key}", _PRESET)
        if held[2] != saved[2]:
            raise NoAnswer(
                msg(
                    "The desk saved {saved} on key {key}, but it holds {held}.",
                    saved=saved[2],
                    key=key,
                    held=held[2],
                )
            )
        return float(held[2])
