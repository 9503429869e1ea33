"""Red flags of one visit: which are there, what was done about them, which nobody asked about."""

from __future__ import annotations

from dataclasses import dataclass

from ..choices import one_of
from ..intake import RED_FLAGS, URGENCY, RedFlag, Urgency
from ..record import Field, Record, fields

LEAST_WORDS, LEAST_LETTERS = 2, 8
"""An answer of less says nothing: whom they were sent to takes two words. Source: house-signs."""


@dataclass(frozen=True, kw_only=True)
class RaisedRedFlag:
    """A red flag that is there: ``done`` is what was done about it and by whom, None while open.

    ``done_path`` and ``by_path`` are the paths of the fields that wait for the answer.
    """

    id: str
    urgency: Urgency
    label: str
    done: str | None
    done_path: str
    by_path: str


def raised_red_flags(record: Record) -> list[RaisedRedFlag]:
    """Return every red flag that is there, the most urgent first."""
    ask = fields.ask
    raised = [
        _raised(record, one.id, one.urgency, one.label, ask.flag[one.id].done, ask.flag[one.id].by)
        for one in RED_FLAGS.values()
        if record.yes(ask.flag[one.id].there)
    ]
    other = one_of(URGENCY, record[ask.other_flag])
    if other is not None:
        done, by = ask.other_flag_done, ask.other_flag_by
        raised.append(_raised(record, "other", other, "Another red flag", done, by))
    return sorted(raised, key=lambda one: tuple(URGENCY).index(one.urgency))


def unasked_red_flags(record: Record) -> list[RedFlag]:
    """Return every red flag that nobody has said yes or no to."""
    return [one for one in RED_FLAGS.values() if fields.ask.flag[one.id].there not in record]


def _raised(
    record: Record, id: str, urgency: Urgency, label: str, done: Field[str], by: Field[str]
) -> RaisedRedFlag:
    return RaisedRedFlag(
        id=id,
        urgency=urgency,
        label=label,
        done=_answer(record.said(done), record.said(by)),
        done_path=done.id,
        by_path=by.id,
    )


def _answer(done: str, by: str) -> str | None:
    """Return what was done and by whom, once both are said in words."""
    letters = sum(letter.isalpha() for letter in done)
    if len(done.split()) < LEAST_WORDS or letters < LEAST_LETTERS or len(by) < LEAST_WORDS:
        return None
    return f"{done} ({by})"
