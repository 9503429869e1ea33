"""A laptop with nothing else: picture and keys can't both be right, so they take turns.

Two ways to have it, each for its own tasks: low for the hands, raised for the eyes. Each is right
for one and costs the other, so each has a limit to one spell.
"""

from __future__ import annotations

from dataclasses import dataclass, replace

from ..errors import MissingInput
from ..language import msg
from ..workstation import ScreenKind
from .case import Case
from .costs import best_top, elbow_over
from .model import Lengths
from .pair import solve_pair
from .search_model import hold

LOW_TASKS = ("typing", "mouse")
RAISED_TASKS = ("reading", "calls", "meetings", "thinking")
LOW_SPELL_MIN, RAISED_SPELL_MIN = 20, 40
"""Longest spell of each at a time, minutes. Source: house-laptop."""
MOST_RAISED_MM = 200.0
"""Highest stack under it, mm. Source: house-stack."""


@dataclass(frozen=True, kw_only=True)
class Turn:
    """One way to have the laptop: lifted by ``raise_mm``, for these tasks, no longer than a spell.

    ``neck`` and ``elbow`` are degrees outside their bands; the elbow only counts while typing.
    """

    id: str
    label: str
    tasks: tuple[str, ...]
    hours: float
    raise_mm: float
    neck: float
    elbow: float | None
    spell_min: int


def laptop_turns(case: Case) -> tuple[Turn, ...]:
    """Both ways for a laptop with its own keys; none where it is another screen, or too little known."""
    if case.workstation.screen.kind != ScreenKind.LAPTOP or not case.sits:
        return ()
    try:
        model = Lengths.of(case, "seated").model(case.workstation)
    except MissingInput:
        return ()
    solution = solve_pair(case, whole=False).seated
    if solution is None or model.eye is None or model.lift is None:
        return ()
    here = hold(model, seat=solution.seat, surface=solution.surface)
    gap = solution.surface - solution.seat
    eye = solution.seat + model.eye
    want = eye + model.top_target
    up = min(MOST_RAISED_MM, max(0.0, want - (solution.surface + model.lift.high)))
    lifted = replace(here, lift=model.lift.shifted(up))

    def hours(tasks: tuple[str, ...]) -> float:
        return sum(case.hours.get(task, 0.0) for task in tasks)

    return (
        Turn(
            id="low",
            label=msg("Flat on the desk, for typing"),
            tasks=LOW_TASKS,
            hours=hours(LOW_TASKS),
            raise_mm=0.0,
            neck=best_top(here, solution.seat, solution.surface)[0],
            elbow=elbow_over(model, gap)[0],
            spell_min=LOW_SPELL_MIN,
        ),
        Turn(
            id="raised",
            label=msg("Raised, for reading and calls"),
            tasks=RAISED_TASKS,
            hours=hours(RAISED_TASKS),
            raise_mm=up,
            neck=best_top(lifted, solution.seat, solution.surface)[0],
            elbow=None,
            spell_min=RAISED_SPELL_MIN,
        ),
    )
