"""A shelf of generic pieces to start from: what is typed into their fields, heights in cm.

Everyday ranges, to be checked with the tape; no make is meant. Source: house-shelf.
"""

from __future__ import annotations

from .chairs import CHAIRS
from .desks import DESKS
from .hands import HANDS
from .kind import ShelfKind
from .screens import SCREENS
from .supports import SUPPORTS

SHELF: dict[str, ShelfKind] = {
    kind.id: kind for kind in (*CHAIRS, *DESKS, *HANDS, *SCREENS, *SUPPORTS)
}
"""Every generic piece, by name."""

__all__ = ["SHELF", "ShelfKind"]
