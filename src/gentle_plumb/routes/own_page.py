"""The client's own page: opened by a link and its code, nothing else.

None of these calls takes a member's session, and no other takes theirs.
"""

from __future__ import annotations

from typing import Annotated
from uuid import UUID

from pydantic import Field

from ..core.drawing import INKS, body_chart
from ..core.intake import MAP_H, MAP_W, REGIONS
from ..core.language import msg
from ..core.own_page import Round
from ..core.units import LengthUnit
from ..documents.image_processor import MOST_BYTES, too_large
from ..schemas.own_page import Agreement, OwnAnswer, OwnDoor, OwnKnock, OwnMap
from ..services.models import GivenAnswer
from ..services.own_page import OwnCaller, OwnDoorView, OwnDoubt, OwnSheet, OwnView, PhotoOf
from ..services.own_page.clients_side import SESSION_LENGTH
from ..services.throttle import Attempts
from .route import Cookie, FileBody, Needs, Routes, WithCookies
from .services import Services

OWN_COOKIE = "plumb_own"
OWN_PATH = "/api/own"
Unit = Annotated[LengthUnit, Field(description="Unit of every length shown.")]

OWN_ROUTES = Routes(msg("client’s own page"), "/own")
get, post, put, delete = OWN_ROUTES.get, OWN_ROUTES.post, OWN_ROUTES.put, OWN_ROUTES.delete


@post("/session", Needs.NOBODY, status=204, attempts=msg("own page"), lane="hashing", within_s=None)
def open_own_page(to: Services, attempts: Attempts, door: OwnDoor) -> WithCookies[None]:
    """Open a client's page with its link and code: sets a cookie for half a day."""
    token = to.own_page.open(door.token, door.code, attempts)
    seconds = int(SESSION_LENGTH.total_seconds())
    cookie = Cookie(name=OWN_COOKIE, value=token, seconds=seconds, path=OWN_PATH)
    return WithCookies(None, (cookie,))


@post("/door", Needs.NOBODY)
def own_door(to: Services, knock: OwnKnock) -> OwnDoorView:
    """What the door says, in the link's language; it does not tell whether there is such a link."""
    return to.own_page.door(knock.token)


@delete("/session", Needs.OWN_PAGE, status=204)
def close_own_page(to: Services, who: OwnCaller) -> WithCookies[None]:
    """Close the page on this device."""
    to.own_page.leave(who)
    return WithCookies(None, (Cookie(name=OWN_COOKIE, path=OWN_PATH),))


@get("/page", Needs.OWN_PAGE, audit=("read", msg("own page")))
def own_page(
    to: Services, who: OwnCaller, language: Annotated[str, Field(max_length=40)] | None = None
) -> OwnView:
    """The page: what the client was given, what is asked when, and every message in their language."""
    return to.own_page.page(who, language)


@get("/map", Needs.OWN_PAGE)
def own_map(who: OwnCaller) -> OwnMap:
    """The body to tap on, and the inks of every drawing."""
    return OwnMap(
        width=MAP_W,
        height=MAP_H,
        marks=list(body_chart()),
        regions=list(REGIONS.values()),
        inks=INKS,
    )


@put("/agreement", Needs.OWN_PAGE, audit=("answer", "agreement"), status=204)
def agree(to: Services, who: OwnCaller, agreement: Agreement) -> None:
    """Agree to answers or photographs being kept, or take it back, which erases them."""
    if agreement.what == "answers":
        to.own_page.agree(who, yes=agreement.yes)
    else:
        to.own_page.agree_to_photos(who, yes=agreement.yes)


@get("/rounds/{round}", Needs.OWN_PAGE)
def own_round(to: Services, who: OwnCaller, round: Round) -> OwnSheet:
    """A round of questions with what was answered so far."""
    return to.own_page.sheet(who, round)


@put("/rounds/{round}/answer", Needs.OWN_PAGE, audit=("answer", "answers"))
def own_answer(to: Services, who: OwnCaller, round: Round, answer: OwnAnswer) -> GivenAnswer:
    """Keep an answer upon the version that was seen; empty takes it out. 409 where another device changed it."""
    return to.own_page.answer(
        who,
        round,
        answer.question,
        answer.typed,
        answer.unit,
        change_id=answer.id,
        expected_version=answer.expected_version,
    )


@get("/doubts", Needs.OWN_PAGE)
def own_doubts(to: Services, who: OwnCaller, unit: Unit = "cm") -> list[OwnDoubt]:
    """The client's own lengths that are worth a second look."""
    return to.own_page.doubts(who, unit)


@post("/rounds/{round}/send", Needs.OWN_PAGE, audit=("answer", msg("answers sent")), status=204)
def send_own_round(to: Services, who: OwnCaller, round: Round) -> None:
    """Send a round to the practice; sent twice it counts once."""
    to.own_page.send(who, round)


@put(
    "/photos/{photo_id}",
    Needs.OWN_PAGE,
    audit=("answer", "photograph"),
    status=204,
    file=FileBody(MOST_BYTES, lambda size, _: too_large(size), "image/*"),
    within_s=None,
)
def own_photo(to: Services, who: OwnCaller, photo_id: UUID, view: PhotoOf, picture: bytes) -> None:
    """Send a photograph for the visit to come; sent twice it counts once."""
    to.own_page.add_photo(who, photo_id, view, picture)
