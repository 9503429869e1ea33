"""The record for colleagues: everything that was found, worked out and done, and how it is known."""

from __future__ import annotations

from collections.abc import Sequence

from ...core.intake import RED_FLAGS
from ...core.language import filled, joined
from ...core.policy import POLICY_QUESTIONS
from ...core.presentation import hard_limit_words
from ...core.record import fields
from ...core.units import LengthUnit
from ...core.visit import unasked_red_flags
from ...core.words import say
from ..models import Practice, VisitSnapshot
from ..paper_models import PaperPlace, RecordPaper
from ..workup import VisitResults
from .client import CAUTIONS
from .head import head_of
from .photographs import photo_of
from .recorded import dimension, in_doubt, noted, precaution, self_reported
from .shared import (
    actions_of,
    causes_of,
    desk_heights,
    figure_of,
    flags_of,
    good_habits,
    paper_joint,
    paper_row,
    plan_of,
    shown,
    strain_of,
)


def record_paper(
    practice: Practice,
    opened: VisitSnapshot,
    workup: VisitResults,
    unit: LengthUnit,
    places: Sequence[PaperPlace] = (),
) -> RecordPaper:
    """Build the paper; parameters as in :func:`.client.client_paper`."""
    record = workup.record
    figure, shows = figure_of(workup, unit)
    return RecordPaper(
        **head_of(practice, opened, workup, unit, shows),
        scene=workup.analysis.scene(figure),
        work=opened.client.work,
        reason=record[fields.ask.reason] or "",
        warning=flags_of(workup),
        asked=_asked(workup),
        discomfort=workup.discomfort,
        precautions=[precaution(care) for care in workup.precautions],
        shortfalls=hard_limit_words(workup.analysis.chosen_plan().hard_limits, unit),
        worse=workup.worse,
        actions=actions_of(workup),
        causes=causes_of(workup),
        unexplained=workup.unexplained,
        strain=strain_of(workup),
        table=[paper_row(row) for row in shown(workup)],
        joints=[paper_joint(joint) for joint in workup.joints],
        plan=plan_of(workup, unit),
        body=[
            dimension(measured, unit)
            for measured in workup.measured
            if measured.value or measured.skipped
        ],
        standing=workup.why_not_standing,
        notes=[*workup.notes, *in_doubt(workup)],
        estimated=sorted({name for row in workup.rows for name in row.estimated}),
        self_reported=[label for _, label in self_reported(opened)],
        noted=noted(record, unit),
        note=record[fields.report.note] or "",
        method=_method(workup),
        desk=desk_heights(workup, unit),
        place=filled(
            "{name}: {use_label}",
            name=workup.places[0].name,
            use_label=workup.places[0].use_label.lower(),
        )
        if places
        else "",
        places=list(places),
        photos=[photo_of(photo) for photo in workup.photos],
        good=good_habits(workup),
        cautions=list(CAUTIONS),
    )


def _asked(workup: VisitResults) -> str:
    """Return how many red flags were asked about: silence is no answer."""
    unasked = {flag.id for flag in unasked_red_flags(workup.record)}
    said = {flag.id for flag in workup.red_flags}
    denied = [
        red_flag.label.lower()
        for red_flag in RED_FLAGS.values()
        if red_flag.id not in unasked and red_flag.id not in said
    ]
    never = [RED_FLAGS[id].label.lower() for id in RED_FLAGS if id in unasked]
    texts = [say("paper.flags_denied", flags=joined("; ", denied))] if denied else []
    texts += [say("paper.flags_unasked", flags=joined("; ", never))] if never else []
    return joined(" ", texts)


def _method(workup: VisitResults) -> list[str]:
    """Return by what the numbers were worked out: each question's position, and the body's table."""
    bundle, texts = workup.analysis.bundle, []
    for question in POLICY_QUESTIONS.values():
        at = bundle.get(question.id, question.default)
        texts.append(
            filled("{label}: {label2}", label=question.label, label2=question.position(at).label)
        )
    return [*texts, say("paper.table", table=workup.table_name)]
