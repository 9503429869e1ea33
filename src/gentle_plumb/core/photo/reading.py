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

from collections.abc import Mapping
from dataclasses import dataclass, field, replace
from functools import lru_cache
from math import asin, atan2, cos, degrees, hypot, radians, sin, tan
from typing import Any, Literal

from .landmarks import LANDMARKS, View
from .measures import MEASURES, Measure, Point

SLIP_DEG = 5.0
"""The camera's slip that errors are stated for, degrees. Source: house-camera."""
PIXEL = 1.0
"""The slip of a point that errors are stated for, px. Source: house-camera."""
ASKEW_DEG = 5.0
"""A camera turned or tipped further than this is warned about, degrees. Source: house-camera."""
NEAREST_MM = 2000.0
"""A camera nearer than this is warned about, mm. Source: house-camera."""
USUAL_MM = 3000.0
"""Distance the error is reckoned for where the camera's is not known, mm. Source: house-camera."""
ROUGH_HEIGHT_MM = 2000.0
"""What a picture's height is taken for in the error where it has no scale, mm. Source: house-camera."""
LEAST_SCALE_PX = 40.0
"""A known length shorter in the picture than this gives no scale, px. Source: house-camera."""


@dataclass(frozen=True, kw_only=True)
class Photo:
    """What is known of one photograph: points in px from its upper left corner.

    ``known_mm`` lies between ``scale_a`` and ``scale_b``; ``camera_mm`` from camera to client;
    ``fov_deg`` is the field of view across, where the camera told it.
    """

    id: str
    width: int
    height: int
    view: View = "side"
    posture: Literal["seated", "standing"] = "seated"
    when: Literal["before", "after"] = "before"
    points: Mapping[str, Point] = field(default_factory=dict)
    known_mm: float | None = None
    camera_mm: float | None = None
    fov_deg: float | None = None


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
class Warn:
    """Where the camera stood wrongly, or why that can't be told."""

    id: Literal["turned", "tipped", "near"]
    state: Literal["holds", "off", "not assessable"]
    text: str


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
        return next((one for one in self.readings if one.id == id and one.value is not None), None)


def scale_of(photo: Photo) -> float | None:
    """Millimetres per pixel in the client's plane, or None."""
    a, b = photo.points.get("scale_a"), photo.points.get("scale_b")
    if a is None or b is None or photo.known_mm is None:
        return None
    length = hypot(a[0] - b[0], a[1] - b[1])
    return photo.known_mm / length if length >= LEAST_SCALE_PX else None


def tip_of(photo: Photo) -> float | None:
    """How far plumb things lean in the picture, to the right positive, degrees; None unknown."""
    a, b = photo.points.get("upright_a"), photo.points.get("upright_b")
    if a is None or b is None or a == b:
        return None
    top, foot = (a, b) if a[1] < b[1] else (b, a)
    return degrees(atan2(top[0] - foot[0], foot[1] - top[1]))


def facing_of(photo: Photo) -> int | None:
    """1 where the client looks to the right of the picture, -1 to the left, None unknown."""
    if photo.view == "rear":
        return 1
    for front, back in (
        ("eye", "ear"),
        ("screen_top", "ear"),
        ("knee", "hip"),
        ("wrist", "shoulder"),
        ("ear", "c7"),
    ):
        a, b = photo.points.get(front), photo.points.get(back)
        if a is not None and b is not None and a[0] != b[0]:
            return 1 if a[0] > b[0] else -1
    return None


def camera_of(photo: Photo, scale: float | None) -> float | None:
    """Distance of the camera, mm: as said, else from its field of view and the scale."""
    if photo.camera_mm is not None:
        return photo.camera_mm
    if photo.fov_deg is None or scale is None:
        return None
    return photo.width * scale / 2 / tan(radians(photo.fov_deg) / 2)


class _Eye:
    """A camera looked back through: from the picture to the client's plane."""

    def __init__(
        self,
        photo: Photo,
        *,
        facing: int,
        turned_deg: float = 0.0,
        tipped_deg: float = 0.0,
        distance: float | None = None,
        mm_per_px: float | None = None,
    ) -> None:
        scale = scale_of(photo)
        known = scale if scale is not None else mm_per_px
        tip = radians((tip_of(photo) or 0.0) + tipped_deg)
        self._mm = known or 1.0
        self._middle = (photo.width / 2, photo.height / 2)
        self._c, self._s = cos(tip), sin(tip)
        self._ct, self._st = cos(radians(turned_deg)), sin(radians(turned_deg))
        self._deep = photo.view == "side" and known is not None
        self._distance = distance if known is not None else None
        self._facing, self._grow = facing, 1.0
        if scale is not None and photo.known_mm is not None and turned_deg:
            a, b = (self.at(name, photo.points[name]) for name in ("scale_a", "scale_b"))
            self._grow = photo.known_mm / hypot(a[0] - b[0], a[1] - b[1])

    def at(self, name: str, point: Point) -> Point:
        """Where a landmark is, mm (px where there is no scale), x forward, y up."""
        right, up = point[0] - self._middle[0], self._middle[1] - point[1]
        u = (right * self._c - up * self._s) * self._mm
        v = (right * self._s + up * self._c) * self._mm
        z = LANDMARKS[name].depth if self._deep else 0.0
        far = self._distance
        if far is None:
            x, y = (u - z * self._st) / self._ct, v
        else:
            near = far - z * self._ct
            x = (u * near - far * z * self._st) / (far * self._ct - u * self._st)
            y = v * (near + x * self._st) / far
        return self._facing * x * self._grow, y * self._grow

    def all(self, photo: Photo, names: tuple[str, ...]) -> dict[str, Point]:
        """Several landmarks of a photograph."""
        return {name: self.at(name, photo.points[name]) for name in names}


