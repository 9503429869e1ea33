"""Routes of the electric desk."""

from __future__ import annotations

from typing import Annotated

from fastapi import APIRouter, Path
from pydantic import BaseModel, Field

from ..schemas import RequestModel
from ..schemas.problem import Problem
from ..services.models import DeskMotion, DeskState
from .auth import Signed, With
from .problems import PROBLEMS
from .traced import TracedRoute

desk_router = APIRouter(
    prefix="/api/desk",
    tags=["desk"],
    responses=PROBLEMS | {503: {"model": Problem}},
    route_class=TracedRoute,
)


class HoldIn(RequestModel):
    """A height of the display to go on towards, mm."""

    target: Annotated[float, Field(ge=300, le=1600)]


class SavedOut(BaseModel):
    """What a key holds, read back: mm of the display."""

    key: int
    held: float


@desk_router.get("")
def state(services: With, who: Signed) -> DeskState:
    """Where the desk stands, and what it can do."""
    return services.desk.state(who.member)


@desk_router.post("/hold")
def hold(services: With, who: Signed, given: HoldIn) -> DeskMotion:
    """Go on towards a height; to be said again while the button is held, else it stands still."""
    return services.desk.hold(who.member, given.target)


@desk_router.post("/stop")
def stop(services: With, who: Signed) -> DeskMotion:
    """Stop at once."""
    return services.desk.stop(who.member)


@desk_router.put("/presets/{key}")
def save(services: With, who: Signed, key: Annotated[int, Path(ge=1, le=20)]) -> SavedOut:
    """Save where it stands on a key, and read it back."""
    return SavedOut(key=key, held=services.desk.save(who.member, key))
