"""What is asked before anything is touched: warning signs, care groups, discomfort, consents."""

from .care import CARE, Care
from .consents import CONSENTS, Consent
from .limits import PersonLimits, person_limits, precautions_of
from .regions import OFTEN, REGIONS, STRONGEST, Region
from .signs import SIGNS, URGENCY, Sign, Ticked, ticked_signs, unasked_signs

__all__ = [
    "CARE",
    "CONSENTS",
    "OFTEN",
    "REGIONS",
    "SIGNS",
    "STRONGEST",
    "URGENCY",
    "Care",
    "Consent",
    "PersonLimits",
    "Region",
    "Sign",
    "Ticked",
    "person_limits",
    "precautions_of",
    "ticked_signs",
    "unasked_signs",
]
