"""Actions in words, for the page and every paper: the same sentence wherever it stands."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from ..actions import DONE_DEG, DONE_MM, KINDS, WHEN, WHO, Action, ActionKind, ActionState
from ..catalogue import DATUM_WORDS, NUDGE, QUANTITIES, Quantity, SetGroup
from ..findings import Cause
from ..fit import TAPE_MM, Posture
from ..intake import REGIONS
from ..language import filled, joined, lowered, msg
from ..plans import PRICE_LABELS
from ..record.fields.settings import ClientWord, NotToday, StepTest
from ..states import StateKind
from ..units import LengthUnit
from ..visit import spoken_date
from ..words import say, say_addition, say_amount
from .states import state_view


@dataclass(frozen=True, kw_only=True)
class NudgeView:
    """A small change with its reason: by how much in words, and what is typed for it."""

    reason: str
    by: str
    typed: str


@dataclass(frozen=True, kw_only=True)
class ActionView:
    """One thing to do.

    ``text`` is the whole instruction; ``changes`` is false for a setting that is left as found; ``step`` the row it sets (``seated.seat``), empty for what is
    no setting; ``field`` the part of its path in the record (``set.action.<field>.state``). ``test``, ``word``,
    ``hurts_at``, ``because`` and ``due`` are what was said of it, in words; ``moved`` says that its aim went away
    under what was set, ``check`` is the test on the person, ``aim`` is the aim as it is recorded then; ``status`` is what
    became of a setting, where it is not an order any more.
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
    group: SetGroup
    check: str
    test: str
    word: str
    hurts_at: str
    because: str
    due: str
    lever: str
    tolerance: str
    nudges: list[NudgeView]
    moved: str
    aim: str
    remark: str
    settled: bool
    status: str


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
            height = filled(
                ", {footrest}", footrest=say_amount(QUANTITIES["footrest"], action.to_value, unit)
            )
        return filled(
            "{what}{height}: {does}.",
            what=say_addition(action.what, action.ends, unit),
            height=height,
            does=action.does,
        )
    return action.what


def _changes(action: Action) -> bool:
    """Whether there is anything to do: a setting that stands where it belongs is left."""
    if action.from_value is None or action.to_value is None or action.kind != "set":
        return True
    least = TAPE_MM if QUANTITIES[action.quantity].unit == "mm" else LEAST_DEG
    return abs(action.to_value - action.from_value) > least


AIMED = ("set", "add")
"""Kinds of actions whose aim is kept with what was done."""
TAKE_AWAY = msg("Take away")
"""The heading of an addition that takes something away."""
LEAST_DEG = 1.0
"""Angles so near are the same to a hand, degrees. Source: house-repeat."""


def _setting_text(action: Action, to: float, unit: LengthUnit) -> str:
    quantity = QUANTITIES[action.quantity]
    if quantity.taken_away and not to:
        return quantity.taken_away
    if action.does:
        return filled(
            "{height_text} {does}",
            height_text=_height_text(action, quantity, to, unit),
            does=action.does,
        )
    return _height_text(action, quantity, to, unit)


def _height_text(action: Action, quantity: Quantity, to: float, unit: LengthUnit) -> str:
    aim = filled(
        "{quantity} {datum_words}",
        quantity=say_amount(quantity, to, unit),
        datum_words=DATUM_WORDS[quantity.datum],
    )
    if action.from_value is None:
        return msg("{label}: set to {aim}.", label=quantity.label, aim=aim)
    was = say_amount(quantity, action.from_value, unit)
    if not _changes(action):
        return msg("{label}: leave at {aim}.", label=quantity.label, aim=aim)
    verb = quantity.more if to > action.from_value else quantity.less
    return msg(
        "{label}: {verb} from {was} to {aim}.",
        label=quantity.label,
        verb=lowered(verb),
        was=was,
        aim=aim,
    )


