"""What to do about a setting that is off: the change that was worked out, and what stops it."""

from __future__ import annotations

from typing import NamedTuple

from ..assessment import SettingState
from ..catalogue import QUANTITIES
from ..errors import MissingInput
from ..fit import RANGE_ENDS, FitRow, Limit, highest_seat, legs_terms, limit_text, total
from ..language import filled, lowered, msg, without_stop
from ..tolerances import SAME_MM
from ..words import say, say_amount, say_length
from ..workstation import ScreenHolder
from .facts import Facts
from .finding import Direction

DONE_MM = 5.0
"""A setting so near to where it belongs counts as done, mm. Source: house-repeat."""
Directions = tuple[Direction, ...]


def _done(facts: Facts, state: SettingState, row: FitRow) -> str | None:
    """Return that it was set where it belongs, in the place of what to do."""
    index = 0 if state.posture == "seated" else 1
    left = facts.left[index].get(state.quantity.key)
    if left is None or row.setting is None or abs(left - row.setting) > DONE_MM:
        return None
    now = facts.assessment.set[index].setting(state.quantity.key)
    aimed = now is not None and now.known == "not_remeasured"
    how = say("how.not_remeasured" if aimed else "how.measured")
    return say("setting.done", at=say_amount(state.quantity, left, facts.unit), how=how)


def instruction_for(facts: Facts, state: SettingState, row: FitRow) -> tuple[str, Directions]:
    """Return what to do, and which way it moves what."""
    quantity, unit = state.quantity, facts.unit
    done = _done(facts, state, row)
    if done is not None:
        return done, ()
    if quantity.built_in:
        by = say_length(abs((row.target or 0.0) - (row.found or 0.0)), unit)
        held = facts.case.workstation.screen.held
        return say(
            "setting.deeper_arm" if held == ScreenHolder.ARM else "setting.deeper", by=by
        ), ()
    if any(limit.kind == "joined" for limit in row.limits):
        return (
            msg(
                "Raise the laptop and add a separate keyboard and mouse; without them, short periods only."
            ),
            (),
        )
    if row.change is None or row.setting is None or row.found is None or row.target is None:
        return row.reason or msg("Adjust by feel and check on the client."), ()
    to = say_amount(quantity, row.setting, unit)
    if abs(row.change) < SAME_MM:
        stopped = _stop(row)
        if stopped is None:
            return _feet_first(facts, row) + say("setting.best_here", to=to), ()
        return say("setting.stays", to=to, limit=limit_text(stopped, unit)), ()
    direction = (Direction(quantity=quantity.key, sign=1 if row.change > 0 else -1),)
    if quantity.seen_against == "lower_leg" and (said := _seat_first(facts, row)) is not None:
        return said, direction
    return _move(facts, state, row), direction


def _stop(row: FitRow) -> Limit | None:
    return next((limit for limit in row.limits if limit.kind in STOPS), None)


def _how_far(facts: Facts, row: FitRow) -> dict[str, str]:
    """The words of a move: which way, by how much, to where."""
    quantity, unit = QUANTITIES[row.key], facts.unit
    assert row.change is not None
    assert row.setting is not None
    verb = quantity.more if row.change > 0 else quantity.less
    by, to = (say_amount(quantity, value, unit) for value in (abs(row.change), row.setting))
    return {"verb": verb, "by": by, "to": to}


def _seat_first(facts: Facts, row: FitRow) -> str | None:
    """Return what is said of a seat that something else comes before: a support, the thighs, the armrests."""
    assert row.target is not None
    assert row.found is not None
    assert row.change is not None
    if (support := _support_first(facts, row)) is not None:
        aim, to = say_length(support.seat, facts.unit), _how_far(facts, row)["to"]
        return say("feet.before_seat", support=say_length(support.high, facts.unit), aim=aim, to=to)
    if (row.target - row.found) * row.change < 0:
        for kind in ("thighs", "armrests"):
            if any(limit.kind == kind for limit in row.limits):
                return say(f"seat.away_{kind}", **_how_far(facts, row))
    return None


