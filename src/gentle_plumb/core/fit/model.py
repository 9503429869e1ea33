"""From a case to the search's numbers."""

from __future__ import annotations

from dataclasses import dataclass, field, replace
from typing import Any

from ..errors import MissingInput
from ..language import msg
from ..policy import JOINT_BANDS, Band
from ..workstation import ScreenKind, Workstation
from .case import Case
from .distance import Depth, along_the_floor, distance_terms, laptop_distance, reachable_distance
from .frame import (
    elbow_terms,
    eye_terms,
    legs_terms,
    level_seat,
    reach,
    standing_elbow_terms,
    standing_eye_terms,
)
from .person import hip_band, not_low
from .piece_ranges import armrest_need, own_seat_span, reach_of
from .result import Posture
from .screen_rules import TopBand, top_band
from .search_model import LEVEL, USUAL_DISTANCE_MM, SearchModel
from .terms import total


@dataclass(frozen=True, kw_only=True)
class Lengths:
    """What the body and the policies give the search, whatever the furniture; mm, degrees."""

    case: Case
    posture: Posture
    elbow: float
    reach: float
    legs: float | None
    thigh_length: float
    thigh_need: float | None
    eye: float | None
    distance: float | None
    hip_level: float
    level: float | None
    floor: Depth | None
    bands: dict[float, TopBand | None] = field(default_factory=dict, compare=False, repr=False)

    @classmethod
    def of(cls, case: Case, posture: Posture) -> Lengths:
        """Raises MissingInput where elbow, reach or shoes are not known."""
        body, policy, seated = case.body, case.policy, posture == "seated"
        elbow = total((elbow_terms if seated else standing_elbow_terms)(body, case))
        try:
            eye = total((eye_terms if seated else standing_eye_terms)(body, case))
        except MissingInput:
            eye = None
        thigh = None
        if seated and body.has("thigh_clearance"):
            thigh = body.mm("thigh_clearance") + policy.thigh_room
        on_feet = seated and not case.seat_stays  # a wheelchair's footplates carry the feet
        distance = target_distance(case)
        return cls(
            case=case,
            posture=posture,
            elbow=elbow,
            reach=reach(body),
            eye=eye,
            legs=total(legs_terms(body, case)) if on_feet else None,
            thigh_length=body.mm("buttock_popliteal_length") if on_feet else 1.0,
            thigh_need=thigh,
            distance=distance,
            hip_level=90 + case.recline(),
            level=level_seat(body, case) if on_feet else None,
            floor=_floor(case, distance, seated=seated),
        )

    def distance_at(self, station: Workstation) -> float:
        """Eye to picture as this desk allows it, mm; the usual one where nothing tells it."""
        if self.distance is None:
            return USUAL_DISTANCE_MM
        if self.floor is None or station.screen.kind == ScreenKind.LAPTOP:
            return self.distance
        return reachable_distance(self.case, self.floor, station, self.distance)

    def _legs_on(self, station: Workstation) -> float | None:
        """The seat for flat feet on this chair: a saddle lets the thighs fall."""
        slope = self.case.thigh_slope_on(station.chair)
        if self.legs is None or slope == self.case.thigh_slope:
            return self.legs
        return total(legs_terms(self.case.body, replace(self.case, workstation=station)))

    def _band(self, distance: float) -> TopBand | None:
        """The band of the picture's top at a distance; None where the rule misses something."""
        if distance not in self.bands:
            try:
                self.bands[distance] = top_band(self.case, distance)
            except MissingInput:
                self.bands[distance] = None
        return self.bands[distance]

    def picture(self, station: Workstation) -> dict[str, Any]:
        """What of :meth:`model` is about the picture: the rest does not depend on the screen."""
        distance = self.distance_at(station)
        band = self._band(distance)
        lift, tops = reach_of(station, self.posture)
        return {
            "eye": self.eye if self.distance is not None and band is not None else None,
            "distance": distance,
            "lift": lift,
            "tops": tops,
            "top_band": Band(low=band.low, high=band.high) if band else Band(low=-50, high=0),
            "top_target": band.aim if band else 0.0,
        }

    def model(
        self, station: Workstation, *, free: bool = False, together: bool = False
    ) -> SearchModel:
        """The search's numbers for these pieces.

        Parameters
        ----------
        station : Workstation
        free : bool
            True lets every movable piece move without end and ignores thighs and feet: what body
            and fixed pieces ask for.
        together : bool
            True weighs the picture with the hands; a laptop always does.

        Raises
        ------
        MissingInput
            If the keyboard's thickness, or a height the screen rule needs, is not known.

        """
        case, policy, desk = self.case, self.case.policy, station.desk
        seated = self.posture == "seated"
        if station.keyboard.thickness is None:
            raise MissingInput(
                "keyboard_thickness", msg("The keyboard’s thickness is not recorded.")
            )
        picture = self.picture(station)
        surface, seat = desk.surface, station.chair.seat if seated else LEVEL
        if seated and case.seat_stays:
            seat = own_seat_span(case)
        elif seated and seat is not None and self.level is not None:
            seat = not_low(case, seat, self.level)
        fixed = surface is not None and surface.fixed
        if free:
            surface = surface if fixed else None
            seat = seat if not seated or case.seat_stays else None
            if station.screen.kind != ScreenKind.LAPTOP:
                picture["lift"] = None
            picture["tops"] = None
        need, under = None, desk.underside
        if seated and not free:
            rests = armrest_need(station)
            needs = [value for value in (self.thigh_need, rests) if value is not None]
            need = max(needs) if needs else None
        return SearchModel(
            elbow=self.elbow,
            reach=self.reach,
            keyboard=station.keyboard.thickness,
            elbow_target=policy.elbow_angle,
            elbow_band=policy.elbow_band,
            seat=seat,
            surface=surface,
            legs=self._legs_on(station),
            level=self.level,
            thigh_slope=case.thigh_slope_on(station.chair),
            thigh_length=self.thigh_length,
            hip_level=self.hip_level,
            hip_band=hip_band(case),
            knee_band=JOINT_BANDS["knee"],
            slopes=desk.tilt or LEVEL,
            flat_margin=policy.flat_feet_margin,
            least_gap=need + desk.thickness
            if need is not None and desk.thickness is not None and under is None
            else None,
            highest_seat=under - need if need is not None and under is not None else None,
            feet=(station.feet or ()) if seated and not free else None,
            first=policy.first,
            hands_first=fixed and policy.first != "feet",
            together=together or station.screen.kind == ScreenKind.LAPTOP,
            reuse=case.reuse,
            **picture,
        )


def _floor(case: Case, distance: float | None, *, seated: bool) -> Depth | None:
    """Where things stand along the floor for a distance; None where that can't be told."""
    if distance is None or case.workstation.screen.kind == ScreenKind.LAPTOP:
        return None
    try:
        return along_the_floor(
            case.body, case, elbow_deg=case.policy.elbow_angle, distance=distance, seated=seated
        )
    except MissingInput:
        return None


def search_model(case: Case, posture: Posture, *, free: bool = False) -> SearchModel:
    """The search's numbers for a case; raises MissingInput for what it can't do without."""
    case = case if posture == "seated" else case.standing()
    return Lengths.of(case, posture).model(case.workstation, free=free)


def target_distance(case: Case) -> float | None:
    """Eye to picture to reckon the gaze with, mm; None where the arm is not known."""
    try:
        if case.workstation.screen.kind == ScreenKind.LAPTOP:
            return laptop_distance(case.body, case, elbow_deg=case.policy.elbow_angle)
        return total(distance_terms(case.body, case))
    except MissingInput:
        return None
