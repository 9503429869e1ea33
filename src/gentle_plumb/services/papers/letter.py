"""The letter to a clinician for a red flag or a condition: what was reported and seen, and what can be answered."""

from __future__ import annotations

from dataclasses import dataclass

from ...core.findings import Discomfort
from ...core.intake import (
    FIGURES,
    LEAST_HIP_DEG,
    PRECAUTIONS,
    SHORT_STANDING_MIN,
    URGENCY,
    LimitId,
    LimitInForce,
)
from ...core.language import filled, joined
from ...core.record import Record, fields
from ...core.record.fields.flag_fields import ClinicianSays
from ...core.states import StateKind
from ...core.visit import spoken_date
from ...core.words import say, say_degrees
from ..models import Practice, VisitSnapshot
from ..paper_models import LetterPaper
from ..workup import VisitResults
from .client import limit_lines
from .recorded import precaution

MOST_SEEN = 4
"""So many of the things that were seen are told. House value."""


@dataclass(frozen=True, kw_only=True)
class _Subject:
    """What a letter is about: a red flag or a condition, to whom it goes, and the limits it asks about."""

    title: str
    to: str
    urgency: str
    sign: str
    informed: str
    limits: tuple[LimitInForce, ...]
    by: str = ""
    call_back: str = ""


def letter_paper(
    practice: Practice, opened: VisitSnapshot, workup: VisitResults, about: str
) -> LetterPaper | None:
    """Return the letter for a red flag or a condition that is there, by name; None for any other."""
    raised = next((sign for sign in workup.red_flags if sign.id == about), None)
    care = next((care for care in workup.precautions if care.id == about), None)
    if raised is not None:
        subject = _Subject(
            title=say("letter.referral"),
            to=raised.to,
            urgency=URGENCY[raised.urgency],
            sign=raised.label,
            informed=raised.informed,
            by=raised.by,
            call_back=spoken_date(raised.call_back) if raised.call_back else "",
            limits=workup.case.person.in_force,
        )
    elif care is not None:
        subject = _Subject(
            title=say("letter.asks"),
            to=care.ask,
            urgency=say("letter.usual"),
            sign=care.label,
            informed=care.note or "",
            limits=tuple(
                limit_in_force
                for limit_in_force in workup.case.person.in_force
                if care.label in limit_in_force.because
            ),
        )
    else:
        return None
    questions = _questions(opened.client.name, workup, subject, about)
    born = opened.client.birth_year
    return LetterPaper(
        title=subject.title,
        practice=practice.name,
        letterhead=practice.letterhead.splitlines(),
        call=practice.contact,
        local_wording=practice.local_wording,
        client=opened.client.name,
        birth_year=f"{born}" if born else "",
        visited=spoken_date(opened.visit.started_on.isoformat()),
        to=subject.to,
        urgency=subject.urgency,
        sign=subject.sign,
        informed=subject.informed,
        by=subject.by,
        call_back=subject.call_back,
        discomfort=workup.discomfort,
        reported=[_reported(discomfort) for discomfort in workup.analysis.facts.discomfort],
        seen=[
            finding.title
            for finding in workup.analysis.findings
            if finding.state == "off"
            and finding.verdict is not None
            and finding.verdict != "dismissed"
        ][:MOST_SEEN],
        done=_done(workup),
        question=joined(" ", questions),
        lines=_lines(subject.limits),
        limits=limit_lines(workup, subject.limits),
        answers=[says.label for says in ClinicianSays],
        precautions=[precaution(care) for care in workup.precautions],
        work=opened.client.work,
    )


def _reported(discomfort: Discomfort) -> str:
    """Return a complaint with how long it has been there, and what helps, as far as that was said."""
    since = say("letter.since", since=discomfort.since.rstrip(".")) if discomfort.since else ""
    eases = say("letter.eases", eases=discomfort.eases.rstrip(".")) if discomfort.eases else ""
    return joined(". ", (part for part in (discomfort.text, since, eases) if part)) + "."


def _done(workup: VisitResults) -> str:
    """Return what was done at the workplace, as it happened: what was set, what stopped for pain."""
    kinds = [
        (state.quantity.label.lower(), state.kind)
        for (posture, _), state in workup.analysis.states.items()
        if workup.result.of(posture).possible
    ]
    texts = []
    for kind, name in ((StateKind.SET, "letter.set"), (StateKind.STOPPED, "letter.stopped")):
        labels = list(dict.fromkeys(label for label, state_kind in kinds if state_kind == kind))
        if labels:
            texts.append(say(name, what=joined(", ", labels)))
    return joined(" ", texts) or say("letter.nothing")


def _questions(client: str, workup: VisitResults, subject: _Subject, about: str) -> list[str]:
    """Return what is asked: of the limits that hold, whether each may go, with the number and day that matter."""
    held = {limit.id: limit for limit in subject.limits}
    texts = []
    standing = held.get(LimitId.NO_STANDING) or held.get(LimitId.SHORT_STANDING)
    if standing is not None:
        texts.append(_standing(client, workup.record, standing))
    if any(id in held for id in LEAST_HIP_DEG):
        least = say_degrees(workup.case.person.least_hip)
        texts.append(say("letter.hip", client=client, least=least))
    if about in PRECAUTIONS:
        return texts if len(texts) == len(held) else [*texts, say("letter.may_lift")]
    go_on = say("letter.may_go_on") if about == "other" else say("letter.may_move", client=client)
    return [*texts, go_on]


def _standing(client: str, record: Record, standing: LimitInForce) -> str:
    asked = record[fields.conditions.standing_asked] or SHORT_STANDING_MIN
    from_day = record.said(fields.conditions.standing_from)
    minutes = f"{max(asked, standing.figure or 0.0):g}"
    if standing.id == LimitId.SHORT_STANDING and asked <= (standing.figure or SHORT_STANDING_MIN):
        return say("letter.may_stand_longer", client=client, minutes=minutes)
    if not from_day:
        return say("letter.may_stand", client=client, minutes=minutes)
    return say("letter.may_stand.from", client=client, minutes=minutes, on=spoken_date(from_day))


def _lines(limits: tuple[LimitInForce, ...]) -> list[str]:
    """Return the lines on which an answer within limits is written, each with its unit."""
    figures = dict.fromkeys(
        filled("{label}, {unit}", label=figure.label, unit=figure.unit)
        for limit in limits
        if (figure := FIGURES.get(limit.id)) is not None
    )
    return [*figures, say("letter.other_limits")]
