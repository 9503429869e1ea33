"""What of the interface stands in the trail: every route is named here, with its act or as one that leaves none."""

from __future__ import annotations

from collections.abc import Callable, Coroutine
from typing import Any
from uuid import UUID

from fastapi import Request, Response
from fastapi.concurrency import run_in_threadpool
from fastapi.routing import APIRoute

from ..services.errors import NotAllowed
from ..services.models.trail import Act, Deed, TrailTarget
from ..services.own_page import OwnCaller
from .auth import TARGETS, CurrentUser
from .dependencies import Services

TRACED: dict[tuple[str, str], tuple[Act, str]] = {
    ("GET", "/clients"): ("read", "list of clients"),
    ("POST", "/clients"): ("change", "client"),
    ("PUT", "/clients/{client_id}"): ("change", "client"),
    ("DELETE", "/clients/{client_id}"): ("erase", "client"),
    ("GET", "/clients/{client_id}/archive.zip"): ("export", "client"),
    ("POST", "/clients/archive"): ("import", "client"),
    ("GET", "/clients/{client_id}/history"): ("read", "client over time"),
    ("GET", "/visits"): ("read", "list of visits"),
    ("POST", "/visits"): ("change", "visit begun"),
    ("GET", "/visits/{visit_id}"): ("read", "visit"),
    ("DELETE", "/visits/{visit_id}"): ("erase", "visit"),
    ("PUT", "/visits/{visit_id}/discarded"): ("change", "draft, discarded or taken back"),
    ("PUT", "/visits/{visit_id}/changes/{change_id}"): ("change", "visit"),
    ("GET", "/visits/{visit_id}/device"): ("carry", "visit"),
    ("GET", "/visits/{visit_id}/worked"): ("read", "visit"),
    ("GET", "/visits/{visit_id}/given"): ("read", "visit"),
    ("GET", "/visits/{visit_id}/since"): ("read", "visit"),
    ("GET", "/visits/{visit_id}/day"): ("read", "visit"),
    ("GET", "/visits/{visit_id}/movements"): ("read", "visit"),
    ("POST", "/visits/{visit_id}/try"): ("read", "visit"),
    ("POST", "/visits/{visit_id}/stack"): ("read", "visit"),
    ("GET", "/visits/{visit_id}/report"): ("read", "draft"),
    ("GET", "/visits/{visit_id}/report.pdf"): ("print", "draft"),
    ("GET", "/visits/{visit_id}/card.pdf"): ("print", "target card"),
    ("GET", "/visits/{visit_id}/letters/{about}.pdf"): ("print", "letter to a clinician"),
    ("GET", "/visits/{visit_id}/day.ics"): ("export", "calendar"),
    ("PUT", "/visits/{visit_id}/reports/{report_id}"): ("sign", "report"),
    ("GET", "/reports/{report_id}.pdf"): ("print", "signed report"),
    ("GET", "/reports/{report_id}/request.pdf"): ("print", "request to the workplace"),
    ("POST", "/reports/{report_id}/request-answers"): ("read", "workplace's answers"),
    ("PUT", "/visits/{visit_id}/photos/{photo_id}"): ("change", "photograph"),
    ("GET", "/photos/{photo_id}.jpg"): ("read", "photograph"),
    ("DELETE", "/photos/{photo_id}"): ("erase", "photograph"),
    ("POST", "/visits/{visit_id}/instruments/{instrument_id}/readings"): ("read", "visit"),
    ("GET", "/exchange"): ("export", "measurements"),
    ("POST", "/exchange"): ("import", "measurements"),
    ("GET", "/clients/{client_id}/links"): ("read", "client's own page"),
    ("POST", "/links"): ("share", "link to the client's own page"),
    ("POST", "/links/{link_id}/code"): ("share", "code of the client's own page"),
    ("POST", "/links/{link_id}/mail"): ("share", "link by mail"),
    ("DELETE", "/links/{link_id}"): ("change", "link closed"),
    ("GET", "/checks"): ("read", "list of answers"),
    ("GET", "/checks/{check_id}"): ("read", "client's answers"),
    ("PUT", "/checks/{check_id}/decision"): ("change", "decision on answers"),
    ("POST", "/checks/{check_id}/take-over"): ("change", "answers taken over"),
    ("GET", "/own/page"): ("read", "own page"),
    ("PUT", "/own/agreement"): ("answer", "agreement"),
    ("PUT", "/own/rounds/{round}/answer"): ("answer", "answers"),
    ("POST", "/own/rounds/{round}/send"): ("answer", "answers sent"),
    ("PUT", "/own/photos/{photo_id}"): ("answer", "photograph"),
    ("DELETE", "/session"): ("sign_out", ""),
    ("DELETE", "/sessions/{session_id}"): ("sign_out", "another session"),
    ("PUT", "/password"): ("manage", "own password"),
    ("PUT", "/me/registration"): ("manage", "own registration"),
    ("PUT", "/me/second-factor"): ("manage", "own second factor"),
    ("POST", "/me/second-factor/off"): ("manage", "own second factor off"),
    ("DELETE", "/members/{member_id}/second-factor"): ("manage", "second factor reset"),
    ("POST", "/members"): ("manage", "member let in"),
    ("PUT", "/members/{member_id}/health"): ("manage", "view of health data"),
    ("DELETE", "/members/{member_id}"): ("manage", "member left"),
    ("GET", "/invitations"): ("read", "list of invitations"),
    ("POST", "/invitations"): ("manage", "invitation"),
    ("POST", "/invitations/{door_id}/again"): ("manage", "invitation"),
    ("DELETE", "/invitations/{door_id}"): ("manage", "invitation withdrawn"),
    ("POST", "/members/{member_id}/reset"): ("manage", "password reset"),
    ("GET", "/restricted"): ("read", "list of clients open to some"),
    ("PUT", "/restricted/{client_id}"): ("manage", "who sees a client"),
    ("PUT", "/keeping"): ("manage", "periods of keeping"),
    ("DELETE", "/clients/{client_id}/photographs"): ("erase", "photographs"),
    ("POST", "/erasures/{erasure_id}/proof.pdf"): ("print", "proof of erasure"),
    ("DELETE", "/running/failed/{mail_id}"): ("manage", "mail let go"),
    ("PUT", "/practice"): ("manage", "settings"),
    ("PUT", "/languages"): ("manage", "language"),
    ("DELETE", "/languages/{language}"): ("manage", "language"),
    ("POST", "/bulk/papers"): ("export", "papers of a period, asked for"),
    ("GET", "/bulk/{job_id}.zip"): ("export", "papers of a period"),
    ("POST", "/bulk/import"): ("import", "client, by a worker"),
    ("GET", "/trail.csv"): ("export", "trail"),
}
"""Act and thing of each route, by method and path. Signing in writes its own line: it knows who was refused."""
UNTRACED: frozenset[tuple[str, str]] = frozenset(
    {
        *(
            ("GET", at)
            for at in ("/health", "/ready", "/welcome", "/session", "/me", "/sessions", "/members")
        ),
        *(("GET", at) for at in ("/fields", "/shelf", "/policies", "/languages", "/trail")),
        *(
            ("GET", at)
            for at in ("/languages/en.json", "/mailbox", "/instruments", "/desk", "/device")
        ),
        *(("GET", at) for at in ("/restricted/{client_id}", "/keeping", "/running", "/bulk")),
        ("DELETE", "/bulk/{job_id}"),
        *(("POST", at) for at in ("/entrance", "/forgotten")),
        ("PUT", "/entrance"),
        *(("GET", at) for at in ("/measuring/lists", "/measuring/tables", "/measuring/precision")),
        *(("GET", at) for at in ("/drill/{number}", "/drill/{number}/verdict")),
        *(("GET", at) for at in ("/drill/set-up/{number}", "/drill/set-up/{number}/verdict")),
        *(("GET", at) for at in ("/own/map", "/own/rounds/{round}", "/own/doubts")),
        *(
            ("POST", at)
            for at in ("/session/used", "/device/left", "/own/session", "/own/door", "/fit")
        ),
        *(("POST", at) for at in ("/exchange/look", "/light-meter/readings")),
        *(("POST", at) for at in ("/desk/hold", "/desk/stop", "/shelf", "/policies")),
        *(("POST", at) for at in ("/measuring/lists", "/measuring/tables")),
        *((how, "/shelf/{item_id}") for how in ("PUT", "DELETE")),
        *((how, "/policies/{bundle_id}") for how in ("PUT", "DELETE")),
        *((how, "/measuring/lists/{list_id}") for how in ("PUT", "DELETE")),
        ("DELETE", "/measuring/tables/{table_id}"),
        *(("POST", at) for at in ("/session", "/session/confirm", "/session/lock")),
        ("DELETE", "/own/session"),
        *(("GET", at) for at in ("/exchange/template.csv", "/exchange/columns")),
        ("POST", "/me/second-factor"),
        ("PUT", "/desk/presets/{key}"),
        ("PUT", "/instruments/{instrument_id}"),
    }
)
"""Routes that hold nothing of a client, and change nothing about who comes in."""
PREFIX = "/api"


