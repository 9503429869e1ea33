"""All routes. Each hands over to a service and gives its answer a shape."""

from __future__ import annotations

from typing import Annotated, Any, Literal
from uuid import UUID

from fastapi import APIRouter, Query, Request, Response
from fastapi.concurrency import run_in_threadpool
from pydantic import BaseModel, Field
from sqlalchemy import text

from ..core.body import DIMENSIONS
from ..core.drawing import SceneRequest, body_map
from ..core.drawing.inks import INKS
from ..core.intake import CONSENTS, REGIONS, SIGNS, URGENCY
from ..core.intake.regions import MAP_H, MAP_W
from ..core.observed import HABITS, LIGHT_TASKS, ROOM
from ..core.photo import LANDMARKS
from ..core.record import FAMILIES, FIELDS, PIECES, STEPS
from ..core.record.fields import SKIPS
from ..core.sources import SOURCES
from ..core.units import LengthUnit
from ..core.workstation.shelf import SHELF
from ..documents import CaseDocument
from ..documents.case_format import ResultDocument, result_document
from ..documents.darkroom import MOST_BYTES, too_large
from . import schemas as s
from .gate import COOKIE, Signed, check_origin
from .problems import Problem

PROBLEMS: dict[int | str, dict[str, Any]] = {
    code: {"model": Problem, "description": words,
           "content": {"application/problem+json": {}}}
    for code, words in ((401, "Not signed in"), (403, "Not allowed"), (404, "Not found"),
                        (409, "Conflict"), (422, "Bad value"))
}  # fmt: skip

public = APIRouter(prefix="/api", tags=["open"])
router = APIRouter(prefix="/api", tags=["practice"], responses=PROBLEMS)

Unit = Annotated[LengthUnit, Query(description="Unit of every number shown.")]
Copy = Annotated[Literal["client", "workplace"], Query(description="Whose copy.")]


class View(BaseModel):
    """What of a visit is looked at: unit, size and content of the drawing."""

    unit: LengthUnit = "cm"
    width: Annotated[float, Field(ge=300, le=4000)] = 860
    height: Annotated[float, Field(ge=300, le=4000)] = 700
    mode: Literal["both", "seated", "standing", "overlay"] = "both"
    show: Literal["found", "target", "left"] = "target"
    tape: Annotated[str | None, Field(max_length=60)] = None
    layer: Literal["heights", "habits", "measuring"] = "heights"
    body: Annotated[bool, Query(description="With the body, dimension by dimension.")] = True
    plans: Annotated[bool, Query(description="With all three plans.")] = False
    grips: Annotated[bool, Query(description="With rings to turn parts by.")] = False
    draw: bool = False

    def scene(self) -> SceneRequest:
        """What to draw."""
        return SceneRequest(**self.model_dump(exclude={"draw", "body", "plans"}))


def _services(request: Request) -> Any:
    return request.app.state.services


@public.get("/health")
def health(request: Request) -> dict[str, str]:
    """Whether server and database answer."""
    with _services(request).engine.connect() as connection:
        connection.execute(text("select 1"))
    return {"status": "ok"}


@public.get("/welcome")
def welcome(request: Request) -> s.Welcome:
    """What the sign-in page shows; credentials only in demo mode."""
    return s.Welcome(demo=_services(request).demo_people)


@public.post("/session", responses={401: PROBLEMS[401], 422: PROBLEMS[422],
                                    429: {"model": Problem}})  # fmt: skip
def sign_in(request: Request, response: Response, given: s.SignIn) -> s.Me:
    """Sign in: sets the session cookie."""
    check_origin(request)
    services = _services(request)
    token, session, member = services.accounts.sign_in(given.email, given.password)
    response.set_cookie(
        COOKIE, token, httponly=True, secure=services.secure_cookie, samesite="strict",
        path="/", expires=session.expires_at,
    )  # fmt: skip
    practice = services.accounts.practice(member)
    return s.Me(name=member.name, title=member.title, email=member.email, role=member.role,
                practice=practice.name, unit=practice.unit, csrf=session.csrf)  # fmt: skip


@router.delete("/session", status_code=204)
def sign_out(request: Request, response: Response, who: Signed) -> None:
    """Sign out."""
    _services(request).accounts.sign_out(who.session)
    response.delete_cookie(COOKIE, path="/")


@router.get("/me")
def me(who: Signed) -> s.Me:
    """Who is signed in, and the CSRF token."""
    return s.Me(name=who.member.name, title=who.member.title, email=who.member.email,
                role=who.member.role, practice=who.practice.name, unit=who.practice.unit,
                csrf=who.session.csrf)  # fmt: skip


@router.get("/members")
def members(request: Request, who: Signed) -> list[s.MemberOut]:
    """Everybody in the practice."""
    return [s.MemberOut.of(member) for member in _services(request).accounts.members(who.member)]


@router.post("/members", status_code=201)
def add_member(request: Request, who: Signed, given: s.MemberIn) -> s.MemberOut:
    """Let somebody in; owners only."""
    made = _services(request).accounts.add_member(who.member, **given.model_dump())
    return s.MemberOut.of(made)


