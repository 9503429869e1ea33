"""What the practitioner chooses: policies and the bands of the joints.

One frozen object each, used by the rule, the drawing and the report alike.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal


@dataclass(frozen=True, kw_only=True)
class Band:
    """A closed band: both ends count as inside."""

    low: float
    high: float

    def excess(self, value: float) -> float:
        """How far outside, signed: negative under the band, positive over it, 0 inside."""
        if value < self.low:
            return value - self.low
        return value - self.high if value > self.high else 0.0


JOINT_BANDS: dict[str, Band] = {
    "elbow": Band(low=90, high=110),
    "upper_arm": Band(low=0, high=20),
    "hip": Band(low=90, high=120),
    "knee": Band(low=90, high=120),
}
"""Bands in degrees. Source: house-joint-bands. The neck's band follows from the screen rule."""

JOINT_LABELS: dict[str, str] = {
    "elbow": "Elbow",
    "upper_arm": "Upper arm outwards",
    "hip": "Hip",
    "knee": "Knee",
    "neck": "Gaze to the top edge",
}


@dataclass(frozen=True, kw_only=True)
class Policy:
    """Choices with their defaults; mm and degrees. Sources: the ``house-…`` keys named."""

    relief: float = 15.0  # house-relief
    thigh_slope: float = 0.0  # house-chain
    recline: float = 10.0  # house-joint-bands: back 100 to 105, supported
    elbow_angle: float = 95.0  # house-joint-bands
    flexion: float = 0.0  # house-chain
    slump_eye: float = 25.0  # house-slump
    slump_elbow: float = 15.0  # house-slump
    fingers_behind_knee: float = 2.5  # house-seat-depth
    thigh_room: float = 20.0  # house-thigh-room
    flat_feet_margin: float = 10.0  # house-relief
    armrest_below_elbow: float = 10.0  # house-armrest
    mouse_gap: float = 45.0  # house-mouse
    screen_rule: Literal["top_edge"] = "top_edge"  # house-screen
    screen_top_low: float = -50.0  # house-screen
    screen_top_high: float = 0.0  # house-screen
    distance_rule: Literal["fingertip", "fist"] = "fingertip"  # house-screen
    least_distance: float = 400.0  # house-screen
    widest_picture_deg: float = 60.0  # house-screen
    tallest_picture_deg: float = 30.0  # house-screen
    lowest_gaze_deg: float = 30.0  # house-screen: eyes alone
    lens_drop_progressive_deg: float = 10.0  # house-lens
    lens_drop_bifocal_deg: float = 15.0  # house-lens
    most_tilt: float = 20.0  # house-screen
    stand_depth: float = 120.0  # house-desk-depth, where the stand's depth is unknown
