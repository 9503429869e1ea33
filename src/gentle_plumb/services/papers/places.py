"""A further place of a visit, as the papers say it."""

from __future__ import annotations

from ...core.catalogue import QUANTITIES, Posture
from ...core.presentation import hard_limit_words
from ...core.tolerances import SAME_MM
from ...core.units import LengthUnit
from ...core.words import say, say_length
from ...core.workstation import ScreenKind
from ..models import VisitSnapshot
from ..paper_models import PaperPlace
from ..workup import VisitResults, work_up
from .shared import desk_heights, figure_of, paper_row, plan_of, shown


def place_of(opened: VisitSnapshot, main: VisitResults, id: str, unit: LengthUnit) -> PaperPlace:
    """Return what is said of a further place."""
    there = work_up(opened, unit, body=False, place=id)
    view = next(place for place in there.places if place.id == id)
    figure, _ = figure_of(there, unit)
    return PaperPlace(
        name=view.name,
        use=view.use_label,
        table=[paper_row(row) for row in shown(there)],
        shortfalls=hard_limit_words(there.analysis.chosen_plan().hard_limits, unit),
        added=plan_of(there, unit).added,
        actions=[
            action.status or action.text
            for action in there.actions
            if action.kind in ("set", "add", "secure", "arrange")
        ],
        desk=desk_heights(there, unit),
        moves=_between(main, there, unit),
        scene=there.analysis.scene(figure),
    )


def _between(main: VisitResults, there: VisitResults, unit: LengthUnit) -> list[str]:
    """Return what changes from sitting at one place to standing at the other."""
    sits, stands = (main, there) if main.case.sits else (there, main)
    if not sits.case.sits or stands.case.sits:
        return []
    names = {place.id: place.name for place in main.places}
    texts = []
    for key in ("surface", "screen_top", "distance"):
        low = _stands_at(sits, "seated", key)
        high = _stands_at(stands, "standing", key)
        if low is not None and high is not None and abs(high - low) > SAME_MM:
            texts.append(
                say(
                    "places.move",
                    label=QUANTITIES[key].label,
                    low=say_length(low, unit),
                    sits=names[sits.place],
                    high=say_length(high, unit),
                    stands=names[stands.place],
                )
            )
    if ScreenKind.LAPTOP in (
        sits.case.workstation.screen.kind,
        stands.case.workstation.screen.kind,
    ):
        texts.append(say("places.laptop"))
    return texts


def _stands_at(there: VisitResults, posture: Posture, key: str) -> float | None:
    """Return where a thing is left, or is still to be set; None for what was put off or isn't there."""
    state = there.analysis.states.get((posture, key))
    if state is None:
        return None
    return state.keep if state.keep is not None else state.to_set


def place_for_workplace(place: PaperPlace, number: int) -> PaperPlace:
    """Return what the workplace reads of a further place: pieces and settings, nothing in own words."""
    return PaperPlace(
        name=say("places.number", number=str(number)),
        use=place.use,
        table=[
            line.model_copy(update={"note": "", "target": line.target.removeprefix("~")})
            for line in place.table
        ],
        shortfalls=[],
        added=place.added,
        actions=[],
        desk=place.desk,
        moves=[],
    )
