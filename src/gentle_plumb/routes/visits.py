"""Clients and visits: what is asked of them, with and without network."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Annotated, Any, Protocol
from uuid import UUID

from pydantic import Field

from ..core.language import msg
from ..core.presentation import StackView
from ..core.units import LengthUnit
from ..core.what_if import WhatIfResult
from ..schemas.client import Discarding, NewVisit
from ..schemas.common import PlaceId
from ..schemas.view import View
from ..schemas.visit import ChangeAnswer, EntryChange
from ..schemas.work import DayQuery, StackRequest, WhatIf
from ..services.drafts import DraftService
from ..services.follow_ups import FollowUpService, Since
from ..services.models import ChangedClient, ClientView, ListedClient, NewClient, OpenVisit
from ..services.programmes import ProgrammePage
from ..services.reports import DraftReport, ReportService
from ..services.visit_lists import ListQuery, VisitLineView
from ..services.visits import VisitService
from ..services.working_days import DayPage
from ..services.workup import DrawnVisit
from .route import IN_QUERY, Caller, Drawing, Needs, Routes, ServicesOfRoutes

Words = Annotated[str, Field(max_length=200, description="What words of name or job begin with.")]
Offset = Annotated[int, Field(ge=0, le=2_000_000_000, description="How many rows come before.")]
Unit = Annotated[LengthUnit, Field(description="Unit of every number shown.")]


class Photos(Protocol):
    """What is done with a visit's photographs, here and on a device."""

    def drop(self, member: Any, photo_id: UUID) -> None:
        """Erase one; raises NotFound."""


@dataclass(frozen=True, kw_only=True)
class VisitServices(ServicesOfRoutes):
    """What a visit needs, with and without network."""

    visits: VisitService
    drafts: DraftService
    reports: ReportService
    follow_ups: FollowUpService
    photos: Photos


VISIT_ROUTES = Routes("practice", on_device=True)
get, post, put, delete = (
    VISIT_ROUTES.get,
    VISIT_ROUTES.post,
    VISIT_ROUTES.put,
    VISIT_ROUTES.delete,
)
_READ = ("read", "visit")


@get("/clients", Needs.MEMBER, audit=("read", msg("list of clients")))
def clients(
    to: VisitServices, who: Caller, q: Words = "", id: UUID | None = None, offset: Offset = 0
) -> list[ListedClient]:
    """Clients by name, a hundred at a time; those that are looked for, or one alone."""
    return to.visits.clients(who.member, ListQuery(words=q, client_id=id, offset=offset))


@post("/clients", Needs.OFFICE, audit=("change", "client"), status=201, offline=True)
def add_client(to: VisitServices, who: Caller, client: NewClient) -> ClientView:
    """A new client; sent twice it is one."""
    return to.visits.add_client(who.member, client)


@put("/clients/{client_id}", Needs.OFFICE, audit=("change", "client"))
def change_client(
    to: VisitServices, who: Caller, client_id: UUID, client: ChangedClient
) -> ClientView:
    """Correct a client upon its version; on a stale version it answers 409 with what is there."""
    return to.visits.change_client(who.member, client_id, client)


@get("/visits", Needs.MEMBER, audit=("read", msg("list of visits")))
def visits(
    to: VisitServices,
    who: Caller,
    q: Words = "",
    client_id: UUID | None = None,
    mine: bool = False,
    offset: Offset = 0,
) -> list[VisitLineView]:
    """Visits that are looked for, or one client's, the latest first, a hundred at a time; else what Today shows."""
    by = who.member.id if mine else None
    query = ListQuery(words=q, client_id=client_id, member_id=by, offset=offset)
    return to.visits.visits(who.member, query, who.practice)


@post("/visits", Needs.WRITER, audit=("change", msg("visit begun")), status=201, offline=True)
def start_visit(to: VisitServices, who: Caller, new_visit: NewVisit) -> OpenVisit:
    """Start a visit; sent twice it is one. A follow-up begins with what is known."""
    if new_visit.from_visit is not None:
        visit = to.follow_ups.begin(
            who.member,
            who.practice,
            new_visit.from_visit,
            id=new_visit.id,
            client_id=new_visit.client_id,
        )
    else:
        visit = to.visits.start(who.member, who.practice, new_visit.client_id, id=new_visit.id)
    return to.visits.open(who.member, visit.id)


@get("/visits/{visit_id}/changes-since", Needs.HEALTH, audit=_READ, offline=True)
def since(to: VisitServices, who: Caller, visit_id: UUID, unit: Unit = "cm") -> Since | None:
    """What has become of the client since their visit before; nothing for a first one."""
    return to.follow_ups.since(who.member, visit_id, unit)


@delete("/visits/{visit_id}", Needs.WRITER, audit=("erase", "visit"), status=204, offline=True)
def drop_visit(to: VisitServices, who: Caller, visit_id: UUID) -> None:
    """Delete a visit in which nothing is typed yet."""
    to.drafts.drop(who.member, visit_id)