def _moved(photo: Photo, name: str, dx: float, dy: float) -> Photo:
    x, y = photo.points[name]
    return replace(photo, points={**photo.points, name: (x + dx, y + dy)})


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
        return bare(f"Not placed: {', '.join(missing)}.")
    if measure.unit == "mm" and scale_of(photo) is None:
        return bare("No scale: mark both ends of a known length.")
    eye = _Eye(photo, facing=facing, distance=distance)
    at = eye.all(photo, measure.points)
    value = measure.read(at)
    pixel = 0.0
    for name in measure.points:
        x, y = photo.points[name]
        pixel += hypot(
            *(
                _apart(measure, value, measure.read({**at, name: eye.at(name, moved)}))
                for moved in ((x + PIXEL, y), (x, y + PIXEL))
            )
        )
    upright = [
        name for name in ("upright_a", "upright_b") if name in photo.points and measure.plumb
    ]
    for name in (*upright, *(("scale_a", "scale_b") if measure.unit == "mm" else ())):
        other = (
            _Eye(_moved(photo, name, dx, dy), facing=facing, distance=distance)
            for dx, dy in ((PIXEL, 0.0), (0.0, PIXEL))
        )
        pixel += hypot(
            *(_apart(measure, value, measure.read(one.all(photo, measure.points))) for one in other)
        )
    tips = (0.0,) if tip_of(photo) is not None or not measure.plumb else (-SLIP_DEG, SLIP_DEG)
    slip = max(
        _apart(
            measure,
            value,
            measure.read(
                _Eye(
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


def _warnings(photo: Photo, facing: int | None, distance: float | None) -> tuple[Warn, ...]:
    tip, turned = tip_of(photo), None
    if (
        photo.view == "side"
        and facing is not None
        and {"shoulder", "other_shoulder"} <= set(photo.points)
        and distance is not None
        and scale_of(photo) is not None
    ):
        eye = _Eye(photo, facing=1, distance=distance)
        at = eye.all(photo, ("shoulder", "other_shoulder"))
        across = LANDMARKS["shoulder"].depth - LANDMARKS["other_shoulder"].depth
        share = (at["shoulder"][0] - at["other_shoulder"][0]) / across
        turned = degrees(asin(max(-1.0, min(1.0, share))))
    found = []
    if tip is None:
        found.append(
            Warn(
                id="tipped",
                state="not assessable",
                text="Camera tilt unknown: mark the vertical reference.",
            )
        )
    elif abs(tip) > ASKEW_DEG:
        found.append(
            Warn(
                id="tipped",
                state="off",
                text=f"The camera was tipped by {abs(tip):.0f}°. "
                "It is taken back here; take the picture again if you can.",
            )
        )
    else:
        found.append(
            Warn(id="tipped", state="holds", text=f"Camera upright within {abs(tip):.1f}°.")
        )
    if photo.view == "rear":
        return tuple(found)
    if turned is None:
        found.append(
            Warn(
                id="turned",
                state="not assessable",
                text="Whether the camera stood "
                "Camera angle unknown: mark both shoulders and the scale, and enter the camera distance.",
            )
        )
    elif abs(turned) > ASKEW_DEG:
        found.append(
            Warn(
                id="turned",
                state="off",
                text=f"The camera stood askew by about "
                f"{abs(turned):.0f}°: the errors below are greater than stated.",
            )
        )
    else:
        found.append(
            Warn(
                id="turned",
                state="holds",
                text=f"Camera square to the client within {abs(turned):.1f}°.",
            )
        )
    if distance is None:
        found.append(
            Warn(id="near", state="not assessable", text="Camera distance unknown: enter it.")
        )
    elif distance < NEAREST_MM:
        found.append(
            Warn(
                id="near",
                state="off",
                text=f"The camera was only {distance / 1000:.1f} m "
                "away: near parts look too large. Step back to about 3 m.",
            )
        )
    else:
        found.append(Warn(id="near", state="holds", text=f"Camera {distance / 1000:.1f} m away."))
    return tuple(found)


def read_photo(photo: Photo) -> PhotoReading:
    """Read everything the points allow.

    The same photograph is read once: what was read lately is remembered.

    Parameters
    ----------
    photo : Photo

    Returns
    -------
    PhotoReading
        A reading for each measure of the view; what misses a point says which.

    """
    said = (
        photo.id,
        photo.width,
        photo.height,
        photo.view,
        photo.posture,
        photo.when,
        photo.known_mm,
        photo.camera_mm,
        photo.fov_deg,
    )
    return _read_once(said, tuple(photo.points.items()))


@lru_cache(maxsize=512)
def _read_once(said: tuple[Any, ...], points: tuple[tuple[str, Point], ...]) -> PhotoReading:
    id, width, height, view, posture, when, known, camera, fov = said
    photo = Photo(
        id=id,
        width=width,
        height=height,
        view=view,
        posture=posture,
        when=when,
        known_mm=known,
        camera_mm=camera,
        fov_deg=fov,
        points=dict(points),
    )
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
                id=one.id,
                label=one.label,
                unit=one.unit,
                joint=one.joint,
                value=None,
                reason="Direction of view unknown: mark eye and ear.",
            )
            for one in chosen
        )
    else:
        readings = tuple(_read(photo, one, facing, distance) for one in chosen)
    return PhotoReading(
        photo=photo,
        mm_per_px=scale,
        camera_mm=distance,
        facing=facing,
        readings=readings,
        warnings=_warnings(photo, facing, distance),
    )
