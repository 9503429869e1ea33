"""Dimensions taken standing."""

from __future__ import annotations

from .dimensions import Dimension, of_both

# fmt: off
STANDING_DIMENSIONS = (
    Dimension(
        id="stature", label="Stature", iso_name="stature (body height)",
        how="Floor to the top of the head, barefoot.",
        posture="standing", view="side", instrument="rod",
        start="Floor", end="Top of the head",
        mistakes=("Height rod not vertical.", "Hair or shoes included."),
        used_for="estimates and checks", needed=True, from_floor=True, two_sided=False,
        stats=of_both(1740, 70, 1610, 62), r_stature=1, repeat_limit_mm=10, change_mm=10,
        low_mm=1120, high_mm=2240,
    ),
    Dimension(
        id="eye_height_standing", label="Eye height, standing", iso_name="eye height",
        how="Floor to the outer corner of the eye, barefoot.",
        posture="standing", view="side", instrument="rod",
        start="Floor", end="Outer corner of the eye",
        mistakes=("Chin lifted or tucked.", "Client stooping to see the rod."),
        used_for="standing screen", needed=True, from_floor=True, two_sided=False,
        stats=of_both(1630, 69, 1505, 61), r_stature=0.98, repeat_limit_mm=12, change_mm=15,
        low_mm=1020, high_mm=2120,
    ),
    Dimension(
        id="shoulder_height_standing", label="Shoulder height, standing", iso_name="shoulder height",
        how="Floor to the acromion.",
        posture="standing", view="side", instrument="rod",
        start="Floor", end="Acromion (bony tip of the shoulder)",
        mistakes=("Shoulder shrugged.", "Weight on one leg."),
        used_for="drawing", needed=False, from_floor=True, two_sided=True,
        stats=of_both(1425, 66, 1310, 58), r_stature=0.96, repeat_limit_mm=12, change_mm=6,
        low_mm=840, high_mm=1890,
    ),
    Dimension(
        id="elbow_height_standing", label="Elbow height, standing", iso_name="elbow height",
        how="Floor to the underside of the elbow, barefoot.",
        posture="standing", view="side", instrument="rod",
        start="Floor", end="Underside of the elbow",
        mistakes=("Shoulder lifted.", "Weight on one leg."),
        used_for="standing desk", needed=True, from_floor=True, two_sided=True,
        stats=of_both(1090, 52, 1005, 46), r_stature=0.91, repeat_limit_mm=10, change_mm=6,
        low_mm=640, high_mm=1460,
    ),
    Dimension(
        id="foot_length", label="Foot length", iso_name="foot length",
        how="Heel to the longest toe.",
        posture="standing", view="above", instrument="tape",
        start="Back of the heel", end="Tip of the longest toe",
        mistakes=("Weight on the other foot.", "Taken in the shoe."),
        used_for="drawing", needed=False, from_floor=False, two_sided=True,
        stats=of_both(265, 14, 235, 12), r_stature=0.7, repeat_limit_mm=5, change_mm=6,
        low_mm=130, high_mm=370,
    ),
)
# fmt: on
