"""Where every constant comes from: one key each, so that a number can be traced.

A *published* source is a standard or a book; a *house* value is this project's own choice
and says why it was chosen. Rules, targets and tables name these keys only.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..language import Words
from ..tables import csv_table, entry


@dataclass(frozen=True, kw_only=True)
class Source:
    """One origin of a constant."""

    key: str
    kind: Literal["published", "house", "geometry"]
    title: str
    note: Words


SOURCES: dict[str, Source] = {
    line["key"]: entry(Source, line, f"sources.csv: {line['key']}", {})
    for line in csv_table(__name__, "sources.csv")
}
"""What is known of the origin of a constant."""


def source_key(key: str) -> str:
    """A key, if there is such a source; raises KeyError."""
    return SOURCES[key].key
