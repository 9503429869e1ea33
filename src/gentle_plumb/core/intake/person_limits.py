"""The limits in force for one person, and what follows from them for posture, seat, time and words.

Sources: house-care.
"""

from __future__ import annotations

from collections.abc import Collection, Mapping
from dataclasses import dataclass
from functools import cached_property

from ..choices import Hand
from ..language import msg
from .demands import Demand
from .figures import FIGURES
from .limit_in_force import LimitInForce
from .limits import LIMITS, STRONGER, LimitId
from .screening import PRECAUTIONS
from .surgery import PART_BARS, STANDS_ON, OperatedPart

LEAST_HIP_DEG = {LimitId.HIP_OPEN: 100.0, LimitId.HIP_ABOVE_KNEE: 95.0}
"""Least angle of the hip, degrees: back supported and open; past 90 by more than a hand's error. Source: house-care."""
SHORT_STANDING_MIN = 10.0
"""Longest spell of standing where only short ones are allowed, minutes."""
SHORT_HOLD_S = 5.0
"""Longest hold of a movement where holds are to be short, seconds."""
Lifted = Mapping[LimitId, float | None]
"""Limits that a clinician lifted (None), or set to a figure, in the unit of :data:`~.figures.FIGURES`."""
Held = Mapping[str, Lifted]
"""Conditions that are there, each with what was lifted or set of its limits."""


@dataclass(frozen=True, kw_only=True)
class PersonLimits:
    """What binds for one person.

    Parameters
    ----------
    in_force : tuple of LimitInForce
        In the order of :data:`~.limits.LIMITS`.
    operated : tuple of OperatedPart
        What was operated on, where that part still rests.
    weak_side : {"left", "right"} or None
        The side that nothing used much may stand on, where it is known.

    """

    in_force: tuple[LimitInForce, ...] = ()
    operated: tuple[OperatedPart, ...] = ()
    weak_side: Hand | None = None

    @cached_property
    def _by_id(self) -> dict[LimitId, LimitInForce]:
        return {limit_in_force.id: limit_in_force for limit_in_force in self.in_force}

    def held(self, id: LimitId) -> LimitInForce | None:
        """Return a limit if it is in force."""
        return self._by_id.get(id)

    def has(self, id: LimitId) -> bool:
        """Whether a limit is in force."""
        return self.held(id) is not None

    @property
    def against_standing(self) -> LimitInForce | None:
        """The limit that keeps a standing plan out."""
        return self.held(LimitId.SEATED_ONLY) or self.held(LimitId.NO_STANDING)

    @property
    def stands(self) -> bool:
        """Whether anything may be planned standing."""
        return self.against_standing is None

    @property
    def walks(self) -> bool:
        """Whether words of rising and going fit."""
        return not self.has(LimitId.SEATED_ONLY)

    @property
    def own_seat(self) -> bool:
        """Whether their seating is theirs and never moved."""
        return self.has(LimitId.OWN_SEAT)

    @property
    def steady_seat(self) -> bool:
        """Whether only a seat that stands firm may be offered."""
        return self.has(LimitId.STEADY_SEAT) or self.own_seat

    @property
    def longest_stand(self) -> float | None:
        """Longest spell of standing, minutes; None where nothing limits it."""
        if not self.stands:
            return 0.0
        short = self.held(LimitId.SHORT_STANDING)
        return min(SHORT_STANDING_MIN, short.figure or SHORT_STANDING_MIN) if short else None

    @property
    def standing_an_hour(self) -> float | None:
        """Most standing in any hour, minutes; None where nobody has set it."""
        short = self.held(LimitId.SHORT_STANDING)
        return short.figure if short is not None else None

    @property
    def least_hip(self) -> float:
        """Least angle of the hip, degrees; 0 where nothing limits it."""
        held = ((self.held(id), least) for id, least in LEAST_HIP_DEG.items())
        return max(
            (
                limit_in_force.figure or least
                for limit_in_force, least in held
                if limit_in_force is not None
            ),
            default=0.0,
        )

    @property
    def knee_bend(self) -> float | None:
        """How far the knee may bend, degrees from straight; None where nothing limits it."""
        knee = self.held(LimitId.KNEE_BEND)
        return knee.figure if knee is not None else None

    @property
    def only_hand(self) -> Hand | None:
        """The hand that does everything; None where both do, or nobody has said which."""
        if not self.has(LimitId.ONE_HAND) or self.weak_side is None:
            return None
        return self.weak_side.other

    @property
    def longest_hold(self) -> float | None:
        """Longest hold of a movement, seconds; None where nothing limits it."""
        return SHORT_HOLD_S if self.has(LimitId.MID_RANGE) else None

    @cached_property
    def bars(self) -> Mapping[Demand, LimitInForce]:
        """What no movement and no advice may ask, with the limit that says so."""
        limits_in_force: dict[Demand, LimitInForce] = {}
        for limit_in_force in self.in_force:
            barred = limit_in_force.limit.bars
            if limit_in_force.id == LimitId.PART_RESTS:
                parts = self.operated or tuple(PART_BARS)
                barred = frozenset().union(*(PART_BARS[part] for part in parts))
            for demand in sorted(barred):
                limits_in_force.setdefault(demand, limit_in_force)
        return limits_in_force

    def against(self, demands: Collection[Demand]) -> LimitInForce | None:
        """Return the limit that bars any of what is asked; None where all of it may be."""
        return next((self.bars[demand] for demand in sorted(demands) if demand in self.bars), None)

    @property
    def at_work(self) -> tuple[str, ...]:
        """What is done or left undone, for the workplace: never why."""
        return tuple(
            limit_in_force.at_work for limit_in_force in self.in_force if limit_in_force.at_work
        )


