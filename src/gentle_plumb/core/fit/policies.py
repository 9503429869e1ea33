"""What the practitioner chooses: policies and the bands of the joints.

One frozen object each, used by the rule, the drawing and the report alike.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..errors import ValueOutOfRange

SAME = 1e-6
"""What the last bits of a sum may differ by; both ends of a band belong to it. Source: geometry."""


@dataclass(frozen=True, kw_only=True)
class Band:
    """A closed band: both ends count as inside."""

    low: float
    high: float

    def excess(self, value: float) -> float:
        """How far outside, signed: negative under the band, positive over it, 0 inside."""
        if value < self.low - SAME:
            return value - self.low
        return value - self.high if value > self.high + SAME else 0.0


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


POLICY_RANGES: dict[str, tuple[Band, str]] = {
    "relief": (Band(low=0, high=25), "mm"),
    "thigh_slope": (Band(low=0, high=15), "°"),
    "recline": (Band(low=0, high=45), "°"),
    "elbow_angle": (Band(low=80, high=130), "°"),
    "flexion": (Band(low=0, high=20), "°"),
    "slump_eye": (Band(low=0, high=80), "mm"),
    "slump_elbow": (Band(low=0, high=80), "mm"),
    "fingers_behind_knee": (Band(low=1, high=5), "fingers"),
    "thigh_room": (Band(low=0, high=60), "mm"),
    "flat_feet_margin": (Band(low=0, high=30), "mm"),
    "armrest_below_elbow": (Band(low=0, high=40), "mm"),
    "mouse_gap": (Band(low=0, high=150), "mm"),
    "screen_top_low": (Band(low=-300, high=0), "mm"),
    "screen_top_high": (Band(low=0, high=300), "mm"),
    "least_distance": (Band(low=200, high=1000), "mm"),
    "widest_picture_deg": (Band(low=20, high=120), "°"),
    "tallest_picture_deg": (Band(low=10, high=90), "°"),
    "lowest_gaze_deg": (Band(low=10, high=60), "°"),
    "lens_drop_progressive_deg": (Band(low=0, high=30), "°"),
    "lens_drop_bifocal_deg": (Band(low=0, high=30), "°"),
    "most_tilt": (Band(low=0, high=40), "°"),
    "stand_depth": (Band(low=0, high=400), "mm"),
}
"""What a policy may be set to. Source: house-joint-bands; past these the model means nothing."""


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

    def __post_init__(self) -> None:
        """Raises ValueOutOfRange for a number outside :data:`POLICY_RANGES`."""
        for name, (band, unit) in POLICY_RANGES.items():
            value = getattr(self, name)
            if not band.low <= value <= band.high:
                raise ValueOutOfRange(
                    field=name,
                    value=f"{value:g}",
                    low=band.low,
                    high=band.high,
                    unit=unit,
                    message=f"{name}: {value:g} is outside {band.low:g} to {band.high:g} {unit}",
                )
