"""Reading what a client answered to one question."""

from __future__ import annotations

from ..choices import one_of
from ..errors import UnknownName, ValueOutOfRange
from ..plain_text import check_text
from ..record import LONGEST_TEXT, Value, read_typed
from ..units import LengthUnit
from .questions import Question


def read_answer(question: Question, typed: str, *, unit: LengthUnit = "cm") -> Value:
    """Read an answer as the visit's field would be read; None once it is cleared.

    Raises UnreadableValue, AmbiguousValue, ValueOutOfRange, UnknownName, naming value, range and unit.
    """
    if question.field is not None:
        return read_typed(question.field, typed, unit=unit)
    check_text(typed, question.id)
    text = typed.strip()
    if not text:
        return None
    if question.kind == "words":
        return _words(question, text)
    if one_of(question.answers, text) is None:
        raise UnknownName(
            field=question.id,
            value=typed,
            message=f"{question.says}: “{text}” is none of {', '.join(question.answers)}.",
        )
    return text


def _words(question: Question, text: str) -> str:
    if len(text) > LONGEST_TEXT:
        raise ValueOutOfRange(
            field=question.id,
            value=f"{text[:20]}…",
            low=0,
            high=LONGEST_TEXT,
            unit="characters",
            message=f"{question.says}: {len(text)} characters are more than {LONGEST_TEXT}.",
        )
    return text
