"""What is known of the origin of a constant."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal


@dataclass(frozen=True, kw_only=True)
class Source:
    """One origin of a constant."""

    kind: Literal["published", "house", "geometry"]
    title: str
    note: str
