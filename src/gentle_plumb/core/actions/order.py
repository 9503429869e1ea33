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
    steps = [action for action in actions if action.kind in STEP_KINDS]
    steps_in_order = [step for step in steps if step.group == "safe"]
    settings = [step for step in steps if step.kind == "set"]
    beside = [step for step in steps if step.kind != "set" and step not in steps_in_order]
    seated = [action for action in beside if action.posture == "seated"]
    for setting in (setting for setting in settings if setting.posture == "seated"):
        steps_in_order += [
            action
            for action in seated
            if action.group == setting.group and action not in steps_in_order
        ]
        steps_in_order.append(setting)
    steps_in_order += [action for action in seated if action not in steps_in_order]
    steps_in_order += [action for action in beside if action not in steps_in_order]
    return (*steps_in_order, *(setting for setting in settings if setting.posture == "standing"))
