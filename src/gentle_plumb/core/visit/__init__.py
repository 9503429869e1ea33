"""From the record of a visit to the case it makes, and what is asked about it."""

from .at_place import VisitPlace, furthest_step, places_of, values_at
from .body import HOUSE, Measuring, body_from, heel_of, readings_of, resolved_of, settled
from .case import case_from, chosen_policies, overrules, settings_left, things_taken
from .conditions import conditions_of, limits_of
from .decider import Decider, decider_of
from .doubts import Doubt, Fix, doubts, spoken_date
from .held_back import held_back
from .levers import levers_of
from .look import PhotoFile, SeenHabit, display_offset, habits_seen, hours_at_desk, photos_from
from .progress import StepProgress, progress
from .red_flags import RaisedRedFlag, raised_red_flags, unasked_red_flags
from .standing import CONDITIONS, StandingConditions, standing_conditions
from .working_day import WorkingDay, working_day
from .workstation import workstation_from
from .worse import Worse, got_worse

__all__ = [
    "CONDITIONS",
    "HOUSE",
    "Decider",
    "Doubt",
    "Fix",
    "Measuring",
    "PhotoFile",
    "RaisedRedFlag",
    "SeenHabit",
    "StandingConditions",
    "StepProgress",
    "VisitPlace",
    "WorkingDay",
    "Worse",
    "body_from",
    "case_from",
    "chosen_policies",
    "conditions_of",
    "decider_of",
    "display_offset",
    "doubts",
    "furthest_step",
    "got_worse",
    "habits_seen",
    "heel_of",
    "held_back",
    "hours_at_desk",
    "levers_of",
    "limits_of",
    "overrules",
    "photos_from",
    "places_of",
    "progress",
    "raised_red_flags",
    "readings_of",
    "resolved_of",
    "settings_left",
    "settled",
    "spoken_date",
    "standing_conditions",
    "things_taken",
    "unasked_red_flags",
    "values_at",
    "working_day",
    "workstation_from",
]
