"""CSV: one row a reading, or one row a client with every dimension in a column."""

from __future__ import annotations

import csv
import io
from collections.abc import Iterable, Sequence
from datetime import date

from ...core.body import DIMENSIONS, SEXES, resolve_readings
from ...core.choices import one_of
from ...core.language import joined, msg
from ...services.models import MeasurementSheet
from .about import READINGS, Read, agreeing, day, dimensions_in, mm_of, mm_text

WHO = ("client_id", "client", "sex", "work", "visit_id", "visit_on")
HOW = ("posture", "footwear", "heel_mm")
DIMENSION = ("origin", "taken_on", "taken_by", "with", "skip", "guess", "kept", "kept_at_mm")
BY_READING = (*WHO, *HOW, "dimension", "reading", "value_mm", "typed", *DIMENSION)
BY_CLIENT = (*WHO, *HOW, *(f"{name}_mm" for name in DIMENSIONS))
NEEDED_BY_READING = ("client", "visit_on", "dimension")
NEEDED_BY_CLIENT = ("client", "visit_on")
COLUMNS = {
    "client_id, visit_id": msg(
        "Identifiers, as this program writes them. Leave them empty for a new client or visit."
    ),
    "client": msg("The name. Needed."),
    "sex": msg("female, male, or empty."),
    "work": msg("The client’s work, in words."),
    "visit_on": msg("The day of the visit: 2026-11-25 or 25.11.2026. Needed."),
    "posture": msg("How they sat: as_they_work or erect."),
    "footwear": msg("barefoot or shoes."),
    "heel_mm": msg("Height of the heel, mm."),
    "dimension": msg(
        "Which dimension this row is about, by its identifier, such as popliteal_height. Needed."
    ),
    "reading": msg("first, second, third, or other for the other arm or leg."),
    "value_mm": msg("The reading, mm."),
    "typed": msg(
        "The reading as it was typed, with its unit, such as 41,0 cm. One of these two is enough; if both are there, they must agree."
    ),
    "origin": msg("measured, carried_over or self_measured."),
    "taken_on, taken_by": msg("The day, and who took it."),
    "with": msg("tape, rod or calliper."),
    "skip": msg("Why it was left out."),
    "guess": msg("yes, to use an estimate anyway."),
    "kept, kept_at_mm": msg("Why a doubtful value was kept, and the value, mm."),
}
"""What the columns of one row per reading hold, in order."""
MOST_LINES = 50_000
NO_TEXT = msg("is not plain text; save the table from your spreadsheet as “CSV UTF-8”")
NO_COLUMN = msg(
    "is missing from the first line, which names the columns; the template has all of them"
)
SAMPLE = MeasurementSheet(
    client_id="",
    name="Wren Castell",
    sex="female",
    work="chart office",
    visit_id="",
    on=date(2026, 11, 25),
    entries={
        "measure.stature.first": "168,5 cm",
        "measure.popliteal_height.first": "41,0 cm",
        "measure.popliteal_height.second": "41,4 cm",
    },
    place="",
    places={},
)
"""Somebody made up, for the template."""
GUARD = ("=", "+", "-", "@", "\t", "\r")
"""A text that starts so is a formula to a spreadsheet: it gets an apostrophe before it."""


def _who(sheet: MeasurementSheet) -> dict[str, str]:
    said = sheet.entries
    heel = said.get("measure.heel")
    return {
        "client_id": sheet.client_id,
        "client": sheet.name,
        "sex": sheet.sex or "",
        "work": sheet.work,
        "visit_id": sheet.visit_id,
        "visit_on": sheet.on.isoformat(),
        "posture": said.get("measure.posture", ""),
        "footwear": said.get("measure.footwear", ""),
        "heel_mm": mm_text(mm_of(heel)) if heel else "",
    }


def _guarded(row: dict[str, str]) -> dict[str, str]:
    return {
        key: f"'{text}" if text.startswith((*GUARD, "'")) else text for key, text in row.items()
    }


def _plain(text: str) -> str:
    """A cell without the apostrophe that kept it from being a formula."""
    text = text.strip()
    return text[1:] if text.startswith("'") and text[1:2] in (*GUARD, "'") else text


