"""What is true of a body at a workstation: settings, joints, clearances and supports."""

from .assess import Assessment, Known, SettingState, Stage, assess
from .condition import State
from .conditions import conditions_of
from .hard_limits import HardLimits, hard_limits
from .load import CAP_DEG, strain_minutes, sum_text, whole_minutes
from .visit_assessment import VisitAssessment
