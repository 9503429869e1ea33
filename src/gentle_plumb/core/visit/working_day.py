"""The client's working day, from the record: rhythm, tasks, lunch and meetings within their limits."""

from __future__ import annotations

from dataclasses import dataclass

from ..fit import Case
from ..language import msg
from ..pace import (
    AT_A_COUNTER,
    EYE_EVERY_MIN,
    EYE_S,
    LONGEST_DAY_MIN,
    ON_THE_PHONE,
    OWN,
    RHYTHMS,
    DayRequest,
    DayTotals,
    Elsewhere,
    Fixed,
    RampWeek,
    Rhythm,
    Spell,
    TaskDay,
    TaskPosture,
    clock,
    lay_day,
    lay_week,
    own_rhythm,
    proposed_rhythm,
    ramp_weeks,
    task_day,
    totals_of,
)
from ..record import Record, fields
from ..record.fields.ask import StandingHabit
from ..record.fields.pace import Ramp
from ..words import say
from ..workstation import ScreenKind
from .fixed_times import fixed_times, minutes_or

START_MIN = 9 * 60
"""A day begins so many minutes after midnight until somebody says otherwise. House value."""
OWN_SIT, OWN_STAND, OWN_MOVE = 25, 5, 2
"""Own numbers until they are typed, minutes. House values."""
RAMPS: dict[StandingHabit | None, Ramp] = {
    StandingHabit.NEW: Ramp.FOUR,
    StandingHabit.SOME: Ramp.TWO,
    StandingHabit.USED: Ramp.NONE,
    None: Ramp.NONE,
}
"""Weeks of getting used to standing until they are chosen, by what the client is used to. Source: house-rhythm."""
DESK_TIME = "desk"
"""The task of a day whose hours are known in all and not by task."""


@dataclass(frozen=True, kw_only=True)
class WorkingDay:
    """A day laid out, with what it was laid from.

    ``chosen`` is the rhythm that was picked, ``rhythm`` the one that is laid: the proposed one until then, or
    where what was picked can't be kept. ``spells`` is the day once used to it; ``weeks`` lead there.
    """

    asked: DayRequest
    chosen: str | None
    proposed: str
    rhythm: Rhythm
    spells: tuple[Spell, ...]
    totals: DayTotals
    weeks: tuple[RampWeek, ...]
    micro_every: int
    eye_every: int
    eye_seconds: int
    far_point: str
    desk_stands: bool
    elsewhere: Elsewhere
    doubt: str | None

    def week(self, number: int) -> tuple[Spell, ...]:
        """Return the day of a week of getting used to standing; once past them, the whole day."""
        ramp_week = next((week for week in self.weeks if week.week == number), None)
        return self.spells if ramp_week is None else lay_week(self.asked, ramp_week)


def working_day(record: Record, case: Case, *, desk_stands: bool) -> WorkingDay | None:
    """Lay the client's day out; None while no hours are recorded, or more than a day has.

    Parameters
    ----------
    record : Record
    case : Case
        For the limits of the person, and what stands on the desk.
    desk_stands : bool
        Whether there is a surface to work standing at.

    A day that would run past midnight begins earlier, and says so.

    """
    at, person = fields.pace, case.person
    elsewhere = record[at.elsewhere] or Elsewhere.NO
    stands = case.may_stand and (desk_stands or elsewhere != Elsewhere.NO)
    tasks = _tasks(record, case, desk_stands=desk_stands, stands=stands)
    if not 0 < sum(task.minutes for task in tasks) <= LONGEST_DAY_MIN:
        return None
    chosen = record[at.rhythm]
    proposed = proposed_rhythm(case.policy.rhythm, person, desk_stands=stands)
    rhythm = _rhythm(record, chosen) if chosen else RHYTHMS[proposed]
    if rhythm.barred_by(person, desk_stands=stands) is not None:
        rhythm = RHYTHMS[proposed]
    longest, hourly = person.longest_stand, person.standing_an_hour
    fixed = fixed_times(record, tasks)
    start, doubt = _start(record, tasks, fixed)
    asked = DayRequest(
        start=start,
        tasks=tuple(tasks),
        pattern=rhythm.pattern,
        fixed=fixed,
        stands=stands,
        longest_stand=None if longest is None else int(longest),
        stand_an_hour=None if hourly is None else int(hourly),
        walk_every=minutes_or(record[at.walk_every], 0),
        walk_minutes=minutes_or(record[at.walk_minutes], 3),
    )
    spells = lay_day(asked)
    micro_every = minutes_or(record[at.micro_every], rhythm.micro_every)
    eye_every = minutes_or(record[at.eye_every], EYE_EVERY_MIN)
    totals = totals_of(spells, micro_every=micro_every, eye_every=eye_every)
    ramp = record[at.ramp] or RAMPS[record[fields.ask.sit_stand]]
    return WorkingDay(
        asked=asked,
        chosen=chosen,
        proposed=proposed,
        rhythm=rhythm,
        spells=spells,
        totals=totals,
        weeks=ramp_weeks(totals.stand, int(ramp), totals.longest_stand) if totals.stand else (),
        micro_every=micro_every,
        eye_every=eye_every,
        eye_seconds=minutes_or(record[at.eye_seconds], EYE_S),
        far_point=record.said(at.far_point),
        desk_stands=desk_stands,
        elsewhere=elsewhere,
        doubt=doubt,
    )


