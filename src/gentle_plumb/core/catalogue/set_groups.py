"""The groups that Set is gone through in."""

from __future__ import annotations

from typing import Literal

SetGroup = Literal["safe", "feet_chair", "hands", "screen", "other"]
"""In their order: what is unsafe, feet and chair, hands, screen and light, what is beside."""
