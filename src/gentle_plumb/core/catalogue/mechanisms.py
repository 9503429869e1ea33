"""Mechanisms: what findings of one kind have in common, and what they are called together."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from .set_groups import SetGroup

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
    """One mechanism.

    Parameters
    ----------
    id, label : str
        Its name where a direction is not known, or does not matter.
    group : str
        Where what is arranged for it is gone through in Set.
    check : str
        The test on the person once something was arranged for it; empty where none tells.

    """

    id: MechanismId
    label: str
    group: SetGroup = "other"
    check: str = ""


MECHANISMS: dict[MechanismId, Mechanism] = {
    mechanism.id: mechanism
    for mechanism in (
        Mechanism(id="unsafe", label="Something here is unsafe", group="safe"),
        Mechanism(id="feet", label="The feet are not supported", group="feet_chair"),
        Mechanism(
            id="thighs",
            label="The thighs have no room",
            group="hands",
            check="A flat hand passes between thighs and desk.",
        ),
        Mechanism(
            id="back",
            label="The back is not supported",
            group="feet_chair",
            check="The back rests without holding itself up.",
        ),
        Mechanism(
            id="hands_height",
            label="The keys are not at the height of the hands",
            group="hands",
            check="Shoulders relaxed; wrists straight with fingers on the home row.",
        ),
        Mechanism(
            id="wrists",
            label="The wrists are bent",
            group="hands",
            check="Wrists straight, seen from the side and from above, with fingers on the home row.",
        ),
        Mechanism(
            id="reach",
            label="The arm reaches out",
            group="hands",
            check="The elbow stays beside the body with the hand on the mouse.",
        ),
        Mechanism(
            id="arms",
            label="The arms are lifted or not supported",
            group="feet_chair",
            check="The shoulders stay down.",
        ),
        Mechanism(
            id="screen_height",
            label="The screen is not at the height of the eyes",
            group="screen",
            check="The client reads top and bottom by moving the eyes only, chin level.",
        ),
        Mechanism(
            id="seeing",
            label="The picture is hard to read from the backrest",
            group="screen",
            check="Usual text is read from the backrest; no reflections.",
        ),
        Mechanism(
            id="turned",
            label="Head or trunk stays turned",
            group="screen",
            check="Nose, breastbone and what is read most lie in one line.",
        ),
        Mechanism(
            id="phone_paper",
            label="Phone and paper take the body with them",
            check="The head stays level on a call and while reading paper.",
        ),
        Mechanism(id="stillness", label="Too little change of posture"),
        Mechanism(id="room", label="The room gets in the way"),
        Mechanism(id="own", label="Found by the practitioner"),
    )
}
"""Every mechanism, in the order in which causes are told apart."""
