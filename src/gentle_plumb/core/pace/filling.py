"""What is done when: the spells of a day filled with its tasks."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from .rhythms import Posture
from .spell import Spell
from .tasks import TaskDay, TaskPosture


def with_tasks(tasks: Sequence[TaskDay], spells: Sequence[Spell]) -> tuple[Spell, ...]:
    """Return the day with what is done when: standing takes what suits it first."""
    left = {task.id: task.minutes for task in tasks}
    done: dict[int, tuple[tuple[str, int], ...]] = {}
    for posture in ("move", "stand", "sit"):  # what suits few spells is placed first
        for index, spell in enumerate(spells):
            if spell.posture == posture and not spell.lunch:
                done[index] = _taken(tasks, left, spell)
    return tuple(replace(spell, tasks=done.get(index, ())) for index, spell in enumerate(spells))


SUITS: dict[Posture, tuple[TaskPosture, ...]] = {
    "stand": (TaskPosture.STAND, TaskPosture.EITHER),
    "sit": (TaskPosture.SIT, TaskPosture.EITHER, TaskPosture.STAND, TaskPosture.MOVE),
    "move": (TaskPosture.MOVE,),
}
"""Which tasks a spell is filled with, what suits it best first."""


def _taken(
    tasks: Sequence[TaskDay], left: dict[str, int], spell: Spell
) -> tuple[tuple[str, int], ...]:
    """Return what a spell is filled with, and take it off what is left.

    Of tasks that suit alike, the one with the greatest share still to do comes next, so that they
    take turns over the day; a meeting is a meeting as long as hours of meetings are left.
    """
    filled, minutes, suits = [], spell.minutes, SUITS[spell.posture]

    def rank(task: TaskDay) -> tuple[bool, int, float]:
        meeting = spell.meeting and task.id == "meetings"
        return not meeting, suits.index(task.posture), -left[task.id] / task.minutes

    open_ones = [task for task in tasks if task.posture in suits and left[task.id] > 0]
    while minutes and open_ones:
        task = min(open_ones, key=rank)
        taken = min(minutes, left[task.id])
        left[task.id] -= taken
        minutes -= taken
        filled.append((task.id, taken))
        open_ones.remove(task)
    return tuple(filled)
