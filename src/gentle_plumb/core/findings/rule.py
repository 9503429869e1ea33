"""The few kinds of rule that the files in ``rules/`` are written with.

A rule compares one thing with its band and says, where it is outside, why that matters and what
to do. Every threshold names its source. Kinds::

    Answer    a choice in the record that is not in order
    Amount    a number or length in the record, with least and most
    Angle     something read from a photograph, with least and most
    Pair      two numbers or lengths of the record held against each other

Rules about settings (:mod:`.rules.settings`) and habits (:mod:`.rules.habits`) are tables of
words over what the fit and the list of habits already say.
"""

from __future__ import annotations

from dataclasses import dataclass
from math import inf

from ..catalogue import SEATED_TASKS, MechanismId
from ..intake import Demand, LimitId
from ..language import Words
from ..observation import Moves
from ..record import Field, When
from .finding import Act, Doer


@dataclass(frozen=True, kw_only=True, eq=False)
class Rule:
    """What every kind has. Rules are compared by identity: each is there once.

    ``mechanism`` is what it has in common with others; ``joint`` is the joint that pays, none where no joint does; ``tasks`` are those whose hours
    count; ``share`` is how much of that time it is there. ``standing`` rules are about standing work
    and rest where nothing is planned standing. ``moves`` is advice with a direction: quantity, sign,
    words; ``asks`` is what ``advice`` asks of the body: where a limit bars it, the limit is said instead.
    ``while_limited`` is the limit without which the rule says nothing; a rule ``not_own_seat`` says nothing of the
    client's own seating, a wheelchair above all. A move is given only where the worked-out
    change goes that way. ``check`` is the test on the person once it is done, where that of the mechanism tells
    nothing of it. ``act``, ``who`` and ``adds`` are as in :class:`.finding.Finding`.
    """

    id: str
    mechanism: MechanismId
    title: Words
    why: Words
    advice: Words
    source: str
    region: str = ""
    joint: str = ""
    tasks: tuple[str, ...] = SEATED_TASKS
    share: float = 1.0
    safety: bool = False
    health: bool = False
    standing: bool = False
    moves: Moves = ()
    act: Act = "arrange"
    who: Doer = "practitioner"
    adds: str = ""
    check: Words = ""
    asks: frozenset[Demand] = frozenset()
    while_limited: LimitId | None = None
    not_own_seat: bool = False


@dataclass(frozen=True, kw_only=True, eq=False)
class ChoiceRule(Rule):
    """Off where ``field`` has one of ``failing``. ``weight`` 0 to 1 is how far off that counts.

    ``deg`` counts for the strain sum where a joint pays. ``only_if`` names other answers that
    must hold for the rule to make sense; ``note`` is the field of a note on the answer. ``failing_under`` are answers that are off as well under a
    policy: field of the policy, its value, answers.
    """

    field: Field[str]
    failing: tuple[str, ...]
    note: Field[str] | None = None
    weight: float = 0.25
    deg: float = 0.0
    only_if: When = ()
    unanswered: Words = ""
    failing_under: tuple[str, str, tuple[str, ...]] | None = None


@dataclass(frozen=True, kw_only=True, eq=False)
class RangeRule(Rule):
    """Off where the number in ``field`` is under ``least`` or over ``most``.

    Lengths in mm; what is off counts by its share of the limit, 1 at the most. An ``optional`` one says nothing
    while its number is not recorded.
    """

    field: Field[float]
    least: float | None = None
    most: float | None = None
    only_if: When = ()
    optional: bool = False
    deg_per_unit: float = 0.0
    do_over: Words = ""
    """What to do where there is too much of it; empty where ``do`` serves both ways."""


@dataclass(frozen=True, kw_only=True, eq=False)
class AngleRule(Rule):
    """Off where a photograph's ``reading`` is outside by more than its own error."""

    reading: str
    least: float | None = None
    most: float | None = None
    under: Words = ""


@dataclass(frozen=True, kw_only=True, eq=False)
class PairRule(Rule):
    """Off where one value of the record is too small or too large a share of another; ``words`` tells the two apart.

    An ``optional`` one says nothing while its first value is not recorded; ``unanswered`` is what is missing.
    """

    fields: tuple[Field[float], Field[float]]
    words: Words
    least_share: float = 0.0
    most_share: float = inf
    weight: float = 0.5
    only_if: When = ()
    optional: bool = False
    unanswered: Words = ""

    def holds(self, first: float, second: float) -> bool:
        """Whether the first value is as large a share of the second as it may be."""
        most = first if self.most_share == inf else self.most_share * second
        return self.least_share * second <= first <= most
