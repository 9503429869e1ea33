"""The blocks that a paper is laid out in, one after the other."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from ..paper_models import PaperPhoto
from ..said import Said

Mark = Literal["strong", "italic", "soft", "small", "fine", "tick"]
"""How a run of text is set. ``tick`` is an empty box; ``small`` and ``fine`` are two sizes below the text."""
Frame = Literal["", "boxed", "barred", "tinted"]
"""What surrounds a group: nothing, a line all round, a line on the left, a ground."""


class _Part(BaseModel):
    model_config = ConfigDict(extra="forbid", frozen=True)


class Run(_Part):
    """Text set in one way; a line feed begins a new line."""

    text: Said
    marks: list[Mark] = Field(default_factory=list)


class Heading(_Part):
    """A heading: level 2 for a section, 3 within one. The paper's title is level 1."""

    kind: Literal["heading"] = "heading"
    level: Literal[2, 3]
    text: Said


class Text(_Part):
    """A paragraph."""

    kind: Literal["text"] = "text"
    runs: list[Run]


class Items(_Part):
    """A list, with numbers where the order matters."""

    kind: Literal["items"] = "items"
    numbered: bool = False
    items: list[list[Run]]


class Column(_Part):
    """A column of a table.

    ``share`` is its part of the width that is left over, 0 for as wide as what stands in it.
    """

    title: Said
    align: Literal["left", "right", "center"] = "left"
    share: float = 0.0


class Table(_Part):
    """A table: the rows hold a cell for each column, the first names the row.

    ``close``: less room between the rows.
    """

    kind: Literal["table"] = "table"
    columns: list[Column]
    rows: list[list[list[Run]]]
    close: bool = False


class Drawing(_Part):
    """A drawing of the paper: ``of`` is its path in the paper, such as ``day.scene`` or ``movements.0.scenes.1``."""

    kind: Literal["drawing"] = "drawing"
    of: Said
    alt: Said
    caption: Said = ""


class Photographs(_Part):
    """Photographs side by side under a heading; none where the copy is printed without them."""

    kind: Literal["photographs"] = "photographs"
    title: Said = ""
    photos: list[PaperPhoto]


class ToFillIn(_Part):
    """Lines to be written on, each with what goes there."""

    kind: Literal["to_fill_in"] = "to_fill_in"
    labels: list[Said]


class Group(_Part):
    """What is not divided between two pages. ``drawings`` stand to the left of it."""

    kind: Literal["group"] = "group"
    frame: Frame = ""
    drawings: list[Drawing] = Field(default_factory=list)
    blocks: list[Block]


Block = Annotated[
    Heading | Text | Items | Table | Drawing | Photographs | ToFillIn | Group,
    Field(discriminator="kind"),
]
Group.model_rebuild()


class PaperLayout(_Part):
    """A paper as it is read: title, what it is about, and its blocks.

    Letterhead and signature are the paper's own; the page and the PDF set them each in their way.
    """

    title: Said
    about: Said
    blocks: list[Block]


def drawings_in(blocks: Sequence[Block]) -> Iterator[Drawing]:
    """Yield every drawing, with those beside a group."""
    for block in blocks:
        if isinstance(block, Drawing):
            yield block
        elif isinstance(block, Group):
            yield from block.drawings
            yield from drawings_in(block.blocks)
