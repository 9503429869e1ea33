"""A client's movements in words: what is done, how long, why, when in the day."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..catalogue import REGIONS
from ..intake import LimitId, PersonLimits
from ..language import and_list, filled, joined, msg
from ..movements import ChosenMovement, LeftOut, Movement, Programme, place_movements
from ..pace import Spell, clock
from ..words import say

STARTS = {"seated": msg("Sitting"), "standing": msg("Standing")}


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
    for index, id in place_movements(programme.chosen, spells):
        placed.setdefault(id, []).append(clock(index))
    if programme.waits_for:
        rules = [say("move.waits", flags=joined("; ", programme.waits_for))]
        return ProgrammeView(chosen=[], further=[], left_out=[], rules=rules)
    rules = [say("move.rule")]
    if not person.walks:
        rules.append(say("move.relief"))
    if programme.holds:
        rules.append(say("move.holds", flags=joined("; ", programme.holds)))
    for id in (LimitId.RISE_SLOWLY, LimitId.SUPERVISED, LimitId.FEET_BY_EYE):
        held = person.held(id)
        rules += [held.says] if held is not None else []
    return ProgrammeView(
        chosen=[
            _chosen(movement, placed.get(movement.movement.id, [])) for movement in programme.chosen
        ],
        further=[_further(movement) for movement in programme.further],
        left_out=[_left_out(left_out) for left_out in programme.left_out],
        rules=rules,
    )


def _chosen(chosen_movement: ChosenMovement, times: list[str]) -> MovementView:
    movement = chosen_movement.movement
    return MovementView(
        id=movement.id,
        label=movement.label,
        start=STARTS[movement.start],
        steps=list(movement.steps),
        dose=dose(movement, chosen_movement.hold_s),
        felt=movement.felt,
        never=movement.never,
        why=chosen_movement.why,
        own=chosen_movement.own,
        times=times,
    )


def dose(movement: Movement, hold_s: float) -> str:
    """Return how long and how often.

    >>> from ..movements import LIBRARY
    >>> dose(LIBRARY["ear_to_shoulder"], 10)
    'Hold 10 s, twice, each side'

    """
    often = {1: "once", 2: "twice"}.get(
        movement.repeats, msg("{repeats} times", repeats=movement.repeats)
    )
    parts = [say("move.hold", seconds=f"{hold_s:g}")] if hold_s else []
    parts.append(often if parts else often[0].upper() + often[1:])
    return joined(", ", [*parts, *([msg("each side")] if movement.sided else [])])


def _further(movement: Movement) -> FurtherMovement:
    return FurtherMovement(
        id=movement.id,
        label=movement.label,
        regions=joined(", ", (REGIONS[region] for region in movement.regions)),
    )


def _left_out(left_out: LeftOut) -> LeftOutMovement:
    because = filled(
        "{says} {because}.", says=left_out.limit.says, because=and_list(left_out.limit.because)
    )
    return LeftOutMovement(id=left_out.movement.id, label=left_out.movement.label, because=because)
