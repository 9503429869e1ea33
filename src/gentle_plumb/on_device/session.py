"""One sitting without network: requests as the server gets them, answered as the server answers them."""

from __future__ import annotations

import json
import re
from collections.abc import Mapping
from datetime import UTC, datetime
from typing import Any

from pydantic import BaseModel, TypeAdapter, ValidationError

from ..core.errors import FieldError
from ..core.language import Language, filled, joined, language_of, msg
from ..routes.route import Caller, Drawing, Route
from ..routes.visits import VISIT_ROUTES
from ..schemas.problem import Problem, problem_of, problem_of_field
from ..services.drafts import DraftService
from ..services.errors import NeedsServer, NotFound, ServiceError
from ..services.follow_ups import FollowUpService
from ..services.models import Client, ClientView, OfflineData, OfflineVisit
from ..services.reports import ReportService
from ..services.visit_reuse import VisitReuse
from ..services.visits import VisitService
from .pdf import NoFiles, UnavailablePdf
from .photos import ADD_PHOTO, DevicePhotos, DeviceServices
from .records import DeviceRecords

_BELONGINGS = TypeAdapter(OfflineData)
_TAKEN = TypeAdapter(OfflineVisit)
ROUTES: tuple[tuple[re.Pattern[str], Route], ...] = tuple(
    (re.compile(re.sub(r"\{(\w+)\}", r"(?P<\1>[^/]+)", f"{route.method} {route.path}")), route)
    for route in (*VISIT_ROUTES, ADD_PHOTO)
    if route.offline
)
"""What is answered without network, by method and path."""


class Asked(BaseModel):
    """A request: its method, its path below ``/api/``, its query and its body.

    ``client`` is who a visit is begun with, where nothing of theirs was taken along; ``language`` is what the
    reader reads.
    """

    method: str
    path: str
    query: dict[str, Any] = {}
    body: dict[str, Any] | None = None
    client: ClientView | None = None
    language: str = "en"


def now() -> datetime:
    """The device's clock."""
    return datetime.now(UTC)


class DeviceSession:
    """The program over what one member has taken along.

    Parameters
    ----------
    belongings : str
        JSON of :class:`~gentle_plumb.services.models.OfflineData`.

    """

    def __init__(self, belongings: str) -> None:
        mine = _BELONGINGS.validate_json(belongings)
        self._records = DeviceRecords(lambda _: mine.member.name)
        self._records.tables = {table.id: table for table in mine.tables}
        self._records.lists = {measuring_list.id: measuring_list for measuring_list in mine.lists}
        self._records.prices = mine.practice.prices
        visits = VisitService(
            self._records,
            now,
            lambda _: dict(mine.errors),
            lambda _: dict(mine.policies),
            reuse=VisitReuse(most=1, later=None),  # the visit that is open, on its own device
        )
        self._who = Caller(member=mine.member, practice=mine.practice)
        self._services = DeviceServices(
            visits=visits,
            drafts=DraftService(self._records, now),
            follow_ups=FollowUpService(self._records, visits, now),
            reports=ReportService(self._records, visits, UnavailablePdf(), now, NoFiles()),
            photos=DevicePhotos(self._records, now),
        )

    def take(self, visit: str) -> None:
        """Take a visit along: JSON of :class:`~gentle_plumb.services.models.OfflineVisit`."""
        self._records.take(_TAKEN.validate_json(visit))

    def handle(self, request: str) -> str:
        """Answer a request: JSON of :class:`Asked` in, ``{"status", "body"}`` out."""
        asked = Asked.model_validate_json(request)
        status, body = self._answered(asked, language_of(asked.language))
        return f'{{"status":{status},"body":{body}}}'

    def _answered(self, asked: Asked, language: Language) -> tuple[int, str]:
        try:
            return self._done(asked, language)
        except FieldError as error:
            return _problem(problem_of_field(error), language)
        except ServiceError as error:
            return _problem(problem_of(error), language)
        except ValidationError as error:
            first = error.errors()[0]
            where = joined(".", (str(part) for part in first["loc"]))
            return _problem(
                Problem(
                    type="bad-request",
                    title=msg("Invalid request"),
                    status=422,
                    detail=filled("{where}: {msg}", where=where or "request", msg=first["msg"]),
                    field=where,
                ),
                language,
            )

    def _done(self, asked: Asked, language: Language) -> tuple[int, str]:
        self._know(asked.client)
        target = f"{asked.method} /{asked.path.strip('/')}"
        for pattern, route in ROUTES:
            match = pattern.fullmatch(target)
            if match is not None:
                return self._handled(route, asked, match.groupdict(), language)
        raise NeedsServer(msg("You can do this when you are back online."))

    def _handled(
        self, route: Route, asked: Asked, path: Mapping[str, str], language: Language
    ) -> tuple[int, str]:
        route.needs.require(self._who.member)
        query = {name: value for name, value in asked.query.items() if value is not None}
        given: dict[str, Any] = {}
        for name, parameter in route.parameters.items():
            if parameter.source == "services":
                given[name] = self._services
            elif parameter.source == "caller":
                given[name] = self._who
            elif parameter.source == "path":
                given[name] = parameter.read(path[name])
            elif parameter.source == "body":
                given[name] = parameter.read(asked.body)
            elif parameter.is_model:
                given[name] = parameter.read(query)
            elif name in query:
                given[name] = parameter.read(query[name])
        answer = route.handler(**given)
        if isinstance(answer, Drawing):
            answer = answer.draw()
        return route.status, route.written(answer, language).decode()

    def _know(self, client: ClientView | None) -> None:
        if client is None:
            return
        practice_id = self._who.practice.id
        try:
            self._records.client(practice_id, client.id)
        except NotFound:
            self._records.add_client(Client(practice_id=practice_id, **vars(client)))


def _problem(problem: Problem, language: Language) -> tuple[int, str]:
    said = language.say(problem.model_dump(exclude_none=True))
    return problem.status, json.dumps(said, default=str)
