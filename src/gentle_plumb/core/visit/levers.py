"""What moves each piece, as it was recorded."""

from __future__ import annotations

from ..record import Record, fields


def levers_of(record: Record) -> dict[str, str]:
    """Return what moves each quantity, in words; what nobody recorded is left out."""
    asked = {**fields.chair.lever, "surface": fields.desk.lever}
    return {
        key: lever.label for key, field in asked.items() if (lever := record[field]) is not None
    }
