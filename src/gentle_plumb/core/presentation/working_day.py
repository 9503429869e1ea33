"""The working day in words: rhythms to choose from, tasks with their postures, spells, weeks, tips."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import Literal

from ..catalogue import TASKS
from ..intake import Demand, PersonLimits
from ..language import joined, msg
from ..pace import (
    EYE_FAR_M,
    MICRO_S,
    OWN,
    RHYTHMS,
    DayTotals,
    Elsewhere,
    Spell,
    TaskDay,
    clock,
    lay_day,
    totals_of,
)
from ..visit import WorkingDay
from ..words import say

LAPTOP_MIN = {"low": 20, "raised": 40}
"""Longest spell with a laptop alone, low and raised, minutes. Source: house-laptop."""


@dataclass(frozen=True, kw_only=True)
class RhythmView:
    """A rhythm over this client's day; ``why_not`` where it can't be kept."""

    id: str
    label: str
    says: str
    possible: bool
    totals: DayTotals
    why_not: str | None = None


@dataclass(frozen=True, kw_only=True)
class SpellView:
    """A stretch of the day in words: from, to, minutes, what posture, what is done in it.

    ``start`` is when it begins, minutes after midnight; ``kind`` where it comes from, ``id`` its name in the
    record where it was put there by hand (``pace.spell.<id>``), or would be.
    """

    id: str
    kind: Literal["rhythm", "own", "meeting", "lunch"]
    start: int
    at: str
    end: str
    minutes: int
    posture: str
    label: str
    tasks: str


@dataclass(frozen=True, kw_only=True)
class TaskView:
    """A task of the day: how it is done and why; with a laptop alone, how that stands and for how long."""

    id: str
    label: str
    minutes: int
    posture: str
    reason: str
    own: bool
    laptop: str


@dataclass(frozen=True, kw_only=True)
class WeekView:
    """A week of getting used to standing."""

    week: int
    label: str
    says: str


@dataclass(frozen=True, kw_only=True)
class DayView:
    """A day in words. ``week`` is the one shown, 0 once used to it; ``stands`` whether one may stand in it."""

    start: str
    end: str
    rhythm: str
    rhythm_label: str
    proposed: str
    week: int
    spells: list[SpellView]
    totals: DayTotals
    weeks: list[WeekView]
    tasks: list[TaskView]
    says: str
    eyes: str
    tips: list[str]
    stands: bool


def rhythm_views(day: WorkingDay, person: PersonLimits) -> list[RhythmView]:
    """Return every rhythm as this client's day would go by it; those that can be kept come first."""
    ids = (*RHYTHMS, *([OWN] if day.chosen == OWN else []))
    views = [_rhythm_view(day, id, person) for id in ids]
    return sorted(views, key=lambda view: not view.possible)


def _rhythm_view(day: WorkingDay, id: str, person: PersonLimits) -> RhythmView:
    rhythm = RHYTHMS.get(id, day.rhythm)
    label, says = rhythm.words_for(walks=person.walks, stands=day.asked.stands)
    laid = lay_day(replace(day.asked, pattern=rhythm.pattern))
    why_not = rhythm.barred_by(person, desk_stands=day.asked.stands)
    return RhythmView(
        id=id,
        label=label,
        says=says,
        possible=why_not is None,
        totals=totals_of(laid, micro_every=rhythm.micro_every, eye_every=day.eye_every),
        why_not=why_not,
    )


def day_view(day: WorkingDay, person: PersonLimits, week: int = 0) -> DayView:
    """Return a day in words.

    Parameters
    ----------
    day : WorkingDay
    person : PersonLimits
        Whose movements and advice it keeps to.
    week : int
        The week of getting used to standing that is shown; 0: once used to it.

    """
    week = week if any(ramp_week.week == week for ramp_week in day.weeks) else 0
    spells = day.week(week)
    totals = totals_of(spells, micro_every=day.micro_every, eye_every=day.eye_every)
    label, says = day.rhythm.words_for(walks=person.walks, stands=day.asked.stands)
    return DayView(
        start=clock(spells[0].at),
        end=clock(spells[-1].end),
        rhythm=day.rhythm.id,
        rhythm_label=label,
        proposed=day.proposed,
        week=week,
        spells=[_spell_view(spell, walks=person.walks) for spell in spells],
        totals=totals,
        weeks=_weeks(day),
        tasks=[_task_view(task) for task in day.asked.tasks],
        says=says,
        eyes=_eyes(day),
        tips=_tips(totals, day, person),
        stands=day.asked.stands,
    )


