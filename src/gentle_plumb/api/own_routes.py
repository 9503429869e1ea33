"""Routes of the client's own page: opened by a link and its code, nothing else.

None of them takes a member's session, and no other route takes theirs.
"""

from __future__ import annotations

from typing import Annotated
from uuid import UUID

from fastapi import APIRouter, Depends, Query, Request, Response, Security
from fastapi.concurrency import run_in_threadpool
from fastapi.security import APIKeyCookie

from ..core.drawing import INKS, body_chart
from ..core.intake import MAP_H, MAP_W, REGIONS
from ..core.own_page import Round
from ..core.units import LengthUnit
from ..documents.image_processor import MOST_BYTES, too_large
from ..schemas import own_page as s
from ..schemas.problem import Problem
from ..services.own_page import OwnCaller, OwnDoorView, OwnDoubt, OwnSheet, OwnView, PhotoOf
from ..services.own_page.clients_side import SESSION_LENGTH
from .account_routes import hashing
from .auth import SAFE, With, check_origin, secure_cookie, services
from .bodies import FILE, read_body
from .problems import PROBLEMS
from .traced import TracedRoute

OWN_COOKIE = "plumb_own"
own_router = APIRouter(
    prefix="/api/own", tags=["client's own page"], responses=PROBLEMS, route_class=TracedRoute
)
_cookie = APIKeyCookie(
    name=OWN_COOKIE,
    scheme_name="OwnPage",
    auto_error=False,
    description="Opened by a client's link with its code.",
)


def own_caller(request: Request, token: Annotated[str | None, Security(_cookie)]) -> OwnCaller:
    """Whoever opened a link; the cookie comes from this site alone, changes from its own pages."""
    who = services(request).own_page.who(token)
    if request.method not in SAFE:
        check_origin(request)
    request.state.who = who  # for the trail
    return who


Own = Annotated[OwnCaller, Depends(own_caller)]
Unit = Annotated[LengthUnit, Query(description="Unit of every length shown.")]


@own_router.post(
    "/session",
    status_code=204,
    responses={401: PROBLEMS[401], 422: PROBLEMS[422], 429: {"model": Problem}},
)
async def open_own_page(
    request: Request, response: Response, services: With, given: s.OwnDoor
) -> None:
    """Open a client's page with its link and code: sets a cookie for half a day."""
    check_origin(request)
    sender = request.client.host if request.client else ""
    token = await hashing(lambda: services.own_page.open(given.token, given.code, sender))
    response.set_cookie(
        OWN_COOKIE,
        token,
        httponly=True,
        secure=secure_cookie(request, services.secure_cookie),
        samesite="strict",
        path="/api/own",
        max_age=int(SESSION_LENGTH.total_seconds()),
    )


@own_router.post("/door", responses={422: PROBLEMS[422]})
def own_door(services: With, given: s.OwnKnock) -> OwnDoorView:
    """What the door says, in the link's language; it does not tell whether there is such a link."""
    return services.own_page.door(given.token)


@own_router.delete("/session", status_code=204)
def close_own_page(request: Request, response: Response, services: With, who: Own) -> None:
    """Close the page on this device."""
    services.own_page.leave(who)
    secure = secure_cookie(request, services.secure_cookie)
    response.delete_cookie(
        OWN_COOKIE, path="/api/own", httponly=True, secure=secure, samesite="strict"
    )


@own_router.get("/page")
def own_page(
    services: With, who: Own, language: Annotated[str | None, Query(max_length=40)] = None
) -> OwnView:
    """The page: what the client was given, what is asked when, and every message in their language."""
    return services.own_page.page(who, language)


@own_router.get("/map")
def own_map(who: Own) -> s.OwnMap:
    """The body to tap on, and the inks of every drawing."""
    return s.OwnMap(
        width=MAP_W,
        height=MAP_H,
        marks=list(body_chart()),
        regions=list(REGIONS.values()),
        inks=INKS,
    )


@own_router.put("/agreement", status_code=204)
def agree(services: With, who: Own, given: s.Agreement) -> None:
    """Agree to answers or photographs being kept, or take it back, which erases them."""
    if given.what == "answers":
        services.own_page.agree(who, yes=given.yes)
    else:
        services.own_page.agree_to_photos(who, yes=given.yes)


@own_router.get("/rounds/{round}")
def own_round(services: With, who: Own, round: Round) -> OwnSheet:
    """A round of questions with what was answered so far."""
    return services.own_page.sheet(who, round)


@own_router.put("/rounds/{round}/answer")
def own_answer(services: With, who: Own, round: Round, given: s.OwnAnswerIn) -> s.OwnAnswerOut:
    """Keep an answer upon the version that was seen; empty takes it out. 409 where another device changed it."""
    held = services.own_page.answer(
        who,
        round,
        given.question,
        given.typed,
        given.unit,
        change_id=given.id,
        expected_version=given.expected_version,
    )
    return s.OwnAnswerOut(question=held.question, typed=held.typed, version=held.version)


@own_router.get("/doubts")
def own_doubts(services: With, who: Own, unit: Unit = "cm") -> list[OwnDoubt]:
    """The client's own lengths that are worth a second look."""
    return services.own_page.doubts(who, unit)


@own_router.post("/rounds/{round}/send", status_code=204)
def send_own_round(services: With, who: Own, round: Round) -> None:
    """Send a round to the practice; sent twice it counts once."""
    services.own_page.send(who, round)


@own_router.put("/photos/{photo_id}", status_code=204, openapi_extra=FILE)
async def own_photo(
    request: Request, services: With, who: Own, photo_id: UUID, view: Annotated[PhotoOf, Query()]
) -> None:
    """Send a photograph for the visit to come; sent twice it counts once."""
    raw = await read_body(request, MOST_BYTES, lambda size, _: too_large(size))
    await run_in_threadpool(services.own_page.add_photo, who, photo_id, view, raw)
