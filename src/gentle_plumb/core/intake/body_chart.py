"""Regions of the body for discomfort: our own map, front and back.

Each region is an ellipse on a figure 200 wide and 440 high (x to the viewer's right, y down from
the crown), turned by ``turn`` degrees; left and right are the client's own. ``load`` names the
region that strain minutes are added up under.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..choices import Choice

View = Literal["front", "back"]

MAP_W, MAP_H = 200.0, 440.0
"""Size of the figure the regions are placed on. Source: house-map."""
STRONGEST = 10
"""Upper end of the strength, 0 is none. Source: house-map."""


class DiscomfortOften(Choice):
    """How often discomfort is there."""

    NOW_AND_THEN = "now_and_then", "Now and then"
    MOST_DAYS = "most_days", "Most days"
    EVERY_DAY = "every_day", "Every day"
    ALWAYS = "always", "All the time"


class DiscomfortKind(Choice):
    """What discomfort is like."""

    ACHE = "ache", "Dull ache"
    STIFF = "stiff", "Stiffness"
    SHARP = "sharp", "Sharp"
    BURNING = "burning", "Burning"
    SHOOTING = "shooting", "Shooting"
    TINGLING = "tingling", "Tingling or numb"


@dataclass(frozen=True, kw_only=True)
class Region:
    """One region: middle, half width and half height on the map."""

    id: str
    view: View
    label: str
    x: float
    y: float
    w: float
    h: float
    turn: float = 0.0
    load: str = ""


def _pair(
    id: str,
    view: View,
    label: str,
    x: float,
    y: float,
    w: float,
    h: float,
    turn: float = 0.0,
    load: str = "",
) -> tuple[Region, Region]:
    """The same region on both sides. From behind the client's left is on the viewer's left."""
    low = label[0].lower() + label[1:]
    right_x, left_x = (MAP_W - x, x) if view == "back" else (x, MAP_W - x)
    flip = 1 if view == "front" else -1
    return (
        Region(
            id=f"{id}_right",
            view=view,
            label=f"Right {low}",
            x=right_x,
            y=y,
            w=w,
            h=h,
            turn=flip * turn,
            load=load,
        ),
        Region(
            id=f"{id}_left",
            view=view,
            label=f"Left {low}",
            x=left_x,
            y=y,
            w=w,
            h=h,
            turn=-flip * turn,
            load=load,
        ),
    )


REGIONS: dict[str, Region] = {
    region.id: region
    for region in (
        Region(
            id="eyes", view="front", label="Eyes and forehead", x=100, y=24, w=17, h=11, load="eyes"
        ),
        Region(id="jaw", view="front", label="Jaw and face", x=100, y=46, w=14, h=10, load="neck"),
        Region(
            id="throat",
            view="front",
            label="Front of the neck",
            x=100,
            y=66,
            w=12,
            h=8,
            load="neck",
        ),
        *_pair("shoulder_front", "front", "Shoulder, front", 67, 89, 14, 12, load="shoulder"),
        Region(
            id="chest", view="front", label="Chest", x=100, y=108, w=19, h=20, load="upper_back"
        ),
        Region(
            id="belly", view="front", label="Abdomen", x=100, y=157, w=21, h=24, load="lower_back"
        ),
        *_pair("upper_arm_front", "front", "Upper arm, front", 54, 121, 9, 22, 8, load="shoulder"),
        *_pair("forearm_front", "front", "Forearm, palm side", 43, 173, 8, 23, 12, load="forearm"),
        *_pair("hand_front", "front", "Palm and fingers", 32, 217, 9, 17, 12, load="wrist"),
        *_pair("groin", "front", "Hip or groin", 83, 201, 12, 14, load="hip"),
        *_pair("thigh_front", "front", "Thigh, front", 80, 253, 13, 34, 2, load="hip"),
        *_pair("knee_front", "front", "Knee, front", 79, 307, 11, 14, load="knee"),
        *_pair("shin", "front", "Shin", 78, 362, 9, 36, load="knee"),
        *_pair("foot_front", "front", "Foot", 74, 423, 12, 11, load="foot"),
        Region(
            id="crown", view="back", label="Back of the head", x=100, y=32, w=17, h=20, load="neck"
        ),
        Region(
            id="nape", view="back", label="Back of the neck", x=100, y=66, w=12, h=10, load="neck"
        ),
        *_pair("shoulder_top", "back", "Top of the shoulder", 74, 83, 14, 9, 18, load="shoulder"),
        *_pair("blade", "back", "Shoulder blade", 81, 111, 13, 17, load="upper_back"),
        Region(
            id="between_blades",
            view="back",
            label="Between the shoulder blades",
            x=100,
            y=112,
            w=5,
            h=22,
            load="upper_back",
        ),
        Region(
            id="mid_back",
            view="back",
            label="Middle of the back",
            x=100,
            y=149,
            w=21,
            h=12,
            load="upper_back",
        ),
        Region(
            id="low_back",
            view="back",
            label="Lower back",
            x=100,
            y=177,
            w=20,
            h=13,
            load="lower_back",
        ),
        *_pair("upper_arm_back", "back", "Upper arm, back", 54, 119, 9, 22, 8, load="shoulder"),
        *_pair("elbow", "back", "Elbow", 47, 152, 9, 10, load="forearm"),
        *_pair("forearm_back", "back", "Forearm, back", 41, 183, 8, 18, 12, load="forearm"),
        *_pair(
            "wrist_back", "back", "Wrist and back of the hand", 31, 219, 9, 15, 12, load="wrist"
        ),
        *_pair("buttock", "back", "Buttock", 83, 209, 16, 17, load="hip"),
        *_pair("thigh_back", "back", "Thigh, back", 80, 263, 13, 34, 2, load="hip"),
        *_pair("knee_hollow", "back", "Back of the knee", 79, 310, 11, 12, load="knee"),
        *_pair("calf", "back", "Calf", 78, 355, 11, 30, load="knee"),
        *_pair("heel", "back", "Ankle and heel", 77, 414, 10, 16, load="foot"),
    )
}
"""All regions, by identifier. Source: house-map."""
