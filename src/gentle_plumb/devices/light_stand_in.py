"""A simulated light meter: answers as a real one would, with noise, and sometimes badly.

It tells the light of a made-up office: about 320 lux, drifting with passing clouds, each reading
off by up to three in a hundred.
"""

from __future__ import annotations

import random
from math import sin

MIDDLE, CLOUDS, NOISE = 320.0, 60.0, 0.03
"""Light in lux, how far clouds change it, and how far a reading is off. House values."""
LOW_BATTERY_AFTER = 40
"""Readings after which its battery is low. House value."""


class LightStandIn:
    """What a light meter answers; ``trouble`` makes the next answer a bad one.

    ``garbage`` is noise on the line, ``hang_up`` a connection that drops.
    """

    def __init__(self, seed: int = 7) -> None:
        self.trouble: str | None = None
        self._random, self._asked = random.Random(seed), 0  # noqa: S311

    def answer(self, asked: bytes) -> bytes | None:
        """The line for a line; None hangs up."""
        trouble, self.trouble = self.trouble, None
        if trouble == "hang_up":
            return None
        if trouble == "garbage":
            return b"\x00L?X --\n"
        if asked.strip().upper() != b"READ":
            return b"ERR unknown\n"
        self._asked += 1
        light = MIDDLE + CLOUDS * sin(self._asked / 3)
        light *= 1 + self._random.uniform(-NOISE, NOISE)
        low = " LOWBATT" if self._asked > LOW_BATTERY_AFTER else ""
        return f"LUX {light:.0f}{low}\n".encode()
