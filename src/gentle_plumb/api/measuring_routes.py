"""Routes about measuring: lists, tables, precision, instruments."""

from __future__ import annotations

from typing import Annotated, Any, Literal
from uuid import UUID

from fastapi import APIRouter, Path, Query, Request, Response
from fastapi.concurrency import run_in_threadpool
from pydantic import TypeAdapter

from ..core.drill import Answer, Verdict
from ..documents.exchange import COLUMNS, csv_template
from ..schemas import measuring as s
from ..schemas.problem import Problem
from ..services.drill import (
    Posed,
    SetUpPosed,
    SetUpVerdict,
    answer,
    answer_set_up,
    pose,
    pose_set_up,
)
from ..services.exchange import MOST_BYTES
from .auth import Signed, With
from .bodies import FILE, read_body
from .problems import PROBLEMS
from .routes import Unit
from .traced import TracedRoute

measuring_router = APIRouter(
    prefix="/api", tags=["measuring"], responses=PROBLEMS, route_class=TracedRoute
)

Silent: dict[int | str, dict[str, Any]] = {503: {"model": Problem}}
InstrumentId = Annotated[Literal["tape", "rod"], Path()]


@measuring_router.get("/measuring/lists")
def lists(services: With, who: Signed) -> list[s.ListOut]:
    """The practice's own lists of dimensions."""
    return [s.ListOut.of(kept) for kept in services.measuring.lists(who.member)]


@measuring_router.post("/measuring/lists", status_code=201)
def add_list(services: With, who: Signed, given: s.ListIn) -> s.ListOut:
    """Keep a list, in the order of measuring."""
    return s.ListOut.of(services.measuring.add_list(who.member, **given.model_dump()))


@measuring_router.put("/measuring/lists/{list_id}")
def change_list(services: With, who: Signed, list_id: UUID, given: s.ListChange) -> s.ListOut:
    """Change one upon its version; on a stale version it answers 409 with what is there."""
    made = services.measuring.change_list(who.member, list_id, **given.model_dump())
    return s.ListOut.of(made)


@measuring_router.delete("/measuring/lists/{list_id}", status_code=204)
def drop_list(services: With, who: Signed, list_id: UUID) -> None:
    """Drop one; visits that name it go by the short list then."""
    services.measuring.drop_list(who.member, list_id)


@measuring_router.get("/measuring/tables")
def tables(services: With, who: Signed) -> list[s.TableOut]:
    """The tables of populations the practice added."""
    return [s.TableOut.of(kept) for kept in services.measuring.tables(who.member)]


@measuring_router.post("/measuring/tables", status_code=201)
def add_table(services: With, who: Signed, given: s.TableIn) -> s.TableOut:
    """Take a table in; refused whole with every line and reason where it is not right."""
    return s.TableOut.of(services.measuring.add_table(who.member, **given.model_dump()))


@measuring_router.delete("/measuring/tables/{table_id}", status_code=204)
def drop_table(services: With, who: Signed, table_id: UUID) -> None:
    """Drop one; visits that name it go by the program's own then."""
    services.measuring.drop_table(who.member, table_id)


@measuring_router.get("/measuring/precision")
def precision(services: With, who: Signed, unit: Unit = "cm") -> list[s.PrecisionOut]:
    """How each member repeats each dimension, with its 90 % interval."""
    return [s.PrecisionOut.of(one, unit) for one in services.measuring.precision(who.member)]


@measuring_router.get("/instruments")
def instruments(services: With, who: Signed) -> list[s.InstrumentOut]:
    """The instruments near the desk."""
    found = services.instruments.found(who.member)
    return [s.InstrumentOut.of(one) for one in found]


@measuring_router.put("/instruments/{instrument_id}", responses=Silent)
def set_instrument(
    services: With, who: Signed, instrument_id: InstrumentId, given: s.UnitIn
) -> s.InstrumentOut:
    """Set an instrument's unit."""
    state = services.instruments.set_unit(who.member, instrument_id, given.unit)
    return s.InstrumentOut(
        id=state.id, unit=state.unit, battery=state.battery, trouble=state.warning
    )


