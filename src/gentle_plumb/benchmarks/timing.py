"""Timing of rounds."""

from __future__ import annotations

import time
from collections.abc import Callable


def timed(work: Callable[[], object], rounds: int) -> list[float]:
    """Milliseconds of each round, after three to warm up."""
    for _ in range(3):
        work()
    spent = []
    for _ in range(rounds):
        start = time.perf_counter()
        work()
        spent.append((time.perf_counter() - start) * 1000)
    return spent


def p95(values: list[float]) -> float:
    """The 95th percentile."""
    return sorted(values)[max(0, round(0.95 * len(values)) - 1)]
