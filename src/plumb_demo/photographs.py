"""Photographs of nobody: drawings of a made-up person at known joint angles, by a pinhole camera.

The camera may stand askew, tipped or near; where each landmark fell in the picture is known to a
fraction of a pixel, so that what is read from the picture can be held against what was drawn.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from io import BytesIO
from math import atan, cos, degrees, radians, sin, tan

from PIL import ExifTags, Image, ImageDraw

from gentle_plumb.core.photo import LANDMARKS

Point = tuple[float, float]
Solid = tuple[float, float, float]
"""A point in mm: forward (or right), up, towards the camera."""

STAFF_MM = 1000.0
"""The known length in every picture: a staff of one metre, upright in the client's plane."""
FILM_MM = 36.0
FOCAL_MM = 35
WIDTH, HEIGHT = 1600, 1200
WALL, FLOOR, LINE = "#e9e2d4", "#cfc4b0", "#4b463e"
SKIN, SHIRT, TROUSERS, SHOE = "#d9b99a", "#7d95a6", "#5c6672", "#3a3733"
WOOD, METAL, SCREEN = "#b7905f", "#8d8a84", "#2b3238"


@dataclass(frozen=True, kw_only=True)
class Angles:
    """Joint angles in the signs of the measures, degrees; ``upper_arm`` forward from plumb."""

    neck: float = 20.0
    trunk: float = -5.0
    upper_arm: float = 5.0
    elbow: float = 95.0
    wrist: float = 5.0
    hip: float = 98.0
    knee: float = 92.0
    gaze_top: float = -5.0
    gaze_bottom: float = -28.0


@dataclass(frozen=True, kw_only=True)
class Rear:
    """What is seen from behind: lines lower on the right and arms outwards, degrees; lean in mm."""

    shoulder_line: float = 0.0
    hip_line: float = 0.0
    lean: float = 0.0
    arm_left: float = 8.0
    arm_right: float = 8.0


@dataclass(frozen=True, kw_only=True)
class Camera:
    """Where the camera stands: distance and height in mm, turned and tipped in degrees."""

    distance: float = 3000.0
    height: float = 660.0
    turned: float = 0.0
    tipped: float = 0.0

    @property
    def mm_per_px(self) -> float:
        """Millimetres a pixel in the client's plane."""
        return self.distance * FILM_MM / FOCAL_MM / WIDTH

    def sees(self, point: Solid) -> Point:
        """Where a point falls in the picture, px from its upper left corner."""
        x, y, z = point
        a, t = radians(self.turned), radians(self.tipped)
        across, near = x * cos(a) + z * sin(a), self.distance - (z * cos(a) - x * sin(a))
        grow = self.distance / near / self.mm_per_px
        u, v = across * grow, (y - self.height) * grow
        return (WIDTH / 2 + u * cos(t) + v * sin(t), HEIGHT / 2 - (v * cos(t) - u * sin(t)))


@dataclass(frozen=True, kw_only=True)
class Photograph:
    """A picture as a camera would give it, and where its landmarks fell, px."""

    jpeg: bytes
    points: Mapping[str, Point]

    def typed(self) -> dict[str, str]:
        """The points as they are typed into the record."""
        return {name: f"{x:.1f} {y:.1f}" for name, (x, y) in self.points.items()}


def _go(start: Point, length: float, towards: float) -> Point:
    """From a point so far in a direction, degrees counter-clockwise from forward."""
    return (start[0] + length * cos(radians(towards)), start[1] + length * sin(radians(towards)))


def side_joints(angles: Angles, *, standing: bool = False) -> dict[str, Point]:
    """Landmarks in the middle plane at these angles, mm, the feet on the floor."""
    hip = (0.0, 0.0)
    shoulder = _go(hip, 470, 90 - angles.trunk)
    c7 = (shoulder[0] - 45, shoulder[1] + 75)
    ear = _go(c7, 130, 90 - angles.neck)
    eye = (ear[0] + 78, ear[1] + 18)
    elbow = _go(shoulder, 290, -90 + angles.upper_arm)
    forearm = 90 + angles.upper_arm - angles.elbow
    wrist = _go(elbow, 245, forearm)
    knuckle = _go(wrist, 88, forearm + angles.wrist)
    thigh = -90.0 if standing else 90 - angles.trunk - angles.hip
    knee = _go(hip, 430, thigh)
    ankle = _go(knee, 400, thigh + 180 + (180 if standing else angles.knee))
    ahead = 560.0
    joints = {
        "eye": eye,
        "ear": ear,
        "c7": c7,
        "shoulder": shoulder,
        "elbow": elbow,
        "wrist": wrist,
        "knuckle": knuckle,
        "hip": hip,
        "knee": knee,
        "ankle": ankle,
        "screen_top": (eye[0] + ahead, eye[1] + ahead * tan(radians(angles.gaze_top))),
        "screen_bottom": (eye[0] + ahead, eye[1] + ahead * tan(radians(angles.gaze_bottom))),
        "other_shoulder": shoulder,
    }
    lift = 75 - ankle[1]
    return {name: (x - 150, y + lift) for name, (x, y) in joints.items()}


