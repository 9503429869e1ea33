"""The licence texts of everything that ships with the program, as one file beside the page.

``python -m gentle_plumb.hosting.licences WEB LOCK OUT`` writes it: what stands in the page's lock for
use at run time, what stands in the server's, and the fonts. What ships without a text is named with what
its package says of its licence.
"""

from __future__ import annotations

import json
import re
import sys
from collections.abc import Iterator
from dataclasses import dataclass
from importlib.metadata import Distribution, PackageNotFoundError, distribution
from pathlib import Path
from typing import Any

FONTS = Path(__file__).parents[1] / "documents" / "fonts"
TEXTS = re.compile(r"^(licen[cs]e|copying|notice|ofl)", re.IGNORECASE)
"""What files with licence texts are called."""


@dataclass(frozen=True, kw_only=True)
class Licence:
    """A part that ships: its name with its version, what licence it names, and its text; empty where none ships."""

    part: str
    named: str
    text: str


def page_licences(web: Path) -> Iterator[Licence]:
    """Yield the page's packages by its lock, without those that only build or test it."""
    lock = json.loads((web / "package-lock.json").read_text("utf-8"))
    for at, package in sorted(lock["packages"].items()):
        folder = web / at
        if not at or package.get("dev") or not folder.is_dir():
            continue
        texts = [
            path for path in sorted(folder.iterdir()) if path.is_file() and TEXTS.match(path.name)
        ]
        name = at.rpartition("node_modules/")[2]
        yield Licence(
            part=f"{name} {package.get('version', '')}",
            named=str(package.get("license", "")),
            text="\n\n".join(text.read_text("utf-8", "replace").strip() for text in texts),
        )


def server_licences(lock: Path) -> Iterator[Licence]:
    """Yield the server's packages by its lock, as far as they are installed here."""
    for name in re.findall(r"^([\w.-]+)==", lock.read_text("utf-8"), re.MULTILINE):
        try:
            held = distribution(name)
        except PackageNotFoundError:
            continue  # for another system
        yield Licence(
            part=f"{held.metadata['Name']} {held.version}", named=_named(held), text=_text_of(held)
        )


def font_licences() -> Iterator[Licence]:
    """Yield the fonts' licences."""
    for text in sorted(FONTS.glob("OFL-*.txt")):
        part = text.stem.removeprefix("OFL-").replace("-", " ").title()
        yield Licence(part=f"{part} (font)", named="OFL-1.1", text=text.read_text("utf-8").strip())


def _named(held: Distribution) -> str:
    metadata: Any = held.metadata
    classed = [
        classifier.rpartition(" :: ")[2]
        for classifier in metadata.get_all("Classifier") or []
        if classifier.startswith("License ::")
    ]
    return (
        metadata.get("License-Expression")
        or ", ".join(classed)
        or (metadata.get("License") or "")[:80]
    )


def _text_of(held: Distribution) -> str:
    paths = [file for file in held.files or [] if TEXTS.match(file.name) and file.suffix != ".py"]
    texts = [Path(str(held.locate_file(path))) for path in paths]
    return "\n\n".join(
        text.read_text("utf-8", "replace").strip() for text in texts if text.is_file()
    )


def licences_text(parts: list[Licence]) -> str:
    """Return all of them as one text, the list first."""
    listed = [f"{part.part}: {part.named or 'see its text'}" for part in parts]
    whole = ["What ships with Gentle Plumb, and its licences", "", *listed]
    for part in parts:
        whole += ["", "=" * 78, part.part, "=" * 78, part.text or f"Licence: {part.named}."]
    return "\n".join(whole) + "\n"


def main(web: str, lock: str, out: str) -> None:
    """Write the file."""
    parts = [*font_licences(), *page_licences(Path(web)), *server_licences(Path(lock))]
    Path(out).write_text(licences_text(parts), "utf-8")


if __name__ == "__main__":
    main(*sys.argv[1:4])