def action_views(
    actions: Sequence[Action],
    causes: Sequence[Cause],
    unit: LengthUnit,
    levers: Mapping[str, str] | None = None,
) -> list[ActionView]:
    """Return every action in words, with the causes that it takes away.

    ``levers`` say what moves each quantity, where the piece knows it.
    """
    titles: Mapping[str, str] = {cause.id: cause.title for cause in causes}
    return [
        ActionView(
            id=action.id,
            field=action.id.replace(".", "-"),
            kind=action.kind,
            heading=TAKE_AWAY if action.takes_away else KINDS[action.kind],
            text=action_text(action, unit),
            who=WHO[action.who],
            when=_when(action),
            price=PRICE_LABELS[action.price] if action.price else "",
            temporary=action.temporary,
            state=action.state,
            posture=action.posture,
            changes=_changes(action),
            step=f"{action.posture}.{action.quantity}" if action.quantity else "",
            resolves=[titles[id] for id in action.resolves if id in titles],
            group=action.group,
            check=action.check,
            test=action.answers.test.label if action.answers.test else "",
            word=action.answers.word.label if action.answers.word else "",
            hurts_at=REGIONS[action.answers.hurts_at].label if action.answers.hurts_at else "",
            because=action.answers.because.label if action.answers.because else "",
            due=spoken_date(action.answers.due) if action.answers.due else "",
            lever=(levers or {}).get(action.quantity, ""),
            tolerance=_tolerance(action, unit),
            nudges=_nudges(action, unit),
            moved=_moved(action, unit),
            remark=_remark(action),
            settled=action.settled,
            status=_told(action, unit),
            aim=""
            if action.to_value is None or action.kind not in AIMED
            else f"{action.to_value:.1f}",
        )
        for action in actions
    ]


def _told(action: Action, unit: LengthUnit) -> str:
    """Return what became of a setting; empty for what is still to be done."""
    state = action.became
    if state is None or state.kind in (StateKind.TARGET, StateKind.NOT_RECORDED):
        return ""
    said = state_view(state, unit).says
    return say("step.told", label=state.quantity.label, said=lowered(said))


def _when(action: Action) -> str:
    """Return by when: the day that was agreed, else as the action says."""
    return (
        msg("by {due}", due=spoken_date(action.answers.due))
        if action.answers.due
        else WHEN[action.when]
    )


def _tolerance(action: Action, unit: LengthUnit) -> str:
    """Return how near the aim counts as set."""
    if action.kind != "set" or action.to_value is None:
        return ""
    quantity = QUANTITIES[action.quantity]
    near = {"mm": DONE_MM, "deg": DONE_DEG}.get(quantity.unit)
    return (
        filled("± {quantity}", quantity=say_amount(quantity, near, unit))
        if near is not None
        else ""
    )


def _nudges(action: Action, unit: LengthUnit) -> list[NudgeView]:
    """Return what a tap may change: only where the practitioner may put a number of their own."""
    quantity = QUANTITIES.get(action.quantity)
    if action.kind != "set" or action.to_value is None or quantity is None:
        return []
    if not quantity.own_number:
        return []
    views = []
    for reason, sign in quantity.nudges.items():
        by = sign * NUDGE[quantity.unit]
        words = quantity.more if sign > 0 else quantity.less
        views.append(
            NudgeView(
                reason=reason,
                by=msg(
                    "{words} by {quantity}",
                    words=words.lower(),
                    quantity=say_amount(quantity, abs(by), unit),
                ),
                typed=say_amount(quantity, action.to_value + by, unit),
            )
        )
    return views


def _moved(action: Action, unit: LengthUnit) -> str:
    """Return that the aim has moved away under what was set."""
    if action.moved_from is None or action.to_value is None:
        return ""
    added = action.kind == "add"
    quantity = QUANTITIES["footrest" if added else action.quantity]
    return say(
        "step.add_moved" if added else "step.moved",
        was=say_amount(quantity, action.moved_from, unit),
        now=say_amount(quantity, action.to_value, unit),
    )


def _remark(action: Action) -> str:
    """Return what has to be known of a step beside its text: why not, what hurts, what the test said."""
    said = action.answers
    texts = []
    if action.state == "stopped":
        at = REGIONS[said.hurts_at].label.lower() if said.hurts_at else say("step.hurts_somewhere")
        texts.append(say("step.stopped", at=at))
    if said.because is not None and action.state == "later":
        unwanted = said.because == NotToday.UNWANTED
        texts.append(
            say("step.unwanted")
            if unwanted
            else say("step.not_today", because=said.because.label.lower())
        )
    if said.test in (StepTest.NEARLY, StepTest.FAILS):
        texts.append(say("step.test", answer=said.test.label.lower()))
    if said.word == ClientWord.NOT_YET:
        texts.append(say("step.not_yet"))
    return joined(" ", texts)
