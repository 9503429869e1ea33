"""The state of a thing that can be set, in words: the same wherever it is said."""

from __future__ import annotations

from dataclasses import dataclass

from ..intake import REGIONS
from ..language import capitalised, joined, lowered
from ..record.fields.settings import NotToday
from ..states import Known, PieceState, StateKind
from ..units import LengthUnit
from ..visit import spoken_date
from ..words import say, say_amount


@dataclass(frozen=True, kw_only=True)
class StateView:
    """What became of a thing.

    Parameters
    ----------
    kind : str
        Of :class:`~gentle_plumb.core.states.StateKind`.
    label : str
        The kind in words.
    says : str
        The whole state in a sentence, with what it is known by; for the client and for colleagues.
    shared : str
        The same without anything about the person: for the workplace.
    stands : str or None
        Where it stands, with its unit; ``plus_minus`` how sure that is.
    keep : str or None
        The number to come back to; None where there is none.
    to_set : str or None
        The number that has still to be set.
    word : str
        Which of them a number on a card is: left at, as found, still to set.
    measured : bool
        Whether somebody read where it stands.
    needed : str
        What has to be bought or found first.

    """

    kind: str
    label: str
    says: str
    shared: str
    stands: str | None
    plus_minus: str | None
    keep: str | None
    to_set: str | None
    word: str
    measured: bool
    needed: str


def state_view(state: PieceState, unit: LengthUnit) -> StateView:
    """Return a state in words; ``unit`` is that of lengths."""

    def text(value: float | None) -> str | None:
        return None if value is None else say_amount(state.quantity, value, unit)

    says = _says(state, unit)
    return StateView(
        kind=state.kind,
        label=state.kind.label,
        says=says,
        shared=_alone(state, unit) if state.kind == StateKind.STOPPED or state.held else says,
        stands=text(state.stands),
        plus_minus=text(state.plus_minus),
        keep=text(state.keep),
        to_set=text(state.to_set),
        word=_word(state),
        measured=state.measured,
        needed=state.needs,
    )


def _word(state: PieceState) -> str:
    if state.kind == StateKind.SET:
        known = "unmeasured" if state.known == Known.UNMEASURED else "set"
        return say(f"state.word.{known}")
    if state.kind in (StateKind.AS_FOUND, StateKind.TARGET):
        return say(f"state.word.{state.kind}")
    return ""


def _says(state: PieceState, unit: LengthUnit) -> str:
    match state.kind:
        case StateKind.SET:
            return _set(state, unit)
        case StateKind.AS_FOUND:
            return _alone(state, unit)
        case StateKind.TARGET:
            if state.setting is None or state.remedied:
                return say("state.target.instead")
            return say("state.target", to=say_amount(state.quantity, state.setting, unit))
        case StateKind.STOPPED:
            return say("state.and", first=_stopped(state, unit), then=_alone(state, unit))
        case StateKind.NOT_TODAY:
            return say("state.and", first=_not_today(state), then=_alone(state, unit))
        case StateKind.DECLINED:
            return say("state.and", first=say("state.declined"), then=_alone(state, unit))
        case StateKind.TO_GET:
            if not state.needs:
                return say("state.to_get.look")
            return say("state.to_get", what=lowered(state.needs))
        case StateKind.NOT_PRESENT:
            return say("state.not_present")
        case _:
            return say("state.not_recorded")


def _set(state: PieceState, unit: LengthUnit) -> str:
    if state.stands is None:
        eye = state.setting is None and not state.remedied
        return say("state.set.eye" if eye else "state.set.done")
    at = say_amount(state.quantity, state.stands, unit)
    if state.known == Known.UNMEASURED:
        return say("state.set.unmeasured", at=at)
    return say("state.set", at=at, how=_how(state))


def _how(state: PieceState) -> str:
    return (state.known or Known.MEASURED).label


def _alone(state: PieceState, unit: LengthUnit) -> str:
    """Return where a thing stands that nobody prescribes anything for."""
    if state.stands is None:
        return say(
            "state.as_found.unknown" if state.kind == StateKind.AS_FOUND else "state.alone.unknown"
        )
    at = say_amount(state.quantity, state.stands, unit)
    if state.known in (Known.FOUND, Known.DECLARED):
        return say("state.alone", at=at)
    if state.known == Known.UNMEASURED:
        return say("state.set.unmeasured", at=at)
    return say("state.alone.left", at=at, how=_how(state))


def _stopped(state: PieceState, unit: LengthUnit) -> str:
    values = {}
    if state.answers.hurts_at:
        values["region"] = REGIONS[state.answers.hurts_at].label.lower()
    if state.stopped_at is not None:
        values["at"] = say_amount(state.quantity, state.stopped_at, unit)
    name = "state.stopped"
    if "region" in values:
        name += ".where_at" if "at" in values else ".where"
    elif "at" in values:
        name += ".at"
    return say(name, **values)


def _not_today(state: PieceState) -> str:
    said = state.answers
    if state.held and not said.put_off:
        return say("state.held")
    parts = [
        say("state.not_today", because=said.because.label.lower())
        if said.because is not None and said.because != NotToday.UNWANTED
        else say("state.not_today.bare")
    ]
    tail = []
    if said.owner is not None:
        tail.append(say("state.not_today.who", who=said.owner.label))
    if said.due:
        tail.append(say("state.not_today.due", due=spoken_date(said.due)))
    if tail:
        words = joined(" ", tail)
        parts.append(capitalised(words))
    return joined(". ", parts)
