"""Mechanisms: what findings of one kind have in common, and what they are called together."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

MechanismId = Literal[
    "unsafe",
    "feet",
    "thighs",
    "back",
    "hands_height",
    "wrists",
    "reach",
    "arms",
    "screen_height",
    "seeing",
    "turned",
    "phone_paper",
    "stillness",
    "room",
    "own",
]


@dataclass(frozen=True, kw_only=True)
class Mechanism:
    """One mechanism: its name where a direction is not known, or does not matter."""

    id: MechanismId
    label: str


MECHANISMS: dict[MechanismId, Mechanism] = {
    mechanism.id: mechanism
    for mechanism in (
        Mechanism(id="unsafe", label="Something here is unsafe"),
        Mechanism(id="feet", label="The feet are not supported"),
        Mechanism(id="thighs", label="The thighs have no room"),
        Mechanism(id="back", label="The back is not supported"),
        Mechanism(id="hands_height", label="The keys are not at the height of the hands"),
        Mechanism(id="wrists", label="The wrists are bent"),
        Mechanism(id="reach", label="The arm reaches out"),
        Mechanism(id="arms", label="The arms are lifted or not supported"),
        Mechanism(id="screen_height", label="The screen is not at the height of the eyes"),
        Mechanism(id="seeing", label="The picture is hard to read from the backrest"),
        Mechanism(id="turned", label="Head or trunk stays turned"),
        Mechanism(id="phone_paper", label="Phone and paper take the body with them"),
        Mechanism(id="stillness", label="Too little change of posture"),
        Mechanism(id="room", label="The room gets in the way"),
        Mechanism(id="own", label="Found by the practitioner"),
    )
}
"""Every mechanism, in the order in which causes are told apart."""
