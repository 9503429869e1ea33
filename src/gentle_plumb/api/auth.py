"""Who is asking: the session cookie, the CSRF token, the origin; and whether they may."""

from __future__ import annotations

import hmac
from collections.abc import Callable
from typing import Annotated
from uuid import UUID

from fastapi import Request, Security
from fastapi.security import APIKeyCookie, APIKeyHeader

from ..core.language import msg
from ..routes.accounts import KNOWN_COOKIE, SESSION_COOKIE
from ..routes.own_page import OWN_COOKIE
from ..routes.route import TARGETS, Call, Needs, Route, SignedIn
from ..routes.services import Services
from ..services.access import HIDDEN
from ..services.errors import MustEnrol, NotAllowed
from ..services.models import Member, Session
from ..services.own_page import OwnCaller

CSRF_HEADER = "X-Plumb-Csrf"
SAFE = {"GET", "HEAD", "OPTIONS"}
HOST_ONLY = "__Host-"
"""Begins the name of a cookie that browsers take by HTTPS from this very host alone."""
LOOPBACK = {"127.0.0.1", "localhost", "::1"}
_cookie = APIKeyCookie(
    name=SESSION_COOKIE,
    auto_error=False,
    description="Opened by signing in; __Host-plumb_session by HTTPS.",
)
_csrf = APIKeyHeader(name=CSRF_HEADER, auto_error=False, description="From GET /api/me.")
_own_cookie = APIKeyCookie(
    name=OWN_COOKIE,
    scheme_name="OwnPage",
    auto_error=False,
    description="Opened by a client’s link with its code.",
)
SessionToken = Annotated[str | None, Security(_cookie)]
CsrfToken = Annotated[str | None, Security(_csrf)]
OwnToken = Annotated[str | None, Security(_own_cookie)]


def services_of(request: Request) -> Services:
    """What the routes hand over to."""
    services: Services = request.app.state.services
    return services


def check_origin(request: Request) -> None:
    """A page of another origin can't make a browser change anything here."""
    origin = request.headers.get("origin")
    if origin is not None and origin.split("://", 1)[-1] != request.headers.get("host"):
        raise NotAllowed(msg("This request comes from another page."))


def secure_cookie(request: Request) -> bool:
    """Whether a cookie is marked as for HTTPS only.

    Yes where the request came by HTTPS, also to a proxy in front that says so, and wherever the
    host is not this machine; some browsers never send such a cookie back over plain HTTP.
    """
    setting = services_of(request).secure_cookie
    if setting is not None:
        return setting
    return request.url.scheme == "https" or (request.url.hostname or "") not in LOOPBACK


def cookie_name(name: str, secure: bool) -> str:
    """What a cookie is called: by HTTPS no other host, not even a neighbour in its domain, can set it."""
    return f"{HOST_ONLY}{name}" if secure and name != OWN_COOKIE else name


def call_of(request: Request) -> Call:
    """What a handler may know of the call itself."""
    secure = secure_cookie(request)
    names = (SESSION_COOKIE, KNOWN_COOKIE)
    host = request.url.hostname or ""
    public = services_of(request).public_url.rstrip("/")
    return Call(
        id=str(getattr(request.state, "request_id", "")),
        sender=sender_of(request),
        browser=request.headers.get("user-agent", ""),
        base_url=public or f"{request.url.scheme}://{request.headers.get('host', '')}",
        from_this_machine=host in LOOPBACK,
        cookies={
            name: value
            for name in names
            if (value := request.cookies.get(cookie_name(name, secure))) is not None
        },
    )


def sender_of(request: Request) -> str:
    """The network address a call comes from."""
    return request.client.host if request.client else ""


def token_of(request: Request) -> str | None:
    """The session's token that a request bears."""
    return request.cookies.get(cookie_name(SESSION_COOKIE, secure_cookie(request)))


def _check_csrf(request: Request, csrf: str | None, session: Session) -> None:
    """Unsafe methods bear the session's CSRF token, and come from our own page."""
    if request.method in SAFE:
        return
    check_origin(request)
    if csrf is None:
        raise NotAllowed(msg("Your session has expired. Reload the page."))
    if not hmac.compare_digest(csrf.encode(), session.csrf.encode()):
        raise NotAllowed(msg("Your session has changed. Reload the page."))


def caller_of(route: Route) -> Callable[..., object]:
    """What finds out who asks, as a route needs it."""
    if route.needs is Needs.OWN_PAGE:
        return _own_caller
    if route.needs in (Needs.AT_LOCK, Needs.SESSION):
        return _holder_of(route)

    def caller(request: Request, _: SessionToken, csrf: CsrfToken) -> SignedIn:
        """The signed-in member; for unsafe methods only with the session's CSRF token."""
        accounts = services_of(request).accounts
        session, member, practice = accounts.who(token_of(request), used=not route.unattended)
        _check_csrf(request, csrf, session)
        if practice.second_factor and not member.has_second_factor and not route.enrolling:
            raise MustEnrol(msg("Your practice requires two-step sign-in. Set it up first."))
        who = SignedIn(session=session, member=member, practice=practice)
        request.state.who = who  # for the audit log, which names also who is refused
        route.needs.require(member)
        if not (member.role == "owner" and route.even_hidden):
            _require_seen(request, member)
        return who

    return caller


def _own_caller(request: Request, token: OwnToken) -> OwnCaller:
    """Whoever opened a link; the cookie comes from this site alone, changes from its own pages."""
    who = services_of(request).own_page.who(token)
    if request.method not in SAFE:
        check_origin(request)
    request.state.who = who  # for the audit log
    return who


def _holder_of(route: Route) -> Callable[..., SignedIn]:
    def holder(request: Request, _: SessionToken, csrf: CsrfToken) -> SignedIn:
        """The caller of a session that may have timed out; a locked page has no CSRF token to send."""
        accounts = services_of(request).accounts
        session, member, practice, locked = accounts.whose(token_of(request))
        if locked and route.needs is Needs.AT_LOCK:
            check_origin(request)
        else:
            _check_csrf(request, csrf, session)
        who = SignedIn(session=session, member=member, practice=practice)
        request.state.who = who  # for the audit log
        return who

    return holder


def _require_seen(request: Request, member: Member) -> None:
    """Whose the things are that the path names: raises NotAllowed where a client is open to others only."""
    services = services_of(request)
    hidden = None
    for name, kind in TARGETS.items():
        value = request.path_params.get(name)
        if value is None:
            continue
        try:
            id = UUID(str(value))
        except ValueError:
            return  # the route itself says what is wrong with it
        hidden = services.access.hidden(member) if hidden is None else hidden
        if hidden and services.audit_log.target(kind, id).client_id in hidden:
            raise NotAllowed(HIDDEN)
