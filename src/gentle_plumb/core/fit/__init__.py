"""Targets from a body, and what real equipment makes of them."""

from .again import Again, dimensions_needed, measure_again
from .case import Case
from .checks import CHECKS
from .fit import fit
from .joints import Joint, joints_of
from .order import working_order
from .policies import JOINT_BANDS, Band, Policy
from .result import Cost, FitResult, FitRow, Limit, PostureFit
from .terms import Term, terms_text, total
from .wording import limit_text

__all__ = [
    "CHECKS", "JOINT_BANDS", "Again", "Band", "Case", "Cost", "FitResult", "FitRow", "Joint", "Limit", "Policy",
    "PostureFit", "Term", "dimensions_needed", "fit", "joints_of", "limit_text", "measure_again",
    "terms_text", "total", "working_order",
]  # fmt: skip
