"""Which task suits which posture, and why; what a laptop alone asks of each. Source: house-rhythm."""

from __future__ import annotations

from dataclasses import dataclass

from ..catalogue import TASKS
from ..choices import Choice
from ..language import msg


class TaskPosture(Choice):
    """How a task is done over the day."""

    SIT = "sit", msg("Sitting")
    STAND = "stand", msg("Standing")
    EITHER = "either", msg("Either")
    MOVE = "move", msg("Moving")


class Elsewhere(Choice):
    """Where one can stand or walk at work although the desk does not rise."""

    NO = "no", msg("Nowhere")
    COUNTER = "counter", msg("At a counter or worktop")
    PHONE = "phone", msg("Walking on the phone")
    BOTH = "both", msg("Both")


@dataclass(frozen=True, kw_only=True)
class TaskHabit:
    """The usual posture of a task with its reason; where a laptop alone stands for it."""

    posture: TaskPosture
    reason: str
    laptop: str = ""


USUAL: dict[str, TaskHabit] = {
    "typing": TaskHabit(
        posture=TaskPosture.EITHER, reason=msg("Routine typing goes either way."), laptop="low"
    ),
    "mouse": TaskHabit(
        posture=TaskPosture.SIT, reason=msg("A precise hand is steadier sitting."), laptop="low"
    ),
    "reading": TaskHabit(
        posture=TaskPosture.EITHER, reason=msg("Light reading goes standing."), laptop="raised"
    ),
    "paper": TaskHabit(posture=TaskPosture.EITHER, reason=msg("Sorting and reading go standing.")),
    "writing": TaskHabit(
        posture=TaskPosture.SIT, reason=msg("Handwriting needs a rest for the arm.")
    ),
    "calls": TaskHabit(
        posture=TaskPosture.STAND,
        reason=msg("A call needs neither keys nor mouse."),
        laptop="raised",
    ),
    "meetings": TaskHabit(
        posture=TaskPosture.EITHER, reason=msg("Mostly listening and speaking."), laptop="raised"
    ),
    "thinking": TaskHabit(
        posture=TaskPosture.SIT, reason=msg("Demanding thought comes easier sitting."), laptop="low"
    ),
}
"""The usual posture of every task."""
AT_A_COUNTER = frozenset({"reading", "paper", "calls"})
"""What can be done at a counter."""
ON_THE_PHONE = frozenset({"calls"})
"""What can be done walking."""


@dataclass(frozen=True, kw_only=True)
class TaskDay:
    """A task of this client's day: whole minutes, posture and reason; ``laptop`` low, raised or empty."""

    id: str
    label: str
    minutes: int
    posture: TaskPosture
    reason: str
    own: bool = False
    laptop: str = ""

    @property
    def may_stand(self) -> bool:
        """Whether it may be done standing."""
        return self.posture in (TaskPosture.STAND, TaskPosture.EITHER)


def task_day(
    id: str, hours: float, chosen: TaskPosture | None, *, stands: bool, laptop: bool = False
) -> TaskDay:
    """Return a task of the day: the posture chosen, else the usual one that this client can have."""
    usual = USUAL[id]
    posture, reason = chosen or usual.posture, usual.reason
    if chosen is None and not stands and posture != TaskPosture.SIT:
        posture, reason = TaskPosture.SIT, msg("Nothing is planned standing here.")
    return TaskDay(
        id=id,
        label=TASKS[id],
        minutes=round(hours * 60),
        posture=posture,
        reason=msg("Your choice.") if chosen is not None else reason,
        own=chosen is not None,
        laptop=usual.laptop if laptop else "",
    )
