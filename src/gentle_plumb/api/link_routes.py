"""Routes of a practitioner about clients' own pages: links, answers, languages, mail, one client over time."""

from __future__ import annotations

from typing import Annotated
from uuid import UUID

from fastapi import APIRouter, Path, Query, Request
from pydantic import TypeAdapter

from ..core.units import LengthUnit
from ..schemas import own_page as s
from ..services.errors import NotFound
from ..services.exchange import too_long
from ..services.histories import History
from ..services.own_page import ENGLISH, CheckView, LinkView, TakenOver, WaitingCheck
from ..services.own_page.catalogues import MOST_BYTES
from .access_routes import base_of
from .auth import Signed, With
from .bodies import FILE, read_body
from .problems import PROBLEMS
from .traced import TracedRoute

link_router = APIRouter(
    prefix="/api", tags=["clients"], responses=PROBLEMS, route_class=TracedRoute
)
Unit = Annotated[LengthUnit, Query(description="Unit of every length shown.")]
Language = Annotated[str, Path(pattern="^[A-Za-z0-9-]{2,40}$", description="A language tag.")]
_HISTORY = TypeAdapter(History)


@link_router.get("/clients/{client_id}/links")
def links(services: With, who: Signed, client_id: UUID) -> list[LinkView]:
    """A client's links with their rounds and mails, the latest first."""
    return services.links.links(who.member, who.practice, client_id)


@link_router.post("/links", status_code=201)
def make_link(request: Request, services: With, who: Signed, given: s.LinkIn) -> s.MadeLinkOut:
    """Make a link for a visit's client; its code is told this once."""
    made = services.links.make(who.member, who.practice, **given.model_dump())
    url = f"{base_of(request, services)}{made.link.path}"
    return s.MadeLinkOut(link=made.link, code=made.code, url=url)


@link_router.post("/links/{link_id}/code", status_code=201)
def new_code(request: Request, services: With, who: Signed, link_id: UUID) -> s.MadeLinkOut:
    """Give a link another code; the one before opens nothing any more."""
    made = services.links.new_code(who.member, who.practice, link_id)
    url = f"{base_of(request, services)}{made.link.path}"
    return s.MadeLinkOut(link=made.link, code=made.code, url=url)


@link_router.post("/links/{link_id}/mail", status_code=202)
def mail_link(request: Request, services: With, who: Signed, link_id: UUID) -> LinkView:
    """Mail the link to the client, and each check to come on its day."""
    base = base_of(request, services)
    return services.links.send(who.member, who.practice, link_id, base)


@link_router.delete("/links/{link_id}", status_code=204)
def revoke_link(services: With, who: Signed, link_id: UUID) -> None:
    """Close a link for good, at once."""
    services.links.revoke(who.member, link_id)


@link_router.get("/checks")
def waiting_checks(services: With, who: Signed) -> list[WaitingCheck]:
    """Clients' answers that nobody has decided on, the gravest first."""
    return services.links.waiting(who.member)


@link_router.get("/checks/{check_id}")
def check(services: With, who: Signed, check_id: UUID, unit: Unit = "cm") -> CheckView:
    """A client's answers, how they are sorted and by which of them."""
    return services.links.check(who.member, check_id, unit)


@link_router.put("/checks/{check_id}/decision", status_code=204)
def decide(services: With, who: Signed, check_id: UUID, given: s.DecisionIn) -> None:
    """Say what comes of a client's answers."""
    services.links.decide(who.member, check_id, given.level, given.note)


@link_router.post("/checks/{check_id}/take-over")
def take_over(services: With, who: Signed, check_id: UUID, given: s.TakeOverIn) -> TakenOver:
    """Write a client's answers into the empty fields of a visit of theirs, marked as theirs."""
    return services.links.take_over(who.member, check_id, given.visit_id)


@link_router.get("/clients/{client_id}/history")
def history(services: With, who: Signed, client_id: UUID, unit: Unit = "cm") -> History:
    """A client over time: what happened, and how the body was measured visit by visit."""
    found = services.histories.of(who.member, who.practice, client_id, unit)
    return _HISTORY.validate_python(found)


@link_router.get("/languages")
def languages(services: With, who: Signed) -> list[s.LanguageOut]:
    """The languages of clients' pages."""
    return [s.LanguageOut.of(one) for one in services.languages.languages(who.member)]


@link_router.get("/languages/en.json")
def english(who: Signed) -> s.LanguageFile:
    """Every message in English, as the file that a translation begins with."""
    return s.LanguageFile(**vars(ENGLISH))


@link_router.put("/languages", openapi_extra=FILE)
async def add_language(request: Request, services: With, who: Signed) -> s.LanguageOut:
    """Add a language from its file, or put a later file in its place; owners only."""
    raw = await read_body(request, MOST_BYTES, too_long)
    return s.LanguageOut.of(services.languages.add(who.member, raw))


@link_router.delete("/languages/{language}", status_code=204)
def drop_language(services: With, who: Signed, language: Language) -> None:
    """Drop a language; pages in it are English then; owners only."""
    services.languages.drop(who.member, language)


@link_router.get("/mailbox")
def simulated_inbox(services: With, who: Signed) -> list[s.InboxLetter]:
    """What has arrived at the simulated mail server; there is one in the demo only."""
    if services.mailbox is None:
        raise NotFound("There is no simulated mail server here.")
    return [
        s.InboxLetter(to=one.to, subject=one.subject, text=one.text)
        for one in services.mailbox.letters()
    ]
