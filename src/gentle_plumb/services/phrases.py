"""A practice's own sentences: kept, changed, dropped."""

from __future__ import annotations

from typing import Protocol
from uuid import UUID

from .models import ChangedPhrase, Member, NewPhrase, Phrase, view_of


class PhraseStore(Protocol):
    """Phrases, by their codes."""

    def phrases(self, practice_id: UUID) -> list[Phrase]: ...

    def add_phrase(self, phrase: Phrase) -> Phrase:
        """Keep one; the one that an earlier sending added. Raises AlreadyThere for a code that is taken."""

    def change_phrase(self, phrase: Phrase) -> Phrase:
        """Change one upon its version; raises AlreadyThere, NotFound, Stale."""

    def drop_phrase(self, practice_id: UUID, phrase_id: UUID) -> None:
        """Raises NotFound."""


class PhraseService:
    """What a practice says again and again."""

    def __init__(self, store: PhraseStore) -> None:
        self._store = store

    def phrases(self, member: Member) -> list[Phrase]:
        """Every phrase of the practice, by its code."""
        return self._store.phrases(member.practice_id)

    def add(self, member: Member, new: NewPhrase) -> Phrase:
        """Keep one; sent twice it is one. Raises AlreadyThere."""
        return self._store.add_phrase(
            view_of(Phrase, new, practice_id=member.practice_id, version=1)
        )

    def change(self, member: Member, phrase_id: UUID, changed: ChangedPhrase) -> Phrase:
        """Change one upon its version; what was written with it stays. Raises AlreadyThere, NotFound, Stale."""
        return self._store.change_phrase(
            view_of(Phrase, changed, id=phrase_id, practice_id=member.practice_id)
        )

    def drop(self, member: Member, phrase_id: UUID) -> None:
        """Drop one; what was written with it stays. Raises NotFound."""
        self._store.drop_phrase(member.practice_id, phrase_id)
