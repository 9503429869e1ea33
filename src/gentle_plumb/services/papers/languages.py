"""Every copy of a report in the language of who reads it."""

from __future__ import annotations

from typing import TypeVar

from ...core.language import OwnWords
from ...core.record import Record, fields
from ..paper_models import InALanguage, Papers
from ..said import spoken

P = TypeVar("P", bound=InALanguage)


def in_their_languages(
    papers: Papers, record: Record, language: str, own: OwnWords | None = None
) -> Papers:
    """Return every copy in the language of who reads it.

    Parameters
    ----------
    papers : Papers
    record : Record
        Of the visit: it says what the client and the workplace read.
    language : str
        What the practice reads, by its tag; also where the visit says nothing.
    own : mapping, optional
        The practice's own words, by language.

    """
    read = {
        "client": record[fields.report.client_language] or language,
        "workplace": record[fields.report.workplace_language] or language,
        "record": language,
    }
    return Papers(
        **{
            copy: spoken_copy(getattr(papers, copy), str(tag or "en"), own)
            for copy, tag in read.items()
        }
    )


def spoken_copy(paper: P, tag: str, own: OwnWords | None = None) -> P:
    """Return one paper in a language, which it says from now on."""
    words = dict((own or {}).get(tag, {}))
    written = paper.model_copy(update={"language": tag, "own_words": words})
    return spoken(written, written.speaker)
