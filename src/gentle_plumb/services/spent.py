"""What the time of a call was spent on, for the log: the database, papers. The rest is the program's own."""

from __future__ import annotations

import time
from collections.abc import Iterator
from contextlib import contextmanager
from contextvars import ContextVar
from typing import Literal

Kind = Literal["database", "papers"]
_SPENT: ContextVar[dict[Kind, float] | None] = ContextVar("spent", default=None)


@contextmanager
def counting() -> Iterator[dict[Kind, float]]:
    """Count what is spent within, s by kind; also on the threads that the call is handed to."""
    spent: dict[Kind, float] = {"database": 0.0, "papers": 0.0}
    token = _SPENT.set(spent)
    try:
        yield spent
    finally:
        _SPENT.reset(token)


def add(kind: Kind, seconds: float) -> None:
    """Add time to what the present call has spent; nothing where nobody counts."""
    spent = _SPENT.get()
    if spent is not None:
        spent[kind] += seconds


@contextmanager
def spending(kind: Kind) -> Iterator[None]:
    """Add the time of the block to what the present call has spent."""
    begun = time.perf_counter()
    try:
        yield
    finally:
        add(kind, time.perf_counter() - begun)
