"""Targets from a body, and what real equipment makes of them."""

from ..policy import JOINT_BANDS, Band, Policy
from .case import Case
from .fit import AimedSettings, aimed_settings, fit, notes_in, standing_reason
from .joints import Joint, joints_of
from .order import NEEDED_ROWS, working_order
from .remeasurement import RemeasureSuggestion, dimensions_needed, suggest_remeasurement
from .result import NO_LIMIT, Cost, FitResult, FitRow, Limit, Move, PostureFit
from .terms import Term, terms_text, total
from .wording import limit_text

__all__ = [
    "JOINT_BANDS",
    "NEEDED_ROWS",
    "NO_LIMIT",
    "AimedSettings",
    "Band",
    "Case",
    "Cost",
    "FitResult",
    "FitRow",
    "Joint",
    "Limit",
    "Move",
    "Policy",
    "PostureFit",
    "RemeasureSuggestion",
    "Term",
    "aimed_settings",
    "dimensions_needed",
    "fit",
    "joints_of",
    "limit_text",
    "notes_in",
    "standing_reason",
    "suggest_remeasurement",
    "terms_text",
    "total",
    "working_order",
]
