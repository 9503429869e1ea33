"""Signing in, sessions, people and the practice; whether the program runs."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from typing import Literal
from uuid import UUID
from zoneinfo import available_timezones

from ..core.errors import UnknownName, ValueOutOfRange
from ..core.language import msg
from ..documents.code_svg import code_svg
from ..schemas.account import (
    Confirmation,
    DeviceMembers,
    HealthGrant,
    LanguageChoice,
    Me,
    NewMember,
    NewSecondFactor,
    PasswordChange,
    RecoveryCodes,
    Registration,
    SecondFactorOffer,
    SignIn,
)
from ..services.accounts import KNOWN_FOR, SESSION_LENGTH
from ..services.errors import LockedOut, NotSignedIn, OtherSchema
from ..services.models import ChangedSettings, Member, MemberView, SessionView, view_of
from ..services.models.audit_log import AuditEntry, AuditTarget
from ..services.throttle import Attempts
from .route import Call, Cookie, Needs, Routes, SignedIn, WithCookies
from .services import Services

SESSION_COOKIE = "plumb_session"
KNOWN_COOKIE = "plumb_browser"

OPERATION_ROUTES = Routes("operation")


@OPERATION_ROUTES.get("/health", Needs.NOBODY)
def health(to: Services) -> dict[str, str]:
    """Whether server and database answer."""
    to.database.ping()
    return {"status": "ok", **_worker(to)}


def _worker(to: Services) -> dict[str, str]:
    """When the queue's worker last reported, and whether it still does: without it no mail leaves."""
    heard, lost = to.system_status.worker()
    return {
        "worker": "lost" if lost else "working",
        "worker_heard": heard.isoformat() if heard else "never",
    }


@OPERATION_ROUTES.get("/ready", Needs.NOBODY, refusals=(503,))
def ready(to: Services) -> dict[str, str]:
    """Whether this server may be sent calls: its database answers, and is at the schema it works with."""
    held = to.database.schema()
    if held != to.database.newest():
        raise OtherSchema(
            msg("The database is at schema {held}, not at this program’s.", held=held or "none")
        )
    return {"status": "ready", "schema": held, **_worker(to)}


ACCOUNT_ROUTES = Routes("people")
get, post, put, delete = (
    ACCOUNT_ROUTES.get,
    ACCOUNT_ROUTES.post,
    ACCOUNT_ROUTES.put,
    ACCOUNT_ROUTES.delete,
)


@post("/session", Needs.NOBODY, attempts=msg("sign in"), lane="hashing", within_s=None)
def sign_in(to: Services, call: Call, attempts: Attempts, given: SignIn) -> WithCookies[Me]:
    """Sign in: sets the session cookie, and one that tells this browser again."""
    try:
        done = to.accounts.sign_in(
            given.email,
            given.password,
            attempts,
            known=call.cookies.get(KNOWN_COOKIE),
            browser=call.browser,
            code=given.code,
        )
    except (NotSignedIn, LockedOut):
        refused = to.accounts.whose_address(given.email)
        if refused is not None:
            _note_sign_in(to, call, refused, "refused")
        raise
    _note_sign_in(to, call, done.member, "sign_in")
    return WithCookies(
        Me.of(done.session, done.member, done.practice),
        (
            Cookie(
                name=SESSION_COOKIE, value=done.token, seconds=int(SESSION_LENGTH.total_seconds())
            ),
            Cookie(name=KNOWN_COOKIE, value=done.known, seconds=int(KNOWN_FOR.total_seconds())),
        ),
    )


def _note_sign_in(
    to: Services, call: Call, member: Member, act: Literal["sign_in", "refused"]
) -> None:
    """Write the line of a try to sign in: it knows who was refused."""
    to.audit_log.note(
        AuditEntry(
            practice_id=member.practice_id,
            member_id=member.id,
            who=member.name,
            act=act,
            what="",
            target=AuditTarget(),
            request_id=call.id,
        )
    )


@post("/session/lock", Needs.MEMBER, status=204)
def lock(to: Services, who: SignedIn) -> None:
    """Lock the session: nothing goes on with it until the password is given."""
    to.accounts.lock(who.session)


@post("/session/used", Needs.SESSION, status=204)
def note_use(to: Services, who: SignedIn) -> None:
    """The page is in use, though it may not have asked for anything for a while; opens no lock of its own."""
    to.accounts.note_use(who.session)


@post("/session/confirm", Needs.AT_LOCK, attempts="confirm", lane="hashing", within_s=None)
def confirm(to: Services, who: SignedIn, attempts: Attempts, confirmation: Confirmation) -> Me:
    """Open a lock by the password: the session goes on, and tells its token again."""
    session = to.accounts.unlock(who.session, who.member, confirmation.password, attempts)
    return Me.of(session, who.member, who.practice)


@delete("/session", Needs.AT_LOCK, audit=("sign_out", ""), status=204, enrolling=True)
def sign_out(to: Services, who: SignedIn) -> WithCookies[None]:
    """Sign out."""
    to.accounts.sign_out(who.session)
    return WithCookies(None, (Cookie(name=SESSION_COOKIE),))


@get("/session", Needs.NOBODY)
def session(to: Services, call: Call) -> Me | None:
    """Who is signed in here, with the CSRF token unless it is locked; nothing where nobody is."""
    try:
        held, member, practice, locked = to.accounts.whose(call.cookies.get(SESSION_COOKIE))
    except NotSignedIn:
        return None
    return Me.of(held, member, practice, locked=locked)


@post("/device/left", Needs.NOBODY)
def left(to: Services, device_members: DeviceMembers) -> DeviceMembers:
    """Those whose things a device keeps and who have left their practice: it erases what it keeps of them."""
    return DeviceMembers(members=sorted(to.accounts.left(device_members.members)))


