"""What is to be done: one list for Set, plans, papers and the card."""

from .action import KINDS, WHEN, WHO, Action, ActionKind, ActionState, When, Who
from .answered import DONE_DEG, DONE_MM
from .collect import actions_of, height_now
from .order import set_steps
from .sources import ActionSources
