"""Tasks of a day at the desk, and which of them load what."""

from __future__ import annotations

from typing import Any

from ..language import msg

TASKS: dict[str, str] = {
    "typing": msg("Typing"),
    "mouse": msg("Using the mouse"),
    "reading": msg("Reading on screen"),
    "paper": msg("Reading paper"),
    "writing": msg("Handwriting"),
    "calls": msg("Calls"),
    "meetings": msg("Video meetings"),
    "thinking": msg("Concentrated work"),
}
"""Every task that hours are asked of, with its label."""
SEATED_TASKS: tuple[str, ...] = tuple(TASKS)
"""All of them are done at the desk."""
SCREEN_TASKS = ("typing", "mouse", "reading", "meetings", "thinking")
"""Tasks in which the eyes are on a screen."""
HAND_TASKS = ("typing", "mouse")
"""Tasks in which the hands are on keys and pointer."""
MOUSE_TASKS = ("mouse",)
"""Tasks in which the arm goes out to the pointer."""
_GROUPS = {
    "seated": SEATED_TASKS,
    "screen": SCREEN_TASKS,
    "hands": HAND_TASKS,
    "mouse": MOUSE_TASKS,
}


def tasks_of(given: Any) -> tuple[str, ...]:
    """Return tasks named in a table: a group's name, or each by its own. Raises KeyError for an unknown group."""
    return _GROUPS[given] if isinstance(given, str) else tuple(given)
