"""One sitting without network: requests as the server gets them, answered as the server answers them."""

from __future__ import annotations

import json
from collections.abc import Mapping
from datetime import UTC, datetime
from typing import Any
from uuid import UUID

from pydantic import BaseModel, TypeAdapter, ValidationError

from ..core.errors import FieldError
from ..schemas import ClientIn, ClientOut
from ..schemas.problem import Problem, problem_of, problem_of_field
from ..services.errors import NeedsServer, NotFound, ServiceError
from ..services.follow_ups import FollowUpService
from ..services.models import Belongings, Client, TakenVisit
from ..services.reports import ReportService
from ..services.visits import VisitService
from .press import NoFiles, NoPress
from .records import DeviceRecords
from .visit_requests import VISIT_REQUESTS, Services, written

_BELONGINGS = TypeAdapter(Belongings)
_TAKEN = TypeAdapter(TakenVisit)


class Asked(BaseModel):
    """A request: its method, its path below ``/api/``, its query and its body.

    ``client`` is who a visit is begun with, where nothing of theirs was taken along.
    """

    method: str
    path: str
    query: dict[str, Any] = {}
    body: dict[str, Any] | None = None
    client: ClientOut | None = None


def now() -> datetime:
    """The device's clock."""
    return datetime.now(UTC)


class DeviceSession:
    """The program over what one member has taken along.

    Parameters
    ----------
    belongings : str
        JSON of :class:`~gentle_plumb.services.models.Belongings`.

    """

    def __init__(self, belongings: str) -> None:
        mine = _BELONGINGS.validate_json(belongings)
        self._mine = mine
        self._records = DeviceRecords(lambda _: mine.member.name)
        self._records.tables = {one.id: one for one in mine.tables}
        self._records.lists = {one.id: one for one in mine.lists}
        self._records.prices = mine.practice.prices
        visits = VisitService(
            self._records, now, lambda _: dict(mine.errors), lambda _: dict(mine.policies)
        )
        self._services = Services(
            member=mine.member,
            practice=mine.practice,
            records=self._records,
            visits=visits,
            follow_ups=FollowUpService(self._records, visits, now),
            reports=ReportService(self._records, visits, NoPress(), now, NoFiles()),
            clock=now,
        )

    def take(self, visit: str) -> None:
        """Take a visit along: JSON of :class:`~gentle_plumb.services.models.TakenVisit`."""
        self._records.take(_TAKEN.validate_json(visit))

    def handle(self, request: str) -> str:
        """Answer a request: JSON of :class:`Asked` in, ``{"status", "body"}`` out."""
        status, body = self._answered(Asked.model_validate_json(request))
        return f'{{"status":{status},"body":{body}}}'

    def _answered(self, asked: Asked) -> tuple[int, str]:
        try:
            return self._done(asked)
        except FieldError as error:
            return _problem(problem_of_field(error))
        except ServiceError as error:
            return _problem(problem_of(error))
        except ValidationError as error:
            first = error.errors()[0]
            where = ".".join(str(part) for part in first["loc"])
            return _problem(
                Problem(
                    type="bad-request",
                    title="Invalid request",
                    status=422,
                    detail=f"{where or 'request'}: {first['msg']}",
                    field=where,
                )
            )

    def _done(self, asked: Asked) -> tuple[int, str]:
        parts = asked.path.strip("/").split("/")
        if parts == ["clients"] and asked.method == "POST":
            given = ClientIn.model_validate(asked.body)
            made = self._services.visits.add_client(self._mine.member, **given.model_dump())
            return 201, written(ClientOut.of(made))
        self._know(asked.client)
        kind = (asked.method, "/".join("*" if _is_id(part) else part for part in parts))
        handler = VISIT_REQUESTS.get(kind)
        if handler is None:
            raise NeedsServer("This needs the server. It can be done once the network is back.")
        ids = tuple(UUID(part) for part in parts if _is_id(part))
        return handler(self._services, ids, _without_none(asked.query), asked.body)

    def _know(self, client: ClientOut | None) -> None:
        if client is None:
            return
        try:
            self._records.client(self._mine.practice.id, client.id)
        except NotFound:
            facts = client.model_dump(exclude={"last_visit", "follow_up"})
            self._records.add_client(Client(practice_id=self._mine.practice.id, **facts))


def _without_none(query: Mapping[str, Any]) -> dict[str, Any]:
    return {name: value for name, value in query.items() if value is not None}


def _is_id(part: str) -> bool:
    try:
        UUID(part)
    except ValueError:
        return False
    return True


def _problem(problem: Problem) -> tuple[int, str]:
    return problem.status, json.dumps(problem.model_dump(mode="json", exclude_none=True))
