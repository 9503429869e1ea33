"""What the search is given and what it answers, as plain numbers."""

from __future__ import annotations

from dataclasses import dataclass, field
from typing import Any

from ..changed import changed
from ..policy import JOINT_BANDS, Band
from ..reuse import Reuse
from ..workstation import Span

SEAT_LATTICE = Span(low=250, high=900)
SURFACE_LATTICE = Span(low=350, high=1500)
"""What a height is searched in where the equipment's own range is unknown, mm."""

LEVEL = Span(low=0, high=0)
USUAL_DISTANCE_MM = 600.0
"""Reckoned with where nothing tells the eye's distance. Source: house-screen."""


@dataclass(frozen=True, kw_only=True)
class SearchModel:
    """Everything the search needs, as plain numbers (mm, degrees).

    ``elbow`` and ``eye`` count from the seat (standing: the floor); ``legs`` is the seat for flat
    feet, None when standing. ``lift`` is how high over the surface the top of the picture can be,
    ``tops`` how high over the floor; None where nothing binds it. ``top_band`` is the wanted top
    over the eye and ``top_target`` the place in it. ``least_gap`` is the least surface over seat
    that leaves room for thighs and armrests, or ``highest_seat`` the seat under something that stays; None
    where unknown or no matter, and never both. ``feet`` are the supports there are, None where any will do.
    ``slopes`` is how the keys can slope. ``hip_level`` is the hip with level thighs, ``level`` the seat
    for them (None: the same as ``legs``), ``thigh_slope`` the slope that ``legs`` is for. ``hands_first`` is the order of preference 5.
    ``together`` weighs the picture with the hands, as where keys and picture are one piece; else seat and surface
    are for legs and hands, and the picture follows. ``reuse`` keeps what was found for the visit.
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
    level: float | None = None
    thigh_slope: float = 0.0
    wrist_band: Band = JOINT_BANDS["wrist"]
    slopes: Span = LEVEL
    flat_margin: float = 10.0
    eye: float | None = None
    distance: float = USUAL_DISTANCE_MM
    lift: Span | None = None
    tops: Span | None = None
    top_band: Band = Band(low=-50, high=0)
    top_target: float = 0.0
    least_gap: float | None = None
    highest_seat: float | None = None
    feet: tuple[Span, ...] | None = None
    first: str = "fixed"
    hands_first: bool = False
    together: bool = False
    reuse: Reuse = field(default_factory=Reuse, compare=False, repr=False)


@dataclass(frozen=True, kw_only=True)
class Solution:
    """The optimum: heights in mm, degrees outside bands, and what hard limits lack, mm.

    ``top`` is None where the picture can stand anywhere or the eye is unknown. ``priority_cost`` is what
    the policy's first piece is off by: mm of the seat, or degrees of the hands. ``gaze`` is the part of
    ``excess_deg`` that the picture has where it only follows.
    """

    seat: float
    surface: float
    top: float | None
    excess_deg: float
    footrest: bool
    foot_gap_mm: float
    thigh_pressed_mm: float
    priority_cost: float = 0.0
    gaze: float = 0.0

    @property
    def thighs_pressed(self) -> bool:
        """Whether no setting leaves the thighs room."""
        return self.thigh_pressed_mm > 0

    @property
    def shortfall_mm(self) -> float:
        """Mm that hard limits lack, all together."""
        return round(self.foot_gap_mm + self.thigh_pressed_mm, 6)

    @property
    def rank(self) -> tuple[float, float, float, float]:
        """What counts before additions do: hard limits, the policy's first piece, degrees.

        Those of legs and hands come before those of a picture that follows.
        """
        return (
            self.shortfall_mm,
            self.priority_cost,
            round(self.excess_deg - self.gaze, 6),
            self.gaze,
        )


def without_picture(model: SearchModel) -> SearchModel:
    """The same model for seat and surface alone."""
    return changed(model, eye=None, lift=None, tops=None)


def hold(
    model: SearchModel,
    *,
    seat: float | None = None,
    surface: float | None = None,
    top: float | None = None,
) -> SearchModel:
    """The same model with what is given held where it is."""
    held: dict[str, Any] = {}
    if seat is not None:
        held["seat"] = Span(low=seat, high=seat)
    if surface is not None:
        held["surface"] = Span(low=surface, high=surface)
    if top is not None:
        held |= {"lift": None, "tops": Span(low=top, high=top)}
    return changed(model, **held) if held else model