@measuring_router.post("/visits/{visit_id}/instruments/{instrument_id}/readings", responses=Silent)
def take_reading(
    services: With, who: Signed, visit_id: UUID, instrument_id: InstrumentId, given: s.ReadIn
) -> s.ReadingOut:
    """Take one reading; the page puts it into its field like a typed one."""
    take = services.instruments
    read = (
        take.read(who.member, visit_id, instrument_id, given.dimension)
        if given.near is None
        else take.read_piece(who.member, visit_id, instrument_id, given.dimension, given.near)
    )
    return s.ReadingOut(typed=read.typed, warning=read.warning)


Kind = Annotated[Literal["csv_readings", "csv_clients", "json", "fhir"], Query()]


@measuring_router.get(
    "/exchange",
    response_class=Response,
    responses={
        200: {"content": {"text/csv": {}, "application/json": {}, "application/fhir+json": {}}}
    },
)
def export(
    request: Request, services: With, who: Signed, format: Kind, visit_id: UUID | None = None
) -> Response:
    """The practice's measurements as a file, or one visit's."""
    body, media, name, clients = services.exchange.export(who.member, format, visit_id)
    request.state.clients_out = clients
    return Response(
        body, media_type=media, headers={"Content-Disposition": f'attachment; filename="{name}"'}
    )


@measuring_router.get("/exchange/template.csv", response_class=Response)
def template(who: Signed) -> Response:
    """A CSV file with every column and somebody made up, to be filled in and imported."""
    named = {"Content-Disposition": 'attachment; filename="template.csv"'}
    return Response(csv_template(), media_type="text/csv", headers=named)


@measuring_router.get("/exchange/columns")
def columns(who: Signed) -> dict[str, str]:
    """What each column of a CSV file with one row per reading holds."""
    return COLUMNS


@measuring_router.post("/exchange/look", openapi_extra=FILE)
async def look(request: Request, services: With, who: Signed) -> s.PreviewOut:
    """What a file says, line by line, and what importing it would do. Writes nothing."""
    services.exchange.may_take_in(who.member)
    raw = await read_body(request, MOST_BYTES)
    return s.PreviewOut.of(await run_in_threadpool(services.exchange.look, who.member, raw))


@measuring_router.post("/exchange", status_code=201, openapi_extra=FILE)
async def import_batch(request: Request, services: With, who: Signed) -> s.PreviewOut:
    """Import a file whole; refused with every line and reason where anything is wrong."""
    services.exchange.may_take_in(who.member)
    raw = await read_body(request, MOST_BYTES)
    return s.PreviewOut.of(await run_in_threadpool(services.exchange.import_batch, who.member, raw))


Number = Annotated[int, Path(ge=0, le=2_000_000_000)]


@measuring_router.get("/drill/{number}", response_model=Posed)
def drill(who: Signed, number: Number, unit: Unit = "cm") -> Response:
    """An exercise: a made-up client and a reading with error."""
    return Response(TypeAdapter(Posed).dump_json(pose(number, unit)), media_type="application/json")


@measuring_router.get("/drill/{number}/verdict")
def verdict(who: Signed, number: Number, given: Answer, unit: Unit = "cm") -> Verdict:
    """Whether an answer is right, and why."""
    return answer(number, given, unit)


@measuring_router.get("/drill/set-up/{number}", response_model=SetUpPosed)
def set_up_drill(who: Signed, number: Number, unit: Unit = "cm") -> Response:
    """A question about setting up: what first, what explains a posture, which sign is urgent."""
    body = TypeAdapter(SetUpPosed).dump_json(pose_set_up(number, unit))
    return Response(body, media_type="application/json")


@measuring_router.get("/drill/set-up/{number}/verdict")
def set_up_verdict(
    who: Signed, number: Number, given: Annotated[int, Query(ge=0, le=9)], unit: Unit = "cm"
) -> SetUpVerdict:
    """Whether a choice is right, and why."""
    return answer_set_up(number, given, unit)
