"""The messages of the client's page: the languages built in, and a practice's own beside or over them."""

from __future__ import annotations

import json
import re
from collections.abc import Iterable
from dataclasses import replace
from importlib.resources import files
from typing import Any, cast

from ...core.errors import UnreadableValue
from ...core.language import joined, msg
from ...core.plain_text import check_text
from ...core.words import CLIENT_NUMBERS, NUMBER_WORDS
from ..errors import BadFile
from ..models import Direction, MessageCatalogue
from .models import LanguageView

LONGEST = 2000
LANGUAGE = re.compile(r"[a-z]{2,3}(-[A-Za-z0-9]{2,8}){0,3}")
"""A language tag, as BCP 47 writes it: ``ar``, ``pt-BR``."""
_GAP = re.compile(r"\{(\w+)\}")


def _english() -> MessageCatalogue:
    held = json.loads(files(__package__).joinpath("en.json").read_text("utf-8"))
    held["messages"] |= {f"number.{key}": name for key, name in CLIENT_NUMBERS.items()}
    held["messages"] |= {f"is.{key}": word for key, word in NUMBER_WORDS.items()}
    return MessageCatalogue(**held)


ENGLISH = _english()
"""Every message there is, by its name."""


def _built_in(language: str) -> MessageCatalogue:
    held = json.loads(files(__package__).joinpath(f"{language}.json").read_text("utf-8"))
    return MessageCatalogue(**held)


BUILT_IN = {"en": ENGLISH, **{language: _built_in(language) for language in ("de", "es")}}
"""Languages that ship with the program, complete, by their tag."""


def languages_with(own: Iterable[MessageCatalogue]) -> dict[str, MessageCatalogue]:
    """Return the languages by their tag: those built in, with a practice's own beside or over them.

    A practice's file for a language that is built in changes the messages it holds; the others stay.
    """
    languages = dict(BUILT_IN)
    for catalogue in own:
        below = BUILT_IN.get(catalogue.language)
        messages = {**(below.messages if below else {}), **catalogue.messages}
        languages[catalogue.language] = replace(catalogue, messages=messages)
    return languages


def translated(catalogue: MessageCatalogue) -> dict[str, str]:
    """Return every message in a language, in English where the language leaves it out."""
    return {**ENGLISH.messages, **catalogue.messages}


def read_catalogue(raw: bytes) -> MessageCatalogue:
    """Read a language's file: ``language``, ``name``, ``direction`` and ``messages`` by name.

    Raises BadFile with every message that is wrong: one that does not exist, that is no text, or whose gaps
    (``{practice}``) are not those of the English one. What is left out is shown in English.
    """
    try:
        held = json.loads(raw.decode("utf-8-sig"))
    except (UnicodeDecodeError, ValueError, RecursionError) as error:
        raise BadFile(
            msg("The language was not added: the file is no JSON in UTF-8 ({error}).", error=error)
        ) from None
    if not isinstance(held, dict):
        raise BadFile(msg("The language was not added: the file holds no object."))
    troubles = [*_head(held), *_messages(held.get("messages"))]
    if troubles:
        raise BadFile(msg("The language was not added."), troubles)
    return MessageCatalogue(
        language=held["language"],
        name=held["name"].strip(),
        direction=cast("Direction", held["direction"]),
        messages={name: text for name, text in held["messages"].items() if text.strip()},
    )


def _head(held: dict[str, Any]) -> list[tuple[str, str, str]]:
    result = []
    language, name = held.get("language"), held.get("name")
    if not isinstance(language, str) or not LANGUAGE.fullmatch(language):
        result.append(("", "language", msg("has to be a language tag, as ar or pt-BR")))
    if not isinstance(name, str) or not 0 < len(name.strip()) <= 60 or not _whole(name):
        result.append(("", "name", msg("has to be the language’s own name, 60 characters at most")))
    if held.get("direction") not in ("ltr", "rtl"):
        result.append(("", "direction", msg("has to be ltr or rtl")))
    return result


def _messages(held: object) -> list[tuple[str, str, str]]:
    if not isinstance(held, dict):
        return [("", "messages", msg("has to be an object: each message by its name"))]
    messages = []
    for name, text in held.items():
        english = ENGLISH.messages.get(name)
        shown = str(name)[:60].encode("utf-8", "replace").decode()
        if english is None:
            messages.append(("", shown, msg("there is no such message")))
        elif not isinstance(text, str) or len(text) > LONGEST or not _whole(text):
            messages.append(
                (
                    "",
                    shown,
                    msg("has to be a text of {longest} characters at most", longest=LONGEST),
                )
            )
        elif text.strip() and set(_GAP.findall(text)) != set(_GAP.findall(english)):
            gaps = joined(", ", (f"{{{gap}}}" for gap in _GAP.findall(english))) or "none"
            messages.append(
                ("", shown, msg("its gaps have to be those of the English one: {gaps}", gaps=gaps))
            )
    return messages


def _whole(text: str) -> bool:
    try:
        check_text(text, "messages")
    except UnreadableValue:
        return False
    return True


def language_view(catalogue: MessageCatalogue) -> LanguageView:
    """A language in a list; what it leaves out is shown in English."""
    left = ENGLISH.messages.keys() - catalogue.messages.keys()
    return LanguageView(
        language=catalogue.language,
        name=catalogue.name,
        direction=catalogue.direction,
        open=len(left),
        built_in=catalogue is BUILT_IN.get(catalogue.language),
    )
