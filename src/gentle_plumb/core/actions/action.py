"""One thing to do: what, who, by when, at what price, and whether it is done."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..catalogue import MechanismId, SetGroup
from ..fit import Posture
from ..language import msg, pgettext
from ..plans import Price
from ..states import SILENT, PieceState, StepAnswers

ActionKind = Literal["refer", "secure", "set", "add", "arrange", "technique", "habit", "ask"]
Who = Literal["practitioner", "client", "workplace", "clinician"]
When = Literal["now", "today", "this_week", "before_follow_up"]
ActionState = Literal["open", "done", "later", "stopped"]

KINDS: dict[ActionKind, str] = {
    "refer": msg("Refer"),
    "secure": msg("Make safe"),
    "set": msg("Set"),
    "add": msg("Add"),
    "arrange": msg("Arrange"),
    "technique": msg("Technique"),
    "habit": msg("Habit"),
    "ask": msg("Clarify"),
}
"""Kinds in the order in which they are done, with their headings."""
WHO: dict[Who, str] = {
    "practitioner": msg("Practitioner"),
    "client": msg("Client"),
    "workplace": pgettext("the employer", "Workplace"),
    "clinician": msg("Clinician"),
}
WHEN: dict[When, str] = {
    "now": msg("now"),
    "today": msg("today"),
    "this_week": msg("this week"),
    "before_follow_up": msg("before the follow-up"),
}


@dataclass(frozen=True, kw_only=True)
class Action:
    """One thing to do.

    Parameters
    ----------
    id : str
        Stable from visit to visit: ``set.seated.seat``, ``add.footrest``, ``habit_slumping``.
    kind, who, when : str
        What sort of thing it is, who does it, and by when.
    what : str
        What is done, in the program's words where no quantity is set: a label, or an instruction.
    quantity, posture : str
        For ``set``: what is set, and in which posture; ``from_value``, ``to_value`` in its unit.
    ends : tuple of float or None
        The range that what is added is offered in, mm.
    price : str or None
        Price class of what is added.
    does : str
        What an addition does.
    temporary : bool
        Whether an addition is agreed to be looked at again.
    takes_away : bool
        Whether something that is there goes.
    state : {"open", "done", "later", "stopped"}
        Whether it is done, put off with a reason, or stopped because it hurts.
    group : str
        Where it is gone through in Set.
    check : str
        The test on the person once it is arranged; empty where none tells.
    answers : StepAnswers
        What was said of it.
    moved_from : float or None
        What was aimed at when it was set, where the aim has moved away since; in its unit.
    touched : bool
        Whether something was set, near its aim or not, and its aim has not moved away since.
    became : PieceState or None
        For ``set``: the state of what is set.
    resolves : tuple of str
        Mechanisms that it takes away, or part of them.
    minutes : float or None
        Load minutes a day that it removes, where they are known.
    shared : bool
        Whether it concerns furniture and room alone, so that the workplace may read it.

    """

    id: str
    kind: ActionKind
    who: Who
    when: When
    what: str
    quantity: str = ""
    posture: Posture = "seated"
    from_value: float | None = None
    to_value: float | None = None
    ends: tuple[float, float] | None = None
    price: Price | None = None
    does: str = ""
    temporary: bool = False
    takes_away: bool = False
    state: ActionState = "open"
    resolves: tuple[MechanismId, ...] = ()
    minutes: float | None = None
    shared: bool = False
    group: SetGroup = "other"
    check: str = ""
    answers: StepAnswers = SILENT
    moved_from: float | None = None
    touched: bool = False
    became: PieceState | None = None

    @property
    def settled(self) -> bool:
        """Whether nothing more is to be done with it: set, done, put off with a reason, or stopped."""
        return self.state != "open" or self.touched
