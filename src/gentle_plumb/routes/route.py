"""How a call is declared: a plain function, with who may make it, what it leaves in the audit log, how long it may take.

A handler's parameters are told apart by their types: the services, the call itself, the limit of attempts, a file that was sent (``bytes``), a model (the body, or the query where it is marked
so). ``who`` is who asks; a name that stands in the path is read from there, every other one from the query.

Nothing here knows a web server: ``api`` registers routes for one, ``on_device`` for the page.
"""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from enum import Enum
from functools import cached_property
from inspect import Parameter, signature
from typing import Annotated, Any, Generic, Literal, TypeVar, get_args, get_origin, get_type_hints
from uuid import UUID

from pydantic import BaseModel, TypeAdapter
from pydantic_core import to_json

from ..core.language import Language
from ..services.errors import NotAllowed
from ..services.exchange import too_long
from ..services.models import Member, Practice, Session
from ..services.models.audit_log import Act, TargetKind
from ..services.permissions import require_health, require_office, require_writer
from ..services.throttle import AttemptKind, Attempts

T = TypeVar("T")
IN_QUERY = "in the query"
"""Marks a model that is read from the query: ``Annotated[View, IN_QUERY]``."""
ANSWERS_WITHIN_S = 15.0
"""So long a call may take to begin its answer, s: five times the slowest plan. House value."""
TARGETS: Mapping[str, TargetKind] = {
    "visit_id": "visit",
    "client_id": "client",
    "report_id": "report",
    "photo_id": "photo",
    "link_id": "link",
    "check_id": "check",
}
"""Identifiers of things that are somebody's, by their names in paths and bodies."""


class Needs(Enum):
    """Who may make a call."""

    NOBODY = "anybody"
    OWN_PAGE = "a client whose page is open"
    AT_LOCK = "a member, even at the lock of their session"
    SESSION = "a member whose session may have timed out"
    MEMBER = "a member"
    HEALTH = "a member who sees health data"
    OFFICE = "a member who keeps names, contact data and the shelf"
    WRITER = "a member who works with clients"
    WRITER_WITH_HEALTH = "a member who works with clients and sees health data"
    OWNER = "an owner"

    @property
    def of_members(self) -> bool:
        """Whether a session in use is asked for, with its token where anything is changed."""
        return self not in (Needs.NOBODY, Needs.OWN_PAGE, Needs.AT_LOCK, Needs.SESSION)

    def require(self, member: Member) -> None:
        """Raises NotAllowed for a member whose role does not reach that far."""
        if self is Needs.OWNER and member.role != "owner":
            raise NotAllowed("Only an owner can do this.")
        if self is Needs.OFFICE:
            require_office(member)
        if self in (Needs.WRITER, Needs.WRITER_WITH_HEALTH):
            require_writer(member)
        if self in (Needs.HEALTH, Needs.WRITER_WITH_HEALTH):
            require_health(member)


@dataclass(frozen=True)
class AuditEvent:
    """The line a call leaves in the audit log: what was done to what."""

    act: Act
    what: str


@dataclass(frozen=True)
class FileBody:
    """A body that is a file: at most so many bytes, and what is raised for a longer one."""

    most: int
    refused: Callable[[int, int], Exception] = too_long
    media: str = "application/octet-stream"


@dataclass(frozen=True, kw_only=True)
class Caller:
    """A member who asks, and their practice."""

    member: Member
    practice: Practice


@dataclass(frozen=True, kw_only=True)
class SignedIn(Caller):
    """A member who asks on the server, in a session."""

    session: Session


@dataclass(frozen=True, kw_only=True)
class Call:
    """A call to the server: who sends it, from which browser, at which address."""

    id: str
    sender: str
    browser: str
    base_url: str
    from_this_machine: bool
    cookies: Mapping[str, str]


@dataclass(frozen=True, kw_only=True)
class FileAnswer:
    """An answer that is a file; ``clients`` are whose data it holds, for the audit log."""

    content: bytes | str
    media: str
    name: str = ""
    inline: bool = False
    clients: frozenset[UUID] = frozenset()


