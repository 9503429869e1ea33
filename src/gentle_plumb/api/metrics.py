"""Figures for Prometheus: calls by route, how long they took, and what waits in the queue. Nothing of anybody."""

from __future__ import annotations

import hmac
import os
import time

from fastapi import APIRouter, HTTPException, Request, Response
from prometheus_client import (
    CONTENT_TYPE_LATEST,
    REGISTRY,
    CollectorRegistry,
    Counter,
    Gauge,
    Histogram,
    generate_latest,
)
from prometheus_client.core import GaugeMetricFamily
from prometheus_client.multiprocess import MultiProcessCollector
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from ..services.spent import counting
from .auth import services_of
from .request_log import RequestLog

metrics_router = APIRouter(prefix="/api", tags=["operation"])
SEVERAL = "PROMETHEUS_MULTIPROC_DIR"
"""Where the processes of one server put their figures together, where there are several."""

CALLS = Counter("plumb_calls", "Calls by route and status", ["method", "route", "status"])
DRAWINGS_LEFT = Counter(
    "plumb_drawings_left", "Changes acknowledged without their drawing, as many were asked for"
)
SECONDS = Histogram(
    "plumb_call_seconds",
    "How long calls took, s",
    ["method", "route"],
    buckets=(0.005, 0.01, 0.025, 0.05, 0.1, 0.2, 0.5, 1, 2.5, 5, 10),
)
SPENT = Counter(
    "plumb_spent_seconds", "What the time of calls went into: the database, papers, s", ["on"]
)
POOL = Gauge(
    "plumb_pool_in_use",
    "Database connections in use, of pool_size in each process",
    multiprocess_mode="livesum",
)
POOL_SIZE = Gauge(
    "plumb_pool_size", "Database connections there may be", multiprocess_mode="livesum"
)


class Measured:
    """Counts each call by its route's own path, which names nobody, and times it; the log is told of it."""

    def __init__(self, app: ASGIApp) -> None:
        self.app, self._log = app, RequestLog()

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
                route = getattr(scope.get("route"), "path", "none")
                method = scope["method"] if route != "none" else "any"
                CALLS.labels(method, route, str(status)).inc()
                SECONDS.labels(method, route).observe(took)
                for kind, seconds in spent.items():
                    SPENT.labels(kind).inc(seconds)
                _look_at_pool(scope)
                self._log.tell(scope, route, status, took, spent)


def _look_at_pool(scope: Scope) -> None:
    """Note how many connections others hold just now; the call's own is back by then."""
    app = scope.get("app")
    pool = app.state.services.database.pool() if app is not None else None
    if pool is not None:
        POOL.set(pool.checkedout())
        POOL_SIZE.set(pool.size())


@metrics_router.get("/metrics", include_in_schema=False)
def metrics(request: Request) -> Response:
    """Every figure as text, for who brings the token of the settings; there is no such page without one."""
    services = services_of(request)
    token = services.metrics_token
    text = request.headers.get("authorization", "").removeprefix("Bearer ")
    if not token or not hmac.compare_digest(text.encode(), token.encode()):
        raise HTTPException(404, "No such address.")
    registry = REGISTRY
    if os.environ.get(SEVERAL):
        registry = CollectorRegistry()
        MultiProcessCollector(registry)  # type: ignore[no-untyped-call]
    waiting = CollectorRegistry()
    waiting.register(_Queue(services.queue.counts()))
    waiting.register(_Ages(services.system_status.ages()))
    return Response(
        generate_latest(registry) + generate_latest(waiting), media_type=CONTENT_TYPE_LATEST
    )


class _Queue:
    """Jobs by queue and state; those that failed for good are the dead letters."""

    def __init__(self, counts: dict[tuple[str, str], int]) -> None:
        self._counts = counts

    def collect(self) -> list[GaugeMetricFamily]:
        jobs = GaugeMetricFamily("plumb_jobs", "Jobs by queue and state", labels=["queue", "state"])
        for names, count in self._counts.items():
            jobs.add_metric(names, count)
        return [jobs]


class _Ages:
    """How long ago something last went well, s; nothing of what never has."""

    def __init__(self, ages: dict[str, float]) -> None:
        self._ages = ages

    def collect(self) -> list[GaugeMetricFamily]:
        says = {
            "worker": "Since the queue’s worker last reported, s",
            "backup": "Since the last backup was made, s",
            "backup_failed": "Since the last try at a backup failed, s; none where it went well",
        }
        return [
            GaugeMetricFamily(f"plumb_{name}_age_seconds", says[name], value=age)
            for name, age in self._ages.items()
        ]
