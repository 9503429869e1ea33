"""The record of a visit: its fields, how they are read, and the case they make."""

from .doubts import Doubt, Fix, doubts, spoken_date
from .fields import FAMILIES, FIELDS, STEPS, Field, StepId, applies, field_of
from .pieces import PIECES, Piece, paths_of
from .progress import StepProgress, progress
from .reading import read_typed
from .to_body import HOUSE, Entries, Measuring, body_from, readings_of, resolved_of, settled
from .to_case import (
    PhotoFile,
    action_states,
    case_from,
    display_offset,
    habits_seen,
    hours_at_desk,
    keys_not_remeasured,
    overrules,
    photos_from,
    set_unmeasured,
    settings_left,
)

__all__ = [
    "FAMILIES",
    "FIELDS",
    "HOUSE",
    "PIECES",
    "STEPS",
    "Doubt",
    "Entries",
    "Field",
    "Fix",
    "Measuring",
    "PhotoFile",
    "Piece",
    "StepId",
    "StepProgress",
    "action_states",
    "applies",
    "body_from",
    "case_from",
    "display_offset",
    "doubts",
    "field_of",
    "habits_seen",
    "hours_at_desk",
    "keys_not_remeasured",
    "overrules",
    "paths_of",
    "photos_from",
    "progress",
    "read_typed",
    "readings_of",
    "resolved_of",
    "set_unmeasured",
    "settings_left",
    "settled",
    "spoken_date",
]
