"""Equipment: what each piece is, what it can do, and how it is set."""

from .details import Details, SideScreen
from .equipment import LEAST_STEP, Chair, Desk, Item, Keyboard, Mouse, Screen, Span, Workstation
from .settings import Settings

__all__ = [
    "LEAST_STEP",
    "Chair",
    "Desk",
    "Details",
    "Item",
    "Keyboard",
    "Mouse",
    "Screen",
    "Settings",
    "SideScreen",
    "Span",
    "Workstation",
]
