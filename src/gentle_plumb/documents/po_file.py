"""A language as a PO file: everything the program says, for a practice to translate or to say its own way."""

from __future__ import annotations

import io
import re
from collections.abc import Iterator
from functools import lru_cache
from typing import Any

from babel.messages.catalog import Catalog, Message
from babel.messages.pofile import PoFileError, read_po, write_po

from ..config import ROOT
from ..core.errors import UnreadableValue
from ..core.language import LANGUAGES, OFFERED, PLURAL_FORMS, joined, msg, word_key
from ..core.plain_text import check_text
from ..services.errors import BadFile
from ..services.models import MessageCatalogue
from ..services.own_page import ENGLISH
from ..services.own_page.catalogues import LANGUAGE, LONGEST

LOCALES = ROOT / "locale"
MOST_PO_BYTES = 4 * 2**20
"""A whole language is a quarter of it. House value."""
_GAP = re.compile(r"\{(\w+)[},]|(</?\d+/?>)")
_CHOICE = re.compile(r"\{\w+, (plural|select|selectordinal),")


def read_po_file(raw: bytes) -> MessageCatalogue:
    """Read a language's PO file: its header says ``Language``, and for a new one ``X-Name`` and ``X-Direction``.

    What is left empty, or is as the program says it already, is not kept. Raises BadFile with every message that is
    wrong: one that does not exist, that is too long, or whose gaps are not those of the English one.
    """
    refused = msg("The language was not added.")
    try:
        held = read_po(io.BytesIO(raw), charset="utf-8", abort_invalid=True)
    except (PoFileError, UnicodeDecodeError, ValueError, LookupError) as error:
        raise BadFile(
            msg(
                "The language was not added: the file is no PO file in UTF-8 ({error}).",
                error=error,
            )
        ) from None
    header = {name.lower(): value for name, value in held.mime_headers}
    tag = re.search(rb'"Language: ([\w-]+)\\n"', raw)
    language = tag.group(1).decode() if tag else ""
    if not LANGUAGE.fullmatch(language):
        reason = msg("has to be a language tag, as ar or pt-BR")
        raise BadFile(refused, [("", "Language", reason)])
    built_in = _built_in(language)
    troubles, messages, words = [], {}, {}
    for message in held:
        key = _key(message)
        if not message.id or not _forms(message):
            continue
        known = built_in.get(key)
        reason = _wrong(message) if known is not None else msg("there is no such message")
        if reason:
            troubles.append(("", _shown(message), reason))
        elif _forms(message) != known:
            if message.context in ENGLISH.messages:
                messages[str(message.context)] = _forms(message)
            else:
                words[key] = _forms(message)
    if troubles:
        raise BadFile(refused, troubles)
    of = LANGUAGES.get(language)
    return MessageCatalogue(
        language=language,
        name=header.get("x-name") or (of.name if of else language),
        direction="rtl" if header.get("x-direction") == "rtl" else "ltr",
        messages=messages,
        words=words,
    )


def write_po_file(language: str, own: MessageCatalogue | None) -> bytes:
    """Return everything the program says, in English and in a language, with a practice's own words in it."""
    held = Catalog(locale=None, project="Gentle Plumb", charset="utf-8", fuzzy=False)
    for message in _messages(language):
        if not message.id:
            continue
        key = _key(message)
        said = _forms(message)
        if own is not None:
            said = own.messages.get(message.context or "", own.words.get(key, said))
        forms: Any = tuple(said.split(PLURAL_FORMS)) if isinstance(message.id, tuple) else said
        held.add(
            message.id,
            forms,
            context=message.context,
            locations=message.locations,
            auto_comments=message.auto_comments,
        )
    out = io.BytesIO()
    write_po(out, held, width=0, include_lineno=False)
    name, direction = (own.name, own.direction) if own else (LANGUAGES[language].name, "ltr")
    head = f'"Language: {language}\\n"\n"X-Name: {name}\\n"\n"X-Direction: {direction}\\n"\n'
    return out.getvalue().replace(b'"MIME-Version', head.encode() + b'"MIME-Version', 1)


@lru_cache(maxsize=8)
def _built_in(language: str) -> dict[str, str]:
    """Return what the program says in a language by key; empty texts where it does not speak it."""
    return {_key(message): _forms(message) for message in _messages(language) if message.id}


def _messages(language: str) -> Iterator[Message]:
    spoken = language in OFFERED
    program = LOCALES / language / "program.po" if spoken and language != "en" else None
    for file in (
        program or LOCALES / "program.pot",
        LOCALES / (language if spoken else "en") / "page.po",
    ):
        with file.open("rb") as held:
            for message in read_po(held):
                if not spoken:
                    message.string = ("",) * 2 if isinstance(message.id, tuple) else ""
                yield message


def _key(message: Message) -> str:
    ids = message.id if isinstance(message.id, tuple) else (message.id,)
    return word_key(*ids, context=message.context or "")


def _forms(message: Message) -> str:
    """Return a translation; the forms of a plural in one, empty unless all are there."""
    forms = message.string if isinstance(message.string, tuple | list) else (message.string or "",)
    return PLURAL_FORMS.join(forms) if all(forms) else ""


def _shown(message: Message) -> str:
    text = message.id[0] if isinstance(message.id, tuple) else str(message.id)
    return str(message.context or text)[:60]


def _wrong(message: Message) -> str:
    """Return what is wrong with a translation; empty where nothing is."""
    english = message.id if isinstance(message.id, tuple) else (str(message.id),)
    said = _forms(message)
    if len(said) > LONGEST:
        return msg("has to be a text of {longest} characters at most", longest=LONGEST)
    try:
        check_text(said.replace(PLURAL_FORMS, " "), "messages")
    except UnreadableValue as error:
        return str(error)
    if (client := ENGLISH.messages.get(message.context or "")) is not None:
        english = (client,)
    wanted = {gap for text in english for gap in _GAP.findall(text)}
    if _CHOICE.search(english[0]):  # what stands in its braces may be words
        fits = {gap for gap in _GAP.findall(english[0]) if gap[0] + "," in english[0]} <= {
            *_GAP.findall(said)
        }
    else:
        fits = set(_GAP.findall(said)) == wanted
    if not fits:
        gaps = (
            joined(", ", sorted(f"{{{name}}}" if name else tag for name, tag in wanted)) or "none"
        )
        return msg("its gaps have to be those of the English one: {gaps}", gaps=gaps)
    return ""
