"""The catalogue: complete in every language, in step with the code, and nothing said beside it."""

import re
from datetime import date
from pathlib import Path

import pytest
from babel.messages.pofile import read_po

from gentle_plumb.config import ROOT
from gentle_plumb.core.language import (
    LANGUAGES,
    OFFERED,
    Text,
    language_of,
    msg,
    ngettext,
    numeral,
    spoken_day,
)
from gentle_plumb.core.presentation import action_views
from gentle_plumb.services.own_page.catalogues import BUILT_IN
from plumb_words.catalogues import LANGUAGES as TRANSLATED
from plumb_words.catalogues import page_file, read, troubles
from plumb_words.program import TEMPLATE, program_catalogue
from unit.test_actions import analysed

LEFT_IN_ENGLISH = ("documents", "routes", "storage")
"""Messages about files and addresses, and lines of the activity log, may wait for their translation."""
ALIKE = re.compile(r"^[\W\d_]*$|^(C7|Code|Demo|Gentle Plumb|SHA-256 \{0\}|CSV|min)$")


@pytest.fixture(scope="module")
def template():
    return program_catalogue()


def ids(catalogue):
    return {(str(m.id), m.context or "") for m in catalogue if m.id}


def test_the_template_holds_what_the_program_says(template):
    with Path(TEMPLATE).open("rb") as held:
        assert ids(read_po(held)) == ids(template), "run ./plumb words --update"


@pytest.mark.parametrize("language", TRANSLATED)
def test_a_language_is_complete_and_keeps_every_gap(language):
    found = [
        (each.kind, each.message, each.place)
        for each in troubles(language)
        if each.kind != "long" and not each.place.startswith(LEFT_IN_ENGLISH)
    ]
    assert found == []


@pytest.mark.parametrize("language", TRANSLATED)
def test_the_page_is_translated_and_not_just_copied(language):
    english = {m.id: m.string for m in read(page_file("en"), "en") if m.id}
    held = {m.id: m.string for m in read(page_file(language), language) if m.id}
    assert held.keys() == english.keys()
    same = [text for id, text in held.items() if text == english[id] and len(str(text).split()) > 4]
    assert same == []


def test_a_text_is_english_as_a_string_and_any_language_when_it_is_said():
    german, spanish = language_of("de-AT,en;q=0.8"), language_of("es")
    words = msg("{label}: not recorded.", label=msg("Seat tilt"))
    assert words == "Seat tilt: not recorded."
    assert german.say(words) == "Sitzneigung: nicht eingetragen."
    assert german.say(numeral("1,234.5 cm")) == "1.234,5 cm"
    assert spanish.say(spoken_day(date(2026, 12, 4))) == "4 de diciembre de 2026"
    assert german.say({"a": [words.lower(), 3]})["a"] == ["Sitzneigung: nicht eingetragen.", 3]
    assert german.say(ngettext("{count} report", "{count} reports", 2)) == "2 Berichte"
    assert language_of("tlh").tag == "en"
    assert (
        language_of("en", {"en": {"Seat tilt": "Seat slope"}}).say(msg("Seat tilt")) == "Seat slope"
    )


NOTED = "Two boxes of forms."
"""What the practitioner wrote in the visit; it stays as it was written."""
PLAIN = re.compile(r"\b[a-z’]{3,} [a-z’]{2,} [a-z’]{3,}\b")


def spoken_texts(value, language):
    if isinstance(value, str):
        if isinstance(value, Text):
            yield language.say(value)
        elif " " in value:
            yield value
    elif isinstance(value, dict):
        for part in value.values():
            yield from spoken_texts(part, language)
    elif isinstance(value, list | tuple):
        for part in value:
            yield from spoken_texts(part, language)
    elif hasattr(value, "__dataclass_fields__"):
        for name in value.__dataclass_fields__:
            yield from spoken_texts(getattr(value, name), language)


def test_nothing_of_an_assessment_is_said_beside_the_catalogue():
    """Marked English has accents: three plain words in a row were put together somewhere else."""
    visit = analysed()
    views = action_views(visit.actions(), visit.causes().causes, "cm")
    found = {
        text
        for held in (views, visit.findings, visit.actions(), visit.causes())
        for text in spoken_texts(held, LANGUAGES["en-XA"])
        if PLAIN.search(text.replace(NOTED, ""))
    }
    assert found == set()


def syllables(word):
    groups = len(re.findall(r"[aeiouy]+", word.lower()))
    silent = word.lower().endswith("e") and not word.lower().endswith("le") and groups > 1
    return max(1, groups - silent)


def reading_age(texts):
    """Flesch–Kincaid grade level plus five: the age at which it is read in an English-speaking school."""
    sentences = [
        part for text in texts for part in re.split(r"[.!?:;]\s|[.!?]$", text) if part.split()
    ]
    words = [word for part in sentences for word in re.findall(r"[A-Za-z’]+", part)]
    grade = (
        0.39 * len(words) / len(sentences) + 11.8 * sum(map(syllables, words)) / len(words) - 15.59
    )
    return grade + 5


def test_clients_can_read_it_at_twelve():
    held = BUILT_IN["en"].messages
    movements = [
        text
        for line in (ROOT / "src/gentle_plumb/core/movements/movements.toml")
        .read_text()
        .splitlines()
        for text in re.findall(r'"([A-Z][^"]{20,})"', line)
    ]
    assert reading_age([re.sub(r"\{\w+\}", "it", text) for text in held.values()]) <= 12
    assert reading_age(movements) <= 12


def test_every_language_that_is_offered_says_its_own_name():
    assert [LANGUAGES[tag].name for tag in OFFERED] == ["English", "Deutsch", "Español"]


def sentences_in(source: str) -> list[str]:
    """Return f-strings with words in them: sentences that no catalogue holds."""
    import ast

    return [
        ast.unparse(node)
        for node in ast.walk(ast.parse(source))
        if isinstance(node, ast.JoinedStr)
        and re.search(
            r"[a-z]{3,} [a-z]{3,}",
            " ".join(str(part.value) for part in node.values if isinstance(part, ast.Constant)),
        )
    ]


NOT_FOR_READERS = {"tables.py", "reuse.py", "changed.py", "shelf.py", "serialization.py"}
"""What these say, only who works on the program ever reads."""


def test_no_sentence_of_core_or_services_is_put_together_outside_the_catalogue():
    package = ROOT / "src" / "gentle_plumb"
    found = {
        f"{file.name}: {text}"
        for folder in ("core", "services", "schemas", "on_device")
        for file in (package / folder).rglob("*.py")
        if file.name not in NOT_FOR_READERS
        for text in sentences_in(file.read_text("utf-8"))
    }
    assert found == set()
