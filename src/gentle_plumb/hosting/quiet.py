"""Noise in the log: what strangers can have repeated as often as they like is said once a minute."""

from __future__ import annotations

import logging
import time

EVERY_S = 60.0
"""How often the same line is said, s. House value."""


class Quiet(logging.Filter):
    """Lets each line through once a minute; the next one says how many there were meanwhile."""

    def __init__(self) -> None:
        super().__init__()
        self._lately: dict[str, tuple[float, int]] = {}

    def filter(self, record: logging.LogRecord) -> bool:
        """Whether the line is said."""
        words, now = str(record.msg), time.monotonic()
        since, unsaid = self._lately.get(words, (-EVERY_S, 0))
        if now - since < EVERY_S:
            self._lately[words] = (since, unsaid + 1)
            return False
        self._lately[words] = (now, 0)
        if unsaid:
            record.msg = f"{words} ({unsaid} more of these since)"
        return True


def be_quiet() -> None:
    """Limit what uvicorn says of requests it can't read."""
    log = logging.getLogger("uvicorn.error")
    if not any(isinstance(one, Quiet) for one in log.filters):
        log.addFilter(Quiet())
