"""What a setting as found does, said by what was found: never by a target that rests on pieces which will move.

Seat, surface and screen hang together: the target of one is worked out with the others where they belong. As found
they stand elsewhere, so what is wrong with them is said by the body in the chair as it was found: how far the keys are
from the elbows, the seat from the lower legs, the top of the picture from the eyes.
"""

from __future__ import annotations

from ..assessment import Assessment, SettingState
from ..errors import MissingInput
from ..fit import Case, eye_height_terms, keys_terms, legs_terms, total
from ..words import say, say_amount, say_length
from .facts import Facts

SQUARE_DEG = 90.0
"""The elbow's angle at which the keys are level with it."""


def cause_as_found(facts: Facts, assessed: Assessment, state: SettingState) -> str | None:
    """Return where a piece that hangs together with others stands, by the body; None for any other, or untold."""
    against = state.quantity.seen_against
    try:
        if against == "elbow":
            return _keys(facts, assessed)
        if against == "lower_leg":
            return _seat(facts, assessed, state)
        if against == "eye":
            return _top(facts, assessed, state)
    except MissingInput:
        return None
    return None


def _keys_over_elbow(facts: Facts, assessed: Assessment) -> float | None:
    case, posture = _case(facts, assessed), assessed.posture
    seat, surface = assessed.setting("seat"), assessed.setting("surface")
    if surface is None or surface.value is None:
        return None
    position = seat.value if seat is not None else None
    level = total(keys_terms(case.body, case, posture, position, SQUARE_DEG))
    return surface.value + case.keyboard_thickness() - level


def _keys(facts: Facts, assessed: Assessment) -> str | None:
    apart = _keys_over_elbow(facts, assessed)
    return None if apart is None else _said(facts, "found.keys", apart)


def _case(facts: Facts, assessed: Assessment) -> Case:
    return facts.case if assessed.posture == "seated" else facts.case.standing()


def _said(facts: Facts, message: str, apart: float, **more: str) -> str:
    side = "over" if apart > 0 else "under"
    return say(f"{message}_{side}", apart=say_length(abs(apart), facts.unit), **more)


def _seat(facts: Facts, assessed: Assessment, state: SettingState) -> str | None:
    assert state.value is not None
    at = say_amount(state.quantity, state.value, facts.unit)
    knee, hands = assessed.joint("knee"), _keys_over_elbow(facts, assessed)
    over = (state.excess or 0.0) > 0
    if not over and assessed.condition("thighs").state == "off":
        return say("found.seat_at", at=at)
    if over or (knee is not None and (knee.excess_deg or 0.0) < 0):
        apart = state.value - total(legs_terms(facts.case.body, facts.case))
        return _said(facts, "found.seat", apart, at=at)
    if hands is None or hands <= 0:
        return None
    return say("found.seat_hands", at=at, apart=say_length(hands, facts.unit))


def _top(facts: Facts, assessed: Assessment, state: SettingState) -> str | None:
    assert state.value is not None
    case, seat = _case(facts, assessed), assessed.setting("seat")
    position = seat.value if seat is not None else None
    eye = total(eye_height_terms(case.body, case, assessed.posture, position))
    apart, joint = state.value - eye, assessed.joint("neck")
    if (
        state.quantity.key == "screen_top"
        and joint is not None
        and (joint.excess_deg or 0.0) * apart < 0
    ):
        # below the eyes and yet too high, or the other way round: the rule or the lenses ask for more
        lens = apart < 0 and case.lower_lens is not None and case.policy.lens_answer == "lower"
        words = "found.top_lens" if lens else "found.top_yet"
        return _said(facts, words, apart, label=state.quantity.label)
    return _said(facts, "found.top", apart, label=state.quantity.label)
