"""Ranges of pieces from the record."""

from __future__ import annotations

from ..record import Field, Record, SpanField
from ..workstation import Span


def span_from(record: Record, span: SpanField) -> Span | None:
    """Return the range of a piece; one end alone is a fixed piece, swapped ends are put right."""
    ends = [end for field in (span.low, span.high) if (end := record[field]) is not None]
    step = record[span.step] if span.step is not None else None
    return Span(low=min(ends), high=max(ends), step=step) if ends else None


def shifted(span: Span | None, by: float | None) -> Span | None:
    """Return a range higher by so much, mm; None where either is not known."""
    return span.shifted(by) if span and by is not None else None


def fixed_at(record: Record, field: Field[float]) -> Span | None:
    """Return the one place of a piece that stays where it was found, mm; None where nobody measured it."""
    position = record[field]
    return Span(low=position, high=position) if position is not None else None
