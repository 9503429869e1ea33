"""Look: the set-up as found, the pieces, the habits, the room."""

from __future__ import annotations

from dataclasses import replace

from ....workstation.kinds import YES_NO
from ..field import Field, choice, words
from .chair import CHAIR
from .desk import DESK, TRAY
from .found import FOUND
from .hands import KEYS
from .screens import SCREEN_FIELDS, SCREEN_IDS
from .seen import HABIT_FIELDS, ROOM_FIELDS
from .supports import FOOTREST, SUPPORT_FIELDS


def _with(fields: tuple[Field, ...], *, section: str) -> tuple[Field, ...]:
    return tuple(replace(field, section=section) for field in fields)


LOOK: tuple[Field, ...] = (
    *_with(FOUND, section="walk"),
    *_with(
        (*CHAIR, *DESK, *TRAY, *KEYS, *SCREEN_FIELDS, *SUPPORT_FIELDS, *FOOTREST), section="pieces"
    ),
    *_with(HABIT_FIELDS, section="habits"),
    *_with(ROOM_FIELDS, section="room"),
    words(
        "look.workstation",
        "Workstation",
        "Shared workstation",
        section="pieces",
        help="The kept workstation these pieces came from.",
    ),
    choice(
        "look.watched",
        "Habits",
        "Watched for some minutes: nothing else seen",
        YES_NO,
        section="habits",
    ),
    words("look.note", "Notes", "Notes of this visit", section="habits", health=True),
)
"""All of Look."""

__all__ = ["LOOK", "SCREEN_IDS"]
