"""Where everything stands on the sheet: figures outside, the staff between, flags on lanes of their own.

::

    both        outer | seated figure and desk | flags | staff | flags | desk and standing figure | outer
    seated      outer | figure and desk | flags | staff
    overlay     outer | both figures | flags | staff | flags

Nothing is drawn on a lane but its flags: the scale gives way, never what the flags would cover.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from .marks import Sheet
from .staff import RULE_STEP, STAFF_W

TOP_PX, RULE_PX = 26.0, 3 * RULE_STEP + 8
HEADROOM_MM = 70.0
SEATED_ALONE_MM = 1900.0
"""Room over the drawing and under its floor, px; over the highest thing; and the height given to a seated
figure alone, so that the plan has its place over it, mm."""
ROOMY_PX = 1000.0
FLAG_W, LANE = 114.0, 26.0
NARROW_FLAG_W, NARROW_LANE = 99.0, 13.0
CLEAR_PX, MARGIN_PX = 6.0, 8.0
"""From this width on flags and their leaders have all their room; widths of both; least room between a lane
and what stands beside it, and at the edges, px."""

Extent = tuple[float, float]
"""How far a figure with its furniture reaches back and forward of its origin, mm."""


@dataclass(frozen=True, kw_only=True)
class Layout:
    """Scale, floor line and staff in px, and a sheet for each posture that is drawn."""

    scale: float
    y0: float
    staff_left: float
    flag_w: float
    lane: float
    sheets: Mapping[str, Sheet]

    def staff_edge(self, side: int) -> float:
        """The staff's left edge for ``side`` 1, its right one for -1, px."""
        return self.staff_left if side == 1 else self.staff_left + STAFF_W

    @property
    def flags_wide(self) -> float:
        """What a side's flags take beside the staff, px."""
        return self.flag_w + self.lane


def lay_out(
    extents: Mapping[str, Extent],
    *,
    width: float,
    height: float,
    mode: str,
    tallest: float,
    outer: Mapping[str, float],
) -> Layout:
    """Place figures and staff.

    Parameters
    ----------
    extents : mapping
        Of each posture that is drawn, by name, mm.
    width, height : float
        The sheet, px.
    mode : {"both", "seated", "standing", "overlay"}
    tallest : float
        Height to be shown, mm.
    outer : mapping
        Room that each posture needs behind it for what is written there, px.

    """
    y0 = height - RULE_PX
    roomy = width >= ROOMY_PX or mode in ("seated", "standing")
    flag_w, lane = (FLAG_W, LANE) if roomy and width >= 620 else (NARROW_FLAG_W, NARROW_LANE)
    beside = flag_w + lane + CLEAR_PX
    lanes = 1 if mode in ("seated", "standing") else 2
    merged = (
        [
            (
                min(extent[0] for extent in extents.values()),
                max(extent[1] for extent in extents.values()),
            )
        ]
        if mode == "overlay"
        else list(extents.values())
    )
    spans = [high - low for low, high in merged]
    edges = {name: max(MARGIN_PX, room) for name, room in outer.items()}
    margins = max(edges.values()) + MARGIN_PX if mode != "both" else sum(edges.values())
    free = width - STAFF_W - lanes * beside - margins
    up = y0 - TOP_PX
    scale = min(up / (tallest + HEADROOM_MM), free / sum(spans))
    slack = (free - scale * sum(spans)) / (2 * len(spans))

    def sheet(x0: float, facing: int = 1) -> Sheet:
        return Sheet(x0=x0, y0=y0, scale=scale, facing=facing)

    if mode == "standing":
        _, high = extents["standing"]
        staff_left = MARGIN_PX
        x0 = staff_left + STAFF_W + beside + slack + scale * high
        sheets = {"standing": sheet(x0, -1)}
    elif mode == "both":
        start = edges["seated"] + slack
        staff_left = start + scale * spans[0] + slack + beside
        end = staff_left + STAFF_W + beside + slack + scale * extents["standing"][1]
        sheets = {"seated": sheet(start - scale * extents["seated"][0]), "standing": sheet(end, -1)}
    else:
        start = max(edges.values()) + slack
        staff_left = start + scale * spans[0] + slack + beside
        sheets = {name: sheet(start - scale * merged[0][0]) for name in extents}
    return Layout(
        scale=scale, y0=y0, staff_left=staff_left, flag_w=flag_w, lane=lane, sheets=sheets
    )