@router.get("/fields")
def fields(who: Signed) -> s.Fields:
    """The fields of a visit: labels, kinds, ranges, choices; and the drawing's inks."""
    return s.Fields(
        steps=STEPS,
        fields=list(FIELDS.values()),
        families=list(FAMILIES.values()),
        pieces=list(PIECES.values()),
        kinds=list(SHELF.values()),
        signs=list(SIGNS.values()),
        urgencies={str(id): words for id, words in URGENCY.items()},
        consents=list(CONSENTS.values()),
        map_width=MAP_W,
        map_height=MAP_H,
        map_marks=list(body_map()),
        regions=list(REGIONS.values()),
        habits=list(HABITS.values()),
        room=list(ROOM.values()),
        light=[s.LightTask(id=id, label=label, least=least, most=most)
               for id, (label, least, most) in LIGHT_TASKS.items()],
        landmarks=list(LANDMARKS.values()),
        dimensions=[s.DimensionOut.of(entry) for entry in DIMENSIONS.values()],
        skips=SKIPS,
        picture_bytes=MOST_BYTES,
        inks=INKS,
        sources={key: f"{source.title}. {source.note}" for key, source in SOURCES.items()},
    )  # fmt: skip


@router.get("/clients")
def clients(request: Request, who: Signed) -> list[s.ClientOut]:
    """All clients of the practice."""
    return [
        s.ClientOut(id=client.id, name=client.name, sex=client.sex, work=client.work)
        for client in _services(request).visits.clients(who.member)
    ]


@router.post("/clients", status_code=201)
def add_client(request: Request, who: Signed, given: s.ClientIn) -> s.ClientOut:
    """A new client."""
    made = _services(request).visits.add_client(who.member, **given.model_dump())
    return s.ClientOut(id=made.id, name=made.name, sex=made.sex, work=made.work)


@router.get("/visits")
def visits(request: Request, who: Signed) -> list[s.VisitLineOut]:
    """All visits, the latest first."""
    return [s.VisitLineOut.of(line) for line in _services(request).visits.visits(who.member)]


@router.post("/visits", status_code=201)
def start_visit(request: Request, who: Signed, given: s.VisitIn) -> s.VisitOut:
    """Start a visit."""
    services = _services(request)
    made = services.visits.start(who.member, given.client_id)
    return _visit_out(services.visits.open(who.member, made.id))


def _visit_out(opened: Any) -> s.VisitOut:
    return s.VisitOut(
        id=opened.visit.id,
        client=s.ClientOut(**{name: getattr(opened.client, name)
                              for name in s.ClientOut.model_fields}),
        started_on=opened.visit.started_on,
        revision=opened.visit.revision,
        entries={entry.path: entry for entry in opened.entries},
        reports=[s.ReportOut.of(report, opened.visit.revision) for report in opened.reports],
        photos=[s.PhotoOut.of(photo) for photo in opened.photos],
    )  # fmt: skip


@router.get("/visits/{visit_id}")
def visit(request: Request, who: Signed, visit_id: UUID) -> s.VisitOut:
    """A visit with its entries and signed versions."""
    return _visit_out(_services(request).visits.open(who.member, visit_id))


def _drawn(request: Request, who: Signed, visit_id: UUID, view: View) -> s.WorkedOut:
    visits = _services(request).visits
    working, workup = visits.worked(
        who.member, visit_id, view.unit, body=view.body, plans=view.plans, history=view.tape
    )
    return s.WorkedOut.of(workup, visits.scene(workup, view.scene()), working.visit.revision)


def _written(answer: BaseModel) -> Response:
    """Written out at once: checking our own numbers again would cost more than working them out."""
    return Response(answer.model_dump_json(), media_type="application/json")


@router.put("/visits/{visit_id}/changes/{change_id}", response_model=s.ChangeOut)
def change(
    request: Request,
    who: Signed,
    visit_id: UUID,
    change_id: UUID,
    given: s.ChangeIn,
    view: Annotated[View, Query()],
) -> Response:
    """Apply one change. Sent twice it counts once; on a stale version it answers 409.

    With ``draw`` the answer carries the visit worked out anew, which spares a second call.
    """
    entry, revision = _services(request).visits.change(
        who.member, visit_id, change_id=change_id, **given.model_dump()
    )
    worked = _drawn(request, who, visit_id, view) if view.draw else None
    return _written(s.ChangeOut(entry=entry, revision=revision, worked=worked))


@router.get("/visits/{visit_id}/worked", response_model=s.WorkedOut)
def worked(
    request: Request, who: Signed, visit_id: UUID, view: Annotated[View, Query()]
) -> Response:
    """The visit worked out and drawn, every text in the unit asked for."""
    return _written(_drawn(request, who, visit_id, view))


@router.get("/visits/{visit_id}/report")
def draft(request: Request, who: Signed, visit_id: UUID, unit: Unit = "cm") -> s.Draft:
    """What the report would say now, and what a signature still waits for."""
    services = _services(request)
    content, missing = services.reports.draft(who.member, who.practice, visit_id, unit)
    return s.Draft(
        content=content, missing=[{"field": path, "detail": words} for path, words in missing]
    )