@get("/me", Needs.MEMBER, enrolling=True)
def me(who: SignedIn) -> Me:
    """Who is signed in, and the CSRF token."""
    return Me.of(who.session, who.member, who.practice)


@put("/me/registration", Needs.MEMBER, audit=("manage", msg("own registration")))
def set_registration(to: Services, who: SignedIn, registration: Registration) -> Me:
    """Set one's profession and registration number: they stand beside one's signatures from now on."""
    member = to.accounts.set_registration(who.member, **registration.model_dump())
    return Me.of(who.session, member, who.practice)


@put("/me/language", Needs.MEMBER)
def set_language(to: Services, who: SignedIn, choice: LanguageChoice) -> Me:
    """Set the language one reads."""
    return Me.of(who.session, to.accounts.set_language(who.member, choice.language), who.practice)


@post("/me/second-factor", Needs.MEMBER, enrolling=True)
def offer_second_factor(to: Services, who: SignedIn) -> SecondFactorOffer:
    """A new secret for an authenticator; nothing is kept before it is confirmed."""
    secret, address = to.accounts.offer_second_factor(who.member)
    return SecondFactorOffer(secret=secret, svg=code_svg(address))


@put(
    "/me/second-factor",
    Needs.MEMBER,
    audit=("manage", msg("own second factor")),
    attempts="confirm",
    lane="hashing",
    within_s=None,
    enrolling=True,
)
def set_second_factor(
    to: Services, who: SignedIn, attempts: Attempts, factor: NewSecondFactor
) -> RecoveryCodes:
    """Keep a second factor once its first code is right; the recovery codes are told this once."""
    codes = to.accounts.set_second_factor(who.member, attempts, **factor.model_dump())
    return RecoveryCodes(codes=codes)


@post(
    "/me/second-factor/off",
    Needs.MEMBER,
    audit=("manage", msg("own second factor off")),
    status=204,
    attempts="confirm",
    lane="hashing",
    within_s=None,
)
def drop_second_factor(
    to: Services, who: SignedIn, attempts: Attempts, confirmation: Confirmation
) -> None:
    """Sign in by the password alone again; not where the practice asks for a second factor."""
    to.accounts.drop_second_factor(who.member, who.practice, confirmation.password, attempts)


@delete(
    "/members/{member_id}/second-factor",
    Needs.OWNER,
    audit=("manage", msg("second factor reset")),
    status=204,
)
def reset_second_factor(to: Services, who: SignedIn, member_id: UUID) -> None:
    """Take a colleague's second factor away, whose telephone is lost; owners only."""
    to.accounts.reset_second_factor(who.member, member_id)


@get("/sessions", Needs.MEMBER)
def sessions(to: Services, who: SignedIn) -> list[SessionView]:
    """Where one is signed in."""
    return to.accounts.sessions(who.member, who.session)


@delete(
    "/sessions/{session_id}", Needs.MEMBER, audit=("sign_out", msg("another session")), status=204
)
def end_session(to: Services, who: SignedIn, session_id: UUID) -> None:
    """End one of one's own sessions."""
    to.accounts.end_session(who.member, session_id)


@put(
    "/password",
    Needs.MEMBER,
    audit=("manage", msg("own password")),
    status=204,
    attempts="confirm",
    lane="hashing",
    within_s=None,
)
def change_password(
    to: Services, who: SignedIn, attempts: Attempts, change: PasswordChange
) -> None:
    """Change one's own password; every other session ends."""
    to.accounts.change_password(who.member, who.session, attempts, **change.model_dump())


@get("/members", Needs.MEMBER)
def members(to: Services, who: SignedIn) -> Sequence[MemberView]:
    """Everybody in the practice."""
    return [view_of(MemberView, member) for member in to.accounts.members(who.member)]


@post(
    "/members",
    Needs.OWNER,
    audit=("manage", msg("member let in")),
    status=201,
    lane="hashing",
    within_s=None,
)
def add_member(to: Services, who: SignedIn, new_member: NewMember) -> MemberView:
    """Let somebody in; owners only."""
    member = to.accounts.create_member(who.practice.id, **vars(new_member))
    return view_of(MemberView, member)


@put("/members/{member_id}/health", Needs.OWNER, audit=("manage", msg("view of health data")))
def grant_health(to: Services, who: SignedIn, member_id: UUID, grant: HealthGrant) -> MemberView:
    """Let a reader see health data, or no more; owners only."""
    member = to.accounts.let_see_health(who.member, member_id, sees=grant.sees_health)
    return view_of(MemberView, member)


@delete("/members/{member_id}", Needs.OWNER, audit=("manage", msg("member left")), status=204)
def remove_member(to: Services, who: SignedIn, member_id: UUID) -> None:
    """Let somebody in no more: their sessions end at once; owners only."""
    to.accounts.remove_member(who.member, member_id)


@put("/practice", Needs.OWNER, audit=("manage", "settings"))
def change_practice(to: Services, who: SignedIn, settings: ChangedSettings) -> Me:
    """Set the practice's time zone and its own wording for reports; owners only."""
    if settings.time_zone not in available_timezones():
        raise UnknownName(
            field="time_zone",
            value=settings.time_zone,
            message=msg(
                "Time zone: “{time_zone}” is none. Give one as Europe/London.",
                time_zone=settings.time_zone,
            ),
        )
    if settings.closes_at <= settings.opens_at:
        raise ValueOutOfRange(
            field="closes_at",
            value=f"{settings.closes_at}",
            message=msg("Closing time: it is not later than the opening time."),
        )
    practice = to.accounts.change_practice(replace(who.practice, **vars(settings)))
    return Me.of(who.session, who.member, practice)