def _spell_view(spell: Spell, *, walks: bool) -> SpellView:
    words = {
        "sit": msg("Sit"),
        "stand": msg("Stand"),
        "move": msg("Move") if walks else msg("Shift the weight"),
    }
    label = msg("Lunch") if spell.lunch else words[spell.posture]
    if spell.meeting:
        label = msg("Meeting, {what}", what="standing" if spell.posture == "stand" else "sitting")
    tasks = joined(
        ", ",
        (
            msg("{get} {minutes} min", get=TASKS.get(id, msg("Work")).lower(), minutes=minutes)
            for id, minutes in spell.tasks
        ),
    )
    own = spell.fixed.id if spell.fixed is not None and spell.fixed.own else ""
    return SpellView(
        id=own or f"at{spell.at}",
        kind="lunch" if spell.lunch else "meeting" if spell.meeting else "own" if own else "rhythm",
        start=spell.at,
        at=clock(spell.at),
        end=clock(spell.end),
        minutes=spell.minutes,
        posture="lunch" if spell.lunch else spell.posture,
        label=label,
        tasks=tasks,
    )


def _task_view(day: TaskDay) -> TaskView:
    laptop = ""
    if day.laptop:
        laptop = say(f"day.laptop_{day.laptop}", minutes=f"{LAPTOP_MIN[day.laptop]}")
    return TaskView(
        id=day.id,
        label=day.label,
        minutes=day.minutes,
        posture=str(day.posture),
        reason=day.reason,
        own=day.own,
        laptop=laptop,
    )


def _weeks(day: WorkingDay) -> list[WeekView]:
    if not day.weeks:
        return []
    views = []
    for week in day.weeks:
        totals = totals_of(day.week(week.week))
        says = say("day.week", stand=f"{totals.stand}", longest=f"{totals.longest_stand}")
        views.append(WeekView(week=week.week, label=msg("Week {week}", week=week.week), says=says))
    full = say("day.full", stand=f"{day.totals.stand}")
    return [*views, WeekView(week=0, label=msg("From week {len}", len=len(views) + 1), says=full)]


def _eyes(day: WorkingDay) -> str:
    far = day.far_point or say("day.far", metres=f"{EYE_FAR_M}")
    return say("day.eyes", every=f"{day.eye_every}", seconds=f"{day.eye_seconds}", far=far)


TIPS: tuple[tuple[str, str, frozenset[Demand]], ...] = (
    ("day.tip_shoes", "stand", frozenset({Demand.STANDING})),
    ("day.tip_rail", "stand", frozenset({Demand.ONE_LEG})),
    ("day.tip_stance", "stand", frozenset({Demand.STANDING})),
    ("day.tip_chair", "move", frozenset({Demand.WALKING})),
)
"""What is said beside a day: its sentence, what the day has to have, what it asks of the body."""


def _tips(totals: DayTotals, day: WorkingDay, person: PersonLimits) -> list[str]:
    there = {"stand": totals.stand, "move": totals.move}
    texts = [
        say(name) for name, needs, asks in TIPS if there[needs] and person.against(asks) is None
    ]
    if day.micro_every:
        texts.append(say("day.micro", every=f"{day.micro_every}", seconds=f"{MICRO_S}"))
    if totals.stand and not day.desk_stands and day.elsewhere != Elsewhere.NO:
        texts.append(say(f"day.elsewhere_{day.elsewhere}"))
    return texts + [
        limit_in_force.says for limit_in_force in person.in_force if limit_in_force.limit.of_the_day
    ]
