"""What is asked before anything is touched: warning signs, care groups, discomfort, consents."""

from .care import CARE, Care
from .consents import CONSENTS, Consent
from .regions import OFTEN, REGIONS, STRONGEST, Region
from .signs import SIGNS, URGENCY, Sign, Ticked, ticked_signs

__all__ = [
    "CARE", "CONSENTS", "OFTEN", "REGIONS", "SIGNS", "STRONGEST", "URGENCY", "Care", "Consent",
    "Region", "Sign", "Ticked", "ticked_signs",
]  # fmt: skip