def _move(facts: Facts, state: SettingState, row: FitRow) -> str:
    """Return how a piece is moved, and what stops it short of its target."""
    assert row.change is not None
    assert row.setting is not None
    assert row.target is not None
    said = say("setting.move", **_how_far(facts, row))
    if row.change > 0:
        said = _feet_first(facts, row) + said
    short = abs(row.setting - row.target) > (DONE_MM if row.unit == "mm" else 1.0)
    if any(limit.kind == "inside" for limit in row.limits):
        said = msg("{said}, within range but not at its limit.", said=without_stop(said))
    if (follows := _eyes_move(facts, state, row)) is not None:
        return filled("{said}: {follows}.", said=without_stop(said), follows=follows)
    stopped = _stop(row)
    if short and stopped is not None:
        said = filled(
            "{said}; {limit_text}.",
            said=without_stop(said),
            limit_text=limit_text(stopped, facts.unit),
        )
    return said


def _feet_first(facts: Facts, row: FitRow) -> str:
    """Return that the feet are supported first, where the seat stands or goes higher than they reach."""
    if not QUANTITIES[row.key].feet_first:
        return ""
    rest = facts.result.row("seated", "footrest")
    if (rest.setting or 0.0) <= (rest.found or 0.0) + SAME_MM:
        return ""
    at = say_length(rest.setting or 0.0, facts.unit)
    added = next((added for added in facts.added if added.slot == "feet"), None)
    if added is None:
        return filled("{say} ", say=say("feet.first_set", at=at))
    if added.price == "nothing":
        return filled("{say} ", say=say("feet.first_here", what=lowered(added.label)))
    until = _seat_for_feet(facts)
    if until is None or until >= (row.setting or 0.0) - SAME_MM:
        return filled("{say} ", say=say("feet.first", at=at))
    return filled("{say} ", say=say("feet.first_until", at=at, until=say_length(until, facts.unit)))


def _seat_for_feet(facts: Facts) -> float | None:
    """Return the seat at which the feet stand without a support, as far as the chair goes down, mm; None where unknown."""
    try:
        legs = total(legs_terms(facts.case.body, facts.case))
    except MissingInput:
        return None
    span = facts.case.workstation.chair.seat
    return span.clamp(legs) if span is not None else legs


def _eyes_move(facts: Facts, state: SettingState, row: FitRow) -> str | None:
    """Return why a screen moves the way that looks wrong as found: the eyes come along with the seat."""
    if state.quantity.seen_against != "eye":
        return None
    assessed = facts.assessment.found[0 if state.posture == "seated" else 1]
    joint = assessed.joint(state.quantity.joint) if state.quantity.joint else None
    if joint is None or (joint.excess_deg or 0.0) * (row.change or 0.0) <= 0:
        return None
    seat = facts.result.row("seated", "seat").change if state.posture == "seated" else None
    if not seat:
        return None
    side = "higher" if seat > 0 else "lower"
    return say("setting.eyes_move", by=say_length(abs(seat), facts.unit), side=side)


STOPS = RANGE_ENDS | {"thighs", "armrests", "hangs"}
"""Kinds of limit that are named with the instruction: past them the piece can't or mustn't go."""


class _Support(NamedTuple):
    """A support for the feet, and the seat that it would allow, mm."""

    high: float
    seat: float


def _support_first(facts: Facts, row: FitRow) -> _Support | None:
    """Return the support for the feet without which the seat can't go up to its target, or as far as anything else lets it.

    None where one is there or planned, and where anything else keeps the seat from going up.
    """
    assert row.setting is not None
    assert row.target is not None
    if row.target <= row.setting or not any(limit.kind == "hangs" for limit in row.limits):
        return None
    if facts.result.row("seated", "footrest").setting:
        return None
    try:
        seat = highest_seat(facts.case, row.target, facts.result.row("seated", "surface").setting)
        high = seat - total(legs_terms(facts.case.body, facts.case))
    except MissingInput:
        return None
    return _Support(high, seat) if high > facts.case.policy.flat_feet_margin else None
