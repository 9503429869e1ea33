"""The client's paper: one page to act on first, then the day, the movements, and why."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from ...core.actions import KINDS
from ...core.intake import RED_FLAGS
from ...core.presentation import hard_limit_words
from ...core.record import fields
from ...core.units import LengthUnit
from ...core.words import CLIENT_NUMBERS, say, with_unit
from ..models import Practice, VisitSnapshot
from ..paper_models import CardLine, ClientPaper, PaperAction, PaperCause, PaperPlace
from ..workup import Workup
from . import pace
from .card import card_lines, temporary_lines
from .head import head_of
from .photographs import pair_of
from .recorded import precaution
from .shared import actions_of, causes_of, costs_of, figure_of, flags_of
from .workplace import LIFTING

CAUTIONS = (
    "These are starting points. Comfort and the tests on the person overrule the number, "
    "and pain overrules comfort.",
    "Stop if pain, tingling, numbness or dizziness starts or does not go away, and tell us "
    "or your doctor.",
    LIFTING,
    "This report supports professional advice. It is not a diagnosis and does not guarantee results.",
)
FIRST, MOST_CAUSES, MOST_FINDINGS = 3, 8, 3
"""So many things stand at the top, and so many causes and findings of each are told. House values."""
FIGURE_PX = 360.0
"""Height of the drawing on the first page, px: it leaves room for what is to be done."""


def client_paper(
    practice: Practice,
    opened: VisitSnapshot,
    workup: Workup,
    unit: LengthUnit,
    places: Sequence[PaperPlace] = (),
) -> ClientPaper:
    """Build the paper.

    Parameters
    ----------
    practice, opened, workup
        Whose, which visit, and what it comes to.
    unit : {"mm", "cm", "in"}
        Of every length.
    places : sequence of PaperPlace
        The further places.

    """
    figure, shows = figure_of(workup, unit)
    movements, rules = pace.movements(workup)
    actions = [one for one in actions_of(workup) if one.heading != "Refer"]
    done = [one for one in actions if one.state == "done"]
    todo = [one for one in actions if one.state != "done"]
    causes = [one for one in causes_of(workup) if not one.left_out]
    first = things_that_matter(causes, actions, _all_rest_on(workup))
    told = {one.id for one in first}  # nothing is said twice
    return ClientPaper(
        **head_of(practice, opened, workup, unit, shows),
        scene=workup.through.scene(replace(figure, height=FIGURE_PX)),
        note=workup.record[fields.report.note] or "",
        warning=flags_of(workup),
        cares=[precaution(care) for care in workup.cares],
        first=first,
        numbers=[_in_everyday_words(line) for line in card_lines(workup, unit)],
        done=[one for one in done if not _of_the_numbers(one)],
        set_today=_settings_in_words(workup, left=True),
        todo=[
            one
            for one in todo
            if one.id not in told and not (_of_the_numbers(one) and one.state == "open")
        ],
        to_set=_settings_in_words(workup, left=False),
        costs=costs_of(workup),
        lacks=hard_limit_words(workup.through.chosen_plan().lacks, unit),
        stop=_stop(),
        day=pace.day(workup),
        movements=movements,
        movement_rules=rules,
        causes=[_told(one) for one in causes[:MOST_CAUSES]],
        further_causes=max(0, len(causes) - MOST_CAUSES),
        unexplained=workup.unexplained,
        temporary=temporary_lines(workup),
        photos=[one.model_copy(update={"readings": []}) for one in pair_of(workup)],
        place=f"{workup.places[0].name}: {workup.places[0].use_label.lower()}" if places else "",
        places=list(places),
        cautions=list(CAUTIONS),
    )


def things_that_matter(
    causes: Sequence[PaperCause], actions: Sequence[PaperAction], base: str = ""
) -> list[PaperAction]:
    """Return the few things that come first.

    What is unsafe, then the action ``base`` that all others rest on, then one for each cause in their order,
    still to do; where fewer causes are open, what else is to do fills up.
    """
    left = [one for one in actions if one.state == "open"]
    found = [one for one in left if one.heading == "Make safe"]
    found += [one for one in left if one.id == base and one not in found]
    for cause in causes:
        found += [one for one in left if cause.title in one.resolves and one not in found][:1]
    found += [one for one in left if one not in found]
    return found[:FIRST]


def _all_rest_on(workup: Workup) -> str:
    """Return the first setting in the order of work that has to move; the heights of all others follow it."""
    moves = (one.id for one in workup.actions if one.kind == "set" and one.changes)
    return next(moves, "")


def _in_everyday_words(line: CardLine) -> CardLine:
    """Return a number under the name it has on the client's own page, which says what it is measured from."""
    return line.model_copy(update={"label": CLIENT_NUMBERS[line.key]})


def _of_the_numbers(action: PaperAction) -> bool:
    """Whether it is a setting: those stand in the table of numbers, and are named together."""
    return action.heading == KINDS["set"]


def _settings_in_words(workup: Workup, *, left: bool) -> str:
    """Return the settings that were made, with where each was left; or those still to make, and to what.

    A setting that was stopped or put off is in neither: it is said with its reason.
    """
    by_step = {f"set.{row.posture}.{row.key}": row for row in workup.rows}
    found = []
    for posture in fields.work.POSTURES:
        said = []
        for one in workup.actions:
            row = by_step.get(one.id)
            if row is None or one.posture != posture or not (one.changes or row.left is not None):
                continue
            if left and row.left is not None:
                said.append(f"{row.label.lower()} at {with_unit(row.left, row.unit)}")
            elif not left and one.state == "open" and not one.settled and row.setting is not None:
                said.append(f"{row.label.lower()} to {with_unit(row.setting, row.unit)}")
        if said:
            found.append(f"{'sitting' if posture == 'seated' else 'standing'}: {', '.join(said)}")
    return "; ".join(found)


def _told(cause: PaperCause) -> PaperCause:
    """Return a cause as the client is told it: what was found, a few of it."""
    return cause.model_copy(update={"findings": cause.findings[:MOST_FINDINGS]})


def _stop() -> list[str]:
    """Return when to stop, and what is not to wait: the urgent red flags in plain words."""
    urgent = [one.label.lower() for one in RED_FLAGS.values() if one.urgency == "urgent"]
    return [CAUTIONS[1], say("paper.urgent", signs="; ".join(urgent))]
