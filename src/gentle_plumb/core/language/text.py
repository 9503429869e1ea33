"""Words that remember how they were made, so that they can be said in any language.

A :class:`Text` is a string, and as a string it is English. It also keeps its message and what was put into it;
:meth:`Text.said_in` makes the same words from a catalogue. Whatever works things out handles strings and knows
no language; where words leave the program they are said in the reader's.
"""

from __future__ import annotations

from collections.abc import Callable, Iterable, Mapping
from typing import TYPE_CHECKING, Any, Protocol


class Speaker(Protocol):
    """What a text needs of a language: its messages, and how it writes numbers and capitals."""

    def message(self, source: str, context: str) -> str:
        """Return a message in this language; the English one where it has none."""

    def plural(self, one: str, many: str, count: float) -> str:
        """Return the form of a message that goes with a number of things."""

    def number(self, english: str) -> str:
        """Return a finished number as this language writes it."""

    def lower(self, text: str, how: Callable[[str], str]) -> str:
        """Return a label as it stands within a sentence; ``how`` is what English does."""

    def upper(self, text: str) -> str:
        """Return a text as it begins a sentence."""


class Text(str):
    """Words of the product: English as a string, any language when it is said."""

    __slots__ = ("context", "source", "values")
    source: str
    values: Mapping[str, Any]
    context: str

    @classmethod
    def __get_pydantic_core_schema__(cls, _source: Any, handler: Callable[[Any], Any]) -> Any:
        return handler(str)

    def said_in(self, speaker: Speaker) -> str:
        """Return the words in a language."""
        template = speaker.message(self.source, self.context)
        return template.format(**_said(self.values, speaker)) if self.values else template

    def format(self, *args: object, **values: object) -> Text:
        """Return the message with its gaps filled, numbered ones too."""
        return _made(
            _Formatted,
            str.format(self, *args, **values),
            self.source,
            self.context,
            {**values, "": args},
        )

    def lower(self) -> Text:
        """Return the words in small letters, in languages that write them so within a sentence."""
        return _changed(self, str.lower)

    def __add__(self, other: str, /) -> Text:
        """Return the words with others behind them."""
        return _joined("", (self, other)) if other else self

    def __radd__(self, other: str, /) -> Text:
        """Return the words with others before them."""
        return _joined("", (other, self)) if other else self

    def strip(self, chars: str | None = None, /) -> str:
        """Return the words, which never begin or end with spaces, as they are; without other signs they are plain."""
        return self if chars is None and str.strip(self) == self else str.strip(self, chars)

    def rstrip(self, chars: str | None = None, /) -> str:
        """Return the words without the full stop that ends them; anything else than that makes them plain."""
        return without_stop(self) if chars == "." else str.rstrip(self, chars)

    def removeprefix(self, prefix: str, /) -> str:
        """Return the words without what they begin with in English; other languages keep theirs whole."""
        return _made(_Bare, str.removeprefix(self, prefix), "", "", {"text": self})

    def title(self) -> Text:
        """Return the words with a capital at the beginning."""
        return _made(_Cased, self[:1].upper() + self[1:], "", "", {"text": self, "how": None})


class _Bare(Text):
    """Words that English says without their beginning."""

    __slots__ = ()

    def said_in(self, speaker: Speaker) -> str:
        return str(said(self.values["text"], speaker))


class _Formatted(Text):
    """A message whose gaps may be numbered; those stand under no name."""

    __slots__ = ()

    def said_in(self, speaker: Speaker) -> str:
        named = _said(self.values, speaker)
        numbered = [said(value, speaker) for value in named.pop("")]
        return speaker.message(self.source, self.context).format(*numbered, **named)


class _Plural(Text):
    """Words that depend on how many there are; ``context`` is the form for many."""

    __slots__ = ()

    def said_in(self, speaker: Speaker) -> str:
        form = speaker.plural(self.source, self.context, self.values["count"])
        return form.format(**_said(self.values, speaker))


class _Number(Text):
    """A finished number, with its unit or without."""

    __slots__ = ()

    def said_in(self, speaker: Speaker) -> str:
        return speaker.number(str(self.source))


class _Filled(Text):
    """Words side by side: what is between them is not a message."""

    __slots__ = ()

    def said_in(self, speaker: Speaker) -> str:
        return self.source.format(**_said(self.values, speaker))


class _Joined(Text):
    """Words in a row."""

    __slots__ = ()

    def said_in(self, speaker: Speaker) -> str:
        between: str = said(self.values["between"], speaker)
        return between.join(said(part, speaker) for part in self.values["parts"])


