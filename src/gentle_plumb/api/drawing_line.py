"""Visits are worked out and drawn in a line of their own, so that nothing typed waits behind a drawing.

Where many type at once a change is acknowledged without its drawing; the page asks for that by itself, and what it
has given up by then is not drawn.
"""

from __future__ import annotations

from collections.abc import Callable
from typing import TypeVar
from uuid import UUID

from anyio import CapacityLimiter, to_thread
from fastapi import Request

Made = TypeVar("Made")
AT_ONCE = 1
"""So many are drawn at once in one process: more would only take turns. House value."""

_line = CapacityLimiter(AT_ONCE)
_hands = CapacityLimiter(AT_ONCE)


_at_work: UUID | None = None
"""Whose drawing is made now."""


def is_free(visit_id: UUID) -> bool:
    """Whether a drawing asked for now is begun at once, or right after one of the same visit."""
    mine = _at_work == visit_id and _line.statistics().tasks_waiting == 0
    return _line.available_tokens >= 1 or mine


async def _made(visit_id: UUID, work: Callable[[], Made]) -> Made:
    global _at_work  # noqa: PLW0603  # one line a process, and its limiter sees to it
    _at_work = visit_id
    return await to_thread.run_sync(work, limiter=_hands)


async def drawn(visit_id: UUID, work: Callable[[], Made]) -> Made:
    """Draw in one's turn."""
    async with _line:
        return await _made(visit_id, work)


async def drawn_if_wanted(
    request: Request, visit_id: UUID, work: Callable[[], Made]
) -> Made | None:
    """Draw in one's turn; None where whoever asked has given up by then."""
    async with _line:
        if await request.is_disconnected():
            return None
        return await _made(visit_id, work)
