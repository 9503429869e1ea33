"""Declared routes, registered for FastAPI."""

from __future__ import annotations

from collections.abc import Awaitable, Callable, Coroutine, Iterable
from functools import partial
from inspect import Parameter, Signature
from typing import Annotated, Any, get_args, get_origin

from anyio import CapacityLimiter, to_thread
from fastapi import APIRouter, Depends, Path, Query, Request, Response
from fastapi.responses import JSONResponse
from fastapi.routing import APIRoute
from pydantic.fields import FieldInfo

from ..core.language import Language
from ..routes.route import (
    Caller,
    Cookie,
    Drawing,
    FileAnswer,
    Needs,
    ParameterOf,
    Route,
    WithCookies,
)
from ..schemas.problem import Problem
from .audit import audited
from .auth import (
    SAFE,
    call_of,
    caller_of,
    check_origin,
    cookie_name,
    secure_cookie,
    sender_of,
    services_of,
)
from .limits import read_file, with_a_body_limit, within_its_time
from .problems import PROBLEMS, reader_of
from .render_queue import BUSY, drawn

PREFIX = "/api"
JSON = "application/json"
_HASHING = CapacityLimiter(2)
"""Passwords are checked on threads of their own: who floods the sign-in keeps nobody's work waiting."""


class DeclaredRoute(APIRoute):
    """A route with what its declaration asks for around its handler."""

    def get_route_handler(self) -> Callable[[Request], Coroutine[Any, Any, Response]]:
        """Wrap FastAPI's own handler."""
        route: Route = self.endpoint.__declared__  # type: ignore[attr-defined]
        handle = with_a_body_limit(route, audited(route, super().get_route_handler()))
        handle = within_its_time(route, handle)

        async def handled(request: Request) -> Response:
            return await handle(request)

        return handled


def router_of(routes: Iterable[Route]) -> APIRouter:
    """All routes, each registered by its declaration."""
    router = APIRouter(prefix=PREFIX, route_class=DeclaredRoute)
    for route in routes:
        router.add_api_route(
            route.path,
            _endpoint(route),
            methods=[route.method],
            status_code=route.status,
            tags=[route.tag],
            response_model=route.returns,
            response_class=Response if route.media is not None else JSONResponse,
            responses=_responses(route),
            openapi_extra=_file_body(route),
        )
    return router


class _Json(Response):
    media_type = JSON


def _responses(route: Route) -> dict[int | str, dict[str, Any]]:
    """What is answered beside the declared answer."""
    codes = [401, 403, 404, 422] if route.needs is Needs.NOBODY else [*PROBLEMS]
    responses = {code: PROBLEMS[code] for code in codes}
    more = [*route.refusals, *([429] if route.attempts is not None else [])]
    responses |= {code: {"model": Problem} for code in more}
    if route.media is not None:
        content: dict[str, Any] = {media.strip(): {} for media in route.media.split(",")}
        responses[200] = {"content": content}
    return responses


def _file_body(route: Route) -> dict[str, Any] | None:
    if route.file is None:
        return None
    schema = {"schema": {"type": "string", "format": "binary"}}
    return {"requestBody": {"required": True, "content": {route.file.media: schema}}}


def _endpoint(route: Route) -> Callable[..., Awaitable[Response]]:
    """A handler as FastAPI reads it: its signature says what is read from where."""

    async def endpoint(_request: Request, **given: Any) -> Response:
        return await _answer(route, _request, given)

    parameters = [Parameter("_request", Parameter.POSITIONAL_OR_KEYWORD, annotation=Request)]
    for parameter in route.parameters.values():
        annotation = _annotation(route, parameter)
        if annotation is not None:
            parameters.append(
                Parameter(
                    parameter.name,
                    Parameter.KEYWORD_ONLY,
                    annotation=annotation,
                    default=parameter.default,
                )
            )
    endpoint.__signature__ = Signature(parameters)  # type: ignore[attr-defined]
    endpoint.__declared__ = route  # type: ignore[attr-defined]
    endpoint.__name__ = route.handler.__name__
    endpoint.__doc__ = route.handler.__doc__
    return endpoint


