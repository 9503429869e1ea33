"""What every call passes, in front of all else: size, headers, and what is said when all else fails.

Plain ASGI, since each call pays for it.
"""

from __future__ import annotations

import asyncio
import traceback
from collections.abc import Mapping
from uuid import uuid4

import structlog
from starlette.datastructures import Headers, MutableHeaders
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from ..schemas.problem import Problem
from .problems import AGAIN, TOO_SLOW, answer

MOST_JSON_BYTES = 1_000_000
"""A form, a change, a case: nothing a person types is near it. House value."""

_HEADERS = {
    "Content-Security-Policy": "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'; style-src 'self' 'unsafe-inline'; "
    "img-src 'self' data: blob:; frame-ancestors 'none'; base-uri 'none'; form-action 'self'",
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "no-referrer",
    "Cross-Origin-Opener-Policy": "same-origin",
    "Permissions-Policy": "camera=(self), microphone=(), geolocation=(), payment=(), usb=()",
}
PATIENCE_S = 15.0
"""So long the application may take to begin an answer, s: five times the slowest plan. House value."""
LONG = (".pdf", ".zip", ".csv", "/photos/", "/reports/", "/exchange")
"""Parts of paths whose answers take their time."""
HTTPS_ONLY_S = 365 * 86_400
"""How long a browser that came by HTTPS comes by nothing else, s. Source: RFC 6797."""
_log = structlog.get_logger("gentle_plumb")


class RequestIds:
    """Gives every call a name of its own: in the trail, in the log, and in its answer."""

    def __init__(self, app: ASGIApp) -> None:
        self.app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return
        name = uuid4().hex
        scope.setdefault("state", {})["request_id"] = name

        async def named(message: Message) -> None:
            if message["type"] == "http.response.start":
                MutableHeaders(scope=message)["X-Request-Id"] = name
            await send(message)

        await self.app(scope, receive, named)


class SecurityHeaders:
    """Adds the security headers to every answer, also to those about errors."""

    def __init__(self, app: ASGIApp) -> None:
        self.app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        async def with_headers(message: Message) -> None:
            if message["type"] == "http.response.start":
                headers = MutableHeaders(scope=message)
                headers.update(_HEADERS)
                if scope["path"].startswith("/api"):
                    headers["Cache-Control"] = "no-store"
                if scope["scheme"] == "https":
                    headers["Strict-Transport-Security"] = f"max-age={HTTPS_ONLY_S}"
            await send(message)

        await self.app(scope, receive, with_headers if scope["type"] == "http" else send)


class Failures:
    """Answers a failure of the server with a problem, and logs where it was, not what was sent.

    What was typed can stand in the message of an error, so messages are not logged.
    """

    def __init__(self, app: ASGIApp) -> None:
        self.app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return
        begun = False

        async def watched(message: Message) -> None:
            nonlocal begun
            begun = begun or message["type"] == "http.response.start"
            await send(message)

        try:
            await self.app(scope, receive, watched)
        except Exception as error:
            route = scope.get("route")
            _log.error(
                "failed",
                request=scope.get("state", {}).get("request_id", ""),
                method=scope["method"],
                route=getattr(route, "path", "unknown"),
                error=type(error).__name__,
                at=_places(error),
            )
            if begun:
                raise ConnectionAbortedError from None
            problem = Problem(
                type="failed",
                title="The server failed",
                status=500,
                detail="Something went wrong on the server. Nothing you typed is lost on this page.",
            )
            await answer(problem)(scope, receive, send)


def _places(error: BaseException) -> list[str]:
    """Where an error came through, the deepest last: file, line and function, nothing else."""
    frames = traceback.extract_tb(error.__traceback__)
    return [f"{frame.filename.rsplit('/', 1)[-1]}:{frame.lineno} {frame.name}" for frame in frames][
        -8:
    ]


class Patience:
    """Answers for the application where it does not: a database that is frozen keeps nobody waiting for ever.

    What was begun goes on by itself; sent again, a change counts once.
    """

    def __init__(self, app: ASGIApp, *, patience_s: float = PATIENCE_S) -> None:
        self.app, self.patience_s = app, patience_s
        self._left: set[asyncio.Task[None]] = set()

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] != "http" or _takes_long(scope):
            await self.app(scope, receive, send)
            return
        begun = over = False

        async def watched(message: Message) -> None:
            nonlocal begun
            if over:
                return
            begun = True
            await send(message)

        task = asyncio.ensure_future(self.app(scope, receive, watched))
        await asyncio.wait({task}, timeout=self.patience_s)
        if task.done() or begun:
            await task
            return
        over = True
        self._left.add(task)
        task.add_done_callback(self._forget)
        await answer(TOO_SLOW, AGAIN)(scope, receive, send)

    def _forget(self, task: asyncio.Task[None]) -> None:
        self._left.discard(task)
        if not task.cancelled():
            task.exception()  # nobody is there to be told


def _takes_long(scope: Scope) -> bool:
    """Whether a call makes papers, takes files or erases: those take their time."""
    path: str = scope["path"]
    return scope["method"] in ("POST", "DELETE") or any(part in path for part in LONG)


class BodyLimit:
    """Refuses a body that is too long before it is read to its end.

    ``streamed`` are beginnings and ends of paths whose route reads its body itself, with a limit
    of its own.
    """

    def __init__(self, app: ASGIApp, *, streamed: Mapping[str, str]) -> None:
        self.app, self.streamed = app, streamed

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] != "http" or self._streamed(scope["path"]):
            await self.app(scope, receive, send)
            return
        told = Headers(scope=scope).get("content-length", "")
        if told.isdigit() and int(told) > MOST_JSON_BYTES:
            await _too_long()(scope, receive, send)
            return
        read = 0

        async def counted() -> Message:
            nonlocal read
            message = await receive()
            read += len(message.get("body", b""))
            if read > MOST_JSON_BYTES:
                raise _TooLong
            return message

        try:
            await self.app(scope, counted, send)
        except _TooLong:
            await _too_long()(scope, receive, send)

    def _streamed(self, path: str) -> bool:
        return any(
            path.startswith(start) and end in path[len(start) :]
            for start, end in self.streamed.items()
        )


class _TooLong(BaseException):
    """No Exception, so that nothing between takes it for an unreadable body."""


def _too_long() -> ASGIApp:
    return answer(
        Problem(
            type="too-long",
            title="Too much at once",
            status=413,
            detail=f"The request has more than {MOST_JSON_BYTES / 1e6:.0f} MB, the most that is "
            "taken here.",
            high=MOST_JSON_BYTES,
            unit="bytes",
        ),
        {"Connection": "close"},
    )