class _Cased(Text):
    """Words within a sentence, or at its beginning."""

    __slots__ = ()

    def said_in(self, speaker: Speaker) -> str:
        text = said(self.values["text"], speaker)
        how = self.values["how"]
        return speaker.upper(text) if how is None else speaker.lower(text, how)


class _Open(Text):
    """Words without the full stop that ends them."""

    __slots__ = ()

    def said_in(self, speaker: Speaker) -> str:
        return str.rstrip(str(said(self.values["text"], speaker)), ".")


def _made(
    kind: type[Text], english: str, source: str, context: str, values: Mapping[str, Any]
) -> Text:
    text = str.__new__(kind, english)
    text.source, text.context, text.values = source, context, values
    return text


def _said(values: Mapping[str, Any], speaker: Speaker) -> dict[str, Any]:
    return {name: said(value, speaker) for name, value in values.items()}


def said(value: Any, speaker: Speaker) -> Any:
    """Return a text in a language; whatever is no text as it is."""
    return value.said_in(speaker) if isinstance(value, Text) else value


def msg(message: str, /, **values: object) -> str:
    """Return a message with its values in place.

    >>> msg("Feet {gap} off their support.", gap="7.4 cm")
    'Feet 7.4 cm off their support.'

    """
    return _made(Text, message.format(**values) if values else message, message, "", values)


def pgettext(context: str, message: str, /, **values: object) -> str:
    """Return a message whose English says two things; ``context`` tells which one is meant."""
    return _made(Text, message.format(**values) if values else message, message, context, values)


def ngettext(one: str, many: str, count: float, /, **values: object) -> str:
    """Return the form of a message that goes with ``count``, which fills the gap of that name.

    >>> ngettext("{count} report", "{count} reports", 1), ngettext("{count} report", "{count} reports", 3)
    ('1 report', '3 reports')

    """
    all_values = {"count": count, **values}
    form = one if count == 1 else many
    return _made(_Plural, form.format(**all_values), one, many, all_values)


def filled(template: str, /, **values: object) -> str:
    """Return texts with signs between them that are the same in every language, as ``{label}: {amount}``."""
    return _made(_Filled, template.format(**values), template, "", values)


def numeral(english: str) -> str:
    """Return a finished number, with a point before its decimals, so that each language writes its own sign."""
    return _made(_Number, english, english, "", {})


def joined(between: str, parts: Iterable[str]) -> str:
    """Return texts in a row.

    >>> joined(", ", ["seat", "desk"])
    'seat, desk'

    """
    return _joined(between, tuple(parts))


def _joined(between: str, parts: tuple[str, ...]) -> Text:
    return _made(_Joined, between.join(parts), "", "", {"between": between, "parts": parts})


def and_list(parts: Iterable[str]) -> str:
    """Return texts as one says them: commas, and “and” before the last.

    >>> and_list(["seat", "desk", "screen"]), and_list(["seat"])
    ('seat, desk and screen', 'seat')

    """
    return _last_by(parts, lambda first, last: msg("{first} and {last}", first=first, last=last))


def or_list(parts: Iterable[str]) -> str:
    """Return texts as one says them: commas, and “or” before the last."""
    return _last_by(parts, lambda first, last: msg("{first} or {last}", first=first, last=last))


def _last_by(parts: Iterable[str], put: Callable[[str, str], str]) -> str:
    *first, last = [*parts] or [""]
    return put(joined(", ", first), last) if first else joined("", [last])


def lowered(text: str) -> str:
    """Return words with a small letter at the beginning, as they stand within a sentence.

    >>> lowered("Seat height")
    'seat height'

    """
    return _changed(text, _first_small)


def capitalised(text: str) -> str:
    """Return words as they begin a sentence.

    >>> capitalised("seat height")
    'Seat height'

    """
    return _made(_Cased, text[:1].upper() + text[1:], "", "", {"text": text, "how": None})


def without_stop(text: str) -> str:
    """Return words without the full stop that ends them."""
    return _made(_Open, str.rstrip(text, "."), "", "", {"text": text})


def _first_small(text: str) -> str:
    return text[:1].lower() + text[1:]


def _changed(text: str, how: Callable[[str], str]) -> Text:
    return _made(_Cased, how(str(text)), "", "", {"text": text, "how": how})


if TYPE_CHECKING:
    Words = str
else:
    Words = Text
"""The type of a part of a table that holds words: what is read from the file becomes a :class:`Text`."""
