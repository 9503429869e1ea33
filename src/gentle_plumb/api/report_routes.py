"""Routes of the papers: drafts, letters, cards, signed versions and their copies."""

from __future__ import annotations

from typing import Annotated, Literal
from uuid import UUID

from fastapi import APIRouter, Path, Query, Request, Response
from fastapi.concurrency import run_in_threadpool

from .. import schemas as s
from ..core.units import LengthUnit
from .auth import Signed, With
from .bodies import FILE, read_body
from .problems import PROBLEMS
from .traced import TracedRoute

report_router = APIRouter(
    prefix="/api", tags=["practice"], responses=PROBLEMS, route_class=TracedRoute
)

MOST_FORM_BYTES = 8 * 2**20
"""A form that came back is smaller: ours has some 60 kB. House value."""
Unit = Annotated[LengthUnit, Query(description="Unit of every number shown.")]
About = Annotated[
    str, Path(pattern="^[a-z_0-9]{1,40}$", description="The red flag's or the condition's name.")
]
Copy = Annotated[Literal["client", "workplace", "record"], Query(description="Which copy.")]


@report_router.get("/visits/{visit_id}/report")
def draft(services: With, who: Signed, visit_id: UUID, unit: Unit = "cm") -> s.Draft:
    """What the report would say now, and what a signature still waits for."""
    return s.Draft.of(services.reports.draft(who.member, who.practice, visit_id, unit))


@report_router.get(
    "/visits/{visit_id}/report.pdf",
    response_class=Response,
    responses={200: {"content": {"application/pdf": {}}}},
)
def draft_pdf(
    services: With, who: Signed, visit_id: UUID, unit: Unit = "cm", copy: Copy = "client"
) -> Response:
    """The draft as PDF; the workplace's copy only with the client's consent to it."""
    pdf = services.reports.draft_pdf(who.member, who.practice, visit_id, unit, copy)
    return _pdf(pdf, "draft.pdf")


@report_router.get(
    "/visits/{visit_id}/card.pdf",
    response_class=Response,
    responses={200: {"content": {"application/pdf": {}}}},
)
def card_pdf(services: With, who: Signed, visit_id: UUID, unit: Unit = "cm") -> Response:
    """The target card: the numbers to come back to; for all who share the workstation."""
    return _pdf(services.reports.card(who.member, who.practice, visit_id, unit), "target-card.pdf")


@report_router.get(
    "/visits/{visit_id}/letters/{about}.pdf",
    response_class=Response,
    responses={200: {"content": {"application/pdf": {}}}},
)
def letter_pdf(
    services: With, who: Signed, visit_id: UUID, about: About, unit: Unit = "cm"
) -> Response:
    """The letter to a clinician for a red flag or a condition that is there."""
    pdf = services.reports.letter(who.member, who.practice, visit_id, about, unit)
    return _pdf(pdf, "letter.pdf")


@report_router.post("/reports/{report_id}/request-answers", openapi_extra=FILE)
async def request_answers(
    request: Request, services: With, who: Signed, report_id: UUID
) -> dict[str, str]:
    """Read a form of a request that came back: its answers by path, for the page to enter. Nothing is changed."""
    raw = await read_body(request, MOST_FORM_BYTES)
    return await run_in_threadpool(services.reports.request_answers, who.member, report_id, raw)


@report_router.put("/visits/{visit_id}/reports/{report_id}")
def sign(
    services: With,
    who: Signed,
    visit_id: UUID,
    report_id: UUID,
    given: s.SignatureIn,
    unit: Unit = "cm",
) -> s.ReportOut:
    """Sign: freezes the report as the next version. Sent twice it counts once.

    What is signed is the visit at the revision that was looked at; it answers 409 if it moved on.
    """
    report = services.reports.sign(
        who.member, who.practice, visit_id, unit, report_id=report_id, revision=given.revision
    )
    return s.ReportOut.of(report, report.revision)


@report_router.get(
    "/reports/{report_id}.pdf",
    response_class=Response,
    responses={200: {"content": {"application/pdf": {}}}},
)
def report_pdf(
    services: With,
    who: Signed,
    report_id: UUID,
    copy: Copy = "client",
    marked: Annotated[bool, Query(description="With a line on every page once replaced.")] = False,
) -> Response:
    """A copy of a signed report, byte for byte as signed; the workplace's only with consent."""
    if marked:
        report, pdf = services.reports.marked_pdf(who.member, who.practice, report_id, copy)
    else:
        report, pdf = services.reports.pdf(who.member, report_id, copy)
    tail = "" if copy == "client" else f"-{copy}"
    return _pdf(pdf, f"assessment-v{report.number}{tail}.pdf")


@report_router.get(
    "/reports/{report_id}/request.pdf",
    response_class=Response,
    responses={200: {"content": {"application/pdf": {}}}},
)
def request_form(services: With, who: Signed, report_id: UUID) -> Response:
    """What is asked of the workplace as a PDF form: a box for each thing, name and day; only with consent."""
    report, pdf = services.reports.request_form(who.member, report_id)
    return _pdf(pdf, f"request-v{report.number}.pdf")


def _pdf(pdf: bytes, name: str) -> Response:
    return Response(
        pdf,
        media_type="application/pdf",
        headers={"Content-Disposition": f'inline; filename="{name}"'},
    )
