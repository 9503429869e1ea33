"""Movements for the breaks of a day: a library, and a choice of at most five for one client."""

from .choosing import (
    MOST,
    ChosenMovement,
    LeftOut,
    Need,
    Programme,
    choose_movements,
    place_movements,
)
from .library import LIBRARY
from .movement import Limb, Movement, Posed
