"""Chair, desk, screen and sight lines, from settings; unknown pieces are not drawn."""

from __future__ import annotations

from dataclasses import dataclass
from math import cos, radians, sin

from ..fit import Case
from ..posture.chain import EYE_BEFORE_SHOULDER_MM
from ..workstation import Settings
from ..workstation.equipment import HOME_ROW_TO_FRONT_MM
from .marks import Mark, Point, Sheet, box, polyline, smooth
from .pose import Pose

TOP_SHOWN_MM = 25.0
DEPTH_SHOWN_MM = 700.0
STAND_SHOWN_MM = 120.0
PICTURE_SHOWN_MM = 299.0
"""What is drawn where thickness, depth, stand or picture are not recorded. Source: house-chain."""


@dataclass(frozen=True, kw_only=True)
class Place:
    """Where things are along the floor, mm from the figure's origin."""

    keys: float
    edge: float
    depth: float
    picture: float


def place_of(case: Case, pose: Pose, settings: Settings) -> Place:
    """Keys under the hand, edge before them, picture where the eye distance says."""
    distance = settings.distance if settings.distance is not None else 625.0
    depth = case.workstation.desk.depth
    keys = pose.hand[0]
    return Place(
        keys=keys,
        edge=keys - HOME_ROW_TO_FRONT_MM,
        depth=depth if depth is not None else DEPTH_SHOWN_MM,
        picture=pose.shoulder[0] + EYE_BEFORE_SHOULDER_MM + distance,
    )


class Ink:
    """Collects marks on a sheet."""

    def __init__(self, sheet: Sheet, posture: str) -> None:
        self.sheet, self.posture = sheet, posture
        self.marks: list[Mark] = []

    def shape(self, role: str, points: list[Point], part: str = "", *, closed: bool = True,
              curved: bool = False) -> None:  # fmt: skip
        """A path through points in mm."""
        placed = [self.sheet.at(point) for point in points]
        data = smooth(placed, closed=closed) if curved else polyline(placed, closed=closed)
        self.marks.append(Mark(kind="path", role=role, d=data, part=part, posture=self.posture))

    def dot(self, role: str, point: Point, radius_px: float, part: str = "") -> None:
        """A dot of a fixed size on the sheet."""
        x, y = self.sheet.at(point)
        self.marks.append(
            Mark(kind="dot", role=role, x=x, y=y, size=radius_px, part=part, posture=self.posture)
        )


def ink_chair(ink: Ink, case: Case, pose: Pose, settings: Settings) -> None:
    """Seat pan, backrest along the trunk, armrest, column and castors."""
    seat = settings.seat
    if seat is None:
        seat, role = pose.hip[1] - 0.6 * pose.thigh, "piece-faint"
    else:
        role = "piece"
    deep = settings.seat_depth if settings.seat_depth is not None else 440.0
    middle = deep * 0.46
    ink.shape("column", [(middle, seat - 55), (middle, 95)], "seat", closed=False)
    ink.shape("column", [(middle - 250, 78), (middle, 118), (middle + 250, 78)], closed=False)
    for offset in (-250.0, 0.0, 250.0):
        ink.dot("castor", (middle + offset, 32), 32 * ink.sheet.scale)
    lean = radians(case.policy.recline)
    back = [
        (-16 - sin(lean) * up + bow, seat + up * cos(lean))
        for up, bow in ((70, -16), (140, 2), (200, 14), (270, 8), (360, -6), (470, -22), (540, -34))
    ]
    ink.shape("backrest", back, "lumbar", closed=False, curved=True)
    ink.shape("column", [back[0], (10, seat - 30), (middle, seat - 60)], closed=False, curved=True)
    pan = [(-6, seat), (deep * 0.5, seat - 4), (deep - 20, seat), (deep, seat - 18),
           (deep - 10, seat - 46), (20, seat - 58), (-10, seat - 40)]  # fmt: skip
    ink.shape(role, pan, "seat", curved=True)
    if case.workstation.chair.armrests in ("fixed", "adjustable") and settings.armrest is not None:
        rest = seat + settings.armrest
        ink.shape("column", [(150, seat - 40), (150, rest - 20)], closed=False)
        ink.shape(role, box(40, rest - 26, 290, rest), "armrest")
    if settings.footrest:
        lift = settings.footrest
        front = pose.toe[0] + 40
        heel = pose.ankle[0] - 80
        ink.shape(role, [(heel, 0), (heel, lift), (front, lift), (front, 0)], "footrest")


def ink_desk(ink: Ink, case: Case, place: Place, settings: Settings) -> None:
    """Desk top, leg, keyboard."""
    surface = settings.surface
    if surface is None:
        return
    thick = case.workstation.desk.thickness
    role = "piece" if thick is not None else "piece-faint"
    under = surface - (thick if thick is not None else TOP_SHOWN_MM)
    back = place.edge + place.depth
    leg = place.edge + place.depth * 0.62
    ink.shape("leg", box(leg - 34, 28, leg + 34, under), "surface")
    ink.shape("leg", box(leg - 300, 0, leg + 270, 28), "surface")
    ink.shape(role, box(place.edge, under, back, surface), "surface")
    thickness = case.workstation.keyboard.thickness
    if thickness is not None:
        front, rear = place.edge + 6, place.keys + 75
        ink.shape(
            "device",
            [(front, surface), (rear, surface), (rear, surface + thickness),
             (place.keys, surface + thickness), (front, surface + thickness * 0.7)],
            "keys",
        )  # fmt: skip


def ink_screen(ink: Ink, case: Case, pose: Pose, place: Place, settings: Settings) -> None:
    """Picture, stand, and the eye's field on it."""
    top = settings.screen_top
    if top is None:
        return
    screen = case.workstation.screen
    height = screen.picture_height or PICTURE_SHOWN_MM
    tilt = radians(settings.tilt if settings.tilt is not None else 8.0)
    x = place.picture
    foot: Point = (x - height * sin(tilt) * 0.5, top - height * cos(tilt))
    head: Point = (x + height * sin(tilt) * 0.5, top)
    if screen.kind == "laptop" and settings.keys is not None:
        foot = (place.keys + 110, settings.keys + 6)
    elif settings.surface is not None:
        behind = screen.depth_behind if screen.depth_behind is not None else STAND_SHOWN_MM
        middle = ((foot[0] + head[0]) / 2 + 14, (foot[1] + head[1]) / 2)
        base = x + behind * 0.7
        ink.shape("column", [middle, (base, middle[1] - 30), (base, settings.surface)],
                  "screen_top", closed=False)  # fmt: skip
        ink.shape("column", [(base - 70, settings.surface + 4), (x + behind, settings.surface + 4)],
                  "screen_top", closed=False)  # fmt: skip
    ink.shape("field", [pose.eye, head, foot], "screen_top")
    level = (head[0] + 20, pose.eye[1])
    ink.shape("eye-line", [pose.eye, level], "screen_top", closed=False)
    ink.shape("gaze", [pose.eye, head], "screen_top", closed=False)
    ink.shape("picture", [head, foot], "screen_top", closed=False)


def ink_plumb(ink: Ink, pose: Pose) -> None:
    """The plumb line from the ear to just over the floor, with its bob."""
    x = pose.ear[0]
    ink.shape("plumb", [pose.ear, (x, 74)], closed=False)
    ink.shape("bob", [(x - 13, 74), (x + 13, 74), (x + 17, 52), (x, 8), (x - 17, 52)])
    ink.dot("plumb-ear", pose.ear, 3.2)
    ink.dot("eye", pose.eye, 2.2)
