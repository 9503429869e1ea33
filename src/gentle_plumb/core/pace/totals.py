"""What a day comes to: totals, longest spells, breaks of hand and eye, and the weeks of getting used to standing."""

from __future__ import annotations

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, replace
from itertools import pairwise

from ..catalogue import SCREEN_TASKS
from .day import FIRST_SPELL_MIN, FIRST_SPELLS, DayRequest, lay_day
from .spell import Spell

MICRO_S = 30
"""Length of a micro-break, seconds. Source: house-rhythm."""
EYE_EVERY_MIN, EYE_S, EYE_FAR_M = 20, 20, 6
"""Eyes: every so many minutes of screen, for so many seconds, at something so many metres away. Source: house-rhythm."""
RAMP_STEP_MIN = 5
"""Standing of a week of getting used to it goes in steps of so many minutes. House value."""


@dataclass(frozen=True, kw_only=True)
class DayTotals:
    """What a day comes to; whole minutes and counts. Sitting, standing and moving are the work together."""

    sit: int
    stand: int
    move: int
    changes: int
    micro_breaks: int
    eye_breaks: int
    longest_sit: int
    longest_stand: int


@dataclass(frozen=True, kw_only=True)
class RampWeek:
    """A week of getting used to standing: its number, minutes of standing a day, longest spell."""

    week: int
    stand: int
    longest: int


def totals_of(
    spells: Sequence[Spell], *, micro_every: int = 0, eye_every: int = EYE_EVERY_MIN
) -> DayTotals:
    """Return what a day comes to."""
    work = [spell for spell in spells if not spell.lunch]
    spent = {
        kind: sum(spell.minutes for spell in work if spell.posture == kind)
        for kind in ("sit", "stand", "move")
    }
    return DayTotals(
        **spent,
        changes=sum(a.posture != b.posture or a.lunch != b.lunch for a, b in _pairs(spells)),
        micro_breaks=len(micro_breaks(spells, micro_every)),
        eye_breaks=len(eye_breaks(spells, eye_every)),
        longest_sit=_longest(spells, "sit"),
        longest_stand=_longest(spells, "stand"),
    )


def _pairs(spells: Sequence[Spell]) -> Iterator[tuple[Spell, Spell]]:
    return pairwise(spells)


def _longest(spells: Sequence[Spell], posture: str) -> int:
    """Return the longest unbroken stretch of one posture, meetings included."""
    longest = now = 0
    for spell in spells:
        now = now + spell.minutes if spell.posture == posture and not spell.lunch else 0
        longest = max(longest, now)
    return longest


def micro_breaks(spells: Sequence[Spell], every: int) -> list[int]:
    """Return when hands and shoulders rest, minutes after midnight; moving and lunch rest them too."""
    return _regular(spells, every, lambda _: True)


def eye_breaks(spells: Sequence[Spell], every: int) -> list[int]:
    """Return when the eyes look far away; only work at a screen tires them."""

    def on_screen(spell: Spell) -> bool:
        return not spell.tasks or any(task in SCREEN_TASKS for task, _ in spell.tasks)

    return _regular(spells, every, on_screen)


def _regular(spells: Sequence[Spell], every: int, counts: Callable[[Spell], bool]) -> list[int]:
    numbers: list[int] = []
    since = 0
    for spell in spells:
        if spell.lunch or spell.posture == "move":
            since = 0
            continue
        if not every or not counts(spell):
            continue
        index = spell.at + every - since
        while index < spell.end:
            numbers.append(index)
            index += every
        since = spell.end - (index - every)
    return numbers


def ramp_weeks(full: int, weeks: int, longest: int) -> tuple[RampWeek, ...]:
    """Return the weeks of getting used to standing.

    Parameters
    ----------
    full : int
        Standing of a whole day once used to it, minutes.
    weeks : int
        How many weeks it takes, 0 to 4; none: nothing to get used to.
    longest : int
        Longest spell of standing of the rhythm, minutes.

    Examples
    --------
    >>> [week.stand for week in ramp_weeks(120, 4, 15)]
    [30, 50, 75, 95]

    """
    spell = min(FIRST_SPELL_MIN, longest)
    first = min(full, FIRST_SPELLS * spell)
    totals = []
    for week in range(1, weeks + 1):
        grown = first + (full - first) * (week - 1) / weeks
        stand = max(first, int(grown // RAMP_STEP_MIN) * RAMP_STEP_MIN)
        totals.append(RampWeek(week=week, stand=stand, longest=spell if week == 1 else longest))
    return tuple(totals)


def lay_week(asked: DayRequest, week: RampWeek) -> tuple[Spell, ...]:
    """Return the day of one week of getting used to standing."""
    longest = week.longest
    if asked.longest_stand is not None:
        longest = min(longest, asked.longest_stand)
    return lay_day(replace(asked, most_standing=week.stand, longest_stand=longest))