@router.get("/visits/{visit_id}/report.pdf", response_class=Response,
            responses={200: {"content": {"application/pdf": {}}}})  # fmt: skip
def draft_pdf(request: Request, who: Signed, visit_id: UUID, unit: Unit = "cm",
              copy: Copy = "client") -> Response:  # fmt: skip
    """The draft as PDF; the workplace's copy only with the client's consent to it."""
    pdf = _services(request).reports.draft_pdf(who.member, who.practice, visit_id, unit, copy)
    return _pdf(pdf, "draft.pdf")


@router.post("/visits/{visit_id}/reports", status_code=201)
def sign(request: Request, who: Signed, visit_id: UUID, unit: Unit = "cm") -> s.ReportOut:
    """Sign: freezes the report as the next version."""
    report = _services(request).reports.sign(who.member, who.practice, visit_id, unit)
    return s.ReportOut.of(report, report.revision)


@router.get("/reports/{report_id}.pdf", response_class=Response,
            responses={200: {"content": {"application/pdf": {}}}})  # fmt: skip
def report_pdf(request: Request, who: Signed, report_id: UUID, copy: Copy = "client") -> Response:
    """A signed report, byte for byte as signed; or the workplace's copy of it, with consent."""
    report, pdf = _services(request).reports.pdf(who.member, report_id, copy)
    tail = "" if copy == "client" else "-workplace"
    return _pdf(pdf, f"assessment-v{report.number}{tail}.pdf")


def _pdf(pdf: bytes, name: str) -> Response:
    return Response(
        pdf, media_type="application/pdf",
        headers={"Content-Disposition": f'inline; filename="{name}"'},
    )  # fmt: skip


PICTURE: dict[str, Any] = {
    "requestBody": {"required": True,
                    "content": {"image/*": {"schema": {"type": "string", "format": "binary"}}}}
}  # fmt: skip


@router.put("/visits/{visit_id}/photos/{photo_id}", openapi_extra=PICTURE)
async def add_photo(request: Request, who: Signed, visit_id: UUID, photo_id: UUID) -> s.PhotoOut:
    """Keep a photograph, sent as it is: upright and without metadata from here on.

    The id is made on the page; sent twice it counts once.
    """
    picture, size = bytearray(), 0
    async for chunk in request.stream():
        size += len(chunk)
        if size <= MOST_BYTES:
            picture += chunk
        elif size > 8 * MOST_BYTES:
            break  # a browser hears the refusal only once it has sent all; but there is an end
    if size > MOST_BYTES:
        raise too_large(size)
    photos = _services(request).photos
    kept = await run_in_threadpool(photos.add, who.member, visit_id, photo_id, bytes(picture))
    return s.PhotoOut.of(kept)


@router.get("/photos/{photo_id}.jpg", response_class=Response,
            responses={200: {"content": {"image/jpeg": {}}}})  # fmt: skip
def photo(request: Request, who: Signed, photo_id: UUID) -> Response:
    """A photograph, only within its practice."""
    _, jpeg = _services(request).photos.picture(who.member, photo_id)
    return Response(jpeg, media_type="image/jpeg")


@router.delete("/photos/{photo_id}", status_code=204)
def drop_photo(request: Request, who: Signed, photo_id: UUID) -> None:
    """Erase a photograph and the points on it."""
    _services(request).photos.drop(who.member, photo_id)


@router.get("/shelf")
def shelf(request: Request, who: Signed) -> list[s.ShelfOut]:
    """The practice's own pieces and shared workstations."""
    return [s.ShelfOut.of(item) for item in _services(request).shelf.items(who.member)]


@router.post("/shelf", status_code=201)
def add_to_shelf(request: Request, who: Signed, given: s.ShelfIn) -> s.ShelfOut:
    """Keep a piece or a workstation."""
    return s.ShelfOut.of(_services(request).shelf.add(who.member, **given.model_dump()))


@router.put("/shelf/{item_id}")
def change_on_shelf(request: Request, who: Signed, item_id: UUID,
                    given: s.ShelfChange) -> s.ShelfOut:  # fmt: skip
    """Change one upon its version; on a stale version it answers 409 with what is there."""
    made = _services(request).shelf.change(who.member, item_id, **given.model_dump())
    return s.ShelfOut.of(made)


@router.delete("/shelf/{item_id}", status_code=204)
def drop_from_shelf(request: Request, who: Signed, item_id: UUID) -> None:
    """Take one off the shelf; visits keep what they took from it."""
    _services(request).shelf.drop(who.member, item_id)


@router.post("/light-meter/readings", responses={503: {"model": Problem}})
def read_light(request: Request, who: Signed) -> s.LuxOut:
    """Ask the light meter near the desk for one reading."""
    read = _services(request).light_meter.read()
    return s.LuxOut(lux=read.lux, warning=read.warning)


@router.post("/fit")
def fit_case(who: Signed, case: CaseDocument) -> ResultDocument:
    """Work out a case that is not kept."""
    return result_document(case)
