"""What was recorded of the person, as the client's paper says it."""

from __future__ import annotations

from ...core.language import filled, joined, msg
from ...core.record import FIELDS, Record, field_of
from ...core.units import LengthUnit
from ...core.words import say, say_length, with_unit
from ..measured import Measured
from ..models import VisitSnapshot
from ..paper_models import PaperDimension, PaperPrecaution
from ..precautions import PrecautionView
from ..workup import VisitResults


def precaution(care: PrecautionView) -> PaperPrecaution:
    """Return what is kept to and what was lifted of it."""
    held = [
        joined(" ", (part for part in (limit.says, limit.set, limit.unmet, limit.clears) if part))
        for limit in care.limits
        if limit.cleared is None
    ]
    if held and care.since:
        held.append(say("limit.standing", since=care.since))
    lifted = [
        msg("{says} Cleared by {cleared}.", says=limit.says, cleared=limit.cleared)
        for limit in care.limits
        if limit.cleared
    ]
    return PaperPrecaution(
        id=care.id,
        label=care.label,
        limit=joined(" ", held),
        ask=care.ask,
        note=care.note,
        cleared=None
        if held
        else joined("; ", dict.fromkeys(limit.cleared or "" for limit in care.limits)),
        limits_cleared=lifted if held else [],
    )


def dimension(measured: Measured, unit: LengthUnit) -> PaperDimension:
    """Return a body dimension: its value and how it is known, or why it was left out."""
    value = with_unit(measured.value, unit) if measured.value else ""
    how = (
        measured.source or measured.by
        if measured.value
        else msg("left out: {skipped}", skipped=(measured.skipped or "").lower())
    )
    return PaperDimension(
        label=measured.label, value=value, plus_minus=measured.plus_minus or "", how=how or ""
    )


def in_doubt(workup: VisitResults) -> list[str]:
    """Return what was asked about a measurement and not answered: said, not hidden."""
    if not workup.doubtful:
        return []
    return [msg("Open queries: {doubtful}.", doubtful=joined(", ", workup.doubtful).lower())]


def noted(record: Record, unit: LengthUnit) -> list[str]:
    """Return what was recorded and decides nothing, so that it is not lost."""
    texts = []
    for field in FIELDS.values():
        value = record.values.get(field.id) if field.noted_only else None
        if value is None or value == "":
            continue
        said = str(value)
        if isinstance(value, float | int):
            said = (
                say_length(value, unit)
                if field.kind == "length"
                else with_unit(f"{value:g}", field.unit)
            )
        elif field.choices:
            said = dict(field.choices).get(value, value)
        texts.append(
            filled(
                "{group}, {label}: {said}",
                group=field.group,
                label=field.label.lower(),
                said=said.strip(),
            )
        )
    return texts


ABOUT = (".origin", ".taken_on", ".view", ".when")
"""Entries that say something of another entry, not of the client."""


def self_reported(opened: VisitSnapshot) -> list[tuple[str, str]]:
    """Return path and label of each, in the order of the fields' paths; consents stand for themselves."""
    result = []
    for path in sorted(opened.self_reported):
        if path.startswith("ask.consent.") or path.endswith(ABOUT):
            continue
        field = field_of(path)
        named = field.section == "reading" or field.label in (msg("How often"),)
        result.append(
            (
                path,
                filled("{group}, {label}", group=field.group, label=field.label.lower())
                if named
                else field.label,
            )
        )
    return result
