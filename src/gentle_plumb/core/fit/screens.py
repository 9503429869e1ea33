"""Several screens: bearings, heights and distances, and what is left for the neck to turn.

Seen from above, straight ahead is 0, left negative. A screen that faces the client is turned in by
its own bearing. The eyes turn the first 15 degrees, the neck the rest::

    one main        main at 0, others edge to edge beside it
    seam            both halves meet on the midline, in a shallow V
    above           over the main one, its lower edge on the main one's top
"""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from math import atan, degrees

from ..body import Body
from ..errors import MissingInput
from ..workstation import (
    LAPTOP_PICTURE_HEIGHT_MM,
    LAPTOP_PICTURE_START_MM,
    ScreenKind,
    ScreenPlace,
    ScreenUse,
    SideScreen,
)
from .case import Case
from .result import FitRow
from .rows import about, kept, limit, set_row, target_row
from .screen_rows import DISTANCE_BAND_MM
from .terms import Term

EYES_TURN_DEG = 15.0
"""What the eyes turn before the neck has to. Source: house-bearing."""
BEARING_BAND_DEG = 5.0
HEIGHT_BAND_MM = 30.0
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
        raise MissingInput("screen_size", "The size of the screen is not recorded.")
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
        (one for one in case.details.side_screens if one.place == ScreenPlace.BESIDE), None
    )
    return (
        first is not None and first.use == ScreenUse.EQUAL and case.policy.two_screens != "one_main"
    )


def _side(case: Case, screen: SideScreen, index: int) -> float:
    """Which side a screen stands on: where it was found, else the first left, the next right."""
    found = case.found_seated.get(f"{screen.id}_bearing")
    if found:
        return 1.0 if found > 0 else -1.0
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
    beside = [one for one in others if one.place == ScreenPlace.BESIDE]
    seam = at_the_seam(case)
    ahead = 0.0
    if seam:
        ahead = -_side(case, beside[0], 0) * half_angle(main, distance)
    found = [Placed(id="screen", bearing=ahead, neck=neck_turn(ahead), seam=seam)]
    for index, screen in enumerate(others):
        if screen.place == ScreenPlace.ABOVE:
            found.append(Placed(id=screen.id, bearing=ahead, neck=neck_turn(ahead)))
            continue
        at_seam, side = seam and screen is beside[0], _side(case, screen, index)
        own = half_angle(screen.width, distance)
        bearing = side * own
        if not at_seam:
            on_main = side * ahead > 0 if seam else True
            inner = (
                2 * half_angle(main if on_main else beside[0].width, distance)
                if seam
                else (half_angle(main, distance))
            )
            bearing = side * (inner + own)
        found.append(Placed(id=screen.id, bearing=bearing, neck=neck_turn(bearing), seam=at_seam))
    return tuple(found)


def side_screen_rows(
    case: Case,
    *,
    eye: float | None,
    distance: float | None,
    surface: float | None,
    main_top: float | None,
) -> list[FitRow]:
    """Bearing of the main screen; bearing, distance and height of every other one."""
    others = case.details.side_screens

    def placed(id: str) -> Placed:
        if not others:
            return Placed(id=id, bearing=0.0, neck=0.0)
        if distance is None:
            raise MissingInput("distance", "The eye distance is not known yet.")
        return next(one for one in place_screens(case, distance) if one.id == id)

    rows = [_bearing(case, "screen", "Main screen", placed, case.found_seated.screen_bearing)]
    for index, screen in enumerate(others, start=2):
        name = f"Screen {index}"
        rows += [
            _bearing(case, screen.id, name, placed, case.found_seated.get(f"{screen.id}_bearing")),
            _distance(case, screen, name, distance),
            _top(case, screen, name, main_top=main_top, surface=surface),
        ]
    return rows


