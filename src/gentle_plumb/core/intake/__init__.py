"""What is asked before anything is touched: warning signs, care groups, discomfort, consents."""

from .body_chart import OFTEN, REGIONS, STRONGEST, Region
from .consents import CONSENTS, Consent
from .limits import PersonLimits, person_limits, precautions_of
from .precautions import PRECAUTIONS, Precaution
from .red_flags import (
    RED_FLAGS,
    URGENCY,
    RaisedRedFlag,
    RedFlag,
    raised_red_flags,
    unasked_red_flags,
)

__all__ = [
    "CONSENTS",
    "OFTEN",
    "PRECAUTIONS",
    "RED_FLAGS",
    "REGIONS",
    "STRONGEST",
    "URGENCY",
    "Consent",
    "PersonLimits",
    "Precaution",
    "RaisedRedFlag",
    "RedFlag",
    "Region",
    "person_limits",
    "precautions_of",
    "raised_red_flags",
    "unasked_red_flags",
]
