"""What a practitioner does with clients' own pages: links, answers, languages, mail, one client over time; the audit log."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from datetime import date
from typing import Annotated
from uuid import UUID

from pydantic import Field

from ..core.language import OFFERED, msg
from ..core.units import LengthUnit
from ..documents.po_file import MOST_PO_BYTES, read_po_file, write_po_file
from ..schemas.common import RequestModel
from ..schemas.own_page import Decision, NewLink, TakeOver
from ..services.errors import NotFound
from ..services.histories import History
from ..services.models import LetterOut, MessageCatalogue, OfflineData, OfflineVisit
from ..services.models.audit_log import Act, AuditLineView, AuditQuery
from ..services.own_page import (
    ENGLISH,
    CheckView,
    LanguageView,
    LinkView,
    MadeLink,
    TakenOver,
    WaitingCheck,
)
from ..services.own_page.catalogues import read_catalogue
from .route import IN_QUERY, Call, Caller, FileAnswer, FileBody, Needs, Routes
from .services import Services

Unit = Annotated[LengthUnit, Field(description="Unit of every length shown.")]
Language = Annotated[str, Field(pattern="^[A-Za-z0-9-]{2,40}$", description="A language tag.")]

LINK_ROUTES = Routes("clients")
get, post, put, delete = (LINK_ROUTES.get, LINK_ROUTES.post, LINK_ROUTES.put, LINK_ROUTES.delete)


@get("/clients/{client_id}/links", Needs.HEALTH, audit=("read", msg("client’s own page")))
def links(to: Services, who: Caller, client_id: UUID) -> list[LinkView]:
    """A client's links with their rounds and mails, the latest first."""
    return to.links.links(who.member, who.practice, client_id)


@post("/links", Needs.WRITER, audit=("share", msg("link to the client’s own page")), status=201)
def make_link(to: Services, call: Call, who: Caller, link: NewLink) -> MadeLink:
    """Make a link for a visit's client; its code is told this once."""
    facts = link.model_dump()
    return to.links.make(who.member, who.practice, base_url=call.base_url, **facts)


@post(
    "/links/{link_id}/code",
    Needs.WRITER,
    audit=("share", msg("code of the client’s own page")),
    status=201,
)
def new_code(to: Services, call: Call, who: Caller, link_id: UUID) -> MadeLink:
    """Give a link another code; the one before opens nothing any more."""
    return to.links.new_code(who.member, who.practice, link_id, base_url=call.base_url)


@post("/links/{link_id}/mail", Needs.WRITER, audit=("share", msg("link by mail")), status=202)
def mail_link(to: Services, call: Call, who: Caller, link_id: UUID) -> LinkView:
    """Mail the link to the client, and each check to come on its day."""
    return to.links.send(who.member, who.practice, link_id, call.base_url)


@delete("/links/{link_id}", Needs.WRITER, audit=("change", msg("link closed")), status=204)
def revoke_link(to: Services, who: Caller, link_id: UUID) -> None:
    """Close a link for good, at once."""
    to.links.revoke(who.member, link_id)


@get("/checks", Needs.MEMBER, audit=("read", msg("list of answers")))
def waiting_checks(to: Services, who: Caller) -> list[WaitingCheck]:
    """Clients' answers that nobody has decided on, the gravest first."""
    return to.links.waiting(who.member)


@get("/checks/{check_id}", Needs.HEALTH, audit=("read", msg("client’s answers")))
def check(to: Services, who: Caller, check_id: UUID, unit: Unit = "cm") -> CheckView:
    """A client's answers, how they are sorted and by which of them."""
    return to.links.check(who.member, check_id, unit)


@put(
    "/checks/{check_id}/decision",
    Needs.WRITER,
    audit=("change", msg("decision on answers")),
    status=204,
)
def decide(to: Services, who: Caller, check_id: UUID, decision: Decision) -> None:
    """Say what comes of a client's answers."""
    to.links.decide(who.member, check_id, decision.level, decision.note)


@post("/checks/{check_id}/take-over", Needs.WRITER, audit=("change", msg("answers taken over")))
def take_over(to: Services, who: Caller, check_id: UUID, over: TakeOver) -> TakenOver:
    """Write a client's answers into the empty fields of a visit of theirs, marked as theirs."""
    return to.links.take_over(who.member, check_id, over.visit_id)


@get("/clients/{client_id}/history", Needs.HEALTH, audit=("read", msg("client over time")))
def history(to: Services, who: Caller, client_id: UUID, unit: Unit = "cm") -> History:
    """A client over time: what happened, and how the body was measured visit by visit."""
    return to.histories.of(who.member, who.practice, client_id, unit)


