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
from .given import Given, GivenFit, fit_as_set
from .hand_rows import keys_terms
from .joints import Joint, joints_of
from .laptop import laptop_turns
from .model import Lengths, target_distance
from .moves import settings_of
from .notes import notes_in, standing_reason
from .order import NEEDED_ROWS, by_eye, working_order
from .pair import stands_too
from .person import pieces_within_limits, within_limits
from .piece_ranges import armrest_need
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
from .rows import TAPE_MM
from .screen_rows import eye_height_terms
from .screen_rules import gaze_by_rule, top_band
from .search import search, with_picture
from .search_model import (
    SEAT_LATTICE,
    SURFACE_LATTICE,
    USUAL_DISTANCE_MM,
    SearchModel,
    Solution,
    hold,
    without_picture,
)
from .seat_rows import highest_seat
from .terms import Term, terms_parts, terms_text, total
from .untold import DECIDING, untold_joints
from .wording import limit_text
from .zones import NEAR_MM, zones_of
