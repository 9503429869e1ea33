"""What is off, why it matters, what to do; and what it adds up to."""

from .causes import Cause, Causes, causes_of
from .facts import Discomfort, Facts
from .finding import MARKED_MIN, STRONG_MIN, Direction, Finding, grade
from .judge import findings
from .rules import RULES
from .settings import effect_of
from .strain import Strain, StrainPart, strain_by_region

__all__ = [
    "MARKED_MIN",
    "RULES",
    "STRONG_MIN",
    "Cause",
    "Causes",
    "Direction",
    "Discomfort",
    "Facts",
    "Finding",
    "Strain",
    "StrainPart",
    "causes_of",
    "effect_of",
    "findings",
    "grade",
    "strain_by_region",
]
