"""What was found beside the settings: drawn and judged by rules, not fitted."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal, get_args

ScreenUse = Literal["equal", "some", "rare"]
USES: tuple[ScreenUse, ...] = get_args(ScreenUse)
"""How much a side screen is looked at, the most first."""


@dataclass(frozen=True, kw_only=True)
class SideScreen:
    """A second or third screen; lengths in mm, ``bearing`` in degrees, left negative.

    ``use`` is how much it is looked at, ``place`` whether it stands beside or above the main one.
    """

    id: str = "screen2"
    kind: Literal["monitor", "laptop"] = "monitor"
    use: ScreenUse | None = None
    place: Literal["beside", "above"] = "beside"
    top: float | None = None
    distance: float | None = None
    bearing: float | None = None
    width: float | None = None
    height: float | None = None


@dataclass(frozen=True, kw_only=True)
class Details:
    """As found, lengths in mm, angles in degrees.

    ``keys_edge`` from the desk's edge to the home row, ``backrest`` from level, ``underside`` from
    the floor to the lowest part over the thighs, ``armrest_gap`` between the armrests, ``bearing``
    of the main screen, ``scale`` its display scale in per cent.
    """

    keys_edge: float | None = None
    backrest: float | None = None
    underside: float | None = None
    armrest_gap: float | None = None
    bearing: float | None = None
    scale: float | None = None
    side_screens: tuple[SideScreen, ...] = ()
