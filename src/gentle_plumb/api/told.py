"""One line in the log for each call that was slow or that the server failed: by route, with nothing of anybody."""

from __future__ import annotations

import time
from collections.abc import Mapping

import structlog
from starlette.types import Scope

from ..services.spent import Kind

SLOW_S = 1.0
"""A call that takes longer is told, s. House value."""
MOST_A_MINUTE = 20
"""So many lines of one route a minute; the next one then says how many there were. House value."""
_log = structlog.get_logger("gentle_plumb")


class CallLog:
    """Tells of calls that took more than a second, and of those answered 5xx: where their time went."""

    def __init__(self) -> None:
        self._lately: dict[str, tuple[float, int]] = {}

    def tell(
        self, scope: Scope, route: str, status: int, took: float, spent: Mapping[Kind, float]
    ) -> None:
        """Say what is worth saying of a call.

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
        if took < SLOW_S and status < 500:
            return
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
            **{f"{kind}_ms": round(seconds * 1000) for kind, seconds in spent.items()},
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
