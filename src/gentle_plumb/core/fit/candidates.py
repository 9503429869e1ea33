"""Seats and strata that a search has to try."""

from __future__ import annotations

from collections.abc import Iterable
from math import radians, sin

from ..workstation import Span
from .search_model import SearchModel


def turning_seats(model: SearchModel, span: Span, surface: Span, gaps: list[float]) -> set[float]:
    """Seats where something changes, within the span."""
    points = {span.low, span.high}
    legs = model.legs
    if legs is not None:
        points.add(legs)
        level, margin = legs if model.level is None else model.level, model.flat_margin
        closed = model.thigh_length * _sin(model.hip_level - model.hip_band.low)
        opened = model.thigh_length * _sin(model.hip_band.low - model.hip_level)
        turns = (
            legs - margin,
            legs + margin,
            level,
            level - margin,
            level - margin - closed,
            level + opened,
        )
        places = {
            place for feet in model.feet or () for place in feet.places() or (feet.low, feet.high)
        }
        points |= {turn + place for place in {0.0, *places} for turn in turns}
    if model.highest_seat is not None:
        points.add(model.highest_seat)
    ends = surface.places() if surface.fixed else (surface.low, surface.high)
    for gap in gaps:
        points |= {end - gap for end in ends or ()}
    if model.eye is not None and model.tops is not None:
        for top in model.tops.places() or (model.tops.low, model.tops.high):
            points |= {top - model.eye - edge for edge in (model.top_band.low, model.top_band.high)}
    return {seat for seat in points if span.low <= seat <= span.high}


def _sin(angle: float) -> float:
    return sin(radians(max(0.0, angle)))


def by_legs(model: SearchModel, seats: Iterable[float]) -> list[float]:
    """Nearest the legs first."""
    legs = model.legs
    return (
        sorted(seats) if legs is None else sorted(seats, key=lambda seat: (abs(seat - legs), seat))
    )


FEW_PLACES = 24
"""A surface with no more places than this is looked at place by place."""


def strata_of(surfaces: Span) -> list[Span]:
    """The surface as places one by one where it has few, else as it is."""
    places = surfaces.places()
    if places is None or len(places) > FEW_PLACES:
        return [surfaces]
    return [Span(low=place, high=place) for place in places]
