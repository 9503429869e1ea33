"""What a field is, and short ways to write one down.

A field is an object: the record is read with it (``record[fields.chair.kind]``), and its answer
has its type. Its path (``look.chair.kind``) is what the page, the database and open files call it.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from math import inf
from typing import Generic, Literal, TypedDict, TypeVar

from ...choices import Choice, one_of
from ...language import msg

StepId = Literal["ask", "look", "measure", "work", "set", "pace", "report"]
Kind = Literal["length", "number", "choice", "text", "date", "point", "time"]
When = tuple[tuple[str, tuple[str, ...]], ...]
Value = float | str | None
"""What a record holds under a path: mm, a number, an answer, a text; None once cleared."""
T_co = TypeVar("T_co", covariant=True)
C = TypeVar("C", bound=Choice)
K = TypeVar("K", bound=str)

SEAT_PARTS = frozenset(
    {"seat", "seat_slope", "seat_depth", "backrest", "lumbar", "armrest", "footrest"}
)
"""Parts of the drawing that belong to a seat."""
STEPS: dict[StepId, str] = {
    "ask": msg("Ask"),
    "look": msg("Look"),
    "measure": msg("Measure"),
    "work": msg("Work out"),
    "set": msg("Set"),
    "pace": msg("Pace"),
    "report": msg("Report"),
}


@dataclass(frozen=True, kw_only=True, eq=False)
class FieldFacts:
    """What is said of a field, in the program and in the page.

    ``low`` and ``high`` are in mm for a length, in ``unit`` for a number, in minutes after midnight for a
    time. ``part`` is the part of
    the drawing it belongs to; ``needed`` counts for the step's progress; ``section`` is the part of
    its step; ``when`` names answers without which it makes no sense (all of them must hold, or those of ``or_when``);
    ``health`` marks what is kept only with consent to health notes and never goes to the
    workplace; ``pair`` is the name of the range whose lower end it is; ``noted_only`` marks what is
    kept for the record and decides nothing; ``been`` marks a day that can't lie ahead; ``one_line`` a text as short as a name.
    """

    id: str
    step: StepId
    group: str
    label: str
    kind: Kind
    section: str = ""
    help: str = ""
    unit: str = ""
    low: float | None = None
    high: float | None = None
    choices: tuple[tuple[str, str], ...] = ()
    needed: bool = False
    part: str = ""
    when: When = ()
    or_when: When = ()
    health: bool = False
    pair: str = ""
    noted_only: bool = False
    been: bool = False
    one_line: bool = False


@dataclass(frozen=True, kw_only=True, eq=False)
class Field(FieldFacts, Generic[T_co]):
    """One field, and the type of its answer; ``members`` are the answers of a choice by wire text."""

    members: Mapping[str, T_co] | None = None

    def read(self, value: Value) -> T_co | None:
        """Return a recorded value as this field's type; None where there is none or it does not fit."""
        if value is None:
            return None
        if self.members is not None:
            return self.members.get(value) if isinstance(value, str) else None
        if self.kind in ("length", "number", "time"):
            return float(value) if not isinstance(value, str) else None  # type: ignore[return-value]  # T_co is float
        return value if isinstance(value, str) else None  # type: ignore[return-value]  # T_co is str

    @property
    def of_the_seat(self) -> bool:
        """Whether it is about a seat and what carries the legs: nothing where one only stands."""
        return self.step == "look" and (".chair." in self.id or self.part in SEAT_PARTS)

    @property
    def ends(self) -> tuple[float, float]:
        """Lowest and highest value that is accepted; the whole line where there is no range."""
        low, high = self.low, self.high
        return (-inf if low is None else low), (inf if high is None else high)

    def among(self, *answers: str) -> When:
        """Return the condition that this field has one of these answers."""
        return ((self.id, tuple(str(answer) for answer in answers)),)

    def open_or(self, *answers: str) -> When:
        """Return the condition that this field has one of these answers, or none yet."""
        return ((self.id, ("", *(str(answer) for answer in answers))),)


@dataclass(frozen=True, eq=False)
class SpanField:
    """Both ends of a range, and the step it goes in where that is asked; all in the unit of their fields."""

    low: Field[float]
    high: Field[float]
    step: Field[float] | None = None

    @property
    def ends(self) -> tuple[float, float]:
        """Lowest and highest value that is accepted."""
        return self.low.ends


class FieldOptions(TypedDict, total=False):
    """What a field may say beyond its name, label and kind: see :class:`Field`."""

    help: str
    needed: bool
    part: str
    when: When
    or_when: When
    health: bool
    noted_only: bool
    been: bool
    one_line: bool


def step_of(path: str) -> StepId:
    """Return the step a path belongs to; KeyError where there is none."""
    first = path.split(".", 1)[0]
    step = one_of(STEPS, "look" if first == "place" else first)
    if step is None:
        raise KeyError(path)
    return step
