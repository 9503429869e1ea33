"""The letter to a clinician for one red flag: what was reported and seen, and one question that can be answered."""

from __future__ import annotations

from ...core.findings import Discomfort
from ...core.intake import URGENCY
from ...core.record.fields.flag_fields import ClinicianSays
from ...core.states import StateKind
from ...core.visit import spoken_date
from ...core.words import say
from ..models import Practice, VisitSnapshot
from ..paper_models import LetterPaper
from ..workup import Workup
from .client import limit_lines
from .recorded import precaution

MOST_SEEN = 4
"""So many of the things that were seen are told. House value."""


def letter_paper(
    practice: Practice, opened: VisitSnapshot, workup: Workup, flag: str
) -> LetterPaper | None:
    """Return the letter for a flag that is there; None for any other."""
    raised = next((one for one in workup.signs if one.id == flag), None)
    if raised is None:
        return None
    born = opened.client.birth_year
    return LetterPaper(
        practice=practice.name,
        letterhead=practice.letterhead.splitlines(),
        call=practice.contact,
        local_wording=practice.local_wording,
        client=opened.client.name,
        birth_year=f"{born}" if born else "",
        visited=spoken_date(opened.visit.started_on.isoformat()),
        to=raised.to,
        urgency=URGENCY[raised.urgency],
        sign=raised.label,
        told=raised.told,
        by=raised.by,
        call_back=spoken_date(raised.call_back) if raised.call_back else "",
        felt=workup.felt,
        reported=[_reported(one) for one in workup.through.facts.felt],
        seen=[
            one.title
            for one in workup.findings
            if one.state == "off" and one.verdict is not None and one.verdict != "dismissed"
        ][:MOST_SEEN],
        done=_done(workup),
        question=_question(workup, raised.id),
        limits=limit_lines(workup),
        answers=[one.label for one in ClinicianSays],
        cares=[precaution(care) for care in workup.cares],
        work=opened.client.work,
    )


def _reported(one: Discomfort) -> str:
    """Return a complaint with how long it has been there, and what helps, as far as that was said."""
    since = say("letter.since", since=one.since.rstrip(".")) if one.since else ""
    eases = say("letter.eases", eases=one.eases.rstrip(".")) if one.eases else ""
    return ". ".join(part for part in (one.text, since, eases) if part) + "."


def _done(workup: Workup) -> str:
    """Return what was done at the workplace, as it happened: what was set, what stopped for pain."""
    kinds = [
        (one.quantity.label.lower(), one.kind)
        for (posture, _), one in workup.through.states.items()
        if workup.result.of(posture).possible
    ]
    found = []
    for kind, name in ((StateKind.SET, "letter.set"), (StateKind.STOPPED, "letter.stopped")):
        labels = list(dict.fromkeys(label for label, one in kinds if one == kind))
        if labels:
            found.append(say(name, what=", ".join(labels)))
    return " ".join(found) or say("letter.nothing")


def _question(workup: Workup, flag: str) -> str:
    """Return the question: may the work and the exercises go on, and, where standing waits, from when."""
    stands = workup.limits.against_standing
    if stands is not None and workup.limits.walks:
        return say("letter.may_stand")
    return say("letter.may_move" if flag != "other" else "letter.may_go_on")
