"""HL7 FHIR R4: a Bundle of Patients and Observations, through a maintained library.

One Observation a dimension: its value is what the readings come to, in UCUM millimetres; the
readings and what is said of them are components. Stature carries LOINC 8302-2; the other
dimensions have no LOINC code and use this program's own code system. The library's R4B models
are used: Patient, Observation and Bundle are the same there as in R4.
"""

from __future__ import annotations

import json
from collections.abc import Sequence
from datetime import date, datetime
from typing import TYPE_CHECKING, Any

from pydantic import ValidationError

from ...core.body import DIMENSIONS, SEXES, resolve_readings
from ...core.choices import one_of
from ...core.units import MM_PER
from ...core.words import invalid_at
from ...services.models import MeasurementSheet
from .about import ABOUT, READINGS, WHOLE, Read, dimensions_in, mm_of

if TYPE_CHECKING:
    from fhir.resources.R4B.observation import Observation
    from fhir.resources.R4B.patient import Patient

CLIENT, VISIT = "urn:gentle-plumb:client", "urn:gentle-plumb:visit"
DIMENSION, PART = "urn:gentle-plumb:dimension", "urn:gentle-plumb:part"
TYPED = "urn:gentle-plumb:typed"
UCUM, LOINC = "http://unitsofmeasure.org", "http://loinc.org"
LOINC_CODES = {"stature": ("8302-2", "Body height")}
"""LOINC codes of dimensions that have one. Source: loinc."""
UCUM_CODES = {"in": "[in_i]", "ft": "[ft_i]"}
"""UCUM codes of units that are written otherwise. Source: ucum."""
UCUM_MM = {UCUM_CODES.get(unit, unit): mm for unit, mm in MM_PER.items()}
"""UCUM lengths that are read, in mm. Source: ucum."""
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
            "text": "left out" if f"{start}skip" in said else "not settled yet"
        }
    return result


def write_fhir(sheets: Sequence[MeasurementSheet]) -> bytes:
    """All sheets as one Bundle of type collection, checked by the library before it goes out."""
    from fhir.resources.R4B.bundle import Bundle

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
                patient["extension"] = [{"url": "urn:gentle-plumb:work", "valueString": sheet.work}]
            entries.append({"fullUrl": url, "resource": patient})
        entries += [
            {"resource": _observation(sheet, name, patients[sheet.client_id])}
            for name in dimensions_in(sheet)
        ]
    bundle = {"resourceType": "Bundle", "type": "collection", "entry": entries}
    Bundle.model_validate(bundle)  # what it would write is the same, and takes longer
    return (json.dumps(bundle, indent=1, ensure_ascii=False) + "\n").encode("utf-8")


def read_fhir(raw: bytes) -> Read:
    """Read a Bundle: our own whole, of others what is known (body height)."""
    from fhir.resources.R4B.bundle import Bundle
    from fhir.resources.R4B.observation import Observation
    from fhir.resources.R4B.patient import Patient

    read = Read()
    try:
        bundle = Bundle.model_validate(json.loads(raw))
    except ValidationError as error:
        for wrong in error.errors(include_url=False):
            place, words = invalid_at(wrong["loc"], wrong, whole="file")
            read.troubles.append((place, "", words))
        return read
    except (ValueError, RecursionError) as error:
        read.troubles.append(("file", "", f"is not JSON, or was cut off ({error})"))
        return read
    patients: dict[str, Patient] = {}
    sheets: dict[tuple[str, str], MeasurementSheet] = {}
    entries = list(bundle.entry or ())
    for entry in entries:
        if isinstance(entry.resource, Patient):
            for key in (
                entry.fullUrl,
                f"Patient/{entry.resource.id}" if entry.resource.id else None,
            ):
                if key:
                    patients[str(key)] = entry.resource
    for index, entry in enumerate(entries, start=1):
        place = f"entry {index}"
        if isinstance(entry.resource, Patient):
            continue
        if not isinstance(entry.resource, Observation):
            kind = type(entry.resource).__name__ if entry.resource is not None else "nothing"
            read.left_out.append((place, kind, "not a Patient or an Observation"))
            continue
        _take(read, sheets, patients, entry.resource, place)
    read.sheets = list(sheets.values())
    return read


