"""The body dimensions: what they are called, how they are taken, how they spread among adults.

Identifiers and landmarks follow ISO 7250-1 (source ``iso-7250-1``); ``lumbar_height_sitting``
is not in it. Means and standard deviations are the published estimates for British adults of
19 to 65 (``bodyspace``); correlations with stature are house values (``house-correlation``),
as are the limits for two readings (``house-repeat``). ``low_mm`` and ``high_mm`` are what a
field accepts: seven standard deviations around the means, so that nobody is refused.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..errors import UnknownName

Sex = Literal["female", "male"]


@dataclass(frozen=True, kw_only=True)
class Spread:
    """Mean and standard deviation of one dimension in one population, mm."""

    mean_mm: float
    sd_mm: float


@dataclass(frozen=True, kw_only=True)
class Dimension:
    """One body dimension. Lengths in mm; ``r_stature`` is a correlation, 0 to 1."""

    id: str
    label: str
    iso_name: str
    how: str
    posture: Literal["seated", "standing"]
    used_for: str
    needed: bool
    stats: dict[Sex, Spread]
    r_stature: float
    repeat_limit_mm: float
    low_mm: float
    high_mm: float

    def spread(self, sex: Sex | None) -> Spread | None:
        """The population's spread; men and women mixed half and half where sex is not given.

        The mixed variance is the mean of the two variances plus a quarter of the squared
        difference of the two means.
        """
        if not self.stats:
            return None
        if sex is not None:
            return self.stats[sex]
        man, woman = self.stats["male"], self.stats["female"]
        variance = (man.sd_mm**2 + woman.sd_mm**2) / 2 + (man.mean_mm - woman.mean_mm) ** 2 / 4
        return Spread(mean_mm=(man.mean_mm + woman.mean_mm) / 2, sd_mm=variance**0.5)


def _both(
    male_mean: float, male_sd: float, female_mean: float, female_sd: float
) -> dict[Sex, Spread]:
    """Means and standard deviations of men and women, mm."""
    return {
        "male": Spread(mean_mm=male_mean, sd_mm=male_sd),
        "female": Spread(mean_mm=female_mean, sd_mm=female_sd),
    }


# fmt: off
_TABLE = (
    Dimension(
        id="popliteal_height", label="Lower leg", iso_name="lower leg length (popliteal height)",
        how="Floor to the crease behind the knee, shank upright, barefoot.",
        posture="seated", used_for="seat, footrest", needed=True,
        stats=_both(440, 29, 400, 27), r_stature=0.8, repeat_limit_mm=8,
        low_mm=190, high_mm=650,
    ),
    Dimension(
        id="buttock_popliteal_length", label="Thigh length", iso_name="buttock-popliteal length (seat depth)",
        how="Back of the buttocks to the crease behind the knee.",
        posture="seated", used_for="seat depth", needed=True,
        stats=_both(495, 32, 480, 30), r_stature=0.61, repeat_limit_mm=10,
        low_mm=250, high_mm=720,
    ),
    Dimension(
        id="thigh_clearance", label="Thigh thickness", iso_name="thigh clearance",
        how="Seat to the top of the thigh at its thickest.",
        posture="seated", used_for="room under the desk", needed=True,
        stats=_both(160, 15, 155, 17), r_stature=0.27, repeat_limit_mm=8,
        low_mm=50, high_mm=280,
    ),
    Dimension(
        id="elbow_height_sitting", label="Elbow, seated", iso_name="elbow height, sitting",
        how="Seat to the underside of the elbow, upper arm hanging, forearm level.",
        posture="seated", used_for="desk, armrest", needed=True,
        stats=_both(245, 31, 235, 29), r_stature=0.22, repeat_limit_mm=10,
        low_mm=80, high_mm=470,
    ),
    Dimension(
        id="shoulder_height_sitting", label="Shoulder, seated", iso_name="shoulder height, sitting",
        how="Seat to the outer point of the shoulder blade (acromion).",
        posture="seated", used_for="recline, reach", needed=True,
        stats=_both(595, 32, 555, 31), r_stature=0.62, repeat_limit_mm=12,
        low_mm=330, high_mm=820,
    ),
    Dimension(
        id="eye_height_sitting", label="Eye, seated", iso_name="eye height, sitting",
        how="Seat to the outer corner of the eye, looking level.",
        posture="seated", used_for="screen", needed=True,
        stats=_both(790, 35, 740, 33), r_stature=0.74, repeat_limit_mm=12,
        low_mm=490, high_mm=1040,
    ),
    Dimension(
        id="lumbar_height_sitting", label="Small of the back", iso_name="",
        how="Seat to the deepest point of the small of the back, about belt line or just above.",
        posture="seated", used_for="lumbar pad", needed=True,
        stats={}, r_stature=0, repeat_limit_mm=10,
        low_mm=80, high_mm=350,
    ),
    Dimension(
        id="upper_limb_length", label="Arm length", iso_name="upper limb length (shoulder to fingertip)",
        how="Acromion to fingertip, arm straight forward.",
        posture="seated", used_for="screen distance", needed=True,
        stats=_both(780, 36, 705, 32), r_stature=0.82, repeat_limit_mm=12,
        low_mm=450, high_mm=1040,
    ),
    Dimension(
        id="elbow_fingertip_length", label="Forearm and hand", iso_name="forearm-fingertip length",
        how="Back of the elbow to fingertip, forearm level.",
        posture="seated", used_for="keyboard, mouse", needed=True,
        stats=_both(475, 21, 430, 19), r_stature=0.8, repeat_limit_mm=8,
        low_mm=280, high_mm=630,
    ),
    Dimension(
        id="shoulder_elbow_length", label="Upper arm", iso_name="shoulder-elbow length",
        how="Acromion to the underside of the elbow.",
        posture="seated", used_for="mouse, reach", needed=True,
        stats=_both(365, 20, 330, 17), r_stature=0.79, repeat_limit_mm=8,
        low_mm=190, high_mm=510,
    ),
    Dimension(
        id="shoulder_breadth_biacromial", label="Shoulder points apart", iso_name="shoulder (biacromial) breadth",
        how="Between the two shoulder points (acromia).",
        posture="seated", used_for="mouse", needed=True,
        stats=_both(400, 20, 355, 18), r_stature=0.47, repeat_limit_mm=10,
        low_mm=210, high_mm=550,
    ),
    Dimension(
        id="shoulder_breadth_bideltoid", label="Shoulder breadth", iso_name="shoulder (bideltoid) breadth",
        how="Across the widest part of the upper arms.",
        posture="seated", used_for="keyboard width, armrest gap", needed=True,
        stats=_both(465, 28, 395, 24), r_stature=0.34, repeat_limit_mm=10,
        low_mm=190, high_mm=670,
    ),
    Dimension(
        id="stature", label="Stature", iso_name="stature (body height)",
        how="Floor to the top of the head, barefoot.",
        posture="standing", used_for="estimates, plausibility", needed=True,
        stats=_both(1740, 70, 1610, 62), r_stature=1, repeat_limit_mm=10,
        low_mm=1120, high_mm=2240,
    ),
    Dimension(
        id="elbow_height_standing", label="Elbow, standing", iso_name="elbow height",
        how="Floor to the underside of the elbow, barefoot.",
        posture="standing", used_for="standing desk", needed=True,
        stats=_both(1090, 52, 1005, 46), r_stature=0.91, repeat_limit_mm=10,
        low_mm=640, high_mm=1460,
    ),
    Dimension(
        id="eye_height_standing", label="Eye, standing", iso_name="eye height",
        how="Floor to the outer corner of the eye, barefoot.",
        posture="standing", used_for="standing screen", needed=True,
        stats=_both(1630, 69, 1505, 61), r_stature=0.98, repeat_limit_mm=12,
        low_mm=1020, high_mm=2120,
    ),
    Dimension(
        id="shoulder_height_standing", label="Shoulder, standing", iso_name="shoulder height",
        how="Floor to the acromion.",
        posture="standing", used_for="drawing", needed=False,
        stats=_both(1425, 66, 1310, 58), r_stature=0.96, repeat_limit_mm=12,
        low_mm=840, high_mm=1890,
    ),
    Dimension(
        id="sitting_height", label="Sitting height", iso_name="sitting height (erect)",
        how="Seat to the top of the head, erect.",
        posture="seated", used_for="plausibility", needed=False,
        stats=_both(910, 36, 850, 35), r_stature=0.78, repeat_limit_mm=10,
        low_mm=590, high_mm=1170,
    ),
    Dimension(
        id="knee_height", label="Knee height", iso_name="knee height",
        how="Floor to the top of the knee.",
        posture="seated", used_for="plausibility", needed=False,
        stats=_both(545, 32, 500, 27), r_stature=0.86, repeat_limit_mm=8,
        low_mm=270, high_mm=770,
    ),
    Dimension(
        id="buttock_knee_length", label="Buttock to knee", iso_name="buttock-knee length",
        how="Back of the buttocks to the front of the knee.",
        posture="seated", used_for="leg room", needed=False,
        stats=_both(595, 31, 570, 30), r_stature=0.74, repeat_limit_mm=10,
        low_mm=350, high_mm=820,
    ),
    Dimension(
        id="hip_breadth_sitting", label="Hip breadth", iso_name="hip breadth, sitting",
        how="Across the hips, seated.",
        posture="seated", used_for="seat width", needed=False,
        stats=_both(360, 29, 370, 38), r_stature=0.26, repeat_limit_mm=10,
        low_mm=120, high_mm=640,
    ),
    Dimension(
        id="abdominal_depth_sitting", label="Belly depth", iso_name="abdominal depth, sitting",
        how="Backrest to the front of the belly, seated.",
        posture="seated", used_for="desk edge", needed=False,
        stats=_both(270, 32, 255, 30), r_stature=0.1, repeat_limit_mm=12,
        low_mm=80, high_mm=500,
    ),
    Dimension(
        id="hand_length", label="Hand length", iso_name="hand length",
        how="Wrist crease to the tip of the middle finger.",
        posture="seated", used_for="reach to the keys", needed=False,
        stats=_both(190, 10, 175, 9), r_stature=0.65, repeat_limit_mm=4,
        low_mm=100, high_mm=270,
    ),
    Dimension(
        id="hand_breadth", label="Hand breadth", iso_name="hand breadth at metacarpals",
        how="Across the knuckles, without the thumb.",
        posture="seated", used_for="finger widths", needed=False,
        stats=_both(85, 5, 75, 4), r_stature=0.42, repeat_limit_mm=3,
        low_mm=40, high_mm=130,
    ),
    Dimension(
        id="foot_length", label="Foot length", iso_name="foot length",
        how="Heel to the longest toe.",
        posture="standing", used_for="drawing", needed=False,
        stats=_both(265, 14, 235, 12), r_stature=0.7, repeat_limit_mm=5,
        low_mm=130, high_mm=370,
    ),
)
# fmt: on

DIMENSIONS: dict[str, Dimension] = {entry.id: entry for entry in _TABLE}

NEEDED: tuple[str, ...] = tuple(entry.id for entry in _TABLE if entry.needed)
"""What a full fit needs, in the order one takes it: seated from the floor up, then standing."""


def dimension(name: str) -> Dimension:
    """Look a dimension up.

    Raises
    ------
    UnknownName
        If there is none of this name.

    """
    found = DIMENSIONS.get(name)
    if found is None:
        raise UnknownName(field=name, value=name, message=f"There is no body dimension “{name}”.")
    return found
