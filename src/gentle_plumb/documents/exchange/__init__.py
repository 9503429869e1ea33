"""Measurements in and out: CSV, JSON and FHIR R4, each a pair of reading and writing."""

from .csv_format import csv_template
from .formats import FORMATS, ExchangeFormats, Format, exchange_format
from .json_format import measurements_schema

__all__ = [
    "FORMATS",
    "ExchangeFormats",
    "Format",
    "csv_template",
    "exchange_format",
    "measurements_schema",
]
