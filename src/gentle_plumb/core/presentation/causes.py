"""Causes in words, for the page and every paper: the same sentence wherever it stands."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..assessment import whole_minutes
from ..catalogue import MechanismId
from ..findings import Cause
from ..record.fields.work import Severity


@dataclass(frozen=True, kw_only=True)
class CauseView:
    """One cause: what is so, its load, what it explains, and the findings that show it."""

    id: MechanismId
    title: str
    severity: Severity | None
    safety: bool
    minutes: int | None
    explains: list[str]
    findings: list[str]


def cause_views(causes: Sequence[Cause]) -> list[CauseView]:
    """Return every cause in words."""
    return [
        CauseView(
            id=cause.id,
            title=cause.title,
            severity=cause.severity,
            safety=cause.safety,
            minutes=None if cause.minutes is None else whole_minutes(cause.minutes),
            explains=list(cause.explains),
            findings=list(cause.findings),
        )
        for cause in causes
    ]
