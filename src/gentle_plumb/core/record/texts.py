"""Words for values: the label of a choice, the unit of a number."""

from __future__ import annotations

from .fields import FIELDS

TEXTS: dict[str, str] = {
    **{
        field.id: "length" if field.kind == "length" else field.unit
        for field in FIELDS.values()
        if field.kind in ("length", "number")
    },
    **{f"{field.id}={value}": label for field in FIELDS.values() for value, label in field.choices},
}
"""Path to unit (``length`` for a length), and ``path=value`` to the choice's label."""
