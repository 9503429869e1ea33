"""Measuring: lists, tables, precision, instruments, files, the drill, the electric desk."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Annotated, Literal
from uuid import UUID

from pydantic import Field

from ..core.drill import Answer, Verdict
from ..documents.exchange import COLUMNS, csv_template
from ..schemas.measuring import (
    DeskTarget,
    InstrumentUnit,
    ReadingRequest,
    SavedPreset,
    TypedReading,
)
from ..services.drill import (
    Posed,
    SetUpPosed,
    SetUpVerdict,
    answer,
    answer_set_up,
    pose,
    pose_set_up,
)
from ..services.exchange import MOST_BYTES, Preview
from ..services.instruments import InstrumentView
from ..services.measuring import PrecisionView
from ..services.models import (
    ChangedList,
    DeskMotion,
    DeskState,
    ListView,
    NewList,
    NewTable,
    TableView,
    view_of,
)
from .route import Caller, FileAnswer, FileBody, Needs, Routes
from .services import Services
from .visits import Unit

InstrumentId = Literal["tape", "rod"]
Number = Annotated[int, Field(ge=0, le=2_000_000_000)]
FileKind = Literal["csv_readings", "csv_clients", "json", "fhir"]
_FILE = FileBody(MOST_BYTES)

MEASURING_ROUTES = Routes("measuring")
get, post, put, delete = (
    MEASURING_ROUTES.get,
    MEASURING_ROUTES.post,
    MEASURING_ROUTES.put,
    MEASURING_ROUTES.delete,
)


@get("/measuring/lists", Needs.MEMBER)
def lists(to: Services, who: Caller) -> Sequence[ListView]:
    """The practice's own lists of dimensions."""
    return to.measuring.lists(who.member)


@post("/measuring/lists", Needs.WRITER, status=201)
def add_list(to: Services, who: Caller, new_list: NewList) -> ListView:
    """Keep a list, in the order of measuring."""
    return to.measuring.add_list(who.member, new_list)


@put("/measuring/lists/{list_id}", Needs.WRITER)
def change_list(to: Services, who: Caller, list_id: UUID, changed_list: ChangedList) -> ListView:
    """Change one upon its version; on a stale version it answers 409 with what is there."""
    return to.measuring.change_list(who.member, list_id, changed_list)


@delete("/measuring/lists/{list_id}", Needs.WRITER, status=204)
def drop_list(to: Services, who: Caller, list_id: UUID) -> None:
    """Drop one; visits that name it go by the short list then."""
    to.measuring.drop_list(who.member, list_id)


@get("/measuring/tables", Needs.MEMBER)
def tables(to: Services, who: Caller) -> list[TableView]:
    """The tables of populations the practice added."""
    return [table.view for table in to.measuring.tables(who.member)]


@post("/measuring/tables", Needs.WRITER, status=201)
def add_table(to: Services, who: Caller, table: NewTable) -> TableView:
    """Take a table in; refused whole with every line and reason where it is not right."""
    return to.measuring.add_table(who.member, table).view


@delete("/measuring/tables/{table_id}", Needs.WRITER, status=204)
def drop_table(to: Services, who: Caller, table_id: UUID) -> None:
    """Drop one; visits that name it go by the program's own then."""
    to.measuring.drop_table(who.member, table_id)


@get("/measuring/precision", Needs.MEMBER)
def precision(to: Services, who: Caller, unit: Unit = "cm") -> list[PrecisionView]:
    """How each member repeats each dimension, with its 90 % interval."""
    return to.measuring.precision(who.member, unit)


@get("/instruments", Needs.MEMBER)
def instruments(to: Services, who: Caller) -> list[InstrumentView]:
    """The instruments near the desk."""
    return to.instruments.every()


@put("/instruments/{instrument_id}", Needs.WRITER, refusals=(503,))
def set_instrument(
    to: Services, who: Caller, instrument_id: InstrumentId, unit: InstrumentUnit
) -> InstrumentView:
    """Set an instrument's unit."""
    return to.instruments.set_unit(instrument_id, unit.unit)


