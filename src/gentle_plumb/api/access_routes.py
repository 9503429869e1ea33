"""Routes of coming in by a one-time link, and of clients that are open to some only."""

from __future__ import annotations

from uuid import UUID

from anyio import to_thread
from fastapi import APIRouter, Request

from ..schemas import Welcome
from ..schemas import access as s
from ..schemas.problem import Problem
from ..services.errors import NotAllowed
from ..services.models import Member
from ..services.models.trail import Deed, TrailTarget
from .account_routes import hashing
from .auth import LOOPBACK, Signed, With, check_origin
from .dependencies import Services
from .problems import PROBLEMS
from .traced import TracedRoute

access_router = APIRouter(
    prefix="/api", tags=["people"], responses=PROBLEMS, route_class=TracedRoute
)
door_router = APIRouter(
    prefix="/api",
    tags=["open"],
    responses={**{code: PROBLEMS[code] for code in (403, 404, 422)}, 429: {"model": Problem}},
)


def base_of(request: Request, services: Services) -> str:
    """The address people reach the program at, as a link begins."""
    return services.public_url.rstrip("/") or f"{request.url.scheme}://{request.headers['host']}"


def resets_by_mail(request: Request, services: Services) -> bool:
    """Whether somebody who is not signed in can have a link mailed.

    Only where the address in it is known: a stranger could name any host in their call, and have a mail lead there.
    """
    known = services.public_url or (request.url.hostname or "") in LOOPBACK
    return services.entrances.mails and bool(known)


@access_router.get("/invitations")
def invitations(services: With, who: Signed) -> list[s.OneTimeLinkOut]:
    """One-time links that wait; owners only."""
    return [s.OneTimeLinkOut.of(*one) for one in services.entrances.invitations(who.member)]


@access_router.post("/invitations", status_code=201)
def invite(request: Request, services: With, who: Signed, given: s.InvitationIn) -> s.MadeDoorOut:
    """Invite somebody by mail; owners only. Without a mail server the link is told here, this once."""
    base = base_of(request, services)
    made = services.entrances.invite(who.member, who.practice, base=base, **given.model_dump())
    return s.MadeDoorOut.of(made)


@access_router.post("/invitations/{door_id}/again", status_code=201)
def invite_again(request: Request, services: With, who: Signed, door_id: UUID) -> s.MadeDoorOut:
    """Send another link in place of one; owners only."""
    base = base_of(request, services)
    return s.MadeDoorOut.of(services.entrances.again(who.member, who.practice, door_id, base=base))


@access_router.delete("/invitations/{door_id}", status_code=204)
def withdraw(services: With, who: Signed, door_id: UUID) -> None:
    """Close a one-time link at once; owners only."""
    services.entrances.withdraw(who.member, door_id)


@access_router.post("/members/{member_id}/reset", status_code=201)
def reset_for(request: Request, services: With, who: Signed, member_id: UUID) -> s.MadeDoorOut:
    """Let a colleague set their password anew; owners only."""
    base = base_of(request, services)
    made = services.entrances.reset_for(who.member, who.practice, member_id, base=base)
    return s.MadeDoorOut.of(made)


@access_router.get("/restricted")
def restricted(services: With, who: Signed) -> list[s.AccessOut]:
    """Clients that some see only; owners only."""
    return [s.AccessOut.of(one) for one in services.access.restricted(who.member)]


@access_router.get("/restricted/{client_id}")
def access_of(services: With, who: Signed, client_id: UUID) -> s.AccessOut:
    """Who sees a client."""
    return s.AccessOut.of(services.access.of(who.member, client_id))


@access_router.put("/restricted/{client_id}")
def put_access(services: With, who: Signed, client_id: UUID, given: s.AccessIn) -> s.AccessOut:
    """Open a client to some members only, or to all."""
    made = services.access.put(
        who.member,
        client_id,
        restricted=given.restricted,
        members=given.members,
        knowing=given.knowing,
    )
    return s.AccessOut.of(made)


@door_router.get("/welcome")
def welcome(request: Request, services: With) -> Welcome:
    """What the sign-in page shows; credentials only in demo mode."""
    return Welcome(demo=services.demo_people, mails=resets_by_mail(request, services))


@door_router.post("/entrance")
def look(request: Request, services: With, given: s.EntranceIn) -> s.EntranceOut:
    """What a one-time link opens."""
    check_origin(request)
    return s.EntranceOut.of(services.entrances.look(given.token))


@door_router.put("/entrance", status_code=204)
async def enter(request: Request, services: With, given: s.EnterIn) -> None:
    """Choose a password by a one-time link; one signs in with it afterwards."""
    check_origin(request)
    member = await hashing(lambda: services.entrances.enter(given.token, given.password))
    await to_thread.run_sync(_note, services, request, member)


@door_router.post("/forgotten", status_code=202)
def forgotten(request: Request, services: With, given: s.ForgottenIn) -> None:
    """Ask for a link to set one's password anew; whether anybody has this address is not told."""
    check_origin(request)
    if not resets_by_mail(request, services):
        raise NotAllowed("No link is mailed here. An owner of your practice can give you one.")
    sender = request.client.host if request.client else ""
    services.entrances.ask_reset(given.email, sender=sender, base=base_of(request, services))


def _note(services: Services, request: Request, member: Member) -> None:
    services.trail.note(
        Deed(
            practice_id=member.practice_id,
            member_id=member.id,
            who=member.name,
            act="manage",
            what="password chosen by a one-time link",
            target=TrailTarget(),
            request_id=str(getattr(request.state, "request_id", "")),
        )
    )
