"""Routes about signing in, sessions, people and the practice."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace
from typing import Literal, TypeVar
from uuid import UUID
from zoneinfo import available_timezones

from anyio import CapacityLimiter, to_thread
from fastapi import APIRouter, HTTPException, Request, Response
from sqlalchemy import text

from .. import schemas as s
from ..core.errors import UnknownName
from ..documents.code_svg import code_svg
from ..schemas.problem import Problem
from ..services.accounts import KNOWN_FOR, SESSION_LENGTH
from ..services.errors import LockedOut, NotSignedIn
from ..services.models import Member
from ..services.models.trail import Deed, TrailTarget
from ..storage import newest_schema, schema_of
from .auth import (
    COOKIE,
    KNOWN_COOKIE,
    AtLock,
    Holding,
    Signed,
    With,
    check_origin,
    cookie_name,
    secure_cookie,
    token_of,
)
from .dependencies import Services
from .problems import PROBLEMS
from .traced import TracedRoute

public = APIRouter(prefix="/api", tags=["open"])
account_router = APIRouter(
    prefix="/api", tags=["people"], responses=PROBLEMS, route_class=TracedRoute
)

Made = TypeVar("Made")
_HASHING = CapacityLimiter(2)
"""Passwords are checked on threads of their own: who floods the sign-in keeps nobody's work waiting."""


async def hashing(work: Callable[[], Made]) -> Made:
    """Check a password or code on the threads that are there for it."""
    return await to_thread.run_sync(work, limiter=_HASHING)


@public.get("/health")
def health(services: With) -> dict[str, str]:
    """Whether server and database answer."""
    with services.engine.connect() as connection:
        connection.execute(text("select 1"))
    return {"status": "ok", **_worker(services)}


def _worker(services: Services) -> dict[str, str]:
    """When the queue's worker last reported, and whether it still does: without it no mail leaves."""
    heard, lost = services.running.worker()
    return {
        "worker": "lost" if lost else "working",
        "worker_heard": heard.isoformat() if heard else "never",
    }


@public.get("/ready", responses={503: {"model": Problem}})
def ready(services: With) -> dict[str, str]:
    """Whether this server may be sent calls: its database answers, and is at the schema it works with."""
    held = schema_of(services.engine)
    if held != newest_schema():
        raise HTTPException(
            503, f"The database is at schema {held or 'none'}, not at this program's."
        )
    return {"status": "ready", "schema": held, **_worker(services)}


@public.post(
    "/session", responses={401: PROBLEMS[401], 422: PROBLEMS[422], 429: {"model": Problem}}
)
async def sign_in(request: Request, response: Response, services: With, given: s.SignIn) -> s.Me:
    """Sign in: sets the session cookie, and one that tells this browser again."""
    check_origin(request)
    sender = request.client.host if request.client else ""
    secure = secure_cookie(request, services.secure_cookie)
    try:
        done = await hashing(
            lambda: services.accounts.sign_in(
                given.email,
                given.password,
                sender=sender,
                known=request.cookies.get(cookie_name(KNOWN_COOKIE, secure)),
                browser=request.headers.get("user-agent", ""),
                code=given.code,
            )
        )
    except (NotSignedIn, LockedOut):
        refused = await to_thread.run_sync(services.accounts.whose_address, given.email)
        if refused is not None:
            await to_thread.run_sync(_note_sign_in, services, request, refused, "refused")
        raise
    await to_thread.run_sync(_note_sign_in, services, request, done.member, "sign_in")
    for name, token, age in (
        (COOKIE, done.token, SESSION_LENGTH),
        (KNOWN_COOKIE, done.known, KNOWN_FOR),
    ):
        response.set_cookie(
            cookie_name(name, secure),
            token,
            httponly=True,
            secure=secure,
            samesite="strict",
            path="/",
            max_age=int(age.total_seconds()),
        )
    return s.Me.of(done.session, done.member, done.practice)


def _note_sign_in(
    services: Services, request: Request, member: Member, act: Literal["sign_in", "refused"]
) -> None:
    services.trail.note(
        Deed(
            practice_id=member.practice_id,
            member_id=member.id,
            who=member.name,
            act=act,
            what="",
            target=TrailTarget(),
            request_id=str(getattr(request.state, "request_id", "")),
        )
    )


@account_router.post("/session/lock", status_code=204)
def lock(services: With, who: Signed) -> None:
    """Lock the session: nothing goes on with it until the password is given."""
    services.accounts.lock(who.session)


@account_router.post("/session/used", status_code=204)
def note_use(services: With, who: Holding) -> None:
    """The page is in use, though it may not have asked for anything for a while; opens no lock of its own."""
    services.accounts.note_use(who.session)


@account_router.post("/session/confirm", responses={429: {"model": Problem}})
async def confirm(request: Request, services: With, who: AtLock, given: s.Confirmation) -> s.Me:
    """Open a lock by the password: the session goes on, and tells its token again."""
    sender = request.client.host if request.client else ""
    session = await hashing(
        lambda: services.accounts.unlock(who.session, who.member, given.password, sender)
    )
    return s.Me.of(session, who.member, who.practice)


@account_router.delete("/session", status_code=204)
def sign_out(request: Request, response: Response, services: With, who: AtLock) -> None:
    """Sign out."""
    services.accounts.sign_out(who.session)
    secure = secure_cookie(request, services.secure_cookie)
    name = cookie_name(COOKIE, secure)
    response.delete_cookie(name, path="/", httponly=True, secure=secure, samesite="strict")


