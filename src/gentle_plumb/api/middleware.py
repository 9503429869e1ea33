"""What every call passes, in front of all else: its name, headers, and what is said when all else fails.

Plain ASGI, since each call pays for it.
"""

from __future__ import annotations

import traceback
from uuid import uuid4

import structlog
from starlette.datastructures import MutableHeaders
from starlette.requests import Request
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from ..core.language import msg
from ..schemas.problem import Problem
from .problems import answer

_HEADERS = {
    "Content-Security-Policy": "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'; style-src 'self' 'unsafe-inline'; "
    "img-src 'self' data: blob:; frame-ancestors 'none'; base-uri 'none'; form-action 'self'",
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "no-referrer",
    "Cross-Origin-Opener-Policy": "same-origin",
    "Permissions-Policy": "camera=(self), microphone=(), geolocation=(), payment=(), usb=()",
}
HTTPS_ONLY_S = 365 * 86_400
"""How long a browser that came by HTTPS comes by nothing else, s. Source: RFC 6797."""
_log = structlog.get_logger("gentle_plumb")


class RequestIds:
    """Gives every call a name of its own: in the audit log, in the log, and in its answer."""

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


class ErrorHandling:
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
                title=msg("The server failed"),
                status=500,
                detail=msg(
                    "Something went wrong on the server. Nothing you entered on this page is lost."
                ),
            )
            await answer(Request(scope), problem)(scope, receive, send)


def _places(error: BaseException) -> list[str]:
    """Where an error came through, the deepest last: file, line and function, nothing else."""
    frames = traceback.extract_tb(error.__traceback__)
    return [f"{frame.filename.rsplit('/', 1)[-1]}:{frame.lineno} {frame.name}" for frame in frames][
        -8:
    ]
