"""The one state of a thing that can be set: what was found, what it is meant to be, and where it was left.

Everything that says a number of a piece says it from here: Set, drawing, card, papers, calendar, the client's
page, the follow-up. ``docs/states.md`` has what each of them says of each state.
"""

from __future__ import annotations

from dataclasses import dataclass

from ..catalogue import Posture, Quantity
from ..choices import Choice
from ..language import msg
from ..plans import Price
from .answers import SILENT, StepAnswers


class StateKind(Choice):
    """What became of a thing that can be set."""

    NOT_RECORDED = "not_recorded", msg("Not recorded")
    NOT_PRESENT = "not_present", msg("Not present")
    AS_FOUND = "as_found", msg("Left as found")
    TARGET = "target", msg("To be set")
    SET = "set", msg("Set")
    STOPPED = "stopped", msg("Stopped: it hurts")
    NOT_TODAY = "not_today", msg("Not today")
    DECLINED = "declined", msg("Declined")
    TO_GET = "to_get", msg("To be bought or found")


class Known(Choice):
    """How the number that a thing stands at is known."""

    MEASURED = "measured", "measured"
    TAPE = "tape", msg("read from the tape")
    DISPLAY = "display", msg("read from the desk’s display")
    UNMEASURED = "unmeasured", msg("set to target, not measured")
    EYE = "eye", msg("set by eye")
    FOUND = "found", msg("as found")
    DECLARED = "declared", msg("fixed by design")


LEFT_ALONE = frozenset({StateKind.STOPPED, StateKind.NOT_TODAY, StateKind.DECLINED})
"""States in which a thing stays where it was found, and nothing is asked of it."""
NOT_THERE = frozenset({StateKind.NOT_PRESENT, StateKind.TO_GET})
"""States in which there is nothing yet that could stand anywhere."""
MEASURED = frozenset({Known.MEASURED, Known.TAPE, Known.DISPLAY, Known.FOUND})
"""Ways in which a number is known because somebody read it."""


@dataclass(frozen=True, kw_only=True)
class PieceState:
    """The one state of one quantity, at one place and in one posture. Numbers in its unit.

    Parameters
    ----------
    quantity, posture, place : Quantity, str, str
        What it is the state of.
    kind : StateKind
    target : float or None
        What body and policy ask for: the ideal.
    setting : float or None
        What the equipment allows of it, given what stands already.
    found : float or None
        As it was found.
    stands : float or None
        Where it stands at the end: left there, or still as found. None: not known, or not there.
    known : Known or None
        How ``stands`` is known.
    plus_minus : float or None
        Two standard deviations of ``stands``; None where nobody measured it.
    stopped_at : float or None
        Where it hurt, for what was stopped.
    remedied : bool
        Whether something is done in the place of a height: armrests taken off.
    price : str or None
        Price class of what has to be got first; ``needs`` what that is.
    answers : StepAnswers
        What was said of its step in Set.
    held : str
        The red flag that holds it back until a clinician has answered; empty for none.

    """

    quantity: Quantity
    posture: Posture
    place: str
    kind: StateKind
    target: float | None = None
    setting: float | None = None
    found: float | None = None
    stands: float | None = None
    known: Known | None = None
    plus_minus: float | None = None
    stopped_at: float | None = None
    remedied: bool = False
    price: Price | None = None
    needs: str = ""
    answers: StepAnswers = SILENT
    held: str = ""

    @property
    def key(self) -> str:
        """The quantity's name."""
        return self.quantity.key

    @property
    def left(self) -> float | None:
        """Where it was set today; None for what was not, or by eye without a number."""
        return self.stands if self.kind == StateKind.SET else None

    @property
    def keep(self) -> float | None:
        """The number to come back to; None for what was stopped, put off, declined or isn't there.

        What has still to be set has none either: its number is one to set, not to keep. Nor has what was found and
        could not be judged.
        """
        judged = self.kind == StateKind.AS_FOUND and self.setting is not None
        return self.stands if self.kind == StateKind.SET or judged else None

    @property
    def to_set(self) -> float | None:
        """The number that has still to be set; None where nothing is asked."""
        return self.setting if self.kind == StateKind.TARGET else None

    @property
    def measured(self) -> bool:
        """Whether somebody read where it stands."""
        return self.known in MEASURED

    @property
    def left_alone(self) -> bool:
        """Whether it stays where it is, and nothing is prescribed."""
        return self.kind in LEFT_ALONE