@account_router.get("/session")
def session(request: Request, services: With) -> s.Me | None:
    """Who is signed in here, with the CSRF token unless it is locked; nothing where nobody is."""
    try:
        held, member, practice, locked = services.accounts.whose(token_of(request, services))
    except NotSignedIn:
        return None
    return s.Me.of(held, member, practice, locked=locked)


@public.post("/device/left")
def left(request: Request, services: With, given: s.DeviceMembers) -> s.DeviceMembers:
    """Those whose things a device keeps and who have left their practice: it erases what it keeps of them."""
    check_origin(request)
    return s.DeviceMembers(members=sorted(services.accounts.left(given.members)))


@account_router.get("/me")
def me(who: Signed) -> s.Me:
    """Who is signed in, and the CSRF token."""
    return s.Me.of(who.session, who.member, who.practice)


@account_router.put("/me/registration")
def set_registration(services: With, who: Signed, given: s.RegistrationIn) -> s.Me:
    """Set one's profession and registration number: they stand beside one's signatures from now on."""
    member = services.accounts.set_registration(who.member, **given.model_dump())
    return s.Me.of(who.session, member, who.practice)


@account_router.post("/me/second-factor")
def offer_second_factor(services: With, who: Signed) -> s.SecondFactorOffer:
    """A new secret for an authenticator; nothing is kept before it is confirmed."""
    secret, address = services.accounts.offer_second_factor(who.member)
    return s.SecondFactorOffer(secret=secret, svg=code_svg(address))


@account_router.put("/me/second-factor", responses={429: {"model": Problem}})
async def set_second_factor(
    request: Request, services: With, who: Signed, given: s.SecondFactorIn
) -> s.RecoveryCodes:
    """Keep a second factor once its first code is right; the recovery codes are told this once."""
    sender = request.client.host if request.client else ""
    codes = await hashing(
        lambda: services.accounts.set_second_factor(
            who.member, password=given.password, secret=given.secret, code=given.code, sender=sender
        )
    )
    return s.RecoveryCodes(codes=codes)


@account_router.post("/me/second-factor/off", status_code=204, responses={429: {"model": Problem}})
async def drop_second_factor(
    request: Request, services: With, who: Signed, given: s.SecondFactorOff
) -> None:
    """Sign in by the password alone again; not where the practice asks for a second factor."""
    sender = request.client.host if request.client else ""
    await hashing(
        lambda: services.accounts.drop_second_factor(
            who.member, who.practice, password=given.password, sender=sender
        )
    )


@account_router.delete("/members/{member_id}/second-factor", status_code=204)
def reset_second_factor(services: With, who: Signed, member_id: UUID) -> None:
    """Take a colleague's second factor away, whose telephone is lost; owners only."""
    services.accounts.reset_second_factor(who.member, member_id)


@account_router.get("/sessions")
def sessions(services: With, who: Signed) -> list[s.SessionOut]:
    """Where one is signed in."""
    return [
        s.SessionOut(
            id=one.id,
            started_at=one.started_at,
            expires_at=one.expires_at,
            browser=one.browser,
            here=one.id == who.session.id,
        )
        for one in services.accounts.sessions(who.member)
    ]


@account_router.delete("/sessions/{session_id}", status_code=204)
def end_session(services: With, who: Signed, session_id: UUID) -> None:
    """End one of one's own sessions."""
    services.accounts.end_session(who.member, session_id)


@account_router.put("/password", status_code=204, responses={429: {"model": Problem}})
async def change_password(
    request: Request, services: With, who: Signed, given: s.PasswordChange
) -> None:
    """Change one's own password; every other session ends."""
    sender = request.client.host if request.client else ""
    await hashing(
        lambda: services.accounts.change_password(
            who.member, who.session, current=given.current, password=given.password, sender=sender
        )
    )


@account_router.get("/members")
def members(services: With, who: Signed) -> list[s.MemberOut]:
    """Everybody in the practice."""
    return [s.MemberOut.of(member) for member in services.accounts.members(who.member)]


@account_router.post("/members", status_code=201)
async def add_member(services: With, who: Signed, given: s.MemberIn) -> s.MemberOut:
    """Let somebody in; owners only."""
    made = await hashing(lambda: services.accounts.add_member(who.member, **given.model_dump()))
    return s.MemberOut.of(made)


@account_router.put("/members/{member_id}/health")
def grant_health(services: With, who: Signed, member_id: UUID, given: s.HealthGrant) -> s.MemberOut:
    """Let a reader see health data, or no more; owners only."""
    made = services.accounts.let_see_health(who.member, member_id, sees=given.sees_health)
    return s.MemberOut.of(made)


@account_router.delete("/members/{member_id}", status_code=204)
def remove_member(services: With, who: Signed, member_id: UUID) -> None:
    """Let somebody in no more: their sessions end at once; owners only."""
    services.accounts.remove_member(who.member, member_id)


@account_router.put("/practice")
def change_practice(services: With, who: Signed, given: s.PracticeIn) -> s.Me:
    """Set the practice's time zone and its own wording for reports; owners only."""
    if given.time_zone not in available_timezones():
        raise UnknownName(
            field="time_zone",
            value=given.time_zone,
            message=f"Time zone: “{given.time_zone}” is none. Give one as Europe/London.",
        )
    changed = replace(who.practice, **given.model_dump())
    return s.Me.of(who.session, who.member, services.accounts.change_practice(who.member, changed))