def _start(
    record: Record, tasks: list[TaskDay], fixed: tuple[Fixed, ...]
) -> tuple[int, str | None]:
    """Return when the day begins, and what is wrong with the time that was typed."""
    typed = minutes_or(record[fields.pace.start], START_MIN)
    work = sum(task.minutes for task in tasks)
    latest = max(0, LONGEST_DAY_MIN - work - sum(spell.minutes for spell in fixed if spell.lunch))
    if typed <= latest:
        return typed, None
    return latest, say(
        "day.too_late", start=clock(typed), hours=f"{work / 60:g}", latest=clock(latest)
    )


def _rhythm(record: Record, chosen: str) -> Rhythm:
    if chosen != OWN:
        return RHYTHMS[chosen]
    pace = fields.pace
    return own_rhythm(
        minutes_or(record[pace.sit], OWN_SIT),
        minutes_or(record[pace.stand], OWN_STAND),
        minutes_or(record[pace.move], OWN_MOVE),
    )


def _tasks(record: Record, case: Case, *, desk_stands: bool, stands: bool) -> list[TaskDay]:
    laptop = case.workstation.screen.kind == ScreenKind.LAPTOP
    elsewhere = record[fields.pace.elsewhere] or Elsewhere.NO
    days = [
        task_day(
            id,
            hours,
            record[fields.pace.task[id]],
            stands=stands and (desk_stands or _goes_elsewhere(id, elsewhere)),
            laptop=laptop,
        )
        for id, field in fields.ask.hours.items()
        if (hours := record[field])
    ]
    whole = record[fields.ask.day_hours]
    if not days and whole:
        posture = TaskPosture.EITHER if stands else TaskPosture.SIT
        days = [
            TaskDay(
                id=DESK_TIME,
                label=msg("At the desk"),
                minutes=round(whole * 60),
                posture=posture,
                reason=msg("Hours by task are not recorded."),
            )
        ]
    if stands:
        return days
    sits = TaskPosture.SIT  # a limit stands over what was chosen before it was known
    return [day if day.posture == TaskPosture.MOVE else _sat(day, sits) for day in days]


def _sat(task: TaskDay, posture: TaskPosture) -> TaskDay:
    return TaskDay(
        id=task.id,
        label=task.label,
        minutes=task.minutes,
        posture=posture,
        reason=task.reason if task.posture == posture else msg("Nothing is planned standing here."),
        own=task.own and task.posture == posture,
        laptop=task.laptop,
    )


def _goes_elsewhere(task: str, elsewhere: Elsewhere) -> bool:
    """Whether a task can be done where one can stand although the desk does not rise."""
    counter = elsewhere in (Elsewhere.COUNTER, Elsewhere.BOTH) and task in AT_A_COUNTER
    return counter or (elsewhere in (Elsewhere.PHONE, Elsewhere.BOTH) and task in ON_THE_PHONE)
