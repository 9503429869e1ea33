"""Movements of arms, hands and eyes."""

from __future__ import annotations

from ..intake import Demand
from .movement import Limb, Movement, Posed

ARMS_AND_HANDS: tuple[Movement, ...] = (
    Movement(
        id="finger_spread",
        label="Finger spread and fist",
        regions=("wrist", "forearm"),
        start="seated",
        steps=("Spread all fingers wide.", "Close them to a loose fist.", "Go on slowly."),
        hold_s=2,
        repeats=5,
        felt="hands and forearms grow warm",
        never="if it tingles or hurts",
        asks=frozenset({Demand.HAND}),
        view="hand",
        poses=(Posed(says="Spread", spread=1.0), Posed(says="Fist", spread=0.1, curl=1.0)),
    ),
    Movement(
        id="shake_arms",
        label="Shake the hanging arms",
        regions=("forearm", "wrist", "shoulder"),
        start="seated",
        steps=("Let both arms hang beside the chair.", "Shake hands and forearms loosely."),
        hold_s=5,
        repeats=2,
        felt="arms grow heavy and loose",
        never="if it hurts in the shoulder",
        asks=frozenset({Demand.SHOULDER, Demand.HAND, Demand.ARMS_BESIDE}),
        view="front",
        poses=(
            Posed(says="Let hang", near_arm=Limb(lift=10), far_arm=Limb(lift=10)),
            Posed(
                says="Shake",
                near_arm=Limb(lift=16, bend=14, end=24),
                far_arm=Limb(lift=14, bend=10, end=-24),
            ),
        ),
    ),
    Movement(
        id="wrist_circles",
        label="Wrist circles",
        regions=("wrist", "forearm"),
        start="seated",
        steps=(
            "Rest the forearms, hands free over the edge.",
            "Draw slow circles with loose hands, five each way.",
        ),
        repeats=5,
        felt="wrists move without a pull",
        never="if it tingles or hurts",
        asks=frozenset({Demand.HAND}),
        view="side",
        poses=(
            Posed(says="Up", near_arm=Limb(lift=16, bend=76, end=24)),
            Posed(says="Down", near_arm=Limb(lift=16, bend=76, end=-28)),
        ),
    ),
    Movement(
        id="palms_together",
        label="Palms together, hands down",
        regions=("wrist", "forearm"),
        start="seated",
        steps=(
            "Lay the palms together before the chest.",
            "Let the hands sink until the forearms pull; the heels of the hands stay together.",
        ),
        hold_s=10,
        repeats=2,
        felt="the inner side of the forearms",
        never="with tingling, or with pain in the wrist",
        asks=frozenset(
            {
                Demand.TWO_HANDS,
                Demand.HAND,
                Demand.WRIST_STRETCH,
                Demand.WRIST_PRESS,
                Demand.END_OF_RANGE,
            }
        ),
        view="front",
        poses=(
            Posed(
                says="Together",
                near_arm=Limb(lift=28, bend=-138, end=-66),
                far_arm=Limb(lift=28, bend=-138, end=-66),
            ),
            Posed(
                says="Hands down",
                near_arm=Limb(lift=52, bend=-142, end=-86),
                far_arm=Limb(lift=52, bend=-142, end=-86),
            ),
        ),
    ),
    Movement(
        id="forearm_turns",
        label="Turn the palms up and down",
        regions=("forearm", "wrist"),
        start="seated",
        steps=(
            "Elbows at the side, forearms level.",
            "Turn the palms up, then down, as far as is easy.",
        ),
        repeats=8,
        felt="the forearms work loosely",
        never="if it hurts at the elbow",
        asks=frozenset({Demand.HAND}),
        view="hand",
        poses=(Posed(says="Palm up", spread=0.4), Posed(says="Palm down", spread=0.4, turn=180)),
    ),
    Movement(
        id="palms_overhead",
        label="Laced palms overhead",
        regions=("upper_back", "shoulder", "forearm"),
        start="seated",
        steps=(
            "Lace the fingers and turn the palms up.",
            "Reach overhead and grow tall; the shoulders stay low.",
        ),
        hold_s=10,
        repeats=2,
        felt="along the sides of the trunk and the forearms",
        never="with a stiff or operated shoulder, or with tingling in the hands",
        asks=frozenset(
            {
                Demand.TWO_HANDS,
                Demand.SHOULDER,
                Demand.OVERHEAD,
                Demand.HAND,
                Demand.WRIST_STRETCH,
                Demand.END_OF_RANGE,
            }
        ),
        view="front",
        poses=(
            Posed(says="Lace", near_arm=Limb(lift=30, bend=-120), far_arm=Limb(lift=30, bend=-120)),
            Posed(
                says="Reach up", near_arm=Limb(lift=162, bend=26), far_arm=Limb(lift=162, bend=26)
            ),
        ),
    ),
    Movement(
        id="look_far",
        label="Look far away",
        regions=("eyes", "neck"),
        start="seated",
        steps=(
            "Look at something far away.",
            "Blink slowly ten times, and let the face grow loose.",
        ),
        hold_s=20,
        repeats=1,
        felt="the eyes grow moist and quiet",
        never="with sudden loss of sight or double vision: seek care at once",
        view="side",
        poses=(
            Posed(says="Screen", head=10, chin=20, near_arm=Limb(lift=18, bend=76)),
            Posed(says="Far away", near_arm=Limb(lift=6, bend=30)),
        ),
    ),
)
