"""A photograph with its points, and what scale, upright and camera tell of it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field, replace
from math import atan2, cos, degrees, hypot, radians, sin, tan
from typing import Literal

from .landmarks import LANDMARKS, View
from .measures import Point

SLIP_DEG = 5.0
"""The camera's slip that errors are stated for, degrees. Source: house-camera."""

PIXEL = 1.0
"""The slip of a point that errors are stated for, px. Source: house-camera."""

ASKEW_DEG = 5.0
"""A camera turned or tipped further than this is warned about, degrees. Source: house-camera."""

MOST_TIP_DEG = 15.0
"""A vertical reference further from upright than this is no vertical, degrees. Source: house-camera."""

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

    @property
    def upright_lies(self) -> bool:
        """Whether what was marked as upright leans more than a camera is ever tilted."""
        lean = _lean(self)
        return lean is not None and abs(lean) > MOST_TIP_DEG


def scale_of(photo: Photo) -> float | None:
    """Millimetres per pixel in the client's plane, or None."""
    a, b = photo.points.get("scale_a"), photo.points.get("scale_b")
    if a is None or b is None or photo.known_mm is None:
        return None
    length = hypot(a[0] - b[0], a[1] - b[1])
    return photo.known_mm / length if length >= LEAST_SCALE_PX else None


def tip_of(photo: Photo) -> float | None:
    """How far plumb things lean in the picture, to the right positive, degrees.

    None where nothing upright is marked, or what is marked can't be upright.
    """
    return None if photo.upright_lies else _lean(photo)


def _lean(photo: Photo) -> float | None:
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


class Camera:
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


def with_point_moved(photo: Photo, name: str, dx: float, dy: float) -> Photo:
    """Return the photograph with one landmark shifted, px."""
    x, y = photo.points[name]
    return replace(photo, points={**photo.points, name: (x + dx, y + dy)})
