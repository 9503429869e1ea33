"""The things the use cases work on, as plain records."""

from .accounts import WRITERS, DateOrder, Member, Practice, Role, Session
from .files import MOST_TROUBLES, FileRead, ImportBatch, MeasurementSheet, Trouble, Troubles
from .instruments import DeskMotion, DeskState, InstrumentReading, InstrumentState, LightReading
from .shared import Difference, MeasuringList, PopulationTable, ShelfItem, StoredRuleSet, TableRow
from .visits import (
    Change,
    Client,
    EarlierVisit,
    Entry,
    ErasureScope,
    PhotoHead,
    ProcessedPhoto,
    Report,
    ReportHead,
    Visit,
    VisitLine,
    VisitSnapshot,
)

__all__ = [
    "MOST_TROUBLES",
    "WRITERS",
    "Change",
    "Client",
    "DateOrder",
    "DeskMotion",
    "DeskState",
    "Difference",
    "EarlierVisit",
    "Entry",
    "ErasureScope",
    "FileRead",
    "ImportBatch",
    "InstrumentReading",
    "InstrumentState",
    "LightReading",
    "MeasurementSheet",
    "MeasuringList",
    "Member",
    "PhotoHead",
    "PopulationTable",
    "Practice",
    "ProcessedPhoto",
    "Report",
    "ReportHead",
    "Role",
    "Session",
    "ShelfItem",
    "StoredRuleSet",
    "TableRow",
    "Trouble",
    "Troubles",
    "Visit",
    "VisitLine",
    "VisitSnapshot",
]
