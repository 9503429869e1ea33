"""What a client answered on their own page: read as a field is, and what a no drafts."""

from __future__ import annotations

from ..record import Field, Value, read_typed
from ..units import LengthUnit
from .questions import Question

HABIT_OF: dict[str, str] = {
    "feet": "feet_hanging",
    "back": "back_free",
    "shoulders": "shoulders_raised",
    "wrists": "wrist_back",
    "mouse": "elbow_out",
    "screen_front": "head_turned",
    "text": "head_ahead",
    "phone": "phone_shoulder",
}
"""What a no to a question about the workstation drafts as seen, until the practitioner has looked. Source: house-self-check."""


def read_answer(question: Question, typed: str, *, unit: LengthUnit = "cm") -> Value:
    """Read an answer as the visit's field would be read; None once it is cleared.

    Raises UnreadableValue, AmbiguousValue, ValueOutOfRange, UnknownName, naming value, range and unit.
    """
    return read_typed(question.field or _own(question), typed, unit=unit)


def _own(question: Question) -> Field[str]:
    """What a question that only the client's page asks is read as: a text, or one of its answers."""
    return Field(
        id=question.id,
        step="ask",
        group="",
        label=question.says,
        kind="text" if question.kind == "words" else "choice",
        choices=tuple((answer, answer) for answer in question.answers),
    )
