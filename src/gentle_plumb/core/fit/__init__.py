"""Targets from a body, and what real equipment makes of them."""

from ..policy import JOINT_BANDS, Band, Policy
from .case import Case, Lens, hung_on_wall, with_declared
from .chair_rows import as_it_will_lean, finger, seat_depth_row
from .costs import UNREACHABLE_DEG, elbow_over, gaze_over, legs_at
from .distance import along_the_floor, distance_terms
from .fit import AimedSettings, aimed_settings, fit
from .frame import (
    Frame,
    elbow_terms,
    eye_terms,
    legs_terms,
    reach,
    standing_elbow_terms,
    standing_eye_terms,
)
from .given import Given, GivenFit, fit_given
from .hand_rows import keys_terms
from .joints import Joint, joints_of
from .laptop import laptop_turns
from .model import Lengths, armrest_need, target_distance
from .moves import settings_of
from .notes import kept_from_desk, notes_in, standing_reason
from .order import NEEDED_ROWS, by_eye, working_order
from .pair import stands_too
from .person import hip_band, pieces_within_limits, within_limits
from .pointer_rows import mouse_over
from .remeasurement import RemeasureSuggestion, dimensions_needed, suggest_remeasurement
from .result import (
    NO_LIMIT,
    RANGE_ENDS,
    Cost,
    FitResult,
    FitRow,
    Limit,
    Move,
    Posture,
    PostureFit,
    Status,
)
from .rows import SAME_MM, TAPE_MM
from .screen_rows import eye_height_terms
from .screen_rules import gaze_by_rule, top_band
from .search import forget, search
from .search_model import SEAT_LATTICE, SURFACE_LATTICE, SearchModel, Solution, hold
from .seat_rows import highest_seat
from .terms import Term, terms_parts, terms_text, total
from .untold import DECIDING, untold_joints
from .wording import limit_text
from .zones import NEAR_MM, zones_of

__all__ = [
    "DECIDING",
    "JOINT_BANDS",
    "NEAR_MM",
    "NEEDED_ROWS",
    "NO_LIMIT",
    "RANGE_ENDS",
    "SAME_MM",
    "SEAT_LATTICE",
    "SURFACE_LATTICE",
    "TAPE_MM",
    "UNREACHABLE_DEG",
    "AimedSettings",
    "Band",
    "Case",
    "Cost",
    "FitResult",
    "FitRow",
    "Frame",
    "Given",
    "GivenFit",
    "Joint",
    "Lengths",
    "Lens",
    "Limit",
    "Move",
    "Policy",
    "Posture",
    "PostureFit",
    "RemeasureSuggestion",
    "SearchModel",
    "Solution",
    "Status",
    "Term",
    "aimed_settings",
    "along_the_floor",
    "armrest_need",
    "as_it_will_lean",
    "by_eye",
    "dimensions_needed",
    "distance_terms",
    "elbow_over",
    "elbow_terms",
    "eye_height_terms",
    "eye_terms",
    "finger",
    "fit",
    "fit_given",
    "forget",
    "gaze_by_rule",
    "gaze_over",
    "highest_seat",
    "hip_band",
    "hold",
    "hung_on_wall",
    "joints_of",
    "kept_from_desk",
    "keys_terms",
    "laptop_turns",
    "legs_at",
    "legs_terms",
    "limit_text",
    "mouse_over",
    "notes_in",
    "pieces_within_limits",
    "reach",
    "search",
    "seat_depth_row",
    "settings_of",
    "standing_elbow_terms",
    "standing_eye_terms",
    "standing_reason",
    "stands_too",
    "suggest_remeasurement",
    "target_distance",
    "terms_parts",
    "terms_text",
    "top_band",
    "total",
    "untold_joints",
    "with_declared",
    "within_limits",
    "working_order",
    "zones_of",
]
