"""What is off, why it matters, what to do; and what it adds up to."""

from .facts import Discomfort, Facts
from .finding import MARKED_MIN, STRONG_MIN, Finding, grade
from .judge import findings
from .strain import (
    CAP_DEG,
    REGION_LABELS,
    Strain,
    StrainPart,
    strain_by_region,
    strain_minutes,
    whole_minutes,
)

__all__ = [
    "CAP_DEG",
    "MARKED_MIN",
    "REGION_LABELS",
    "STRONG_MIN",
    "Discomfort",
    "Facts",
    "Finding",
    "Strain",
    "StrainPart",
    "findings",
    "grade",
    "strain_by_region",
    "strain_minutes",
    "whole_minutes",
]
