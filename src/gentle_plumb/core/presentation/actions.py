"""Causes and actions in words, for the page and every paper: the same sentence wherever it stands."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from ..actions import KINDS, WHEN, WHO, Action, ActionKind, ActionState
from ..assessment import whole_minutes
from ..catalogue import DATUM_WORDS, QUANTITIES, MechanismId, Quantity
from ..findings import Cause
from ..fit import TAPE_MM, Posture
from ..plans import PRICE_LABELS
from ..record.fields.work import Severity
from ..units import LengthUnit
from ..words import say_addition, say_amount


@dataclass(frozen=True, kw_only=True)
class CauseView:
    """One cause: what is so, its load, what it explains, and the findings that show it."""

    id: MechanismId
    title: str
    severity: Severity | None
    safety: bool
    minutes: int | None
    explains: list[str]
    findings: list[str]


@dataclass(frozen=True, kw_only=True)
class ActionView:
    """One thing to do.

    ``text`` is the whole instruction; ``changes`` is false for a setting that is left as found; ``step`` the row it sets (``seated.seat``), empty for what is
    no setting; ``field`` the part of its path in the record (``set.action.<field>.state``).
    """

    id: str
    field: str
    kind: ActionKind
    heading: str
    text: str
    who: str
    when: str
    price: str
    temporary: bool
    state: ActionState
    posture: Posture
    step: str
    changes: bool
    resolves: list[str]


def cause_views(causes: Sequence[Cause]) -> list[CauseView]:
    """Return every cause in words."""
    return [
        CauseView(
            id=one.id,
            title=one.title,
            severity=one.severity,
            safety=one.safety,
            minutes=None if one.minutes is None else whole_minutes(one.minutes),
            explains=list(one.explains),
            findings=list(one.findings),
        )
        for one in causes
    ]


def action_text(action: Action, unit: LengthUnit) -> str:
    """Return the whole instruction of an action.

    A setting: what, from where to where, and from which datum; an addition: what it is, how high,
    and what it does.
    """
    if action.kind == "set" and action.to_value is not None:
        return _setting_text(action, action.to_value, unit)
    if action.kind == "add":
        height = ""
        if action.to_value:
            height = f", {say_amount(QUANTITIES['footrest'], action.to_value, unit)}"
        return f"{say_addition(action.what, action.ends, unit)}{height}: {action.does}."
    return action.what


def _changes(action: Action) -> bool:
    """Whether there is anything to do: a setting that stands where it belongs is left."""
    if action.from_value is None or action.to_value is None or action.kind != "set":
        return True
    least = TAPE_MM if QUANTITIES[action.quantity].unit == "mm" else LEAST_DEG
    return abs(action.to_value - action.from_value) > least


LEAST_DEG = 1.0
"""Angles so near are the same to a hand, degrees. Source: house-repeat."""


def _setting_text(action: Action, to: float, unit: LengthUnit) -> str:
    quantity = QUANTITIES[action.quantity]
    if action.quantity == "footrest" and not to:
        return "Footrest: take it away, the feet stand on the floor."
    if action.does:
        return f"{_height_text(action, quantity, to, unit)} {action.does}"
    return _height_text(action, quantity, to, unit)


def _height_text(action: Action, quantity: Quantity, to: float, unit: LengthUnit) -> str:
    aim = f"{say_amount(quantity, to, unit)} {DATUM_WORDS[quantity.datum]}"
    if action.from_value is None:
        return f"{quantity.label}: set to {aim}."
    was = say_amount(quantity, action.from_value, unit)
    if not _changes(action):
        return f"{quantity.label}: leave at {aim}."
    verb = quantity.more if to > action.from_value else quantity.less
    return f"{quantity.label}: {verb[0].lower()}{verb[1:]} from {was} to {aim}."


def action_views(
    actions: Sequence[Action], causes: Sequence[Cause], unit: LengthUnit
) -> list[ActionView]:
    """Return every action in words, with the causes that it takes away."""
    titles: Mapping[str, str] = {one.id: one.title for one in causes}
    return [
        ActionView(
            id=one.id,
            field=one.id.replace(".", "-"),
            kind=one.kind,
            heading=KINDS[one.kind],
            text=action_text(one, unit),
            who=WHO[one.who],
            when=WHEN[one.when],
            price=PRICE_LABELS[one.price] if one.price else "",
            temporary=one.temporary,
            state=one.state,
            posture=one.posture,
            changes=_changes(one),
            step=f"{one.posture}.{one.quantity}" if one.quantity else "",
            resolves=[titles[id] for id in one.resolves if id in titles],
        )
        for one in actions
    ]
