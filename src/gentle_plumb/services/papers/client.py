"""The client's paper: one page to act on first, then the day, the movements, and why."""

from __future__ import annotations

from collections.abc import Mapping, Sequence, Set
from dataclasses import replace

from ...core.actions import KINDS
from ...core.intake import RED_FLAGS, LimitId, LimitInForce
from ...core.language import filled, joined, lowered, msg, or_list
from ...core.presentation import hard_limit_words
from ...core.record import fields
from ...core.record.fields.report import Unconfirmed
from ...core.states import StateKind
from ...core.units import LengthUnit
from ...core.words import CLIENT_NUMBERS, say, say_posture
from ..models import Practice, VisitSnapshot
from ..paper_models import CardLine, ClientPaper, PaperAction, PaperCause, PaperPlace
from ..precautions import PrecautionView
from ..workup import VisitResults
from . import pace
from .card import card_lines, temporary_lines
from .head import head_of
from .photographs import pair_of
from .recorded import precaution
from .shared import actions_of, causes_of, costs_of, figure_of, flags_of, good_habits
from .workplace import LIFTING

CAUTIONS = (
    msg(
        "These settings are starting points. If something feels uncomfortable, change it, whatever the number says. If it hurts, stop."
    ),
    msg(
        "Stop if you get pain, tingling, numbness or dizziness, or if it does not go away. Tell us or your doctor."
    ),
    LIFTING,
    msg(
        "This report supports the advice you were given. It is not a diagnosis and can’t promise results."
    ),
)
FIRST, MOST_CAUSES, MOST_FINDINGS = 3, 8, 3
"""So many things stand at the top, and so many causes and findings of each are told. House values."""
FIGURE_PX = 360.0
"""Height of the drawing on the first page, px: it leaves room for what is to be done."""


