"""What lies fast in a working day: lunch, meetings, and spells that were put there by hand."""

from __future__ import annotations

from collections.abc import Sequence

from ..pace import Fixed, Posture, TaskDay
from ..record import Record, fields
from ..record.fields.pace import MeetingPosture, SpellPosture

LUNCH_AT_MIN, LUNCH_MIN = 12 * 60 + 30, 30
"""Lunch is then and so long, minutes after midnight and minutes, until somebody says otherwise. House values."""
LUNCH_FROM_H = 5.0
"""Hours of work from which a day has a lunch. House value."""


def fixed_times(record: Record, tasks: Sequence[TaskDay]) -> tuple[Fixed, ...]:
    """Return what lies fast in the day of these tasks."""
    return (*_lunch(record, tasks), *_meetings(record), *_own_spells(record))


def _lunch(record: Record, tasks: Sequence[TaskDay]) -> list[Fixed]:
    long_enough = sum(task.minutes for task in tasks) >= LUNCH_FROM_H * 60
    minutes = minutes_or(record[fields.pace.lunch], LUNCH_MIN if long_enough else 0)
    if not minutes:
        return []
    at = minutes_or(record[fields.pace.lunch_at], LUNCH_AT_MIN)
    return [Fixed(at=at, minutes=minutes, lunch=True, id="lunch")]


def _meetings(record: Record) -> list[Fixed]:
    found = []
    for id, asked in fields.pace.meeting.items():
        at, minutes = record[asked.at], record[asked.minutes]
        if at is not None and minutes:
            stood = record[asked.posture] == MeetingPosture.STAND
            found.append(
                Fixed(
                    at=round(at), minutes=round(minutes), posture="stand" if stood else "sit", id=id
                )
            )
    return found


def _own_spells(record: Record) -> list[Fixed]:
    """Return what was put into the day by hand; what is not whole yet lies nowhere."""
    found = []
    for id in record.members(fields.pace.SPELLS):
        asked = fields.pace.spell(id)
        at, minutes, posture = record[asked.at], record[asked.minutes], record[asked.posture]
        if at is not None and minutes and posture is not None:
            found.append(
                Fixed(
                    at=round(at),
                    minutes=round(minutes),
                    posture=OWN_POSTURE[posture],
                    own=True,
                    id=id,
                )
            )
    return found


OWN_POSTURE: dict[SpellPosture, Posture] = {
    SpellPosture.SIT: "sit",
    SpellPosture.STAND: "stand",
    SpellPosture.MOVE: "move",
}


def minutes_or(value: float | None, usual: int) -> int:
    """Return whole minutes, or what is usual where nothing was said."""
    return usual if value is None else round(value)
