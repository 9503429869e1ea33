"""What practitioners choose: bands, policies, and the schools they come from."""

from .bands import JOINT_BANDS, JOINT_LABELS, SAME, Band
from .policy import POLICY_RANGES, Policy, with_values
from .schools import (
    SCHOOLS,
    STANDING,
    Bundle,
    Position,
    Question,
    check_bundle,
    defaults,
    policy_of,
    question_of,
    standing_policy_of,
)

__all__ = [
    "JOINT_BANDS",
    "JOINT_LABELS",
    "POLICY_RANGES",
    "SAME",
    "SCHOOLS",
    "STANDING",
    "Band",
    "Bundle",
    "Policy",
    "Position",
    "Question",
    "check_bundle",
    "defaults",
    "policy_of",
    "question_of",
    "standing_policy_of",
    "with_values",
]
