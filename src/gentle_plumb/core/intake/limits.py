"""Limits of the person: what a precaution keeps out of every plan, setting, rhythm, movement and paper.

One place that search, plans, findings, Pace, movements and papers ask. A limit holds until the treating
clinician has lifted it, which is recorded with who and when. Sources: house-care.
"""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from ..language import Words
from ..tables import entries_of
from .demands import Demand


class LimitId(StrEnum):
    """A limit's name, as it stands in a path of the record."""

    NO_STANDING = "no_standing"
    SHORT_STANDING = "short_standing"
    SEATED_ONLY = "seated_only"
    OWN_SEAT = "own_seat"
    STEADY_SEAT = "steady_seat"
    RISE_SLOWLY = "rise_slowly"
    HEAD_STEADY = "head_steady"
    FREE_THIGHS = "free_thighs"
    HIP_OPEN = "hip_open"
    HIP_ABOVE_KNEE = "hip_above_knee"
    NO_END_STRETCH = "no_end_stretch"
    PART_RESTS = "part_rests"
    KNEES_SPARED = "knees_spared"
    NO_LOADED_BEND = "no_loaded_bend"
    FLOOR_FIRST = "floor_first"
    MID_RANGE = "mid_range"
    WRISTS_FREE = "wrists_free"
    ARMS_LOW = "arms_low"
    FEET_BY_EYE = "feet_by_eye"
    ABLE_SIDE = "able_side"
    ONE_HAND = "one_hand"
    CLEAR_WAY = "clear_way"
    LEG_RAISED = "leg_raised"
    SUPERVISED = "supervised"
    PAIN_RULES = "pain_rules"
    KNEE_BEND = "knee_bend"
    ARM_RAISE = "arm_raise"


@dataclass(frozen=True, kw_only=True)
class Limit:
    """One limit.

    Parameters
    ----------
    id : LimitId
    says : str
        What is kept to; true for client and practitioner.
    at_work : str
        What is done or left undone, for the workplace: never why. Empty: nothing that it needs to know.
    of_the_day : bool
        Whether it is about how a day is spent: said with it.
    bars : frozenset of Demand
        What no movement and no advice may ask while it holds.

    """

    id: LimitId
    says: Words
    at_work: Words = ""
    of_the_day: bool = False
    bars: frozenset[Demand] = frozenset()


STRONGER: dict[LimitId, frozenset[LimitId]] = {
    LimitId.SHORT_STANDING: frozenset({LimitId.NO_STANDING, LimitId.SEATED_ONLY}),
    LimitId.NO_STANDING: frozenset({LimitId.SEATED_ONLY}),
}
"""Which limits say all that a weaker one says, and more: then the weaker one is not said. Source: house-care."""
LIMITS: dict[LimitId, Limit] = {
    LimitId(id): limit for id, limit in entries_of(Limit, __package__, "limits.toml").items()
}
"""Every limit, by name."""
