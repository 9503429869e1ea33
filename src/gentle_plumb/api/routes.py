"""All routes. Each hands over to a service and gives its answer a shape."""

from __future__ import annotations

from typing import Annotated, Any
from uuid import UUID

from fastapi import APIRouter, Query, Request, Response
from fastapi.concurrency import run_in_threadpool
from pydantic import BaseModel

from .. import schemas as s
from ..core.body import DIMENSIONS
from ..core.drawing import INKS, body_chart
from ..core.intake import CONSENTS, MAP_H, MAP_W, RED_FLAGS, REGIONS, URGENCY
from ..core.observation import HABITS, LIGHT_TASKS, ROOM
from ..core.photo import LANDMARKS
from ..core.record import FAMILIES, FIELDS, PIECES, SHELF, STEPS, paths_of
from ..core.record.fields.measure import Skip
from ..core.sources import SOURCES
from ..core.units import LengthUnit
from ..documents import CaseDocument
from ..documents.case_result import ResultDocument, result_document
from ..documents.image_processor import MOST_BYTES, too_large
from ..schemas.problem import Problem
from ..services.follow_ups import Since
from ..services.models import Entry
from ..services.visit_lists import ListQuery
from . import drawing_line, metrics
from .auth import Signed, With
from .bodies import read_body
from .problems import PROBLEMS
from .traced import TracedRoute

router = APIRouter(prefix="/api", tags=["practice"], responses=PROBLEMS, route_class=TracedRoute)

Unit = Annotated[LengthUnit, Query(description="Unit of every number shown.")]


@router.get("/fields")
def fields(who: Signed) -> s.Fields:
    """The fields of a visit: labels, kinds, ranges, choices; and the drawing's inks."""
    return s.Fields(
        steps=STEPS,
        fields=[s.FieldOut.model_validate(field) for field in FIELDS.values()],
        families=[s.FieldOut.model_validate(field) for field in FAMILIES.values()],
        pieces=[
            s.PieceOut(id=one.id, label=one.label, paths=paths_of(one.id))
            for one in PIECES.values()
        ],
        kinds=list(SHELF.values()),
        signs=list(RED_FLAGS.values()),
        urgencies={str(id): words for id, words in URGENCY.items()},
        consents=list(CONSENTS.values()),
        map_width=MAP_W,
        map_height=MAP_H,
        map_marks=list(body_chart()),
        regions=list(REGIONS.values()),
        habits=list(HABITS.values()),
        room=list(ROOM.values()),
        light=[
            s.LightTask(id=id, label=label, least=least, most=most)
            for id, (label, least, most) in LIGHT_TASKS.items()
        ],
        landmarks=list(LANDMARKS.values()),
        dimensions=[s.DimensionOut.of(entry) for entry in DIMENSIONS.values()],
        skips=Skip.labels(),
        picture_bytes=MOST_BYTES,
        inks=INKS,
        sources={key: f"{source.title}. {source.note}" for key, source in SOURCES.items()},
    )


Words = Annotated[
    str, Query(alias="q", max_length=200, description="What words of name or job begin with.")
]
Offset = Annotated[int, Query(ge=0, le=2_000_000_000, description="How many rows come before.")]


@router.get("/clients")
def clients(
    services: With, who: Signed, words: Words = "", id: UUID | None = None, offset: Offset = 0
) -> list[s.ClientOut]:
    """Clients by name, a hundred at a time; those that are looked for, or one alone."""
    query = ListQuery(words=words, client_id=id, offset=offset)
    return [s.ClientOut.in_list(one) for one in services.visits.clients(who.member, query)]


@router.post("/clients", status_code=201)
def add_client(services: With, who: Signed, given: s.ClientIn) -> s.ClientOut:
    """A new client; sent twice it is one."""
    return s.ClientOut.of(services.visits.add_client(who.member, **given.model_dump()))


