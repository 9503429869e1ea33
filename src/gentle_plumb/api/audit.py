"""The line that a call leaves in the audit log before its answer leaves: no line, no change, no answer."""

from __future__ import annotations

from collections.abc import Awaitable, Callable
from uuid import UUID

from fastapi import Request, Response
from fastapi.concurrency import run_in_threadpool

from ..core.language import msg
from ..routes.route import TARGETS, AuditEvent, Route, SignedIn
from ..routes.services import Services
from ..services.errors import NotAllowed
from ..services.models.audit_log import AuditEntry, AuditTarget
from ..services.own_page import OwnCaller
from .auth import services_of

Handle = Callable[[Request], Awaitable[Response]]


def audited(route: Route, handle: Handle) -> Handle:
    """Wrap the handler of a route that leaves a line."""
    if route.audit is None:
        return handle
    event = route.audit
    takes_json = any(parameter.source == "body" for parameter in route.parameters.values())

    async def handled(request: Request) -> Response:
        services = services_of(request)
        target = await _target(services, request)
        if target == AuditTarget() and route.method == "POST" and takes_json:
            target = await _named_in(services, request)

        def deed_of(made: UUID | None) -> AuditEntry | None:
            about = AuditTarget(client_id=made) if made and target == AuditTarget() else target
            return _deed(request, event, about)

        try:
            with services.audit_log.during(deed_of) as changed:
                response = await handle(request)
        except NotAllowed:
            await _note(services, _deed(request, AuditEvent("refused", event.what), target))
            raise
        if response.status_code < 400 and not changed():
            clients = getattr(request.state, "clients_out", ())
            about = [AuditTarget(client_id=id) for id in sorted(clients)] or [target]
            await _note(services, *(_deed(request, event, each) for each in about))
        return response

    return handled


async def _note(services: Services, *deeds: AuditEntry | None) -> None:
    """Write down what is not in a line of a moment ago already."""
    fresh = [deed for deed in deeds if deed is not None and not services.audit_log.gathered(deed)]
    if fresh:
        await run_in_threadpool(services.audit_log.note, *fresh)


async def _target(services: Services, request: Request) -> AuditTarget:
    """Whose the thing in the path is, asked while it is there."""
    for name, kind in TARGETS.items():
        value = request.path_params.get(name)
        if value is None:
            continue
        try:
            id = UUID(str(value))
        except ValueError:
            return AuditTarget()
        known = services.audit_log.known(kind, id)
        if known is not None:
            return known
        return await run_in_threadpool(services.audit_log.target, kind, id)
    return AuditTarget()


async def _named_in(services: Services, request: Request) -> AuditTarget:
    """Whose the thing is that the identifiers in the body name."""
    try:
        body = await request.json()
    except ValueError:  # the route itself says what is wrong with it
        return AuditTarget()
    if not isinstance(body, dict):
        return AuditTarget()
    for name, kind in TARGETS.items():
        try:
            id = UUID(str(body[name]))
        except (KeyError, ValueError):
            continue
        return await run_in_threadpool(services.audit_log.target, kind, id)
    return AuditTarget()


def _deed(request: Request, event: AuditEvent, target: AuditTarget) -> AuditEntry | None:
    who = getattr(request.state, "who", None)
    request_id = str(getattr(request.state, "request_id", ""))
    if isinstance(who, SignedIn):
        return AuditEntry(
            practice_id=who.practice.id,
            member_id=who.member.id,
            who=who.member.name,
            act=event.act,
            what=event.what,
            target=target,
            request_id=request_id,
        )
    if isinstance(who, OwnCaller):
        return AuditEntry(
            practice_id=who.practice.id,
            member_id=None,
            who=msg("The client"),
            act=event.act,
            what=event.what,
            target=AuditTarget(client_id=who.client.id, visit_id=who.link.visit_id),
            request_id=request_id,
        )
    return None
