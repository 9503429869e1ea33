"""The formats by name, and which one a file is in."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass

from ...core.language import filled, msg
from ...services.models import MeasurementSheet
from ..embedded_files import MEASUREMENTS, files_in
from .about import Read
from .csv_format import read_csv, write_clients, write_readings
from .fhir_format import read_fhir, write_fhir
from .json_format import read_json, write_json


@dataclass(frozen=True, kw_only=True)
class Format:
    """One format: how it is written, and what its file is called."""

    id: str
    label: str
    write: Callable[[Sequence[MeasurementSheet]], bytes]
    media: str
    file: str


FORMATS: dict[str, Format] = {
    one.id: one
    for one in (
        Format(
            id="csv_readings",
            label=msg("CSV, one row a reading"),
            write=write_readings,
            media="text/csv; charset=utf-8",
            file="readings.csv",
        ),
        Format(
            id="csv_clients",
            label=msg("CSV, one row a client"),
            write=write_clients,
            media="text/csv; charset=utf-8",
            file="clients.csv",
        ),
        Format(
            id="json",
            label="JSON",
            write=write_json,
            media="application/json",
            file="measurements.json",
        ),
        Format(
            id="fhir",
            label="HL7 FHIR R4 Bundle",
            write=write_fhir,
            media="application/fhir+json",
            file="measurements.fhir.json",
        ),
    )
}


class ExchangeFormats:
    """The Exchange port over these formats."""

    def write(self, id: str, sheets: Sequence[MeasurementSheet]) -> tuple[bytes, str, str]:
        """The file, its media type and its name; raises KeyError for a format there is not."""
        chosen = FORMATS[id]
        return chosen.write(sheets), chosen.media, chosen.file

    def read(self, raw: bytes) -> tuple[str, Read]:
        """The format's label and what the file says."""
        return exchange_format(raw)


def exchange_format(raw: bytes) -> tuple[str, Read]:
    """Read a file in whichever of the formats it is."""
    if raw.startswith(b"%PDF"):
        return _carried(raw)
    start = raw.lstrip(b"\xef\xbb\xbf \t\r\n")[:1]
    if start in (b"{", b"["):
        if b'"resourceType"' in raw[:2000]:
            return FORMATS["fhir"].label, read_fhir(raw)
        return FORMATS["json"].label, read_json(raw)
    return "CSV", read_csv(raw)


def _carried(raw: bytes) -> tuple[str, Read]:
    """Read the measurements that a report carries."""
    label, read = msg("Report"), Read()
    try:
        held = files_in(raw).get(MEASUREMENTS)
    except ValueError as error:
        read.troubles.append(("file", "", str(error)))
        return label, read
    if held is None:
        read.troubles.append(("file", "", msg("this PDF carries no measurements of this program")))
        return label, read
    inner, read = exchange_format(held)
    return filled("{label}, {inner}", label=label, inner=inner), read
