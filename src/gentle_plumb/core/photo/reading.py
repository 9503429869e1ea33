r"""From points on a photograph to measures, each with the error of a pixel and of the camera.

The camera is a pinhole whose axis meets the middle of the picture. A landmark at depth ``z``
from the scale's plane is seen larger by ``D / (D - z)`` from a camera at distance ``D``; a camera
turned by ``a`` about the plumb line sees a point ``x`` forward of its axis nearer or further::

        camera            u, v  mm from the picture's middle in the scale's plane, y up
          |\  a           g = D / (D - z cos a + x sin a)
        D | \             u = (x cos a + z sin a) g
          |  \            v = y g
     -----+-------- client's middle plane, z towards the camera

which is solved for ``x`` and ``y``.
"""

from __future__ import annotations

from dataclasses import dataclass
from math import hypot
from typing import Literal

from ..language import joined, msg
from .landmarks import LANDMARKS
from .measures import MEASURES, Measure
from .photo import (
    PIXEL,
    ROUGH_HEIGHT_MM,
    SLIP_DEG,
    USUAL_MM,
    Camera,
    Photo,
    camera_of,
    facing_of,
    scale_of,
    tip_of,
    with_point_moved,
)
from .warnings import Warn, warnings_of


@dataclass(frozen=True, kw_only=True)
class Reading:
    """One measure of a photograph; ``value`` None with the reason where it can't be read.

    ``pixel_error`` is what every point a pixel off in the worst direction would make,
    ``slip_error`` what a camera turned by 5 degrees would, in the measure's unit.
    """

    id: str
    label: str
    unit: Literal["mm", "deg"]
    joint: str
    value: float | None
    pixel_error: float = 0.0
    slip_error: float = 0.0
    reason: str | None = None

    @property
    def error(self) -> float:
        """Both errors together."""
        return self.pixel_error + self.slip_error


@dataclass(frozen=True, kw_only=True)
class PhotoReading:
    """Everything read from a photograph. ``facing`` 1 where the client looks to the right."""

    photo: Photo
    mm_per_px: float | None
    camera_mm: float | None
    facing: int | None
    readings: tuple[Reading, ...]
    warnings: tuple[Warn, ...]

    def get(self, id: str) -> Reading | None:
        """The reading of this name, where there is a value."""
        return next(
            (
                reading
                for reading in self.readings
                if reading.id == id and reading.value is not None
            ),
            None,
        )


def _apart(measure: Measure, value: float, other: float) -> float:
    """How far two values of a measure are apart; angles the short way round."""
    gap = abs(value - other)
    return min(gap, 360.0 - gap) if measure.unit == "deg" else gap


def _read(photo: Photo, measure: Measure, facing: int, distance: float | None) -> Reading:
    def bare(reason: str) -> Reading:
        return Reading(
            id=measure.id,
            label=measure.label,
            unit=measure.unit,
            joint=measure.joint,
            value=None,
            reason=reason,
        )

    missing = [LANDMARKS[name].label.lower() for name in measure.points if name not in photo.points]
    if missing:
        return bare(msg("Not placed: {missing}.", missing=joined(", ", missing)))
    if measure.unit == "mm" and scale_of(photo) is None:
        return bare(msg("No scale: mark both ends of a known length."))
    eye = Camera(photo, facing=facing, distance=distance)
    all_values = eye.all(photo, measure.points)
    value = measure.read(all_values)
    pixel = 0.0
    for name in measure.points:
        x, y = photo.points[name]
        pixel += hypot(
            *(
                _apart(measure, value, measure.read({**all_values, name: eye.at(name, moved)}))
                for moved in ((x + PIXEL, y), (x, y + PIXEL))
            )
        )
    upright = [
        name for name in ("upright_a", "upright_b") if name in photo.points and measure.plumb
    ]
    for name in (*upright, *(("scale_a", "scale_b") if measure.unit == "mm" else ())):
        other = (
            Camera(with_point_moved(photo, name, dx, dy), facing=facing, distance=distance)
            for dx, dy in ((PIXEL, 0.0), (0.0, PIXEL))
        )
        pixel += hypot(
            *(
                _apart(measure, value, measure.read(camera.all(photo, measure.points)))
                for camera in other
            )
        )
    tips = (0.0,) if tip_of(photo) is not None or not measure.plumb else (-SLIP_DEG, SLIP_DEG)
    slip = max(
        _apart(
            measure,
            value,
            measure.read(
                Camera(
                    photo,
                    facing=facing,
                    turned_deg=turned,
                    tipped_deg=tipped,
                    distance=distance if distance is not None else USUAL_MM,
                    mm_per_px=ROUGH_HEIGHT_MM / photo.height,
                ).all(photo, measure.points)
            ),
        )
        for turned in (-SLIP_DEG, SLIP_DEG)
        for tipped in tips
    )
    return Reading(
        id=measure.id,
        label=measure.label,
        unit=measure.unit,
        joint=measure.joint,
        value=value,
        pixel_error=pixel,
        slip_error=slip,
    )


def read_photo(photo: Photo) -> PhotoReading:
    """Read everything the points allow.

    Parameters
    ----------
    photo : Photo

    Returns
    -------
    PhotoReading
        A reading for each measure of the view; what misses a point says which.

    """
    scale, facing = scale_of(photo), facing_of(photo)
    distance = camera_of(photo, scale)
    chosen = [
        measure
        for measure in MEASURES
        if measure.view == photo.view and (photo.posture == "standing" or not measure.standing_only)
    ]
    if facing is None:
        readings = tuple(
            Reading(
                id=measure.id,
                label=measure.label,
                unit=measure.unit,
                joint=measure.joint,
                value=None,
                reason=msg("Direction of view unknown: mark eye and ear."),
            )
            for measure in chosen
        )
    else:
        readings = tuple(_read(photo, measure, facing, distance) for measure in chosen)
    return PhotoReading(
        photo=photo,
        mm_per_px=scale,
        camera_mm=distance,
        facing=facing,
        readings=readings,
        warnings=warnings_of(photo, facing, distance),
    )
