"""Conditions: whom a plan has limits for, which limits, and who is asked. Source: house-care."""

from __future__ import annotations

from dataclasses import dataclass

from ..tables import entries_of
from .limits import LimitId


@dataclass(frozen=True, kw_only=True)
class Precaution:
    """One condition: ``limits`` are what it puts in force, ``ask`` who has the word on each."""

    id: str
    label: str
    limits: tuple[LimitId, ...]
    ask: str


PRECAUTIONS: dict[str, Precaution] = entries_of(Precaution, __package__, "precautions.toml")
"""Every condition, by name."""