@router.put("/clients/{client_id}")
def change_client(
    services: With, who: Signed, client_id: UUID, given: s.ClientChange
) -> s.ClientOut:
    """Correct a client upon its version; on a stale version it answers 409 with what is there."""
    made = services.visits.change_client(who.member, client_id, **given.model_dump())
    return s.ClientOut.of(made)


@router.get("/visits")
def visits(
    services: With,
    who: Signed,
    words: Words = "",
    client_id: UUID | None = None,
    mine: bool = False,
    offset: Offset = 0,
) -> list[s.VisitLineOut]:
    """Visits that are looked for, or one client's, the latest first, a hundred at a time; else what Today shows."""
    query = ListQuery(
        words=words, client_id=client_id, member_id=who.member.id if mine else None, offset=offset
    )
    lines = services.visits.visits(who.member, query, who.practice)
    return [s.VisitLineOut.of(line) for line in lines]


@router.post("/visits", status_code=201)
def start_visit(services: With, who: Signed, given: s.VisitIn) -> s.VisitOut:
    """Start a visit; sent twice it is one. A follow-up begins with what is known."""
    if given.from_visit is not None:
        made = services.follow_ups.begin(
            who.member, who.practice, given.from_visit, id=given.id, client_id=given.client_id
        )
    else:
        made = services.visits.start(who.member, who.practice, given.client_id, id=given.id)
    return s.VisitOut.of(services.visits.open(who.member, made.id))


@router.get("/visits/{visit_id}/since")
def since(services: With, who: Signed, visit_id: UUID, unit: Unit = "cm") -> Since | None:
    """What has become of the client since their visit before; nothing for a first one."""
    return services.follow_ups.since(who.member, visit_id, unit)


@router.delete("/visits/{visit_id}", status_code=204)
def drop_visit(services: With, who: Signed, visit_id: UUID) -> None:
    """Delete a visit in which nothing is typed yet."""
    services.drafts.drop(who.member, visit_id)


@router.put("/visits/{visit_id}/discarded", status_code=204)
def discard_visit(services: With, who: Signed, visit_id: UUID, given: s.DiscardIn) -> None:
    """Throw a draft away, or take it back within 30 days."""
    if given.discarded:
        services.drafts.discard(who.member, visit_id)
    else:
        services.drafts.restore(who.member, visit_id)


@router.get("/visits/{visit_id}")
def visit(services: With, who: Signed, visit_id: UUID) -> s.VisitOut:
    """A visit with its entries and signed versions."""
    return s.VisitOut.of(services.visits.open(who.member, visit_id))


def _drawn(services: With, who: Signed, visit_id: UUID, view: s.View) -> s.VisitWorkup:
    visits = services.visits
    working, workup = visits.worked(
        who.member,
        visit_id,
        view.unit,
        body=view.body,
        plans=view.plans,
        history=view.tape,
        place=view.place,
    )
    return s.VisitWorkup.of(workup, visits.scene(workup, view.scene()), working.visit.revision)


def _written(answer: BaseModel) -> Response:
    """Written out at once: checking our own numbers again would cost more than working them out."""
    return Response(answer.model_dump_json(), media_type="application/json")


@router.put("/visits/{visit_id}/changes/{change_id}", response_model=s.ChangeOut)
async def change(
    services: With,
    who: Signed,
    visit_id: UUID,
    change_id: UUID,
    given: s.ChangeIn,
    view: Annotated[s.View, Query()],
) -> Response:
    """Apply one change. Sent twice it counts once; on a stale version it answers 409.

    With ``draw`` the answer carries the visit worked out anew, which spares a second call; where many ask at once
    it comes without, and its header ``X-Plumb-Busy`` says which revision the page may draw itself.
    """

    def changed() -> tuple[Entry, int]:
        return services.visits.change(
            who.member, visit_id, change_id=change_id, **given.model_dump()
        )

    entry, revision = await run_in_threadpool(changed)
    if not view.draw:
        return _written(s.ChangeOut(entry=entry, revision=revision))
    drawing_line.note(visit_id)
    if not drawing_line.is_quiet():
        answer = _written(s.ChangeOut(entry=entry, revision=revision))
        answer.headers[drawing_line.BUSY] = str(revision)
        metrics.DRAWINGS_LEFT.inc()
        return answer

    def answered() -> Response:
        worked = _drawn(services, who, visit_id, view)
        return _written(s.ChangeOut(entry=entry, revision=revision, worked=worked))

    return await drawing_line.drawn(answered)


