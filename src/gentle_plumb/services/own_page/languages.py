"""The languages of the client's page: English, and what a practice adds."""

from __future__ import annotations

from ..errors import NotAllowed
from ..models import Member, MessageCatalogue
from ..permissions import require_writer
from .catalogues import ENGLISH, read_catalogue
from .ports import OwnPages


class LanguageService:
    """Languages of one practice."""

    def __init__(self, pages: OwnPages) -> None:
        self._pages = pages

    def languages(self, member: Member) -> list[MessageCatalogue]:
        """English and the practice's own."""
        return [ENGLISH, *self._pages.catalogues(member.practice_id)]

    def add(self, member: Member, raw: bytes) -> MessageCatalogue:
        """Add a language, or put a later file in its place; owners only. Raises NotAllowed, BadFile."""
        self._need_owner(member)
        made = read_catalogue(raw)
        self._pages.put_catalogue(member.practice_id, made)
        return made

    def drop(self, member: Member, language: str) -> None:
        """Drop a language; pages in it are English then. Raises NotAllowed, NotFound."""
        self._need_owner(member)
        self._pages.drop_catalogue(member.practice_id, language)

    @staticmethod
    def _need_owner(member: Member) -> None:
        require_writer(member)
        if member.role != "owner":
            raise NotAllowed("Only an owner changes this.")
