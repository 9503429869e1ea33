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
    index = minutes_or(record[fields.pace.lunch_at], LUNCH_AT_MIN)
    return [Fixed(at=index, minutes=minutes, lunch=True, id="lunch")]


def _meetings(record: Record) -> list[Fixed]:
    meetings = []
    for id, asked in fields.pace.meeting.items():
        position, minutes = record[asked.at], record[asked.minutes]
        if position is not None and minutes:
            stood = record[asked.posture] == MeetingPosture.STAND
            meetings.append(
                Fixed(
                    at=round(position),
                    minutes=round(minutes),
                    posture="stand" if stood else "sit",
                    id=id,
                )
            )
    return meetings


def _own_spells(record: Record) -> list[Fixed]:
    """Return what was put into the day by hand; what is not whole yet lies nowhere."""
    own_spells = []
    for id in record.members(fields.pace.SPELLS):
        asked = fields.pace.spell(id)
        position, minutes, posture = record[asked.at], record[asked.minutes], record[asked.posture]
        if position is not None and minutes and posture is not None:
            own_spells.append(
                Fixed(
                    at=round(position),
                    minutes=round(minutes),
                    posture=OWN_POSTURE[posture],
                    own=True,
                    id=id,
                )
            )
    return own_spells


OWN_POSTURE: dict[SpellPosture, Posture] = {
    SpellPosture.SIT: "sit",
    SpellPosture.STAND: "stand",
    SpellPosture.MOVE: "move",
}


def minutes_or(value: float | None, usual: int) -> int:
    """Return whole minutes, or what is usual where nothing was said."""
    return usual if value is None else round(value)
