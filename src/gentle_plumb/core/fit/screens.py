"""Several screens: bearings, heights and distances, and what is left for the neck to turn.

Seen from above, straight ahead is 0, left negative. A screen that faces the client is turned in by
its own bearing. The eyes turn the first 15 degrees, the neck the rest::

    one main        main at 0, others edge to edge beside it
    seam            both halves meet on the midline, in a shallow V
    above           over the main one, its lower edge on the main one's top
"""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import replace
from itertools import pairwise

from ..body import Body
from ..errors import MissingInput
from ..language import capitalised, filled, msg, numeral
from ..words import say
from ..workstation import (
    LAPTOP_PICTURE_HEIGHT_MM,
    LAPTOP_PICTURE_START_MM,
    LAPTOP_STAND,
    ScreenKind,
    ScreenPlace,
    SideScreen,
    Span,
)
from .case import Case
from .distance import DISTANCE_BAND_MM, distance_terms
from .result import FitRow
from .rows import about, end_limit, kept, limit, set_row, target_row
from .screen_places import EYES_TURN_DEG, FRAMES_MM, Placed, half_angle, place_screens
from .terms import Term, total

BEARING_BAND_DEG = 5.0
HEIGHT_BAND_MM = 30.0


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
            raise MissingInput("distance", msg("The eye distance is not known yet."))
        return next(
            place_screen for place_screen in place_screens(case, distance) if place_screen.id == id
        )

    bearings = _apart(
        case,
        distance,
        [
            _bearing(case, "screen", placed, case.found_seated.screen_bearing),
            *(
                _bearing(case, other.id, placed, case.found_seated.get(f"{other.id}_bearing"))
                for other in others
            ),
        ],
    )
    rows = [bearings[0]]
    for index, screen in enumerate(others, start=2):
        name = msg("Screen {index}", index=index)
        rows += [
            bearings[index - 1],
            _distance(case, screen, name, distance),
            _top(case, screen, name, main_top=main_top, surface=surface),
        ]
    return rows


OVERLAP_DEG = 3.0
"""Two pictures whose edges lie less than this in one another stand side by side. Source: house-bearing."""


def _apart(case: Case, distance: float | None, rows: list[FitRow]) -> list[FitRow]:
    """Return the bearings so that no screen stands in another: what would have been left where it is moves as well."""
    if distance is None:
        return rows
    beside = [
        (row, width)
        for row, width, place in zip(
            rows,
            (
                case.workstation.screen.width,
                *(side_screen.width for side_screen in case.details.side_screens),
            ),
            (ScreenPlace.BESIDE, *(side_screen.place for side_screen in case.details.side_screens)),
            strict=True,
        )
        if row.setting is not None and width is not None and place == ScreenPlace.BESIDE
    ]
    beside.sort(key=lambda row: row[0].setting or 0.0)
    clash = any(
        (right.setting or 0.0) - (left.setting or 0.0)
        < half_angle(value, distance) + half_angle(other, distance) - OVERLAP_DEG
        for (left, value), (right, other) in pairwise(beside)
    )
    return [set_row(row.replace(limits=()), row.target) for row in rows] if clash else rows


def _bearing(case: Case, id: str, placed: Callable[[str], Placed], value: float | None) -> FitRow:
    why = msg("Put the most-used screen straight ahead.")
    try:
        place = placed(id)
        turn = msg(
            "turned in by {turn_in}° to face the client", turn_in=numeral(f"{place.turn_in:.0f}")
        )
        neck = msg(
            "{neck}° are left for the neck after the eyes' first {eyes_turn_deg}°",
            neck=numeral(f"{place.neck:.0f}"),
            eyes_turn_deg=numeral(f"{EYES_TURN_DEG:.0f}"),
        )
        why = (
            msg("Used equally: the seam lies on the midline, {turn}; {neck}.", turn=turn, neck=neck)
            if place.seam
            else filled("{turn}; {neck}.", turn=capitalised(turn), neck=neck)
            if place.bearing
            else why
        )
    except MissingInput:
        pass
    subject = about(f"{id}_bearing", "seated", source="house-bearing", why=why)

    def terms(_: Body) -> Sequence[Term]:
        place = placed(id)
        label = (
            msg("seam on the midline")
            if place.seam
            else msg("edge to edge")
            if place.bearing
            else "ahead"
        )
        return (Term(label=label, value=place.bearing),)

    row = target_row(
        case, subject, terms, lambda target: _bearing_band(case, id, target), found=value
    )
    return kept(case, set_row(row, row.target), "screen")


def _bearing_band(case: Case, id: str, target: float) -> tuple[float, float]:
    """Return the bearings that load no neck for the time it is looked at, degrees."""
    use = next(
        (side_screen.use for side_screen in case.details.side_screens if side_screen.id == id),
        "main",
    )
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
        why=msg("Same distance as the main screen, so the eyes don’t have to refocus."),
    )

    def terms(body: Body) -> Sequence[Term]:
        if distance is None:
            raise MissingInput("distance", msg("The eye distance is not known yet."))
        as_main = Term(label=msg("as the main screen"), value=distance)
        own = distance_terms(body, _read_alone(case, screen))
        if screen.kind != ScreenKind.LAPTOP or total(own) >= distance:
            return (as_main,)
        return own  # beside a television it would be too far to read

    row = target_row(
        case,
        subject,
        terms,
        lambda target: (target - DISTANCE_BAND_MM, target + DISTANCE_BAND_MM),
        found=case.found_seated.get(f"{screen.id}_distance"),
    )
    return kept(case, set_row(row, row.target), "screen")


def _read_alone(case: Case, screen: SideScreen) -> Case:
    """Return the case as if a screen were the only one."""
    station = case.workstation
    alone = replace(station.screen, kind=screen.kind, width=screen.width, height=screen.height)
    return replace(case, workstation=replace(station, screen=alone))


def _top(
    case: Case, screen: SideScreen, name: str, *, main_top: float | None, surface: float | None
) -> FitRow:
    above = screen.place == ScreenPlace.ABOVE
    subject = about(
        f"{screen.id}_top",
        "seated",
        source="house-bearing",
        why=msg("Above the main screen: for glances only, as the neck has to extend.")
        if above
        else msg("Level with the main screen, so the head only has to turn."),
    )

    def terms(_: Body) -> Sequence[Term]:
        if main_top is None:
            raise MissingInput("screen_top", msg("The main screen’s height is not known yet."))
        top = Term(label=msg("main screen’s top"), value=main_top)
        if not above:
            return (top,)
        if screen.height is None:
            raise MissingInput(
                "screen_size", msg("The size of {name} is not recorded.", name=name.lower())
            )
        return (
            top,
            Term(label="frames", value=FRAMES_MM),
            Term(label=msg("height of this screen"), value=screen.height),
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
    if case.workstation.screen.kind == ScreenKind.LAPTOP:
        return set_row(row, own, [limit(row.key, "laptop", "joined", own, row.target - own)])
    lifted = Span(low=own, high=own + LAPTOP_STAND.high)  # keys and mouse of the desk serve it too
    limits = end_limit(row.key, msg("laptop stand"), lifted, row.target)
    row = set_row(row, lifted.clamp(row.target), limits)
    return replace(row, note=say("screen.laptop_beside"))


def laptop_top(screen: SideScreen, surface: float | None) -> float | None:
    """Top of a laptop's picture standing on the desk, mm; None for other screens."""
    if screen.kind != ScreenKind.LAPTOP or surface is None:
        return None
    return surface + LAPTOP_PICTURE_START_MM + (screen.height or LAPTOP_PICTURE_HEIGHT_MM)
