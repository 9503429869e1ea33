"""The open format of a whole visit, and of what it comes to: what a report carries, read back from it."""

from __future__ import annotations

from collections.abc import Mapping
from datetime import date
from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field, ValidationError, model_validator

from ..core.body import Sex
from ..core.errors import FieldError
from ..core.fit import FitResult, notes_in, working_order
from ..core.language import filled, joined, msg, numeral
from ..core.plain_text import check_texts
from ..core.policy import check_rule_set
from ..core.record import field_of, fields, read_typed, typed_of
from ..core.record.fields.photo import PHOTO_FAMILY
from ..core.units import LengthUnit
from ..core.visit import spoken_date
from ..core.what_if import VisitAnalysis, VisitInput, analyse_visit
from ..core.words import with_unit
from ..services.models import VisitSnapshot

MOST_VALUES = 5_000
"""More entries than a visit has. House value."""
LEFT_OUT = (f"{PHOTO_FAMILY}.", fields.measure.table.id)
"""What means something only where the photographs and the practice's own tables are."""


class _Part(BaseModel):
    model_config = ConfigDict(extra="forbid")


class VisitDocument(_Part):
    """A visit: whose, on which day, and every entry as it would be typed, lengths in mm.

    Consents are not in it: they are asked anew wherever it is opened.
    """

    format: Literal["gentle-plumb-visit-1"] = "gentle-plumb-visit-1"
    client: Annotated[str, Field(min_length=1, max_length=200)]
    sex: Sex | None = None
    work: Annotated[str, Field(max_length=200)] = ""
    visit_on: date
    practice: Annotated[dict[str, str], Field(max_length=100)] = Field(
        default_factory=dict,
        description="Positions by question that the practice had chosen; the visit’s own go over them.",
    )
    entries: Annotated[dict[str, str], Field(max_length=MOST_VALUES)]

    @model_validator(mode="before")
    @classmethod
    def _texts(cls, raw: Any) -> Any:
        check_texts(raw)
        return raw

    @model_validator(mode="after")
    def _known(self) -> VisitDocument:
        self.values()
        try:
            check_rule_set(self.practice)
        except FieldError as error:
            raise ValueError(error.message) from None
        return self

    def values(self) -> dict[str, float | str | None]:
        """Return the entries as a record holds them; raises ValueError naming the path and what is wrong."""
        values = {}
        for path, typed in self.entries.items():
            try:
                values[path] = read_typed(field_of(path), typed, unit="mm")
            except FieldError as error:
                raise ValueError(
                    filled("{path}: {message}", path=path, message=error.message)
                ) from None
        return values


class VisitResultDocument(BaseModel):
    """What a visit comes to: the fit of the plan that was taken, lengths in mm."""

    format: Literal["gentle-plumb-visit-result-1"] = "gentle-plumb-visit-result-1"
    plan: str
    result: FitResult
    order: list[str]
    notes: list[str]


def visit_document(
    opened: VisitSnapshot, practice: Mapping[str, str] | None = None
) -> VisitDocument:
    """Return a visit as its open format."""
    consents = {field.id for field in fields.ask.consent.values()}
    return VisitDocument(
        client=opened.client.name,
        sex=opened.client.sex,
        work=opened.client.work,
        visit_on=opened.visit.started_on,
        practice=dict(practice or {}),
        entries=entries_of(opened.values, consents),
    )


def entries_of(
    values: Mapping[str, float | str | None], left_out: set[str] | frozenset[str] = frozenset()
) -> dict[str, str]:
    """Return values as they would be typed, each readable by itself: lengths in mm, times of day."""
    result = {}
    for path, value in sorted(values.items()):
        if value is None or value == "" or path in left_out or path.startswith(LEFT_OUT):
            continue
        result[path] = typed_of(field_of(path), value)
    return result


def visit_result(analysis: VisitAnalysis) -> VisitResultDocument:
    """Return what a visit comes to as its open format."""
    case, result = analysis.case, analysis.result
    return VisitResultDocument(
        plan=analysis.plan,
        result=result,
        order=[f"{row.posture}.{row.key}" for row in working_order(case, result)],
        notes=list(notes_in(case, result, "mm")),
    )


def read_visit(text: str | bytes) -> VisitDocument:
    """Read a visit; raises ValueError with what is wrong in one line."""
    try:
        return VisitDocument.model_validate_json(text)
    except ValidationError as error:
        wrong = error.errors()[0]
        where = joined(".", (str(part) for part in wrong["loc"]))
        raise ValueError(
            filled("{where}: {msg}", where=where, msg=wrong["msg"]) if where else str(wrong["msg"])
        ) from None


def visit_schema() -> dict[str, Any]:
    """JSON Schema of a visit."""
    return VisitDocument.model_json_schema()


def visit_lines(visit: VisitDocument, unit: LengthUnit) -> list[str]:
    """Return what a visit comes to, worked out anew from its entries: one line each, lengths in the unit."""
    visit_input = VisitInput(
        values=visit.values(), today=visit.visit_on, sex=visit.sex, practice=visit.practice
    )
    analysis = analyse_visit(visit_input, unit)

    def said(value: str | None, unit: str) -> str:
        return with_unit(value, unit) if value is not None else "–"

    head = msg(
        "{client}, {visit_on}, {len} entries",
        client=visit.client,
        visit_on=spoken_date(visit.visit_on.isoformat()),
        len=len(visit.entries),
    )
    rows = [
        msg(
            "{posture}{label}: {found} found, {setting} to set",
            posture=numeral(f"{row.posture:<9}"),
            label=row.label,
            found=said(row.found, row.unit),
            setting=said(row.setting, row.unit),
        )
        for row in analysis.rows(unit, brief=True)
        if row.setting is not None
    ]
    return [head, *rows]
