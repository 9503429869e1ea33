"""The report as PDF, set by Typst from a template of its own: tagged, with its own fonts."""

from __future__ import annotations

import json
from pathlib import Path
from typing import Any

import typst

from .scene_svg import scene_svg

HERE = Path(__file__).parent


class TypstPress:
    """The Press port. Reads the template once; every call is independent of the others."""

    def __init__(self) -> None:
        self._template = (HERE / "report.typ").read_bytes()
        self._fonts = [HERE / "fonts"]

    def print(self, content: dict[str, Any]) -> bytes:
        """Set a report's content.

        Parameters
        ----------
        content : dict
            As the report service makes it.

        Returns
        -------
        bytes
            A tagged PDF.

        """
        words = {key: value for key, value in content.items() if key != "scene"}
        inputs = {
            "content": json.dumps(words, ensure_ascii=False),
            "figure": scene_svg(content["scene"]),
        }
        made = typst.compile(  # type: ignore[misc, unused-ignore]  # its stub leaves the input open
            self._template, sys_inputs=inputs, font_paths=self._fonts, ignore_system_fonts=True
        )
        if not isinstance(made, bytes):
            raise TypeError("the press gave no single document")
        return made
