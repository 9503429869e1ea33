"""The three plans that are worked out for every visit, and the practitioner's own."""

from __future__ import annotations

from typing import Literal

Tier = Literal["room", "little", "lasting", "own"]

TIERS: dict[Tier, str] = {
    "room": "With existing equipment",
    "little": "Low cost",
    "lasting": "Long term",
    "own": "Your own plan",
}
"""Each plan and its name."""
