"""What is asked before anything is touched: warning signs, care groups, discomfort, consents."""

from .body_chart import MAP_H, MAP_W, REGIONS, STRONGEST, DiscomfortOften, Region
from .consents import CONSENTS, Consent
from .limits import PersonLimits, person_limits
from .precautions import PRECAUTIONS, Precaution
from .red_flags import RED_FLAGS, URGENCY, RedFlag, Urgency

__all__ = [
    "CONSENTS",
    "MAP_H",
    "MAP_W",
    "PRECAUTIONS",
    "RED_FLAGS",
    "REGIONS",
    "STRONGEST",
    "URGENCY",
    "Consent",
    "DiscomfortOften",
    "PersonLimits",
    "Precaution",
    "RedFlag",
    "Region",
    "Urgency",
    "person_limits",
]
