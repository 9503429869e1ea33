"""What is done later, by workers."""

from __future__ import annotations

from datetime import datetime
from typing import Protocol


class JobQueue(Protocol):
    """The queue, looked at."""

    def counts(self) -> dict[tuple[str, str], int]:
        """Return how many jobs there are, by queue and state."""

    def worker_heard(self) -> datetime | None:
        """Return when a worker last reported; None where none ever has."""