@get("/languages", Needs.MEMBER)
def languages(to: Services, who: Caller) -> list[LanguageView]:
    """The languages of clients' pages."""
    return to.languages.languages(who.member)


@get("/languages/en.json", Needs.MEMBER)
def english(who: Caller) -> MessageCatalogue:
    """Every message in English, as the file that a translation begins with."""
    return ENGLISH


@get("/languages/{language}.po", Needs.MEMBER, media="text/plain")
def language_file(to: Services, who: Caller, language: Language) -> FileAnswer:
    """Everything the program says in a language, as a PO file to translate or to change."""
    own = to.languages.catalogue(who.member, language)
    if own is None and language not in OFFERED:
        raise NotFound(msg("There is no such language."))
    content = write_po_file(language, own)
    return FileAnswer(content=content, media="text/plain", name=f"{language}.po")


@get("/languages/{language}/words", Needs.MEMBER)
def own_words(to: Services, who: Caller, language: Language) -> dict[str, str]:
    """What the practice says its own way on the page, by the message's id."""
    return to.languages.words_for_the_page(who.member, language)


@put("/languages", Needs.OWNER, audit=("manage", "language"), file=FileBody(MOST_PO_BYTES))
def add_language(to: Services, who: Caller, raw: bytes) -> LanguageView:
    """Add a language from its file, PO or JSON, or put a later file in its place; owners only."""
    as_json = raw.lstrip(b"\xef\xbb\xbf \r\n\t").startswith(b"{")
    return to.languages.add(who.member, read_catalogue(raw) if as_json else read_po_file(raw))


@delete("/languages/{language}", Needs.OWNER, audit=("manage", "language"), status=204)
def drop_language(to: Services, who: Caller, language: Language) -> None:
    """Drop a language; pages in it are English then; owners only."""
    to.languages.drop(who.member, language)


@get("/mailbox", Needs.MEMBER)
def simulated_inbox(to: Services, who: Caller) -> Sequence[LetterOut]:
    """What has arrived at the simulated mail server; there is one in the demo only."""
    if to.mailbox is None:
        raise NotFound(msg("There is no simulated mail server here."))
    return to.mailbox.letters()


AUDIT_ROUTES = Routes("people")
MOST_LINES = 50_000


class AuditFilter(RequestModel):
    """Which lines: whose, by whom, which act, with devices' copies, from and to which day, below which number."""

    client: UUID | None = None
    member: UUID | None = None
    act: Act | None = None
    carried: bool = True
    since: date | None = None
    until: date | None = None
    before: Annotated[int | None, Field(ge=1, le=2**62)] = None

    def query(self) -> AuditQuery:
        """The lines to look for."""
        return AuditQuery(
            client_id=self.client,
            member_id=self.member,
            act=self.act,
            carried=self.carried,
            since=self.since,
            until=self.until,
            before=self.before,
        )


@AUDIT_ROUTES.get("/audit-log", Needs.OWNER)
def trail(
    to: Services, who: Caller, asked: Annotated[AuditFilter, IN_QUERY]
) -> list[AuditLineView]:
    """Who saw and did what, the latest first, 200 lines at a time; owners only."""
    return to.audit_log.lines(who.member, asked.query())


@AUDIT_ROUTES.get(
    "/audit-log.csv", Needs.OWNER, audit=("export", "trail"), media="text/csv", within_s=None
)
def trail_csv(to: Services, who: Caller, asked: Annotated[AuditFilter, IN_QUERY]) -> FileAnswer:
    """The same as CSV with each line's digest, as many as fit; owners only."""
    query = replace(asked.query(), most=MOST_LINES)
    text = to.audit_log.as_csv(who.member, who.practice, query)
    return FileAnswer(content=text, media="text/csv; charset=utf-8", name="audit-log.csv")


DEVICE_ROUTES = Routes("device")


@DEVICE_ROUTES.get("/device", Needs.MEMBER)
def belongings(to: Services, who: Caller) -> OfflineData:
    """What visits begin with, for a device that goes without network."""
    return to.taking.belongings(who.member, who.practice)


@DEVICE_ROUTES.get("/visits/{visit_id}/device", Needs.HEALTH, audit=("carry", "visit"))
def take_visit(to: Services, who: Caller, visit_id: UUID) -> OfflineVisit:
    """A visit with all it is worked out from, for a device that goes without network."""
    return to.taking.visit(who.member, visit_id)