def _dimension_of(seen: Observation) -> str | None:
    by_loinc = {code: name for name, (code, _) in LOINC_CODES.items()}
    for coding in seen.code.coding or ():
        if coding.system == DIMENSION and coding.code in DIMENSIONS:
            return str(coding.code)
        if coding.system == LOINC and coding.code in by_loinc:
            return by_loinc[str(coding.code)]
    return None


def _day(value: Any) -> date | None:
    if isinstance(value, datetime):
        return value.date()
    return value if isinstance(value, date) else None


def _mm(quantity: Any) -> float | None:
    if quantity is None or quantity.value is None:
        return None
    factor = UCUM_MM.get(str(quantity.code or quantity.unit or ""))
    return float(quantity.value) * factor if factor is not None else None


def _client(patient: Patient) -> tuple[str, str, str | None, str]:
    """Identifier, name, sex and work of a Patient."""
    own = [
        identifier.value for identifier in patient.identifier or () if identifier.system == CLIENT
    ]
    any_id = [identifier.value for identifier in patient.identifier or () if identifier.value]
    id = str((own or any_id or [patient.id or ""])[0])
    name = ""
    for human_name in patient.name or ():
        name = str(
            human_name.text or " ".join([*(human_name.given or ()), human_name.family or ""])
        ).strip()
        break
    work = [
        extension.valueString
        for extension in patient.extension or ()
        if extension.url == "urn:gentle-plumb:work"
    ]
    sex = str(patient.gender) if patient.gender in ("female", "male") else None
    return id, name, sex, str(work[0]) if work else ""


def _take(  # noqa: C901  # one check after the other, each with its own trouble
    read: Read,
    sheets: dict[tuple[str, str], MeasurementSheet],
    patients: dict[str, Patient],
    seen: Observation,
    place: str,
) -> None:
    if getattr(seen, "code", None) is None:  # the library lets a null pass where one has to be
        read.troubles.append((place, "code", "missing"))
        return
    name = _dimension_of(seen)
    if name is None:
        codes = ", ".join(str(coding.code) for coding in seen.code.coding or ())
        read.left_out.append((place, codes, "no dimension of the catalogue"))
        return
    patient = patients.get(str(seen.subject.reference)) if seen.subject else None
    if patient is None:
        read.troubles.append((place, "subject", "points at no Patient of this Bundle"))
        return
    visit = next(
        (identifier for identifier in seen.identifier or () if identifier.system == VISIT), None
    )
    on = (
        _day(visit.period.start)
        if visit is not None and visit.period
        else _day(seen.effectiveDateTime)
    )
    if on is None:
        read.troubles.append((place, "effectiveDateTime", "no day given"))
        return
    id, client, sex, work = _client(patient)
    if not client:
        read.troubles.append((place, "Patient.name", "empty"))
        return
    visit_id = str(visit.value) if visit is not None else ""
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
                (place, "valueQuantity", f"“{unit}” is no length this program reads")
            )
            return
        parts["first"] = f"{mm:.10g} mm"
        if seen.performer:
            parts.setdefault("taken_by", str(seen.performer[0].display or ""))
        if (taken := _day(seen.effectiveDateTime)) is not None:
            parts.setdefault("taken_on", taken.isoformat())
    for part, typed in parts.items():
        path = f"measure.{part}" if part in WHOLE else f"measure.{name}.{part}"
        if path in sheet.entries and sheet.entries[path] != typed:
            read.troubles.append((place, part, f"“{typed}”, but “{sheet.entries[path]}” before"))
        elif typed:
            sheet.entries[path], sheet.places[path] = typed, place


def _parts(read: Read, seen: Observation, place: str) -> dict[str, str]:
    """What an Observation's components say: part to text, lengths as they were typed."""
    parts: dict[str, str] = {}
    for component in seen.component or ():
        code = next((str(c.code) for c in component.code.coding or () if c.system == PART), None)
        if code is None or code not in (*READINGS, *ABOUT, *WHOLE):
            read.left_out.append(
                (place, code or "component", "a component this program does not know")
            )
            continue
        if code not in LENGTHS:
            parts[code] = str(component.valueString or "")
            continue
        mm = _mm(component.valueQuantity)
        typed = next(
            (str(e.valueString) for e in component.extension or () if e.url == TYPED), None
        )
        if mm is None:
            read.troubles.append((place, code, "no length in mm, cm, m, [in_i] or [ft_i]"))
        elif typed is None:
            parts[code] = f"{mm:.10g} mm"
        else:
            parts[code] = typed
    return parts
