"""Routes by which a device takes visits along."""

from __future__ import annotations

from uuid import UUID

from fastapi import APIRouter, Response
from pydantic import TypeAdapter

from ..services.models import Belongings, TakenVisit
from .auth import Signed, With
from .problems import PROBLEMS
from .traced import TracedRoute

device_router = APIRouter(
    prefix="/api", tags=["device"], responses=PROBLEMS, route_class=TracedRoute
)
_BELONGINGS, _TAKEN = TypeAdapter(Belongings), TypeAdapter(TakenVisit)


@device_router.get("/device", response_model=None)
def belongings(services: With, who: Signed) -> Response:
    """What visits begin with, for a device that goes without network."""
    made = services.taking.belongings(who.member, who.practice)
    return Response(_BELONGINGS.dump_json(made), media_type="application/json")


@device_router.get("/visits/{visit_id}/device", response_model=None)
def take_visit(services: With, who: Signed, visit_id: UUID) -> Response:
    """A visit with all it is worked through from, for a device that goes without network."""
    made = services.taking.visit(who.member, visit_id)
    return Response(_TAKEN.dump_json(made), media_type="application/json")
