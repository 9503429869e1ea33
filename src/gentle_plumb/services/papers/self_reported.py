"""What a visit holds from its client's own page, and nobody has confirmed."""

from __future__ import annotations

from ...core.record import field_of
from ..models import VisitSnapshot

ABOUT = (".origin", ".taken_on", ".view", ".when")
"""Entries that say something of another entry, not of the client."""


def self_reported(opened: VisitSnapshot) -> list[tuple[str, str]]:
    """Return path and label of each, in the order of the fields' paths; consents stand for themselves."""
    result = []
    for path in sorted(opened.self_reported):
        if path.startswith("ask.consent.") or path.endswith(ABOUT):
            continue
        field = field_of(path)
        named = field.section == "reading" or field.label in ("How often",)
        result.append((path, f"{field.group}, {field.label.lower()}" if named else field.label))
    return result
