"""Gentle Plumb: fits workplaces to people."""
