"""Every action of a visit: from red flags, the working order, the plan's additions and findings.

Set's steps, the plan's pieces, the report's list and the card are these same actions.
"""

from __future__ import annotations

from collections.abc import Iterable

from ..catalogue import MECHANISMS, QUANTITIES, MechanismId, SetGroup
from ..findings import Finding
from ..fit import FitRow
from ..language import filled, joined
from ..plans import Added
from ..states import CARRIED_BY, States
from ..visit import RaisedRedFlag
from ..words import say
from .action import KINDS, Action, When, Who
from .answered import DONE_DEG, DONE_MM, answered
from .sources import ActionSources

GROUP_OF_SLOT: dict[str, SetGroup] = {
    "seat": "feet_chair",
    "feet": "feet_chair",
    "back": "feet_chair",
    "desk": "hands",
    "keys": "hands",
    "pointer": "hands",
    "screen": "screen",
}
"""Where what is added in each slot is gone through in Set."""
ADDED_FOR: dict[str, tuple[MechanismId, ...]] = {
    "seat": ("feet", "hands_height"),
    "feet": ("feet",),
    "desk": ("hands_height", "thighs"),
    "keys": ("hands_height", "screen_height"),
    "screen": ("screen_height",),
    "pointer": ("reach",),
    "back": ("back",),
    "phone": ("phone_paper",),
    "paper": ("phone_paper",),
}
"""Which mechanisms an addition in each slot is for."""


def actions_of(sources: ActionSources) -> tuple[Action, ...]:
    """Collect the actions of a visit, in the order in which they are done.

    Additions come before what is set with them; what a plan adds is not asked for again by a
    finding.
    """
    actions = [
        *_referrals(sources.red_flags),
        *_additions(sources),
        *_settings(sources),
        *_instructions(sources),
        *_turns(sources),
        *_techniques(sources),
    ]
    kinds = list(KINDS)
    actions = [answered(sources, action) for action in actions]
    places = {"add": kinds.index("set")}  # a footrest is there before the seat is raised onto it
    return tuple(
        sorted(actions, key=lambda action: places.get(action.kind, kinds.index(action.kind)))
    )


def _referrals(flags: Iterable[RaisedRedFlag]) -> list[Action]:
    when: dict[str, When] = {"urgent": "now", "same_day": "today", "clinician": "this_week"}
    return [
        Action(
            id=f"refer.{flag.id}",
            kind="refer",
            who="clinician",
            when=when[flag.urgency],
            what=flag.label,
            state="done" if flag.done else "open",
        )
        for flag in flags
    ]


def _settings(sources: ActionSources) -> list[Action]:
    actions = []
    for row in sources.order:
        state, id = sources.states[row.posture, row.key], f"set.{row.posture}.{row.key}"
        near = DONE_MM if row.unit == "mm" else DONE_DEG
        quantity = QUANTITIES[row.key]
        aim = row.setting
        actions.append(
            Action(
                id=id,
                kind="set",
                who="practitioner",
                when="today",
                what=_what(row),
                does=_beside(sources, row) if aim is not None else "",
                quantity=row.key,
                posture=row.posture,
                from_value=None if quantity.zero_is_none and not row.found else row.found,
                to_value=aim,
                state="done" if _is_set(state.left, aim, near) else "open",
                touched=state.left is not None,
                became=state,
                group=quantity.group,
                check=row.check,
                resolves=(quantity.mechanism,),
                shared=True,
            )
        )
    return actions


def _what(row: FitRow) -> str:
    """Return what is done: a height, what is done in its place, or the test on the person alone."""
    quantity = QUANTITIES[row.key]
    if row.setting is not None:
        return quantity.label
    if row.remedy and row.reason:
        return row.reason
    return say("setting.by_eye", label=quantity.label, check=row.check)


