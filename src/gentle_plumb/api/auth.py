"""Who is asking: the session cookie, the CSRF token, the origin."""

from __future__ import annotations

import hmac
from dataclasses import dataclass
from typing import Annotated
from uuid import UUID

from fastapi import Depends, Request, Security
from fastapi.security import APIKeyCookie, APIKeyHeader

from ..services.access import HIDDEN
from ..services.errors import MustEnrol, NotAllowed
from ..services.models import Member, Practice, Session
from ..services.models.trail import TargetKind
from .dependencies import Services

COOKIE = "plumb_session"
KNOWN_COOKIE = "plumb_browser"
CSRF_HEADER = "X-Plumb-Csrf"
SAFE = {"GET", "HEAD", "OPTIONS"}
ENROLLING = {"/api/me", "/api/session", "/api/me/second-factor"}
"""What is open to a member who has no second factor yet where the practice asks for one."""

TARGETS: tuple[tuple[str, TargetKind], ...] = (
    ("visit_id", "visit"),
    ("client_id", "client"),
    ("report_id", "report"),
    ("photo_id", "photo"),
    ("link_id", "link"),
    ("check_id", "check"),
)
"""What paths name, and what it is."""
MANAGED = "/api/restricted/{client_id}"
"""Says who sees a client: an owner does so for clients that are hidden from themselves too."""

HOST_ONLY = "__Host-"
"""Begins the name of a cookie that browsers take by HTTPS from this very host alone."""
LOOPBACK = {"127.0.0.1", "localhost", "::1"}
_cookie = APIKeyCookie(
    name=COOKIE,
    auto_error=False,
    description="Opened by signing in; __Host-plumb_session by HTTPS.",
)
_csrf = APIKeyHeader(name=CSRF_HEADER, auto_error=False, description="From GET /api/me.")


Cookie = Annotated[str | None, Security(_cookie)]
CsrfToken = Annotated[str | None, Security(_csrf)]


@dataclass(frozen=True, kw_only=True)
class CurrentUser:
    """Somebody signed in."""

    session: Session
    member: Member
    practice: Practice


def services(request: Request) -> Services:
    """What the routes hand over to."""
    held: Services = request.app.state.services
    return held


def check_origin(request: Request) -> None:
    """A page of another origin can't make a browser change anything here."""
    origin = request.headers.get("origin")
    if origin is not None and origin.split("://", 1)[-1] != request.headers.get("host"):
        raise NotAllowed("This request comes from another page.")


def secure_cookie(request: Request, setting: bool | None) -> bool:
    """Whether a cookie is marked as for HTTPS only.

    Yes where the request came by HTTPS, also to a proxy in front that says so, and wherever the
    host is not this machine; some browsers never send such a cookie back over plain HTTP.
    """
    if setting is not None:
        return setting
    return request.url.scheme == "https" or (request.url.hostname or "") not in LOOPBACK


def cookie_name(name: str, secure: bool) -> str:
    """What a cookie is called: by HTTPS no other host, not even a neighbour in its domain, can set it."""
    return f"{HOST_ONLY}{name}" if secure else name


def token_of(request: Request, services: Services) -> str | None:
    """The session's token that a request bears."""
    secure = secure_cookie(request, services.secure_cookie)
    return request.cookies.get(cookie_name(COOKIE, secure))


def _check_csrf(request: Request, csrf: str | None, session: Session) -> None:
    """Unsafe methods bear the session's CSRF token, and come from our own page."""
    if request.method in SAFE:
        return
    check_origin(request)
    if csrf is None:
        raise NotAllowed("Your session has expired. Reload the page.")
    if not hmac.compare_digest(csrf.encode(), session.csrf.encode()):
        raise NotAllowed("Your session has changed. Reload the page.")


def _whose(request: Request) -> tuple[CurrentUser, bool]:
    """Return the caller of a session, and whether the session is locked."""
    held = services(request)
    session, member, practice, locked = held.accounts.whose(token_of(request, held))
    return CurrentUser(session=session, member=member, practice=practice), locked


def holder(request: Request, _: Cookie, csrf: CsrfToken) -> CurrentUser:
    """Return the caller of a session, even one that has timed out: its page may still be in use."""
    who, _locked = _whose(request)
    _check_csrf(request, csrf, who.session)
    return who


def at_lock(request: Request, _: Cookie, csrf: CsrfToken) -> CurrentUser:
    """Return the caller who unlocks a session or signs out of it. A locked page has no CSRF token to send."""
    who, locked = _whose(request)
    if locked:
        check_origin(request)
    else:
        _check_csrf(request, csrf, who.session)
    request.state.who = who  # for the trail
    return who


def caller(request: Request, _: Cookie, csrf: CsrfToken) -> CurrentUser:
    """The signed-in member; for unsafe methods only with the session's CSRF token."""
    session, member, practice = services(request).accounts.who(token_of(request, services(request)))
    _check_csrf(request, csrf, session)
    if practice.second_factor and not member.sealed_totp and request.url.path not in ENROLLING:
        raise MustEnrol("Your practice asks for a second factor. Set yours up first.")
    who = CurrentUser(session=session, member=member, practice=practice)
    request.state.who = who  # for the trail, which names also who is refused
    _require_seen(request, member)
    return who


def _require_seen(request: Request, member: Member) -> None:
    """Whose the things are that the path names: raises NotAllowed where a client is open to others only."""
    if member.role == "owner" and request.scope["route"].path == MANAGED:
        return
    held = services(request)
    hidden = None
    for name, kind in TARGETS:
        given = request.path_params.get(name)
        if given is None:
            continue
        try:
            id = UUID(str(given))
        except ValueError:
            return  # the route itself says what is wrong with it
        hidden = held.access.hidden(member) if hidden is None else hidden
        if hidden and held.trail.target(kind, id).client_id in hidden:
            raise NotAllowed(HIDDEN)


Signed = Annotated[CurrentUser, Depends(caller)]
Holding = Annotated[CurrentUser, Depends(holder)]
AtLock = Annotated[CurrentUser, Depends(at_lock)]
With = Annotated[Services, Depends(services)]
