"""Warning signs: what has to be seen by somebody else before anything is adjusted.

A ticked sign never keeps anybody from recording; it keeps a visit from being completed until
what was done about it is written down. Source: house-signs.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal

from ..choices import one_of

Urgency = Literal["urgent", "same_day", "clinician"]

URGENCY: dict[Urgency, str] = {
    "urgent": "Stop and seek care now",
    "same_day": "Seen by a clinician the same day",
    "clinician": "See a clinician first",
}


@dataclass(frozen=True, kw_only=True)
class RedFlag:
    """A warning sign in the words it is asked with."""

    id: str
    urgency: Urgency
    label: str


RED_FLAGS: dict[str, RedFlag] = {
    sign.id: sign
    for sign in (
        RedFlag(
            id="saddle",
            urgency="urgent",
            label="Loss of bladder or bowel control, or numbness between the legs",
        ),
        RedFlag(
            id="sudden",
            urgency="urgent",
            label="Sudden weakness, drooping face or trouble speaking",
        ),
        RedFlag(id="chest", urgency="urgent", label="Chest pain or breathlessness"),
        RedFlag(id="headache", urgency="urgent", label="A new severe headache"),
        RedFlag(id="sight", urgency="urgent", label="Loss of sight"),
        RedFlag(id="fall", urgency="clinician", label="A recent fall or accident with pain"),
        RedFlag(
            id="fever", urgency="clinician", label="Fever or unexplained weight loss with back pain"
        ),
        RedFlag(id="night", urgency="clinician", label="Pain at night that no position eases"),
        RedFlag(
            id="tingling",
            urgency="clinician",
            label="Numbness, tingling or weakness that stays or spreads",
        ),
        RedFlag(id="calf", urgency="same_day", label="A hot, swollen calf"),
    )
}


@dataclass(frozen=True, kw_only=True)
class RaisedRedFlag:
    """A sign that is there: ``done`` is what was done about it and by whom, None while that is open.

    ``done_path`` and ``by_path`` are the fields that wait for the answer.
    """

    id: str
    urgency: Urgency
    label: str
    done: str | None
    done_path: str
    by_path: str


def raised_red_flags(entries: Mapping[str, float | str | None]) -> list[RaisedRedFlag]:
    """Every sign that is there, the most urgent first.

    Parameters
    ----------
    entries : mapping
        The values of a visit by path.

    """
    found = [
        RaisedRedFlag(
            id=sign.id,
            urgency=sign.urgency,
            label=sign.label,
            done=_answer(entries, f"ask.sign.{sign.id}.done", f"ask.sign.{sign.id}.by"),
            done_path=f"ask.sign.{sign.id}.done",
            by_path=f"ask.sign.{sign.id}.by",
        )
        for sign in RED_FLAGS.values()
        if entries.get(f"ask.sign.{sign.id}") == "yes"
    ]
    other = one_of(URGENCY, entries.get("ask.warning"))
    if other is not None:
        found.append(
            RaisedRedFlag(
                id="other",
                urgency=other,
                label="Another sign",
                done=_answer(entries, "ask.warning_done", "ask.warning_by"),
                done_path="ask.warning_done",
                by_path="ask.warning_by",
            )
        )
    return sorted(found, key=lambda sign: tuple(URGENCY).index(sign.urgency))


def unasked_red_flags(entries: Mapping[str, float | str | None]) -> list[RedFlag]:
    """Every sign that nobody has said yes or no to."""
    return [sign for sign in RED_FLAGS.values() if entries.get(f"ask.sign.{sign.id}") is None]


LEAST_WORDS, LEAST_LETTERS = 2, 8
"""An answer of less says nothing: whom they were sent to takes two words. House values."""


def _answer(entries: Mapping[str, float | str | None], done: str, by: str) -> str | None:
    """What was done and by whom, once both are said in words."""
    said, who = _text(entries, done), _text(entries, by)
    if said is None or who is None:
        return None
    letters = sum(sign.isalpha() for sign in said)
    if len(said.split()) < LEAST_WORDS or letters < LEAST_LETTERS or len(who.strip()) < LEAST_WORDS:
        return None
    return f"{said.strip()} ({who.strip()})"


def _text(entries: Mapping[str, float | str | None], path: str) -> str | None:
    value = entries.get(path)
    return value if isinstance(value, str) and value.strip() else None
