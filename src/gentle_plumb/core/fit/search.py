"""The exact search for seat, surface and picture under what the pieces can do.

The model
---------
Unknowns are the seat ``s``, the surface ``z`` (standing: ``s`` is 0) and the picture's top ``t``.
Pieces with steps take their own places; others lie on a lattice of whole millimetres joined by
the points where something changes (ends of ranges, edges of bands, the seat for the legs, the
height that gives the target angle). Elbow and wrist depend on ``u = z - s``, legs on ``s``, the
gaze on ``t - s``. ``t`` may be anywhere in ``lift`` over ``z``, in ``tops`` over the floor, or in
both where a tray hangs under a desk that moves.

Order of preference, strictly one after the other:

1. hard: ranges (always), then mm of thigh room and of foot support that are missing;
2. what the policy sets first (feet, or hands), where it names one;
3. the smallest sum of degrees outside the joints' bands;
4. no footrest rather than one;
5. the piece that can't move first: under a surface that can, the seat nearest the legs, then
   the elbow nearest its target angle; at a fixed surface the elbow before the seat; the picture
   nearest its target last.

Every seat and surface of the lattice is covered, so the answer is the optimum of this model, not
a guess; the tests hold it against every pair and against a general solver.
"""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, replace
from functools import lru_cache
from heapq import heappop, heappush
from itertools import pairwise
from math import asin, atan2, ceil, degrees, floor, inf, radians, sin
from typing import NamedTuple

from ..policy import JOINT_BANDS, Band
from ..workstation import Span

SEAT_LATTICE = Span(low=250, high=900)
SURFACE_LATTICE = Span(low=350, high=1500)
"""What a height is searched in where the equipment's own range is unknown, mm."""

UNREACHABLE_DEG = 180.0
"""What an elbow out of reach counts, degrees: more than any joint can be off."""

LEVEL = Span(low=0, high=0)


@dataclass(frozen=True, kw_only=True)
class SearchModel:
    """Everything the search needs, as plain numbers (mm, degrees).

    ``elbow`` and ``eye`` count from the seat (standing: the floor); ``legs`` is the seat for flat
    feet, None when standing. ``lift`` is how high over the surface the top of the picture can be,
    ``tops`` how high over the floor; None where nothing binds it. ``top_band`` is the wanted top
    over the eye and ``top_target`` the place in it. ``least_gap`` is the least surface over seat
    that leaves room for the thighs, or ``highest_seat`` the seat under something that stays; None
    where unknown or no matter, and never both. ``feet`` are the supports there are, None where any will do.
    ``slopes`` is how the keys can slope. ``hands_first`` is the order of preference 5.
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
    knee_band: Band = JOINT_BANDS["knee"]
    hip_band: Band = JOINT_BANDS["hip"]
    hip_level: float = 100.0
    wrist_band: Band = JOINT_BANDS["wrist"]
    slopes: Span = LEVEL
    flat_margin: float = 10.0
    eye: float | None = None
    distance: float = 600.0
    lift: Span | None = None
    tops: Span | None = None
    top_band: Band = Band(low=-50, high=0)
    top_target: float = 0.0
    least_gap: float | None = None
    highest_seat: float | None = None
    feet: tuple[Span, ...] | None = None
    first: str = "fixed"
    hands_first: bool = False


@dataclass(frozen=True, kw_only=True)
class Found:
    """The optimum: heights in mm, degrees outside bands, and what hard limits lack, mm.

    ``top`` is None where the picture can stand anywhere or the eye is unknown. ``first`` is what
    the policy's first piece is off by: mm of the seat, or degrees of the hands.
    """

    seat: float
    surface: float
    top: float | None
    over: float
    footrest: bool
    hangs: float
    presses: float
    first: float = 0.0

    @property
    def thighs_pressed(self) -> bool:
        """Whether no setting leaves the thighs room."""
        return self.presses > 0

    @property
    def rank(self) -> tuple[float, float, float]:
        """What counts before additions do: hard limits, the policy's first piece, degrees."""
        return round(self.hangs + self.presses, 6), self.first, self.over


def wrist_over(model: SearchModel, angle: float) -> float:
    """Degrees the wrist is bent outside its band, keys sloped as well as they can be."""
    straight = model.slopes.clamp(90 - angle)
    return abs(model.wrist_band.excess(angle - 90 + straight))


