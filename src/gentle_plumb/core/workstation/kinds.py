"""Kinds of pieces and the choices of their attributes: generic, no makes."""

from __future__ import annotations

YES_NO = {"yes": "Yes", "no": "No"}

CHAIRS = {
    "task": "Task chair",
    "dining": "Dining chair",
    "stool": "Stool",
    "wheelchair": "Wheelchair",
    "ball": "Ball",
    "other": "Other",
}
DESKS = {
    "fixed": "Fixed height",
    "sit_stand": "Sit-stand",
    "platform": "Platform on a fixed desk",
    "counter": "Kitchen or other counter",
    "cart": "Wheeled cart",
}
KEYBOARDS = {
    "full": "Full width",
    "no_number_block": "Tenkeyless (no number block)",
    "compact": "Compact",
    "split": "Split",
    "tented": "Split and tented",
}
POINTERS = {
    "mouse": "Mouse",
    "upright": "Vertical mouse",
    "half_upright": "Semi-vertical mouse",
    "ball": "Trackball",
    "central": "Central, before the keys",
    "pad": "Trackpad",
    "pen": "Pen and tablet",
}
SCREENS = {"monitor": "Screen", "laptop": "Laptop", "television": "Television"}
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
    "rail": ("Standing foot rail", True),
    "task_lamp": ("Task lamp", False),
}
"""Name, and whether its thickness or height is asked."""
STACKED: dict[str, frozenset[str]] = {
    "ream": frozenset({"feet", "screen"}),
    "box": frozenset({"feet", "screen"}),
    "book": frozenset({"feet", "screen"}),
    "riser": frozenset({"screen"}),
    "cushion": frozenset({"seat"}),
    "lumbar_roll": frozenset({"lumbar"}),
    "towel": frozenset({"lumbar"}),
}
"""What each may carry, or is put behind. Source: house-stack."""
FIXED_DESKS = {"fixed", "counter"}
"""Desks with one height. Source: geometry."""