class TracedRoute(APIRoute):
    """A route whose deeds stand in the trail before its answer leaves: no trail, no change, no answer."""

    def get_route_handler(self) -> Callable[[Request], Coroutine[Any, Any, Response]]:
        """Wrap the route's own handler."""
        handle = super().get_route_handler()
        (method,) = self.methods or {"GET"}
        traced = TRACED.get((method, self.path.removeprefix(PREFIX)))
        if traced is None:
            return handle
        act, what = traced
        takes_json = self.body_field is not None  # others read what they are sent themselves

        async def handled(request: Request) -> Response:
            services: Services = request.app.state.services
            target = await _target(services, request)
            if target == TrailTarget() and method == "POST" and takes_json:
                target = await _named_in(services, request)

            def deed_of(made: UUID | None) -> Deed | None:
                about = TrailTarget(client_id=made) if made and target == TrailTarget() else target
                return _deed(request, act, what, about)

            try:
                with services.trail.during(deed_of) as changed:
                    response = await handle(request)
            except NotAllowed:
                await _note(services, _deed(request, "refused", what, target))
                raise
            if response.status_code < 400 and not changed():
                clients = getattr(request.state, "clients_out", ())
                about = [TrailTarget(client_id=one) for one in sorted(clients)] or [target]
                await _note(services, *(_deed(request, act, what, one) for one in about))
            return response

        return handled


