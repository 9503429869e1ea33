"""What may be at hand in a room, and what each may carry."""

from __future__ import annotations

from ..language import msg
from .span import Span

SUPPORTS: dict[str, tuple[str, bool]] = {
    "footrest": (msg("Footrest"), False),
    "riser": (msg("Screen riser"), True),
    "ream": (msg("Ream of paper"), True),
    "box": (msg("Box"), True),
    "book": (msg("Book"), True),
    "cushion": (msg("Seat cushion"), True),
    "towel": (msg("Towel roll"), True),
    "lumbar_roll": (msg("Lumbar roll"), True),
    "palm": (msg("Wrist rest"), True),
    "other_chair": (msg("Another chair"), False),
    "document_holder": (msg("Document holder"), False),
    "headset": (msg("Headset"), False),
    "anti_fatigue_mat": (msg("Anti-fatigue mat"), True),
    "rail": (msg("Foot rail"), True),
    "task_lamp": (msg("Task lamp"), False),
}
"""Name, and whether its thickness or height is asked."""
STACKED: dict[str, frozenset[str]] = {
    "ream": frozenset({"feet", "screen", "keys", "laptop"}),
    "box": frozenset({"feet", "screen", "keys", "laptop"}),
    "book": frozenset({"feet", "screen", "keys", "laptop"}),
    "riser": frozenset({"screen"}),
    "cushion": frozenset({"seat", "lumbar"}),
    "lumbar_roll": frozenset({"lumbar"}),
    "towel": frozenset({"lumbar"}),
}
"""What each may carry, or is put behind. Source: house-stack."""
USUAL_MM: dict[str, tuple[float, float]] = {
    "ream": (50.0, 2.0),
    "book": (30.0, 8.0),
    "cushion": (50.0, 15.0),
    "towel": (80.0, 15.0),
    "lumbar_roll": (90.0, 15.0),
}
"""Usual thickness and its standard deviation, mm, of what was ticked and not measured. A box and a riser have
none: they are asked for. Source: house-stack."""
USUAL_FOOTREST = Span(low=60, high=150)
"""How low and how high an everyday footrest goes, mm: one that would be bought, and one that is here with its range
not recorded. Source: house-additions."""
LAPTOP_STAND = Span(low=60, high=220, step=20)
"""How far a stand lifts a laptop, mm. Source: house-additions."""