@put(
    "/visits/{visit_id}/discarded",
    Needs.WRITER,
    audit=("change", msg("draft, discarded or taken back")),
    status=204,
)
def discard_visit(to: VisitServices, who: Caller, visit_id: UUID, discarding: Discarding) -> None:
    """Throw a draft away, or take it back within 30 days."""
    if discarding.discarded:
        to.drafts.discard(who.member, visit_id)
    else:
        to.drafts.restore(who.member, visit_id)


@get("/visits/{visit_id}", Needs.HEALTH, audit=_READ, offline=True)
def visit(to: VisitServices, who: Caller, visit_id: UUID) -> OpenVisit:
    """A visit with its entries and signed versions."""
    return to.visits.open(who.member, visit_id)


def _drawn(to: VisitServices, who: Caller, visit_id: UUID, view: View) -> DrawnVisit:
    _, results = to.visits.results(
        who.member,
        visit_id,
        view.unit,
        body=view.body,
        plans=view.plans,
        history=view.tape,
        place=view.place,
    )
    return results.drawn(view.scene())


@put(
    "/visits/{visit_id}/changes/{change_id}", Needs.WRITER, audit=("change", "visit"), offline=True
)
def change(
    to: VisitServices,
    who: Caller,
    visit_id: UUID,
    change_id: UUID,
    entry_change: EntryChange,
    view: Annotated[View, IN_QUERY],
) -> ChangeAnswer | Drawing[ChangeAnswer]:
    """Apply one change. Sent twice it counts once; on a stale version it answers 409.

    With ``draw`` the answer carries the visit worked out anew, which spares a second call; where many ask at once
    it comes without, and its header ``X-Plumb-Busy`` says which revision the page may draw itself.
    """
    entry, revision = to.visits.change(
        who.member, visit_id, change_id=change_id, **entry_change.model_dump()
    )
    answer = ChangeAnswer(entry=entry, revision=revision)
    if not view.draw:
        return answer

    def draw() -> ChangeAnswer:
        drawn_visit = _drawn(to, who, visit_id, view)
        return ChangeAnswer(entry=entry, revision=revision, drawn=drawn_visit)

    return Drawing(visit_id, draw, without=answer, revision=revision)


@get("/visits/{visit_id}/results", Needs.HEALTH, audit=_READ, offline=True)
def results(
    to: VisitServices, who: Caller, visit_id: UUID, view: Annotated[View, IN_QUERY]
) -> Drawing[DrawnVisit]:
    """The visit worked out and drawn, every text in the unit asked for."""
    return Drawing(visit_id, lambda: _drawn(to, who, visit_id, view))


@get("/visits/{visit_id}/input", Needs.HEALTH, audit=_READ, offline=True)
def visit_input(
    to: VisitServices, who: Caller, visit_id: UUID, place: PlaceId = "main"
) -> dict[str, Any]:
    """What a visit is worked out from at a place: what the page's own what-if begins with."""
    return to.visits.visit_input(who.member, visit_id, place)


@post("/visits/{visit_id}/what-if", Needs.HEALTH, audit=_READ, offline=True)
def try_out(to: VisitServices, who: Caller, visit_id: UUID, tried: WhatIf) -> WhatIfResult:
    """What a visit would come to if something were otherwise. Nothing is kept."""
    return to.visits.try_out(who.member, visit_id, tried.request(), tried.place)


@get("/visits/{visit_id}/day", Needs.HEALTH, audit=_READ, offline=True)
def working_day(
    to: VisitServices, who: Caller, visit_id: UUID, asked: Annotated[DayQuery, IN_QUERY]
) -> DayPage:
    """The working day of a visit: rhythms, spells, the bar, strain before and after."""
    return to.visits.day(
        who.member, visit_id, place=asked.place, week=asked.week, width=asked.width
    )


@get("/visits/{visit_id}/movements", Needs.HEALTH, audit=_READ, offline=True)
def movements(
    to: VisitServices, who: Caller, visit_id: UUID, place: PlaceId = "main"
) -> ProgrammePage:
    """The movements of a visit's client: at most five, what else could be, what a limit keeps out."""
    return to.visits.programme(who.member, visit_id, place=place)


@post("/visits/{visit_id}/stack", Needs.HEALTH, audit=_READ, offline=True)
def stack(to: VisitServices, who: Caller, visit_id: UUID, wanted: StackRequest) -> StackView:
    """The best stack for a lift from what is at hand in this visit's room."""
    return to.visits.stack(who.member, visit_id, **wanted.model_dump())


@delete("/photos/{photo_id}", Needs.WRITER, audit=("erase", "photograph"), status=204, offline=True)
def drop_photo(to: VisitServices, who: Caller, photo_id: UUID) -> None:
    """Erase a photograph and the points on it."""
    to.photos.drop(who.member, photo_id)


@get(
    "/visits/{visit_id}/report", Needs.HEALTH, audit=("read", "draft"), within_s=None, offline=True
)
def draft(to: VisitServices, who: Caller, visit_id: UUID, unit: Unit = "cm") -> DraftReport:
    """What the report would say now, and what a signature still waits for."""
    return to.reports.draft(who.member, who.practice, visit_id, unit)
