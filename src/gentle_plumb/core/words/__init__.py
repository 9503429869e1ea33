"""Words made last, from numbers, states and directions: one catalogue, one formatter."""

from .client_numbers import CLIENT_NUMBERS, NUMBER_WORDS
from .invalid import Misplaced, invalid_at, invalid_text
from .messages import MESSAGES, say
from .numbers import (
    bare_amount,
    bare_degrees,
    say_addition,
    say_amount,
    say_change,
    say_degrees,
    say_joint,
    say_length,
    say_minutes,
    say_percent,
    unit_of,
    with_unit,
)
from .postures import POSTURES, say_posture
