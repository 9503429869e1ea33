"""Pace: the rhythm of the day."""

from __future__ import annotations

from ...pace import RHYTHMS
from .place import Place

rhythm = Place("pace", "Rhythm").pick(
    "rhythm", "Rhythm", {one.id: one.label for one in RHYTHMS.values()}, needed=True
)