def _bearing(
    case: Case, id: str, name: str, placed: Callable[[str], Placed], found: float | None
) -> FitRow:
    why = "Put what is looked at most straight ahead."
    try:
        at = placed(id)
        turn = f"turned in by {at.turn_in:.0f}° to face the client"
        neck = f"{at.neck:.0f}° are left for the neck after the eyes' first {EYES_TURN_DEG:.0f}°"
        why = (
            f"Used equally: the seam lies on the midline, {turn}; {neck}."
            if at.seam
            else f"{turn[0].upper()}{turn[1:]}; {neck}."
            if at.bearing
            else why
        )
    except MissingInput:
        pass
    subject = about(f"{id}_bearing", "seated", source="house-bearing", why=why)

    def terms(_: Body) -> Sequence[Term]:
        at = placed(id)
        label = "seam on the midline" if at.seam else "edge to edge" if at.bearing else "ahead"
        return (Term(label=label, value=at.bearing),)

    row = target_row(
        case, subject, terms, lambda target: _bearing_band(case, id, target), found=found
    )
    return kept(case, set_row(row, row.target), "screen")


def _bearing_band(case: Case, id: str, target: float) -> tuple[float, float]:
    """Return the bearings that load no neck for the time it is looked at, degrees."""
    use = next((one.use for one in case.details.side_screens if one.id == id), "main")
    free = FREE_TURN_DEG[use or "some"]
    return min(-free, target - BEARING_BAND_DEG), max(free, target + BEARING_BAND_DEG)


FREE_TURN_DEG = {"main": EYES_TURN_DEG, "equal": 25.0, "some": 35.0, "rare": 35.0}
"""How far to the side a screen may stand by how much it is looked at, degrees.
Source: house-bearing."""


def _distance(case: Case, screen: SideScreen, name: str, distance: float | None) -> FitRow:
    subject = about(
        f"{screen.id}_distance",
        "seated",
        source="house-bearing",
        why="Same distance as the main screen, so the eyes don't have to refocus.",
    )

    def terms(_: Body) -> Sequence[Term]:
        if distance is None:
            raise MissingInput("distance", "The eye distance is not known yet.")
        return (Term(label="as the main screen", value=distance),)

    row = target_row(
        case,
        subject,
        terms,
        lambda target: (target - DISTANCE_BAND_MM, target + DISTANCE_BAND_MM),
        found=case.found_seated.get(f"{screen.id}_distance"),
    )
    return kept(case, set_row(row, row.target), "screen")


def _top(
    case: Case, screen: SideScreen, name: str, *, main_top: float | None, surface: float | None
) -> FitRow:
    above = screen.place == ScreenPlace.ABOVE
    subject = about(
        f"{screen.id}_top",
        "seated",
        source="house-bearing",
        why="Above the main screen: for glances only, as the neck has to extend."
        if above
        else "Level with the main screen, so the head only has to turn.",
    )

    def terms(_: Body) -> Sequence[Term]:
        if main_top is None:
            raise MissingInput("screen_top", "The main screen's height is not known yet.")
        top = Term(label="main screen's top", value=main_top)
        if not above:
            return (top,)
        if screen.height is None:
            raise MissingInput("screen_size", f"The size of {name.lower()} is not recorded.")
        return (
            top,
            Term(label="frames", value=FRAMES_MM),
            Term(label="height of this screen", value=screen.height),
        )

    row = target_row(
        case,
        subject,
        terms,
        lambda target: (target - HEIGHT_BAND_MM, target + HEIGHT_BAND_MM),
        found=case.found_seated.get(f"{screen.id}_top"),
    )
    own = laptop_top(screen, surface)
    if row.target is None or own is None or abs(own - row.target) <= HEIGHT_BAND_MM:
        return kept(case, set_row(row, row.target), "screen")
    return set_row(row, own, [limit(row.key, "laptop", "joined", own, row.target - own)])


def laptop_top(screen: SideScreen, surface: float | None) -> float | None:
    """Top of a laptop's picture standing on the desk, mm; None for other screens."""
    if screen.kind != ScreenKind.LAPTOP or surface is None:
        return None
    return surface + LAPTOP_PICTURE_START_MM + (screen.height or LAPTOP_PICTURE_HEIGHT_MM)
