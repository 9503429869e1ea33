"""What is to be done: one list for Set, plans, papers and the card."""

from .action import KINDS, WHEN, WHO, Action, ActionKind, ActionState, When, Who
from .collect import actions_of
from .sources import ActionSources

__all__ = [
    "KINDS",
    "WHEN",
    "WHO",
    "Action",
    "ActionKind",
    "ActionSources",
    "ActionState",
    "When",
    "Who",
    "actions_of",
]
