"""Measurements in and out: CSV, JSON and FHIR R4, each a pair of reading and writing."""

from .csv_format import COLUMNS, csv_template
from .formats import FORMATS, ExchangeFormats, exchange_format
from .json_format import measurements_schema
