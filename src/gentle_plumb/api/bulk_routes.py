"""Routes of what takes long: papers of a period as one file, the import of a large archive."""

from __future__ import annotations

from typing import Annotated
from uuid import UUID

from fastapi import APIRouter, Query, Request, Response
from fastapi.concurrency import run_in_threadpool

from ..schemas import access as s
from ..services.archives import MOST_BYTES
from .auth import Signed, With
from .bodies import FILE, read_body
from .problems import PROBLEMS
from .traced import TracedRoute

bulk_router = APIRouter(
    prefix="/api", tags=["clients"], responses=PROBLEMS, route_class=TracedRoute
)


@bulk_router.get("/bulk")
def jobs(services: With, who: Signed) -> list[s.BulkJobOut]:
    """What one has asked workers for, the latest first; after a day it is forgotten."""
    return [s.BulkJobOut.of(one) for one in services.bulk.jobs(who.member)]


@bulk_router.post("/bulk/papers", status_code=202)
def ask_papers(services: With, who: Signed, given: s.PapersIn) -> s.BulkJobOut:
    """Ask for one copy of every paper signed on the days of a period, as one file."""
    return s.BulkJobOut.of(services.bulk.ask_papers(who.member, **given.model_dump()))


@bulk_router.post("/bulk/import", status_code=202, openapi_extra=FILE)
async def ask_import(
    request: Request,
    services: With,
    who: Signed,
    agreed: Annotated[bool, Query(description="The client agrees to the records being kept here.")],
) -> s.BulkJobOut:
    """Have a client's archive imported by a worker: for large ones."""
    raw = await read_body(request, MOST_BYTES)
    made = await run_in_threadpool(services.bulk.ask_import, who.member, raw, agreed=agreed)
    return s.BulkJobOut.of(made)


@bulk_router.get(
    "/bulk/{job_id}.zip",
    response_class=Response,
    responses={200: {"content": {"application/zip": {}}}},
)
def bulk_file(request: Request, services: With, who: Signed, job_id: UUID) -> Response:
    """The file that was made, for who asked for it."""
    file = services.bulk.file(who.member, job_id)
    request.state.clients_out = services.bulk.clients_in(who.practice.id, job_id, file)
    return Response(
        file,
        media_type="application/zip",
        headers={"Content-Disposition": 'attachment; filename="papers.zip"'},
    )


@bulk_router.delete("/bulk/{job_id}", status_code=204)
def drop_job(services: With, who: Signed, job_id: UUID) -> None:
    """Forget a job with its file."""
    services.bulk.drop(who.member, job_id)
