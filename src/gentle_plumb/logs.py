"""The log: one line of JSON for each request and job, and no noise that strangers can make at will."""

from __future__ import annotations

import logging
import sys
import time
from typing import TextIO

import structlog

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


def set_up_logs(out: TextIO | None = None) -> None:
    """Write the log as lines of JSON, or in colour where somebody watches a terminal.

    Parameters
    ----------
    out : text file, optional
        Where to; the standard error without one.

    """
    out = out or sys.stderr
    watched = out.isatty()
    structlog.configure(
        processors=[
            structlog.processors.add_log_level,
            structlog.processors.TimeStamper(fmt="iso", utc=True, key="time"),
            structlog.dev.ConsoleRenderer()
            if watched
            else structlog.processors.JSONRenderer(ensure_ascii=False),
        ],
        wrapper_class=structlog.make_filtering_bound_logger(logging.INFO),
        logger_factory=structlog.PrintLoggerFactory(out),
        cache_logger_on_first_use=False,
    )


def limit_noise() -> None:
    """Limit what uvicorn says of requests it can't read."""
    log = logging.getLogger("uvicorn.error")
    if not any(isinstance(filter_, Quiet) for filter_ in log.filters):
        log.addFilter(Quiet())
