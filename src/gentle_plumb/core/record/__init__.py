"""The record of a visit: its fields, how they are read, and the case they make."""

from .fields import FAMILIES, FIELDS, STEPS, Field, StepId, applies, field_of
from .pieces import PIECES, Piece, paths_of
from .progress import StepProgress, progress
from .reading import read_typed
from .to_case import (
    Entries,
    PhotoFile,
    case_from,
    display_offset,
    habits_seen,
    hours_at_desk,
    overrules,
    photos_from,
    settings_left,
)

__all__ = [
    "FAMILIES", "FIELDS", "PIECES", "STEPS", "Entries", "Field", "PhotoFile", "Piece", "StepId",
    "StepProgress", "applies", "case_from", "display_offset", "field_of", "habits_seen", "hours_at_desk",
    "overrules", "paths_of", "photos_from", "progress", "read_typed", "settings_left",
]  # fmt: skip
