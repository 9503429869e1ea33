"""Routes of the trail: read by owners, never written to from outside."""

from __future__ import annotations

from datetime import date, datetime
from typing import Annotated
from uuid import UUID

from fastapi import APIRouter, Query, Response
from pydantic import BaseModel, ConfigDict, Field

from ..services.models.trail import ACTS, Act, TrailLine, TrailQuery
from .auth import Signed, With
from .problems import PROBLEMS
from .traced import TracedRoute

trail_router = APIRouter(
    prefix="/api", tags=["people"], responses=PROBLEMS, route_class=TracedRoute
)
MOST_LINES = 50_000


class TrailFilter(BaseModel):
    """Which lines: whose, by whom, which act, with devices' copies, from and to which day, below which number."""

    model_config = ConfigDict(extra="forbid")
    client: UUID | None = None
    member: UUID | None = None
    act: Act | None = None
    carried: bool = True
    since: date | None = None
    until: date | None = None
    before: Annotated[int | None, Field(ge=1, le=2**62)] = None

    def query(self, most: int = 200) -> TrailQuery:
        """The lines to look for."""
        return TrailQuery(
            client_id=self.client,
            member_id=self.member,
            act=self.act,
            carried=self.carried,
            since=self.since,
            until=self.until,
            before=self.before,
            most=most,
        )


class TrailLineOut(BaseModel):
    """A line of the trail: who did what when; ``client`` is a name, as long as they are there."""

    number: int
    at: datetime
    who: str
    act: Act
    says: str
    what: str
    client_id: UUID | None
    client: str
    visit_id: UUID | None
    digest: str

    @classmethod
    def of(cls, line: TrailLine, client: str) -> TrailLineOut:
        """Return how a line is shown."""
        return cls(
            number=line.number,
            at=line.at,
            who=line.who,
            act=line.act,
            says=ACTS[line.act],
            what=line.what,
            client_id=line.target.client_id,
            client=client,
            visit_id=line.target.visit_id,
            digest=line.digest.hex(),
        )


@trail_router.get("/trail")
def trail(
    services: With, who: Signed, asked: Annotated[TrailFilter, Query()]
) -> list[TrailLineOut]:
    """Who saw and did what, the latest first, 200 lines at a time; owners only."""
    return [
        TrailLineOut.of(line, client)
        for line, client in services.trail.lines(who.member, asked.query())
    ]


@trail_router.get(
    "/trail.csv", response_class=Response, responses={200: {"content": {"text/csv": {}}}}
)
def trail_csv(services: With, who: Signed, asked: Annotated[TrailFilter, Query()]) -> Response:
    """The same as CSV with each line's digest, as many as fit; owners only."""
    text = services.trail.as_csv(who.member, who.practice, asked.query(MOST_LINES))
    return Response(
        text,
        media_type="text/csv; charset=utf-8",
        headers={"Content-Disposition": 'attachment; filename="trail.csv"'},
    )
