"""JSON: the sheets as they are, with a schema."""

from __future__ import annotations

import json
from collections.abc import Sequence
from datetime import date
from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field, StringConstraints, ValidationError

from ...core.body import DIMENSIONS
from ...core.language import msg
from ...core.words import invalid_at
from ...services.models import MeasurementSheet
from .about import ABOUT, READINGS, WHOLE, Read, dimensions_in

MOST_SHEETS = 5_000
"""More clients than a practice sees in years. House value."""
Short = Annotated[str, StringConstraints(max_length=200)]
Text = Annotated[str, StringConstraints(max_length=4000)]


class _Part(BaseModel):
    model_config = ConfigDict(extra="forbid")


class DimensionDocument(_Part):
    """One dimension: its readings as typed, each with its unit, and what is said of it."""

    first: Short | None = None
    second: Short | None = None
    third: Short | None = None
    other: Annotated[Short | None, Field(description="The other arm or leg.")] = None
    origin: Literal["measured", "carried_over", "self_measured"] | None = None
    taken_on: date | None = None
    taken_by: Short | None = None
    with_: Annotated[Literal["tape", "rod", "calliper"] | None, Field(alias="with")] = None
    skip: Annotated[Short | None, Field(description="Why it was left out.")] = None
    guess: Literal["yes", "no"] | None = None
    kept: Annotated[Text | None, Field(description="Why a doubtful value was kept.")] = None
    kept_at: Short | None = None


class SheetDocument(_Part):
    """One client at one visit."""

    client_id: Short = ""
    client: Annotated[str, StringConstraints(min_length=1, max_length=200)]
    sex: Literal["female", "male"] | None = None
    work: Short = ""
    visit_id: Short = ""
    visit_on: date
    posture: Literal["as_they_work", "erect"] | None = None
    footwear: Literal["barefoot", "shoes"] | None = None
    heel: Short | None = None
    list: Literal["short", "full"] | None = None
    dimensions: Annotated[dict[str, DimensionDocument], Field(max_length=200)]


class MeasurementsDocument(_Part):
    """A file of measurements."""

    format: Literal["gentle-plumb.measurements"] = "gentle-plumb.measurements"
    version: Literal[1] = 1
    sheets: Annotated[list[SheetDocument], Field(max_length=MOST_SHEETS)]


def measurements_schema() -> dict[str, Any]:
    """The format's JSON Schema."""
    return MeasurementsDocument.model_json_schema(by_alias=True)


def _document(sheet: MeasurementSheet) -> dict[str, Any]:
    said = sheet.entries
    whole = {name: said[f"measure.{name}"] for name in WHOLE if f"measure.{name}" in said}
    return {
        "client_id": sheet.client_id,
        "client": sheet.name,
        "sex": sheet.sex,
        "work": sheet.work,
        "visit_id": sheet.visit_id,
        "visit_on": sheet.on.isoformat(),
        **whole,
        "dimensions": {
            name: {
                part: said[f"measure.{name}.{part}"]
                for part in (*READINGS, *ABOUT)
                if f"measure.{name}.{part}" in said
            }
            for name in dimensions_in(sheet)
        },
    }


def write_json(sheets: Sequence[MeasurementSheet]) -> bytes:
    """All sheets as one document."""
    whole = {
        "format": "gentle-plumb.measurements",
        "version": 1,
        "sheets": [_document(sheet) for sheet in sheets],
    }
    return (json.dumps(whole, indent=1, ensure_ascii=False) + "\n").encode("utf-8")


def read_json(raw: bytes) -> Read:
    """Read such a document; every place that is wrong is named."""
    read = Read()
    try:
        document = MeasurementsDocument.model_validate_json(raw)
    except ValidationError as error:
        for wrong in error.errors(include_url=False):
            place, words = invalid_at(wrong["loc"], wrong, whole="file")
            last = str(wrong["loc"][-1]) if wrong["loc"] else ""
            read.troubles.append((place, last, words))
        return read
    for index, sheet_document in enumerate(document.sheets, start=1):
        place = msg("sheet {index}", index=index)
        entries: dict[str, str] = {}
        for name in WHOLE:
            if (text := getattr(sheet_document, name)) is not None:
                entries[f"measure.{name}"] = str(text)
        for name, said in sheet_document.dimensions.items():
            if name not in DIMENSIONS:
                read.troubles.append(
                    (
                        place,
                        "dimensions",
                        msg("“{name}” is no dimension of the catalogue", name=name),
                    )
                )
                continue
            for part, value in said.model_dump(
                mode="json", by_alias=True, exclude_none=True
            ).items():
                entries[f"measure.{name}.{part}"] = str(value)
        read.sheets.append(
            MeasurementSheet(
                client_id=sheet_document.client_id,
                name=sheet_document.client,
                sex=sheet_document.sex,
                work=sheet_document.work,
                visit_id=sheet_document.visit_id,
                on=sheet_document.visit_on,
                entries=entries,
                place=place,
                places=dict.fromkeys(entries, place),
            )
        )
    return read