def elbow_over(model: SearchModel, gap: float) -> tuple[float, float]:
    """Degrees elbow and wrist are outside their bands, and the elbow from its target."""
    ratio = (model.elbow - gap - model.keyboard) / model.reach
    if abs(ratio) > 1:
        return UNREACHABLE_DEG + abs(ratio), UNREACHABLE_DEG + abs(ratio)
    angle = 90 + degrees(asin(ratio))
    over = abs(model.elbow_band.excess(angle)) + wrist_over(model, angle)
    return over, abs(angle - model.elbow_target)


def _range_of_tops(model: SearchModel, surface: float) -> Span | None:
    """Where the top of the picture can be over the floor."""
    lift, tops = model.lift, model.tops
    if lift is None:
        return tops
    if tops is None:
        return lift.shifted(surface)
    low = max(lift.low + surface, tops.low)
    return Span(low=low, high=max(low, min(lift.high + surface, tops.high)))


def best_top(model: SearchModel, seat: float, surface: float) -> tuple[float, float, float]:
    """The best top over the floor: degrees outside its band, mm from its target, height."""
    assert model.eye is not None
    eye = model.eye + seat
    band, want = model.top_band, eye + model.top_target
    span = _range_of_tops(model, surface)
    if span is None:
        return 0.0, 0.0, want
    tries = [span.clamp(want)]
    if span.step is not None:
        tries += [span.clamp(eye + band.low), span.clamp(eye + band.high)]
        inside = span.within(eye + band.low, eye + band.high)
        tries += [inside] if inside is not None else []
    found = []
    for top in tries:
        over = top - eye
        edge = min(band.high, max(band.low, over))
        off = abs(degrees(atan2(over, model.distance) - atan2(edge, model.distance)))
        found.append((0.0 if off < 1e-9 else off, abs(top - want), top))
    return min(found)


def gaze_over(model: SearchModel, seat: float, surface: float) -> tuple[float, float]:
    """Degrees the top of the picture lies outside its band at best, and mm from its target."""
    if model.eye is None or (model.lift is None and model.tops is None):
        return 0.0, 0.0
    return best_top(model, seat, surface)[:2]


class Footing(NamedTuple):
    """What the feet stand on, mm: what they lack of it, how far it lifts the knees, its height."""

    lacks: float
    lifts: float
    height: float


def footing(model: SearchModel, seat: float) -> Footing:
    """The best support for the feet at a seat: the floor where they reach it.

    Feet that hang are the worst; a support that is too high only lifts the knees.
    """
    if model.legs is None:
        return Footing(0.0, 0.0, 0.0)
    need, margin = seat - model.legs, model.flat_margin
    if need <= margin + 1e-9:
        return Footing(0.0, max(0.0, -need - margin), 0.0)
    if model.feet is None:
        return Footing(0.0, 0.0, need)
    tries = [0.0]
    for span in model.feet:
        tries += span.places() or (span.clamp(need),)
    found = (
        Footing(max(0.0, need - at - margin), max(0.0, at - need - margin), at) for at in tries
    )
    best = min(found, key=lambda one: (one.lacks, one.lifts, abs(one.height - need)))
    return best if best.lacks > 1e-9 else best._replace(lacks=0.0)


def legs_over(model: SearchModel, seat: float) -> float:
    """Degrees knee and hip are outside their bands: the seat low for the legs, or the feet lifted."""
    if model.legs is None:
        return 0.0
    up = degrees(asin(min(1.0, footing(model, seat).lifts / model.thigh_length)))
    return abs(model.knee_band.excess(90 - up)) + abs(model.hip_band.excess(model.hip_level - up))


def hangs(model: SearchModel, seat: float) -> float:
    """Mm the feet lack of a support that could be there; 0 where they rest."""
    return footing(model, seat).lacks


_Score = tuple[float, float, float, float]


