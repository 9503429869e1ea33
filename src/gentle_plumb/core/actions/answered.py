"""What was said of a step makes its state: pain and the test on the person overrule the number."""

from __future__ import annotations

from dataclasses import replace

from ..catalogue import QUANTITIES
from ..record.fields.settings import ActionAnswer, ClientWord, Owner, StepTest
from ..states import SILENT, StepAnswers
from .action import Action, ActionState, Who
from .sources import ActionSources

DONE_MM, DONE_DEG = 5.0, 2.0
"""A setting so near to its aim is done, mm and degrees. Source: house-repeat."""


def answered(sources: ActionSources, action: Action) -> Action:
    """Return an action with what was said of it: what hurts is stopped, what fails is open again."""
    said = sources.said.get(action.id.replace(".", "-"), SILENT)
    held = action.became is not None and bool(action.became.held)
    if held and not said.stops:
        return replace(action, state="later", answers=said)
    if said is SILENT or action.kind == "refer":
        return action
    state: ActionState = action.state
    if said.word == ClientWord.HURTS:
        state = "stopped"
    elif said.test == StepTest.FAILS:
        state = "open"
    elif state != "done":
        put_off = said.because is not None or said.state == ActionAnswer.LATER
        state = "done" if said.state == ActionAnswer.DONE else "later" if put_off else "open"
    moved = _moved_from(sources, action, said)
    if moved is not None and action.kind == "add":
        state = "open"
    return replace(
        action,
        state=state,
        touched=action.touched and moved is None and said.test != StepTest.FAILS,
        answers=said,
        who=WHO_OWNS[said.owner] if said.owner is not None else action.who,
        moved_from=moved,
    )


WHO_OWNS: dict[Owner, Who] = {
    Owner.PRACTITIONER: "practitioner",
    Owner.CLIENT: "client",
    Owner.WORKPLACE: "workplace",
}


def _moved_from(sources: ActionSources, action: Action, said: StepAnswers) -> float | None:
    """Return the aim that something was set or made to, where it has moved away since."""
    if action.to_value is None or said.aim is None:
        return None
    if action.kind == "add":
        done = said.state == ActionAnswer.DONE
        return said.aim if done and abs(action.to_value - said.aim) > DONE_MM else None
    if action.kind != "set":
        return None
    left = sources.states[action.posture, action.quantity].left
    near = DONE_MM if QUANTITIES[action.quantity].unit == "mm" else DONE_DEG
    return said.aim if left is not None and abs(action.to_value - said.aim) > near else None
