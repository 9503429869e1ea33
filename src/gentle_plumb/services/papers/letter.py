"""The referral letter for one red flag."""

from __future__ import annotations

from ...core.intake import URGENCY
from ...core.visit import spoken_date
from ..models import Practice, VisitSnapshot
from ..paper_models import LetterPaper
from ..workup import Workup
from .recorded import precaution


def letter_paper(
    practice: Practice, opened: VisitSnapshot, workup: Workup, flag: str
) -> LetterPaper | None:
    """Return the letter for a flag that is there; None for any other."""
    raised = next((one for one in workup.signs if one.id == flag), None)
    if raised is None:
        return None
    return LetterPaper(
        practice=practice.name,
        letterhead=practice.letterhead.splitlines(),
        call=practice.contact,
        local_wording=practice.local_wording,
        client=opened.client.name,
        visited=spoken_date(opened.visit.started_on.isoformat()),
        to=raised.to,
        urgency=URGENCY[raised.urgency],
        sign=raised.label,
        told=raised.told,
        by=raised.by,
        call_back=spoken_date(raised.call_back) if raised.call_back else "",
        felt=workup.felt,
        cares=[precaution(care) for care in workup.cares],
        work=opened.client.work,
    )
