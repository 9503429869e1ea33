"""What a person says or shows when a setting is nearly right, and which way that moves it. Source: house-order.

Each is one tap: the reason stands in the record beside the new number.
"""

from __future__ import annotations

from dataclasses import dataclass

NUDGE: dict[str, float] = {"mm": 5.0, "deg": 2.0, "%": 10.0}
"""How far one tap moves a setting, by its unit."""


@dataclass(frozen=True, kw_only=True)
class Nudge:
    """A reason, and the sign of the change that answers it."""

    reason: str
    sign: int


def _nudges(*pairs: tuple[str, int]) -> tuple[Nudge, ...]:
    return tuple(Nudge(reason=reason, sign=sign) for reason, sign in pairs)


NUDGES: dict[str, tuple[Nudge, ...]] = {
    "seat": _nudges(
        ("Feet light on the floor", -1), ("Edge presses on the thighs", -1), ("Knees above hips", 1)
    ),
    "footrest": _nudges(("Feet do not rest", 1), ("Knees lifted", -1)),
    "seat_depth": _nudges(("Edge behind the knee", -1), ("Thighs hang out", 1)),
    "seat_slope": _nudges(("Slides forward", -1), ("Edge presses on the thighs", 1)),
    "backrest": _nudges(("Head comes forward", -1), ("Back holds itself", 1)),
    "lumbar": _nudges(("Presses on the ribs", -1), ("Presses on the pelvis", 1)),
    "armrest": _nudges(("Shoulders rise", -1), ("Arms hang", 1)),
    "armrest_gap": _nudges(("Elbows pinned", 1), ("Elbows reach out", -1)),
    "surface": _nudges(("Shoulders rise", -1), ("Wrists bent back", -1), ("Leans down to it", 1)),
    "keys_edge": _nudges(("Arms reach", -1), ("Wrist on the edge", 1)),
    "slope": _nudges(("Wrists bent back", -1), ("Wrists bent down", 1)),
    "mouse": _nudges(("Elbow leaves the side", -1), ("Hand in the way of the keys", 1)),
    "mouse_forward": _nudges(("Arm reaches", -1)),
    "distance": _nudges(("Leans forward", -1), ("Pushes back, blurred", 1)),
    "screen_top": _nudges(("Chin up", -1), ("Head bends down", 1)),
    "tilt": _nudges(("Glare", -1), ("Reads at a slant", 1)),
    "scale": _nudges(("Leans to read", 1), ("Too little fits", -1)),
}
"""Nudges by quantity; what has none is moved by its number alone."""
