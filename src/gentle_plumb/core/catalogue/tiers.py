"""The three plans that are worked out for every visit."""

from __future__ import annotations

from typing import Literal

Tier = Literal["room", "little", "lasting"]

TIERS: dict[Tier, str] = {
    "room": "With what is here",
    "little": "For little money",
    "lasting": "To last",
}
"""Each plan and its name."""
