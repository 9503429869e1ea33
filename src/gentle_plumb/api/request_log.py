"""One line in the log for each call: what it was, how it went and how long it took, with nothing of anybody."""

from __future__ import annotations

import time
from collections.abc import Mapping

import structlog
from starlette.types import Scope

from ..routes.route import SignedIn
from ..services.spent import Kind

SLOW_S = 1.0
"""A call that takes longer is a warning, s. House value."""
MOST_A_MINUTE = 20
"""So many warnings of one route a minute; what is past them is a line like any other. House value."""
_log = structlog.get_logger("gentle_plumb")


class RequestLog:
    """Tells of each call by its route; of those that were slow or answered 5xx as warnings, so many a minute."""

    def __init__(self) -> None:
        self._lately: dict[str, tuple[float, int]] = {}

    def tell(
        self, scope: Scope, route: str, status: int, took: float, spent: Mapping[Kind, float]
    ) -> None:
        """Say how a call went.

        Parameters
        ----------
        scope : Scope
        route : str
            Its own path, which names nobody.
        status : int
        took : float
            How long it took in all, s.
        spent : mapping
            Of that on what, s.

        """
        state = scope.get("state", {})
        who = state.get("who")
        facts = {
            "request": state.get("request_id", ""),
            "member": str(who.member.id) if isinstance(who, SignedIn) else None,
            "method": scope["method"],
            "route": route,
            "status": status,
            "ms": round(took * 1000),
            **{f"{kind}_ms": round(seconds * 1000) for kind, seconds in spent.items()},
        }
        unwell = took >= SLOW_S or status >= 500
        if unwell and self._may_warn(f"{scope['method']} {route}"):
            _log.warning("slow" if status < 500 else "answered", **facts)
        else:
            _log.info("answered", **facts)

    def _may_warn(self, key: str) -> bool:
        """Whether one more warning of a route may be given this minute."""
        now = time.monotonic()
        since, count = self._lately.get(key, (now, 0))
        if now - since >= 60:
            since, count = now, 0
        self._lately[key] = (since, count + 1)
        return count < MOST_A_MINUTE
