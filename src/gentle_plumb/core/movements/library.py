"""The library of movements, from movements.toml."""

from __future__ import annotations

from ..sources import source_key
from ..tables import entries_of
from .movement import Movement

LIBRARY: dict[str, Movement] = entries_of(
    Movement, __package__, "movements.toml", readers={"source": source_key}
)
"""Every movement, by name."""
SHIFTS = frozenset(id for id, movement in LIBRARY.items() if movement.stays_seated)
"""Movements that take the place of rising and going."""
