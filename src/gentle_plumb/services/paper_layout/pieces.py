"""Runs, paragraphs, frames and lists: what the blocks of a paper are put together from."""

from __future__ import annotations

from collections.abc import Iterable, Sequence

from ...core.language import joined, lowered
from .blocks import Block, Frame, Group, Heading, Items, Mark, Run, Text


def run(text: str, *marks: Mark) -> Run:
    """Return text set with these marks."""
    return Run(text=text, marks=list(marks))


def paragraph(*parts: str | Run) -> Text:
    """Return a paragraph of runs; plain texts are runs without a mark."""
    return Text(runs=runs(*parts))


def runs(*parts: str | Run) -> list[Run]:
    """Return the runs of what is not empty."""
    runs = [part if isinstance(part, Run) else Run(text=part) for part in parts]
    return [part for part in runs if part.text or part.marks]


def framed(frame: Frame, *parts: str | Run) -> Group:
    """Return one paragraph in a frame."""
    return Group(frame=frame, blocks=[paragraph(*parts)])


def section(title: str, *blocks: Block, level: int = 2) -> list[Block]:
    """Return a heading with its blocks; nothing where there are none."""
    return [Heading(level=3 if level == 3 else 2, text=title), *blocks] if blocks else []


def items(lines: Iterable[str | list[Run]]) -> list[Block]:
    """Return lines as a list; nothing where there are none."""
    listed = [[Run(text=line)] if isinstance(line, str) else line for line in lines if line]
    return [Items(items=listed)] if listed else []


def in_one_line(sentences: Sequence[str]) -> str:
    """Return sentences without a full stop as one."""
    return joined("; ", (lowered(text) for text in sentences))


def about(*parts: str) -> str:
    """Return what stands under a title."""
    return joined(" · ", (part for part in parts if part))
