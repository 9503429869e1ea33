"""Zones, laptop turns and screen rules in words."""

from __future__ import annotations

from dataclasses import dataclass

from ..errors import MissingInput
from ..fit import Case, FitResult, gaze_by_rule, laptop_turns, target_distance, zones_of
from ..language import joined, msg, numeral
from ..plans import best_stack
from ..policy import POLICY_QUESTIONS
from ..sources import SOURCES
from ..units import LengthUnit, format_difference, format_length
from ..words import bare_degrees, say


@dataclass(frozen=True, kw_only=True)
class ZoneView:
    """A place on the desk, and where two rules about it disagree."""

    id: str
    label: str
    side: str
    why: str
    conflict: str | None
    source: str


@dataclass(frozen=True, kw_only=True)
class LaptopView:
    """One way to have a laptop without anything else, with what it costs and how long it may last."""

    id: str
    label: str
    raise_by: str
    costs: str
    limit: str

    @property
    def words(self) -> str:
        """The whole instruction."""
        return say("laptop.turn", label=self.label, raised=self.raise_by, limit=self.limit)


@dataclass(frozen=True, kw_only=True)
class GazeView:
    """One screen rule: its top against the eye, and the gaze to top, centre and bottom, degrees."""

    rule: str
    label: str
    top: str
    gaze: str
    chosen: bool


def zone_views(case: Case) -> list[ZoneView]:
    """Every zone, in words."""
    return [
        ZoneView(
            id=zone.id,
            label=zone.label,
            side=zone.side,
            why=zone.why,
            conflict=zone.conflict,
            source=SOURCES[zone.source].title,
        )
        for zone in zones_of(case)
    ]


def laptop_views(case: Case, unit: LengthUnit) -> list[LaptopView]:
    """Both turns of a laptop, in words; none for other screens."""
    views = []
    for turn in laptop_turns(case):
        elbow = (
            ""
            if turn.elbow is None
            else msg("; elbow and wrist {elbow}° outside", elbow=numeral(f"{turn.elbow:.0f}"))
        )
        hours = (
            msg("{hours} h a day of it; ", hours=numeral(f"{turn.hours:g}")) if turn.hours else ""
        )
        views.append(
            LaptopView(
                id=turn.id,
                label=turn.label,
                raise_by=_raised(case, turn.raise_mm, unit),
                costs=msg(
                    "Gaze {neck}° out of range{elbow}.",
                    neck=numeral(f"{turn.neck:.0f}"),
                    elbow=elbow,
                ),
                limit=msg(
                    "{hours}at most {spell_min} min at a time, then the other.",
                    hours=hours,
                    spell_min=turn.spell_min,
                ),
            )
        )
    return views


def _raised(case: Case, by: float, unit: LengthUnit) -> str:
    """How far a laptop is raised: by the stack that this room has for it, where it has one."""
    if by <= 0:
        return say("laptop.flat")
    stack = best_stack(case.workstation.items, by, "laptop")
    at = format_length(by, unit, with_unit=True)
    if stack.stack is None:
        return say("laptop.raised", at=at)
    return say(
        "laptop.on_stack",
        stack=stack.stack.text,
        height=format_length(stack.stack.height, unit, with_unit=True),
        at=at,
    )


def gaze_views(case: Case, result: FitResult, unit: LengthUnit) -> list[GazeView]:
    """Every screen rule on this client at this distance; none where size or arm are not known."""
    distance = result.seated.setting("distance") or target_distance(case)
    if distance is None:
        return []
    try:
        rules = gaze_by_rule(case, distance)
    except MissingInput:
        return []
    labels = {
        position.id: position.label for position in POLICY_QUESTIONS["screen_height"].positions
    }
    return [
        GazeView(
            rule=rule.rule,
            label=labels[rule.rule],
            chosen=rule.rule == case.policy.screen_rule,
            top=format_difference(
                rule.top, unit, up=msg("over the eye"), down=msg("under the eye")
            ),
            gaze=joined(
                ", ",
                (bare_degrees(value, 1) for value in (rule.to_top, rule.to_centre, rule.to_bottom)),
            ),
        )
        for rule in rules
    ]