def rear_joints(rear: Rear) -> dict[str, Point]:
    """Landmarks seen from behind, mm, x to the client's right."""
    hip, shoulder = 560.0, 1010.0
    across, wide = 130.0, 185.0
    drop_hip, drop = tan(radians(rear.hip_line)), tan(radians(rear.shoulder_line))
    joints = {
        "c7": (rear.lean, shoulder + 75),
        "hip_left": (-across, hip + across * drop_hip),
        "hip_right": (across, hip - across * drop_hip),
        "shoulder_left": (rear.lean - wide, shoulder + wide * drop),
        "shoulder_right": (rear.lean + wide, shoulder - wide * drop),
    }
    joints["elbow_left"] = _go(joints["shoulder_left"], 290, -90 - rear.arm_left)
    joints["elbow_right"] = _go(joints["shoulder_right"], 290, -90 + rear.arm_right)
    return joints


class _Sheet:
    """Draws solids as the camera sees them, on twice the size, made smaller in the end."""

    def __init__(self, camera: Camera) -> None:
        self.camera = camera
        self.image = Image.new("RGB", (WIDTH * 2, HEIGHT * 2), WALL)
        self.draw = ImageDraw.Draw(self.image)

    def at(self, point: Solid) -> Point:
        x, y = self.camera.sees(point)
        return (2 * x, 2 * y)

    def px(self, mm: float) -> float:
        return 2 * mm / self.camera.mm_per_px

    def dot(self, point: Solid, radius: float, fill: str) -> None:
        (x, y), r = self.at(point), self.px(radius)
        self.draw.ellipse((x - r, y - r, x + r, y + r), fill=fill)

    def limb(self, points: Sequence[Solid], width: float, fill: str) -> None:
        placed = [self.at(point) for point in points]
        self.draw.line(placed, fill=fill, width=round(self.px(width)))
        for point in points:
            self.dot(point, width / 2, fill)

    def box(self, corners: Sequence[Solid], fill: str) -> None:
        self.draw.polygon([self.at(corner) for corner in corners], fill=fill, outline=LINE, width=3)

    def staff(self, x: float) -> None:
        """One metre, upright, in fields of ten centimetres."""
        for field in range(10):
            low, high = field * STAFF_MM / 10, (field + 1) * STAFF_MM / 10
            self.box(
                [(x - 18, low, 0), (x + 18, low, 0), (x + 18, high, 0), (x - 18, high, 0)],
                LINE if field % 2 else "#f7f3ea",
            )

    def door(self, x: float) -> None:
        """A door on the wall behind: plumb, whatever the camera does."""
        self.box(
            [(x, 0, -900), (x + 780, 0, -900), (x + 780, 2000, -900), (x, 2000, -900)], "#ddd3c0"
        )
        self.draw.line([self.at((x, 0, 0)), self.at((x, 1280, 0))], fill=LINE, width=4)

    def mark(self, points: Mapping[str, Point]) -> None:
        for x, y in points.values():
            self.draw.ellipse(
                (2 * x - 9, 2 * y - 9, 2 * x + 9, 2 * y + 9), outline="white", width=4
            )

    def jpeg(self) -> bytes:
        exif = Image.Exif()
        exif.get_ifd(ExifTags.IFD.Exif)[ExifTags.Base.FocalLengthIn35mmFilm] = FOCAL_MM
        out = BytesIO()
        small = self.image.resize((WIDTH, HEIGHT), Image.Resampling.BOX)
        small.save(out, "JPEG", quality=86, exif=exif)
        return out.getvalue()


def _stage(camera: Camera) -> _Sheet:
    sheet = _Sheet(camera)
    sheet.box([(-4000, 0, -1000), (4000, 0, -1000), (4000, -900, 900), (-4000, -900, 900)], FLOOR)
    sheet.door(-740)
    sheet.staff(-600)
    return sheet


def _measured(sheet: _Sheet, solids: Mapping[str, Solid]) -> dict[str, Point]:
    plain = {
        "scale_a": (-600.0, 0.0, 0.0),
        "scale_b": (-600.0, STAFF_MM, 0.0),
        "upright_a": (-740.0, 1280.0, 0.0),
        "upright_b": (-740.0, 60.0, 0.0),
    }
    return {name: sheet.camera.sees(point) for name, point in {**plain, **solids}.items()}


