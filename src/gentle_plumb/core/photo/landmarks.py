"""Points placed on a photograph.

``depth`` is how far a landmark usually lies from the body's middle plane towards a camera at the
side, mm: what a turned or near camera shifts. Source: house-depths, about half the breadths of
the table.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..language import Words, joined, msg
from ..tables import csv_table, entry

View = Literal["side", "rear"]
Taken = Literal["before", "after"]
VIEWS: dict[View, str] = {"side": msg("From the side"), "rear": msg("From behind")}


@dataclass(frozen=True, kw_only=True)
class Landmark:
    """One point: what it is called, where it is put, in which views it is asked; ``depth`` towards the camera, mm."""

    id: str
    label: Words
    where: Words
    views: tuple[View, ...] = ("side",)
    depth: float = 0.0


def _views(cell: str) -> tuple[str, ...]:
    """Return the views named in a cell, with spaces between them; raises ValueError for another one."""
    views = tuple(cell.split())
    if not set(views) <= VIEWS.keys():
        raise ValueError(msg("the views are {views}", views=joined(", ", VIEWS)))
    return views


LANDMARKS: dict[str, Landmark] = {
    line["id"]: entry(
        Landmark, line, f"landmarks.csv: {line['id']}", {"views": _views, float: float}
    )
    for line in csv_table(__package__, "landmarks.csv")
}
"""In the order they are placed."""
