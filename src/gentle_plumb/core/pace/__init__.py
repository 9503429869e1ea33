"""A working day: rhythms, tasks with their postures, what they come to."""

from .day import LONGEST_DAY_MIN, DayRequest, lay_day
from .rhythms import OWN, RHYTHMS, Pattern, Posture, Rhythm, own_rhythm, proposed_rhythm
from .spell import Fixed, Spell, clock
from .tasks import AT_A_COUNTER, ON_THE_PHONE, USUAL, Elsewhere, TaskDay, TaskPosture, task_day
from .totals import (
    EYE_EVERY_MIN,
    EYE_FAR_M,
    EYE_S,
    MICRO_S,
    DayTotals,
    RampWeek,
    eye_breaks,
    lay_week,
    micro_breaks,
    ramp_weeks,
    totals_of,
)
