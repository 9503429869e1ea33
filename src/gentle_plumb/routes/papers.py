"""The papers: drafts, letters, cards, signed versions and their copies."""

from __future__ import annotations

from datetime import date
from typing import Annotated
from uuid import UUID

from pydantic import Field

from ..core.language import language_of, msg
from ..core.record import fields
from ..documents.day_calendar import day_calendar as calendar_of
from ..schemas.client import Signature
from ..schemas.common import PlaceId
from ..services.errors import NotFound
from ..services.models import ReportHead
from ..services.papers import Copy
from .route import Caller, FileAnswer, FileBody, Needs, Routes
from .services import Services
from .visits import Unit

MOST_FORM_BYTES = 8 * 2**20
"""A form that came back is smaller: ours has some 60 kB. House value."""
RowSubject = Annotated[
    str, Field(pattern="^[a-z_0-9]{1,40}$", description="The red flag’s or the condition’s name.")
]
WhichCopy = Annotated[Copy, Field(description="Which copy.")]
PDF = "application/pdf"

PAPER_ROUTES = Routes("papers", within_s=None)
get, post, put = PAPER_ROUTES.get, PAPER_ROUTES.post, PAPER_ROUTES.put


def _pdf(content: bytes, name: str) -> FileAnswer:
    return FileAnswer(content=content, media=PDF, name=name, inline=True)


@get("/visits/{visit_id}/report.pdf", Needs.MEMBER, audit=("print", "draft"), media=PDF)
def draft_pdf(
    to: Services, who: Caller, visit_id: UUID, unit: Unit = "cm", copy: WhichCopy = "client"
) -> FileAnswer:
    """The draft as PDF; the workplace's copy only with the client's consent to it."""
    pdf = to.reports.draft_pdf(who.member, who.practice, visit_id, unit, copy)
    return _pdf(pdf, "draft.pdf")


@get("/visits/{visit_id}/card.pdf", Needs.HEALTH, audit=("print", msg("target card")), media=PDF)
def card_pdf(to: Services, who: Caller, visit_id: UUID, unit: Unit = "cm") -> FileAnswer:
    """The target card: the numbers to come back to; for all who share the workstation."""
    return _pdf(to.reports.card(who.member, who.practice, visit_id, unit), "target-card.pdf")


@get(
    "/visits/{visit_id}/letters/{about}.pdf",
    Needs.HEALTH,
    audit=("print", msg("letter to a clinician")),
    media=PDF,
)
def letter_pdf(
    to: Services, who: Caller, visit_id: UUID, about: RowSubject, unit: Unit = "cm"
) -> FileAnswer:
    """The letter to a clinician for a red flag or a condition that is there."""
    return _pdf(to.reports.letter(who.member, who.practice, visit_id, about, unit), "letter.pdf")


@put("/visits/{visit_id}/reports/{report_id}", Needs.WRITER_WITH_HEALTH, audit=("sign", "report"))
def sign(
    to: Services,
    who: Caller,
    visit_id: UUID,
    report_id: UUID,
    signature: Signature,
    unit: Unit = "cm",
) -> ReportHead:
    """Sign: freezes the report as the next version. Sent twice it counts once.

    What is signed is the visit at the revision that was looked at; it answers 409 if it moved on.
    """
    return to.reports.sign(
        who.member, who.practice, visit_id, unit, report_id=report_id, revision=signature.revision
    )


@get("/reports/{report_id}.pdf", Needs.MEMBER, audit=("print", msg("signed report")), media=PDF)
def report_pdf(
    to: Services,
    who: Caller,
    report_id: UUID,
    copy: WhichCopy = "client",
    marked: Annotated[bool, Field(description="With a line on every page once replaced.")] = False,
) -> FileAnswer:
    """A copy of a signed report, byte for byte as signed; the workplace's only with consent."""
    if marked:
        report, pdf = to.reports.marked_pdf(who.member, who.practice, report_id, copy)
    else:
        report, pdf = to.reports.pdf(who.member, report_id, copy)
    tail = "" if copy == "client" else f"-{copy}"
    return _pdf(pdf, f"assessment-v{report.number}{tail}.pdf")


@get(
    "/reports/{report_id}/request.pdf",
    Needs.MEMBER,
    audit=("print", msg("request to the workplace")),
    media=PDF,
)
def request_form(to: Services, who: Caller, report_id: UUID) -> FileAnswer:
    """What is asked of the workplace as a PDF form: a box for each thing, name and day; only with consent."""
    report, pdf = to.reports.request_form(who.member, report_id)
    return _pdf(pdf, f"request-v{report.number}.pdf")


@post(
    "/reports/{report_id}/request-answers",
    Needs.WRITER,
    audit=("read", msg("workplace’s answers")),
    file=FileBody(MOST_FORM_BYTES),
)
def request_answers(to: Services, who: Caller, report_id: UUID, raw: bytes) -> dict[str, str]:
    """Read a form of a request that came back: its answers by path, for the page to enter. Nothing is changed."""
    return to.reports.request_answers(who.member, report_id, raw)


@get(
    "/visits/{visit_id}/day.ics", Needs.HEALTH, audit=("export", "calendar"), media="text/calendar"
)
def day_calendar(to: Services, who: Caller, visit_id: UUID, place: PlaceId = "main") -> FileAnswer:
    """The working day as a calendar file: quiet, and without a word about health."""
    opened, results = to.visits.results(who.member, visit_id, "cm", body=False, place=place)
    if results.day is None:
        raise NotFound(msg("Record hours by task first."))
    due = results.record[fields.report.follow_up]
    calendar = calendar_of(
        results.day,
        key=str(visit_id),
        visited_on=opened.visit.started_on,
        follow_up=date.fromisoformat(due) if due else None,
        walks=results.case.person.walks,
        moves=results.movement_times,
        language=language_of(
            str(results.record[fields.report.client_language] or who.member.language or "en")
        ),
    )
    return FileAnswer(content=calendar, media="text/calendar", name="working-day.ics")
