"""Red flags of one visit: which are there, the referral that answers each, which nobody asked about."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date

from ..choices import one_of
from ..intake import RED_FLAGS, URGENCY, RedFlag, Urgency
from ..language import msg
from ..record import Record, fields
from ..record.fields.flag_fields import CalledBack, ClinicianSays, FlagFields

LEAST_WORDS, LEAST_LETTERS = 2, 8
"""An answer of less says nothing: what was done and told takes two words. Source: house-signs."""


@dataclass(frozen=True, kw_only=True)
class RaisedRedFlag:
    """A red flag that is there, with its referral.

    ``done`` is the whole answer, None while it is open: to whom, what was done and told, by whom. ``to``, ``informed``,
    ``by`` and ``call_back`` are its parts as recorded, ``letter`` whether one was handed over, ``called`` what a call
    back came to; ``waits_for`` is the
    path of the first part that is missing, ``paths`` are those of all its parts. ``answer``, ``answered_by`` and
    ``answered_on`` are what the clinician said, who and from which day; ``standing`` the most standing in an hour
    that they allow, minutes.
    """

    id: str
    urgency: Urgency
    label: str
    done: str | None
    to: str
    informed: str
    by: str
    call_back: str
    letter: bool
    called: CalledBack | None
    waits_for: str
    paths: tuple[str, ...]
    answer: ClinicianSays | None
    standing: float | None
    answered_by: str
    answered_on: str

    def answered(self, as_of: date | None = None) -> bool:
        """Whether a clinician has said that things may go on, by a day; not given, whenever that was."""
        if self.answer not in (ClinicianSays.CLEARED, ClinicianSays.LIMITED):
            return False
        if not self.answered_by or not self.answered_on:
            return False
        return as_of is None or date.fromisoformat(self.answered_on) <= as_of

    @property
    def to_call(self) -> str | None:
        """The day on which the client is called back, until it is known that they went."""
        return self.call_back or None if self.called != CalledBack.WENT else None


def raised_red_flags(record: Record) -> list[RaisedRedFlag]:
    """Return every red flag that is there, the most urgent first."""
    ask = fields.ask
    raised = [
        _raised(record, red_flag.id, red_flag.urgency, red_flag.label, ask.flag[red_flag.id])
        for red_flag in RED_FLAGS.values()
        if record.yes(ask.flag[red_flag.id].there)
    ]
    other = one_of(URGENCY, record[ask.other_flag])
    if other is not None:
        raised.append(_raised(record, "other", other, msg("Another red flag"), ask.other))
    return sorted(raised, key=lambda raised_red_flag: tuple(URGENCY).index(raised_red_flag.urgency))


def unasked_red_flags(record: Record) -> list[RedFlag]:
    """Return every red flag that nobody has said yes or no to."""
    return [
        red_flag
        for red_flag in RED_FLAGS.values()
        if fields.ask.flag[red_flag.id].there not in record
    ]


def _raised(
    record: Record, id: str, urgency: Urgency, label: str, asked: FlagFields
) -> RaisedRedFlag:
    to, text, by = record.said(asked.to), record.said(asked.done), record.said(asked.by)
    parts = (
        (asked.to, _says(to, letters=LEAST_WORDS)),
        (asked.done, _says(text) and len(text.split()) >= LEAST_WORDS),
        (asked.by, _says(by, letters=LEAST_WORDS)),
    )
    standing = record[asked.standing]
    missing = [field.id for field, answered in parts if not answered]
    return RaisedRedFlag(
        id=id,
        urgency=urgency,
        label=label,
        done=None if missing else msg("Referred to {to}. {text} ({by})", to=to, text=text, by=by),
        to=to,
        informed=text,
        by=by,
        call_back=record.said(asked.call_back),
        letter=record.yes(asked.letter),
        called=record[asked.called],
        waits_for=missing[0] if missing else "",
        paths=(
            asked.to.id,
            asked.done.id,
            asked.by.id,
            asked.letter.id,
            asked.called.id,
            asked.call_back.id,
        ),
        answer=record[asked.answer],
        standing=standing if record[asked.answer] == ClinicianSays.LIMITED else None,
        answered_by=record.said(asked.answered_by),
        answered_on=record.said(asked.answered_on),
    )


def _says(text: str, letters: int = LEAST_LETTERS) -> bool:
    """Whether an answer says anything at all."""
    return sum(letter.isalpha() for letter in text) >= letters
