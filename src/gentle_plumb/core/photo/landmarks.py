"""Points placed on a photograph.

``depth`` is how far a landmark usually lies from the body's middle plane towards a camera at the
side, mm: what a turned or near camera shifts. Source: house-depths, about half the breadths of
the table.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

View = Literal["side", "rear"]
Taken = Literal["before", "after"]
VIEWS: dict[View, str] = {"side": "From the side", "rear": "From behind"}


@dataclass(frozen=True, kw_only=True)
class Landmark:
    """One point: what it is called, where it is put, in which views it is asked."""

    id: str
    label: str
    where: str
    views: tuple[View, ...] = ("side",)
    depth: float = 0.0


LANDMARKS: dict[str, Landmark] = {
    mark.id: mark
    for mark in (
        Landmark(
            id="scale_a",
            label="Known length, one end",
            views=("side", "rear"),
            where="One end of an object of known length, at the same distance as the client.",
        ),
        Landmark(
            id="scale_b",
            label="Known length, other end",
            views=("side", "rear"),
            where="The other end of it.",
        ),
        Landmark(
            id="upright_a",
            label="Vertical reference, top",
            views=("side", "rear"),
            where="Top of something vertical, such as a door frame.",
        ),
        Landmark(
            id="upright_b",
            label="Vertical reference, bottom",
            views=("side", "rear"),
            where="The bottom of it.",
        ),
        Landmark(id="eye", label="Eye", where="Outer corner of the eye.", depth=30),
        Landmark(
            id="ear",
            label="Ear",
            where="The tragus (small flap in front of the ear opening).",
            depth=75,
        ),
        Landmark(
            id="c7",
            label="C7",
            views=("side", "rear"),
            where="The bony bump at the base of the neck; tilt the head forward to feel it.",
        ),
        Landmark(id="shoulder", label="Shoulder", where="Middle of the outer shoulder.", depth=175),
        Landmark(
            id="elbow",
            label="Elbow",
            where="Lateral epicondyle (outer bump of the elbow).",
            depth=200,
        ),
        Landmark(id="wrist", label="Wrist", where="Middle of the wrist.", depth=150),
        Landmark(
            id="knuckle",
            label="Knuckle",
            where="Knuckle of the little finger (5th metacarpal head).",
            depth=140,
        ),
        Landmark(
            id="hip",
            label="Hip",
            where="Greater trochanter (bony bump at the side of the hip).",
            depth=160,
        ),
        Landmark(id="knee", label="Knee", where="Middle of the outer knee.", depth=110),
        Landmark(
            id="ankle", label="Ankle", where="Lateral malleolus (outer ankle bone).", depth=90
        ),
        Landmark(id="screen_top", label="Screen top", where="Upper edge of the picture."),
        Landmark(id="screen_bottom", label="Screen bottom", where="Lower edge of the picture."),
        Landmark(
            id="other_shoulder",
            label="The other shoulder",
            where="If visible: shows whether the camera was at an angle.",
            depth=-175,
        ),
        Landmark(
            id="shoulder_left",
            label="Left shoulder",
            views=("rear",),
            where="Outer tip of the left shoulder.",
        ),
        Landmark(
            id="shoulder_right",
            label="Right shoulder",
            views=("rear",),
            where="Outer tip of the right shoulder.",
        ),
        Landmark(id="elbow_left", label="Left elbow", views=("rear",), where="Middle of it."),
        Landmark(id="elbow_right", label="Right elbow", views=("rear",), where="Middle of it."),
        Landmark(
            id="hip_left", label="Left hip", views=("rear",), where="Top of the left iliac crest."
        ),
        Landmark(
            id="hip_right",
            label="Right hip",
            views=("rear",),
            where="Highest point of the right hip bone.",
        ),
    )
}
"""In the order they are placed."""
