"""The page of a client's movements: in words, and drawn from their own body."""

from __future__ import annotations

from dataclasses import dataclass

from ..core.drawing import MovementFigure, draw_movement
from ..core.movements import LIBRARY
from ..core.presentation import ProgrammeView, programme_view
from .workup import VisitResults


@dataclass(frozen=True, kw_only=True)
class ProgrammePage:
    """A client's movements; ``figures`` by movement, those that are chosen and those that could be."""

    programme: ProgrammeView
    figures: dict[str, list[MovementFigure]]


def programme_page(workup: VisitResults) -> ProgrammePage:
    """Return the movements of a visit."""
    spells = workup.day.spells if workup.day is not None else ()
    view = programme_view(workup.analysis.programme(), spells, workup.case.person)
    body = workup.case.body
    return ProgrammePage(
        programme=view,
        figures={
            id: list(draw_movement(LIBRARY[id], body))
            for id in [
                *(movement_view.id for movement_view in view.chosen),
                *(movement.id for movement in view.further),
            ]
        },
    )