def _written(columns: Sequence[str], rows: Iterable[dict[str, str]]) -> bytes:
    out = io.StringIO()
    writer = csv.DictWriter(out, columns, lineterminator="\r\n", restval="")
    writer.writeheader()
    writer.writerows(_guarded(row) for row in rows)
    return out.getvalue().encode("utf-8")


def write_readings(sheets: Sequence[MeasurementSheet]) -> bytes:
    """One row a reading; a dimension without one (left out) has a row of its own."""
    rows = []
    for sheet in sheets:
        for name in dimensions_in(sheet):
            start = f"measure.{name}."
            about = {column: sheet.entries.get(f"{start}{column}", "") for column in DIMENSION}
            kept_at = sheet.entries.get(f"{start}kept_at")
            about["kept_at_mm"] = mm_text(mm_of(kept_at)) if kept_at else ""
            common = {**_who(sheet), "dimension": name, **about}
            taken = [which for which in READINGS if f"{start}{which}" in sheet.entries]
            rows += [
                {**common, "reading": which, "value_mm": mm_text(mm_of(typed)), "typed": typed}
                for which in taken
                if (typed := sheet.entries[f"{start}{which}"])
            ]
            if not taken:
                rows.append(common)
    return _written(BY_READING, rows)


def write_clients(sheets: Sequence[MeasurementSheet]) -> bytes:
    """One row a client and visit: what the readings of each dimension come to, mm."""
    rows = []
    for sheet in sheets:
        row = _who(sheet)
        for name, entry in DIMENSIONS.items():
            readings = [
                mm_of(typed)
                for which in READINGS[:3]
                if (typed := sheet.entries.get(f"measure.{name}.{which}"))
            ]
            value = resolve_readings(readings, repeat_limit_mm=entry.repeat_limit_mm).value_mm
            row[f"{name}_mm"] = mm_text(value) if value is not None else ""
        rows.append(row)
    return _written(BY_CLIENT, rows)


def csv_template() -> bytes:
    """Every column, with two lengths of somebody made up to be written over."""
    return write_readings([SAMPLE])


def read_csv(raw: bytes) -> Read:
    """Read either kind; which one, the columns tell."""
    read = Read()
    try:
        text = raw.decode("utf-8-sig")
    except UnicodeDecodeError as error:
        read.troubles.append((str(raw[: error.start].count(b"\n") + 1), "", NO_TEXT))
        return read
    sample = text.split("\n", 1)[0]
    mark = ";" if sample.count(";") > sample.count(",") else ","
    lines = csv.DictReader(io.StringIO(text), delimiter=mark, strict=True)
    sheets: dict[tuple[str, ...], MeasurementSheet] = {}
    try:
        columns = tuple(lines.fieldnames or ())
        by_reading = "dimension" in columns
        wanted, known = (
            (NEEDED_BY_READING, BY_READING) if by_reading else (NEEDED_BY_CLIENT, BY_CLIENT)
        )
        missing = [name for name in wanted if name not in columns]
        if missing:
            read.troubles.append(("1", joined(", ", missing), NO_COLUMN))
            return read
        for name in columns:
            if name not in known:
                read.left_out.append(("1", name, msg("unknown column")))
        for line in lines:
            number = str(lines.line_num)
            if lines.line_num > MOST_LINES:
                read.troubles.append(
                    (number, "", msg("more than {most_lines} lines", most_lines=MOST_LINES))
                )
                break
            if None in line or None in line.values():
                read.troubles.append(
                    (number, "", msg("has not as many cells as line 1 ({len})", len=len(columns)))
                )
                continue
            cells = {key: _plain(value) for key, value in line.items()}
            sheet = _sheet(read, sheets, cells, number)
            if sheet is None:
                continue
            if by_reading:
                _reading(read, sheet, cells, number)
            else:
                _client(sheet, cells, number)
    except csv.Error as error:
        read.troubles.append(
            (
                str(lines.line_num),
                "",
                msg("can’t be read as CSV ({error}); save the table again as CSV", error=error),
            )
        )
    read.sheets = list(sheets.values())
    return read


