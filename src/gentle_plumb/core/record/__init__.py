"""The record of a visit: its fields, what was entered into them, and how typed text is read."""

from . import fields
from .fields import (
    FAMILIES,
    FIELDS,
    STEPS,
    Field,
    FieldFacts,
    SpanField,
    StepId,
    Value,
    When,
    field_of,
    step_of,
)
from .pieces import PIECES, Piece, paths_of
from .range_ends import check_range, other_end
from .reading import read_typed
from .record import Record
from .shelf import SHELF, ShelfKind
from .writing import as_kept, typed_of
