"""What was worked out for a visit, kept between two requests: for a minute, and never past an erasure."""

from __future__ import annotations

from collections.abc import Callable
from threading import Lock, Timer
from time import monotonic
from uuid import UUID

from ..core.reuse import Reuse

KEPT_S = 60.0
"""How long after its last request a visit's answers are kept, seconds. House value."""
MOST_VISITS = 32
"""Visits whose answers one process keeps. House value."""


def on_a_timer(seconds: float, call: Callable[[], None]) -> None:
    """Call something after a while; the process doesn't wait for it to end."""
    timer = Timer(seconds, call)
    timer.daemon = True
    timer.start()


class VisitReuse:
    """The answers of the visits that are open now, by visit; one for each process.

    A timer lets go of what nobody asks for any more, whether further requests come or not.

    Parameters
    ----------
    most : int
        Visits that are kept, the latest.
    later : callable, optional
        Calls what it is given after so many seconds; None where nothing runs by itself, as in the page.
    clock : callable
        Seconds, never turned back.

    """

    def __init__(
        self,
        *,
        most: int = MOST_VISITS,
        later: Callable[[float, Callable[[], None]], None] | None = on_a_timer,
        clock: Callable[[], float] = monotonic,
    ) -> None:
        self._most, self._later, self._clock = most, later, clock
        self._kept: dict[UUID, tuple[float, UUID, Reuse]] = {}
        self._lock, self._waits = Lock(), False

    def __deepcopy__(self, _: object) -> VisitReuse:
        """Return an empty one: what was worked out belongs to this one alone."""
        return VisitReuse(most=self._most, later=self._later, clock=self._clock)

    def of(self, client_id: UUID, visit_id: UUID) -> Reuse:
        """Return what is kept of a client's visit, empty at first."""
        with self._lock:
            _, _, reuse = self._kept.pop(visit_id, (0.0, client_id, Reuse()))
            self._kept[visit_id] = self._clock(), client_id, reuse
            while len(self._kept) > self._most:
                del self._kept[next(iter(self._kept))]
            self._sweep_later()
        return reuse

    def drop(self, id: UUID) -> None:
        """Let go of a visit, or of all visits of a client: something of theirs is erased."""
        with self._lock:
            kept = self._kept.items()
            self._kept = {visit: held for visit, held in kept if id not in (visit, held[1])}

    def sweep(self) -> None:
        """Let go of what was not asked for lately."""
        with self._lock:
            self._waits = False
            since = self._clock() - KEPT_S
            self._kept = {id: kept for id, kept in self._kept.items() if kept[0] > since}
            if self._kept:
                self._sweep_later()

    def _sweep_later(self) -> None:
        if self._later is not None and not self._waits:
            self._waits = True
            self._later(KEPT_S, self.sweep)
