"""A client's movements in words: what is done, how long, why, when in the day."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..catalogue import REGIONS
from ..intake import LimitId, PersonLimits
from ..movements import ChosenMovement, LeftOut, Movement, Programme, place_movements
from ..pace import Spell, clock
from ..words import say

STARTS = {"seated": "Sitting", "standing": "Standing"}


@dataclass(frozen=True, kw_only=True)
class MovementView:
    """A movement of the programme in words; ``times`` are when it is done on the day that is laid."""

    id: str
    label: str
    start: str
    steps: list[str]
    dose: str
    felt: str
    never: str
    why: str
    own: bool
    times: list[str]


@dataclass(frozen=True, kw_only=True)
class FurtherMovement:
    """A movement that could be chosen too."""

    id: str
    label: str
    regions: str


@dataclass(frozen=True, kw_only=True)
class LeftOutMovement:
    """A movement that a limit keeps out, with the limit."""

    id: str
    label: str
    because: str


@dataclass(frozen=True, kw_only=True)
class ProgrammeView:
    """The movements of a client; ``rules`` hold for all of them."""

    chosen: list[MovementView]
    further: list[FurtherMovement]
    left_out: list[LeftOutMovement]
    rules: list[str]


def programme_view(
    programme: Programme, spells: Sequence[Spell], person: PersonLimits
) -> ProgrammeView:
    """Return a programme in words, placed in the breaks of a day."""
    placed: dict[str, list[str]] = {}
    for at, id in place_movements(programme.chosen, spells):
        placed.setdefault(id, []).append(clock(at))
    if programme.waits_for:
        rules = [say("move.waits", flags="; ".join(programme.waits_for))]
        return ProgrammeView(chosen=[], further=[], left_out=[], rules=rules)
    rules = [say("move.rule")]
    if not person.walks:
        rules.append(say("move.relief"))
    if programme.holds:
        rules.append(say("move.holds", flags="; ".join(programme.holds)))
    for id in (LimitId.RISE_SLOWLY, LimitId.SUPERVISED, LimitId.FEET_BY_EYE):
        held = person.held(id)
        rules += [held.says] if held is not None else []
    return ProgrammeView(
        chosen=[_chosen(one, placed.get(one.movement.id, [])) for one in programme.chosen],
        further=[_further(one) for one in programme.further],
        left_out=[_left_out(one) for one in programme.left_out],
        rules=rules,
    )


def _chosen(one: ChosenMovement, times: list[str]) -> MovementView:
    movement = one.movement
    return MovementView(
        id=movement.id,
        label=movement.label,
        start=STARTS[movement.start],
        steps=list(movement.steps),
        dose=dose(movement, one.hold_s),
        felt=movement.felt,
        never=movement.never,
        why=one.why,
        own=one.own,
        times=times,
    )


def dose(movement: Movement, hold_s: float) -> str:
    """Return how long and how often.

    >>> from ..movements import LIBRARY
    >>> dose(LIBRARY["ear_to_shoulder"], 10)
    'Hold 10 s, twice, each side'

    """
    often = {1: "once", 2: "twice"}.get(movement.repeats, f"{movement.repeats} times")
    parts = [say("move.hold", seconds=f"{hold_s:g}")] if hold_s else []
    parts.append(often if parts else often[0].upper() + often[1:])
    return ", ".join([*parts, *(["each side"] if movement.sided else [])])


def _further(one: Movement) -> FurtherMovement:
    return FurtherMovement(
        id=one.id, label=one.label, regions=", ".join(REGIONS[region] for region in one.regions)
    )


def _left_out(one: LeftOut) -> LeftOutMovement:
    because = f"{one.limit.says} {' and '.join(one.limit.because)}."
    return LeftOutMovement(id=one.movement.id, label=one.movement.label, because=because)
