"""From the record of a visit to the case it makes, and what is asked about it."""

from .at_place import furthest_step, places_of, values_at
from .body import HOUSE, Measuring, body_from, readings_of, resolved_of, settled
from .case import case_from, chosen_policies, overrules, selected_additions, settings_left
from .conditions import conditions_of, limits_of
from .decider import Decider, decider_of
from .doubts import Doubt, doubts, spoken_date
from .held_back import held_back
from .look import PhotoFile, SeenHabit, display_offset, habits_seen, hours_at_desk, photos_from
from .progress import StepProgress, progress
from .red_flags import RaisedRedFlag, raised_red_flags, unasked_red_flags
from .standing import CONDITIONS, StandingConditions, standing_conditions
from .working_day import WorkingDay, working_day
from .workstation import levers_of
from .worse import got_worse