def _beside(sources: ActionSources, row: FitRow) -> str:
    """Return what is said beside a setting: why, how, and what of the room it stands on."""
    said = [row.reason or "" if row.remedy else row.note]
    for added in sources.added:
        if added.takes_away and added.slot == QUANTITIES[row.key].stands_on:
            said.append(say(f"setting.{added.slot}_taken_away"))
        here = (
            not added.takes_away
            and added.slot == CARRIED_BY.get(row.key)
            and added.price in ("nothing", "found")
        )
        if here and not (row.posture == "seated" and added.id.endswith("_standing")):
            said.append(say("setting.with", what=added.label))
    return joined(" ", (part for part in said if part))


def _is_set(left: float | None, aim: float | None, near: float) -> bool:
    """Whether a thing was set: near its aim, or anywhere at all where it is set by eye."""
    return left is not None and (aim is None or abs(left - aim) <= near)


def _additions(sources: ActionSources) -> list[Action]:
    return [_addition(sources, added) for added in sources.added]


def _addition(sources: ActionSources, added: Added) -> Action:
    here = added.price in ("nothing", "found")
    id = f"add.{added.id}"
    return Action(
        id=id,
        kind="add",
        who="practitioner" if here else "workplace",
        when="today" if here else "before_follow_up",
        what=added.label,
        to_value=height_now(sources.states, added),
        ends=(added.span.low, added.span.high) if added.span is not None else None,
        price=added.price,
        does=added.does,
        temporary=added.temporary,
        takes_away=added.takes_away,
        group=GROUP_OF_SLOT.get(added.slot, "other"),
        resolves=ADDED_FOR.get(added.slot, ()),
        minutes=added.minutes,
        shared=True,
    )


def height_now(states: States, added: Added) -> float | None:
    """Return how high an addition is, mm: a support for the feet as high as the footrest is to be now."""
    if added.slot != "feet" or added.height is None:
        return added.height
    footrest = states.get(("seated", "footrest"))
    return added.height if footrest is None else footrest.setting


def _turns(sources: ActionSources) -> list[Action]:
    """Return both ways to have a laptop alone, each for its tasks."""
    return [
        Action(
            id=f"laptop.{turn}",
            kind="arrange",
            who="client",
            when="today",
            what=words,
            resolves=("screen_height",),
        )
        for turn, words in sources.turns
    ]


def _techniques(sources: ActionSources) -> list[Action]:
    """Return how things are used, for the client to take along."""
    return [
        Action(
            id=f"technique.{technique.id}",
            kind="technique",
            who="client",
            when="this_week",
            what=technique.text,
            resolves=(technique.mechanism,),
        )
        for technique in sources.techniques
    ]


def _words(finding: Finding) -> str:
    """Return an instruction that stands alone: what is arranged is named before it."""
    said = finding.advice or finding.instruction
    if finding.words:
        return finding.words
    named = finding.act in ("secure", "arrange") and not finding.own
    return filled("{title}. {said}", title=finding.title, said=said) if named else said


def _check(finding: Finding) -> str:
    """Return the test on the person for what is arranged: its own, else that of its mechanism."""
    if finding.act != "arrange":
        return ""
    return finding.check or MECHANISMS[finding.mechanism].check


def _instructions(sources: ActionSources) -> list[Action]:
    """Return what findings ask for that is neither set nor added: each once."""
    added = {added.id for added in sources.added}
    actions: dict[str, Action] = {}
    for finding in sources.findings:
        if finding.state != "off" or finding.verdict == "dismissed" or not finding.act:
            continue
        if finding.adds in added or not finding.instruction:
            continue
        who: Who = "client" if finding.act in ("technique", "habit") else finding.who
        actions.setdefault(
            finding.advice or finding.instruction,
            Action(
                id=finding.id,
                kind=finding.act,
                who=who,
                when="now" if finding.safety else "today",
                what=_words(finding),
                posture="standing" if finding.posture == "standing" else "seated",
                group="safe" if finding.act == "secure" else MECHANISMS[finding.mechanism].group,
                check=_check(finding),
                resolves=(finding.mechanism,),
                minutes=finding.minutes if finding.joint else None,
                shared=not finding.health and finding.act in ("secure", "arrange"),
            ),
        )
    return list(actions.values())
