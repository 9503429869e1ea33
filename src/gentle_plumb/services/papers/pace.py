"""The working day and the movements, as the client's paper says them."""

from __future__ import annotations

from dataclasses import asdict

from ...core.drawing import MOVEMENT_SIZE, Mark, Scene, draw_day, draw_movement
from ...core.language import filled
from ...core.movements import LIBRARY
from ...core.presentation import MovementView, day_view, programme_view
from ..paper_models import PaperDay, PaperMovement, PaperRhythm, PaperSpell
from ..workup import VisitResults

BAR_PX = 900.0
"""Width that the bar of a day is drawn at for print, px."""


def rhythm(workup: VisitResults) -> PaperRhythm | None:
    """Return the rhythm that was chosen, with what it comes to; None while nobody has."""
    day = workup.day
    if day is None or day.chosen is None:
        return None
    view = day_view(day, workup.case.person)
    return PaperRhythm(
        label=view.rhythm_label,
        says=view.says,
        hours=workup.hours,
        walks=workup.case.person.walks,
        **asdict(view.totals),
    )


def day(workup: VisitResults) -> PaperDay | None:
    """Return the working day; None while no rhythm is chosen."""
    laid = workup.day
    if laid is None or laid.chosen is None:
        return None
    view = day_view(laid, workup.case.person)
    bar = draw_day(
        laid.spells,
        width=BAR_PX,
        eye_every=laid.eye_every,
        micro_every=laid.micro_every,
        walks=workup.case.person.walks,
    )
    return PaperDay(
        start=view.start,
        end=view.end,
        weeks=[filled("{label}: {says}", label=week.label, says=week.says) for week in view.weeks],
        eyes=view.eyes,
        tips=view.tips,
        scene=_scene(bar.width, bar.height, bar.marks),
        spells=[
            PaperSpell(at=spell.at, end=spell.end, posture=spell.posture) for spell in view.spells
        ],
    )


def movements(workup: VisitResults) -> tuple[list[PaperMovement], list[str]]:
    """Return the movements with their figures, and the rules that hold for all; none while no rhythm is chosen."""
    laid = workup.day
    if laid is None or laid.chosen is None:
        return [], []
    programme = workup.analysis.programme()
    view = programme_view(programme, laid.spells, workup.case.person)
    rules = view.rules if view.chosen or programme.waits_for else []
    return [_movement(movement_view, workup) for movement_view in view.chosen], rules


def _movement(view: MovementView, workup: VisitResults) -> PaperMovement:
    figures = draw_movement(LIBRARY[view.id], workup.case.body)
    return PaperMovement(
        label=view.label,
        start=view.start,
        dose=view.dose,
        steps=view.steps,
        felt=view.felt,
        never=view.never,
        why=view.why,
        says=[figure.says for figure in figures],
        scenes=[_scene(*MOVEMENT_SIZE, figure.marks) for figure in figures],
    )


def _scene(width: float, height: float, marks: tuple[Mark, ...]) -> Scene:
    return Scene(width=width, height=height, px_per_mm=1.0, marks=marks)
