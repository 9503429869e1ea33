"""Files that are sent as a request's body."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

from fastapi import Request

from ..services.exchange import too_long

FILE: dict[str, Any] = {
    "requestBody": {
        "required": True,
        "content": {"application/octet-stream": {"schema": {"type": "string", "format": "binary"}}},
    }
}
"""How a route says that its body is a file."""


async def read_body(
    request: Request, most: int, refused: Callable[[int, int], Exception] = too_long
) -> bytes:
    """Read a body no further than a file may be long; raises what ``refused`` makes of a longer one."""
    held, size = bytearray(), 0
    async for chunk in request.stream():
        size += len(chunk)
        if size <= most:
            held += chunk
        elif size > 8 * most:
            break  # a browser hears the refusal only once it has sent all; but there is an end
    if size > most:
        raise refused(size, most)
    return bytes(held)
