"""The rules, one file a subject. To change a threshold, change it here and its source with it."""

from ..rule import Rule
from .chair import CHAIR
from .desk import DESK
from .hands import HANDS
from .photographs import PHOTOGRAPHS
from .room import ROOM_RULES
from .screens import SCREEN_RULES
from .work import WORK

RULES: tuple[tuple[str, tuple[Rule, ...]], ...] = (
    ("Work", WORK),
    ("Chair", CHAIR),
    ("Desk", DESK),
    ("Keyboard and mouse", HANDS),
    ("Screens", SCREEN_RULES),
    ("Photographs", PHOTOGRAPHS),
    ("Room", ROOM_RULES),
)
"""Subject and its rules, in the order they are shown. Settings and habits come before these."""

__all__ = ["RULES"]
