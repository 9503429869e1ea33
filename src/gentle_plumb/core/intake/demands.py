"""What movements and advice ask of the body."""

from __future__ import annotations

from enum import StrEnum


class Demand(StrEnum):
    """What a movement or a piece of advice asks of the body; a limit bars some of them."""

    STANDING = "standing"
    STANDING_STILL = "standing_still"
    WALKING = "walking"
    LYING_ON_BACK = "lying_on_back"
    HEAD_TURNED = "head_turned"
    HEAD_TILTED = "head_tilted"
    EYES_CLOSED = "eyes_closed"
    ONE_LEG = "one_leg"
    TURN_ON_LEG = "turn_on_leg"
    LEGS_CROSSED = "legs_crossed"
    HIP_CLOSED = "hip_closed"
    DEEP_KNEE = "deep_knee"
    FORWARD_BEND = "forward_bend"
    BACK_BEND = "back_bend"
    TWIST = "twist"
    LOAD = "load"
    END_OF_RANGE = "end_of_range"
    NECK = "neck"
    TRUNK = "trunk"
    SHOULDER = "shoulder"
    OVERHEAD = "overhead"
    ARM_BEHIND = "arm_behind"
    ARM_LEANING = "arm_leaning"
    HAND = "hand"
    WRIST_STRETCH = "wrist_stretch"
    WRIST_PRESS = "wrist_press"
    LEG = "leg"
    BAREFOOT = "barefoot"
    OTHER_HAND = "other_hand"
    TWO_HANDS = "two_hands"
    FEET_FLAT = "feet_flat"
    ARMS_BESIDE = "arms_beside"
    UNSTEADY_SEAT = "unsteady_seat"
