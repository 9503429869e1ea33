"""The search's model as a mixed-integer program, for a general solver to check it by."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace
from functools import partial
from itertools import pairwise, product
from math import ceil, floor, isfinite
from typing import Any

from gentle_plumb.core.catalogue import Tier
from gentle_plumb.core.fit import (
    SEAT_LATTICE,
    SURFACE_LATTICE,
    Case,
    Lengths,
    SearchModel,
    elbow_over,
    gaze_over,
    legs_at,
)
from gentle_plumb.core.plans import (
    Addition,
    Cost,
    Worth,
    comfort_deg,
    cost_of,
    desk_additions,
    feet_additions,
    screen_additions,
    seat_additions,
)
from gentle_plumb.core.workstation import Span, Workstation


def solve_with_milp(model: SearchModel) -> float:
    """Smallest sum of degrees outside the bands on the whole-millimetre lattice, by HiGHS.

    One binary for each seat and each gap of surface over seat; exactly one of either is taken,
    and their sum must lie in the surface's range. Where the search may use more points than the
    lattice, its optimum can only be lower.

    Raises
    ------
    ValueError
        If the solver finds nothing.

    """
    import numpy as np
    from scipy.optimize import Bounds, LinearConstraint, milp

    seats = model.seat or (SEAT_LATTICE if model.legs is not None else Span(low=0, high=0))
    surfaces = model.surface or SURFACE_LATTICE
    least = surfaces.low - seats.high
    if model.least_gap is not None:
        least = max(least, model.least_gap)
    rows = [float(seat) for seat in range(ceil(seats.low), floor(seats.high) + 1)]
    gaps = [float(gap) for gap in range(ceil(least), floor(surfaces.high - seats.low) + 1)]
    costs = [legs_at(model, seat).excess_deg for seat in rows]
    costs += [elbow_over(model, gap)[0] + gaze_over(model, 0.0, gap)[0] for gap in gaps]
    seat_part, gap_part = np.zeros(len(costs)), np.zeros(len(costs))
    seat_part[: len(rows)], gap_part[len(rows) :] = 1, 1
    heights = np.array([*rows, *gaps])
    answer: Any = milp(
        np.array(costs),
        integrality=np.ones(len(costs)),
        bounds=Bounds(0, 1),
        constraints=[
            LinearConstraint(seat_part, 1, 1),
            LinearConstraint(gap_part, 1, 1),
            LinearConstraint(heights, surfaces.low, surfaces.high),
        ],
    )
    if answer.x is None or not isfinite(answer.fun):
        raise ValueError(f"the solver found nothing: {answer.message}")
    return float(answer.fun)


@dataclass(frozen=True, kw_only=True)
class Choice:
    """One place of one piece: its height or lift, what it costs, which items it stands on."""

    at: float
    cost: Cost = Cost()
    items: tuple[tuple[str, int], ...] = ()
    reach: Span | None = None
    degrees: float = 0.0


def _places(span: Span) -> tuple[float, ...]:
    places = span.places()
    if places is None:
        raise ValueError("the program is written for pieces that go in steps")
    return places


def _with(
    base: Span | None,
    case: Case,
    additions: list[Addition],
    piece: Callable[[Workstation], Span | None],
) -> list[Choice]:
    """Every place of a piece as it is, and with each addition."""
    if base is None:
        raise ValueError("the program is written for pieces whose range is known")
    asked = comfort_deg(case, case.workstation)
    choices = [Choice(at=place, degrees=asked) for place in _places(base)]
    for addition in additions:
        span = piece(addition.apply(case.workstation))
        if span is not None:
            choices += [
                Choice(
                    at=place,
                    cost=cost_of((addition,)),
                    items=addition.items,
                    degrees=comfort_deg(case, addition.apply(case.workstation)),
                )
                for place in _places(span)
            ]
    return choices


def _stances(model: SearchModel, seats: list[Choice], feet: list[Choice]) -> list[Choice]:
    """Every seat on every footing that holds the feet, with what the legs pay there."""
    choices = []
    for seat, foot in product(seats, feet):
        held = replace(model, feet=(foot.reach,) if foot.reach else ())
        if not legs_at(held, seat.at).foot_gap_mm:
            choices.append(
                Choice(
                    at=seat.at,
                    cost=_sum(seat.cost, foot.cost),
                    degrees=legs_at(held, seat.at).excess_deg + seat.degrees,
                    items=seat.items + foot.items,
                )
            )
    return choices


def _sum(*costs: Cost) -> Cost:
    return Cost(*(sum(part) for part in zip(*costs, strict=True)))


WEIGHTS = Cost(money=10_000, effort=100, things=1)
"""Money, effort and number of things as one number, each more than all that come after it together."""


def as_one(cost: Cost) -> int:
    """Return a cost as one number."""
    return sum(part * weight for part, weight in zip(cost, WEIGHTS, strict=True))


def kit_with_milp(case: Case, tier: Tier) -> tuple[int, float]:
    """What the set of additions to take costs, as one number, and its degrees, by HiGHS.

    The set with the fewest degrees at the least cost is found, then the one with the fewest among all that cost
    less; where that is not worse by a difference worth having it takes its place, and so on.

    The same model as :func:`gentle_plumb.core.plans.addition_sets.height_kit` for a fixed or stepped surface,
    a stepped chair and a screen on a fixed foot, sitting alone, with cushion, risers, foot supports,
    stacks and a screen riser: one binary for each seat on each footing, each place of the other pieces,
    each gap and each height of the picture over the eye, linked by their heights; items can be used
    once.

    Raises
    ------
    ValueError
        If there is no set without a hard limit broken, or a piece moves freely.

    """
    import numpy as np
    from scipy.optimize import Bounds, LinearConstraint, milp

    station = case.workstation
    model = Lengths.of(case, "seated").model(station)
    seats = _with(
        model.seat, case, seat_additions(case, tier), lambda workstation: workstation.chair.seat
    )
    surfaces = _with(
        model.surface,
        case,
        desk_additions(case, tier),
        lambda workstation: workstation.desk.surface,
    )
    lifts = _with(
        model.lift,
        case,
        screen_additions(case, tier),
        lambda workstation: workstation.screen.top_above_surface,
    )
    feet = [Choice(at=0.0, reach=span) for span in (Span(low=0, high=0), *(station.feet or ()))]
    for feet_addition in feet_additions(case, tier):
        span = (feet_addition.apply(station).feet or ())[-1]
        feet.append(
            Choice(at=0.0, cost=cost_of((feet_addition,)), items=feet_addition.items, reach=span)
        )
    stances = _stances(model, seats, feet)
    pieces = [stances, surfaces, lifts]
    heights = {seat.at for seat in seats}
    gaps = sorted({round(z.at - s, 6) for z in surfaces for s in heights})
    tops = sorted({round(z.at + up.at - s, 6) for z in surfaces for s in heights for up in lifts})
    sizes = [*(len(group) for group in pieces), len(gaps), len(tops)]
    starts = np.cumsum([0, *sizes])
    many = int(starts[-1])
    names = ("stances", "surfaces", "lifts", "gaps", "tops")
    part = {
        name: slice(int(low), int(high))
        for name, (low, high) in zip(names, pairwise(starts), strict=True)
    }

    def row(**given: Any) -> Any:
        result = np.zeros(many)
        for name, value in given.items():
            result[part[name]] = value
        return result

    def told(what: Callable[[Choice], float]) -> Any:
        values = (np.array([what(choice) for choice in group]) for group in pieces)
        return row(**dict(zip(names, values, strict=False)))

    at = [np.array([choice.at for choice in group]) for group in pieces]
    rules = [LinearConstraint(row(**{name: 1.0}), 1, 1) for name in names]
    rules += [
        LinearConstraint(row(stances=-at[0], surfaces=at[1], gaps=-np.array(gaps)), -1e-5, 1e-5),
        LinearConstraint(
            row(stances=-at[0], surfaces=at[1], lifts=at[2], tops=-np.array(tops)), -1e-5, 1e-5
        ),
    ]
    if model.least_gap is not None:
        rules.append(LinearConstraint(row(gaps=np.array(gaps)), model.least_gap - 1e-6, np.inf))
    for item in station.items:
        used = told(partial(_pieces_of, item.id))
        rules.append(LinearConstraint(used, -np.inf, item.count))
    degrees = row(
        stances=np.array([stance.degrees for stance in stances]),
        gaps=np.array([elbow_over(model, gap)[0] for gap in gaps]),
        tops=np.array([_gaze(model, top) for top in tops]),
    )

    def least(costs: Any, more: list[Any]) -> float:
        answer: Any = milp(
            costs, integrality=np.ones(many), bounds=Bounds(0, 1), constraints=[*rules, *more]
        )
        if answer.x is None or not isfinite(answer.fun):
            raise ValueError(f"the solver found nothing: {answer.message}")
        return float(answer.fun)

    costs = told(lambda choice: float(as_one(choice.cost)))
    limit, fewest = np.inf, least(degrees, [])
    while True:
        cheap = LinearConstraint(costs, -np.inf, limit)
        alike = LinearConstraint(degrees, -np.inf, fewest + 1e-6)
        cost = round(least(costs, [cheap, alike]))
        limit = cost - 0.5
        try:
            then = least(degrees, [LinearConstraint(costs, -np.inf, limit)])
        except ValueError:
            return cost, fewest
        if then - fewest > Worth.of(case).excess_deg:
            return cost, fewest
        fewest = then


def _pieces_of(id: str, choice: Choice) -> int:
    """How many pieces of an item a choice stands on."""
    return sum(many for name, many in choice.items if name == id)


def _gaze(model: SearchModel, top_over_seat: float) -> float:
    """Degrees off for a top so far over the seat."""
    held = replace(model, lift=None, tops=Span(low=top_over_seat, high=top_over_seat))
    return gaze_over(held, 0.0, 0.0)[0]
