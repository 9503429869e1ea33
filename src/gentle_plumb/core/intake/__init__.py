"""What is asked before anything is touched: warning signs, conditions, discomfort, consents."""

from .body_chart import MAP_H, MAP_W, REGIONS, STRONGEST, DiscomfortKind, DiscomfortOften, Region
from .consents import CONSENTS, Consent
from .demands import Demand
from .limits import LIMITS, STRONGER, Limit, LimitId
from .person_limits import Held, LimitInForce, PersonLimits, limits_applying, person_limits
from .precautions import PRECAUTIONS, Precaution
from .red_flags import RED_FLAGS, URGENCY, RedFlag, Urgency
from .surgery import OperatedPart

__all__ = [
    "CONSENTS",
    "LIMITS",
    "MAP_H",
    "MAP_W",
    "PRECAUTIONS",
    "RED_FLAGS",
    "REGIONS",
    "STRONGER",
    "STRONGEST",
    "URGENCY",
    "Consent",
    "Demand",
    "DiscomfortKind",
    "DiscomfortOften",
    "Held",
    "Limit",
    "LimitId",
    "LimitInForce",
    "OperatedPart",
    "PersonLimits",
    "Precaution",
    "RedFlag",
    "Region",
    "Urgency",
    "limits_applying",
    "person_limits",
]
