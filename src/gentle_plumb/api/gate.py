"""Who is asking: the session cookie, the CSRF token, the origin."""

from __future__ import annotations

import hmac
from dataclasses import dataclass
from typing import Annotated

from fastapi import Depends, Request, Security
from fastapi.security import APIKeyCookie, APIKeyHeader

from ..services.accounts import AccountService
from ..services.errors import NotAllowed, NotSignedIn
from ..services.models import Member, Practice, Session

COOKIE = "plumb_session"
CSRF_HEADER = "X-Plumb-Csrf"
SAFE = {"GET", "HEAD", "OPTIONS"}

_cookie = APIKeyCookie(name=COOKIE, auto_error=False, description="Opened by signing in.")
_csrf = APIKeyHeader(name=CSRF_HEADER, auto_error=False, description="From GET /api/me.")


@dataclass(frozen=True, kw_only=True)
class Caller:
    """Somebody signed in."""

    session: Session
    member: Member
    practice: Practice


def check_origin(request: Request) -> None:
    """A page of another origin can't make a browser change anything here."""
    origin = request.headers.get("origin")
    if origin is not None and origin.split("://", 1)[-1] != request.headers.get("host"):
        raise NotAllowed("This request comes from another page.")


def caller(
    request: Request,
    token: Annotated[str | None, Security(_cookie)],
    csrf: Annotated[str | None, Security(_csrf)],
) -> Caller:
    """The signed-in member; for unsafe methods only with the session's CSRF token."""
    accounts: AccountService = request.app.state.services.accounts
    session, member, practice = accounts.who(token)
    if request.method not in SAFE:
        check_origin(request)
        if csrf is None:
            raise NotAllowed("The request carries no CSRF token.")
        if not hmac.compare_digest(csrf.encode(), session.csrf.encode()):
            raise NotAllowed("The CSRF token does not fit this session.")
    return Caller(session=session, member=member, practice=practice)


Signed = Annotated[Caller, Depends(caller)]

__all__ = ["COOKIE", "CSRF_HEADER", "Caller", "NotSignedIn", "Signed", "check_origin"]
