"""Mechanisms: what findings of one kind have in common, and what they are called together."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..language import Words
from ..tables import entries_of
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
    label: Words
    group: SetGroup = "other"
    check: Words = ""


MECHANISMS: dict[MechanismId, Mechanism] = {
    mechanism.id: mechanism
    for mechanism in entries_of(Mechanism, __package__, "mechanisms.toml").values()
}
"""Every mechanism, in the order in which causes are told apart."""