class _Gaps:
    """Scores of a seat's gaps (surface over seat), each reckoned once where it can be shared."""

    def __init__(self, model: SearchModel, low: float, high: float) -> None:
        self._model, self._low, self._high = model, low, high
        self._hands: dict[float, tuple[float, float]] = {}
        self._gaze: dict[float, tuple[float, float]] = {}
        self._table: list[tuple[_Score, float]] | None = None
        self._by_hands: list[tuple[float, float]] | None = None
        seen = model.eye is not None
        self._by_gap = model.tops is None or not seen
        self._by_seat = seen and model.tops is not None and model.lift is None
        self.turns = sorted(gap for gap in _turning_gaps(model) if low <= gap <= high)

    def score(self, seat: float, gap: float) -> _Score:
        """Policy's first piece, degrees outside, degrees from the target, mm of the picture."""
        hands = self._hands.get(gap)
        if hands is None:
            over, away = elbow_over(self._model, gap)
            hands = self._hands[gap] = (round(over, 6), round(away, 6))
        key = gap if self._by_gap else seat
        gaze = self._gaze.get(key) if self._by_gap or self._by_seat else None
        if gaze is None:
            over, apart = gaze_over(self._model, seat, seat + gap)
            gaze = self._gaze[key] = (round(over, 6), round(apart, 6))
        first = hands[0] if self._model.first == "hands" else 0.0
        return first, round(hands[0] + gaze[0], 6), hands[1], gaze[1]

    def best(self, seat: float, least: float, most: float,
             cutoff: tuple[float, float]) -> tuple[_Score, float]:  # fmt: skip
        """The best gap of a window at a seat; what costs more than the cutoff is not looked for.

        Gaps that cost nothing form intervals whose ends are among the turning points; on each the
        distance from the target grows to both sides. So where anything costs nothing, the
        window's ends and the turning points hold the best. Else every lattice point counts.
        """
        places = self._model.surface.places() if self._model.surface else None
        if places is not None:
            tries = [
                place - seat for place in places if least - 1e-9 <= place - seat <= most + 1e-9
            ]
            return min((self.score(seat, gap), gap) for gap in tries or [most])
        more = [] if self._by_gap else _turning_tops(self._model, seat)
        points = [least, most, *(gap for gap in (*self.turns, *more) if least < gap < most)]
        best = min((self.score(seat, gap), gap) for gap in points)
        if best[0][:2] == (0, 0) or least == most:
            return best
        if self._by_gap:
            if self._table is None:
                self._table = sorted((self.score(seat, gap), gap) for gap in self._lattice())
            enough = min(best[0][:2], cutoff)
            for row in self._table:
                if row[0][:2] > enough:
                    break
                if least <= row[1] <= most:
                    return min(best, row)
            return best
        if self._by_hands is None:
            self._by_hands = sorted(
                (elbow_over(self._model, gap)[0], gap) for gap in self._lattice()
            )
        for over, gap in self._by_hands:
            if round(over, 6) > min(best[0][1], cutoff[1]):
                break  # the hands alone cost more already
            if least <= gap <= most:
                best = min(best, (self.score(seat, gap), gap))
        return best

    def _lattice(self) -> list[float]:
        middle = self._model.elbow - self._model.keyboard
        nearest = max(self._low, middle - self._model.reach)
        furthest = min(self._high, middle + self._model.reach)
        return [float(gap) for gap in range(ceil(nearest), floor(furthest) + 1)]


def _turning_gaps(model: SearchModel) -> list[float]:
    angles = [model.elbow_target, model.elbow_band.low, model.elbow_band.high]
    angles += [90 + model.wrist_band.high - model.slopes.low,
               90 + model.wrist_band.low - model.slopes.high]  # fmt: skip
    points = [
        model.elbow - model.reach * sin(radians(angle - 90)) - model.keyboard
        for angle in angles
        if 0 <= angle <= 180
    ]
    if model.eye is not None and model.lift is not None:
        ends = model.lift.places() or (model.lift.low, model.lift.high)
        for edge in (model.top_band.low, model.top_band.high):
            points += [model.eye + edge - end for end in ends]
    return points


def _turning_tops(model: SearchModel, seat: float) -> list[float]:
    """Gaps where what binds the picture changes between the surface and the floor."""
    if model.lift is None or model.tops is None:
        return []
    return [
        top - lift - seat
        for top in (model.tops.low, model.tops.high)
        for lift in (model.lift.low, model.lift.high)
    ]