def _annotation(route: Route, of: ParameterOf) -> Any:
    """What FastAPI is to read a parameter by; None for what the program puts in itself."""
    if of.source == "caller":
        return Annotated[Any, Depends(caller_of(route))]
    if of.source == "path":
        return Annotated[of.type, Path(description=_description(of.type))]
    if of.source == "query":
        return Annotated[of.type, Query(description=_description(of.type))]
    return of.type if of.source == "body" else None


def _description(hint: Any) -> str | None:
    marks = get_args(hint)[1:] if get_origin(hint) is Annotated else ()
    return next((mark.description for mark in marks if isinstance(mark, FieldInfo)), None)


async def _answer(route: Route, request: Request, given: dict[str, Any]) -> Response:
    services = services_of(request)
    if route.needs is Needs.NOBODY and request.method not in SAFE:
        check_origin(request)
    for parameter in route.parameters.values():
        if parameter.source == "services":
            given[parameter.name] = services
        elif parameter.source == "call":
            given[parameter.name] = call_of(request)
        elif parameter.source == "attempts" and route.attempts is not None:
            given[parameter.name] = services.attempts(route.attempts, sender_of(request))
    if route.file is not None:
        if route.before is not None:
            await to_thread.run_sync(partial(route.before, **given))
        given[route.file_parameter] = await read_file(request, route.file)
    limiter = _HASHING if route.lane == "hashing" else None
    asked = partial(_handled, route, given, request)
    answer, language = await to_thread.run_sync(asked, limiter=limiter)
    return await _response(route, request, answer, language)


def _handled(route: Route, given: dict[str, Any], request: Request) -> tuple[Any, Language]:
    """A handler's answer, written out on the same thread in the words of whoever asks."""
    caller = next((part for part in given.values() if isinstance(part, Caller)), None)
    if caller is not None:
        languages = services_of(request).languages
        request.state.own_words = languages.words_of(caller.practice.id)
    language = reader_of(request)
    answer = route.handler(**given)
    if isinstance(answer, FileAnswer | Drawing):
        return answer, language
    if isinstance(answer, WithCookies):
        return WithCookies(route.written(answer.value, language), answer.cookies), language
    return route.written(answer, language), language


async def _response(route: Route, request: Request, answer: Any, language: Language) -> Response:
    if isinstance(answer, FileAnswer):
        request.state.clients_out = answer.clients
        return _file(route, answer)
    cookies: tuple[Cookie, ...] = ()
    if isinstance(answer, WithCookies):
        answer, cookies = answer.value, answer.cookies
    if isinstance(answer, Drawing):
        answer, revision = await drawn(request, answer, partial(route.written, language=language))
        if answer is None:
            return Response(status_code=204)
        headers = {BUSY: str(revision)} if revision is not None else None
        return _Json(answer, status_code=route.status, headers=headers)
    if route.status == 204:
        response = Response(status_code=204)
    else:
        response = _Json(answer, status_code=route.status)
    for cookie in cookies:
        _set(response, request, cookie)
    return response


def _file(route: Route, answer: FileAnswer) -> Response:
    how = "inline" if answer.inline else "attachment"
    named = {"Content-Disposition": f'{how}; filename="{answer.name}"'} if answer.name else None
    return Response(
        answer.content, status_code=route.status, media_type=answer.media, headers=named
    )


def _set(response: Response, request: Request, cookie: Cookie) -> None:
    secure = secure_cookie(request)
    name = cookie_name(cookie.name, secure)
    response.set_cookie(
        name,
        cookie.value,
        max_age=cookie.seconds,
        path=cookie.path,
        secure=secure,
        httponly=True,
        samesite="strict",
    )
