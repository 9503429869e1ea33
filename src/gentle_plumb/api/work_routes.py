"""Routes about house rules, and about trying what would be otherwise."""

from __future__ import annotations

from datetime import date
from typing import Annotated, Any
from uuid import UUID

from fastapi import APIRouter, Query, Response
from pydantic import TypeAdapter

from ..core.policy import POLICY_QUESTIONS
from ..core.record import fields
from ..core.what_if import WhatIfResult
from ..documents.day_calendar import day_calendar as calendar_of
from ..schemas import PlaceId
from ..schemas import work as s
from ..services.errors import NotFound
from ..services.programmes import ProgrammePage
from ..services.working_days import DayPage
from .auth import Signed, With
from .problems import PROBLEMS
from .traced import TracedRoute

work_router = APIRouter(
    prefix="/api", tags=["work out"], responses=PROBLEMS, route_class=TracedRoute
)
_TRIED = TypeAdapter(WhatIfResult)
_DAY = TypeAdapter(DayPage)
_PROGRAMME = TypeAdapter(ProgrammePage)
Day = Annotated[s.DayQuery, Query()]


@work_router.get("/policies")
def house_rules(services: With, who: Signed) -> s.HouseRules:
    """Every question, and the practice's bundles."""
    questions = [
        s.PolicyQuestionOut(
            id=one.id,
            label=one.label,
            default=one.default,
            standing=one.standing,
            positions=[
                s.PolicyOptionOut(id=at.id, label=at.label, why=at.why) for at in one.positions
            ],
        )
        for one in POLICY_QUESTIONS.values()
    ]
    bundles = [s.RuleSetOut.of(kept) for kept in services.policies.bundles(who.member)]
    return s.HouseRules(questions=questions, bundles=bundles)


@work_router.post("/policies", status_code=201)
def add_bundle(services: With, who: Signed, given: s.RuleSetIn) -> s.RuleSetOut:
    """Keep a bundle; as the default, visits that begin from now on go by it."""
    return s.RuleSetOut.of(services.policies.add(who.member, **given.model_dump()))


@work_router.put("/policies/{bundle_id}")
def change_bundle(
    services: With, who: Signed, bundle_id: UUID, given: s.RuleSetChange
) -> s.RuleSetOut:
    """Change one upon its version; on a stale version it answers 409 with what is there."""
    return s.RuleSetOut.of(services.policies.change(who.member, bundle_id, **given.model_dump()))


@work_router.delete("/policies/{bundle_id}", status_code=204)
def drop_bundle(services: With, who: Signed, bundle_id: UUID) -> None:
    """Drop one; visits keep what they took from it."""
    services.policies.drop(who.member, bundle_id)


@work_router.get("/visits/{visit_id}/given")
def given(services: With, who: Signed, visit_id: UUID, place: PlaceId = "main") -> dict[str, Any]:
    """What a visit is worked through from at a place: what the page's own bench begins with."""
    plain: dict[str, Any] = services.visits.given(who.member, visit_id, place)
    return plain


@work_router.post("/visits/{visit_id}/try", response_model=WhatIfResult)
def try_out(services: With, who: Signed, visit_id: UUID, tried: s.TrialIn) -> Response:
    """What a visit would come to if something were otherwise. Nothing is kept."""
    made = services.visits.try_out(who.member, visit_id, tried.request(), tried.place)
    return Response(_TRIED.dump_json(made), media_type="application/json")


@work_router.get("/visits/{visit_id}/day", response_model=DayPage)
def working_day(services: With, who: Signed, visit_id: UUID, asked: Day) -> Response:
    """The working day of a visit: rhythms, spells, the bar, strain before and after."""
    made = services.visits.day(
        who.member, visit_id, place=asked.place, week=asked.week, width=asked.width
    )
    return Response(_DAY.dump_json(made), media_type="application/json")


@work_router.get(
    "/visits/{visit_id}/day.ics",
    response_class=Response,
    responses={200: {"content": {"text/calendar": {}}}},
)
def day_calendar(services: With, who: Signed, visit_id: UUID, place: PlaceId = "main") -> Response:
    """The working day as a calendar file: quiet, and without a word about health."""
    opened, workup = services.visits.worked(who.member, visit_id, "cm", body=False, place=place)
    if workup.day is None:
        raise NotFound("A day is laid out once its hours are recorded.")
    due = workup.record[fields.report.follow_up]
    made = calendar_of(
        workup.day,
        key=str(visit_id),
        visited_on=opened.visit.started_on,
        follow_up=date.fromisoformat(due) if due else None,
        walks=workup.limits.walks,
        moves=workup.movement_times,
    )
    return Response(
        made,
        media_type="text/calendar",
        headers={"Content-Disposition": 'attachment; filename="working-day.ics"'},
    )


@work_router.get("/visits/{visit_id}/movements", response_model=ProgrammePage)
def movements(services: With, who: Signed, visit_id: UUID, place: PlaceId = "main") -> Response:
    """The movements of a visit's client: at most five, what else could be, what a limit keeps out."""
    made = services.visits.programme(who.member, visit_id, place=place)
    return Response(_PROGRAMME.dump_json(made), media_type="application/json")


@work_router.post("/visits/{visit_id}/stack")
def stack(services: With, who: Signed, visit_id: UUID, wanted: s.StackIn) -> s.StackOut:
    """The best stack for a lift from what is at hand in this visit's room."""
    return s.StackOut.of(services.visits.stack(who.member, visit_id, **wanted.model_dump()))