def _turning_seats(model: SearchModel, span: Span, surface: Span, gaps: list[float]) -> set[float]:
    """Seats where something changes, within the span."""
    points = {span.low, span.high}
    legs = model.legs
    if legs is not None:
        points |= {legs, legs + model.flat_margin, legs - model.flat_margin}
        closed = model.thigh_length * _sin(model.hip_level - model.hip_band.low)
        points.add(legs - model.flat_margin - closed)
        for feet in model.feet or ():
            for place in feet.places() or (feet.low, feet.high):
                points |= {legs + place - model.flat_margin, legs + place + model.flat_margin,
                           legs + place - model.flat_margin - closed}  # fmt: skip
    if model.highest_seat is not None:
        points.add(model.highest_seat)
    ends = surface.places() if surface.fixed else (surface.low, surface.high)
    for gap in gaps:
        points |= {end - gap for end in ends or ()}
    if model.eye is not None and model.tops is not None:
        for top in model.tops.places() or (model.tops.low, model.tops.high):
            points |= {top - model.eye - edge
                       for edge in (model.top_band.low, model.top_band.high)}  # fmt: skip
    return {seat for seat in points if span.low <= seat <= span.high}


def _sin(angle: float) -> float:
    return sin(radians(max(0.0, angle)))


def _by_legs(model: SearchModel, seats: Iterable[float]) -> list[float]:
    """Nearest the legs first."""
    legs = model.legs
    return (
        sorted(seats) if legs is None else sorted(seats, key=lambda seat: (abs(seat - legs), seat))
    )


_Best = tuple[tuple[float, ...], float, float, float, float]


def _best_of(model: SearchModel, gaps: _Gaps, surfaces: Span, seats: list[float],
             best: _Best | None) -> _Best | None:  # fmt: skip
    """The best of these seats, or what was the best before."""
    for seat in seats:
        least, most = surfaces.low - seat, surfaces.high - seat
        presses = 0.0
        if model.least_gap is not None:
            if most < model.least_gap - 1e-9:
                presses, least = model.least_gap - most, most
            else:
                least = _least(surfaces, seat, max(least, model.least_gap))
        if model.highest_seat is not None:
            presses = max(presses, seat - model.highest_seat)
        presses = 0.0 if presses < 1e-9 else presses
        hang = hangs(model, seat)
        hard = round(presses + hang, 6)
        legs, apart, first = round(legs_over(model, seat), 6), 0.0, 0.0
        if model.legs is not None:
            apart = round(abs(seat - model.legs), 6)
            if model.first == "feet":
                first = max(0.0, apart - model.flat_margin)
        if best is not None:
            top = best[0]
            if (hard, first, legs) > top[:3]:
                continue  # whatever its surface, it comes after the best so far
            if top[:4] == (0.0, 0.0, 0.0, False) and not model.hands_first and apart > top[4]:
                break  # nothing costs less, and all that follow are further from the legs
        cutoff = (inf, inf) if best is None or hard < best[0][0] else (
            best[0][1] if model.first == "hands" else inf, best[0][2] - legs + 1e-6)  # fmt: skip
        score, gap = gaps.best(seat, least, most, cutoff)
        first = score[0] if model.first == "hands" else first
        footrest = model.legs is not None and seat - model.legs > model.flat_margin + 1e-9
        near = (score[2], apart) if model.hands_first else (apart, score[2])
        over = round(score[1] + legs, 6)
        rank: tuple[float, ...] = (hard, first, over, footrest, *near, score[3])
        if best is None or rank < best[0]:
            best = rank, seat, seat + gap, hang, presses
    return best


class _Parts(NamedTuple):
    """What a seat costs at one surface, part by part: each least at an end between turning points."""

    hard: float
    first: float
    hands: float
    gaze: float
    legs: float


def _parts(model: SearchModel, seat: float, surface: float) -> _Parts:
    presses = max(0.0, (model.least_gap or 0.0) - surface + seat) if model.least_gap else 0.0
    if model.highest_seat is not None:
        presses = max(presses, seat - model.highest_seat)
    hands = elbow_over(model, surface - seat)[0]
    first = hands if model.first == "hands" else 0.0
    if model.first == "feet" and model.legs is not None:
        first = max(0.0, abs(seat - model.legs) - model.flat_margin)
    return _Parts(presses + hangs(model, seat), first, hands, gaze_over(model, seat, surface)[0],
                  legs_over(model, seat))  # fmt: skip


FEW_SEATS = 6
"""Seats of the lattice that are looked at one by one rather than split further."""


