"""The rules, a table for each subject. To change a threshold, change it there and its source with it."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from ...catalogue import HAND_TASKS, SCREEN_TASKS, SEATED_TASKS
from ...language import msg
from ...policy import JOINT_BANDS, Policy
from ...record import Field, field_of
from ...sources import source_key
from ...tables import TableError, entry, toml_table
from ..rule import AngleRule, ChoiceRule, PairRule, RangeRule, Rule
from .room import ROOM_RULES

_KINDS: dict[str, type[Rule]] = {
    "choice": ChoiceRule,
    "range": RangeRule,
    "angle": AngleRule,
    "pair": PairRule,
}
_TASKS = {"seated": SEATED_TASKS, "screen": SCREEN_TASKS, "hands": HAND_TASKS}
_POLICY = Policy()
NAMED: Mapping[str, float] = {
    **{f"{joint}.low": band.low for joint, band in JOINT_BANDS.items()},
    **{f"{joint}.high": band.high for joint, band in JOINT_BANDS.items()},
    "policy.screen_top_high": _POLICY.screen_top_high,
    "-policy.lowest_gaze_deg": -_POLICY.lowest_gaze_deg,
}
"""Limits that a rule takes from where they are declared, by the name it calls them."""


def _number(given: Any) -> float:
    return NAMED[given] if isinstance(given, str) else float(given)


def _tasks(given: Any) -> tuple[str, ...]:
    return _TASKS[given] if isinstance(given, str) else tuple(given)


_READERS: dict[Any, Any] = {
    Field: field_of,
    "least": _number,
    "most": _number,
    "tasks": _tasks,
    "source": source_key,
}


def rules_in(name: str) -> tuple[Rule, ...]:
    """Every rule of a table, in its order; raises TableError."""
    rules: list[Rule] = []
    for id, given in toml_table(__package__, name).items():
        facts = dict(given)
        kind = _KINDS.get(facts.pop("kind", ""))
        if kind is None:
            raise TableError(f"{name}: {id}: kind is none of {', '.join(_KINDS)}")
        rules.append(entry(kind, {"id": id, **facts}, f"{name}: {id}", _READERS))
    return tuple(rules)


RULES: tuple[tuple[str, tuple[Rule, ...]], ...] = (
    (msg("Work"), rules_in("work.toml")),
    (msg("Chair"), rules_in("chair.toml")),
    (msg("Desk"), rules_in("desk.toml")),
    (msg("Keyboard and mouse"), rules_in("hands.toml")),
    (msg("Screens"), rules_in("screens.toml")),
    (msg("Photographs"), rules_in("photographs.toml")),
    (msg("Room"), ROOM_RULES),
)
"""Subject and its rules, in the order they are shown. Settings and habits come before these."""
