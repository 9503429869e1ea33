"""What is asked of a visit without network, by the routes' own names."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from typing import Any
from uuid import UUID

from pydantic import BaseModel, TypeAdapter

from ..core.units import LengthUnit
from ..core.what_if import WhatIfResult
from ..schemas import ChangeIn, ChangeOut, Draft, PhotoOut, View, VisitIn, VisitOut, VisitWorkup
from ..schemas.work import DayQuery, PlaceQuery, StackIn, StackOut, TrialIn
from ..services.consent import PHOTOGRAPHS
from ..services.drafts import DraftService
from ..services.follow_ups import FollowUpService, Since
from ..services.models import Member, PhotoHead, Practice
from ..services.permissions import require_writer
from ..services.ports import Clock
from ..services.programmes import ProgrammePage
from ..services.reports import ReportService
from ..services.visits import VisitService
from ..services.working_days import DayPage
from .records import DeviceRecords

_SINCE: TypeAdapter[Since | None] = TypeAdapter(Since | None)
_GIVEN: TypeAdapter[dict[str, Any]] = TypeAdapter(dict[str, Any])
_TRIED, _DAY, _PROGRAMME = (
    TypeAdapter(WhatIfResult),
    TypeAdapter(DayPage),
    TypeAdapter(ProgrammePage),
)


class PictureSize(BaseModel):
    """What a device tells of a picture that it keeps until it is sent: pixels, bytes, SHA-256."""

    width: int
    height: int
    size: int
    sha256: str


class UnitQuery(BaseModel):
    """The unit of every number shown."""

    unit: LengthUnit = "cm"


@dataclass(frozen=True, kw_only=True)
class Services:
    """What requests hand over to, and for whom."""

    member: Member
    practice: Practice
    records: DeviceRecords
    visits: VisitService
    follow_ups: FollowUpService
    reports: ReportService
    clock: Clock


Ids = tuple[UUID, ...]
Query = Mapping[str, Any]
Body = dict[str, Any] | None
Answer = tuple[int, str]
Handler = Callable[[Services, Ids, Query, Body], Answer]


def written(answer: BaseModel) -> str:
    """An answer as JSON."""
    return answer.model_dump_json()


def _opened(to: Services, visit_id: UUID) -> str:
    return written(VisitOut.of(to.visits.open(to.member, visit_id)))


def _begin(to: Services, _: Ids, __: Query, body: Body) -> Answer:
    given = VisitIn.model_validate(body)
    if given.from_visit is not None:
        made = to.follow_ups.begin(
            to.member, to.practice, given.from_visit, id=given.id, client_id=given.client_id
        )
    else:
        made = to.visits.start(to.member, to.practice, given.client_id, id=given.id)
    return 201, _opened(to, made.id)


def _open(to: Services, ids: Ids, _: Query, __: Body) -> Answer:
    return 200, _opened(to, ids[0])


def _drop(to: Services, ids: Ids, _: Query, __: Body) -> Answer:
    DraftService(to.records, to.clock).drop(to.member, ids[0])
    return 204, "null"


def _drawn(to: Services, visit_id: UUID, view: View) -> VisitWorkup:
    working, workup = to.visits.worked(
        to.member,
        visit_id,
        view.unit,
        body=view.body,
        plans=view.plans,
        history=view.tape,
        place=view.place,
    )
    scene = to.visits.scene(workup, view.scene())
    return VisitWorkup.of(workup, scene, working.visit.revision)


def _worked(to: Services, ids: Ids, query: Query, _: Body) -> Answer:
    return 200, written(_drawn(to, ids[0], View.model_validate(query)))


def _change(to: Services, ids: Ids, query: Query, body: Body) -> Answer:
    visit_id, change_id = ids
    given, view = ChangeIn.model_validate(body), View.model_validate(query)
    entry, revision = to.visits.change(
        to.member, visit_id, change_id=change_id, **given.model_dump()
    )
    worked = _drawn(to, visit_id, view) if view.draw else None
    return 200, written(ChangeOut(entry=entry, revision=revision, worked=worked))


def _given(to: Services, ids: Ids, query: Query, _: Body) -> Answer:
    place = PlaceQuery.model_validate(query).place
    return 200, _GIVEN.dump_json(to.visits.given(to.member, ids[0], place)).decode()


def _try(to: Services, ids: Ids, _: Query, body: Body) -> Answer:
    trial = TrialIn.model_validate(body)
    made = to.visits.try_out(to.member, ids[0], trial.request(), trial.place)
    return 200, _TRIED.dump_json(made).decode()


def _day(to: Services, ids: Ids, query: Query, _: Body) -> Answer:
    asked = DayQuery.model_validate(query)
    made = to.visits.day(to.member, ids[0], place=asked.place, week=asked.week, width=asked.width)
    return 200, _DAY.dump_json(made).decode()


def _movements(to: Services, ids: Ids, query: Query, _: Body) -> Answer:
    place = PlaceQuery.model_validate(query).place
    return 200, _PROGRAMME.dump_json(to.visits.programme(to.member, ids[0], place=place)).decode()


def _since(to: Services, ids: Ids, query: Query, _: Body) -> Answer:
    unit = UnitQuery.model_validate(query).unit
    return 200, _SINCE.dump_json(to.follow_ups.since(to.member, ids[0], unit)).decode()


def _draft(to: Services, ids: Ids, query: Query, _: Body) -> Answer:
    unit = UnitQuery.model_validate(query).unit
    return 200, written(Draft.of(to.reports.draft(to.member, to.practice, ids[0], unit)))


def _stack(to: Services, ids: Ids, _: Query, body: Body) -> Answer:
    wanted = StackIn.model_validate(body)
    return 200, written(StackOut.of(to.visits.stack(to.member, ids[0], **wanted.model_dump())))


def _add_photo(to: Services, ids: Ids, _: Query, body: Body) -> Answer:
    visit_id, photo_id = ids
    require_writer(to.member)
    size = PictureSize.model_validate(body)
    head = PhotoHead(
        id=photo_id,
        visit_id=visit_id,
        fov_deg=None,
        added_by=to.member.name,
        added_at=to.clock(),
        **size.model_dump(),
    )
    kept = to.records.add_photo(
        to.practice.id, head, b"", member_id=to.member.id, consent=PHOTOGRAPHS
    )
    return 200, written(PhotoOut.of(kept))


def _drop_photo(to: Services, ids: Ids, _: Query, __: Body) -> Answer:
    require_writer(to.member)
    to.records.drop_photo(to.practice.id, ids[0])
    return 204, "null"


VISIT_REQUESTS: Mapping[tuple[str, str], Handler] = {
    ("POST", "visits"): _begin,
    ("GET", "visits/*"): _open,
    ("DELETE", "visits/*"): _drop,
    ("PUT", "visits/*/changes/*"): _change,
    ("GET", "visits/*/worked"): _worked,
    ("GET", "visits/*/given"): _given,
    ("POST", "visits/*/try"): _try,
    ("GET", "visits/*/day"): _day,
    ("GET", "visits/*/movements"): _movements,
    ("GET", "visits/*/since"): _since,
    ("GET", "visits/*/report"): _draft,
    ("POST", "visits/*/stack"): _stack,
    ("PUT", "visits/*/photos/*"): _add_photo,
    ("DELETE", "photos/*"): _drop_photo,
}
"""Each by method and path, with ``*`` for an identifier."""
