"""Errors as problem JSON (RFC 9457), in one place."""

from __future__ import annotations

from typing import Any

from fastapi import FastAPI, Request
from fastapi.exceptions import RequestValidationError
from fastapi.responses import JSONResponse
from psycopg.errors import DiskFull
from sqlalchemy.exc import OperationalError
from sqlalchemy.exc import TimeoutError as PoolTimeout
from starlette.exceptions import HTTPException

from ..core.errors import FieldError
from ..core.language import Language, filled, language_of, msg
from ..core.words import invalid_at
from ..schemas.problem import Problem, problem_of, problem_of_field
from ..services import errors as service

PROBLEMS: dict[int | str, dict[str, Any]] = {
    code: {"model": Problem, "description": words, "content": {"application/problem+json": {}}}
    for code, words in (
        (401, msg("Not signed in")),
        (403, msg("Not allowed")),
        (404, msg("Not found")),
        (409, msg("Conflict")),
        (422, msg("Bad value")),
    )
}


def reader_of(request: Request) -> Language:
    """The language that whoever asks reads, in their practice’s own words once it is known which."""
    own = getattr(request.state, "own_words", None)
    return language_of(request.headers.get("accept-language", "en"), own)


def answer(
    request: Request, problem: Problem, headers: dict[str, str] | None = None
) -> JSONResponse:
    """A problem as a response in the reader's language; what is not whole Unicode is shown as far as it can be."""
    said = reader_of(request).say(problem.model_dump(exclude_none=True))
    for name, text in said.items():
        if isinstance(text, str):
            said[name] = text.encode("utf-8", "replace").decode()
    return JSONResponse(
        said, status_code=problem.status, headers=headers, media_type="application/problem+json"
    )


def _field(request: Request, error: FieldError) -> JSONResponse:
    return answer(request, problem_of_field(error))


def _service(request: Request, error: service.ServiceError) -> JSONResponse:
    headers = {"Retry-After": str(error.seconds)} if isinstance(error, service.LockedOut) else None
    return answer(request, problem_of(error), headers)


def _validation(request: Request, error: RequestValidationError) -> JSONResponse:
    first = error.errors()[0]
    place = [part for part in first["loc"] if part not in ("body", "query", "path")]
    where, words = invalid_at(place, first, whole="")
    value = first.get("input")
    shown = None if value is None or isinstance(value, dict | list) else str(value)[:200]
    return answer(
        request,
        Problem(
            type="bad-request",
            title=msg("Invalid request"),
            status=422,
            detail=filled("{where}: {words}", where=where or "request", words=words),
            field=where,
            value=shown,
        ),
    )


def _http(request: Request, error: HTTPException) -> JSONResponse:
    detail = str(error.detail)
    problem = Problem(type="http", title=detail, status=error.status_code, detail=detail)
    return answer(request, problem, dict(error.headers) if error.headers else None)


NO_DATABASE = Problem(
    type="no-database",
    title=msg("The database is not responding"),
    status=503,
    detail=msg("Nothing has been lost. Your change will be sent again automatically."),
)
TOO_SLOW = Problem(
    type="too-slow",
    title=msg("No answer in time"),
    status=503,
    detail=msg(
        "The server is busy or its database is unavailable. Nothing has been lost; it will retry automatically."
    ),
)
NO_ROOM = Problem(
    type="no-room",
    title=msg("The server’s disk is full"),
    status=507,
    detail=msg(
        "The server can’t store anything new. Your entries stay on this device and will be sent again. Contact your administrator."
    ),
)
AGAIN = {"Retry-After": "2"}


def _database(request: Request, error: Exception) -> JSONResponse:
    full = isinstance(getattr(error, "orig", None), DiskFull)
    return answer(request, NO_ROOM if full else NO_DATABASE, AGAIN)


def add_handlers(app: FastAPI) -> None:
    """Register all handlers."""
    app.exception_handler(FieldError)(_field)
    app.exception_handler(service.ServiceError)(_service)
    app.exception_handler(RequestValidationError)(_validation)
    app.exception_handler(HTTPException)(_http)
    app.add_exception_handler(OperationalError, _database)
    app.add_exception_handler(PoolTimeout, _database)
