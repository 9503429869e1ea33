"""What to measure again, ranked by what it would narrow; and what a visit's targets read at all."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace
from math import sqrt

from ..body import (
    DIMENSIONS,
    REPEAT_SD_FLOOR_MM,
    USUAL_LUMBAR_MM,
    Body,
    BodyValue,
    house_error,
    in_order,
)
from ..choices import Hand
from ..policy import Policy
from ..tolerances import SAME_MM
from ..workstation import (
    AspectRatio,
    ChairKind,
    Details,
    Keyboard,
    KeyboardKind,
    Screen,
    ScreenKind,
    Settings,
    Workstation,
)
from .case import Case, Lens
from .fit import fit
from .result import FitResult, Posture


@dataclass(frozen=True, kw_only=True)
class UncertaintyReduction:
    """One target: its standard deviation now and after, mm or degrees."""

    key: str
    posture: Posture
    label: str
    before: float
    after: float


@dataclass(frozen=True, kw_only=True)
class RemeasureSuggestion:
    """One dimension to measure (again): its standard deviation now and after, mm."""

    dimension: str
    sd_mm: float
    after_mm: float
    narrows: tuple[UncertaintyReduction, ...]

    @property
    def gain(self) -> float:
        """Sum over the targets of how far they narrow, for ranking."""
        return sum(narrow.before - narrow.after for narrow in self.narrows)


def _careful(name: str, errors: Mapping[str, float]) -> float:
    """Standard deviation after two readings that agree, mm."""
    value = errors.get(name, house_error(DIMENSIONS[name].repeat_limit_mm))
    return max(REPEAT_SD_FLOOR_MM, value / sqrt(2))


def suggest_remeasurement(
    body: Body, result: FitResult, errors: Mapping[str, float] | None = None
) -> list[RemeasureSuggestion]:
    """Rank the dimensions by what two careful readings of each would narrow.

    Parameters
    ----------
    body : Body
    result : FitResult
        Worked out from it.
    errors : mapping, optional
        The practitioner's error of one reading by dimension, mm; the house's where not given.

    Returns
    -------
    list of Again
        The greatest gain first; only what narrows some target by half a millimetre or more.

    """
    all_uncertainty_reductions: dict[str, list[UncertaintyReduction]] = {}
    for row in (*result.seated.rows, *result.standing.rows):
        if row.sd is None or (row.posture == "standing" and not result.standing.possible):
            continue
        for name, share in row.shares:
            value = body.value(name)
            after = _careful(name, errors or {})
            if after >= value.sd_mm or not share:
                continue
            rest = row.sd**2 - share**2 + (share * after / value.sd_mm) ** 2
            narrowed = UncertaintyReduction(
                key=row.key,
                posture=row.posture,
                label=row.label,
                before=row.sd,
                after=sqrt(max(0.0, rest)),
            )
            if narrowed.before - narrowed.after >= SAME_MM:
                all_uncertainty_reductions.setdefault(name, []).append(narrowed)
    again = [
        RemeasureSuggestion(
            dimension=name,
            sd_mm=body.value(name).sd_mm,
            after_mm=_careful(name, errors or {}),
            narrows=tuple(sorted(rows, key=lambda reduction: reduction.after - reduction.before)),
        )
        for name, rows in all_uncertainty_reductions.items()
    ]
    return sorted(again, key=lambda suggestion: (-suggestion.gain, suggestion.dimension))


def dimensions_needed(case: Case) -> tuple[str, ...]:
    """The dimensions this visit's targets read, in the order of measuring.

    What is not recorded of the workstation yet is taken as a usual piece, so that nothing is
    left out for want of a look. What a target reads but an estimate does for (hands, belly) is
    left to the full list. Stature comes with them: estimates and doubts rest on it.
    """
    wheelchair = case.workstation.chair.kind == ChairKind.WHEELCHAIR
    stands = not wheelchair and case.workstation.desk.kind != "fixed"
    return case.reuse.hashed(_needed)(
        case.workstation, case.lower_lens, case.policy, stands, wheelchair
    )


def _needed(
    station: Workstation, lens: Lens, policy: Policy, stands: bool, wheelchair: bool
) -> tuple[str, ...]:
    usual = Screen.picture(24, AspectRatio.WIDE)
    screen = station.screen
    if screen.kind is None:
        screen = replace(screen, kind=ScreenKind.MONITOR, width=usual[0], height=usual[1])
    station = replace(
        station,
        desk=replace(
            station.desk,
            thickness=station.desk.thickness or 25.0,
            depth=station.desk.depth or 800.0,
        ),
        keyboard=Keyboard(
            kind=station.keyboard.kind or KeyboardKind.FULL,
            thickness=station.keyboard.thickness or 20.0,
        ),
        mouse=replace(station.mouse, hand=station.mouse.hand or Hand.RIGHT),
        screen=screen,
    )
    values = {
        name: BodyValue(
            mm=spread.mean_mm if (spread := entry.spread(None)) else USUAL_LUMBAR_MM,
            sd_mm=REPEAT_SD_FLOOR_MM,
            source="measured",
        )
        for name, entry in DIMENSIONS.items()
    }
    body, seen = Body(values=values).traced()
    fit(
        Case(
            body=body,
            workstation=station,
            shoe_seated=25.0,
            shoe_standing=25.0,
            lower_lens=lens,
            policy=policy,
            found_seated=Settings(),
            found_standing=Settings(),
            details=Details(),
        )
    )
    standing = {name for name, entry in DIMENSIONS.items() if entry.posture == "standing"}
    wanted = {name for name in (seen if stands else seen - standing) if DIMENSIONS[name].needed}
    return in_order(wanted if wheelchair else {*wanted, "stature"})
