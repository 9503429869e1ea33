"""Timing of rounds."""

from __future__ import annotations

import os
import re
import time
from collections.abc import Callable
from pathlib import Path


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


def children_mb() -> list[float]:
    """Memory of every process that this one has started, MB."""
    values = []
    for status in Path("/proc").glob("[0-9]*/status"):
        try:
            text = status.read_text()
        except OSError:
            continue  # it has just ended
        held = re.search(r"VmRSS:\s+(\d+)", text)
        if held and f"PPid:\t{os.getpid()}\n" in text:
            values.append(int(held[1]) / 1024)
    return values
