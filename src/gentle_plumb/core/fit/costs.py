"""What a seat, a surface and a top of the picture cost: degrees outside bands, mm of support lacking."""

from __future__ import annotations

from math import asin, atan2, degrees
from typing import NamedTuple

from ..workstation import Span
from .search_model import SearchModel

UNREACHABLE_DEG = 180.0
"""What an elbow out of reach counts, degrees: more than any joint can be off."""


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


def footing_at(
    seat: float, *, legs: float, margin: float, feet: tuple[Span, ...] | None
) -> Footing:
    """The best support for the feet at a seat: the floor where they reach it.

    Feet that hang are the worst; a support that is too high only lifts the knees.

    Parameters
    ----------
    seat, legs : float
        The seat, and the one for flat feet, mm.
    margin : float
        What a seat may be higher or lower without harm, mm.
    feet : tuple of Span or None
        Supports that are there; None where any will do.

    Examples
    --------
    >>> footing_at(510, legs=410, margin=10, feet=(Span(low=60, high=150),)).height
    100
    >>> footing_at(450, legs=410, margin=10, feet=()).lacks
    30.0

    """
    need = seat - legs
    if need <= margin + 1e-9:
        return Footing(0.0, max(0.0, -need - margin), 0.0)
    if feet is None:
        return Footing(0.0, 0.0, need)
    tries = [0.0]
    for span in feet:
        tries += span.places() or (span.clamp(need),)
    found = (
        Footing(max(0.0, need - at - margin), max(0.0, at - need - margin), at) for at in tries
    )
    best = min(found, key=lambda one: (one.lacks, one.lifts, abs(one.height - need)))
    return best if best.lacks > 1e-9 else best._replace(lacks=0.0)


def footing(model: SearchModel, seat: float) -> Footing:
    """The best support for the feet in this model; none is asked for when standing."""
    if model.legs is None:
        return Footing(0.0, 0.0, 0.0)
    return footing_at(seat, legs=model.legs, margin=model.flat_margin, feet=model.feet)


def legs_over(model: SearchModel, seat: float) -> float:
    """Degrees knee and hip are outside their bands: the seat low for the legs, or the feet lifted."""
    if model.legs is None:
        return 0.0
    up = degrees(asin(min(1.0, footing(model, seat).lifts / model.thigh_length)))
    return abs(model.knee_band.excess(90 - up)) + abs(model.hip_band.excess(model.hip_level - up))


def hangs(model: SearchModel, seat: float) -> float:
    """Mm the feet lack of a support that could be there; 0 where they rest."""
    return footing(model, seat).lacks
