"""HL7 FHIR R4: a Bundle of Patients and Observations, through a maintained library.

One Observation a dimension: its value is what the readings come to, in UCUM millimetres; the
readings and what is said of them are components. Stature carries LOINC 8302-2; the other
dimensions have no LOINC code and use this program's own code system. The library's R4B models
are used: Patient, Observation and Bundle are the same there as in R4. They check what goes out, one of each
shape; what comes in is read by models of what is read of it (:mod:`.fhir_models`), in a tenth of the time.
"""

from __future__ import annotations

import gc
import json
import re
from collections.abc import Iterable, Iterator, Sequence
from contextlib import contextmanager
from datetime import date
from typing import Any

from pydantic import ValidationError

from ...core.body import DIMENSIONS, SEXES, resolve_readings
from ...core.choices import one_of
from ...core.language import msg
from ...core.units import MM_PER
from ...core.words import invalid_at
from ...services.models import MeasurementSheet
from .about import ABOUT, READINGS, WHOLE, Read, dimensions_in, mm_of
from .fhir_models import Bundle, Observation, Patient, Quantity

CLIENT, VISIT = "urn:gentle-plumb:client", "urn:gentle-plumb:visit"
DIMENSION, PART = "urn:gentle-plumb:dimension", "urn:gentle-plumb:part"
TYPED, WORK = "urn:gentle-plumb:typed", "urn:gentle-plumb:work"
UCUM, LOINC = "http://unitsofmeasure.org", "http://loinc.org"
LOINC_CODES = {"stature": ("8302-2", "Body height")}
"""LOINC codes of dimensions that have one. Source: loinc."""
UCUM_CODES = {"in": "[in_i]", "ft": "[ft_i]"}
"""UCUM codes of units that are written otherwise. Source: ucum."""
UCUM_MM = {UCUM_CODES.get(unit, unit): mm for unit, mm in MM_PER.items()}
"""UCUM lengths that are read, in mm. Source: ucum."""
WITHDRAWN = ("entered-in-error", "cancelled")
"""What the writer of an Observation has taken back. Source: hl7-fhir, Observation.status."""
LENGTHS = (*READINGS, "kept_at", "heel")


def _quantity(mm: float) -> dict[str, Any]:
    return {"value": round(mm, 3), "unit": "mm", "system": UCUM, "code": "mm"}


def _component(part: str, typed: str) -> dict[str, Any]:
    code = {"coding": [{"system": PART, "code": part}]}
    if part in LENGTHS:
        return {
            "code": code,
            "valueQuantity": _quantity(mm_of(typed)),
            "extension": [{"url": TYPED, "valueString": typed}],
        }
    return {"code": code, "valueString": typed}


def _observation(sheet: MeasurementSheet, name: str, patient: str) -> dict[str, Any]:
    said, entry = sheet.entries, DIMENSIONS[name]
    start = f"measure.{name}."
    readings = [
        mm_of(said[f"{start}{which}"]) for which in READINGS[:3] if f"{start}{which}" in said
    ]
    resolved = resolve_readings(readings, repeat_limit_mm=entry.repeat_limit_mm)
    coding = [{"system": DIMENSION, "code": name, "display": entry.iso_name or entry.label}]
    if name in LOINC_CODES:
        code, display = LOINC_CODES[name]
        coding.insert(0, {"system": LOINC, "code": code, "display": display})
    parts = [(part, said[f"measure.{part}"]) for part in WHOLE if f"measure.{part}" in said]
    parts += [
        (part, said[f"{start}{part}"]) for part in (*READINGS, *ABOUT) if f"{start}{part}" in said
    ]
    result: dict[str, Any] = {
        "resourceType": "Observation",
        "status": "final" if resolved.value_mm is not None else "preliminary",
        "identifier": [
            {"system": VISIT, "value": sheet.visit_id, "period": {"start": sheet.on.isoformat()}}
        ],
        "code": {"coding": coding, "text": entry.label},
        "subject": {"reference": patient, "display": sheet.name},
        "effectiveDateTime": said.get(f"{start}taken_on") or sheet.on.isoformat(),
        "component": [_component(part, typed) for part, typed in parts],
    }
    if (by := said.get(f"{start}taken_by")) is not None:
        result["performer"] = [{"display": by}]
    if resolved.value_mm is not None:
        result["valueQuantity"] = _quantity(resolved.value_mm)
    else:
        result["dataAbsentReason"] = {
            "text": msg("left out") if f"{start}skip" in said else msg("not settled yet")
        }
    return result


