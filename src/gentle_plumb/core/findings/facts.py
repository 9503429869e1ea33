"""What the rules look at: the record, the fit, the photographs, the hours."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cached_property

from ..assessment import VisitAssessment
from ..fit import Case, FitResult, Posture
from ..intake import REGIONS, DiscomfortKind, DiscomfortOften
from ..language import filled, msg, numeral
from ..photo import PhotoReading
from ..plans import Added
from ..record import Record, fields
from ..units import LengthUnit
from ..visit import SeenHabit, habits_seen
from ..workstation import Settings


@dataclass(frozen=True, kw_only=True)
class Discomfort:
    """Discomfort in one region of the map; ``strength`` 0 to 10."""

    region: str
    label: str
    load: str
    strength: float
    often: DiscomfortOften | None
    kind: DiscomfortKind | None
    since: str | None
    eases: str | None

    @property
    def text(self) -> str:
        """In words: ``Small of the back 6 of 10, every day``."""
        kind = filled(", {label}", label=self.kind.label.lower()) if self.kind else ""
        often = filled(", {label}", label=self.often.label.lower()) if self.often else ""
        return msg(
            "{label} {strength} of 10{kind}{often}",
            label=self.label,
            strength=numeral(f"{self.strength:g}"),
            kind=kind,
            often=often,
        )


@dataclass(frozen=True, kw_only=True)
class Facts:
    """Everything known of a visit that a rule may look at.

    ``result`` has what each thing is meant to be; ``stands`` the workstation as it will be, where some of it stands
    already; ``added`` what the plan adds.
    """

    record: Record
    case: Case
    result: FitResult
    stands: FitResult | None = None
    photos: tuple[PhotoReading, ...] = ()
    unit: LengthUnit = "mm"
    left: tuple[Settings, Settings] = (Settings(), Settings())
    not_remeasured: tuple[frozenset[str], frozenset[str]] = (frozenset(), frozenset())
    added: tuple[Added, ...] = ()

    @cached_property
    def assessment(self) -> VisitAssessment:
        """What is true of this body as found, as aimed at and as set."""
        return VisitAssessment(
            case=self.case,
            result=self.result,
            stands=self.stands,
            left=self.left,
            not_remeasured=self.not_remeasured,
        )

    @cached_property
    def changes(self) -> dict[Posture, dict[str, float | None]]:
        """The change that was worked out for each quantity of each posture, in its unit."""
        return {
            fit.posture: {row.key: row.change for row in fit.rows}
            for fit in (self.result.seated, self.result.standing)
        }

    @cached_property
    def standing_share(self) -> float:
        """Share of the hours at the desk that are spent standing now; 0 where not recorded."""
        standing, whole = self.record[fields.ask.standing_hours], sum(self.case.hours.values())
        if not standing or not whole:
            return 0.0
        return min(1.0, standing / whole)

    def hours(self, tasks: tuple[str, ...], posture: str = "seated") -> float | None:
        """Hours a day of these tasks in a posture; None where hours are not recorded.

        Where nobody said how long they stand, sitting has all hours and standing is unknown.
        """
        asked = (tasks, posture)
        if asked not in self._hours:
            self._hours[asked] = self._hours_of(tasks, posture)
        return self._hours[asked]

    @cached_property
    def _hours(self) -> dict[tuple[tuple[str, ...], str], float | None]:
        return {}

    def _hours_of(self, tasks: tuple[str, ...], posture: str) -> float | None:
        if not self.case.hours:
            return None
        if posture == "standing" and self.record[fields.ask.standing_hours] is None:
            return None
        whole = sum(self.case.hours.get(task, 0.0) for task in tasks)
        share = self.standing_share
        return whole * (share if posture == "standing" else 1 - share)

    @cached_property
    def discomfort(self) -> tuple[Discomfort, ...]:
        """Discomfort, the strongest first."""
        discomforts = []
        for id, region in REGIONS.items():
            asked = fields.ask.discomfort[id]
            strength = self.record[asked.strength]
            if strength:
                discomforts.append(
                    Discomfort(
                        region=id,
                        label=region.label,
                        load=region.load,
                        strength=strength,
                        often=self.record[asked.often],
                        kind=self.record[asked.kind],
                        since=self.record[asked.since],
                        eases=self.record[asked.eases],
                    )
                )
        return tuple(sorted(discomforts, key=lambda felt: -felt.strength))

    @cached_property
    def seen(self) -> dict[str, SeenHabit]:
        """The habits that were seen, by name."""
        return habits_seen(self.record)

    @cached_property
    def watched(self) -> bool:
        """Whether somebody has watched them work and said that nothing else was seen."""
        return self.record.yes(fields.seen.watched)