@dataclass(frozen=True, kw_only=True)
class Cookie:
    """A cookie to be set, or taken away where it has no value: one of the site's, or of one part of it."""

    name: str
    value: str = ""
    seconds: int = 0
    path: str = "/"


@dataclass(frozen=True)
class WithCookies(Generic[T]):
    """An answer that sets cookies."""

    value: T
    cookies: tuple[Cookie, ...]


@dataclass(frozen=True)
class Drawing(Generic[T]):
    """An answer that takes drawing, which has a queue of its own on the server.

    ``without`` is what is answered where many drawings are wanted at once: the change that was made,
    and the revision it led to. None where the drawing is all that was asked for.
    """

    visit_id: UUID
    draw: Callable[[], T]
    without: T | None = None
    revision: int = 0


Lane = Literal["usual", "hashing"]
"""On which threads a handler runs: passwords are checked on a few of their own."""


@dataclass(frozen=True, kw_only=True)
class Route:
    """A call, declared.

    Parameters
    ----------
    method, path : str
        The path below ``/api``.
    handler : callable
    needs : Needs
        Who may make it.
    audit : AuditEvent, optional
        What it leaves in the audit log; None where it holds nothing of a client, and changes nothing about who comes in.
    within_s : float, optional
        How long it may take to begin its answer, s; None for what makes papers, takes files or erases.
    attempts : AttemptKind, optional
        What a wrong secret counts as: too many have to wait.
    status : int
        Of its answer where all goes well.
    file : FileBody, optional
        Where its body is a file.
    media : str, optional
        Of its answer where that is a file.
    offline : bool
        Whether a device answers it without network.
    refusals : tuple of int
        What else it may answer, beside what every call of its kind may.
    enrolling : bool
        Open to a member who has yet to set up the second factor that the practice asks for.
    unattended : bool
        Made by a page by itself, and with nothing of a client in its answer: it is no use of the session, which
        locks when its page is left alone.
    even_hidden : bool
        Open to an owner also for a client that is hidden from them.
    before : callable, optional
        Asked before any of a file is read; raises what refuses it.

    """

    method: str
    path: str
    handler: Callable[..., Any]
    needs: Needs
    audit: AuditEvent | None = None
    within_s: float | None = ANSWERS_WITHIN_S
    attempts: AttemptKind | None = None
    status: int = 200
    file: FileBody | None = None
    media: str | None = None
    offline: bool = False
    refusals: tuple[int, ...] = ()
    enrolling: bool = False
    even_hidden: bool = False
    unattended: bool = False
    lane: Lane = "usual"
    before: Callable[..., None] | None = None
    tag: str = "practice"

    def __post_init__(self) -> None:
        """Refuse a route that reaches a client's things and leaves nothing; raises ValueError."""
        theirs = any(f"{{{name}}}" in self.path for name in TARGETS)
        bare = self.needs is Needs.MEMBER or self.unattended
        if theirs and self.audit is None and not bare:
            raise ValueError(
                f"{self.method} {self.path}: what it leaves in the audit log is missing"
            )

    @cached_property
    def parameters(self) -> dict[str, ParameterOf]:
        """The handler's parameters by name."""
        hints = get_type_hints(self.handler, include_extras=True)
        return {
            name: ParameterOf.of(name, hints[name], parameter, self.path)
            for name, parameter in signature(self.handler).parameters.items()
        }

    @cached_property
    def file_parameter(self) -> str:
        """The parameter that is the file which was sent."""
        return next(name for name, of in self.parameters.items() if of.source == "file")

    @cached_property
    def returns(self) -> Any:
        """The type of its answer; None for a file, and for nothing."""
        hint = get_type_hints(self.handler, include_extras=True)["return"]
        for part in (hint, *get_args(hint)):
            if get_origin(part) in (Drawing, WithCookies):
                (hint,) = get_args(part)
        return None if hint is FileAnswer or hint is type(None) else hint

    @cached_property
    def _answer(self) -> TypeAdapter[Any]:
        return TypeAdapter(self.returns)

    def written(self, answer: Any, language: Language) -> bytes:
        """An answer as JSON in a reader's language: what its declared type names, and nothing else of it."""
        if self.returns is None:
            return b"null"
        if language.english:
            return self._answer.dump_json(answer)
        return to_json(language.say(self._answer.dump_python(answer)))


