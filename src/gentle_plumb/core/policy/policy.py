"""What the practitioner chooses, as numbers and words that the fit reads."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, fields, replace
from typing import Any, Literal

from ..errors import UnknownName, ValueOutOfRange
from ..language import msg, numeral
from .bands import Band

First = Literal["fixed", "feet", "hands"]
ScreenRule = Literal["top_edge", "top_third", "middle_third", "gaze_drop", "eyes_alone"]
DistanceRule = Literal["fingertip", "fist", "near"]

POLICY_RANGES: dict[str, tuple[Band, str]] = {
    "relief": (Band(low=0, high=25), "mm"),
    "thigh_slope": (Band(low=0, high=15), "°"),
    "recline": (Band(low=0, high=45), "°"),
    "elbow_angle": (Band(low=80, high=130), "°"),
    "elbow_low": (Band(low=60, high=130), "°"),
    "elbow_high": (Band(low=80, high=150), "°"),
    "flexion": (Band(low=0, high=20), "°"),
    "slump_eye": (Band(low=0, high=80), "mm"),
    "slump_elbow": (Band(low=0, high=80), "mm"),
    "knee_gap_low": (Band(low=0, high=120), ""),
    "knee_gap_high": (Band(low=0, high=120), ""),
    "thigh_room": (Band(low=0, high=60), "mm"),
    "flat_feet_margin": (Band(low=0, high=30), "mm"),
    "lumbar_offset": (Band(low=-60, high=60), "mm"),
    "armrest_below_elbow": (Band(low=0, high=40), "mm"),
    "set_back": (Band(low=0, high=250), "mm"),
    "mouse_gap": (Band(low=0, high=150), "mm"),
    "screen_top_low": (Band(low=-300, high=0), "mm"),
    "screen_top_high": (Band(low=0, high=300), "mm"),
    "gaze_drop_deg": (Band(low=10, high=20), "°"),
    "least_distance": (Band(low=200, high=1000), "mm"),
    "widest_picture_deg": (Band(low=20, high=120), "°"),
    "tallest_picture_deg": (Band(low=10, high=90), "°"),
    "lowest_gaze_deg": (Band(low=10, high=60), "°"),
    "lens_drop_progressive_deg": (Band(low=0, high=30), "°"),
    "lens_drop_bifocal_deg": (Band(low=0, high=30), "°"),
    "most_tilt": (Band(low=0, high=40), "°"),
    "stand_depth": (Band(low=0, high=400), "mm"),
    "settle_step": (Band(low=10, high=100), "mm"),
    "worth_deg": (Band(low=0, high=10), "°"),
}
"""What a policy may be set to. Source: house-joint-bands; past these the model means nothing."""


@dataclass(frozen=True, kw_only=True)
class Policy:
    """Choices with their defaults; mm and degrees. Sources: the ``house-…`` keys named."""

    first: First = "fixed"  # house-order: the piece that can't move contains the other two
    keep_what_holds: bool = True  # house-order: what is in its band is left as it is
    worth_deg: float = 2.0  # house-order: less than this is worth no addition
    relief: float = 15.0  # house-relief
    thigh_slope: float = 0.0  # house-chain
    recline: float = 10.0  # house-joint-bands: back 100 to 105, supported
    elbow_angle: float = 95.0  # house-joint-bands
    elbow_low: float = 90.0  # house-joint-bands
    elbow_high: float = 110.0  # house-joint-bands
    flexion: float = 0.0  # house-chain
    slump_eye: float = 25.0  # house-slump
    slump_elbow: float = 15.0  # house-slump
    knee_gap_low: float = 2.0  # house-seat-depth
    knee_gap_high: float = 3.0  # house-seat-depth
    knee_gap_unit: Literal["fingers", "mm"] = "fingers"
    thigh_room: float = 20.0  # house-thigh-room
    flat_feet_margin: float = 10.0  # house-relief
    lumbar_offset: float = 0.0  # house-lumbar: just above the belt
    armrest_use: Literal["light", "elbow", "off"] = "light"  # house-armrest
    armrest_below_elbow: float = 10.0  # house-armrest
    set_back: float = 0.0  # house-desk-depth: keyboard at the front edge
    mouse_gap: float = 45.0  # house-mouse
    screen_rule: ScreenRule = "top_edge"  # house-screen
    screen_top_low: float = -50.0  # house-screen
    screen_top_high: float = 0.0  # house-screen
    gaze_drop_deg: float = 15.0  # house-screen
    distance_rule: DistanceRule = "fingertip"  # house-screen
    least_distance: float = 400.0  # house-screen
    widest_picture_deg: float = 60.0  # house-screen
    tallest_picture_deg: float = 30.0  # house-screen
    lowest_gaze_deg: float = 30.0  # house-screen: eyes alone
    two_screens: Literal["by_use", "seam", "one_main"] = "by_use"  # house-bearing
    lens_answer: Literal["lower", "glasses"] = "lower"  # house-lens
    lens_drop_progressive_deg: float = 10.0  # house-lens
    lens_drop_bifocal_deg: float = 15.0  # house-lens
    most_tilt: float = 20.0  # house-screen
    stand_depth: float = 120.0  # house-desk-depth, where the stand's depth is unknown
    settle_step: float = 40.0  # house-screen: one settle-in step
    phone_side: Literal["non_writing", "opposite_mouse"] = "non_writing"  # house-phone
    rhythm: str = ""  # the rhythm proposed; none: 20-8-2 where the desk allows
    neck_rest: Literal["if_it_meets", "off"] = "if_it_meets"  # house-neck-rest
    temporary: Literal["marked", "dated", "never"] = "marked"  # house-temporary

    def __post_init__(self) -> None:
        """Raises ValueOutOfRange for a number outside :data:`POLICY_RANGES`, or a band upside down."""
        for name, (band, unit) in POLICY_RANGES.items():
            value = getattr(self, name)
            if not band.low <= value <= band.high:
                raise ValueOutOfRange(
                    field=name,
                    value=f"{value:g}",
                    low=band.low,
                    high=band.high,
                    unit=unit,
                    message=msg(
                        "{name}: {value} is outside {low} to {high} {unit}",
                        name=name,
                        value=numeral(f"{value:g}"),
                        low=numeral(f"{band.low:g}"),
                        high=numeral(f"{band.high:g}"),
                        unit=unit,
                    ),
                )
        for low, high, unit in (
            ("elbow_low", "elbow_angle", "°"),
            ("elbow_angle", "elbow_high", "°"),
            ("knee_gap_low", "knee_gap_high", self.knee_gap_unit),
        ):
            under, over = getattr(self, low), getattr(self, high)
            if under > over:
                raise ValueOutOfRange(
                    field=low,
                    value=f"{under:g}",
                    high=over,
                    unit=unit,
                    message=msg(
                        "{low}: {under} is above {high} {over} {unit}",
                        low=low,
                        under=numeral(f"{under:g}"),
                        high=high,
                        over=numeral(f"{over:g}"),
                        unit=unit,
                    ),
                )

    @property
    def elbow_band(self) -> Band:
        """The elbow's band, degrees."""
        return Band(low=self.elbow_low, high=self.elbow_high)


def with_values(policy: Policy, values: Mapping[str, float | str | bool]) -> Policy:
    """Return the policy with some of its fields replaced, by name.

    Raises
    ------
    UnknownName
        For a name that is no field of a policy.
    ValueOutOfRange
        For a number outside :data:`POLICY_RANGES`.

    """
    unknown = values.keys() - {field.name for field in fields(Policy)}
    if unknown:
        name = min(unknown)
        raise UnknownName(
            field=name, value=name, message=msg("A policy has no “{name}”.", name=name)
        )
    changes: dict[str, Any] = dict(values)
    return replace(policy, **changes)
