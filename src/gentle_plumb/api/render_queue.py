"""Visits are worked out and drawn in a queue of their own, so that nothing typed waits behind a drawing.

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

from ..routes.route import Drawing
from .metrics import DRAWINGS_LEFT

T = TypeVar("T")
AT_ONCE = 1
"""So many are drawn at once in one process: more would only take turns. House value."""
FEW, LATELY_S = 5, 2.0
"""Up to so many visits that asked for drawings within so long, s, wait for each other's. House values."""
BUSY = "X-Plumb-Busy"
"""Header of a change that came without its drawing: the revision the visit has now."""

_queue = CapacityLimiter(AT_ONCE)
_threads = CapacityLimiter(AT_ONCE)
_asked: dict[UUID, float] = {}
"""When each visit's drawing was last asked for in this process."""


def _note(visit_id: UUID) -> None:
    """Note that a visit's drawing is wanted."""
    now = monotonic()
    _asked[visit_id] = now
    for id in [id for id, asked_at in _asked.items() if asked_at < now - LATELY_S]:
        del _asked[id]


def _is_quiet() -> bool:
    """Whether so few drawings are wanted that a change may wait for its own."""
    return len(_asked) <= FEW and _queue.statistics().tasks_waiting <= FEW


async def drawn(
    request: Request, drawing: Drawing[T], write: Callable[[T], bytes]
) -> tuple[bytes | None, int | None]:
    """An answer drawn in its turn and written; None where whoever asked has given up by then.

    Where many drawings are wanted a change comes without its own, and with the revision it led to.
    """
    _note(drawing.visit_id)
    if drawing.without is not None and not _is_quiet():
        DRAWINGS_LEFT.inc()
        return write(drawing.without), drawing.revision
    async with _queue:
        if drawing.without is None and await request.is_disconnected():
            return None, None
        written = await to_thread.run_sync(lambda: write(drawing.draw()), limiter=_threads)
    return written, None
