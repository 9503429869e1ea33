"""The body chain: from settings to joints, angles and coordinates."""

from .chain import (
    EYE_BEFORE_SHOULDER_MM,
    FREE_FOREARM_TURN_DEG,
    SHOULDER_FROM_BACKREST_MM,
    abduction_deg,
    belly_front_x,
    elbow_above_seat,
    elbow_angle_deg,
    eye_above_seat,
    gaze_deg,
    hip_above_seat,
    keys_height,
    keys_x,
    reach_to_keys,
    seat_for_legs,
    shoulder_x,
    thigh_slope_deg,
    trunk_drop,
)
