"""What every paper of a version begins and ends with."""

from __future__ import annotations

from typing import Any

from ...core.record import fields
from ...core.units import LengthUnit
from ...core.visit import spoken_date
from ..models import Practice, VisitSnapshot
from ..paper_models import Shows
from ..workup import VisitResults
from . import pace


def head_of(
    practice: Practice, opened: VisitSnapshot, workup: VisitResults, unit: LengthUnit, shows: Shows
) -> dict[str, Any]:
    """Return the head: whose practice, which client and visit, which version, whom to call."""
    due = workup.record[fields.report.follow_up] or ""
    begun = opened.visit.started_on.isoformat()
    return {
        "practice": practice.name,
        "letterhead": practice.letterhead.splitlines(),
        "call": practice.contact,
        "local_wording": practice.local_wording,
        "client": opened.client.name,
        "visited_on": begun,
        "visited": spoken_date(begun),
        "follow_up": due,
        "follow_up_on": spoken_date(due) if due else "",
        "unit": unit,
        "version": opened.versions + 1,
        "scene_shows": shows,
        "rhythm": pace.rhythm(workup),
    }