def client_paper(
    practice: Practice,
    opened: VisitSnapshot,
    workup: VisitResults,
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
    waits = _waiting(workup)
    out = _left_out(workup)
    actions = [
        action
        for action in actions_of(workup)
        if action.heading != "Refer" and action.id not in waits and action.id not in out
    ]
    done = [action for action in actions if action.state == "done"]
    todo = [action for action in actions if action.state != "done"]
    causes = [
        paper_cause
        for cause in causes_of(workup)
        if not cause.left_out and (paper_cause := _confirmed(cause, out)) is not None
    ]
    order = [action.id for action in workup.actions]
    first = things_that_matter(causes, actions, order, _reasons(workup))
    told_first = {action.id for action in first}  # nothing is said twice
    numbers = card_lines(workup, unit)
    shown = {f"set.{way}.{number.key}" for number in numbers for way in fields.work.POSTURES}
    return ClientPaper(
        **head_of(practice, opened, workup, unit, shows),
        scene=workup.analysis.scene(replace(figure, height=FIGURE_PX)),
        note=workup.record[fields.report.note] or "",
        warning=flags_of(workup),
        precautions=[precaution(care) for care in workup.precautions if not _binds(care)],
        limits=limit_lines(workup),
        first=first,
        keep_doing=good_habits(workup),
        numbers=[_in_everyday_words(line) for line in numbers],
        done=[action for action in done if action.id not in shown],
        set_today=_names(workup, StateKind.SET, shown),
        todo=[
            action
            for action in todo
            if action.id not in told_first and not (action.id in shown and action.state == "open")
        ],
        to_set=_names(workup, StateKind.TARGET, shown - told_first),
        costs=costs_of(workup),
        shortfalls=hard_limit_words(workup.analysis.chosen_plan().hard_limits, unit),
        stop=_stop(),
        day=pace.day(workup),
        movements=movements,
        movement_rules=rules,
        causes=[_told(cause) for cause in causes[:MOST_CAUSES]],
        further_causes=max(0, len(causes) - MOST_CAUSES),
        unexplained=workup.unexplained,
        temporary=temporary_lines(workup),
        photos=[photo.model_copy(update={"readings": []}) for photo in pair_of(workup)],
        place=filled(
            "{name}: {use_label}",
            name=workup.places[0].name,
            use_label=workup.places[0].use_label.lower(),
        )
        if places
        else "",
        places=list(places),
        cautions=list(CAUTIONS),
    )


def things_that_matter(
    causes: Sequence[PaperCause],
    actions: Sequence[PaperAction],
    order: Sequence[str] = (),
    reasons: Mapping[str, str] | None = None,
) -> list[PaperAction]:
    """Return the few things that come first, each with why it helps.

    What is unsafe, then one for each cause in their order (what hurts before what only loads), still to do; where
    fewer causes are open, what else is to do fills up. They are told in the order in which they are done; ``reasons``
    are why single ones help, where that is not their cause.
    """
    left = [action for action in actions if action.state == "open"]
    paper_actions = [
        _why(action, say("first.safety")) for action in left if action.heading == "Make safe"
    ]
    taken = {action.id for action in paper_actions}
    for cause in causes:
        evidence = {f"set.{finding.id}" for finding in cause.findings} | {
            finding.id for finding in cause.findings
        }
        # what was found wrong comes before what was never recorded
        for action in sorted(left, key=lambda action: action.id not in evidence):
            if cause.title in action.resolves and action.id not in taken:
                paper_actions.append(_why(action, (reasons or {}).get(action.id) or _helps(cause)))
                taken.add(action.id)
                break
    paper_actions += [
        action
        for action in left
        if action.id not in taken and (action.resolves or action.heading != KINDS["set"])
    ]
    places = {id: index for index, id in enumerate(order)}
    paper_actions = (
        paper_actions or left
    )  # where nothing answers a cause, what is still to do comes first
    return sorted(paper_actions[:FIRST], key=lambda action: places.get(action.id, len(places)))


def _reasons(workup: VisitResults) -> dict[str, str]:
    """Return why what a finding asks for helps: its own reason, and the complaint in its region."""
    reasons = {}
    for finding in workup.analysis.findings:
        if finding.state != "off" or not finding.why:
            continue
        words = lowered(finding.why).rstrip(".")
        felt = next(
            (
                discomfort
                for discomfort in workup.analysis.facts.discomfort
                if discomfort.load == finding.region
            ),
            None,
        )
        if felt is None:
            reasons[finding.id] = say("first.helps", cause=words)
        else:
            text = lowered(felt.text)
            reasons[finding.id] = say("first.helps_felt", cause=words, felt=text)
    return reasons


def _why(action: PaperAction, helps: str) -> PaperAction:
    return action.model_copy(update={"helps": helps})


def _helps(cause: PaperCause) -> str:
    title = cause.words or cause.title
    words = lowered(title).rstrip(".")
    if not cause.explains:
        return say("first.helps", cause=words)
    felt = cause.explains[0]
    return say("first.helps_felt", cause=words, felt=lowered(felt))


def limit_lines(workup: VisitResults, those: Sequence[LimitInForce] | None = None) -> list[str]:
    """Return what is kept to, a line each: a limit of several conditions once, the stronger for the weaker.

    ``those`` are the limits that are told; not given: all that are in force.
    """
    said: dict[LimitId, dict[str, None]] = {}
    for care in workup.precautions:
        for limit in care.limits:
            if limit.binds is not None:
                said.setdefault(limit.binds, {}).update(
                    dict.fromkeys(part for part in (limit.set, limit.unmet, limit.clears) if part)
                )
    return [
        joined(
            " ",
            (
                part
                for part in (
                    say(
                        "limit.line",
                        says=limit_in_force.says.rstrip("."),
                        because=joined(", ", limit_in_force.because).lower(),
                        ask=or_list(dict.fromkeys(limit_in_force.ask)),
                    )
                    + ".",
                    *said.get(limit_in_force.id, ()),
                )
                if part
            ),
        )
        for limit_in_force in (workup.case.person.in_force if those is None else those)
    ]


def _binds(care: PrecautionView) -> bool:
    """Whether anything of a condition binds still: that is told with the limits."""
    return any(limit.cleared is None for limit in care.limits)


def _left_out(workup: VisitResults) -> frozenset[str]:
    """Return the findings that nobody confirmed, where the practitioner leaves them out."""
    if workup.record[fields.report.unconfirmed] != Unconfirmed.LEAVE_OUT:
        return frozenset()
    return frozenset(
        finding.id
        for finding in workup.analysis.findings
        if finding.state == "off"
        and finding.verdict is None
        and not finding.own
        and not finding.safety
    )


def _confirmed(cause: PaperCause, out: frozenset[str]) -> PaperCause | None:
    """Return a cause without the findings that are left out; None where nothing of it stays."""
    kept = [finding for finding in cause.findings if finding.id not in out]
    return cause.model_copy(update={"findings": kept}) if kept else None


def _waiting(workup: VisitResults) -> set[str]:
    """Return the settings whose piece has first to be bought or found: that is what is to do."""
    return {
        f"set.{row.posture}.{row.key}"
        for row in workup.rows
        if row.became is not None and row.became.kind == StateKind.TO_GET and row.became.needed
    }


def _in_everyday_words(line: CardLine) -> CardLine:
    """Return a number under the name it has on the client's own page, which says what it is measured from."""
    return line.model_copy(update={"label": CLIENT_NUMBERS[line.key]})


def _names(workup: VisitResults, kind: StateKind, shown: Set[str]) -> str:
    """Return the settings in one state by name, of those whose numbers stand in the table."""
    by_step = {f"set.{row.posture}.{row.key}": row for row in workup.rows}
    texts = []
    for posture in fields.work.POSTURES:
        said = []
        for action in workup.actions:
            row = by_step.get(action.id)
            if (
                row is None
                or row.became is None
                or action.posture != posture
                or action.id not in shown
            ):
                continue
            if row.became.kind == kind and (kind == StateKind.SET or not action.settled):
                said.append(row.label.lower())
        if said:
            texts.append(
                filled(
                    "{what}: {said}",
                    what=say_posture("sitting" if posture == "seated" else "standing"),
                    said=joined(", ", said),
                )
            )
    return joined("; ", texts)


def _told(cause: PaperCause) -> PaperCause:
    """Return a cause as the client is told it: what was found, a few of it."""
    return cause.model_copy(update={"findings": cause.findings[:MOST_FINDINGS]})


def _stop() -> list[str]:
    """Return when to stop, and what is not to wait: the urgent red flags in plain words."""
    urgent = [
        red_flag.label.lower() for red_flag in RED_FLAGS.values() if red_flag.urgency == "urgent"
    ]
    return [CAUTIONS[1], say("paper.urgent", signs=joined("; ", urgent))]
