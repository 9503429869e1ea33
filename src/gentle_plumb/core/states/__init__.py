"""The one state of everything that can be set."""

from .answers import SILENT, StepAnswers, answers_of
from .state import LEFT_ALONE, MEASURED, NOT_THERE, Known, PieceState, StateKind
from .states import (
    CARRIED_BY,
    LEAST_DEG,
    States,
    StateSources,
    given_by,
    keys_not_measured,
    least_change,
    settings_set,
    states_of,
)
