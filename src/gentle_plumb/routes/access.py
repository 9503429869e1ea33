"""Coming in by a one-time link, and clients that are open to some only."""

from __future__ import annotations

from collections.abc import Sequence
from uuid import UUID

from ..core.language import msg
from ..schemas.access import (
    AccessChange,
    ChosenPassword,
    ForgottenPassword,
    LinkToken,
    NewInvitation,
)
from ..schemas.account import Welcome
from ..services.access import Door, MadeDoor
from ..services.errors import NotAllowed
from ..services.models import ClientAccess, WaitingLink
from ..services.models.audit_log import AuditEntry, AuditTarget
from ..services.throttle import Attempts
from .route import Call, Caller, Needs, Routes
from .services import Services

ACCESS_ROUTES = Routes("people")
get, post, put, delete = (
    ACCESS_ROUTES.get,
    ACCESS_ROUTES.post,
    ACCESS_ROUTES.put,
    ACCESS_ROUTES.delete,
)
_INVITED = ("manage", "invitation")


def _resets_by_mail(to: Services, call: Call) -> bool:
    """Whether somebody who is not signed in can have a link mailed.

    Only where the address in it is known: a stranger could name any host in their call, and have a mail lead there.
    """
    return to.entrances.mails and bool(to.public_url or call.from_this_machine)


@get("/invitations", Needs.OWNER, audit=("read", msg("list of invitations")))
def invitations(to: Services, who: Caller) -> Sequence[WaitingLink]:
    """One-time links that wait; owners only."""
    return to.entrances.invitations(who.member)


@post("/invitations", Needs.OWNER, audit=_INVITED, status=201)
def invite(to: Services, call: Call, who: Caller, invitation: NewInvitation) -> MadeDoor:
    """Invite somebody by mail; owners only. Without a mail server the link is told here, this once."""
    facts = invitation.model_dump()
    return to.entrances.invite(who.member, who.practice, base=call.base_url, **facts)


@post("/invitations/{door_id}/again", Needs.OWNER, audit=_INVITED, status=201)
def invite_again(to: Services, call: Call, who: Caller, door_id: UUID) -> MadeDoor:
    """Send another link in place of one; owners only."""
    return to.entrances.again(who.member, who.practice, door_id, base=call.base_url)


@delete(
    "/invitations/{door_id}", Needs.OWNER, audit=("manage", msg("invitation withdrawn")), status=204
)
def withdraw(to: Services, who: Caller, door_id: UUID) -> None:
    """Close a one-time link at once; owners only."""
    to.entrances.withdraw(who.member, door_id)


@post(
    "/members/{member_id}/reset", Needs.OWNER, audit=("manage", msg("password reset")), status=201
)
def reset_for(to: Services, call: Call, who: Caller, member_id: UUID) -> MadeDoor:
    """Send a colleague a link to reset their password; owners only."""
    return to.entrances.reset_for(who.member, who.practice, member_id, base=call.base_url)


@get("/restricted", Needs.OWNER, audit=("read", msg("list of clients open to some")))
def restricted(to: Services, who: Caller) -> list[ClientAccess]:
    """Clients that some see only; owners only."""
    return to.access.restricted(who.member)


@get("/restricted/{client_id}", Needs.MEMBER, even_hidden=True)
def access_of(to: Services, who: Caller, client_id: UUID) -> ClientAccess:
    """Who sees a client."""
    return to.access.of(who.member, client_id)


@put(
    "/restricted/{client_id}",
    Needs.WRITER,
    audit=("manage", msg("who sees a client")),
    even_hidden=True,
)
def put_access(to: Services, who: Caller, client_id: UUID, change: AccessChange) -> ClientAccess:
    """Open a client to some members only, or to all."""
    return to.access.put(
        who.member,
        client_id,
        restricted=change.restricted,
        members=change.members,
        knowing=change.knowing,
    )


@get("/welcome", Needs.NOBODY)
def welcome(to: Services, call: Call) -> Welcome:
    """What the sign-in page shows; credentials only in demo mode."""
    return Welcome(demo=to.demo_people, mails=_resets_by_mail(to, call))


@post("/entrance", Needs.NOBODY)
def look(to: Services, token: LinkToken) -> Door:
    """What a one-time link opens."""
    return to.entrances.look(token.token)


@put("/entrance", Needs.NOBODY, status=204, lane="hashing", within_s=None)
def enter(to: Services, call: Call, password: ChosenPassword) -> None:
    """Choose a password by a one-time link; one signs in with it afterwards."""
    member = to.entrances.enter(password.token, password.password)
    to.audit_log.note(
        AuditEntry(
            practice_id=member.practice_id,
            member_id=member.id,
            who=member.name,
            act="manage",
            what=msg("password chosen by a one-time link"),
            target=AuditTarget(),
            request_id=call.id,
        )
    )


@post("/forgotten", Needs.NOBODY, status=202, attempts="reset")
def forgotten(to: Services, call: Call, attempts: Attempts, password: ForgottenPassword) -> None:
    """Ask for a password reset link. The answer is the same whether or not the address has an account."""
    if not _resets_by_mail(to, call):
        raise NotAllowed(msg("Email is not set up here. Ask an owner of your practice for a link."))
    to.entrances.ask_reset(password.email, attempts, base=call.base_url)
