"""Regions of the body for discomfort: our own map, front and back.

Each region is an ellipse on a figure 200 wide and 440 high (x to the viewer's right, y down from
the crown), turned by ``turn`` degrees; left and right are the client's own. ``load`` names the
region that strain minutes are added up under.
"""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import Literal

from ..choices import Choice
from ..language import Words, lowered, msg
from ..tables import TableError, csv_table, entry

View = Literal["front", "back"]

MAP_W, MAP_H = 200.0, 440.0
"""Size of the figure the regions are placed on. Source: house-map."""
STRONGEST = 10
"""Upper end of the strength, 0 is none. Source: house-map."""


class DiscomfortOften(Choice):
    """How often discomfort is there."""

    NOW_AND_THEN = "now_and_then", msg("Now and then")
    MOST_DAYS = "most_days", msg("Most days")
    EVERY_DAY = "every_day", msg("Every day")
    ALWAYS = "always", msg("All the time")


class DiscomfortKind(Choice):
    """What discomfort is like."""

    ACHE = "ache", msg("Dull ache")
    STIFF = "stiff", msg("Stiffness")
    SHARP = "sharp", msg("Sharp")
    BURNING = "burning", msg("Burning")
    SHOOTING = "shooting", msg("Shooting")
    TINGLING = "tingling", msg("Tingling or numb")


@dataclass(frozen=True, kw_only=True)
class Region:
    """One region: middle, half width and half height on the map, in its units; ``turn`` in degrees, clockwise."""

    id: str
    view: View
    label: Words
    x: float
    y: float
    w: float
    h: float
    turn: float = 0.0
    load: str = ""


def _regions(line: dict[str, str]) -> tuple[Region, ...]:
    """Return what a line of the table stands for: one region, or the same on both sides.

    A line for both gives x of the client's right seen from the front, and of the left seen from behind, where the
    client's left is on the viewer's left.
    """
    place = f"regions.csv: {line['id']}"
    cells = {name: cell for name, cell in line.items() if name != "sides"}
    region = entry(Region, cells, place, {float: float})
    if line["sides"] == "one":
        return (region,)
    if line["sides"] != "both":
        raise TableError(f"{place}: sides is one or both")
    other = replace(region, x=MAP_W - region.x, turn=-region.turn)
    right, left = (region, other) if region.view == "front" else (other, region)
    label = lowered(region.label)
    return (
        replace(right, id=f"{region.id}_right", label=msg("Right {label}", label=label)),
        replace(left, id=f"{region.id}_left", label=msg("Left {label}", label=label)),
    )


REGIONS: dict[str, Region] = {
    region.id: region for line in csv_table(__package__, "regions.csv") for region in _regions(line)
}
"""All regions, by identifier. Source: house-map."""
