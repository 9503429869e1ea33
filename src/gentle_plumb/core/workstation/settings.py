"""How a workstation is set for one posture: as found, as aimed at, or as left."""

from __future__ import annotations

from dataclasses import dataclass

from ..changed import changed


@dataclass(frozen=True, kw_only=True)
class Settings:
    """Heights from the floor, distances and offsets in mm; tilt in degrees; None is unknown.

    One field for each quantity, by its key and from its datum: see
    :mod:`gentle_plumb.core.catalogue`. ``footrest`` 0 means that none is needed or there,
    ``armrest`` 0 that they are off, or out of the way.
    """

    seat: float | None = None
    footrest: float | None = None
    seat_slope: float | None = None
    seat_depth: float | None = None
    lumbar: float | None = None
    armrest: float | None = None
    armrest_gap: float | None = None
    surface: float | None = None
    keys: float | None = None
    mouse: float | None = None
    screen_top: float | None = None
    distance: float | None = None
    tilt: float | None = None
    slope: float | None = None
    desk_depth: float | None = None
    backrest: float | None = None
    keys_edge: float | None = None
    keys_midline: float | None = None
    mouse_forward: float | None = None
    scale: float | None = None
    screen_bearing: float | None = None
    screen2_bearing: float | None = None
    screen2_distance: float | None = None
    screen2_top: float | None = None
    screen3_bearing: float | None = None
    screen3_distance: float | None = None
    screen3_top: float | None = None

    def over(self, other: Settings) -> Settings:
        """Return these settings with those of ``other`` that are known in their place."""
        known = {name: value for name, value in vars(other).items() if value is not None}
        return changed(self, **known) if known else self

    def of_screen(self, id: str) -> tuple[float | None, float | None, float | None]:
        """Top, distance and bearing of a second or third screen; None where unknown."""
        return self.get(f"{id}_top"), self.get(f"{id}_distance"), self.get(f"{id}_bearing")

    def get(self, key: str) -> float | None:
        """The setting of this key; None where it is unknown, or no setting of its own."""
        value: float | None = getattr(self, key, None)
        return value
