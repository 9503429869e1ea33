"""The languages of the client's page: English, and what a practice adds."""

from __future__ import annotations

from ..models import Member
from .catalogues import language_view, languages_with, read_catalogue
from .models import LanguageView
from .ports import OwnPages


class LanguageService:
    """Languages of one practice."""

    def __init__(self, pages: OwnPages) -> None:
        self._pages = pages

    def languages(self, member: Member) -> list[LanguageView]:
        """The languages built in, with the practice's own beside or over them."""
        languages = languages_with(self._pages.catalogues(member.practice_id))
        return [language_view(catalogue) for catalogue in languages.values()]

    def add(self, member: Member, raw: bytes) -> LanguageView:
        """Add a language, or put a later file in its place; raises BadFile."""
        catalogue = read_catalogue(raw)
        self._pages.put_catalogue(member.practice_id, catalogue)
        return language_view(languages_with([catalogue])[catalogue.language])

    def drop(self, member: Member, language: str) -> None:
        """Drop a practice's file; pages in its language are as built in then, or English. Raises NotFound."""
        self._pages.drop_catalogue(member.practice_id, language)
