"""Rules about keys and pointer as pieces. Their places are judged with the settings."""

from __future__ import annotations

from ...record import fields
from ...workstation import PointerKind, PointerSpeed, TiltFeet
from ..rule import Amount, Answer, Pair, Rule

HANDS: tuple[Rule, ...] = (
    Answer(
        id="keyboard_feet",
        mechanism="wrists",
        title="Keyboard feet raised",
        field=fields.keyboard.feet,
        wrong=(TiltFeet.OUT,),
        deg=10,
        source="house-keyboard",
        why="The keys slope up and the wrist extends.",
        do="Fold them away.",
        region="wrist",
        joint="wrist",
        tasks=("typing",),
        asked="Whether the keyboard's feet are out is not recorded.",
    ),
    Amount(
        id="keyboard_thick",
        who="workplace",
        mechanism="wrists",
        title="Thick keyboard",
        field=fields.keyboard.thickness,
        most=30,
        source="house-keyboard",
        why="The wrist extends to reach over it, or the desk has to be lower.",
        do="Use a slim keyboard.",
        region="wrist",
        tasks=("typing",),
    ),
    Amount(
        id="keyboard_turned",
        mechanism="wrists",
        title="Keyboard rotated",
        field=fields.keyboard.turned,
        least=-5,
        most=5,
        source="house-keyboard",
        why="One wrist deviates towards the little finger, the other towards the thumb.",
        do="Set it square to the body, B key on the midline.",
        region="wrist",
        joint="wrist",
        tasks=("typing",),
        deg_per_unit=1.0,
    ),
    Amount(
        id="mouse_level",
        mechanism="reach",
        title="Mouse not level with the keyboard",
        field=fields.found.mouse_level,
        least=-15,
        most=15,
        source="house-mouse",
        why="The arm works at two heights all day.",
        do="Bring it level with the keyboard.",
        region="shoulder",
        tasks=("mouse",),
    ),
    Answer(
        id="pointer_speed",
        mechanism="reach",
        title="Pointer speed too slow",
        field=fields.pointer.speed,
        wrong=(PointerSpeed.SLOW,),
        weight=0.2,
        source="house-mouse",
        why="Crossing the screen takes long arm movements.",
        do="Increase the speed step by step, as long as small targets can still be hit.",
        region="wrist",
        tasks=("mouse",),
        asked="The pointer's speed is not recorded.",
    ),
    Pair(
        id="pointer_size",
        who="workplace",
        mechanism="wrists",
        title="Mouse doesn't fit the hand",
        fields=(fields.pointer.length, fields.measure.dimension["hand_length"].first),
        fails=lambda pointer, hand: not 0.5 <= pointer / hand <= 0.8,
        source="house-mouse",
        words="Pointer {0} long, hand {1}",
        why="Too small and it is pinched with the fingertips; too large and it is moved from the wrist.",
        do="Choose one half to three-quarters of the hand's length.",
        region="wrist",
        weight=0.2,
        only_if=fields.pointer.kind.open_or(
            PointerKind.MOUSE, PointerKind.UPRIGHT, PointerKind.HALF_UPRIGHT
        ),
    ),
)
"""Places of keys and mouse belong to :mod:`.settings`."""
