"""The languages the product is said in: their catalogues, and how each writes numbers, days and sheets."""

from __future__ import annotations

import io
import re
from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from functools import cache
from gettext import GNUTranslations, NullTranslations
from importlib.resources import files
from typing import Any, Literal

from .text import Text

Direction = Literal["ltr", "rtl"]
Sheet = Literal["a4", "us-letter"]
OwnWords = Mapping[str, Mapping[str, str]]
"""A practice's own words: by language, by the key of the message."""
DOMAIN = "gentle-plumb"
PLURAL_FORMS = "\x1e"
"""Stands between the forms of a plural in a practice’s own words: no text can hold it."""


def word_key(*source: str, context: str = "") -> str:
    """Return what a practice's own words of a message are kept under; two sources where it has a plural."""
    text = PLURAL_FORMS.join(source)
    return f"{context}\x04{text}" if context else text


@dataclass(frozen=True, kw_only=True)
class Language:
    """A language, and how it is written.

    ``tag`` is its BCP 47 tag, ``name`` what it calls itself. ``decimal`` and ``group`` are the signs in numbers;
    ``capitals`` whether a label keeps its capital within a sentence; ``week_start`` the first day of the week,
    1 for Monday to 7 for Sunday; ``sheet`` the paper that reports are set for. From the Unicode CLDR.
    """

    tag: str
    name: str
    direction: Direction = "ltr"
    decimal: str = "."
    group: str = ","
    capitals: bool = False
    week_start: int = 1
    sheet: Sheet = "a4"
    catalogue: NullTranslations = field(default_factory=NullTranslations, compare=False)
    own: Mapping[str, str] = field(default_factory=dict, compare=False)

    @property
    def english(self) -> bool:
        """Whether every text is said just as it stands."""
        return self.tag == "en" and not self.own

    def message(self, source: str, context: str = "") -> str:
        """Return a message in this language; the English one where it has none."""
        if not source:
            return source
        if (own := self.own.get(word_key(source, context=context))) is not None:
            return own
        if context:
            return self.catalogue.pgettext(context, source)
        return self.catalogue.gettext(source)

    def plural(self, one: str, many: str, count: float) -> str:
        """Return the form of a message that goes with a number of things."""
        whole = int(count) if count == int(count) else 2
        if own := self.own.get(word_key(one, many)):
            forms = own.split(PLURAL_FORMS)
            at: int = getattr(self.catalogue, "plural", lambda n: int(n != 1))(whole)
            return forms[min(at, len(forms) - 1)]
        return self.catalogue.ngettext(one, many, whole)

    def number(self, english: str) -> str:
        """Return a finished number as this language writes it.

        >>> LANGUAGES["de"].number("1,234.5 cm"), LANGUAGES["en"].number("46.2")
        ('1.234,5 cm', '46.2')

        """
        return english.translate({ord("."): self.decimal, ord(","): self.group})

    def lower(self, text: str, how: Callable[[str], str]) -> str:
        """Return a label as it stands within a sentence; ``how`` is what English does."""
        return text if self.capitals else how(text)

    def upper(self, text: str) -> str:
        """Return a text as it begins a sentence."""
        return text[:1].upper() + text[1:]

    def say(self, value: Any) -> Any:
        """Return a value with every text in it in this language: mappings, lists and tuples all through."""
        if isinstance(value, str):
            return value.said_in(self) if isinstance(value, Text) and not self.english else value
        if isinstance(value, dict):
            return {key: self.say(part) for key, part in value.items()}
        if isinstance(value, list | tuple):
            return [self.say(part) for part in value]
        return value


_GAP = re.compile(r"(\{[^{}]*\}|<[^<>]*>)")
_ACCENTS = str.maketrans("aeiouncsytAEIOUNCSYT", "áéîöüñçšýţÁÉÎÖÜÑÇŠÝŢ")


def _dots(count: int) -> str:
    """Return dots in words of twelve: long text must be able to wrap, as a translation can."""
    return " ".join("·" * min(12, count - at) for at in range(0, count, 12))


@dataclass(frozen=True, kw_only=True)
class PseudoLanguage(Language):
    """English that is marked and 40 % longer, to see what is not in the catalogue and what does not fit."""

    def message(self, source: str, context: str = "") -> str:
        """Return a message with accents, and longer.

        >>> LANGUAGES["en-XA"].message("Feet {gap} off")
        'Fééţ {gap} öff ···'

        """
        words = "".join(
            part if part.startswith(("{", "<")) else part.translate(_ACCENTS)
            for part in _GAP.split(source)
        )
        more = round(len(_GAP.sub("", source)) * 0.4)
        return f"{words} {_dots(more - 1)}" if more > 1 else words

    def plural(self, one: str, many: str, count: float) -> str:
        """Return the marked form of a message that goes with a number of things."""
        return self.message(one if count == 1 else many)


LANGUAGES: dict[str, Language] = {
    language.tag: language
    for language in (
        Language(tag="en", name="English"),
        Language(tag="de", name="Deutsch", decimal=",", group=".", capitals=True),
        Language(tag="es", name="Español", decimal=",", group="."),
        PseudoLanguage(tag="en-XA", name="[Éñĝļîšĥ]"),
        PseudoLanguage(tag="ar-XB", name="[hsilgnE]", direction="rtl"),
    )
}
"""Every language by its tag. The last two are for trying what the page does with long and mirrored texts."""
OFFERED = ("en", "de", "es")
"""The languages that are complete, in the order they are offered."""


@cache
def _catalogue_of(tag: str) -> NullTranslations:
    file = files(__package__).joinpath(f"locale/{tag}/LC_MESSAGES/{DOMAIN}.mo")
    return GNUTranslations(io.BytesIO(file.read_bytes()))


def language_of(tags: str, own: OwnWords | None = None) -> Language:
    """Return the first of some languages that is known; English where none is.

    Parameters
    ----------
    tags : str
        BCP 47 tags with commas between, as a browser sends them: ``de-AT,de;q=0.9,en``.
    own : mapping, optional
        A practice's own messages by language and :func:`word_key`: they come before the catalogue's. A language that
        is only there is English where it leaves a message out.

    """
    own = own or {}
    for asked in tags.split(","):
        tag = asked.split(";")[0].strip()
        for known in (tag, tag.split("-")[0].lower()):
            if known in LANGUAGES or known in own:
                return _spoken(known, own.get(known, {}))
    return _spoken("en", own.get("en", {}))


def _spoken(tag: str, own: Mapping[str, str]) -> Language:
    language = LANGUAGES.get(tag) or Language(tag=tag, name=tag)
    if isinstance(language, PseudoLanguage):
        return language
    held = _catalogue_of(tag) if tag in OFFERED and tag != "en" else NullTranslations()
    return Language(**{**vars(language), "catalogue": held, "own": own})