@contextmanager
def _no_collection() -> Iterator[None]:
    """Leave the collector of cycles alone while a Bundle is made or read: it would go through every part several times.

    None of them is in a cycle; what one file may hold bounds what waits.
    """
    was_on = gc.isenabled()
    gc.disable()
    try:
        yield
    finally:
        if was_on:
            gc.enable()


@_no_collection()
def write_fhir(sheets: Sequence[MeasurementSheet]) -> bytes:
    """All sheets as one Bundle of type collection, checked by the library before it goes out."""
    entries: list[dict[str, Any]] = []
    patients: dict[str, str] = {}
    for sheet in sheets:
        if sheet.client_id not in patients:
            url = f"urn:uuid:{sheet.client_id}"
            patients[sheet.client_id] = url
            patient: dict[str, Any] = {
                "resourceType": "Patient",
                "name": [{"text": sheet.name}],
                "identifier": [{"system": CLIENT, "value": sheet.client_id}],
            }
            if sheet.sex:
                patient["gender"] = sheet.sex
            if sheet.work:
                patient["extension"] = [{"url": WORK, "valueString": sheet.work}]
            entries.append({"fullUrl": url, "resource": patient})
        entries += [
            {"resource": _observation(sheet, name, patients[sheet.client_id])}
            for name in dimensions_in(sheet)
        ]
    lines = [json.dumps(entry, ensure_ascii=False) for entry in entries]
    shapes = {TEXTS.sub(r'"\1":', line): entry for line, entry in zip(lines, entries, strict=True)}
    _check(shapes.values())
    head = '{"resourceType": "Bundle", "type": "collection", "entry": ['
    joined = ",\n".join(lines)
    return f"{head}\n{joined}\n]}}\n".encode()


TEXTS = re.compile(
    r'"(value|valueString|display|reference|fullUrl|text|start|effectiveDateTime)": '
    r'(?:"(?:[^"\\]|\\.)+"|-?[0-9.]+)'
)
"""What differs from client to client in an entry, where it is not empty: the rest is its shape."""


def _check(entries: Iterable[dict[str, Any]]) -> None:
    """Raise the library's ValidationError where what goes out is no FHIR.

    One entry of each shape is enough: the others differ in texts and numbers alone.
    """
    from fhir.resources.R4B.bundle import Bundle as WholeBundle

    WholeBundle.model_validate(
        {"resourceType": "Bundle", "type": "collection", "entry": list(entries)}
    )


@_no_collection()
def read_fhir(raw: bytes) -> Read:
    """Read a Bundle: our own whole, of others what is known (body height)."""
    read = Read()
    try:
        bundle = Bundle.model_validate(json.loads(raw))
    except ValidationError as error:
        for wrong in error.errors(include_url=False):
            place, words = invalid_at(wrong["loc"], wrong, whole="file")
            read.troubles.append((place, "", words))
        return read
    except (ValueError, RecursionError) as error:
        read.troubles.append(
            ("file", "", msg("is not JSON, or was cut off ({error})", error=error))
        )
        return read
    patients: dict[str, Patient] = {}
    sheets: dict[tuple[str, str], MeasurementSheet] = {}
    for entry in bundle.entry:
        if isinstance(entry.resource, Patient):
            for key in (
                entry.fullUrl,
                f"Patient/{entry.resource.id}" if entry.resource.id else None,
            ):
                if key:
                    patients[key] = entry.resource
    for index, entry in enumerate(bundle.entry, start=1):
        place, resource = msg("entry {index}", index=index), entry.resource
        if isinstance(resource, Observation) and resource.status in WITHDRAWN:
            read.left_out.append((place, resource.status or "", msg("withdrawn by its author")))
        elif isinstance(resource, Observation):
            _take(read, sheets, patients, resource, place)
        elif not isinstance(resource, Patient):
            kind = resource.resourceType if resource is not None else None
            read.left_out.append((place, kind or "nothing", msg("not a Patient or an Observation")))
    read.sheets = list(sheets.values())
    return read


BY_LOINC = {code: name for name, (code, _) in LOINC_CODES.items()}


def _dimension_of(seen: Observation) -> str | None:
    for coding in seen.code.coding if seen.code else ():
        if coding.system == DIMENSION and coding.code in DIMENSIONS:
            return coding.code
        if coding.system == LOINC and coding.code in BY_LOINC:
            return BY_LOINC[coding.code]
    return None


def _day(value: str | None) -> date | None:
    """The day of a date or a time, ISO 8601; None where only a month or a year is told."""
    try:
        return date.fromisoformat((value or "")[:10])
    except ValueError:
        return None


