"""Both postures together: one desk, the same screens, as little as can be to move between them."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

from ..changed import changed
from ..errors import MissingInput
from ..intake import LimitId
from ..tolerances import COST_DECIMALS, ROUNDING, SAME_MM
from ..workstation import Settings, Span
from .case import Case
from .costs import best_top
from .model import Lengths, search_model
from .piece_ranges import fixed_surface
from .result import Posture
from .search import search
from .search_model import SearchModel, Solution, hold


@dataclass(frozen=True, kw_only=True)
class Pair:
    """The optimum of each posture, and the seat that body and a fixed surface alone ask for.

    None where something it can't do without is not recorded.
    """

    seated: Solution | None
    standing: Solution | None
    free: Solution | None = None


def _model(case: Case, posture: Posture, overrule: Settings) -> SearchModel | None:
    own = case if posture == "seated" else case.standing()
    try:
        model = Lengths.of(own, posture).model(own.workstation)
    except MissingInput:
        return None
    seat = overrule.seat if posture == "seated" else None
    return hold(model, seat=seat, surface=overrule.surface, top=overrule.screen_top)


PULL_MM = 1.0
"""How much further a piece is let to see whether its end decides, mm. Source: house-repeat."""


def ends_at_the_chair(case: Case, overrule: Settings, best: Solution, target: float) -> bool:
    """Whether a seat a little nearer to its target would be better, were the chair to let it."""
    model = _model(case, "seated", overrule)
    if model is None:
        return False
    further = best.seat + (PULL_MM if target > best.seat else -PULL_MM)
    return search(hold(model, seat=further)).rank < best.rank


def _held(model: SearchModel, settings: Settings) -> Iterator[SearchModel]:
    """The model with what was found held, the most first; only what the pieces can be set to."""

    def there(span: Span | None, value: float | None) -> bool:
        if value is None:
            return False
        return span is None or span.low - SAME_MM <= value <= span.high + SAME_MM

    seat = model.legs is not None and there(model.seat, settings.seat)
    surface = there(model.surface, settings.surface)
    if seat and surface:
        yield hold(model, seat=settings.seat, surface=settings.surface)
    if seat:
        yield hold(model, seat=settings.seat)
    if surface:
        yield hold(model, surface=settings.surface)


def solve_posture(
    model: SearchModel, settings: Settings, *, keep: bool, low: bool = False
) -> Solution:
    """The optimum, with as many pieces left as they were found as it allows.

    Parameters
    ----------
    model : SearchModel
    settings : Settings
        As found.
    keep : bool
        Whether what serves as well is left.
    low : bool
        Whether of two seats that serve alike the lower one is right: for somebody who has to rise safely.

    """
    best = search(model)
    for held in _held(model, settings) if keep else ():
        other = search(held)
        if low and other.seat > best.seat + SAME_MM:
            continue
        if other.rank <= best.rank and other.footrest <= best.footrest:
            return other
    return best


def _tops(model: SearchModel, solution: Solution) -> tuple[float, ...] | Span:
    """Every top that costs no more than the best one: a range, or single places."""
    assert model.eye is not None
    assert solution.top is not None
    span = model.tops if model.lift is None else model.lift.shifted(solution.surface)
    band = model.top_band
    low, high = model.eye + solution.seat + band.low, model.eye + solution.seat + band.high
    if best_top(model, solution.seat, solution.surface)[0] > 0:
        return (solution.top,)
    if span is None:
        return Span(low=low, high=high)
    places = span.places()
    if places is not None:
        return tuple(place for place in places if low - ROUNDING <= place <= high + ROUNDING)
    low, high = max(low, span.low), min(high, span.high)
    return Span(low=low, high=high) if low <= high else (solution.top,)


def _near(tops: tuple[float, ...] | Span, want: float) -> float:
    if isinstance(tops, Span):
        return tops.clamp(want)
    return min(tops, key=lambda place: (abs(place - want), place))


def _ends(tops: tuple[float, ...] | Span) -> tuple[float, ...]:
    return (tops.low, tops.high) if isinstance(tops, Span) else tops


def _kept(tops: tuple[float, ...] | Span, value: float | None) -> float | None:
    """The top as found, where it is among those that cost nothing."""
    if value is None:
        return None
    near = _near(tops, value)
    return value if abs(near - value) <= SAME_MM else None


def _share_screen(
    case: Case, models: tuple[SearchModel, SearchModel], pair: tuple[Solution, Solution]
) -> tuple[Solution, Solution]:
    """Tops of both postures with the screen moved on its stand as little as can be.

    Among tops that cost no degree: the seated one as found, the standing one at the same height over
    what the screen stands on; where both ranges meet, as far inside both bands as can be; else their
    near ends. A screen on a wall stays where it is.
    """
    seated, standing = pair
    if seated.top is None or standing.top is None:
        return pair
    first, second = _tops(models[0], seated), _tops(models[1], standing)
    keep = case.policy.keep_what_holds
    kept = _kept(first, case.found_seated.screen_top) if keep else None
    want = kept if kept is not None else seated.top
    hangs = case.workstation.screen.on_wall
    base = (0.0, 0.0) if hangs else (seated.surface, standing.surface)
    tries = [want] if kept is not None else [want, *_ends(first)]
    if kept is None:
        between = (seated.top + standing.top + base[0] - base[1]) / 2
        tries += [
            _near(first, end - base[1] + base[0])
            for end in (*_ends(second), between + base[1] - base[0])
        ]
    best: tuple[float, float, float, float] | None = None
    for top in tries:
        other = _near(second, top - base[0] + base[1])
        move = abs((top - base[0]) - (other - base[1]))
        off = (top - seated.top) ** 2 + (other - standing.top) ** 2
        rank = (round(move, COST_DECIMALS), round(off, COST_DECIMALS), top, other)
        best = rank if best is None or rank < best else best
    assert best is not None
    return changed(seated, top=best[2]), changed(standing, top=best[3])


STANDING_OVER_DEG = 15.0
"""Joints further outside their bands than this make standing work unfit. Source: house-joint-bands."""


def stands_too(case: Case, standing: Solution | None) -> bool:
    """Whether this place is worked at standing: something moves, and nothing of the person's bars it."""
    if not case.moves_up or not case.may_stand or standing is None:
        return False
    return not case.sits or standing.excess_deg - standing.gaze <= STANDING_OVER_DEG


