"""What may be at hand in a room, and what each may carry."""

from __future__ import annotations

SUPPORTS: dict[str, tuple[str, bool]] = {
    "footrest": ("Footrest", False),
    "riser": ("Screen riser", True),
    "ream": ("Ream of paper", True),
    "box": ("Box", True),
    "book": ("Book", True),
    "cushion": ("Seat cushion", True),
    "towel": ("Towel roll", True),
    "lumbar_roll": ("Lumbar roll", True),
    "palm": ("Wrist rest", True),
    "document_holder": ("Document holder", False),
    "headset": ("Headset", False),
    "anti_fatigue_mat": ("Anti-fatigue mat", True),
    "rail": ("Foot rail", True),
    "task_lamp": ("Task lamp", False),
}
"""Name, and whether its thickness or height is asked."""
STACKED: dict[str, frozenset[str]] = {
    "ream": frozenset({"feet", "screen"}),
    "box": frozenset({"feet", "screen"}),
    "book": frozenset({"feet", "screen"}),
    "riser": frozenset({"screen"}),
    "cushion": frozenset({"seat", "lumbar"}),
    "lumbar_roll": frozenset({"lumbar"}),
    "towel": frozenset({"lumbar"}),
}
"""What each may carry, or is put behind. Source: house-stack."""
