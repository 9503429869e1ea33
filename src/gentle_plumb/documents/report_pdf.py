"""Papers as PDF, set by Typst from one layout: PDF/A-3 and PDF/UA, with their own fonts."""

from __future__ import annotations

import base64
import io
import json
from collections.abc import Mapping, Sequence
from concurrent.futures import ThreadPoolExecutor
from dataclasses import asdict
from pathlib import Path
from typing import TYPE_CHECKING, Any, Literal

from PIL import Image
from pydantic import BaseModel

from ..core.language import msg
from ..services.models import Attachment
from ..services.paper_layout import drawings_in, layout_of
from ..services.paper_models import (
    ClientPaper,
    ErasurePaper,
    LetterPaper,
    Paper,
    RecordPaper,
    TargetCard,
    WorkplacePaper,
)
from ..services.spent import spending
from .code_svg import code_svg
from .scene_svg import scene_svg
from .template_words import template_words

if TYPE_CHECKING:
    import typst

HERE = Path(__file__).parent
STANDARDS: list[Literal["a-3a", "ua-1"]] = ["a-3a", "ua-1"]
"""ISO 19005-3 level A and ISO 14289-1: kept for good, read aloud, and carrying files."""
TURNS = dict.fromkeys([*range(0x202A, 0x202F), *range(0x2066, 0x206A)])
"""Characters that turn the reading direction of what follows: a name with one would turn the line around it. Text
that runs from right to left does without them. Source: Unicode Standard Annex 9, 2."""


class TypstPdfRenderer:
    """The PdfRenderer port.

    A single thread typesets every paper, with one compiler for each template. Compilers hold their fonts in
    memory, and one for every thread of the server would hold them many times over.
    """

    def __init__(self) -> None:
        self._press = ThreadPoolExecutor(max_workers=1, thread_name_prefix="press")
        self._compilers: dict[str, typst.Compiler] = {}

    def _compiler(self, template: str) -> typst.Compiler:
        if template not in self._compilers:
            import typst  # large, and not needed before the first paper

            self._compilers[template] = typst.Compiler(  # type: ignore[misc]  # its stub leaves it open
                str(HERE / template), font_paths=[HERE / "fonts"], ignore_system_fonts=True
            )
        return self._compilers[template]

    def _set(self, template: str, inputs: dict[str, str]) -> bytes:
        with spending("papers"):
            return self._press.submit(self._compiled, template, inputs, archival=True).result()

    def _compiled(self, template: str, inputs: dict[str, str], *, archival: bool = False) -> bytes:
        """Typeset a template, to the archival standards where asked; runs on the press's thread."""
        plain = {name: text.translate(TURNS) for name, text in inputs.items()}
        press = self._compiler(template)
        if archival:
            pdf = press.compile(sys_inputs=plain, pdf_standards=[*STANDARDS])
        else:
            pdf = press.compile(sys_inputs=plain)
        if not isinstance(pdf, bytes):
            raise TypeError("the press gave no single document")
        return pdf

    def print_card(self, card: TargetCard) -> bytes:
        """Set a target card: A6, a page for each person, each with a code that holds its numbers as text."""
        return self._set("card.typ", card_inputs(card))

    def print_request(self, paper: WorkplacePaper) -> bytes:
        """Set what is asked of a workplace as a form that can be filled in: a box for each thing, name and day.

        Not PDF/A: a form is there to be changed.
        """
        from .pdf_pages import with_fields

        def pressed() -> tuple[bytes, list[dict[str, Any]]]:
            pdf = self._compiled("request.typ", content_inputs(paper))
            return pdf, json.loads(self._compiler("request.typ").query("<spot>", field="value"))

        with spending("papers"):
            pdf, spots = self._press.submit(pressed).result()
        asked = {
            f"done_{request.id or index}": paper.speaker.say(
                msg("Done: {title}", title=request.title)
            )
            for index, request in enumerate(paper.requests)
        }
        return with_fields(pdf, [{**spot, "says": asked.get(spot["name"], "")} for spot in spots])

    def read_request(self, pdf: bytes) -> dict[str, str]:
        """Return what was filled into such a form, by field.

        Raises ValueError where it is no PDF.
        """
        from .pdf_pages import filled_in

        return filled_in(pdf)

    def mark(self, pdf: bytes, words: str) -> bytes:
        """Lay a line over the head of every page of a PDF, which stays as it is beneath."""
        from .pdf_pages import stamped

        laid = self._press.submit(self._compiled, "stamp.typ", {"words": words}).result()
        return stamped(pdf, laid)

    def print(
        self,
        paper: Paper,
        *,
        attached: Sequence[Attachment] = (),
        pictures: Mapping[str, bytes] | None = None,
    ) -> bytes:
        """Set a paper.

        Parameters
        ----------
        paper : ClientPaper, WorkplacePaper, RecordPaper, LetterPaper or ErasurePaper
            As the report service makes it.
        attached : sequence of Attachment
            Files that it carries.
        pictures : mapping, optional
            Photographs as JPEG, by identifier; those that are not given are left out.

        Returns
        -------
        bytes
            A tagged PDF.

        """
        if isinstance(paper, LetterPaper | ErasurePaper):
            return self._set(f"{paper.kind}.typ", content_inputs(paper))
        return self._set("layout.typ", paper_inputs(paper, attached, pictures or {}))


def paper_inputs(
    paper: ClientPaper | WorkplacePaper | RecordPaper,
    attached: Sequence[Attachment] = (),
    pictures: Mapping[str, bytes] | None = None,
) -> dict[str, str]:
    """Return what the layout's template is given: blocks, drawings, photographs, files; all of it text."""
    layout = layout_of(paper, carries_files=bool(attached))
    drawn = {drawing.of: _drawn(paper, drawing.of) for drawing in drawings_in(layout.blocks)}
    return {
        **content_inputs(paper, attached),
        "layout": layout.model_dump_json(),
        "drawings": json.dumps(drawn),
        "pictures": json.dumps({id: _held(jpeg) for id, jpeg in (pictures or {}).items()}),
    }


def content_inputs(paper: Paper, attached: Sequence[Attachment] = ()) -> dict[str, str]:
    """Return what every template is given: head and signature, and the files that the paper carries."""
    return {
        "content": paper.model_dump_json(exclude={"scene", "places", "day", "movements"}),
        "attached": json.dumps([asdict(attachment) for attachment in attached]),
        "words": template_words(paper.speaker),
    }


def _drawn(paper: BaseModel, path: str) -> str:
    """Return the drawing at a path of a paper as SVG; KeyError, AttributeError where there is none."""
    held: Any = paper
    for key in path.split("."):
        held = held[int(key)] if key.isdigit() else getattr(held, key)
    return scene_svg(asdict(held))


def _held(jpeg: bytes) -> str:
    """Return a photograph as text that a template can draw."""
    width, height = Image.open(io.BytesIO(jpeg)).size
    data = base64.b64encode(jpeg).decode()
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {width} {height}">'
        f'<image width="{width}" height="{height}" href="data:image/jpeg;base64,{data}"/></svg>'
    )


def card_inputs(card: TargetCard) -> dict[str, str]:
    """Return what the card's template is given."""
    return {
        "content": card.model_dump_json(exclude={"people": {"__all__": {"scene"}}}),
        "drawn": json.dumps([scene_svg(asdict(person.scene)) for person in card.people]),
        "codes": json.dumps([code_svg(person.code) for person in card.people]),
        "words": template_words(card.speaker),
    }