def solve_pair(
    case: Case,
    *,
    overrule_seated: Settings | None = None,
    overrule_standing: Settings | None = None,
    whole: bool = True,
) -> Pair:
    """Both postures of a case at their optimum.

    Parameters
    ----------
    case : Case
    overrule_seated, overrule_standing : Settings, optional
        Held where they are.
    whole : bool
        False leaves out what only targets and reasons need: standing where nobody stands, and
        what free pieces would ask for.

    """
    keep = case.policy.keep_what_holds
    seated_model = _model(case, "seated", overrule_seated or Settings())
    standing_model = None
    if whole or case.moves_up:
        standing_model = _model(case, "standing", overrule_standing or Settings())
    low = case.person.has(LimitId.STEADY_SEAT) or case.person.has(LimitId.RISE_SLOWLY)
    seated = (
        solve_posture(seated_model, case.found_seated, keep=keep, low=low) if seated_model else None
    )
    standing = (
        solve_posture(standing_model, case.found_standing, keep=keep) if standing_model else None
    )
    both = (
        case.sits
        and seated_model is not None
        and standing_model is not None
        and stands_too(case, standing)
    )
    if both and seated_model and standing_model and seated and standing:
        seated, standing = _share_screen(case, (seated_model, standing_model), (seated, standing))
    elif seated and seated_model and seated.top is not None and keep:
        kept = _kept(_tops(seated_model, seated), case.found_seated.screen_top)
        seated = changed(seated, top=kept) if kept is not None else seated
    free = None
    if whole and fixed_surface(case) is not None:
        try:
            free = search(search_model(case, "seated", free=True))
        except MissingInput:
            free = None
    return Pair(seated=seated, standing=standing, free=free)
