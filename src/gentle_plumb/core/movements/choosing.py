"""At most five movements for one client: from where it hurts and what is loaded, within their limits.

Exact and deterministic. Sources: house-movements, house-care.
"""

from __future__ import annotations

from collections.abc import Collection, Mapping, Sequence
from dataclasses import dataclass
from itertools import pairwise

from ..intake import LimitInForce, PersonLimits
from ..language import msg
from ..pace import Spell
from .library import LIBRARY, SHIFTS
from .movement import Movement

MOST = 5
"""More movements than this are not kept up. Source: house-movements."""


@dataclass(frozen=True, kw_only=True)
class Need:
    """A region that asks for movement: its discomfort 0 to 10, its strain minutes a day, both in words."""

    region: str
    strength: float
    minutes: float
    why: str


@dataclass(frozen=True, kw_only=True)
class ChosenMovement:
    """A movement of a client's programme: why it is there, its hold in seconds within their limits."""

    movement: Movement
    why: str
    hold_s: float
    own: bool = False


@dataclass(frozen=True, kw_only=True)
class LeftOut:
    """A movement that a limit keeps out."""

    movement: Movement
    limit: LimitInForce


@dataclass(frozen=True, kw_only=True)
class Programme:
    """What is chosen, what else could be, and what a limit keeps out.

    ``waits_for`` are the red flags that come before any movement, ``holds`` those that hold back some.
    """

    chosen: tuple[ChosenMovement, ...]
    further: tuple[Movement, ...]
    left_out: tuple[LeftOut, ...]
    waits_for: tuple[str, ...] = ()
    holds: tuple[str, ...] = ()


GENERAL = ("walk_for_water", "lean_sideways", "shoulder_rolls", "ankle_pumps", "look_far")
"""What fills up where hardly anything hurts or is loaded, in this order. Source: house-movements."""
ARMS = frozenset({"shoulder", "wrist"})
"""Regions that carry the body in a push-up off the seat: left out where they hurt."""
RELIEF = msg("Takes the weight off the seat, for somebody who sits all day.")
LEAST = 3
"""A programme has at least so many where limits leave them. House value."""


def choose_movements(
    needs: Sequence[Need],
    person: PersonLimits,
    *,
    own: Collection[str] = (),
    without: Collection[str] = (),
    held: Mapping[str, str] | None = None,
) -> Programme:
    """Choose a programme.

    Parameters
    ----------
    needs : sequence of Need
        Regions that hurt or are loaded, in any order; what hurts most comes first, then what is loaded most.
    person : PersonLimits
        What is barred, and how long a hold may be.
    own, without : collection of str
        Movements that the practitioner put in and took out. A limit stands over what was put in.
    held : mapping, optional
        Regions that a red flag holds back until a clinician has answered, each with the flag.

    """
    waits = held or {}
    able: dict[str, Movement] = {}
    left_out = []
    for movement in LIBRARY.values():
        if any(region in waits for region in movement.regions):
            continue
        barred = person.against(movement.asks)
        if barred is not None:
            left_out.append(LeftOut(movement=movement, limit=barred))
        elif movement.id not in SHIFTS or not person.walks or movement.id in own:
            able[movement.id] = movement
    chosen: dict[str, str] = {id: msg("Your choice.") for id in own if id in able}
    if not person.walks:  # pressure relief comes first for somebody who sits all day
        sore = {need.region for need in needs if need.strength > 0} & ARMS
        chosen |= {
            id: RELIEF
            for id, movement in able.items()
            if id in SHIFTS and id not in without and id not in chosen
            if not (sore and ARMS & set(movement.regions))
        }
    ordered = sorted(needs, key=lambda need: (-need.strength, -need.minutes, need.region))
    for rank in range(len(LIBRARY)):
        for need in ordered:
            fits = [
                movement for movement in able.values() if _fit(movement, need.region) is not None
            ]
            fits.sort(key=lambda movement: _fit(movement, need.region) or 0)
            if rank < len(fits) and len(chosen) < MOST and fits[rank].id not in without:
                chosen.setdefault(fits[rank].id, need.why)
    for id in GENERAL:
        if len(chosen) < LEAST and id in able and id not in without:
            chosen.setdefault(id, msg("For everybody who sits."))
    hold = person.longest_hold
    return Programme(
        chosen=tuple(
            ChosenMovement(
                movement=able[id],
                why=why,
                hold_s=min(able[id].hold_s, hold) if hold is not None else able[id].hold_s,
                own=id in own,
            )
            for id, why in list(chosen.items())[:MOST]
        ),
        further=tuple(movement for movement in able.values() if movement.id not in chosen),
        left_out=tuple(left_out),
        holds=tuple(dict.fromkeys(waits.values())),
    )


def _fit(movement: Movement, region: str) -> int | None:
    """Return how well a movement is for a region: 0 best, None not at all."""
    return movement.regions.index(region) if region in movement.regions else None


def place_movements(
    chosen: Sequence[ChosenMovement], spells: Sequence[Spell]
) -> tuple[tuple[int, str], ...]:
    """Return when each movement is done, minutes after midnight: in turn, in the breaks of the day.

    Where a day has no breaks, at the changes of posture.
    """
    if not chosen:
        return ()
    breaks = [spell.at for spell in spells if spell.posture == "move"]
    if not breaks:
        breaks = [
            after.at
            for before, after in pairwise(spells)
            if before.posture != after.posture and not after.lunch
        ]
    return tuple((index, chosen[k % len(chosen)].movement.id) for k, index in enumerate(breaks))
