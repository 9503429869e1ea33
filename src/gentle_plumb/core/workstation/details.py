"""What stands there beside what is set: further screens, and what is under the desk."""

from __future__ import annotations

from dataclasses import dataclass

from .kinds import ScreenKind, ScreenPlace, ScreenUse


@dataclass(frozen=True, kw_only=True)
class SideScreen:
    """A second or third screen; its picture in mm. Where it stands is in the settings.

    ``use`` is how much it is looked at, ``place`` whether it stands beside or above the main one.
    """

    id: str = "screen2"
    kind: ScreenKind = ScreenKind.MONITOR
    use: ScreenUse | None = None
    place: ScreenPlace = ScreenPlace.BESIDE
    width: float | None = None
    height: float | None = None


@dataclass(frozen=True, kw_only=True)
class Details:
    """As found, mm.

    ``underside`` from the floor to the lowest part over the thighs, ``armrest_gap`` between the
    armrests.
    """

    underside: float | None = None
    armrest_gap: float | None = None
    side_screens: tuple[SideScreen, ...] = ()
