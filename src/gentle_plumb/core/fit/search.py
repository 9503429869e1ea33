"""The exact search for seat and surface heights under what the pieces can do.

The model
---------
Unknowns are the seat ``s`` and the surface ``z`` (standing: ``s`` is 0), each on a lattice of
whole millimetres joined by the points where something changes (ends of ranges, edges of bands,
the seat for the legs, the height that gives the target angle). Surfaces that the forearm can't
reach count by the ends of their range only. Elbow and gaze depend on
``u = z - s`` alone, legs on ``s`` alone, so the search is over pairs of two short tables.

Order of preference, strictly one after the other:

1. hard: ranges, and the room above the thighs;
2. the smallest sum of degrees outside the joints' bands;
3. no footrest rather than one;
4. the piece that can't move first: under a surface that can, the seat nearest the legs, then
   the elbow nearest its target angle; at a fixed surface the elbow before the seat; the picture
   nearest its target last.

Every pair of the lattice is covered, so the answer is the optimum of this model, not a guess;
the tests hold it against a general solver.
"""

from __future__ import annotations

from dataclasses import dataclass
from math import asin, atan2, ceil, degrees, floor, radians, sin

from ..workstation import Span
from .policies import Band

SEAT_LATTICE = Span(low=250, high=900)
SURFACE_LATTICE = Span(low=350, high=1500)
"""What a height is searched in where the equipment's own range is unknown, mm."""

UNREACHABLE_DEG = 180.0
"""What an elbow out of reach counts, degrees: more than any joint can be off."""


@dataclass(frozen=True, kw_only=True)
class SearchModel:
    """Everything the search needs, as plain numbers (mm, degrees).

    ``elbow``, ``eye`` and ``legs`` count from the seat (standing: the floor; ``legs`` None).
    ``lift`` is how high over the surface the top of the picture can be, None where any.
    ``top_band`` is the wanted top edge over the eye; ``least_gap`` the least surface over seat
    that leaves room for the thighs, None where that is unknown or does not matter.
    """

    elbow: float
    reach: float
    keyboard: float
    elbow_target: float
    elbow_band: Band
    seat: Span | None
    surface: Span | None
    legs: float | None = None
    thigh_length: float = 480.0
    knee_band: Band = Band(low=90, high=120)
    flat_margin: float = 10.0
    eye: float | None = None
    distance: float = 600.0
    lift: Span | None = None
    top_band: Band = Band(low=-50, high=0)
    least_gap: float | None = None


@dataclass(frozen=True, kw_only=True)
class Found:
    """The optimum: heights in mm, ``over`` the degrees outside bands; thighs pressed or not."""

    seat: float
    surface: float
    over: float
    footrest: bool
    thighs_pressed: bool


def elbow_over(model: SearchModel, gap: float) -> tuple[float, float]:
    """Degrees outside the elbow's band, and from its target, for a surface ``gap`` over the seat."""
    ratio = (model.elbow - gap - model.keyboard) / model.reach
    if abs(ratio) > 1:
        return UNREACHABLE_DEG + abs(ratio), UNREACHABLE_DEG + abs(ratio)
    angle = 90 + degrees(asin(ratio))
    return abs(model.elbow_band.excess(angle)), abs(angle - model.elbow_target)


def gaze_over(model: SearchModel, gap: float) -> tuple[float, float]:
    """Degrees the top of the picture lies outside its band at best, and mm from its upper edge."""
    if model.eye is None or model.lift is None:
        return 0.0, 0.0
    lowest, highest = gap + model.lift.low - model.eye, gap + model.lift.high - model.eye
    top = min(highest, max(lowest, model.top_band.high))
    edge = min(model.top_band.high, max(model.top_band.low, top))
    off = atan2(top, model.distance) - atan2(edge, model.distance)
    return abs(degrees(off)), abs(top - model.top_band.high)


def knee_over(model: SearchModel, seat: float) -> float:
    """Degrees the knee is bent beyond its band because the seat is low for the legs."""
    if model.legs is None:
        return 0.0
    rise = min(1.0, max(0.0, (model.legs - seat - model.flat_margin) / model.thigh_length))
    return abs(model.knee_band.excess(90 - degrees(asin(rise))))


_Score = tuple[float, float, float]


