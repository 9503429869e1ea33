"""What the rules look at: the record, the fit, the photographs, the hours."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from functools import cached_property

from ..assessment import VisitAssessment
from ..fit import Case, FitResult
from ..intake import OFTEN, REGIONS
from ..photo import PhotoReading
from ..units import LengthUnit
from ..workstation import Settings

Entries = Mapping[str, float | str | None]


@dataclass(frozen=True, kw_only=True)
class Discomfort:
    """Discomfort in one region of the map."""

    region: str
    label: str
    load: str
    strength: float
    often: str | None
    since: str | None
    eases: str | None

    @property
    def text(self) -> str:
        """In words: ``Small of the back 6 of 10, every day``."""
        often = f", {OFTEN[self.often].lower()}" if self.often in OFTEN else ""
        return f"{self.label} {self.strength:g} of 10{often}"


@dataclass(frozen=True, kw_only=True)
class Facts:
    """Everything known of a visit that a rule may look at."""

    entries: Entries
    case: Case
    result: FitResult
    photos: tuple[PhotoReading, ...] = ()
    unit: LengthUnit = "mm"
    texts: Mapping[str, str] = field(default_factory=dict)
    left: tuple[Settings, Settings] = (Settings(), Settings())
    not_remeasured: tuple[frozenset[str], frozenset[str]] = (frozenset(), frozenset())

    def text(self, path: str) -> str | None:
        """A text or choice of the record."""
        value = self.entries.get(path)
        return value if isinstance(value, str) else None

    def number(self, path: str) -> float | None:
        """A number or length of the record."""
        value = self.entries.get(path)
        return float(value) if isinstance(value, int | float) else None

    @cached_property
    def assessment(self) -> VisitAssessment:
        """What is true of this body as found, as aimed at and as set."""
        return VisitAssessment(
            case=self.case, result=self.result, left=self.left, not_remeasured=self.not_remeasured
        )

    @cached_property
    def standing_share(self) -> float:
        """Share of the hours at the desk that are spent standing now; 0 where not recorded."""
        standing, whole = self.number("ask.standing_hours"), sum(self.case.hours.values())
        if not standing or not whole:
            return 0.0
        return min(1.0, standing / whole)

    def hours(self, tasks: tuple[str, ...], posture: str = "seated") -> float | None:
        """Hours a day of these tasks in a posture; None where hours are not recorded.

        Where nobody said how long they stand, sitting has all hours and standing is unknown.
        """
        if not self.case.hours:
            return None
        if posture == "standing" and self.number("ask.standing_hours") is None:
            return None
        whole = sum(self.case.hours.get(task, 0.0) for task in tasks)
        share = self.standing_share
        return whole * (share if posture == "standing" else 1 - share)

    @cached_property
    def felt(self) -> tuple[Discomfort, ...]:
        """Discomfort, the strongest first."""
        found = []
        for id, region in REGIONS.items():
            start = f"ask.discomfort.{id}"
            strength = self.number(start)
            if strength:
                found.append(
                    Discomfort(
                        region=id,
                        label=region.label,
                        load=region.load,
                        strength=strength,
                        often=self.text(f"{start}.often"),
                        since=self.text(f"{start}.since"),
                        eases=self.text(f"{start}.eases"),
                    )
                )
        return tuple(sorted(found, key=lambda felt: -felt.strength))

    @cached_property
    def watched(self) -> bool:
        """Whether somebody has watched them work and said that nothing else was seen."""
        return self.text("look.watched") == "yes"
