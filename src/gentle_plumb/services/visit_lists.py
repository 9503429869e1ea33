"""Which visits and clients a list shows: searched and parted into pages before anything is fetched for them."""

from __future__ import annotations

import re
import unicodedata
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from datetime import date, timedelta
from functools import lru_cache
from itertools import islice
from uuid import UUID

from .models import Client, VisitInList

PAGE = 100
"""So many rows are given at a time. House value."""
DUE_SOON = timedelta(days=14)
"""A follow-up so near is shown on Today. House value."""
LATEST_SIGNED = 20
"""So many signed visits are shown on Today, the latest. House value."""


@dataclass(frozen=True, kw_only=True)
class ListQuery:
    """What is looked for: words that begin words of name or job, one client's, one member's; from which row on.

    Without words and client, visits are those that Today shows.
    """

    words: str = ""
    client_id: UUID | None = None
    member_id: UUID | None = None
    offset: int = 0


@dataclass(frozen=True, kw_only=True)
class ClientLine:
    """A client in a list, with their last visit; None where there is none."""

    client: Client
    last: date | None
    follow_up: str | None


def matches(sought: str, *texts: str) -> bool:
    """Whether every word that is looked for begins a word of these texts, in any order, case and accents aside.

    >>> matches("od mar", "Odile Marrick"), matches("rick", "Odile Marrick"), matches("élo", "Eloise")
    (True, False, True)

    """
    words = _words(" ".join(texts))
    return all(any(word.startswith(start) for word in words) for start in _plain(sought).split())


@lru_cache(maxsize=50_000)
def _words(text: str) -> tuple[str, ...]:
    """The words of a name and job: taken apart once, however often a practice is searched."""
    return tuple(re.split(r"[\s,.;/-]+", _plain(text)))


@lru_cache(maxsize=256)
def _plain(text: str) -> str:
    parts = unicodedata.normalize("NFD", text)
    return "".join(one for one in parts if not unicodedata.combining(one)).lower()


def of_today(every: Sequence[VisitInList], today: date) -> list[UUID]:
    """What waits for somebody, the latest first, and the visits signed last; of more than a page what waits most.

    Parameters
    ----------
    every : sequence of VisitInList
        What the member may see and asks for, the latest first.
    today : date
        The practice's day.

    """
    waits = [
        [one for one in every if one.flagged],
        [one for one in every if not one.signed and one.started_on == today],
        [one for one in every if one.due and one.signed],
        [one for one in every if not one.signed],
        [one for one in every if one.signed][:LATEST_SIGNED],
    ]
    first = list(dict.fromkeys(one.id for group in waits for one in group))[:PAGE]
    shown = set(first)
    return [one.id for one in every if one.id in shown]


def page_of(found: Iterable[UUID], offset: int) -> list[UUID]:
    """Return a page of what was found."""
    return list(islice(found, offset, offset + PAGE))
