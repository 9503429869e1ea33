"""Errors as problem JSON (RFC 9457), in one place."""

from __future__ import annotations

from typing import Any

from fastapi import FastAPI, Request
from fastapi.encoders import jsonable_encoder
from fastapi.exceptions import RequestValidationError
from fastapi.responses import JSONResponse
from pydantic import BaseModel
from sqlalchemy.exc import OperationalError
from sqlalchemy.exc import TimeoutError as PoolTimeout
from starlette.exceptions import HTTPException

from ..core.errors import FieldError
from ..services import errors as service


class Problem(BaseModel):
    """What went wrong; ``field``, ``value``, ``low``, ``high`` and ``unit`` where one field did.

    ``choices`` are what may have been meant, ``belongs`` the field it may belong to.
    """

    type: str
    title: str
    status: int
    detail: str
    field: str | None = None
    value: str | None = None
    low: float | None = None
    high: float | None = None
    unit: str | None = None
    choices: list[str] | None = None
    belongs: str | None = None
    consent: str | None = None
    current: dict[str, Any] | None = None
    missing: list[dict[str, str]] | None = None
    lines: list[dict[str, str]] | None = None


PROBLEMS: dict[int | str, dict[str, Any]] = {
    code: {"model": Problem, "description": words, "content": {"application/problem+json": {}}}
    for code, words in (
        (401, "Not signed in"),
        (403, "Not allowed"),
        (404, "Not found"),
        (409, "Conflict"),
        (422, "Bad value"),
    )
}


_STATUS: dict[type[service.ServiceError], tuple[int, str]] = {
    service.NotSignedIn: (401, "not-signed-in"),
    service.NeedsCode: (401, "needs-code"),
    service.MustEnrol: (403, "must-enrol"),
    service.NotAllowed: (403, "not-allowed"),
    service.NotFound: (404, "not-found"),
    service.AlreadyThere: (409, "already-there"),
    service.Stale: (409, "stale"),
    service.MovedOn: (409, "moved-on"),
    service.HoldsSomething: (409, "holds-something"),
    service.WrongPassword: (403, "wrong-password"),
    service.BadFile: (422, "bad-file"),
    service.ReusedChange: (409, "reused-change"),
    service.NeedsConsent: (422, "needs-consent"),
    service.Withheld: (403, "withheld"),
    service.BadPicture: (422, "bad-picture"),
    service.NoAnswer: (503, "no-answer"),
    service.MailTrouble: (503, "no-answer"),
    service.MailRefused: (422, "mail-refused"),
    service.NotReady: (422, "not-ready"),
    service.LockedOut: (429, "locked-out"),
}


def answer(problem: Problem, headers: dict[str, str] | None = None) -> JSONResponse:
    """A problem as a response; text that is not whole Unicode is shown as far as it can be."""
    said = problem.model_dump(exclude_none=True)
    for name, text in said.items():
        if isinstance(text, str):
            said[name] = text.encode("utf-8", "replace").decode()
    return JSONResponse(
        said, status_code=problem.status, headers=headers, media_type="application/problem+json"
    )


def _field(_: Request, error: FieldError) -> JSONResponse:
    return answer(
        Problem(
            type="bad-value",
            title="This value can't be saved",
            status=422,
            detail=error.message,
            field=error.field,
            value=error.value,
            low=error.low,
            high=error.high,
            unit=error.unit,
            choices=list(error.choices) or None,
            belongs=error.belongs or None,
        )
    )


def _service(_: Request, error: service.ServiceError) -> JSONResponse:
    status, kind = _STATUS[type(error)]
    problem = Problem(type=kind, title=kind.replace("-", " "), status=status, detail=str(error))
    headers = None
    if isinstance(error, service.Stale):
        problem.current = jsonable_encoder(error.current)
    if isinstance(error, service.BadFile):
        problem.lines = [
            {"line": line, "field": field, "reason": reason} for line, field, reason in error.lines
        ]
    if isinstance(error, service.NeedsConsent):
        problem.field, problem.consent = error.field, error.consent
    if isinstance(error, service.BadPicture):
        problem.field, problem.unit = "picture", error.unit or None
        problem.value = f"{error.value:g}" if error.value is not None else None
        problem.low, problem.high = error.low, error.high
    if isinstance(error, service.NotReady):
        problem.missing = [{"field": path, "detail": words} for path, words in error.missing]
    if isinstance(error, service.LockedOut):
        headers = {"Retry-After": str(error.seconds)}
    return answer(problem, headers)


def _validation(_: Request, error: RequestValidationError) -> JSONResponse:
    first = error.errors()[0]
    where = ".".join(str(part) for part in first["loc"] if part not in ("body", "query", "path"))
    given = first.get("input")
    shown = None if given is None or isinstance(given, dict | list) else str(given)[:200]
    return answer(
        Problem(
            type="bad-request",
            title="Invalid request",
            status=422,
            detail=f"{where or 'request'}: {first['msg']}",
            field=where,
            value=shown,
        )
    )


def _http(_: Request, error: HTTPException) -> JSONResponse:
    detail = str(error.detail)
    problem = Problem(type="http", title=detail, status=error.status_code, detail=detail)
    return answer(problem, dict(error.headers) if error.headers else None)


def _database(_: Request, __: Exception) -> JSONResponse:
    return answer(
        Problem(
            type="no-database",
            title="The database is not responding",
            status=503,
            detail="Nothing has been lost. Your change will be sent again automatically.",
        ),
        {"Retry-After": "2"},
    )


def add_handlers(app: FastAPI) -> None:
    """Register all handlers."""
    app.exception_handler(FieldError)(_field)
    app.exception_handler(service.ServiceError)(_service)
    app.exception_handler(RequestValidationError)(_validation)
    app.exception_handler(HTTPException)(_http)
    app.add_exception_handler(OperationalError, _database)
    app.add_exception_handler(PoolTimeout, _database)
