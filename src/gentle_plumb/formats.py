"""Writes the files that are generated from the code: schemas, OpenAPI, worked examples."""

from __future__ import annotations

import json
from collections.abc import Iterator
from pathlib import Path
from typing import Any

from .api import make_app
from .config import Settings
from .core.record import FIELDS
from .documents.case_format import CaseDocument, case_schema
from .documents.case_result import result_document, result_schema
from .documents.exchange import measurements_schema
from .documents.visit_file import visit_schema
from .main import make_services
from .storage import make_engine


def openapi() -> dict[str, Any]:
    """The API's own description; no database is touched."""
    services = make_services(make_engine("postgresql://none@127.0.0.1/none"), Settings())
    return make_app(services).openapi()


def _rounded(value: Any) -> Any:
    """Numbers to a thousandth, so that generated files do not differ by the last bit."""
    if isinstance(value, float):
        return round(value, 3)
    if isinstance(value, dict):
        return {key: _rounded(part) for key, part in value.items()}
    return [_rounded(part) for part in value] if isinstance(value, list | tuple) else value


def field_ids() -> str:
    """Every field of the record as a TypeScript type, so that a checker knows a path from a slip."""
    ids = "\n".join(f'  | "{id}"' for id in FIELDS)
    return (
        "// Written by ./plumb formats, not by hand.\n\n"
        f"/** The fields of a visit, by their paths. */\nexport type FieldId =\n{ids};\n\n"
        "/** A field’s path that a checker has looked up. */\n"
        "export function fieldId<Id extends FieldId>(id: Id): Id {\n  return id;\n}\n"
    )


def generated(folder: Path) -> Iterator[tuple[Path, str]]:
    """Each generated file and its text."""
    yield folder / "case.schema.json", _json(case_schema())
    yield folder / "result.schema.json", _json(result_schema())
    yield folder / "measurements.schema.json", _json(measurements_schema())
    yield folder / "visit.schema.json", _json(visit_schema())
    yield folder / "openapi.json", _json(openapi())
    yield folder.parents[1] / "web" / "src" / "shared" / "api" / "field-ids.ts", field_ids()
    for case in sorted((folder / "examples").glob("*.case.json")):
        document = CaseDocument.model_validate_json(case.read_text(encoding="utf-8"))
        name = case.name.replace(".case.", ".result.")
        yield (
            case.with_name(name),
            _json(_rounded(result_document(document).model_dump(mode="json"))),
        )


def _json(value: Any) -> str:
    return json.dumps(value, indent=2, ensure_ascii=False) + "\n"


def write_formats(folder: Path) -> list[Path]:
    """Write them all; the paths written."""
    folder.mkdir(parents=True, exist_ok=True)
    written = []
    for path, text in generated(folder):
        path.write_text(text, encoding="utf-8")
        written.append(path)
    return written
