"""A case: everything the fit works on, and nothing else."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field, replace
from functools import cached_property
from typing import Literal

from ..body import Body
from ..choices import Hand
from ..errors import MissingInput
from ..intake import PersonLimits
from ..language import msg
from ..policy import POLICY_RANGES, Policy
from ..reuse import Reuse
from ..tolerances import SAME_DEG
from ..workstation import (
    LOUNGES,
    ArmrestKind,
    Chair,
    ChairKind,
    Details,
    PlaceUse,
    Settings,
    Span,
    Workstation,
)

SADDLE_SLOPE_DEG = 20.0
"""How far the thighs fall on a saddle stool, degrees: the hips open by as much. Source: house-chain."""
Lens = Literal["none", "progressive", "bifocal"]


@dataclass(frozen=True, kw_only=True)
class Case:
    """A person at a workstation. Shoes and mat in mm; hours per task and day.

    ``standing_policy`` is None where standing follows the same one. ``standing_hours`` are those
    of the hours spent standing, ``settle`` how far the settle-in test moved the screen
    back (nearer: negative). ``sharp`` is where computer glasses are sharp, mm from the eye.
    ``details`` are drawn, not fitted. ``uncertain`` False leaves out how sure targets are, where
    only settings are wanted. ``person`` are the limits that the client's precautions make.
    ``declared`` are the settings as found that a fixed piece tells, and not the tape; ``use`` is how one
    works at this place. ``lean`` is how far the back will really lean, degrees, where that is known and is not
    the policy's: a backrest that is kept as it was found, or that was left elsewhere. ``hurts`` is whether any
    discomfort was recorded. ``reuse`` keeps what was worked out for the visit.
    """

    body: Body
    workstation: Workstation = Workstation()
    found_seated: Settings = Settings()
    found_standing: Settings = Settings()
    shoe_seated: float | None = None
    shoe_standing: float | None = None
    mat: float = 0.0
    lower_lens: Lens = "none"
    hours: Mapping[str, float] = field(default_factory=dict)
    standing_hours: float | None = None
    policy: Policy = Policy()
    standing_policy: Policy | None = None
    eyewear: str | None = None
    sharp: tuple[float | None, float | None] = (None, None)
    settle: float = 0.0
    writing_hand: Hand | None = None
    details: Details = Details()
    uncertain: bool = True
    person: PersonLimits = PersonLimits()
    declared: frozenset[str] = frozenset()
    use: PlaceUse = PlaceUse.BOTH
    lean: float | None = None
    hurts: bool = False
    reuse: Reuse = field(default_factory=Reuse, compare=False, repr=False)

    @property
    def least_gain_deg(self) -> float:
        """The least difference in degrees that is worth an addition: half as much for somebody it hurts."""
        return self.policy.worth_deg / 2 if self.hurts else self.policy.worth_deg

    @cached_property
    def thigh_slope(self) -> float:
        """How far the thighs fall to the knee, degrees: by the policy, or as a saddle has them."""
        return self.thigh_slope_on(self.workstation.chair)

    def thigh_slope_on(self, chair: Chair) -> float:
        """How far the thighs would fall on another chair, degrees."""
        return SADDLE_SLOPE_DEG if chair.kind == ChairKind.SADDLE else self.policy.thigh_slope

    @property
    def legs_forward(self) -> float:
        """How far the lower legs are stretched forward from upright, degrees, for a knee that bends no further."""
        most = self.person.knee_bend
        return max(0.0, 90.0 - most) if most is not None and not self.seat_stays else 0.0

    @cached_property
    def own_seat(self) -> bool:
        """Whether the client sits in seating of their own that nobody moves here: a wheelchair."""
        return self.person.own_seat or self.workstation.chair.kind == ChairKind.WHEELCHAIR

    @cached_property
    def seat_stays(self) -> bool:
        """Whether what is sat on is taken as it is: the client's own seating, a sofa or a bed."""
        return self.own_seat or self.workstation.chair.kind in LOUNGES

    @property
    def on_lap(self) -> bool:
        """Whether the work lies on the lap, on a sofa or in bed: nothing can be stood or stacked there."""
        return self.workstation.chair.kind in LOUNGES and self.workstation.desk.kind is None

    @property
    def sits(self) -> bool:
        """Whether this place is worked at sitting."""
        return self.use != PlaceUse.STAND

    @property
    def moves_up(self) -> bool:
        """Whether this place may be for standing: whether it is, its heights tell."""
        return self.use != PlaceUse.SIT

    @property
    def may_stand(self) -> bool:
        """Whether anything may be planned standing: no precaution and no wheelchair is against it."""
        return self.person.stands and not self.own_seat

    def standing(self) -> Case:
        """The same case under the policy for standing, made once."""
        return self._standing

    @cached_property
    def _standing(self) -> Case:
        if self.standing_policy is None:
            return self
        return replace(self, policy=self.standing_policy, standing_policy=None)

    def recline(self) -> float:
        """How far the back leans, degrees: as it will stand, else the policy's, as far as the backrest goes."""
        if self.lean is not None:
            return self.lean
        span = self.workstation.chair.recline
        return span.clamp(self.policy.recline) if span is not None else self.policy.recline

    def shoe(self) -> float:
        """Heel of the shoe worn when seated, mm; raises MissingInput where not recorded."""
        if self.shoe_seated is None:
            raise MissingInput("shoe_seated", msg("Footwear when seated is not recorded."))
        return self.shoe_seated

    def raised(self) -> float:
        """How far shoe and mat lift a standing body, mm; raises MissingInput likewise."""
        if self.shoe_standing is None:
            raise MissingInput("shoe_standing", msg("Footwear when standing is not recorded."))
        return self.shoe_standing + self.mat

    def keyboard_thickness(self) -> float:
        """Thickness at the home row, mm; raises MissingInput where not recorded."""
        thickness = self.workstation.keyboard.thickness
        if thickness is None:
            raise MissingInput(
                "keyboard_thickness", msg("The keyboard’s thickness is not recorded.")
            )
        return thickness


