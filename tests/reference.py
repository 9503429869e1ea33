"""A reference case, and what most of them have in common. Lengths are in cm."""

from __future__ import annotations

from dataclasses import dataclass, field

from workstations import Values, mm, monitor

KEYS = mm(look__keyboard__kind="full", look__keyboard__thickness=2, look__keyboard__feet="in")
POINTER = {"look.pointer.kind": "mouse", "look.pointer.hand": "right"}
SHOES = mm(ask__shoe_seated=2.5, ask__shoe_standing=2.5)
HOURS = {"ask.hours.typing": 5.0, "ask.hours.mouse": 2.0}
NO_FOOTREST = {"look.support.footrest": "no"}
USUAL = {**SHOES, **KEYS, **POINTER, **HOURS, **NO_FOOTREST}
LAPTOP = {"kind": "laptop", "keys": "own", "laptop_diagonal": 14.0}
ON_A_LAPTOP = {f"look.screen.{key}": one for key, one in LAPTOP.items()}
PLAIN_SCREEN = monitor(35, 55)


@dataclass(frozen=True, kw_only=True)
class Reference:
    """One case: ``set`` are settings in cm, plans what each adds, ``says`` words a finding has, ``never`` lacks."""

    id: str
    who: str
    answer: str
    values: Values
    set: dict[str, float] = field(default_factory=dict)
    plans: dict[str, list[str]] = field(default_factory=dict)
    says: dict[str, str] = field(default_factory=dict)
    never: tuple[str, ...] = ()
