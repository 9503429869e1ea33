"""The catalogues as files: a folder for each language, and what is missing, too long or unused in them."""

from __future__ import annotations

import io
import re
import subprocess
from collections.abc import Iterator
from dataclasses import dataclass
from pathlib import Path

from babel.messages.catalog import Catalog, Message
from babel.messages.pofile import read_po, write_po

from gentle_plumb.config import ROOT

from .program import LOCALES, TEMPLATE, program_catalogue

LANGUAGES = ("de", "es")
WEB = ROOT / "web"
LONGEST = 1.7
"""A translation longer than so many times the English may not fit. House value."""
SHORT = 12
"""Below so many signs a word may well be twice as long. House value."""
_GAP = re.compile(r"\{\w*\}|</?\d+/?>")


@dataclass(frozen=True, kw_only=True)
class Trouble:
    """What is wrong with a message in a language."""

    language: str
    kind: str
    message: str
    place: str


def written(catalogue: Catalog) -> str:
    """Return a catalogue as it stands in its file: places without line numbers, long lines unbroken."""
    catalogue.fuzzy = False
    out = io.BytesIO()
    write_po(out, catalogue, width=0, include_lineno=False, omit_header=False, ignore_obsolete=True)
    lines = out.getvalue().decode().split("\n")
    return "\n".join(
        line for line in lines if not line.startswith(('"POT-Creation-Date', '"PO-Revision-Date'))
    )


def update() -> None:
    """Gather every message again and bring the languages to it; translations of what stayed are kept."""
    template = program_catalogue()
    LOCALES.mkdir(exist_ok=True)
    TEMPLATE.write_text(written(template))
    for language in LANGUAGES:
        file = program_file(language)
        held = read(file, language)
        held.update(template, no_fuzzy_matching=True)
        file.parent.mkdir(parents=True, exist_ok=True)
        file.write_text(written(held))
    subprocess.run(
        ["npx", "lingui", "extract", "--clean"], cwd=WEB, check=True, capture_output=True
    )


def program_file(language: str) -> Path:
    """Return where the program's catalogue of a language lies."""
    return LOCALES / language / "program.po"


def page_file(language: str) -> Path:
    """Return where the page's catalogue of a language lies."""
    return LOCALES / language / "page.po"


def read(file: Path, language: str) -> Catalog:
    """Return a catalogue; an empty one where there is no file yet."""
    if not file.exists():
        return Catalog(locale=language, project="Gentle Plumb", charset="utf-8")
    with file.open("rb") as held:
        return read_po(held, locale=language)


def troubles(language: str) -> Iterator[Trouble]:
    """Tell what is not translated, too long, or has other gaps than its English."""
    template = program_catalogue()
    held = read(program_file(language), language)
    for message in template:
        if message.id:
            yield from _of(language, message, held.get(_id(message), message.context))
    for message in held:
        if message.id and template.get(_id(message), message.context) is None:
            yield Trouble(language=language, kind="unused", message=str(message.id), place="")
    for message in read(page_file(language), language):
        if message.id:
            yield from _of(language, message, message)


def _id(message: Message) -> str:
    return message.id if isinstance(message.id, str) else message.id[0]


def _of(language: str, message: Message, held: Message | None) -> Iterator[Trouble]:
    string = held.string if held else ""
    forms = [
        str(form or "") for form in (string if isinstance(string, list | tuple) else (string,))
    ]
    place = ", ".join(name for name, _line in message.locations[:1])
    english = [
        str(each)
        for each in (message.id if isinstance(message.id, list | tuple) else (message.id,))
    ]
    for form in forms:
        kind = ""
        if not form:
            kind = "not translated"
        elif sorted(_GAP.findall(form)) not in [sorted(_GAP.findall(each)) for each in english]:
            kind = "other gaps" if "plural" not in english[0] else ""
        elif len(form) > LONGEST * max(map(len, english)) and len(form) > SHORT * 2:
            kind = "long"
        if kind:
            yield Trouble(language=language, kind=kind, message=str(english[0]), place=place)


def printed() -> Iterator[str]:
    """Yield everything the product says, place by place, with both translations."""
    held = {language: read(program_file(language), language) for language in LANGUAGES}
    pages = {language: read(page_file(language), language) for language in LANGUAGES}
    for title, template, others in (
        ("The program, the papers and the client’s page", program_catalogue(), held),
        ("The page", read(page_file("en"), "en"), pages),
    ):
        yield f"# {title}"
        place = ""
        for message in sorted(template, key=lambda each: str(each.locations[:1])):
            if not message.id:
                continue
            where = message.locations[0][0] if message.locations else ""
            if where != place:
                place = where
                yield f"\n## {place}"
            yield f"{_shown(message.id)}"
            for language, catalogue in others.items():
                other = catalogue.get(_id(message), message.context)
                yield f"    {language}: {_shown(other.string) if other and other.string else '—'}"


def _shown(text: object) -> str:
    return " | ".join(text) if isinstance(text, tuple) else str(text)