def hung_on_wall(
    station: Workstation, settings: Settings, found_standing: Settings | None = None
) -> Workstation:
    """Return the pieces with a screen on a wall at its heights over the floor.

    It is where it was found; where its mount moves, within the range that was recorded over the desk
    as that stood then. Unknown stays unknown.
    """
    screen, lift = station.screen, station.screen.top_above_surface
    if not screen.on_wall:
        return station
    position = settings.screen_top
    if position is None and found_standing is not None:
        position = found_standing.screen_top
    span = Span(low=position, high=position) if position is not None else None
    if lift is not None and settings.surface is not None and (span is None or not lift.fixed):
        span = lift.shifted(settings.surface)
    return replace(station, screen=replace(screen, on_wall_at=span))


def with_declared(settings: Settings, station: Workstation) -> tuple[Settings, frozenset[str]]:
    """Return what was found with what fixed pieces tell of themselves, and the keys of the latter.

    A piece with one place stands there, whether anybody held the tape to it or not. A wheelchair's
    is never inferred.
    """
    chair, desk = station.chair, station.desk
    if chair.kind == ChairKind.WHEELCHAIR:
        return settings, frozenset()
    spans = {
        "seat": chair.seat,
        "seat_depth": chair.depth,
        "lumbar": chair.lumbar,
        "armrest_gap": chair.armrest_gap,
        "seat_slope": chair.slope,
        "armrest": chair.armrest if chair.armrests == ArmrestKind.FIXED else None,
        "backrest": chair.recline.shifted(90.0) if chair.recline is not None else None,
        "surface": desk.surface,
    }
    said = {key: span.low for key, span in spans.items() if span is not None and span.fixed}
    told = {key: value for key, value in said.items() if settings.get(key) is None}
    return settings.over(Settings(**told)), frozenset(told)


def leaning_at(case: Case, backrest: float) -> Case:
    """Return the case with its back leaning on the backrest.

    Parameters
    ----------
    case : Case
    backrest : float
        Where it stands, degrees from level.

    """
    if case.seat_stays or case.workstation.chair.backless:
        return case
    usual = case if case.lean is None else replace(case, lean=None)
    band = POLICY_RANGES["recline"][0]
    lean = min(band.high, max(band.low, backrest - 90.0))
    return usual if abs(lean - usual.recline()) < SAME_DEG else replace(case, lean=lean)
