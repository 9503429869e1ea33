"""The record of a visit: its fields, how they are read, and the case they make."""

from .fields import FIELDS, STEPS, Field, StepId, field_of
from .progress import StepProgress, progress
from .reading import read_typed
from .to_case import Entries, case_from, hours_at_desk, overrules, settings_left

__all__ = [
    "FIELDS", "STEPS", "Entries", "Field", "StepId", "StepProgress", "case_from", "field_of",
    "hours_at_desk", "overrules", "progress", "read_typed", "settings_left",
]  # fmt: skip