def _sheet(
    read: Read, sheets: dict[tuple[str, ...], MeasurementSheet], cells: dict[str, str], number: str
) -> MeasurementSheet | None:
    on = day(cells.get("visit_on", ""))
    if not cells.get("client"):
        read.troubles.append((number, "client", "empty"))
    if on is None:
        read.troubles.append(
            (
                number,
                "visit_on",
                msg(
                    "“{get}” can’t be read as a day; write it as 2026-11-25 or 25.11.2026",
                    get=cells.get("visit_on", ""),
                ),
            )
        )
    if cells.get("sex", "") not in ("", "female", "male"):
        read.troubles.append(
            (number, "sex", msg("“{sex}” is none of female, male, or empty", sex=cells["sex"]))
        )
        return None
    if on is None or not cells.get("client"):
        return None
    key = (cells.get("client_id") or cells["client"], cells.get("visit_id") or on.isoformat())
    measurement_sheet = MeasurementSheet(
        client_id=cells.get("client_id", ""),
        name=cells["client"],
        sex=one_of(SEXES, cells.get("sex")),
        work=cells.get("work", ""),
        visit_id=cells.get("visit_id", ""),
        on=on,
        entries={},
        place=number,
        places={},
    )
    sheet = sheets.setdefault(key, measurement_sheet)
    for name in ("name", "sex", "work", "on"):
        if getattr(sheet, name) != getattr(measurement_sheet, name):
            read.troubles.append(
                (number, name, msg("differs from line {place}", place=sheet.place))
            )
    for column in HOW:
        typed = cells.get(column, "")
        path = f"measure.{column.removesuffix('_mm')}"
        _put(read, sheet, path, f"{typed} mm" if typed and column == "heel_mm" else typed, number)
    return sheet


def _put(read: Read, sheet: MeasurementSheet, path: str, typed: str, number: str) -> None:
    """Note what a line says; the same path must say the same everywhere in a sheet."""
    if not typed:
        return
    before = sheet.entries.get(path)
    if before is not None and before != typed:
        read.troubles.append(
            (
                number,
                path.removeprefix("measure."),
                msg(
                    "“{typed}”, but “{before}” on line {places}",
                    typed=typed,
                    before=before,
                    places=sheet.places[path],
                ),
            )
        )
        return
    sheet.entries[path], sheet.places[path] = typed, sheet.places.get(path, number)


def _reading(read: Read, sheet: MeasurementSheet, cells: dict[str, str], number: str) -> None:
    name, which = cells["dimension"], cells.get("reading", "")
    if name not in DIMENSIONS:
        read.troubles.append(
            (number, "dimension", msg("“{name}” is no dimension of the catalogue", name=name))
        )
        return
    for column in DIMENSION:
        typed = cells.get(column, "")
        path = f"measure.{name}.{column.removesuffix('_mm')}"
        _put(
            read, sheet, path, f"{typed} mm" if typed and column.endswith("_mm") else typed, number
        )
    typed, value = cells.get("typed", ""), cells.get("value_mm", "")
    if not typed and not value:
        return
    if which not in READINGS:
        read.troubles.append(
            (
                number,
                "reading",
                msg(
                    "“{which}” is none of {readings}", which=which, readings=joined(", ", READINGS)
                ),
            )
        )
        return
    text, wrong = agreeing(typed, value)
    if wrong is not None:
        read.troubles.append((number, "value_mm", wrong))
        return
    path = f"measure.{name}.{which}"
    if path in sheet.entries:
        read.troubles.append(
            (number, "reading", msg("{which} of {name} stands here twice", which=which, name=name))
        )
        return
    sheet.entries[path], sheet.places[path] = text, number


def _client(sheet: MeasurementSheet, cells: dict[str, str], number: str) -> None:
    sheet.means = True
    for name in DIMENSIONS:
        value = cells.get(f"{name}_mm", "")
        if value:
            path = f"measure.{name}.first"
            sheet.entries[path], sheet.places[path] = f"{value} mm", number
