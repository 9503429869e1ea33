"""The languages of a practice: those built in, and what it adds or says its own way."""

from __future__ import annotations

import base64
import hashlib
from collections.abc import Callable
from time import monotonic
from uuid import UUID

from ...core.language import OwnWords
from ..models import Member, MessageCatalogue
from .catalogues import language_view, languages_with
from .models import LanguageView
from .ports import OwnPages

KEPT_S = 10.0
"""So long may another process still say what an owner has just changed, s. House value."""


class LanguageService:
    """Languages of one practice."""

    def __init__(self, pages: OwnPages, clock: Callable[[], float] = monotonic) -> None:
        self._pages, self._clock = pages, clock
        self._kept: dict[UUID, tuple[float, OwnWords]] = {}

    def languages(self, member: Member) -> list[LanguageView]:
        """The languages built in, with the practice's own beside or over them."""
        languages = languages_with(self._pages.catalogues(member.practice_id))
        return [language_view(catalogue) for catalogue in languages.values()]

    def words_of(self, practice_id: UUID) -> OwnWords:
        """A practice's own words, but those of clients' pages; asked with every answer, so kept for a moment."""
        until, words = self._kept.get(practice_id, (0.0, {}))
        if self._clock() >= until:
            held = self._pages.catalogues(practice_id)
            words = {one.language: one.words for one in held if one.words}
            self._kept[practice_id] = (self._clock() + KEPT_S, words)
        return words

    def words_for_the_page(self, member: Member, language: str) -> dict[str, str]:
        """A practice's own words in a language, by what the page keeps its messages under."""
        words = self.words_of(member.practice_id).get(language, {})
        return {_message_id(key): text for key, text in words.items()}

    def catalogue(self, member: Member, language: str) -> MessageCatalogue | None:
        """What a practice has added or changed in a language; None where it has not."""
        held = self._pages.catalogues(member.practice_id)
        return next((one for one in held if one.language == language), None)

    def add(self, member: Member, catalogue: MessageCatalogue) -> LanguageView:
        """Add a language, or put a later file in its place."""
        self._pages.put_catalogue(member.practice_id, catalogue)
        self._kept.pop(member.practice_id, None)
        return language_view(languages_with([catalogue])[catalogue.language])

    def drop(self, member: Member, language: str) -> None:
        """Drop a practice's file; its language is as built in then, or English. Raises NotFound."""
        self._pages.drop_catalogue(member.practice_id, language)
        self._kept.pop(member.practice_id, None)


def _message_id(key: str) -> str:
    """Return what the page keeps a message under: the first six signs of a digest of its text and its context."""
    context, _, text = key.rpartition("\x04")
    digest = hashlib.sha256(f"{text}\x1f{context}".encode()).digest()
    return base64.b64encode(digest).decode()[:6]
