"""One thing that is so, or not, of a body at a workstation: a clearance, or a support."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..language import msg
from ..tolerances import SAME_MM

State = Literal["ok", "off", "unknown"]
Kind = Literal["clearance", "support"]

LABELS: dict[str, str] = {
    "thighs": msg("Room for the thighs"),
    "armrests_fixed": msg("Fixed armrests under the desk"),
    "armrests": msg("Armrests under the desk"),
    "belly": msg("Desk edge and abdomen"),
    "reach": msg("Keys within reach"),
    "feet": msg("Support for the feet"),
    "back": msg("Back on the backrest"),
    "arms": msg("Support for the arms"),
}
"""Every condition by its key."""


@dataclass(frozen=True, kw_only=True)
class Condition:
    """A clearance or a support.

    Parameters
    ----------
    key, kind : str
        Which one; its label is in :data:`LABELS`.
    short : float or None
        What is lacking, mm: 0 where nothing is; None where it can't be told.
    room : float or None
        For a clearance the space that is left, mm; negative where one stands in the other.
    hard : bool
        Whether nothing is right while it is off, however few degrees the joints pay.
    reason : str
        Why it can't be told; empty where it can.

    """

    key: str
    kind: Kind
    short: float | None
    room: float | None = None
    hard: bool = False
    reason: str = ""

    @property
    def label(self) -> str:
        """Its name."""
        return LABELS[self.key]

    @property
    def state(self) -> State:
        """Whether it is so."""
        if self.short is None:
            return "unknown"
        return "off" if self.short > SAME_MM else "ok"


def lacking(
    key: str, kind: Kind, short: float, *, room: float | None = None, hard: bool
) -> Condition:
    """Return a condition that can be told; less than nothing is lacking is nothing."""
    return Condition(key=key, kind=kind, short=max(0.0, short), room=room, hard=hard)


def untold(key: str, kind: Kind, reason: str) -> Condition:
    """Return a condition that can't be told, and why."""
    return Condition(key=key, kind=kind, short=None, reason=reason)
