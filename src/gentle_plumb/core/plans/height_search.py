"""Both postures solved for one set of pieces, the practitioner's own numbers held."""

from __future__ import annotations

from dataclasses import dataclass
from math import asin, degrees

from ..catalogue import Tier
from ..errors import MissingInput
from ..fit import Case, Lengths, Solution, elbow_terms, search, stands_too, total
from ..tolerances import SAME_MM
from ..workstation import Chair, Settings, Workstation
from .addition_set import AdditionSet, key_of_set
from .comfort import comfort_deg
from .frontier import Quality
from .posture_search import PostureSearch


@dataclass(frozen=True, kw_only=True)
class Heights:
    """Both postures of one set of pieces.

    ``pieces`` are the degrees that chair and armrests cost at any height.
    """

    seated: Solution
    standing: Solution | None
    pieces: float = 0.0

    def quality(self, bare: Heights | None = None) -> Quality:
        """How well it fits; ``bare`` are the heights without additions."""
        first = self.seated.priority_cost
        over = self.seated.excess_deg + self.pieces
        worse = bare is not None and (
            self.seated.thigh_pressed_mm > bare.seated.thigh_pressed_mm + SAME_MM
            or self.seated.foot_gap_mm > bare.seated.foot_gap_mm + SAME_MM
        )
        if self.standing is not None:
            first += self.standing.priority_cost
            over += self.standing.excess_deg
        return Quality(worse, self.seated.shortfall_mm, round(first, 6), round(over, 6))


@dataclass(frozen=True, kw_only=True)
class OwnNumbers:
    """The practitioner's own numbers, seated and standing, and the additions ticked for a plan of their own."""

    seated: Settings = Settings()
    standing: Settings = Settings()
    taken: frozenset[str] = frozenset()


class HeightSearch:
    """Solves sets of pieces for one case, the practitioner's own numbers held."""

    def __init__(
        self, case: Case, own: OwnNumbers | None = None, *, together: bool = False
    ) -> None:
        """Raises MissingInput where elbow, reach, shoes or keyboard are not known.

        ``together`` weighs the picture with the hands, as a general solver does; ``cut_short`` are the tiers whose
        sets were too many to be tried all.
        """
        self.case, self.own = case, own or OwnNumbers()
        self.cut_short: set[Tier] = set()
        self._asked: dict[Chair, float] = {}
        self._known: dict[tuple[object, ...], Heights] = {}
        self._stations: dict[tuple[object, ...], Workstation] = {(): case.workstation}
        self._standing: PostureSearch | None = None
        if not case.sits:  # standing is all there is
            only = Lengths.of(case.standing(), "standing")
            self._seated = PostureSearch(only, self.own.standing, together=together)
            return
        seated = Lengths.of(case, "seated")
        self._seated = PostureSearch(seated, self.own.seated, together=together)
        try:
            standing = Lengths.of(case.standing(), "standing")
            if stands_too(case, search(standing.model(case.workstation))):
                self._standing = PostureSearch(standing, self.own.standing, together=together)
        except MissingInput:
            pass

    @property
    def work(self) -> int:
        """What was asked of both postures, as :func:`.budget.work_of` counts it."""
        return self._seated.work + (self._standing.work if self._standing is not None else 0)

    def heights_with(
        self, kit: AdditionSet, *, any_feet: bool = False, any_top: bool = False
    ) -> Heights:
        """Both postures with a set of additions, as :meth:`heights`; every set is worked out once.

        What one tier asks the next asks again.
        """
        key = (key_of_set(kit), any_feet, any_top)
        known = self._known.get(key)
        if known is None:
            station = self._station(kit, key[0])
            known = self._known[key] = self.heights(station, any_feet=any_feet, any_top=any_top)
        return known

    def _station(self, kit: AdditionSet, key: tuple[object, ...]) -> Workstation:
        """The pieces with a set; those that its last addition leaves alone are the same objects as without it."""
        station = self._stations.get(key)
        if station is None:
            before = self._station(kit[:-1], key[:-1])
            station = self._stations[key] = kit[-1].apply(before)
        return station

    def heights(
        self, station: Workstation, *, any_feet: bool = False, any_top: bool = False
    ) -> Heights:
        """Both postures; with any support or any height of the picture, a bound for what follows."""
        standing = self._standing
        return Heights(
            seated=self._seated.solve(station, any_feet=any_feet, any_top=any_top),
            standing=standing.solve(station, any_feet=any_feet, any_top=any_top)
            if standing is not None
            else None,
            pieces=shoulder_over(self.case, station) + self._comfort(station)
            if self.case.sits
            else 0.0,
        )

    def _comfort(self, station: Workstation) -> float:
        """What the chair asks of the body, degrees; worked out once for each chair."""
        if station.chair not in self._asked:
            self._asked[station.chair] = comfort_deg(self.case, station)
        return self._asked[station.chair]


def shoulder_over(case: Case, station: Workstation) -> float:
    """Degrees that armrests which can't go low enough lift the shoulder, whatever the heights."""
    chair = station.chair
    span = chair.armrest
    if chair.armrests_idle or span is None or case.policy.armrest_use == "off" or case.seat_stays:
        return 0.0
    try:
        elbow = total(elbow_terms(case.body, case))
        half = case.body.mm("shoulder_breadth_biacromial") / 2
    except MissingInput:
        return 0.0
    lift = max(0.0, span.clamp(elbow - case.policy.armrest_below_elbow) - elbow)
    return degrees(asin(min(1.0, lift / half)))