async def _note(services: Services, *deeds: Deed | None) -> None:
    """Write down what is not in a line of a moment ago already."""
    fresh = [one for one in deeds if one is not None and not services.trail.gathered(one)]
    if fresh:
        await run_in_threadpool(services.trail.note, *fresh)


async def _target(services: Services, request: Request) -> TrailTarget:
    """Whose the thing in the path is, asked while it is there."""
    for name, kind in TARGETS:
        given = request.path_params.get(name)
        if given is None:
            continue
        try:
            id = UUID(str(given))
        except ValueError:
            return TrailTarget()
        known = services.trail.known(kind, id)
        if known is not None:
            return known
        return await run_in_threadpool(services.trail.target, kind, id)
    return TrailTarget()


async def _named_in(services: Services, request: Request) -> TrailTarget:
    """Whose the thing is that the identifiers in the body name."""
    try:
        given = await request.json()
    except ValueError:  # the route itself says what is wrong with it
        return TrailTarget()
    if not isinstance(given, dict):
        return TrailTarget()
    for name, kind in TARGETS:
        try:
            id = UUID(str(given[name]))
        except (KeyError, ValueError):
            continue
        return await run_in_threadpool(services.trail.target, kind, id)
    return TrailTarget()


def _deed(request: Request, act: Act, what: str, target: TrailTarget) -> Deed | None:
    who = getattr(request.state, "who", None)
    asked = str(getattr(request.state, "request_id", ""))
    if isinstance(who, CurrentUser):
        return Deed(
            practice_id=who.practice.id,
            member_id=who.member.id,
            who=who.member.name,
            act=act,
            what=what,
            target=target,
            request_id=asked,
        )
    if isinstance(who, OwnCaller):
        return Deed(
            practice_id=who.practice.id,
            member_id=None,
            who="The client",
            act=act,
            what=what,
            target=TrailTarget(client_id=who.client.id, visit_id=who.link.visit_id),
            request_id=asked,
        )
    return None
