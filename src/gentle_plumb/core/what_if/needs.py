"""Which regions ask for movement: where it hurts, and what is loaded."""

from __future__ import annotations

from collections.abc import Mapping, Sequence

from ..assessment import whole_minutes
from ..catalogue import REGIONS
from ..choices import YesNo
from ..findings import Discomfort, Facts, Strain
from ..intake import PersonLimits
from ..movements import Need, Programme, choose_movements
from ..record import Record, fields
from ..visit import raised_red_flags
from ..words import say


def programme_of(
    record: Record,
    facts: Facts,
    strain: Sequence[Strain],
    person: PersonLimits,
    held: Mapping[str, str],
) -> Programme:
    """Return the movements of a visit: chosen by need, changed by the practitioner.

    None while a red flag that was raised has not been referred; until the clinician has answered, none for the
    regions that it holds back.
    """
    waits = tuple(flag.label for flag in raised_red_flags(record) if not flag.done)
    if waits or held.keys() >= set(REGIONS):
        labels = waits or tuple(dict.fromkeys(held.values()))
        return Programme(chosen=(), further=(), left_out=(), waits_for=labels)
    said = {id: record[asked] for id, asked in fields.pace.movement.items()}
    return choose_movements(
        needs_of(facts.discomfort, strain),
        person,
        own=[id for id, answer in said.items() if answer == YesNo.YES],
        without=[id for id, answer in said.items() if answer == YesNo.NO],
        held=held,
    )


def needs_of(felt: Sequence[Discomfort], strain: Sequence[Strain]) -> list[Need]:
    """Return every region that hurts or is loaded, with why in words.

    Parameters
    ----------
    felt : sequence of Discomfort
        The strongest of a region counts.
    strain : sequence of Strain
        By region, minutes a day.

    """
    result = []
    loaded = {load.region: load.minutes for load in strain}
    for region, label in REGIONS.items():
        hurts = max(
            (discomfort for discomfort in felt if discomfort.load == region),
            key=lambda discomfort: discomfort.strength,
            default=None,
        )
        minutes = loaded.get(region, 0.0)
        if hurts is None and minutes < 1:
            continue
        why = say("move.loaded", region=label, minutes=f"{whole_minutes(minutes)}")
        result.append(
            Need(
                region=region,
                strength=hurts.strength if hurts is not None else 0.0,
                minutes=minutes,
                why=hurts.text if hurts is not None else why,
            )
        )
    return result
