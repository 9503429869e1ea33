"""Documents that leave the program: the report, and the formats of a case and its fit."""

from .case_format import CaseDocument, case_schema, result_document, result_schema
from .darkroom import PillowDarkroom
from .report_pdf import TypstPress

__all__ = [
    "CaseDocument",
    "PillowDarkroom",
    "TypstPress",
    "case_schema",
    "result_document",
    "result_schema",
]
