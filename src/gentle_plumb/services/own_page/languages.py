"""The languages of the client's page: English, and what a practice adds."""

from __future__ import annotations

from ..models import Member
from .catalogues import ENGLISH, language_view, read_catalogue
from .models import LanguageView
from .ports import OwnPages


class LanguageService:
    """Languages of one practice."""

    def __init__(self, pages: OwnPages) -> None:
        self._pages = pages

    def languages(self, member: Member) -> list[LanguageView]:
        """English and the practice's own."""
        own = self._pages.catalogues(member.practice_id)
        return [language_view(catalogue) for catalogue in (ENGLISH, *own)]

    def add(self, member: Member, raw: bytes) -> LanguageView:
        """Add a language, or put a later file in its place; raises BadFile."""
        catalogue = read_catalogue(raw)
        self._pages.put_catalogue(member.practice_id, catalogue)
        return language_view(catalogue)

    def drop(self, member: Member, language: str) -> None:
        """Drop a language; pages in it are English then. Raises NotFound."""
        self._pages.drop_catalogue(member.practice_id, language)