@router.get("/visits/{visit_id}/worked", response_model=s.VisitWorkup)
async def worked(
    request: Request, services: With, who: Signed, visit_id: UUID, view: Annotated[s.View, Query()]
) -> Response:
    """The visit worked out and drawn, every text in the unit asked for."""
    drawing_line.note(visit_id)
    made = await drawing_line.drawn_if_wanted(
        request, lambda: _written(_drawn(services, who, visit_id, view))
    )
    return made or Response(status_code=204)


PICTURE: dict[str, Any] = {
    "requestBody": {
        "required": True,
        "content": {"image/*": {"schema": {"type": "string", "format": "binary"}}},
    }
}


@router.put("/visits/{visit_id}/photos/{photo_id}", openapi_extra=PICTURE)
async def add_photo(
    request: Request, services: With, who: Signed, visit_id: UUID, photo_id: UUID
) -> s.PhotoOut:
    """Keep a photograph, sent as it is: upright and without metadata from here on.

    The id is made on the page; sent twice it counts once.
    """
    photos = services.photos
    await run_in_threadpool(photos.may_add, who.member, visit_id)
    picture = await read_body(request, MOST_BYTES, lambda size, _: too_large(size))
    kept = await run_in_threadpool(photos.add, who.member, visit_id, photo_id, picture)
    return s.PhotoOut.of(kept)


@router.get(
    "/photos/{photo_id}.jpg",
    response_class=Response,
    responses={200: {"content": {"image/jpeg": {}}}},
)
def photo(services: With, who: Signed, photo_id: UUID) -> Response:
    """A photograph, only within its practice."""
    _, jpeg = services.photos.picture(who.member, photo_id)
    return Response(jpeg, media_type="image/jpeg")


@router.delete("/photos/{photo_id}", status_code=204)
def drop_photo(services: With, who: Signed, photo_id: UUID) -> None:
    """Erase a photograph and the points on it."""
    services.photos.drop(who.member, photo_id)


@router.get("/shelf")
def shelf(services: With, who: Signed) -> list[s.ShelfOut]:
    """The practice's own pieces and shared workstations."""
    return [s.ShelfOut.of(item) for item in services.shelf.items(who.member)]


@router.post("/shelf", status_code=201)
def add_to_shelf(services: With, who: Signed, given: s.ShelfIn) -> s.ShelfOut:
    """Keep a piece or a workstation."""
    return s.ShelfOut.of(services.shelf.add(who.member, **given.model_dump()))


@router.put("/shelf/{item_id}")
def change_on_shelf(services: With, who: Signed, item_id: UUID, given: s.ShelfChange) -> s.ShelfOut:
    """Change one upon its version; on a stale version it answers 409 with what is there."""
    made = services.shelf.change(who.member, item_id, **given.model_dump())
    return s.ShelfOut.of(made)


@router.delete("/shelf/{item_id}", status_code=204)
def drop_from_shelf(services: With, who: Signed, item_id: UUID) -> None:
    """Take one off the shelf; visits keep what they took from it."""
    services.shelf.drop(who.member, item_id)


@router.post("/light-meter/readings", responses={503: {"model": Problem}})
def read_light(services: With, who: Signed) -> s.LuxOut:
    """Ask the light meter near the desk for one reading."""
    read = services.light_meter.read()
    return s.LuxOut(lux=read.lux, warning=read.warning)


@router.post("/fit")
def fit_case(who: Signed, case: CaseDocument) -> ResultDocument:
    """Work out a case that is not kept."""
    return result_document(case)
