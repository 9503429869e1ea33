"""Rules about keys and pointer as pieces. Their places are judged with the settings."""

from __future__ import annotations

from ...catalogue import HAND_TASKS
from ...record import fields
from ...workstation import PointerKind, PointerSpeed, TiltFeet
from ..rule import Amount, Answer, Pair, Rule

HANDS: tuple[Rule, ...] = (
    Answer(
        id="keyboard_feet",
        mechanism="wrists",
        title="Keyboard's feet folded out",
        field=fields.keyboard.feet,
        wrong=(TiltFeet.OUT,),
        deg=10,
        source="house-keyboard",
        why="The keys rise away from the hand and the wrist bends back.",
        do="Fold them in.",
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
        why="The wrist bends back to come over it, or the desk has to be lower.",
        do="A flat one.",
        region="wrist",
        tasks=("typing",),
    ),
    Amount(
        id="keyboard_turned",
        mechanism="wrists",
        title="Keyboard turned",
        field=fields.keyboard.turned,
        least=-5,
        most=5,
        source="house-keyboard",
        why="One wrist bends to the little finger, the other to the thumb, by as much.",
        do="Square to the body, the B key at the midline.",
        region="wrist",
        joint="wrist",
        tasks=("typing",),
        deg_per_unit=1.0,
    ),
    Amount(
        id="mouse_level",
        mechanism="reach",
        title="Mouse not on the keys' level",
        field=fields.found.mouse_level,
        least=-15,
        most=15,
        source="house-mouse",
        why="The arm works at two heights all day.",
        do="Bring it to the level of the keys.",
        region="shoulder",
        tasks=("mouse",),
    ),
    Answer(
        id="pointer_speed",
        mechanism="reach",
        title="Slow pointer",
        field=fields.pointer.speed,
        wrong=(PointerSpeed.SLOW,),
        weight=0.2,
        source="house-mouse",
        why="Every way across the screen is a long way for the arm.",
        do="Faster by a step, until small targets are still hit.",
        region="wrist",
        tasks=("mouse",),
        asked="The pointer's speed is not recorded.",
    ),
    Pair(
        id="pointer_size",
        who="workplace",
        mechanism="wrists",
        title="Pointer does not fit the hand",
        fields=(fields.pointer.length, fields.measure.dimension["hand_length"].first),
        fails=lambda pointer, hand: not 0.5 <= pointer / hand <= 0.8,
        source="house-mouse",
        words="Pointer {0} long, hand {1}",
        why="Too small is held with the fingertips, too large is dragged with the wrist.",
        do="One of half to three quarters of the hand's length.",
        region="wrist",
        weight=0.2,
        only_if=fields.pointer.kind.open_or(
            PointerKind.MOUSE, PointerKind.UPRIGHT, PointerKind.HALF_UPRIGHT
        ),
    ),
)
"""Places of keys and mouse belong to :mod:`.settings`."""

__all__ = ["HANDS", "HAND_TASKS"]
