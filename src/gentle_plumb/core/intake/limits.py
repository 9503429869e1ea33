"""Limits of the person: what a precaution keeps out of every plan, setting, rhythm, movement and paper.

One place that search, plans, findings, Pace, movements and papers ask. A limit holds until the treating
clinician has lifted it, which is recorded with who and when. Sources: house-care.
"""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

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
    says: str
    at_work: str = ""
    of_the_day: bool = False
    bars: frozenset[Demand] = frozenset()


STRONGER: dict[LimitId, frozenset[LimitId]] = {
    LimitId.SHORT_STANDING: frozenset({LimitId.NO_STANDING, LimitId.SEATED_ONLY}),
    LimitId.NO_STANDING: frozenset({LimitId.SEATED_ONLY}),
}
"""Which limits say all that a weaker one says, and more: then the weaker one is not said. Source: house-care."""
LEGS_FORWARD = "Free space under the desk to stretch the legs forward."
NOTHING_HIGH = "Nothing to be reached above the shoulder."
_STANDS = frozenset({Demand.STANDING, Demand.STANDING_STILL, Demand.ONE_LEG, Demand.TURN_ON_LEG})

LIMITS: dict[LimitId, Limit] = {
    limit.id: limit
    for limit in (
        Limit(
            id=LimitId.NO_STANDING,
            of_the_day=True,
            says="No standing plan before it is cleared.",
            at_work="No standing work until we confirm it.",
            bars=_STANDS,
        ),
        Limit(
            id=LimitId.SHORT_STANDING,
            of_the_day=True,
            says="Standing only in short spells and with moving, never still.",
            at_work="Standing work in short spells only.",
            bars=frozenset({Demand.STANDING_STILL}),
        ),
        Limit(
            id=LimitId.SEATED_ONLY,
            of_the_day=True,
            says="Weight shifts (lean, lift, roll, reach) are the breaks.",
            bars=_STANDS
            | {
                Demand.WALKING,
                Demand.DEEP_KNEE,
                Demand.LEGS_CROSSED,
                Demand.FEET_FLAT,
                Demand.ARMS_BESIDE,
            },
        ),
        Limit(
            id=LimitId.OWN_SEAT,
            says="Own seating stays as it is; desk, keys and screen come to it.",
        ),
        Limit(
            id=LimitId.STEADY_SEAT,
            says="A steady seat with armrests: no stool, ball, cushion on top or high chair.",
            at_work="A steady chair with armrests, no stool.",
            bars=frozenset({Demand.UNSTEADY_SEAT}),
        ),
        Limit(id=LimitId.RISE_SLOWLY, of_the_day=True, says="Rise slowly, holding on."),
        Limit(
            id=LimitId.HEAD_STEADY,
            says="No movement with the head turned or tilted, with eyes closed or on one leg.",
            bars=frozenset(
                {Demand.HEAD_TURNED, Demand.HEAD_TILTED, Demand.EYES_CLOSED, Demand.ONE_LEG}
            ),
        ),
        Limit(
            id=LimitId.FREE_THIGHS,
            of_the_day=True,
            says="No edge pressing under the thighs, legs not crossed; legs up at breaks.",
            bars=frozenset({Demand.LEGS_CROSSED}),
        ),
        Limit(id=LimitId.HIP_OPEN, says="Back supported, hips open to 100° or more."),
        Limit(
            id=LimitId.HIP_ABOVE_KNEE,
            says="Hips open past 90° and never lower than the knees; no low seat, legs not crossed, no "
            "turn on the standing leg.",
            bars=frozenset({Demand.HIP_CLOSED, Demand.LEGS_CROSSED, Demand.TURN_ON_LEG}),
        ),
        Limit(
            id=LimitId.NO_END_STRETCH,
            says="No stretch to the end, nothing lying on the back; belly room is measured again at "
            "each visit.",
            bars=frozenset({Demand.END_OF_RANGE, Demand.LYING_ON_BACK, Demand.HIP_CLOSED}),
        ),
        Limit(
            id=LimitId.PART_RESTS,
            says="Nothing that loads, stretches or reaches with the part operated on.",
        ),
        Limit(
            id=LimitId.KNEES_SPARED,
            of_the_day=True,
            says="No deep bend or half squat; knees not sharply bent at the footrest; rise with the hands.",
            bars=frozenset({Demand.DEEP_KNEE}),
        ),
        Limit(
            id=LimitId.NO_LOADED_BEND,
            says="No bending forward or twisting under load.",
            at_work="No lifting or carrying.",
            bars=frozenset({Demand.FORWARD_BEND, Demand.TWIST, Demand.LOAD}),
        ),
        Limit(
            id=LimitId.FLOOR_FIRST,
            says="Floor, cables and castors that brake come first.",
            at_work="A clear floor, cables tied, castors that brake.",
        ),
        Limit(
            id=LimitId.MID_RANGE,
            says="The middle of each joint's range, short holds, no pull to the end.",
            bars=frozenset({Demand.END_OF_RANGE}),
        ),
        Limit(
            id=LimitId.WRISTS_FREE,
            says="No stretch or press of the wrist; hands float, support only between strokes.",
            bars=frozenset({Demand.WRIST_STRETCH, Demand.WRIST_PRESS}),
        ),
        Limit(
            id=LimitId.ARMS_LOW,
            says="Nothing overhead, no arm behind the back.",
            at_work="Nothing to be reached above the shoulder.",
            bars=frozenset({Demand.OVERHEAD, Demand.ARM_BEHIND}),
        ),
        Limit(
            id=LimitId.FEET_BY_EYE,
            of_the_day=True,
            says="Shoes stay on; hard edges and footrest bars are checked by eye, and the feet looked at "
            "after a change.",
            bars=frozenset({Demand.BAREFOOT}),
        ),
        Limit(
            id=LimitId.ABLE_SIDE,
            says="What is used most stands on the able side; no standing on a mat's edge.",
            bars=frozenset({Demand.ONE_LEG, Demand.OTHER_HAND}),
        ),
        Limit(
            id=LimitId.ONE_HAND,
            says="One hand works keys and mouse: the letters lie in front of that shoulder, and nothing takes two hands.",
            at_work="Keys, mouse and anything to be set can be worked with one hand.",
            bars=frozenset({Demand.TWO_HANDS}),
        ),
        Limit(
            id=LimitId.CLEAR_WAY,
            of_the_day=True,
            says="Crutches or stick are kept within reach of the seat, the way is clear, and nothing is carried.",
            at_work="A clear way to the desk, about 1.2 m wide, and a place beside the chair for a stick.",
            bars=frozenset({Demand.LOAD, Demand.ONE_LEG, Demand.TURN_ON_LEG}),
        ),
        Limit(
            id=LimitId.LEG_RAISED,
            says="The leg lies level with the seat on a support of its own, slightly bent; the other foot is flat on the floor.",
            at_work="A padded support as high as the seat, and 1.2 m of free depth under the desk.",
            bars=frozenset(
                {
                    Demand.FEET_FLAT,
                    Demand.LEGS_CROSSED,
                    Demand.DEEP_KNEE,
                    Demand.ONE_LEG,
                    Demand.TURN_ON_LEG,
                    Demand.STANDING_STILL,
                }
            ),
        ),
        Limit(
            id=LimitId.SUPERVISED,
            of_the_day=True,
            says="With the supervision that is named, and without loads; a guardian reads this too.",
            bars=frozenset({Demand.LOAD}),
        ),
        Limit(
            id=LimitId.PAIN_RULES,
            says="Pain and existing limits of movement overrule every figure here.",
        ),
        Limit(
            id=LimitId.KNEE_BEND,
            says="The knee bends only as far as it may.",
            at_work=LEGS_FORWARD,
            bars=frozenset({Demand.DEEP_KNEE, Demand.FEET_FLAT, Demand.LEGS_CROSSED}),
        ),
        Limit(
            id=LimitId.ARM_RAISE,
            says="The arm is lifted only as far as it may be.",
            at_work=NOTHING_HIGH,
            bars=frozenset({Demand.OVERHEAD, Demand.ARM_BEHIND}),
        ),
    )
}
"""Every limit, by name."""
