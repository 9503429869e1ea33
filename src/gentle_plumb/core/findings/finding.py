"""What comes of a rule."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..catalogue import MechanismId
from ..record.fields.work import Severity, Verdict

State = Literal["holds", "off", "not assessable"]
Act = Literal["", "secure", "arrange", "technique", "habit", "ask"]
"""What sort of action an instruction is; empty where setting or adding does it all."""
Doer = Literal["practitioner", "client", "workplace"]

MARKED_MIN = 30.0
STRONG_MIN = 120.0
"""Load minutes a day from which a finding is marked, and strong. Source: house-severity."""


@dataclass(frozen=True, kw_only=True)
class Direction:
    """Which way an instruction moves a quantity: ``sign`` 1 for more, -1 for less."""

    quantity: str
    sign: Literal[-1, 1]


@dataclass(frozen=True, kw_only=True)
class Finding:
    """One rule held against one visit.

    ``id`` is stable from visit to visit (``seated.seat``, ``habit_slumping``). ``cause`` is what
    was found, ``why`` what it does, ``instruction`` what to do, ``left`` what the equipment leaves
    undone. ``over_deg`` is how far a joint is outside its band. ``minutes`` is how far off times
    how long a day, ``sum`` that arithmetic in words; both None where hours are not recorded.
    ``evidence`` is what was seen or measured, ``photo`` the photograph it was read from; ``discomfort`` what the client feels in that region and
    never goes to the workplace. ``verdict``, ``words`` and ``dismissed_for`` are the
    practitioner's. ``mechanism`` is what it has in common with others; ``directions`` are which
    way its instruction moves what; ``act`` and ``who`` what sort of action it is and whose, ``adds``
    the addition that would do it, and ``advice`` what holds of the instruction whatever is set.
    """

    id: str
    subject: str
    mechanism: MechanismId
    title: str
    state: State
    cause: str
    why: str = ""
    instruction: str = ""
    reason: str | None = None
    key: str = ""
    posture: str = "seated"
    left: str | None = None
    region: str = ""
    joint: str = ""
    over_deg: float | None = None
    minutes: float | None = None
    sum: str | None = None
    severity: Severity | None = None
    evidence: tuple[str, ...] = ()
    photo: str | None = None
    discomfort: tuple[str, ...] = ()
    source: str = ""
    safety: bool = False
    health: bool = False
    own: bool = False
    verdict: Verdict | None = None
    words: str | None = None
    dismissed_for: str | None = None
    directions: tuple[Direction, ...] = ()
    act: Act = ""
    who: Doer = "practitioner"
    adds: str = ""
    advice: str = ""
    check: str = ""

    @property
    def record_id(self) -> str:
        """What stands for it in a path of the record, where a dot parts names."""
        return self.id.removeprefix("own-") if self.own else self.id.replace(".", "-")


def grade(minutes: float | None, *, safety: bool = False) -> Severity | None:
    """How severe: by load minutes a day; what is unsafe is strong at any length of time.

    >>> grade(29).label, grade(30).label, grade(120).label, grade(None, safety=True).label
    ('Slight', 'Marked', 'Severe', 'Severe')

    """
    if safety:
        return Severity.STRONG
    if minutes is None:
        return None
    if minutes >= STRONG_MIN:
        return Severity.STRONG
    return Severity.MARKED if minutes >= MARKED_MIN else Severity.SLIGHT