class _Gaps:
    """Scores of gaps (surface over seat), each reckoned once."""

    def __init__(self, model: SearchModel, low: float, high: float) -> None:
        self._model, self._low, self._high = model, low, high
        self._known: dict[float, _Score] = {}
        self._table: list[tuple[_Score, float]] | None = None
        self.turns = sorted(gap for gap in _turning_gaps(model) if low <= gap <= high)

    def score(self, gap: float) -> _Score:
        """Degrees outside the bands, degrees from the target, mm of the picture from its own."""
        found = self._known.get(gap)
        if found is None:
            elbow, away = elbow_over(self._model, gap)
            gaze, apart = gaze_over(self._model, gap)
            found = self._known[gap] = (
                round(elbow + gaze, 6),
                round(away, 6),
                round(apart, 6),
            )
        return found

    def best(self, least: float, most: float) -> tuple[_Score, float]:
        """The best gap of a window.

        Gaps that cost nothing form one interval, whose ends are among the turning points; on
        it the distance from the target grows to both sides. So where anything costs nothing,
        the window's ends and the turning points hold the best. Else every lattice point counts.
        """
        points = [least, most, *(gap for gap in self.turns if least < gap < most)]
        best = min((self.score(gap), gap) for gap in points)
        if best[0][0] == 0 or least == most:
            return best
        if self._table is None:
            self._table = sorted((self.score(gap), gap) for gap in self._lattice())
        inside = next((row for row in self._table if least <= row[1] <= most), None)
        return min(best, inside) if inside else best

    def _lattice(self) -> list[float]:
        middle = self._model.elbow - self._model.keyboard
        nearest = max(self._low, middle - self._model.reach)
        furthest = min(self._high, middle + self._model.reach)
        return [float(gap) for gap in range(ceil(nearest), floor(furthest) + 1)]


def _turning_gaps(model: SearchModel) -> list[float]:
    points = [
        model.elbow - model.reach * sin(radians(angle - 90)) - model.keyboard
        for angle in (model.elbow_target, model.elbow_band.low, model.elbow_band.high)
    ]
    if model.eye is not None and model.lift is not None:
        for edge in (model.top_band.low, model.top_band.high):
            points += [model.eye + edge - model.lift.low, model.eye + edge - model.lift.high]
    return points


def _seats(model: SearchModel, span: Span, surface: Span, gaps: list[float]) -> list[float]:
    """Seats to try, nearest the legs first."""
    points = {float(seat) for seat in range(ceil(span.low), floor(span.high) + 1)}
    points |= {span.low, span.high}
    legs = model.legs
    if legs is not None:
        points |= {legs, legs + model.flat_margin, legs - model.flat_margin}
    for gap in gaps:
        points |= {surface.low - gap, surface.high - gap}
    inside = [seat for seat in points if span.low <= seat <= span.high]
    return sorted(inside, key=lambda seat: (abs(seat - legs), seat)) if legs is not None else inside


def search(model: SearchModel) -> Found:
    """Find the best seat and surface.

    Parameters
    ----------
    model : SearchModel
        The lengths, ranges and bands.

    Returns
    -------
    Found
        The optimum. Where no pair leaves room for the thighs, the pair that leaves most is
        taken and ``thighs_pressed`` says so.

    """
    seats = model.seat or (SEAT_LATTICE if model.legs is not None else Span(low=0, high=0))
    surfaces = model.surface or SURFACE_LATTICE
    low, high = surfaces.low - seats.high, surfaces.high - seats.low
    pressed = model.least_gap is not None and high < model.least_gap
    if model.least_gap is not None:
        low = high if pressed else max(low, model.least_gap)
    gaps = _Gaps(model, low, high)

    hands_first = surfaces.fixed
    best: tuple[tuple[float, bool, float, float, float], float, float] | None = None
    for seat in _seats(model, seats, surfaces, [*gaps.turns, low]):
        least, most = max(low, surfaces.low - seat), min(high, surfaces.high - seat)
        knee = round(knee_over(model, seat), 6)
        if least > most or (best is not None and knee > best[0][0]):
            continue
        apart = round(abs(seat - model.legs), 6) if model.legs is not None else 0.0
        free = best is not None and best[0][:2] == (0.0, False) and not hands_first
        if best is not None and free and apart > best[0][2]:
            break  # nothing costs less, and all that follow are further from the legs
        score, gap = gaps.best(least, most)
        footrest = model.legs is not None and seat - model.legs > model.flat_margin
        near = (score[1], apart) if hands_first else (apart, score[1])
        rank = (round(score[0] + knee, 6), footrest, *near, score[2])
        if best is None or rank < best[0]:
            best = rank, seat, seat + gap
    if best is None:  # the lattice's ends are always among the points
        raise AssertionError("no seat and surface on the lattice")
    rank, seat, surface = best
    return Found(seat=seat, surface=surface, over=rank[0], footrest=rank[1], thighs_pressed=pressed)
