"""A practice's own sentences, each written out by a short code."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Annotated
from uuid import UUID

from pydantic import StringConstraints

from .texts import Changed, New

Code = Annotated[
    str, StringConstraints(strip_whitespace=True, to_lower=True, pattern=r"^[A-Za-z0-9-]{1,20}$")
]
PhraseText = Annotated[str, StringConstraints(strip_whitespace=True, min_length=1, max_length=1000)]


@dataclass(frozen=True, kw_only=True)
class PhraseFacts:
    """A sentence and its code. ``{client}``, ``{practitioner}``, ``{practice}`` and ``{date}`` are filled when it is inserted."""

    code: Code
    text: PhraseText


@dataclass(frozen=True, kw_only=True)
class PhraseView(PhraseFacts):
    """A phrase as it is kept."""

    id: UUID
    version: int = 1


@dataclass(frozen=True, kw_only=True)
class Phrase(PhraseView):
    """One of a practice."""

    practice_id: UUID


@dataclass(frozen=True, kw_only=True)
class NewPhrase(PhraseFacts, New):
    """A phrase to be kept."""


@dataclass(frozen=True, kw_only=True)
class ChangedPhrase(PhraseFacts, Changed):
    """One changed."""