def _mm(quantity: Quantity | None) -> float | None:
    if quantity is None or quantity.value is None:
        return None
    factor = UCUM_MM.get(quantity.code or quantity.unit or "")
    return quantity.value * factor if factor is not None else None


def _client(patient: Patient) -> tuple[str, str, str | None, str]:
    """Identifier, name, sex and work of a Patient."""
    ids = [identifier.value for identifier in patient.identifier if identifier.system == CLIENT]
    ids += [identifier.value for identifier in patient.identifier]
    id = next((value for value in [*ids, patient.id] if value), "")
    name = ""
    for human in patient.name[:1]:
        name = (human.text or " ".join([*human.given, human.family or ""])).strip()
    work = [extension.valueString for extension in patient.extension if extension.url == WORK]
    sex = patient.gender if patient.gender in ("female", "male") else None
    return id, name, sex, (work[0] or "") if work else ""


def _take(  # noqa: C901  # one check after the other, each with its own trouble
    read: Read,
    sheets: dict[tuple[str, str], MeasurementSheet],
    patients: dict[str, Patient],
    seen: Observation,
    place: str,
) -> None:
    if seen.code is None:
        read.troubles.append((place, "code", "missing"))
        return
    name = _dimension_of(seen)
    if name is None:
        codes = ", ".join(str(coding.code) for coding in seen.code.coding)
        read.left_out.append((place, codes, msg("no dimension of the catalogue")))
        return
    patient = patients.get(seen.subject.reference or "") if seen.subject else None
    if patient is None:
        read.troubles.append((place, "subject", msg("points at no Patient of this Bundle")))
        return
    visit = next((identifier for identifier in seen.identifier if identifier.system == VISIT), None)
    on = (
        _day(visit.period.start)
        if visit is not None and visit.period
        else _day(seen.effectiveDateTime)
    )
    if on is None:
        read.troubles.append((place, "effectiveDateTime", msg("no day given")))
        return
    id, client, sex, work = _client(patient)
    if not client:
        read.troubles.append((place, "Patient.name", "empty"))
        return
    visit_id = (visit.value or "") if visit is not None else ""
    key = (id or client, visit_id or on.isoformat())
    sheet = sheets.setdefault(
        key,
        MeasurementSheet(
            client_id=id,
            name=client,
            sex=one_of(SEXES, sex),
            work=work,
            visit_id=visit_id,
            on=on,
            entries={},
            place=place,
            places={},
        ),
    )
    parts = _parts(read, seen, place)
    if not any(which in parts for which in READINGS) and seen.valueQuantity is not None:
        mm = _mm(seen.valueQuantity)
        if mm is None:
            unit = seen.valueQuantity.code or seen.valueQuantity.unit
            read.troubles.append(
                (place, "valueQuantity", msg("“{unit}” is no length this program reads", unit=unit))
            )
            return
        parts["first"] = f"{mm:.10g} mm"
        if seen.performer:
            parts.setdefault("taken_by", seen.performer[0].display or "")
        if (taken := _day(seen.effectiveDateTime)) is not None:
            parts.setdefault("taken_on", taken.isoformat())
    for part, typed in parts.items():
        path = f"measure.{part}" if part in WHOLE else f"measure.{name}.{part}"
        if path in sheet.entries and sheet.entries[path] != typed:
            read.troubles.append(
                (
                    place,
                    part,
                    msg(
                        "“{typed}”, but “{entries}” before",
                        typed=typed,
                        entries=sheet.entries[path],
                    ),
                )
            )
        elif typed:
            sheet.entries[path], sheet.places[path] = typed, place


def _parts(read: Read, seen: Observation, place: str) -> dict[str, str]:
    """What an Observation's components say: part to text, lengths as they were typed."""
    parts: dict[str, str] = {}
    for component in seen.component:
        codings = component.code.coding if component.code else ()
        code = next((coding.code for coding in codings if coding.system == PART), None)
        if code is None or code not in (*READINGS, *ABOUT, *WHOLE):
            read.left_out.append(
                (place, code or "component", msg("a component this program does not know"))
            )
            continue
        if code not in LENGTHS:
            parts[code] = component.valueString or ""
            continue
        mm = _mm(component.valueQuantity)
        typed = next(
            (extension.valueString for extension in component.extension if extension.url == TYPED),
            None,
        )
        if mm is None:
            read.troubles.append((place, code, msg("no length in mm, cm, m, [in_i] or [ft_i]")))
        elif typed is None:
            parts[code] = f"{mm:.10g} mm"
        else:
            parts[code] = typed
    return parts
