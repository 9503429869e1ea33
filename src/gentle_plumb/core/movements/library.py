"""The library of movements. Source: house-movements."""

from __future__ import annotations

from .arms_and_hands import ARMS_AND_HANDS
from .legs import LEGS
from .movement import Movement
from .neck_and_shoulders import NECK_AND_SHOULDERS
from .trunk import SEATED_SHIFTS, TRUNK

LIBRARY: dict[str, Movement] = {
    one.id: one for one in (*NECK_AND_SHOULDERS, *ARMS_AND_HANDS, *TRUNK, *LEGS, *SEATED_SHIFTS)
}
"""Every movement, by name."""
SHIFTS = frozenset(one.id for one in SEATED_SHIFTS)
"""Movements that take the place of rising and going."""
