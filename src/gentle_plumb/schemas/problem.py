"""What went wrong, as it goes over the wire: problem JSON (RFC 9457)."""

from __future__ import annotations

from typing import Any

from pydantic import BaseModel, TypeAdapter

from ..core.errors import FieldError
from ..core.language import msg
from ..services import errors as service
from ..services.said import Said

_PLAIN: TypeAdapter[Any] = TypeAdapter(Any)


class Problem(BaseModel):
    """What went wrong; ``field``, ``value``, ``low``, ``high`` and ``unit`` where one field did.

    ``choices`` are what may have been meant, ``belongs`` the field it may belong to.
    """

    type: Said
    title: Said
    status: int
    detail: Said
    field: Said | None = None
    value: Said | None = None
    low: float | None = None
    high: float | None = None
    unit: Said | None = None
    choices: list[Said] | None = None
    belongs: Said | None = None
    consent: Said | None = None
    current: dict[str, Any] | None = None
    missing: list[dict[str, Said]] | None = None
    lines: list[dict[str, Said]] | None = None


_STATUS: dict[type[service.ServiceError], tuple[int, str]] = {
    service.NotSignedIn: (401, "not-signed-in"),
    service.SessionLocked: (401, "locked"),
    service.NoKey: (503, "no-key"),
    service.NeedsCode: (401, "needs-code"),
    service.MustEnrol: (403, "must-enrol"),
    service.NotAllowed: (403, "not-allowed"),
    service.NotFound: (404, "not-found"),
    service.AlreadyThere: (409, "already-there"),
    service.Stale: (409, "stale"),
    service.MovedOn: (409, "moved-on"),
    service.HoldsSomething: (409, "holds-something"),
    service.ShutsOut: (409, "shuts-out"),
    service.WrongPassword: (403, "wrong-password"),
    service.BadFile: (422, "bad-file"),
    service.ReusedChange: (409, "reused-change"),
    service.NeedsConsent: (422, "needs-consent"),
    service.Withheld: (403, "withheld"),
    service.BadPicture: (422, "bad-picture"),
    service.NoAnswer: (503, "no-answer"),
    service.OtherSchema: (503, "other-schema"),
    service.NeedsServer: (503, "needs-server"),
    service.MailTrouble: (503, "no-answer"),
    service.MailRefused: (422, "mail-refused"),
    service.NotReady: (422, "not-ready"),
    service.LockedOut: (429, "locked-out"),
}


def problem_of_field(error: FieldError) -> Problem:
    """What is said of a value that can't be taken."""
    return Problem(
        type="bad-value",
        title=msg("This value can’t be saved"),
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


def problem_of(error: service.ServiceError) -> Problem:
    """What is said of what a service refuses."""
    status, kind = _STATUS[type(error)]
    problem = Problem(type=kind, title=kind.replace("-", " "), status=status, detail=str(error))
    if isinstance(error, service.Stale):
        problem.current = _PLAIN.dump_python(error.current, mode="json")
    if isinstance(error, service.BadFile):
        problem.lines = [{**vars(line)} for line in error.lines]
    if isinstance(error, service.NeedsConsent):
        problem.field, problem.consent = error.field, error.consent
    if isinstance(error, service.BadPicture):
        problem.field, problem.unit = "picture", error.unit or None
        problem.value = f"{error.value:g}" if error.value is not None else None
        problem.low, problem.high = error.low, error.high
    if isinstance(error, service.NotReady):
        problem.missing = [{"field": path, "detail": words} for path, words in error.missing]
    return problem
