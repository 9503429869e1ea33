"""The report as PDF, set by Typst from a template of its own: tagged, with its own fonts."""

from __future__ import annotations

import json
import threading
from pathlib import Path
from typing import Any

import typst

from .scene_svg import scene_svg

HERE = Path(__file__).parent


class TypstPdfRenderer:
    """The Press port. Each thread keeps a compiler, which has read template and fonts."""

    def __init__(self) -> None:
        self._local = threading.local()

    def _compiler(self) -> typst.Compiler:
        compiler: typst.Compiler | None = getattr(self._local, "compiler", None)
        if compiler is None:
            compiler = self._local.compiler = typst.Compiler(  # type: ignore[misc]  # its stub leaves it open
                str(HERE / "report.typ"), font_paths=[HERE / "fonts"], ignore_system_fonts=True
            )
        return compiler

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
            "figure": scene_svg(content["scene"]) if content["scene"] else "",
        }
        made = self._compiler().compile(sys_inputs=inputs)
        if not isinstance(made, bytes):
            raise TypeError("the press gave no single document")
        return made