def photograph_side(
    angles: Angles, camera: Camera = Camera(), *, standing: bool = False
) -> Photograph:
    """A picture from the client's right side; they look to the right."""
    all_values = side_joints(angles, standing=standing)
    solids = {name: (x, y, LANDMARKS[name].depth) for name, (x, y) in all_values.items()}
    sheet = _stage(camera)
    hip, shoulder, c7, ear = (
        all_values["hip"],
        all_values["shoulder"],
        all_values["c7"],
        all_values["ear"],
    )
    top, foot = all_values["screen_top"], all_values["screen_bottom"]
    desk = all_values["wrist"][1] - 45
    if not standing:
        sheet.box(
            [
                (hip[0] - 190, hip[1] - 95, 0),
                (hip[0] + 250, hip[1] - 95, 0),
                (hip[0] + 250, hip[1] - 150, 0),
                (hip[0] - 190, hip[1] - 150, 0),
            ],
            METAL,
        )
        sheet.limb([(hip[0] + 20, hip[1] - 150, 0), (hip[0] + 20, 60, 0)], 45, METAL)
        sheet.limb([(hip[0] - 260, 35, 0), (hip[0] + 280, 35, 0)], 50, METAL)
        sheet.limb(
            [(hip[0] - 190, hip[1] - 60, 0), (shoulder[0] - 170, shoulder[1] - 60, 0)], 40, METAL
        )
    sheet.limb([(top[0] + 18, top[1], 0), (foot[0] + 18, foot[1], 0)], 34, SCREEN)
    sheet.limb([(foot[0] + 40, foot[1] + 60, 0), (foot[0] + 60, desk, 0)], 30, METAL)
    edge = all_values["wrist"][0] - 120
    sheet.box(
        [(edge, desk, 0), (edge + 800, desk, 0), (edge + 800, desk - 28, 0), (edge, desk - 28, 0)],
        WOOD,
    )
    sheet.limb([(edge + 700, desk - 30, 0), (edge + 700, 20, 0)], 50, METAL)
    sheet.limb([solids["hip"], solids["knee"]], 150, TROUSERS)
    sheet.limb([solids["knee"], solids["ankle"]], 105, TROUSERS)
    ankle = solids["ankle"]
    sheet.limb([(ankle[0] - 20, 40, ankle[2]), (ankle[0] + 160, 34, ankle[2])], 66, SHOE)
    sheet.limb([(*hip, 0), (*shoulder, 0)], 225, SHIRT)
    sheet.limb([(c7[0] + 30, c7[1] - 20, 0), (ear[0] - 8, ear[1] - 30, 0)], 105, SKIN)
    sheet.dot((ear[0] + 14, ear[1] + 30, 0), 112, SKIN)
    sheet.dot((ear[0] - 6, ear[1] + 62, 0), 98, LINE)
    sheet.dot((ear[0] + 36, ear[1] + 18, 0), 88, SKIN)
    sheet.dot((ear[0] + 122, ear[1] - 8, 0), 20, SKIN)
    sheet.limb([solids["shoulder"], solids["elbow"]], 104, "#6b8496")
    sheet.limb([solids["elbow"], solids["wrist"]], 74, SKIN)
    sheet.limb([solids["wrist"], solids["knuckle"]], 50, SKIN)
    points = _measured(sheet, solids)
    sheet.mark(
        {name: points[name] for name in all_values if not name.startswith(("screen", "other"))}
    )
    return Photograph(jpeg=sheet.jpeg(), points=points)


def photograph_rear(rear: Rear, camera: Camera = Camera()) -> Photograph:
    """A picture from behind: the client's right is on the right."""
    all_values = rear_joints(rear)
    solids = {name: (x, y, 0.0) for name, (x, y) in all_values.items()}
    sheet = _stage(camera)
    c7 = all_values["c7"]
    sheet.box([(-520, 700, -500), (520, 700, -500), (520, 672, -500), (-520, 672, -500)], WOOD)
    sheet.box([(-270, 1240, -550), (270, 1240, -550), (270, 930, -550), (-270, 930, -550)], SCREEN)
    sheet.box([(-230, 470, 0), (230, 470, 0), (230, 400, 0), (-230, 400, 0)], METAL)
    sheet.limb([(0, 400, 0), (0, 60, 0)], 60, METAL)
    sheet.limb([(-280, 35, 0), (280, 35, 0)], 50, METAL)
    waist = [
        solids["hip_left"],
        solids["hip_right"],
        solids["shoulder_right"],
        solids["shoulder_left"],
    ]
    sheet.limb(waist[:2], 150, TROUSERS)
    sheet.box(waist, SHIRT)
    sheet.limb(waist[2:], 120, SHIRT)
    sheet.limb([(c7[0], c7[1] - 20, 0), (c7[0], c7[1] + 90, 0)], 110, SKIN)
    sheet.dot((c7[0], c7[1] + 165, 0), 105, LINE)
    for hand in ("left", "right"):
        elbow = all_values[f"elbow_{hand}"]
        sheet.limb([solids[f"shoulder_{hand}"], solids[f"elbow_{hand}"]], 100, "#6b8496")
        sheet.limb([(*elbow, 0), (elbow[0] * 0.8, elbow[1] - 10, -200)], 74, SKIN)
    points = _measured(sheet, solids)
    sheet.mark({name: points[name] for name in all_values})
    return Photograph(jpeg=sheet.jpeg(), points=points)


def field_of_view() -> float:
    """Field of view across of the made-up camera, degrees."""
    return degrees(2 * atan(FILM_MM / 2 / FOCAL_MM))
