"""What a seat, a surface and a top of the picture cost: degrees outside bands, mm of support lacking."""

from __future__ import annotations

from math import asin, atan2, degrees
from typing import NamedTuple

from ..posture import thigh_slope_deg
from ..tolerances import ROUNDING
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


def _range_of_tops(model: SearchModel, surface: float) -> tuple[float, float, float | None] | None:
    """Where the top of the picture can be over the floor: lowest, highest, step."""
    lift, tops = model.lift, model.tops
    if lift is None:
        return None if tops is None else (tops.low, tops.high, tops.step)
    if tops is None:
        return lift.low + surface, lift.high + surface, lift.step
    low = max(lift.low + surface, tops.low)
    return low, max(low, min(lift.high + surface, tops.high)), None


class PictureTop(NamedTuple):
    """A top of the picture: degrees outside its band, mm from its target, its height over the floor, mm."""

    excess_deg: float
    apart: float
    height: float


def best_top(model: SearchModel, seat: float, surface: float) -> PictureTop:
    """Return the best top of the picture."""
    assert model.eye is not None
    eye = model.eye + seat
    band, want = model.top_band, eye + model.top_target
    ends = _range_of_tops(model, surface)
    if ends is None:
        return PictureTop(0.0, 0.0, want)
    low, high, step = ends
    if step is None or low == high:
        return _top_at(model, eye, want, min(high, max(low, want)))
    span = Span(low=low, high=high, step=step)
    tries = [span.clamp(want), span.clamp(eye + band.low), span.clamp(eye + band.high)]
    inside = span.within(eye + band.low, eye + band.high)
    tries += [inside] if inside is not None else []
    return min(_top_at(model, eye, want, top) for top in tries)


def _top_at(model: SearchModel, eye: float, want: float, top: float) -> PictureTop:
    over, band = top - eye, model.top_band
    if band.low <= over <= band.high:
        return PictureTop(0.0, abs(top - want), top)
    edge = band.low if over < band.low else band.high
    off = abs(degrees(atan2(over, model.distance) - atan2(edge, model.distance)))
    return PictureTop(0.0 if off < ROUNDING else off, abs(top - want), top)


def gaze_over(model: SearchModel, seat: float, surface: float) -> tuple[float, float]:
    """Degrees the top of the picture lies outside its band at best, and mm from its target."""
    if model.eye is None or (model.lift is None and model.tops is None):
        return 0.0, 0.0
    return best_top(model, seat, surface)[:2]


class Footing(NamedTuple):
    """What the feet stand on, mm: what they lack of it, how far it lifts the knees, its height."""

    shortfall_mm: float
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
    >>> footing_at(450, legs=410, margin=10, feet=()).shortfall_mm
    30

    """
    need = seat - legs
    if need <= margin + ROUNDING:
        return Footing(0.0, max(0.0, -need - margin), 0.0)
    if feet is None:
        return Footing(0.0, 0.0, need)
    best = Footing(need - margin, 0.0, 0.0)
    nearest = need
    for span in feet:
        for height in span.places() or (span.clamp(need),):
            away = need - height
            outside = abs(away) > margin
            tried = Footing(
                shortfall_mm=max(0.0, away - margin) if outside else 0.0,
                lifts=max(0.0, -away - margin) if outside else 0.0,
                height=height,
            )
            if (tried.shortfall_mm, tried.lifts, abs(away)) < (
                best.shortfall_mm,
                best.lifts,
                nearest,
            ):
                best, nearest = tried, abs(away)
    return best if best.shortfall_mm > ROUNDING else best._replace(shortfall_mm=0.0)


class Legs(NamedTuple):
    """What the legs pay at a seat: mm the feet lack of a support, degrees of knee and hip."""

    foot_gap_mm: float
    excess_deg: float


def legs_at(model: SearchModel, seat: float) -> Legs:
    """What the legs pay: feet that hang, or a seat low for them or a support that lifts them."""
    if model.legs is None:
        return Legs(0.0, 0.0)
    stand = footing_at(seat, legs=model.legs, margin=model.flat_margin, feet=model.feet)
    slope = thigh_slope_deg(
        seat=seat - stand.height,
        legs=model.legs,
        margin=model.flat_margin,
        level=model.legs if model.level is None else model.level,
        wanted=model.thigh_slope,
        buttock_popliteal_length=model.thigh_length,
    )
    knee, hip = model.knee_band.excess(90 + slope), model.hip_band.excess(model.hip_level + slope)
    return Legs(stand.shortfall_mm, abs(knee) + abs(hip))
