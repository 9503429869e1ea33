"""A simulated electric desk: moves only while it is told to go on, and refuses as real ones do.

Its display counts in whole millimetres. ``FAULT collision``, ``FAULT drop`` and ``FAULT stuck`` bring a trouble
about at the next move, for trying out.
"""

from __future__ import annotations

import time
from collections.abc import Callable

LOW_MM, HIGH_MM, PRESETS = 580, 1250, 4
"""Range of its display, and how many heights it keeps. House values."""
SPEED_MM_S = 35.0
"""How fast it goes. House value."""
HELD_S = 0.5
"""It stands still so long after the last word to go on. House value."""
BEFORE_HIT_MM, BACK_MM = 60, 20
"""How far it goes before it hits something, and how far it goes back then. House values."""


class DeskStandIn:
    """What an electric desk answers to a line; ``clock`` tells seconds.

    Each so many moves one hits something on its way, where ``fails_each`` says so.
    """

    def __init__(
        self, at: int = 720, clock: Callable[[], float] = time.monotonic, *, fails_each: int = 0
    ) -> None:
        self._at, self._clock = float(at), clock
        self._fails_each, self._moves = fails_each, 0
        self._target: float | None = None
        self._last = 0.0
        self._started = 0.0
        self._fault = ""
        self._hit: tuple[int, int] | None = None
        self._presets: dict[int, int] = {}

    def answer(self, asked: bytes) -> bytes | None:
        """The line for a line; None hangs up."""
        words = asked.decode("ascii", "replace").upper().split()
        self._go_on()
        match words:
            case ["WHO"]:
                return self._line(f"WHO desk low={LOW_MM} high={HIGH_MM} presets={PRESETS}")
            case ["POSITION"]:
                return self._line(f"AT {self._at:.0f}")
            case ["HOLD", target] if target.isdigit():
                return self._hold(int(target))
            case ["STOP"]:
                self._target = self._hit = None
                return self._line(f"AT {self._at:.0f}")
            case [("SAVE" | "PRESET") as what, key] if key.isdigit():
                return self._preset(what, int(key))
            case ["FAULT", ("COLLISION" | "DROP" | "STUCK") as fault]:
                self._fault = fault
                return self._line("OK")
            case _:
                return self._line("ERR unknown command")

    @staticmethod
    def _line(text: str) -> bytes:
        return f"{text}\n".encode()

    def _hold(self, target: int) -> bytes | None:
        if not LOW_MM <= target <= HIGH_MM:
            return self._line(f"ERR {target} is outside {LOW_MM} to {HIGH_MM}")
        if self._hit is not None:
            index, back = self._hit
            return self._line(
                f"ERR it hit something at {index} and went back to {back}; stop first"
            )
        if self._fault == "DROP":
            self._fault, self._target = "", None
            return None
        if self._fault == "STUCK":
            self._fault = ""
            return self._line("ERR its motor does not turn")
        if self._target is None:
            self._started = self._at
            self._moves += 1
            if self._fails_each and self._moves % self._fails_each == 0:
                self._fault = "COLLISION"
        self._target, self._last = float(target), self._clock()
        moving = abs(self._at - target) >= 0.5
        return self._line(f"{'MOVING' if moving else 'AT'} {self._at:.0f}")

    def _go_on(self) -> None:
        """Move as far as it went since it was last asked: no further than it was told to go on."""
        if self._target is None:
            return
        now = self._clock()
        spent = min(now - self._last, HELD_S)
        way = self._target - self._at
        step = min(abs(way), spent * SPEED_MM_S)
        self._at += step if way > 0 else -step
        held = now - self._last <= HELD_S
        self._last = now
        if self._fault == "COLLISION" and abs(self._at - self._started) >= BEFORE_HIT_MM:
            up = self._target > self._started
            index = round(self._at)
            self._at += -BACK_MM if up else BACK_MM
            self._hit, self._fault, self._target = (index, round(self._at)), "", None
        elif not held:
            self._target = None

    def _preset(self, what: str, key: int) -> bytes:
        if not 1 <= key <= PRESETS:
            return self._line(f"ERR there is no key {key}: 1 to {PRESETS}")
        if what == "SAVE":
            self._presets[key] = round(self._at)
            return self._line(f"SAVED {key} {self._presets[key]}")
        held = self._presets.get(key)
        return self._line(f"PRESET {key} {'empty' if held is None else held}")