Source = Literal["services", "caller", "call", "attempts", "file", "body", "path", "query"]


@dataclass(frozen=True, kw_only=True)
class ParameterOf:
    """A parameter of a handler: its type, where it is read from, and what it is where it is left out."""

    name: str
    type: Any
    source: Source
    default: Any = Parameter.empty

    @classmethod
    def of(cls, name: str, hint: Any, parameter: Parameter, path: str) -> ParameterOf:
        """Tell from its type and name where a parameter is read from."""
        marks = get_args(hint)[1:] if get_origin(hint) is Annotated else ()
        bare = get_args(hint)[0] if get_origin(hint) is Annotated else hint
        source: Source = "query"
        if name == "who":
            source = "caller"
        elif IN_QUERY in marks:
            hint = bare
        elif f"{{{name}}}" in path:
            source = "path"
        elif bare is bytes:
            source = "file"
        elif isinstance(bare, type):
            source = _source_of(bare)
        return cls(name=name, type=hint, source=source, default=parameter.default)

    @property
    def is_model(self) -> bool:
        """Whether it is a model, of the whole query or body."""
        return isinstance(self.type, type) and issubclass(self.type, BaseModel)

    @cached_property
    def _adapter(self) -> TypeAdapter[Any]:
        return TypeAdapter(self.type)

    def read(self, value: Any) -> Any:
        """A value as the parameter's type; raises ValidationError."""
        return self._adapter.validate_python(value)


def _source_of(kind: type) -> Source:
    for base, source in _SOURCES.items():
        if issubclass(kind, base):
            return source
    if issubclass(kind, BaseModel) or hasattr(kind, "__dataclass_fields__"):
        return "body"
    return "query"


class ServicesOfRoutes:
    """Base of what handlers hand over to."""


_SOURCES: Mapping[type, Source] = {ServicesOfRoutes: "services", Call: "call", Attempts: "attempts"}


class Routes(list[Route]):
    """Routes of one subject, declared by decorators.

    ``on_device`` is whether a device registers them as well; in other lists no route can be called offline.
    """

    def __init__(
        self, tag: str, prefix: str = "", *, on_device: bool = False, **usual: Any
    ) -> None:
        super().__init__()
        self._tag, self._prefix, self._on_device, self._usual = tag, prefix, on_device, usual

    def _declare(self, method: str, path: str, needs: Needs, **more: Any) -> Callable[[T], T]:
        def declared(handler: T) -> T:
            audit = more.pop("audit", None)
            if more.get("offline") and not self._on_device:
                raise ValueError(
                    f"{method} {self._prefix}{path}: a device does not register the routes of this list"
                )
            self.append(
                Route(
                    method=method,
                    path=f"{self._prefix}{path}",
                    handler=handler,  # type: ignore[arg-type]
                    needs=needs,
                    audit=AuditEvent(*audit) if audit is not None else None,
                    tag=self._tag,
                    **{**self._usual, **more},
                )
            )
            return handler

        return declared

    def get(self, path: str, needs: Needs, **more: Any) -> Callable[[T], T]:
        """Declare what is looked at."""
        return self._declare("GET", path, needs, **more)

    def post(self, path: str, needs: Needs, **more: Any) -> Callable[[T], T]:
        """Declare what is added or done."""
        return self._declare("POST", path, needs, **more)

    def put(self, path: str, needs: Needs, **more: Any) -> Callable[[T], T]:
        """Declare what is put in the place of what was there."""
        return self._declare("PUT", path, needs, **more)

    def delete(self, path: str, needs: Needs, **more: Any) -> Callable[[T], T]:
        """Declare what is taken away."""
        return self._declare("DELETE", path, needs, **more)
