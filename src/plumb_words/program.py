"""Gathers the messages of the program: those in its code, in its tables and on the client's own page."""

from __future__ import annotations

import json
import sys
from collections.abc import Iterator
from dataclasses import fields, is_dataclass
from enum import Enum
from importlib import import_module
from pathlib import Path, PurePosixPath
from pkgutil import walk_packages
from typing import Any

from babel.messages.catalog import Catalog
from babel.messages.extract import extract_from_dir

import gentle_plumb
from gentle_plumb.config import ROOT, VERSION
from gentle_plumb.core.language import Text

PACKAGE = ROOT / "src" / "gentle_plumb"
LOCALES = ROOT / "locale"
TEMPLATE = LOCALES / "program.pot"
OWN_PAGE = PACKAGE / "services" / "own_page" / "en.json"
KEYWORDS = {"msg": None, "pgettext": ((1, "c"), 2), "ngettext": (1, 2)}
READERS = (
    ("services/own_page", "Read by the client, on their own page."),
    ("services/paper_layout/client", "Read by the client, on their report."),
    ("services/papers/client", "Read by the client, on their report."),
    ("core/words/client_numbers", "Read by the client."),
    ("core/movements", "Read by the client and the practitioner."),
    ("services/paper_layout/workplace", "Read by the employer, on the workplace copy."),
    ("services/papers/workplace", "Read by the employer, on the workplace copy."),
    ("services/papers/letter", "Read by a clinician, in a letter."),
    ("core/pace", "Read by the client and the practitioner."),
    ("services/access/one_time_links", "Read by a member of the team, in an email."),
    ("storage", "For administrators; a practitioner sees it as an error."),
    ("documents", "For people who import or export files."),
)
"""Who reads the messages of a part of the program; a practitioner where none is named."""


def program_catalogue() -> Catalog:
    """Return the template of everything the program says, in English, in the order of its files."""
    catalogue = Catalog(project="Gentle Plumb", version=VERSION, charset="utf-8")
    for name, context, message, comment in sorted(
        {*_in_code(), *_in_tables(), *_on_own_page()}, key=lambda found: (found[0], str(found[2]))
    ):
        catalogue.add(
            message,
            context=context or None,
            locations=[(name, 0)],
            auto_comments=[text for text in (comment, _reader(name)) if text],
        )
    return catalogue


Found = tuple[str, str, str | tuple[str, ...], str]


def _reader(name: str) -> str:
    return next((words for start, words in READERS if name.startswith(start)), "")


def _in_code() -> Iterator[Found]:
    found = extract_from_dir(PACKAGE, [("**.py", "python")], keywords=KEYWORDS)
    for name, _line, message, _comments, context in found:
        path = str(PurePosixPath(name))
        if message and not (isinstance(message, tuple) and not all(message)):
            yield path, context or "", message, ""


def _in_tables() -> Iterator[Found]:
    """Every text that is reached from the program's modules: labels of choices, entries of tables."""
    seen: set[int] = set()
    for module in walk_packages(gentle_plumb.__path__, "gentle_plumb."):
        if module.name.startswith(("gentle_plumb.core.", "gentle_plumb.services.")):
            import_module(module.name)
    for name, module_ in sorted(sys.modules.items()):
        if not name.startswith("gentle_plumb.core.") or not getattr(module_, "__file__", None):
            continue
        path = Path(str(module_.__file__)).relative_to(PACKAGE)
        for variable, value in vars(module_).items():
            if not variable.startswith("__"):
                yield from _reached(value, str(PurePosixPath(path)), seen)


def _reached(value: Any, path: str, seen: set[int]) -> Iterator[Found]:
    if isinstance(value, Text):
        yield from _of_text(value, path)
        return
    if (
        isinstance(value, str | int | float | bytes) and not isinstance(value, Enum)
    ) or value is None:
        return
    if id(value) in seen:
        return
    seen.add(id(value))
    if isinstance(value, type) and issubclass(value, Enum):
        parts: Any = [getattr(member, "label", None) for member in value]
    elif isinstance(value, dict):
        parts = [*value, *value.values()]
    elif isinstance(value, list | tuple | frozenset | set):
        parts = [*value]
    elif is_dataclass(value) and not isinstance(value, type):
        parts = [getattr(value, each.name, None) for each in fields(value)]
    else:
        return
    for part in parts:
        yield from _reached(part, path, seen)


def _of_text(text: Text, path: str) -> Iterator[Found]:
    if type(text) is Text and text.source:
        yield path, text.context, text.source, ""
    for part in text.values.values():
        for each in part if isinstance(part, tuple) else (part,):
            if isinstance(each, Text):
                yield from _of_text(each, path)


def _on_own_page() -> Iterator[Found]:
    held = json.loads(OWN_PAGE.read_text("utf-8"))["messages"]
    for key, message in held.items():
        yield "services/own_page/en.json", key, message, ""
