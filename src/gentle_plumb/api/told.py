"""One line in the log for each call that was slow or that the server failed: by route, with nothing of anybody."""

from __future__ import annotations

import time

import structlog
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from ..services.spent import counting

SLOW_S = 1.0
"""A call that takes longer is told, s. House value."""
MOST_A_MINUTE = 20
"""So many lines of one route a minute; the next one then says how many there were. House value."""
_log = structlog.get_logger("gentle_plumb")


class Told:
    """Tells of calls that took more than a second, and of those answered 5xx: where their time went."""

    def __init__(self, app: ASGIApp, *, slow_s: float = SLOW_S) -> None:
        self.app, self.slow_s = app, slow_s
        self._lately: dict[str, tuple[float, int]] = {}

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return
        begun, status = time.perf_counter(), 500

        async def watched(message: Message) -> None:
            nonlocal status
            if message["type"] == "http.response.start":
                status = message["status"]
            await send(message)

        with counting() as spent:
            try:
                await self.app(scope, receive, watched)
            finally:
                took = time.perf_counter() - begun
                if took >= self.slow_s or status >= 500:
                    self._tell(scope, status, took, spent["database"], spent["papers"])

    def _tell(self, scope: Scope, status: int, took: float, database: float, papers: float) -> None:
        route = getattr(scope.get("route"), "path", "none")
        unsaid = self._unsaid(f"{scope['method']} {route}")
        if unsaid is None:
            return
        _log.warning(
            "slow" if status < 500 else "answered",
            request=scope.get("state", {}).get("request_id", ""),
            method=scope["method"],
            route=route,
            status=status,
            ms=round(took * 1000),
            database_ms=round(database * 1000),
            papers_ms=round(papers * 1000),
            **({"unsaid": unsaid} if unsaid else {}),
        )

    def _unsaid(self, key: str) -> int | None:
        """How many lines were left out since the last one; None where this one is left out too."""
        now = time.monotonic()
        since, count = self._lately.get(key, (now, 0))
        if now - since >= 60:
            self._lately[key] = (now, 1)
            return max(0, count - MOST_A_MINUTE)
        self._lately[key] = (since, count + 1)
        return 0 if count < MOST_A_MINUTE else None
