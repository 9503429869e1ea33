"""Text that can be written everywhere: whole Unicode, and without the sign NUL."""

from __future__ import annotations

from .errors import UnreadableValue
from .language import msg


def check_text(text: str, field: str) -> None:
    r"""Raise UnreadableValue for text with NUL, or with half of a sign of two halves.

    Half an emoji comes from programs that cut text at sixteen bits.

    >>> check_text("Neck", "ask.reason")
    >>> check_text("\ud83d", "ask.reason")
    Traceback (most recent call last):
    ...
    gentle_plumb.core.errors.UnreadableValue: ask.reason: the text holds half a sign ...
    """
    if "\x00" in text:
        what = msg("the sign NUL, which can’t be kept")
    elif any("\ud800" <= sign <= "\udfff" for sign in text):
        what = msg("half a sign (such as half an emoji), which can’t be kept")
    else:
        return
    clean = "".join(
        "�" if sign == "\x00" or "\ud800" <= sign <= "\udfff" else sign for sign in text
    )
    raise UnreadableValue(
        field=field,
        value=clean[:200],
        message=msg("{field}: the text holds {what}. Take it out.", field=field, what=what),
    )


def check_texts(value: object, field: str = "") -> None:
    """Check every text in nested lists and mappings, keys too; the field is the path to it."""
    waiting: list[tuple[object, str]] = [(value, field)]
    while waiting:
        found, path = waiting.pop()
        if isinstance(found, str):
            check_text(found, path or "text")
        elif isinstance(found, dict):
            for key, inner in found.items():
                check_text(str(key), path or "name")
                waiting.append((inner, f"{path}.{key}" if path else str(key)))
        elif isinstance(found, list | tuple):
            waiting += [(inner, path) for inner in found]
