"""Routes of a client as a whole: out as an archive, in from one."""

from __future__ import annotations

from typing import Annotated
from uuid import UUID

from fastapi import APIRouter, Query, Request, Response
from fastapi.concurrency import run_in_threadpool

from .. import schemas as s
from ..services.archives import MOST_BYTES
from .auth import Signed, With
from .bodies import FILE, read_body
from .problems import PROBLEMS
from .traced import TracedRoute

archive_router = APIRouter(
    prefix="/api", tags=["clients"], responses=PROBLEMS, route_class=TracedRoute
)


@archive_router.get(
    "/clients/{client_id}/archive.zip",
    response_class=Response,
    responses={200: {"content": {"application/zip": {}}}},
)
def export_client(services: With, who: Signed, client_id: UUID) -> Response:
    """A client whole: every visit, photograph and signed paper as open files in one archive."""
    client, archive = services.archives.export(who.member, client_id)
    return Response(
        archive,
        media_type="application/zip",
        headers={"Content-Disposition": f'attachment; filename="client-{client.id}.zip"'},
    )


@archive_router.post("/clients/archive", status_code=201, openapi_extra=FILE)
async def import_client(
    request: Request,
    services: With,
    who: Signed,
    agreed: Annotated[bool, Query(description="The client agrees to the records being kept here.")],
) -> s.ClientOut:
    """Import a client from such an archive, as a new one; refused whole where anything is wrong."""
    raw = await read_body(request, MOST_BYTES)
    made = await run_in_threadpool(services.archives.take_in, who.member, raw, agreed=agreed)
    return s.ClientOut.of(made)
