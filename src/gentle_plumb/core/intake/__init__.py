"""What is asked before anything is touched: warning signs, conditions, discomfort, consents."""

from .body_chart import MAP_H, MAP_W, REGIONS, STRONGEST, DiscomfortKind, DiscomfortOften, Region
from .consents import CONSENTS, Consent
from .demands import Demand
from .figures import FIGURES, JOINTS_LIMITED, Figure, says_of
from .limit_in_force import LimitInForce
from .limits import LIMITS, STRONGER, Limit, LimitId
from .person_limits import (
    LEAST_HIP_DEG,
    SHORT_STANDING_MIN,
    Held,
    Lifted,
    PersonLimits,
    limits_applying,
    person_limits,
)
from .screening import PRECAUTIONS, RED_FLAGS, URGENCY, Precaution, RedFlag, Urgency
from .surgery import OperatedPart
