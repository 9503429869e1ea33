"""Movements of hips and legs."""

from __future__ import annotations

from ..intake import Demand
from .movement import Limb, Movement, Posed
from .trunk import REST

HOLDING = Limb(lift=62, bend=10)
"""A hand that holds on, seen from the side."""

LEGS: tuple[Movement, ...] = (
    Movement(
        id="half_squats",
        label="Half squats",
        regions=("knee", "hip"),
        start="standing",
        steps=(
            "Stand with the feet apart, a hand on the desk.",
            "Bend the knees as if to sit, the back long; come up again.",
        ),
        repeats=8,
        felt="the front of the thighs",
        never="with pain in a knee, or after surgery of hip or knee",
        asks=frozenset({Demand.STANDING, Demand.DEEP_KNEE, Demand.LEG}),
        view="side",
        poses=(
            Posed(says="Stand", near_arm=HOLDING),
            Posed(
                says="Bend",
                trunk=22,
                near_arm=Limb(lift=72, bend=10),
                near_leg=Limb(lift=52, bend=74),
            ),
        ),
    ),
    Movement(
        id="heel_to_buttock",
        label="Heel to buttock",
        regions=("hip", "knee"),
        start="standing",
        steps=(
            "Hold on to the desk with one hand.",
            "Take one foot behind you and draw the heel gently towards the buttock; the knees side by side.",
        ),
        hold_s=10,
        repeats=2,
        sided=True,
        felt="the front of the thigh",
        never="with a replaced or painful knee, or where one leg does not carry safely",
        asks=frozenset(
            {Demand.STANDING, Demand.ONE_LEG, Demand.DEEP_KNEE, Demand.LEG, Demand.END_OF_RANGE}
        ),
        view="side",
        poses=(
            Posed(says="Hold on", near_arm=Limb(lift=4), far_arm=HOLDING),
            Posed(
                says="Heel up",
                near_arm=Limb(lift=-38, bend=8),
                far_arm=HOLDING,
                near_leg=Limb(lift=-6, bend=122),
                far_leg=Limb(),
            ),
        ),
    ),
    Movement(
        id="calf_raises",
        label="Heels up, heels down",
        regions=("foot", "knee"),
        start="standing",
        steps=("Hold on to the desk.", "Rise on the toes, and sink slowly."),
        repeats=10,
        felt="the calves",
        never="if standing is not safe for you",
        asks=frozenset({Demand.STANDING, Demand.LEG}),
        view="side",
        poses=(
            Posed(says="Stand", near_arm=HOLDING),
            Posed(says="Heels up", near_arm=HOLDING, near_leg=Limb(end=42)),
        ),
    ),
    Movement(
        id="ankle_pumps",
        label="Ankle pumps",
        regions=("foot", "knee"),
        start="seated",
        steps=("Feet flat, heels under the knees.", "Lift the toes, then the heels, in turn."),
        repeats=15,
        felt="calves and shins work lightly",
        never="with a hot, swollen or painful calf: seek care the same day",
        asks=frozenset({Demand.LEG, Demand.FEET_FLAT}),
        view="side",
        poses=(
            Posed(says="Toes up", near_arm=REST, near_leg=Limb(lift=90, bend=86, end=-24)),
            Posed(says="Heels up", near_arm=REST, near_leg=Limb(lift=92, bend=94, end=34)),
        ),
    ),
    Movement(
        id="knee_straighten",
        label="Straighten a knee",
        regions=("knee", "hip"),
        start="seated",
        steps=("Sit right back.", "Straighten one knee slowly, toes drawn up; lower it again."),
        hold_s=3,
        repeats=6,
        sided=True,
        felt="the front of the thigh, a little behind the knee",
        never="with pain shooting down the leg",
        asks=frozenset({Demand.LEG}),
        view="side",
        poses=(
            Posed(says="Sit back", near_arm=REST),
            Posed(says="Straighten", near_arm=REST, near_leg=Limb(lift=88, bend=14, end=-16)),
        ),
    ),
    Movement(
        id="walk_for_water",
        label="A walk for water",
        regions=("lower_back", "hip", "foot"),
        start="standing",
        steps=("Fetch a glass of water by the longer way.", "Let the arms swing."),
        repeats=1,
        felt="the legs wake up",
        never="if walking alone is not safe for you",
        asks=frozenset({Demand.WALKING}),
        view="side",
        poses=(
            Posed(
                says="Step",
                near_arm=Limb(lift=-20, bend=12),
                far_arm=Limb(lift=24, bend=18),
                near_leg=Limb(lift=24, bend=8),
                far_leg=Limb(lift=-20, bend=14),
            ),
            Posed(
                says="Step",
                near_arm=Limb(lift=24, bend=18),
                far_arm=Limb(lift=-20, bend=12),
                near_leg=Limb(lift=-20, bend=14),
                far_leg=Limb(lift=24, bend=8),
            ),
        ),
    ),
)
