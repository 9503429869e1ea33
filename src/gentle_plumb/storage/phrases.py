"""Phrases in PostgreSQL."""

from __future__ import annotations

from uuid import UUID

from ..core.language import msg
from ..services.models import Phrase
from .store import Store
from .tables import PHRASE

MISSING = msg("There is no such phrase.")


class SqlPhrases(Store):
    """The PhraseStore port."""

    def phrases(self, practice_id: UUID) -> list[Phrase]:
        return self._list(Phrase, PHRASE.c.practice_id == practice_id, order=(PHRASE.c.code,))

    def add_phrase(self, phrase: Phrase) -> Phrase:
        return self._add_once(phrase)

    def change_phrase(self, phrase: Phrase) -> Phrase:
        return self._change(phrase, only=("code", "text"), missing=MISSING)

    def drop_phrase(self, practice_id: UUID, phrase_id: UUID) -> None:
        self._drop(Phrase, practice_id, phrase_id, MISSING)
