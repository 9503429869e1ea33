"""Where pieces and body stand in each other: hatched, so that it is seen at once."""

from __future__ import annotations

from ..fit import Case
from ..workstation import ARMREST_BACK_MM, ARMREST_FRONT_MM, ArmrestKind, Settings
from .chairs import PAD_MM
from .furniture import TOP_SHOWN_MM, Place
from .marks import Point, box
from .outline import Outline
from .pose import Pose

LEAST_CLASH_MM = 2.0
"""Less than this is no clash: the tape does not see it. Source: house-repeat."""


def underside_of(case: Case, settings: Settings) -> float | None:
    """Return the height of the lowest part over the thighs, mm; None where unknown."""
    value, under = case.found_seated.surface, case.details.underside
    surface = settings.surface
    if under is not None and value is not None and surface is not None and under < value:
        return surface - (value - under)
    return case.workstation.desk.underside_at(surface)


def clashes_of(
    case: Case, pose: Pose, place: Place, settings: Settings
) -> list[tuple[str, list[Point]]]:
    """Return what stands in what, seated: the part it belongs to, and the region in mm."""
    if not pose.seated or settings.seat is None or settings.surface is None:
        return []
    result: list[tuple[str, list[Point]]] = []
    under, top = underside_of(case, settings), settings.seat + pose.thigh
    if under is not None and top - under > LEAST_CLASH_MM:
        front = max(place.edge, 0.0)
        end = min(place.edge + place.depth, pose.knee[0])
        if end - front > LEAST_CLASH_MM:
            result.append(("surface", box(front, under, end, min(top, settings.surface))))
    chair = case.workstation.chair
    there = chair.armrests in (ArmrestKind.FIXED, ArmrestKind.ADJUSTABLE)
    if there and settings.armrest:
        rest = settings.seat + settings.armrest
        bottom = settings.surface - (case.workstation.desk.thickness or TOP_SHOWN_MM)
        low, high = max(rest - PAD_MM, bottom), min(rest, settings.surface)
        front = max(place.edge, ARMREST_BACK_MM)
        if high - low > LEAST_CLASH_MM and ARMREST_FRONT_MM - front > LEAST_CLASH_MM:
            result.append(("armrest", box(front, low, ARMREST_FRONT_MM, high)))
    return result


def ink_clashes(outline: Outline, case: Case, pose: Pose, place: Place, settings: Settings) -> None:
    """Hatch what stands in what."""
    for part, region in clashes_of(case, pose, place, settings):
        outline.shape("clash", region, part)