@post(
    "/visits/{visit_id}/instruments/{instrument_id}/readings",
    Needs.WRITER,
    audit=("read", "visit"),
    refusals=(503,),
)
def take_reading(
    to: Services, who: Caller, visit_id: UUID, instrument_id: InstrumentId, request: ReadingRequest
) -> TypedReading:
    """Take one reading; the page puts it into its field like a typed one."""
    take = to.instruments
    if request.near is None:
        reading = take.read(who.member, visit_id, instrument_id, request.dimension)
    else:
        reading = take.read_piece(
            who.member, visit_id, instrument_id, request.dimension, request.near
        )
    return view_of(TypedReading, reading)


@get(
    "/exchange",
    Needs.HEALTH,
    audit=("export", "measurements"),
    media="text/csv, application/json, application/fhir+json",
    within_s=None,
)
def export(to: Services, who: Caller, format: FileKind, visit_id: UUID | None = None) -> FileAnswer:
    """The practice's measurements as a file, or one visit's."""
    content, media, name, clients = to.exchange.export(who.member, format, visit_id)
    return FileAnswer(content=content, media=media, name=name, clients=clients)


@get("/exchange/template.csv", Needs.MEMBER, media="text/csv")
def template(who: Caller) -> FileAnswer:
    """A CSV file with every column and somebody made up, to be filled in and imported."""
    return FileAnswer(content=csv_template(), media="text/csv", name="template.csv")


@get("/exchange/columns", Needs.MEMBER)
def columns(who: Caller) -> dict[str, str]:
    """What each column of a CSV file with one row per reading holds."""
    return COLUMNS


@post("/exchange/preview", Needs.WRITER, file=_FILE, within_s=None)
def look(to: Services, who: Caller, raw: bytes) -> Preview:
    """What a file says, line by line, and what importing it would do. Writes nothing."""
    return to.exchange.look(who.member, raw)


@post(
    "/exchange",
    Needs.WRITER,
    audit=("import", "measurements"),
    status=201,
    file=_FILE,
    within_s=None,
)
def import_batch(to: Services, who: Caller, raw: bytes) -> Preview:
    """Import a file whole; refused with every line and reason where anything is wrong."""
    return to.exchange.import_batch(who.member, raw)


@get("/drill/{number}", Needs.MEMBER)
def drill(who: Caller, number: Number, unit: Unit = "cm") -> Posed:
    """An exercise: a made-up client and a reading with error."""
    return pose(number, unit)


@get("/drill/{number}/verdict", Needs.MEMBER)
def verdict(who: Caller, number: Number, choice: Answer, unit: Unit = "cm") -> Verdict:
    """Whether an answer is right, and why."""
    return answer(number, choice, unit)


@get("/drill/set-up/{number}", Needs.MEMBER)
def set_up_drill(who: Caller, number: Number, unit: Unit = "cm") -> SetUpPosed:
    """A question about setting up: what first, what explains a posture, which sign is urgent."""
    return pose_set_up(number, unit)


@get("/drill/set-up/{number}/verdict", Needs.MEMBER)
def set_up_verdict(
    who: Caller, number: Number, given: Annotated[int, Field(ge=0, le=9)], unit: Unit = "cm"
) -> SetUpVerdict:
    """Whether a choice is right, and why."""
    return answer_set_up(number, given, unit)


DESK_ROUTES = Routes("desk", "/desk", refusals=(503,))


@DESK_ROUTES.get("", Needs.WRITER)
def desk_state(to: Services, who: Caller) -> DeskState:
    """Where the desk stands, and what it can do."""
    return to.desk.state()


@DESK_ROUTES.post("/hold", Needs.WRITER)
def hold_desk(to: Services, who: Caller, target: DeskTarget) -> DeskMotion:
    """Go on towards a height; to be said again while the button is held, else it stands still."""
    return to.desk.hold(target.target)


@DESK_ROUTES.post("/stop", Needs.WRITER)
def stop_desk(to: Services, who: Caller) -> DeskMotion:
    """Stop at once."""
    return to.desk.stop()


@DESK_ROUTES.put("/presets/{key}", Needs.WRITER)
def save_preset(to: Services, who: Caller, key: Annotated[int, Field(ge=1, le=20)]) -> SavedPreset:
    """Save where it stands on a key, and read it back."""
    return SavedPreset(key=key, held=to.desk.save(key))
