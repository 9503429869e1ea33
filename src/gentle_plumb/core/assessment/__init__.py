"""What is true of a body at a workstation: settings, joints, clearances and supports."""

from .assess import Assessment, Known, SettingState, Stage, assess
from .condition import LABELS as CONDITION_LABELS
from .condition import Condition, State
from .conditions import conditions_of
from .hard_limits import HardLimits, hard_limits, hard_limits_in
from .load import CAP_DEG, strain_minutes, sum_text, whole_minutes
from .visit_assessment import VisitAssessment

__all__ = [
    "CAP_DEG",
    "CONDITION_LABELS",
    "Assessment",
    "Condition",
    "HardLimits",
    "Known",
    "SettingState",
    "Stage",
    "State",
    "VisitAssessment",
    "assess",
    "conditions_of",
    "hard_limits",
    "hard_limits_in",
    "strain_minutes",
    "sum_text",
    "whole_minutes",
]
