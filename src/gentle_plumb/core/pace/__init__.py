"""Rhythms of sitting, standing and moving."""

from .rhythms import RHYTHMS, DayTotals, Rhythm, day_totals, proposed_rhythm

__all__ = ["RHYTHMS", "DayTotals", "Rhythm", "day_totals", "proposed_rhythm"]