def person_limits(
    held: Held,
    *,
    wheelchair: bool = False,
    operated: OperatedPart | None = None,
    weak_side: Hand | None = None,
    answered: Mapping[str, float] | None = None,
    joints: Lifted | None = None,
) -> PersonLimits:
    """Return the limits in force.

    Parameters
    ----------
    held : mapping
        The conditions that are there, each with what a clinician has lifted or set of its limits.
    wheelchair : bool
        Whether the client sits in one, as the pieces say.
    operated, weak_side : optional
        What was operated on (not said: any part may have been); the side of a one-sided weakness.
    answered : mapping, optional
        Most standing in an hour, minutes, a clinician set in answer to a red flag, by the flag.
    joints : mapping, optional
        How far joints of this person may move, degrees, by the limit.

    Examples
    --------
    >>> person_limits({"dizziness": {}}).stands
    False
    >>> person_limits({"dizziness": {LimitId.NO_STANDING: None}}).stands
    True
    >>> person_limits({"dizziness": {LimitId.NO_STANDING: 8.0}}).standing_an_hour
    8.0

    """
    there = {**held}
    if wheelchair:
        there["wheelchair"] = {}  # what they sit in is a fact, and nobody lifts it
    because: dict[LimitId, list[str]] = {}
    ask: dict[LimitId, list[str]] = {}
    figures: dict[LimitId, list[float]] = {}

    def hold(limit: LimitId, label: str, whom: str, figure: float | None) -> None:
        because.setdefault(limit, []).append(label)
        ask.setdefault(limit, []).append(whom)
        if figure is not None:
            figures.setdefault(limit, []).append(figure)

    for id, lifted in there.items():
        care = PRECAUTIONS[id]
        for limit in limits_applying(id, operated):
            figure = lifted.get(limit)
            if figure is not None:
                hold(FIGURES[limit].becomes, care.label, care.ask, figure)
            elif limit not in lifted:
                hold(limit, care.label, care.ask, None)
    for label, minutes in (answered or {}).items():
        hold(LimitId.SHORT_STANDING, label, msg("clinician who answered"), minutes)
    for limit, figure in (joints or {}).items():
        hold(limit, msg("Limit of a joint"), msg("treating clinician"), figure)
    return PersonLimits(
        in_force=tuple(
            LimitInForce(
                id=id,
                because=tuple(because[id]),
                ask=tuple(ask[id]),
                figure=_strictest(id, figures.get(id, ()), len(because[id])),
            )
            for id in LIMITS
            if id in because and not STRONGER.get(id, frozenset()) & because.keys()
        ),
        operated=(operated,) if operated is not None and LimitId.PART_RESTS in because else (),
        weak_side=weak_side if LimitId.ABLE_SIDE in because else None,
    )


def _strictest(id: LimitId, figures: Collection[float], conditions: int) -> float | None:
    """Return the figure that binds where several were set; the usual one counts where a condition has none."""
    if not figures:
        return None
    usual = LEAST_HIP_DEG.get(id)
    if usual is None:
        return min(figures)
    return max(figures if len(figures) == conditions else (*figures, usual))


def limits_applying(precaution: str, operated: OperatedPart | None) -> tuple[LimitId, ...]:
    """Return the limits that a condition puts in force; surgery of a hand keeps nobody from standing."""
    limits = PRECAUTIONS[precaution].limits
    if precaution == "surgery" and operated is not None and operated not in STANDS_ON:
        return (LimitId.PART_RESTS,)
    return limits
