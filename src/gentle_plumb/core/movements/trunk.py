"""Movements of the trunk, and shifts of weight for somebody who stays seated."""

from __future__ import annotations

from ..intake import Demand
from .movement import Limb, Movement, Posed

REST = Limb(lift=22, bend=62)
"""Hands on the thighs, seen from the side."""

TRUNK: tuple[Movement, ...] = (
    Movement(
        id="pelvis_rocks",
        label="Rock the pelvis",
        regions=("lower_back", "hip"),
        start="seated",
        steps=(
            "Sit on the middle of the seat, feet flat.",
            "Roll the pelvis forward so that the back hollows, then back so that it rounds.",
            "Settle in the middle: that is upright.",
        ),
        repeats=8,
        felt="an easy movement low in the back",
        never="with pain shooting into a leg",
        asks=frozenset({Demand.TRUNK, Demand.FEET_FLAT}),
        view="side",
        poses=(
            Posed(says="Round", trunk=-12, head=14, near_arm=REST),
            Posed(says="Hollow", trunk=6, head=-2, near_arm=REST),
            Posed(says="Middle", near_arm=REST),
        ),
    ),
    Movement(
        id="back_bend",
        label="Standing back-bend",
        regions=("lower_back", "hip"),
        start="standing",
        steps=(
            "Stand with the feet apart, hands on the hips, buttocks tight.",
            "Bring the hips forward and the shoulder blades together; look up a little.",
            "Come back slowly.",
        ),
        hold_s=3,
        repeats=5,
        felt="the front of the hips opens, the back works gently",
        never="with dizziness, or with pain into a leg",
        asks=frozenset(
            {
                Demand.STANDING,
                Demand.TRUNK,
                Demand.BACK_BEND,
                Demand.HEAD_TILTED,
                Demand.END_OF_RANGE,
            }
        ),
        view="side",
        poses=(
            Posed(says="Stand", near_arm=Limb(lift=-30, bend=84)),
            Posed(says="Hips forward", trunk=-17, head=-10, near_arm=Limb(lift=-46, bend=84)),
        ),
    ),
    Movement(
        id="side_lean",
        label="Lean to the side",
        regions=("lower_back", "upper_back"),
        start="seated",
        steps=(
            "Sit on both sides of the seat alike, arms hanging.",
            "Let one hand glide down beside the seat; the other side grows long.",
        ),
        hold_s=5,
        repeats=3,
        sided=True,
        felt="along the side of the trunk",
        never="with pain into a leg",
        asks=frozenset({Demand.TRUNK, Demand.ARMS_BESIDE}),
        view="front",
        poses=(
            Posed(says="Sit even", near_arm=Limb(lift=6), far_arm=Limb(lift=6)),
            Posed(says="Lean", trunk=20, head=6, near_arm=Limb(lift=2), far_arm=Limb(lift=24)),
        ),
    ),
    Movement(
        id="seated_turn",
        label="Turn the trunk",
        regions=("upper_back", "lower_back"),
        start="seated",
        steps=(
            "Cross the arms on the chest, feet flat.",
            "Turn the breastbone slowly to one side, then to the other.",
        ),
        hold_s=3,
        repeats=4,
        sided=True,
        felt="the trunk turns easily below the ribs",
        never="with osteoporosis under load, or after surgery of the back",
        asks=frozenset({Demand.TRUNK, Demand.TWIST, Demand.FEET_FLAT}),
        view="front",
        poses=(
            Posed(
                says="Arms crossed",
                near_arm=Limb(lift=18, bend=-128),
                far_arm=Limb(lift=18, bend=-128),
            ),
            Posed(
                says="Turn",
                near_arm=Limb(lift=6, bend=-116),
                far_arm=Limb(lift=26, bend=-140),
                turn=40,
            ),
        ),
    ),
)

SEATED_SHIFTS: tuple[Movement, ...] = (
    Movement(
        id="lean_forward",
        label="Lean forward",
        regions=("hip", "lower_back"),
        start="seated",
        steps=(
            "Brakes on, feet on their plates.",
            "Lean forward with the forearms on the thighs or the desk until the seat is free of weight.",
        ),
        hold_s=60,
        repeats=1,
        felt="no weight under the sitting bones",
        never="if you can't hold your trunk, or your hips have to stay open",
        asks=frozenset({Demand.TRUNK, Demand.FORWARD_BEND, Demand.HIP_CLOSED, Demand.ARM_LEANING}),
        view="side",
        poses=(
            Posed(says="Sit", near_arm=REST),
            Posed(says="Lean", trunk=44, head=-8, near_arm=Limb(lift=58, bend=52)),
        ),
    ),
    Movement(
        id="lean_sideways",
        label="Shift the weight sideways",
        regions=("hip", "lower_back"),
        start="seated",
        steps=(
            "Brakes on, both armrests in place.",
            "Lean on one armrest until the other side of the seat is free, then change.",
        ),
        hold_s=30,
        repeats=1,
        sided=True,
        felt="no weight under one sitting bone",
        never="if you can't hold your trunk",
        asks=frozenset({Demand.TRUNK, Demand.ARM_LEANING}),
        view="front",
        poses=(
            Posed(
                says="Sit even", near_arm=Limb(lift=14, bend=-30), far_arm=Limb(lift=14, bend=-30)
            ),
            Posed(
                says="Lean",
                trunk=16,
                near_arm=Limb(lift=26, bend=-66),
                far_arm=Limb(lift=14, bend=-20),
            ),
        ),
    ),
    Movement(
        id="push_up",
        label="Lift off with the arms",
        regions=("hip", "shoulder"),
        start="seated",
        steps=(
            "Brakes on, hands on the armrests.",
            "Press the body up off the seat, and come down slowly.",
        ),
        hold_s=10,
        repeats=2,
        felt="arms and shoulders carry, the seat is free",
        never="with a painful shoulder or wrist",
        asks=frozenset(
            {
                Demand.TWO_HANDS,
                Demand.ARM_LEANING,
                Demand.SHOULDER,
                Demand.HAND,
                Demand.WRIST_PRESS,
                Demand.LOAD,
            }
        ),
        view="side",
        poses=(
            Posed(says="Hands on", near_arm=Limb(lift=-8, bend=46, end=40)),
            Posed(says="Lift", rise=70, near_arm=Limb(lift=2, bend=6, end=50)),
        ),
    ),
)
"""Shifts of weight for somebody who stays in their own seating."""