def _split(model: SearchModel, gaps: _Gaps, surfaces: Span, points: set[float],
           best: _Best | None) -> _Best | None:  # fmt: skip
    """The best lattice seat at a fixed surface, by halving what lies between turning points.

    Between two of them every part of the cost is least at one end, so the sum of the lesser ends
    is a bound; a stretch whose bound is over the best so far is left out whole.
    """
    surface = surfaces.low
    ends = sorted(points)
    known = {seat: _parts(model, seat, surface) for seat in ends}
    waiting: list[tuple[tuple[float, float, float], float, float]] = []

    def put(low: float, high: float) -> None:
        if floor(high - 1e-9) >= ceil(low + 1e-9):
            pairs = [min(one) for one in zip(known[low], known[high], strict=True)]
            heappush(waiting, ((pairs[0], pairs[1], sum(pairs[2:])), low, high))

    for low, high in pairwise(ends):
        put(low, high)
    while waiting:
        bound, low, high = heappop(waiting)
        slack = (bound[0] - 1e-5, bound[1] - 1e-5, bound[2] - 1e-5)
        if best is not None and _over(slack, best[0]):
            continue
        inside = range(ceil(low + 1e-9), floor(high - 1e-9) + 1)
        if len(inside) <= FEW_SEATS:
            seats = _by_legs(model, map(float, inside))
            best = _best_of(model, gaps, surfaces, seats, best)
            continue
        middle = float(inside[len(inside) // 2])
        known[middle] = _parts(model, middle, surface)
        best = _best_of(model, gaps, surfaces, [middle], best)
        put(low, middle)
        put(middle, high)
    return best


def _over(bound: tuple[float, float, float], rank: tuple[float, ...]) -> bool:
    """Whether a bound lies over a rank: at the first part where they differ by more than rounding."""
    for mine, theirs in zip(bound, rank[:3], strict=True):
        if mine > theirs:
            return True
        if mine < theirs - 3e-5:
            return False
    return False


@lru_cache(maxsize=4096)
def search(model: SearchModel) -> Found:
    """Find the best seat, surface and top.

    Parameters
    ----------
    model : SearchModel
        The lengths, ranges and bands.

    Returns
    -------
    Found
        The optimum. Where nothing leaves room for the thighs or holds the feet, what lacks least
        is taken and said.

    """
    seats = model.seat or (SEAT_LATTICE if model.legs is not None else Span(low=0, high=0))
    surfaces = model.surface or SURFACE_LATTICE
    low, high = surfaces.low - seats.high, surfaces.high - seats.low
    gaps = _Gaps(replace(model, surface=surfaces), low, high)
    turns = [*gaps.turns, low] if model.least_gap is None else [*gaps.turns, low, model.least_gap]
    places = seats.places()
    if places is not None:
        best = _best_of(model, gaps, surfaces, _by_legs(model, places), None)
    else:
        # Seats that cost nothing form intervals whose ends are turning points, and so is what is
        # preferred on them: only where nothing is free of cost does every lattice point count.
        points = _turning_seats(model, seats, surfaces, turns)
        best = _best_of(model, gaps, surfaces, _by_legs(model, points), None)
        if best is None or best[0][:3] != (0.0, 0.0, 0.0):
            if surfaces.fixed:
                best = _split(model, gaps, surfaces, points, best)
            else:
                lattice = {float(seat) for seat in range(ceil(seats.low), floor(seats.high) + 1)}
                best = _best_of(model, gaps, surfaces, _by_legs(model, lattice - points), best)
    if best is None:  # the lattice's ends are always among the points
        raise AssertionError("no seat and surface on the lattice")
    rank, seat, surface, hang, presses = best
    placed = model.eye is not None
    return Found(
        seat=seat, surface=surface, top=best_top(model, seat, surface)[2] if placed else None,
        over=rank[2], footrest=bool(rank[3]), hangs=hang, presses=presses, first=rank[1],
    )  # fmt: skip


def _least(surfaces: Span, seat: float, least: float) -> float:
    """The lowest gap not under ``least`` that the surface has a place for."""
    places = surfaces.places()
    if places is None:
        return least
    return min((place - seat for place in places if place - seat >= least - 1e-9), default=least)


def hold(model: SearchModel, *, seat: float | None = None, surface: float | None = None,
         top: float | None = None) -> SearchModel:  # fmt: skip
    """The same model with what is given held where it is."""
    held = model
    if seat is not None:
        held = replace(held, seat=Span(low=seat, high=seat))
    if surface is not None:
        held = replace(held, surface=Span(low=surface, high=surface))
    if top is not None:
        held = replace(held, lift=None, tops=Span(low=top, high=top))
    return held
