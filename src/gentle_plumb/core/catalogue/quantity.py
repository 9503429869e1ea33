"""What is said of a thing that can be set; the entries are in quantities.toml.

A quantity is added there and gets its target in one function of :mod:`gentle_plumb.core.fit`; fields,
order of work, tests on the person, words, findings, plans, papers and the drawing's flags follow
from the entry (see docs/extending.md).
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Literal

from ..language import Words, msg
from .mechanisms import MechanismId
from .set_groups import SetGroup
from .tasks import SEATED_TASKS

Posture = Literal["seated", "standing"]
QuantityUnit = Literal["mm", "deg", "%"]
Datum = Literal[
    "floor",
    "seat",
    "backrest",
    "midline",
    "eye",
    "desk_edge",
    "level",
    "upright",
    "ahead",
    "text",
    "between",
]
Drag = Literal["up", "along", "across"]
CheckCase = Literal["leg_forward", "on_support", "saddle", "one_hand", "by_reading", "no_armrests"]
"""What makes another test on the person hold: a leg held forward, feet on a support, a saddle, one hand that types,
a distance that a stretched arm can't check, and armrests that are to go."""


DATUM_WORDS: dict[Datum, str] = {
    "floor": msg("from the floor"),
    "seat": msg("above the seat"),
    "backrest": msg("from its front edge to the backrest"),
    "midline": msg("from the midline"),
    "eye": msg("from the eye"),
    "desk_edge": msg("from the desk edge"),
    "level": msg("from level"),
    "upright": msg("from upright"),
    "ahead": msg("from straight ahead"),
    "text": msg("of normal size"),
    "between": msg("between their inner sides"),
}
"""What a quantity counts from, in words."""


@dataclass(frozen=True, kw_only=True)
class Quantity:
    """One thing that can be set.

    Parameters
    ----------
    key : str
        Its name in settings, rows, paths and files.
    mechanism : str
        What a value outside its band has in common with other findings.
    over_means, under_means : str
        What the body does where the value is over or under its band, and no joint says more.
    label, thing : str
        As a heading, and as the subject of a sentence (``The seat``); ``plural`` for its verb.
    unit : {"mm", "deg", "%"}
        Of every value.
    low, high : float
        Range that a field accepts, in ``unit``.
    postures : tuple
        In which it is set anew.
    datum : str
        What it counts from; see :data:`DATUM_WORDS`.
    piece : str
        What is moved, for limits: ``screen mount``.
    more, less : str
        What a hand does to raise or lower the value: ``Raise``, ``Lower``.
    over, under : str
        How a value lies against its target: ``higher than``, ``lower than``.
    up, down : str
        A change of the value: ``up``, ``down``.
    joint : str
        The joint that pays where it is off; empty where no joint does.
    region : str
        Where its load is felt.
    tasks : tuple of str
        Tasks whose hours count.
    far_off : float
        How far outside its band it counts in full where no joint pays, in ``unit``.
        Source: house-severity.
    far_off_deg : float
        What it weighs then, as degrees of a joint outside its band: 30 is all that a joint can weigh.
        Source: house-comfort.
    check : str
        The test on the person once it is set. Source: house-joint-bands.
    check_outside : str
        The same where a limit keeps the setting out of its band, so that the usual test can't be
        passed; empty where it can.
    checks : mapping
        The tests that hold instead in special cases, the first that applies.
    order, order_hands_first : int
        Place in the working order where all can move, and where the surface can't; 0 for what is no
        step of its own. Source: house-order.
    order_standing : int
        The same for standing.
    own_number : bool
        Whether the practitioner may put a number of their own.
    needed : bool
        Whether nothing is worked out without it.
    on_card : bool
        Whether plans and the client's page show it.
    flag : bool
        Whether it is a height with a flag on the staff.
    drag : {"up", "along", "across"} or None
        How it is dragged in the drawing.
    judged : bool
        Whether its value as found is a finding of its own; False for what follows another.
    group : str
        The part of Set that it belongs to.
    nudges : mapping
        What a person says or shows when it is nearly right, with the sign of the change that answers it.
    zero_is_none : bool
        Whether 0 means that the piece is not there, or out of the way.
    taken_away : str
        What is said of a target of 0, where it means that the piece goes; empty where the piece stays.
    flag_label : str
        On its flag, where that is not its label.
    there : {"", "footrest", "screen"}
        What may be missing, so that there is nothing to set; empty for what is always there.
    seen_against : {"", "lower_leg", "elbow", "eye"}
        The part of the body that says where it stands as found; empty where its own target does.
    stands_on : {"", "desk", "screen"}
        The slot of additions that it stands on: taken away, its height changes.
    built_in : bool
        Whether it is built into its piece: another piece changes it, nothing sets it.
    carries : str
        The quantity that moves by as much with it; empty where none does.
    feet_first : bool
        Whether the feet are supported before it is raised.
    on_display : bool
        Whether a desk's own display can show it, and a key of the desk hold it.
    any_target_is_step : bool
        Whether every target but 0 is gone through in Set, however near the value as found lies.

    """

    key: str
    mechanism: MechanismId
    over_means: Words
    under_means: Words
    label: Words
    thing: Words
    unit: QuantityUnit
    low: float
    high: float
    datum: Datum
    piece: str
    region: str
    plural: bool = False
    postures: tuple[Posture, ...] = ("seated",)
    more: Words = msg("Raise")
    less: Words = msg("Lower")
    over: Words = msg("higher than")
    under: Words = msg("lower than")
    up: Words = msg("up")
    down: Words = msg("down")
    joint: str = ""
    tasks: tuple[str, ...] = SEATED_TASKS
    far_off: float = 100.0
    far_off_deg: float = 30.0
    check: Words = ""
    check_outside: Words = ""
    checks: Mapping[CheckCase, Words] = field(default_factory=dict)
    order: int = 0
    order_hands_first: int = 0
    order_standing: int = 0
    own_number: bool = False
    needed: bool = False
    on_card: bool = False
    flag: bool = False
    drag: Drag | None = None
    judged: bool = True
    group: SetGroup
    nudges: Mapping[Words, int] = field(default_factory=dict)
    zero_is_none: bool = False
    taken_away: Words = ""
    flag_label: Words = ""
    there: Literal["", "footrest", "screen"] = ""
    seen_against: Literal["", "lower_leg", "elbow", "eye"] = ""
    stands_on: Literal["", "desk", "screen"] = ""
    built_in: bool = False
    carries: str = ""
    feet_first: bool = False
    on_display: bool = False
    any_target_is_step: bool = False

    @property
    def settable(self) -> bool:
        """Whether it is a step of its own: set, and re-measured."""
        return bool(self.order or self.order_hands_first or self.order_standing)

    def share_off(self, excess: float) -> float:
        """Return how far outside its band a value is, 0 to 1 of far off; ``excess`` in ``unit``."""
        return min(1.0, abs(excess) / self.far_off)

    @property
    def noun(self) -> str:
        """Its thing without the article, as in ``Raise the seat``."""
        return self.thing.removeprefix("The ")

    @property
    def whose(self) -> str:
        """``its`` or ``their``."""
        return msg("their") if self.plural else msg("its")
