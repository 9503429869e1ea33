"""Movements of neck and shoulders."""

from __future__ import annotations

from ..intake import Demand
from .movement import Limb, Movement, Posed

HANGING = Limb()

NECK_AND_SHOULDERS: tuple[Movement, ...] = (
    Movement(
        id="chin_back",
        label="Chin back, level",
        regions=("neck", "upper_back"),
        start="seated",
        steps=(
            "Sit tall and look straight ahead.",
            "Draw the chin straight back, as if to make a double chin; it stays level.",
            "Hold, then let go slowly.",
        ),
        hold_s=10,
        repeats=5,
        felt="a gentle stretch at the back of the neck",
        never="with pain or tingling into an arm, or if it makes dizzy",
        asks=frozenset({Demand.NECK}),
        view="side",
        poses=(Posed(says="Look ahead", chin=28), Posed(says="Chin back", chin=-14)),
    ),
    Movement(
        id="ear_to_shoulder",
        label="Ear to shoulder",
        regions=("neck", "shoulder"),
        start="seated",
        steps=(
            "Sit tall and let one arm hang, its hand drawn down behind the back.",
            "Let the ear sink towards the other shoulder; the face looks ahead.",
            "Hold, breathe out, and come up slowly.",
        ),
        hold_s=10,
        repeats=2,
        sided=True,
        felt="the side of the neck down to the shoulder",
        never="with dizziness, or with tingling into the arm",
        asks=frozenset(
            {
                Demand.NECK,
                Demand.HEAD_TILTED,
                Demand.ARM_BEHIND,
                Demand.SHOULDER,
                Demand.END_OF_RANGE,
            }
        ),
        view="front",
        poses=(
            Posed(says="Sit tall", near_arm=Limb(lift=6), far_arm=Limb(lift=6)),
            Posed(
                says="Ear sinks", head=28, near_arm=Limb(lift=6), far_arm=Limb(lift=12, bend=-40)
            ),
        ),
    ),
    Movement(
        id="head_turn",
        label="Look over the shoulder",
        regions=("neck",),
        start="seated",
        steps=(
            "Sit tall with the chin level.",
            "Turn the head slowly to one side as far as is comfortable, then to the other.",
        ),
        hold_s=3,
        repeats=5,
        sided=True,
        felt="an easy pull at the side of the neck",
        never="with dizziness, or after an injury of the neck",
        asks=frozenset({Demand.NECK, Demand.HEAD_TURNED}),
        view="front",
        poses=(
            Posed(says="Look ahead", near_arm=Limb(lift=6), far_arm=Limb(lift=6)),
            Posed(says="Turn", near_arm=Limb(lift=6), far_arm=Limb(lift=6), turn=60),
        ),
    ),
    Movement(
        id="shoulder_rolls",
        label="Shoulder rolls",
        regions=("shoulder", "neck"),
        start="seated",
        steps=("Let both arms rest.", "Lift the shoulders, roll them back, and let them sink."),
        repeats=8,
        felt="warmth between neck and shoulders",
        never="if it hurts in the joint of the shoulder",
        asks=frozenset({Demand.SHOULDER}),
        view="front",
        poses=(
            Posed(says="Let hang", near_arm=Limb(lift=6), far_arm=Limb(lift=6)),
            Posed(says="Lift", shrug=48, near_arm=Limb(lift=8), far_arm=Limb(lift=8)),
            Posed(says="Back and down", shrug=-10, near_arm=Limb(lift=10), far_arm=Limb(lift=10)),
        ),
    ),
    Movement(
        id="shoulder_blades",
        label="Shoulder blades together",
        regions=("upper_back", "shoulder"),
        start="seated",
        steps=(
            "Bend the elbows a little, arms loose.",
            "Draw the shoulder blades together and down.",
            "Hold without lifting the shoulders, and let go.",
        ),
        hold_s=5,
        repeats=6,
        felt="between the shoulder blades",
        never="if it hurts in the joint of the shoulder",
        asks=frozenset({Demand.SHOULDER}),
        view="side",
        poses=(
            Posed(says="Elbows bent", near_arm=Limb(lift=8, bend=80)),
            Posed(says="Blades together", trunk=-3, near_arm=Limb(lift=-32, bend=80)),
        ),
    ),
    Movement(
        id="hands_laced_behind",
        label="Hands laced behind the back",
        regions=("shoulder", "upper_back"),
        start="standing",
        steps=(
            "Lace the hands behind the back, arms straight.",
            "Lift the arms a little, the breastbone comes forward.",
        ),
        hold_s=10,
        repeats=2,
        felt="across the chest and the front of the shoulders",
        never="after surgery of the shoulder, or where the arm does not go behind",
        asks=frozenset(
            {
                Demand.TWO_HANDS,
                Demand.STANDING,
                Demand.SHOULDER,
                Demand.ARM_BEHIND,
                Demand.HAND,
                Demand.END_OF_RANGE,
            }
        ),
        view="side",
        poses=(
            Posed(says="Hands behind", near_arm=Limb(lift=-14)),
            Posed(says="Lift", trunk=-4, near_arm=Limb(lift=-44)),
        ),
    ),
    Movement(
        id="elbow_behind_head",
        label="Elbow behind the head",
        regions=("shoulder", "upper_back"),
        start="seated",
        steps=(
            "Lift one arm and let the hand sink behind the head, down the back.",
            "Take the elbow with the other hand and draw it gently towards the middle.",
        ),
        hold_s=10,
        repeats=2,
        sided=True,
        felt="the back of the upper arm and the side of the trunk",
        never="with a stiff or operated shoulder",
        asks=frozenset({Demand.TWO_HANDS, Demand.SHOULDER, Demand.OVERHEAD, Demand.END_OF_RANGE}),
        view="front",
        poses=(
            Posed(says="Arm up", near_arm=Limb(lift=165, bend=20), far_arm=Limb(lift=6)),
            Posed(
                says="Elbow in", near_arm=Limb(lift=172, bend=150), far_arm=Limb(lift=158, bend=96)
            ),
        ),
    ),
    Movement(
        id="reach_forward",
        label="Reach forward and round",
        regions=("upper_back", "shoulder"),
        start="seated",
        steps=(
            "Lace the fingers and reach forward at the height of the chest.",
            "Let the upper back round and the shoulder blades part.",
        ),
        hold_s=8,
        repeats=3,
        felt="between the shoulder blades",
        never="if it hurts in the shoulder",
        asks=frozenset({Demand.SHOULDER, Demand.TRUNK, Demand.HAND}),
        view="side",
        poses=(
            Posed(says="Sit tall", near_arm=Limb(lift=20, bend=70)),
            Posed(says="Reach", trunk=14, head=16, near_arm=Limb(lift=84, bend=6)),
        ),
    ),
)
