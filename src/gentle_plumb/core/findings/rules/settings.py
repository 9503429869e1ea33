"""Rules about settings: what a height or distance outside its band does to this person.

Each compares what was found with the band of its fit row: the thresholds stand with the row (see
:mod:`gentle_plumb.core.fit`) and are not written again here. The table holds the words only: what
a value under or over its band does, the two verbs to set it, and which joint pays for it.
"""

from __future__ import annotations

from dataclasses import dataclass

from ..rule import SCREEN_TASKS, SEATED_TASKS


@dataclass(frozen=True, kw_only=True)
class Words:
    """``under`` and ``over``: effect of a value outside its band; ``more``, ``less``: verbs.

    An effect on a joint is said only where the joint as found is outside its band that way.
    """

    thing: str
    under: str
    over: str
    more: str = "Raise"
    less: str = "Lower"


WORDS: dict[str, Words] = {
    "seat": Words(
        thing="Seat",
        under="the knees come above the hips and the lower back rounds",
        over="the thighs press on the seat's edge",
    ),
    "seat_depth": Words(
        thing="Seat depth",
        under="the thighs are carried only in part",
        over="the edge presses behind the knee, and the back leaves the backrest",
        more="Lengthen",
        less="Shorten",
    ),
    "lumbar": Words(
        thing="Lumbar pad",
        under="it pushes the pelvis, not the small of the back",
        over="it pushes the ribs and leaves the small of the back free",
    ),
    "armrest": Words(
        thing="Armrests",
        under="the body leans down to them or the arms hang unsupported",
        over="they lift the shoulders",
    ),
    "surface": Words(
        thing="Surface",
        under="the trunk bends down to it and the elbows open wide",
        over="the shoulders lift or the elbows close to reach it",
    ),
    "mouse": Words(
        thing="Mouse",
        under="it lies on the keyboard's place",
        over="the upper arm stands out to reach it",
        more="Move out",
        less="Bring in",
    ),
    "screen_top": Words(
        thing="Screen top", under="the neck bends down to it", over="the chin lifts to it"
    ),
    "distance": Words(
        thing="Screen",
        under="the eyes strain to stay sharp on it",
        over="the head goes forward to read it",
        more="Move away",
        less="Bring nearer",
    ),
    "tilt": Words(
        thing="Screen tilt",
        under="the picture leans towards the eyes",
        over="the picture leans away from the eyes",
        more="Tilt back",
        less="Tilt up",
    ),
    "desk_depth": Words(thing="Desk", under="keys and screen can't both be right on it", over=""),
}

FAR_OFF_MM = 100.0
FAR_OFF = {"distance": 300.0, "lumbar": 60.0, "armrest": 60.0, "tilt": 60.0}
"""How far outside its band a setting counts in full where no joint pays, mm (tilt in degrees).
Source: house-severity."""

JOINT_OF = {"seat": "knee", "surface": "elbow", "mouse": "upper_arm", "screen_top": "neck"}
"""Which joint pays for which quantity."""
REGION_OF = {
    "seat": "hip",
    "footrest": "hip",
    "seat_depth": "knee",
    "lumbar": "lower_back",
    "armrest": "shoulder",
    "surface": "forearm",
    "mouse": "shoulder",
    "screen_top": "neck",
    "distance": "neck",
    "tilt": "eyes",
    "desk_depth": "neck",
}
"""Which region a quantity loads."""
TASKS_OF = {
    "surface": ("typing", "mouse"),
    "mouse": ("mouse",),
    "screen_top": SCREEN_TASKS,
    "distance": SCREEN_TASKS,
    "tilt": SCREEN_TASKS,
    "desk_depth": SCREEN_TASKS,
}
"""Tasks whose hours count; all at the desk for the rest."""


def tasks_of(key: str) -> tuple[str, ...]:
    """The tasks a quantity matters for."""
    return TASKS_OF.get(key, SEATED_TASKS)
