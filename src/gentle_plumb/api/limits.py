"""How much a call may send, and how long its answer may take to begin."""

from __future__ import annotations

import asyncio
from collections.abc import Awaitable, Callable

from fastapi import Request, Response
from starlette.types import Message

from ..core.language import msg, numeral
from ..routes.route import FileBody, Route
from ..schemas.problem import Problem
from .problems import AGAIN, TOO_SLOW, answer

MOST_JSON_BYTES = 1_000_000
"""A form, a change, a case: nothing a person types is near it. House value."""
Handle = Callable[[Request], Awaitable[Response]]


async def read_file(request: Request, body: FileBody) -> bytes:
    """Read a body no further than a file may be long; raises what is said of a longer one."""
    held, size = bytearray(), 0
    async for chunk in request.stream():
        size += len(chunk)
        if size <= body.most:
            held += chunk
        elif size > 8 * body.most:
            break  # a browser hears the refusal only once it has sent all; but there is an end
    if size > body.most:
        raise body.refused(size, body.most)
    return bytes(held)


def with_a_body_limit(route: Route, handle: Handle) -> Handle:
    """Refuse a body that is too long before it is read to its end; files have a limit of their own."""
    if route.file is not None:
        return handle

    async def handled(request: Request) -> Response:
        length = request.headers.get("content-length", "")
        if length.isdigit() and int(length) > MOST_JSON_BYTES:
            return _too_long(request)
        read = 0

        async def counted() -> Message:
            nonlocal read
            message = await request.receive()
            read += len(message.get("body", b""))
            if read > MOST_JSON_BYTES:
                raise _TooLong
            return message

        try:
            return await handle(Request(request.scope, counted, request._send))
        except _TooLong:
            return _too_long(request)

    return handled


class _TooLong(BaseException):
    """No Exception, so that nothing between takes it for an unreadable body."""


def _too_long(request: Request) -> Response:
    return answer(
        request,
        Problem(
            type="too-long",
            title=msg("Too much at once"),
            status=413,
            detail=msg(
                "The request has more than {most_json_bytes} MB, the most that is taken here.",
                most_json_bytes=numeral(f"{MOST_JSON_BYTES / 1000000.0:.0f}"),
            ),
            high=MOST_JSON_BYTES,
            unit="bytes",
        ),
        {"Connection": "close"},
    )


_left: set[asyncio.Task[Response]] = set()
"""What goes on by itself after its caller was told to ask again; kept here so that it is not collected."""


def _forget(task: asyncio.Task[Response]) -> None:
    _left.discard(task)
    if not task.cancelled():
        task.exception()  # nobody is there to be told


def within_its_time(route: Route, handle: Handle) -> Handle:
    """Answer for a handler that does not: a database that is frozen keeps nobody waiting for ever.

    What was begun goes on by itself; sent again, a change counts once.
    """
    if route.within_s is None:
        return handle

    async def handled(request: Request) -> Response:
        task = asyncio.ensure_future(handle(request))
        await asyncio.wait({task}, timeout=route.within_s)
        if task.done():
            return task.result()
        _left.add(task)
        task.add_done_callback(_forget)
        return answer(request, TOO_SLOW, AGAIN)

    return handled
