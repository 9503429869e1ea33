"""Equipment: what each piece is, what it can do, and how it is set."""

from .details import USES, Details, SideScreen
from .equipment import (
    HANDS,
    LEAST_STEP,
    Chair,
    Desk,
    Item,
    Keyboard,
    Mouse,
    Screen,
    Span,
    Workstation,
)
from .settings import Settings

__all__ = [
    "HANDS",
    "LEAST_STEP",
    "USES",
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
