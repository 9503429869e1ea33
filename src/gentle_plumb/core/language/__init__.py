"""Words in any language: messages, and the languages they are said in."""

from .dates import short_day, spoken_day
from .languages import DOMAIN, LANGUAGES, OFFERED, Language, language_of
from .text import (
    Speaker,
    Text,
    Words,
    and_list,
    capitalised,
    filled,
    joined,
    lowered,
    msg,
    ngettext,
    numeral,
    or_list,
    pgettext,
    said,
    without_stop,
)

__all__ = [
    "DOMAIN",
    "LANGUAGES",
    "OFFERED",
    "Language",
    "Speaker",
    "Text",
    "Words",
    "and_list",
    "capitalised",
    "filled",
    "joined",
    "language_of",
    "lowered",
    "msg",
    "ngettext",
    "numeral",
    "or_list",
    "pgettext",
    "said",
    "short_day",
    "spoken_day",
    "without_stop",
]
