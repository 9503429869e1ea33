"""Where each screen stands: bearing, neck turn, seam."""

from __future__ import annotations

from dataclasses import dataclass
from math import atan, degrees

from ..errors import MissingInput
from ..language import msg
from ..workstation import ScreenPlace, ScreenUse, SideScreen
from .case import Case

EYES_TURN_DEG = 15.0
"""What the eyes turn before the neck has to. Source: house-bearing."""
FRAMES_MM = 30.0
"""What a hand sets by eye; heights that count as the same; two frames between two pictures.
Source: house-bearing."""


@dataclass(frozen=True, kw_only=True)
class Placed:
    """One screen from above: bearing and turn-in, and the neck's rotation to it; degrees."""

    id: str
    bearing: float
    neck: float
    seam: bool = False

    @property
    def turn_in(self) -> float:
        """How far it is turned to face the client, degrees."""
        return abs(self.bearing)


def half_angle(width: float | None, distance: float) -> float:
    """Half the angle a picture covers, degrees; raises MissingInput where its width is unknown."""
    if width is None:
        raise MissingInput("screen_size", msg("The size of the screen is not recorded."))
    return degrees(atan(width / 2 / distance))


def neck_turn(bearing: float) -> float:
    """What is left for the neck after the eyes' share, degrees.

    >>> neck_turn(-40), neck_turn(10)
    (25.0, 0.0)
    """
    return max(0.0, abs(bearing) - EYES_TURN_DEG)


def at_the_seam(case: Case) -> bool:
    """Whether the main screen and the next one meet on the midline: by use, and by policy."""
    first = next(
        (
            side_screen
            for side_screen in case.details.side_screens
            if side_screen.place == ScreenPlace.BESIDE
        ),
        None,
    )
    return (
        first is not None and first.use == ScreenUse.EQUAL and case.policy.two_screens != "one_main"
    )


def _side(case: Case, screen: SideScreen, index: int) -> float:
    """Which side a screen stands on: where it was found, else the first left, the next right."""
    value = case.found_seated.get(f"{screen.id}_bearing")
    if value:
        return 1.0 if value > 0 else -1.0
    return -1.0 if index == 0 else 1.0


def place_screens(case: Case, distance: float) -> tuple[Placed, ...]:
    """Where every screen belongs, the main one first.

    Raises
    ------
    MissingInput
        If the width of one of them is not recorded.

    """
    others = case.details.side_screens
    main = case.workstation.screen.width
    beside = [other for other in others if other.place == ScreenPlace.BESIDE]
    seam = at_the_seam(case)
    ahead = 0.0
    if seam:
        ahead = -_side(case, beside[0], 0) * half_angle(main, distance)
    placed = [Placed(id="screen", bearing=ahead, neck=neck_turn(ahead), seam=seam)]
    for index, screen in enumerate(others):
        if screen.place == ScreenPlace.ABOVE:
            placed.append(Placed(id=screen.id, bearing=ahead, neck=neck_turn(ahead)))
            continue
        at_seam, side = seam and screen is beside[0], _side(case, screen, index)
        own = half_angle(screen.width, distance)
        bearing = side * own
        if not at_seam:
            # the one that lies between: whole where the seam is straight ahead, else half the main one
            between = beside[0].width if seam and side * ahead <= 0 else main
            taken = half_angle(between, distance)
            bearing = side * ((2 * taken if seam else taken) + own)
        placed.append(Placed(id=screen.id, bearing=bearing, neck=neck_turn(bearing), seam=at_seam))
    return tuple(placed)
