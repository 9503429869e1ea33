"""The catalogue: every dimension with its landmarks, in the order of measuring.

Seated from the floor up, then lengths, depths and breadths; then everything standing: the client
changes posture once. Identifiers and landmarks follow ISO 7250-1 (source ``iso-7250-1``);
``lumbar_height_sitting`` is not in it. Means and standard deviations are the published estimates
for British adults of 19 to 65 (``bodyspace``); correlations with stature are house values
(``house-correlation``), as are the limits for two readings (``house-repeat``) and what may change
between two visits (``house-change``). ``low_mm`` and ``high_mm`` are what a field accepts: about
seven standard deviations around the means, so that nobody is refused.
"""

from __future__ import annotations

from collections.abc import Iterable

from ..errors import UnknownName
from .dimensions import Dimension, Sex, Spread


def _both(
    male_mean: float, male_sd: float, female_mean: float, female_sd: float
) -> dict[Sex, Spread]:
    """Means and standard deviations of men and women, mm."""
    return {
        "male": Spread(mean_mm=male_mean, sd_mm=male_sd),
        "female": Spread(mean_mm=female_mean, sd_mm=female_sd),
    }


# fmt: off
CATALOGUE = (
    Dimension(
        id="popliteal_height", label="Popliteal height", iso_name="lower leg length (popliteal height)",
        how="Floor to the crease behind the knee, lower leg vertical, barefoot.",
        posture="seated", view="side", instrument="tape",
        start="Floor beside the heel", end="Crease behind the knee",
        mistakes=("Heel raised or lower leg not vertical.", "Shoes on and heel height not recorded."),
        used_for="seat, footrest", needed=True, from_floor=True, two_sided=True,
        stats=_both(440, 29, 400, 27), r_stature=0.8, repeat_limit_mm=8, change_mm=6,
        low_mm=190, high_mm=650,
    ),
    Dimension(
        id="knee_height", label="Knee height", iso_name="knee height",
        how="Floor to the top of the knee.",
        posture="seated", view="side", instrument="tape",
        start="Floor", end="Upper surface of the knee",
        mistakes=("Heel lifted.", "Tape over the thigh instead of the knee."),
        used_for="plausibility", needed=False, from_floor=True, two_sided=True,
        stats=_both(545, 32, 500, 27), r_stature=0.86, repeat_limit_mm=8, change_mm=6,
        low_mm=270, high_mm=770,
    ),
    Dimension(
        id="thigh_clearance", label="Thigh clearance", iso_name="thigh clearance",
        how="Seat to the highest point of the thigh.",
        posture="seated", view="side", instrument="tape",
        start="Seat surface", end="Highest point of the thigh",
        mistakes=("Tape compressing the thigh.", "Heel raised, lifting the thigh."),
        used_for="room under the desk", needed=True, from_floor=False, two_sided=False,
        stats=_both(160, 15, 155, 17), r_stature=0.27, repeat_limit_mm=8, change_mm=25,
        low_mm=50, high_mm=280,
    ),
    Dimension(
        id="elbow_height_sitting", label="Elbow height, seated", iso_name="elbow height, sitting",
        how="Seat to the underside of the elbow, upper arm vertical, forearm horizontal.",
        posture="seated", view="side", instrument="tape",
        start="Seat surface", end="Underside of the elbow",
        mistakes=("Shoulder raised to make room for the tape.", "Trunk leaning towards the tape."),
        used_for="desk, armrest", needed=True, from_floor=False, two_sided=True,
        stats=_both(245, 31, 235, 29), r_stature=0.22, repeat_limit_mm=10, change_mm=20,
        low_mm=80, high_mm=470,
    ),
    Dimension(
        id="lumbar_height_sitting", label="Lumbar height, seated", iso_name="",
        how="Seat to the deepest point of the lumbar curve, at or just above belt level.",
        posture="seated", view="behind", instrument="tape",
        start="Seat surface", end="Deepest point of the small of the back",
        mistakes=("Measured to the belt instead of the lumbar curve.", "Client sitting up straighter than usual."),
        used_for="lumbar pad", needed=True, from_floor=False, two_sided=False,
        stats={}, r_stature=0, repeat_limit_mm=10, change_mm=20,
        low_mm=80, high_mm=350,
    ),
    Dimension(
        id="shoulder_height_sitting", label="Shoulder height, seated", iso_name="shoulder height, sitting",
        how="Seat to the acromion (bony tip of the shoulder).",
        posture="seated", view="side", instrument="tape",
        start="Seat surface", end="Acromion (bony tip of the shoulder)",
        mistakes=("Shoulder shrugged.", "Measured to the muscle instead of the bone."),
        used_for="recline, reach", needed=True, from_floor=False, two_sided=True,
        stats=_both(595, 32, 555, 31), r_stature=0.62, repeat_limit_mm=12, change_mm=20,
        low_mm=330, high_mm=820,
    ),
    Dimension(
        id="eye_height_sitting", label="Eye height, seated", iso_name="eye height, sitting",
        how="Seat to the outer corner of the eye, looking level.",
        posture="seated", view="side", instrument="tape",
        start="Seat surface", end="Outer corner of the eye",
        mistakes=("Chin lifted or tucked.", "Client looks at the tape instead of ahead."),
        used_for="screen", needed=True, from_floor=False, two_sided=False,
        stats=_both(790, 35, 740, 33), r_stature=0.74, repeat_limit_mm=12, change_mm=25,
        low_mm=490, high_mm=1040,
    ),
    Dimension(
        id="sitting_height", label="Sitting height", iso_name="sitting height (erect)",
        how="Seat to the top of the head, erect.",
        posture="seated", view="side", instrument="rod",
        start="Seat surface", end="Top of the head",
        mistakes=("Not sitting erect.", "Cushion compresses during the measurement."),
        used_for="plausibility", needed=False, from_floor=False, two_sided=False,
        stats=_both(910, 36, 850, 35), r_stature=0.78, repeat_limit_mm=10, change_mm=20,
        low_mm=590, high_mm=1170,
    ),
    Dimension(
        id="buttock_popliteal_length", label="Buttock-popliteal length", iso_name="buttock-popliteal length (seat depth)",
        how="Back of the buttocks to the crease behind the knee.",
        posture="seated", view="side", instrument="tape",
        start="Rearmost point of the buttocks", end="Crease behind the knee",
        mistakes=("Buttocks not right back.", "Tape pressed into the calf."),
        used_for="seat depth", needed=True, from_floor=False, two_sided=True,
        stats=_both(495, 32, 480, 30), r_stature=0.61, repeat_limit_mm=10, change_mm=6,
        low_mm=250, high_mm=720,
    ),
    Dimension(
        id="buttock_knee_length", label="Buttock-knee length", iso_name="buttock-knee length",
        how="Back of the buttocks to the front of the knee.",
        posture="seated", view="side", instrument="tape",
        start="Rearmost point of the buttocks", end="Foremost point of the knee",
        mistakes=("Buttocks not right back.", "Tape not level."),
        used_for="leg room", needed=False, from_floor=False, two_sided=True,
        stats=_both(595, 31, 570, 30), r_stature=0.74, repeat_limit_mm=10, change_mm=6,
        low_mm=350, high_mm=820,
    ),
    Dimension(
        id="abdominal_depth_sitting", label="Abdominal depth", iso_name="abdominal depth, sitting",
        how="Backrest to the front of the belly, seated.",
        posture="seated", view="side", instrument="calliper",
        start="Backrest plane", end="Foremost point of the belly",
        mistakes=("Abdomen pulled in.", "Back not against the backrest."),
        used_for="desk edge", needed=False, from_floor=False, two_sided=False,
        stats=_both(270, 32, 255, 30), r_stature=0.1, repeat_limit_mm=12, change_mm=40,
        low_mm=80, high_mm=500,
    ),
    Dimension(
        id="hip_breadth_sitting", label="Hip breadth", iso_name="hip breadth, sitting",
        how="Across the hips, seated.",
        posture="seated", view="behind", instrument="calliper",
        start="Left hip, outermost", end="Right hip, outermost",
        mistakes=("Pocket contents included.", "Knees pressed together or fallen apart."),
        used_for="seat width", needed=False, from_floor=False, two_sided=False,
        stats=_both(360, 29, 370, 38), r_stature=0.26, repeat_limit_mm=10, change_mm=30,
        low_mm=120, high_mm=640,
    ),
    Dimension(
        id="shoulder_elbow_length", label="Shoulder-elbow length", iso_name="shoulder-elbow length",
        how="Acromion to the underside of the elbow.",
        posture="seated", view="side", instrument="tape",
        start="Acromion (bony tip of the shoulder)", end="Underside of the elbow",
        mistakes=("Upper arm not vertical.", "Measured from the shoulder seam."),
        used_for="mouse, reach", needed=True, from_floor=False, two_sided=True,
        stats=_both(365, 20, 330, 17), r_stature=0.79, repeat_limit_mm=8, change_mm=6,
        low_mm=190, high_mm=510,
    ),
    Dimension(
        id="elbow_fingertip_length", label="Elbow-fingertip length", iso_name="forearm-fingertip length",
        how="Back of the elbow to fingertip, forearm level.",
        posture="seated", view="side", instrument="tape",
        start="Back of the elbow", end="Tip of the middle finger",
        mistakes=("Fingers curled.", "Taken from the crook of the elbow."),
        used_for="keyboard, mouse", needed=True, from_floor=False, two_sided=True,
        stats=_both(475, 21, 430, 19), r_stature=0.8, repeat_limit_mm=8, change_mm=6,
        low_mm=280, high_mm=630,
    ),
    Dimension(
        id="upper_limb_length", label="Arm length", iso_name="upper limb length (shoulder to fingertip)",
        how="Acromion to fingertip, arm straight forward.",
        posture="seated", view="side", instrument="tape",
        start="Acromion (bony tip of the shoulder)", end="Tip of the middle finger",
        mistakes=("Shoulder pushed forward.", "Elbow not quite straight."),
        used_for="screen distance", needed=True, from_floor=False, two_sided=True,
        stats=_both(780, 36, 705, 32), r_stature=0.82, repeat_limit_mm=12, change_mm=6,
        low_mm=450, high_mm=1040,
    ),
    Dimension(
        id="hand_length", label="Hand length", iso_name="hand length",
        how="Wrist crease to the tip of the middle finger.",
        posture="seated", view="above", instrument="tape",
        start="Wrist crease", end="Tip of the middle finger",
        mistakes=("Measured from the watch strap.", "Fingers spread or bent."),
        used_for="reach to the keys", needed=False, from_floor=False, two_sided=True,
        stats=_both(190, 10, 175, 9), r_stature=0.65, repeat_limit_mm=4, change_mm=6,
        low_mm=100, high_mm=270,
    ),
    Dimension(
        id="hand_breadth", label="Hand breadth", iso_name="hand breadth at metacarpals",
        how="Across the knuckles, without the thumb.",
        posture="seated", view="above", instrument="tape",
        start="Knuckle of the index finger", end="Knuckle of the little finger",
        mistakes=("Thumb counted in.", "Fingers spread."),
        used_for="finger widths", needed=False, from_floor=False, two_sided=True,
        stats=_both(85, 5, 75, 4), r_stature=0.42, repeat_limit_mm=3, change_mm=6,
        low_mm=40, high_mm=130,
    ),
    Dimension(
        id="shoulder_breadth_biacromial", label="Biacromial breadth", iso_name="shoulder (biacromial) breadth",
        how="Between the two shoulder points (acromia).",
        posture="seated", view="behind", instrument="calliper",
        start="Left acromion", end="Right acromion",
        mistakes=("Shoulders drawn back.", "Tape following the back instead of straight across."),
        used_for="mouse", needed=True, from_floor=False, two_sided=False,
        stats=_both(400, 20, 355, 18), r_stature=0.47, repeat_limit_mm=10, change_mm=6,
        low_mm=210, high_mm=550,
    ),
    Dimension(
        id="shoulder_breadth_bideltoid", label="Bideltoid breadth", iso_name="shoulder (bideltoid) breadth",
        how="Across the widest part of the upper arms.",
        posture="seated", view="above", instrument="calliper",
        start="Left upper arm, outermost", end="Right upper arm, outermost",
        mistakes=("Arms held away from the trunk.", "Thick sleeves included."),
        used_for="keyboard width, armrest gap", needed=True, from_floor=False, two_sided=False,
        stats=_both(465, 28, 395, 24), r_stature=0.34, repeat_limit_mm=10, change_mm=25,
        low_mm=190, high_mm=670,
    ),
    Dimension(
        id="stature", label="Stature", iso_name="stature (body height)",
        how="Floor to the top of the head, barefoot.",
        posture="standing", view="side", instrument="rod",
        start="Floor", end="Top of the head",
        mistakes=("Height rod not vertical.", "Hair or shoes included."),
        used_for="estimates and checks", needed=True, from_floor=True, two_sided=False,
        stats=_both(1740, 70, 1610, 62), r_stature=1, repeat_limit_mm=10, change_mm=10,
        low_mm=1120, high_mm=2240,
    ),
    Dimension(
        id="eye_height_standing", label="Eye height, standing", iso_name="eye height",
        how="Floor to the outer corner of the eye, barefoot.",
        posture="standing", view="side", instrument="rod",
        start="Floor", end="Outer corner of the eye",
        mistakes=("Chin lifted or tucked.", "Client stooping to see the rod."),
        used_for="standing screen", needed=True, from_floor=True, two_sided=False,
        stats=_both(1630, 69, 1505, 61), r_stature=0.98, repeat_limit_mm=12, change_mm=15,
        low_mm=1020, high_mm=2120,
    ),
    Dimension(
        id="shoulder_height_standing", label="Shoulder height, standing", iso_name="shoulder height",
        how="Floor to the acromion.",
        posture="standing", view="side", instrument="rod",
        start="Floor", end="Acromion (bony tip of the shoulder)",
        mistakes=("Shoulder shrugged.", "Weight on one leg."),
        used_for="drawing", needed=False, from_floor=True, two_sided=True,
        stats=_both(1425, 66, 1310, 58), r_stature=0.96, repeat_limit_mm=12, change_mm=6,
        low_mm=840, high_mm=1890,
    ),
    Dimension(
        id="elbow_height_standing", label="Elbow height, standing", iso_name="elbow height",
        how="Floor to the underside of the elbow, barefoot.",
        posture="standing", view="side", instrument="rod",
        start="Floor", end="Underside of the elbow",
        mistakes=("Shoulder lifted.", "Weight on one leg."),
        used_for="standing desk", needed=True, from_floor=True, two_sided=True,
        stats=_both(1090, 52, 1005, 46), r_stature=0.91, repeat_limit_mm=10, change_mm=6,
        low_mm=640, high_mm=1460,
    ),
    Dimension(
        id="foot_length", label="Foot length", iso_name="foot length",
        how="Heel to the longest toe.",
        posture="standing", view="above", instrument="tape",
        start="Back of the heel", end="Tip of the longest toe",
        mistakes=("Weight on the other foot.", "Taken in the shoe."),
        used_for="drawing", needed=False, from_floor=False, two_sided=True,
        stats=_both(265, 14, 235, 12), r_stature=0.7, repeat_limit_mm=5, change_mm=6,
        low_mm=130, high_mm=370,
    ),
)
# fmt: on

DIMENSIONS: dict[str, Dimension] = {entry.id: entry for entry in CATALOGUE}
"""Every dimension by identifier, in the order of measuring."""

NEEDED: tuple[str, ...] = tuple(entry.id for entry in CATALOGUE if entry.needed)
"""What a full fit can need, in the order of measuring."""

TWINS: dict[str, str] = {
    "elbow_height_sitting": "elbow_height_standing",
    "eye_height_sitting": "eye_height_standing",
    "shoulder_height_sitting": "shoulder_height_standing",
    "sitting_height": "stature",
}
"""The same landmark seated and standing: what gets typed into the other one's field."""


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


def in_order(names: Iterable[str]) -> tuple[str, ...]:
    """The named dimensions in the order of measuring, each once; unknown ones raise UnknownName."""
    wanted = {dimension(name).id for name in names}
    return tuple(name for name in DIMENSIONS if name in wanted)
