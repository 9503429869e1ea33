"""The report as PDF, set by Typst from a template of its own: tagged, with its own fonts."""

from __future__ import annotations

import json
import threading
from dataclasses import asdict
from pathlib import Path

import typst

from ..services.papers import ClientPaper, TargetCard, WorkplacePaper
from .code_svg import code_svg
from .scene_svg import scene_svg

HERE = Path(__file__).parent


class TypstPdfRenderer:
    """The Press port. Each thread keeps a compiler, which has read template and fonts."""

    def __init__(self) -> None:
        self._local = threading.local()

    def _compiler(self, template: str = "report.typ") -> typst.Compiler:
        kept: dict[str, typst.Compiler] = self._local.__dict__.setdefault("compilers", {})
        if template not in kept:
            kept[template] = typst.Compiler(  # type: ignore[misc]  # its stub leaves it open
                str(HERE / template), font_paths=[HERE / "fonts"], ignore_system_fonts=True
            )
        return kept[template]

    def print_card(self, card: TargetCard) -> bytes:
        """Set a target card: A6, a page for each person, each with a code that holds its numbers as text."""
        made = self._compiler("card.typ").compile(sys_inputs=card_inputs(card))
        if not isinstance(made, bytes):
            raise TypeError("the press gave no single document")
        return made

    def print(self, paper: ClientPaper | WorkplacePaper) -> bytes:
        """Set a paper.

        Parameters
        ----------
        paper : ClientPaper or WorkplacePaper
            As the report service makes it.

        Returns
        -------
        bytes
            A tagged PDF.

        """
        inputs = {
            "content": paper.model_dump_json(
                exclude={
                    "scene": True,
                    "workplace": True,
                    "places": {"__all__": {"scene"}},
                    "day": {"scene"},
                    "movements": {"__all__": {"scenes"}},
                }
            ),
            "figure": scene_svg(asdict(paper.scene)) if paper.scene else "",
            "day": "",
            "movements": "[]",
        }
        if isinstance(paper, ClientPaper):
            bar = paper.day.scene if paper.day is not None else None
            inputs["day"] = scene_svg(asdict(bar)) if bar is not None else ""
            drawn = [[scene_svg(asdict(one)) for one in each.scenes] for each in paper.movements]
            inputs["movements"] = json.dumps(drawn)
        made = self._compiler().compile(sys_inputs=inputs)
        if not isinstance(made, bytes):
            raise TypeError("the press gave no single document")
        return made


def card_inputs(card: TargetCard) -> dict[str, str]:
    """Return what the card's template is given."""
    return {
        "content": card.model_dump_json(exclude={"people": {"__all__": {"scene"}}}),
        "drawn": json.dumps([scene_svg(asdict(one.scene)) for one in card.people]),
        "codes": json.dumps([code_svg(one.code) for one in card.people]),
    }
