"""The steps of Set, in the order in which they are done: what rests on what comes after it.

First what is unsafe; then, sitting, each group with what is added and arranged before what is set with it; then
what is arranged beside; then standing. Source: house-order.
"""

from __future__ import annotations

from collections.abc import Sequence

from .action import Action

STEP_KINDS = frozenset({"secure", "set", "add", "arrange"})
"""Kinds of action that are steps of Set; the others are for the client to take along, or to find out."""


def set_steps(actions: Sequence[Action]) -> tuple[Action, ...]:
    """Return the steps of Set in their order.

    Parameters
    ----------
    actions : sequence of Action
        As they were collected: settings in their working order.

    """
    steps = [one for one in actions if one.kind in STEP_KINDS]
    found = [one for one in steps if one.group == "safe"]
    settings = [one for one in steps if one.kind == "set"]
    beside = [one for one in steps if one.kind != "set" and one not in found]
    seated = [one for one in beside if one.posture == "seated"]
    for setting in (one for one in settings if one.posture == "seated"):
        found += [one for one in seated if one.group == setting.group and one not in found]
        found.append(setting)
    found += [one for one in seated if one not in found]
    found += [one for one in beside if one not in found]
    return (*found, *(one for one in settings if one.posture == "standing"))
