"""What was recorded of the person, as the client's paper says it."""

from __future__ import annotations

from ...core.record import FIELDS, Record
from ...core.units import LengthUnit
from ...core.words import say, say_length, with_unit
from ..measured import Measured
from ..paper_models import PaperDimension, PaperPrecaution
from ..precautions import PrecautionView
from ..workup import VisitResults


def precaution(care: PrecautionView) -> PaperPrecaution:
    """Return what is kept to and what was lifted of it."""
    held = [
        " ".join(part for part in (one.says, one.set, one.unmet, one.clears) if part)
        for one in care.limits
        if one.cleared is None
    ]
    if held and care.since:
        held.append(say("limit.standing", since=care.since))
    lifted = [f"{one.says} Cleared by {one.cleared}." for one in care.limits if one.cleared]
    return PaperPrecaution(
        id=care.id,
        label=care.label,
        limit=" ".join(held),
        ask=care.ask,
        note=care.note,
        cleared=None
        if held
        else "; ".join(dict.fromkeys(one.cleared or "" for one in care.limits)),
        lifted=lifted if held else [],
    )


def dimension(one: Measured, unit: LengthUnit) -> PaperDimension:
    """Return a body dimension: its value and how it is known, or why it was left out."""
    value = with_unit(one.value, unit) if one.value else ""
    how = one.source or one.by if one.value else f"left out: {(one.skipped or '').lower()}"
    return PaperDimension(
        label=one.label, value=value, plus_minus=one.plus_minus or "", how=how or ""
    )


def in_doubt(workup: VisitResults) -> list[str]:
    """Return what was asked about a measurement and not answered: said, not hidden."""
    if not workup.doubtful:
        return []
    return [f"In doubt and not settled: {', '.join(workup.doubtful).lower()}."]


def noted(record: Record, unit: LengthUnit) -> list[str]:
    """Return what was recorded and decides nothing, so that it is not lost."""
    found = []
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
        found.append(f"{field.group}, {field.label.lower()}: {said.strip()}")
    return found
