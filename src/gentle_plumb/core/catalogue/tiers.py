"""The three plans that are worked out for every visit, and the practitioner's own."""

from __future__ import annotations

from typing import Literal

from ..language import msg

Tier = Literal["room", "little", "lasting", "own"]

TIERS: dict[Tier, str] = {
    "room": msg("With existing equipment"),
    "little": msg("Low cost"),
    "lasting": msg("Long term"),
    "own": msg("Your own plan"),
}
"""Each plan and its name."""
