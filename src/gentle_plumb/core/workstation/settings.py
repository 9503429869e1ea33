"""How a workstation is set for one posture: as found, as aimed at, or as left."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True, kw_only=True)
class Settings:
    """Heights from the floor, distances and offsets in mm; tilt in degrees; None is unknown.

    ``armrest`` and ``lumbar`` count from the loaded seat; ``mouse`` from the midline of the body;
    ``distance`` from the eye to the picture; ``footrest`` 0 means none is needed or there; ``slope`` is the
    keys' slope, back edge up positive, degrees.
    """

    seat: float | None = None
    footrest: float | None = None
    seat_depth: float | None = None
    lumbar: float | None = None
    armrest: float | None = None
    surface: float | None = None
    keys: float | None = None
    mouse: float | None = None
    screen_top: float | None = None
    distance: float | None = None
    tilt: float | None = None
    slope: float | None = None
    desk_depth: float | None = None

    def get(self, key: str) -> float | None:
        """The setting of this key; None where it is unknown, or no setting of its own."""
        value: float | None = getattr(self, key, None)
        return value
