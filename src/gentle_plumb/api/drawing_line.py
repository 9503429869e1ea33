"""Visits are worked out and drawn in a line of their own, so that nothing typed waits behind a drawing.

Where many type at once a change is acknowledged without its drawing and says so: the page then draws it itself, or
asks for it once more, and what it has given up by then is not drawn.
"""

from __future__ import annotations

from collections.abc import Callable
from time import monotonic
from typing import TypeVar
from uuid import UUID

from anyio import CapacityLimiter, to_thread
from fastapi import Request

Made = TypeVar("Made")
AT_ONCE = 1
"""So many are drawn at once in one process: more would only take turns. House value."""
FEW, LATELY_S = 5, 2.0
"""Up to so many visits that asked for drawings within so long, s, wait for each other's. House values."""

BUSY = "X-Plumb-Busy"
"""Header of a change that came without its drawing: the revision the visit has now."""

_line = CapacityLimiter(AT_ONCE)
_hands = CapacityLimiter(AT_ONCE)
_asked: dict[UUID, float] = {}
"""When each visit's drawing was last asked for in this process."""


def note(visit_id: UUID) -> None:
    """Note that a visit's drawing is wanted."""
    now = monotonic()
    _asked[visit_id] = now
    for one in [one for one, at in _asked.items() if at < now - LATELY_S]:
        del _asked[one]


def is_quiet() -> bool:
    """Whether so few drawings are wanted that a change may wait for its own."""
    return len(_asked) <= FEW and _line.statistics().tasks_waiting <= FEW


async def drawn(work: Callable[[], Made]) -> Made:
    """Draw in one's turn."""
    async with _line:
        return await to_thread.run_sync(work, limiter=_hands)


async def drawn_if_wanted(request: Request, work: Callable[[], Made]) -> Made | None:
    """Draw in one's turn; None where whoever asked has given up by then."""
    async with _line:
        if await request.is_disconnected():
            return None
        return await to_thread.run_sync(work, limiter=_hands)
