"""Visits are worked out and drawn in a line of their own, so that nothing typed waits behind a drawing.

Where many type at once a change is acknowledged without its drawing; the page asks for that by itself, and what it
has given up by then is not drawn.
"""

from __future__ import annotations

from collections.abc import Callable
from typing import TypeVar

from anyio import CapacityLimiter, to_thread
from fastapi import Request

Made = TypeVar("Made")
AT_ONCE = 1
"""So many are drawn at once in one process: more would only take turns. House value."""

_line = CapacityLimiter(AT_ONCE)
_hands = CapacityLimiter(AT_ONCE)


def is_free() -> bool:
    """Whether a drawing asked for now is begun at once."""
    return _line.available_tokens >= 1


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
