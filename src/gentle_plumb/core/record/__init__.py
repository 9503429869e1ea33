"""The record of a visit: its fields, what was entered into them, and how typed text is read."""

from . import fields
from .fields import (
    FAMILIES,
    FIELDS,
    STEPS,
    Field,
    SpanField,
    StepId,
    Value,
    When,
    family_of,
    field_of,
    step_of,
)
from .pieces import PIECES, Piece, paths_of
from .range_ends import check_range, other_end
from .reading import read_typed
from .record import Record
from .shelf import SHELF, ShelfKind
from .writing import as_kept, typed_of

__all__ = [
    "FAMILIES",
    "FIELDS",
    "PIECES",
    "SHELF",
    "STEPS",
    "Field",
    "Piece",
    "Record",
    "ShelfKind",
    "SpanField",
    "StepId",
    "Value",
    "When",
    "as_kept",
    "check_range",
    "family_of",
    "field_of",
    "fields",
    "other_end",
    "paths_of",
    "read_typed",
    "step_of",
    "typed_of",
]
