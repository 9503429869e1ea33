"""The steps of Set, in the order in which they are done: what rests on what comes after it.

First what is unsafe; then, sitting, each group with what is added to it before what is set with it; then
what is arranged beside; then standing. Source: house-order.
"""

from __future__ import annotations

from collections.abc import Sequence

from ..record import STEPS
from ..visit import StepProgress
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
    for setting in (one for one in settings if one.posture == "seated"):
        found += [
            one
            for one in steps
            if one.kind == "add" and one.group == setting.group and one not in found
        ]
        found.append(setting)
    found += [one for one in steps if one.kind != "set" and one not in found]
    return (*found, *(one for one in settings if one.posture == "standing"))


def set_progress(actions: Sequence[Action]) -> StepProgress:
    """Return how far Set is: what is done, put off with a reason or stopped is settled."""
    steps = set_steps(actions)
    left = [one for one in steps if not _settled(one)]
    return StepProgress(
        step="set",
        label=STEPS["set"],
        done=len(steps) - len(left),
        needed=max(1, len(steps)),
        next=left[0].what if left else None,
    )


def _settled(step: Action) -> bool:
    return step.state != "open" or step.touched
