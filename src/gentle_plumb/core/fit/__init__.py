"""Targets from a body, and what real equipment makes of them."""

from ..policy import JOINT_BANDS, Band, Policy
from .again import Again, dimensions_needed, measure_again
from .case import Case
from .checks import CHECKS
from .fit import Settled, fit, notes_in, settle, standing_reason
from .joints import Joint, joints_of
from .order import NEEDED_ROWS, working_order
from .result import NO_LIMIT, Cost, FitResult, FitRow, Limit, Move, PostureFit
from .terms import Term, terms_text, total
from .wording import limit_text

__all__ = [
    "CHECKS",
    "JOINT_BANDS",
    "NEEDED_ROWS",
    "NO_LIMIT",
    "Again",
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
    "Settled",
    "Term",
    "dimensions_needed",
    "fit",
    "joints_of",
    "limit_text",
    "measure_again",
    "notes_in",
    "settle",
    "standing_reason",
    "terms_text",
    "total",
    "working_order",
]
