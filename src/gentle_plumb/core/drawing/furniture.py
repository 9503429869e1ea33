"""Desk, screen and sight lines, from settings; unknown pieces are not drawn."""

from __future__ import annotations

from dataclasses import dataclass
from math import cos, radians, sin

from ..fit import Case
from ..posture import EYE_BEFORE_SHOULDER_MM
from ..workstation import HOME_ROW_TO_FRONT_MM, Details, ScreenKind, Settings
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
        edge=keys - (settings.keys_edge or HOME_ROW_TO_FRONT_MM),
        depth=depth if depth is not None else DEPTH_SHOWN_MM,
        picture=pose.shoulder[0] + EYE_BEFORE_SHOULDER_MM + distance,
    )


class Ink:
    """Collects marks on a sheet."""

    def __init__(self, sheet: Sheet, posture: str) -> None:
        self.sheet, self.posture = sheet, posture
        self.marks: list[Mark] = []

    def shape(
        self,
        role: str,
        points: list[Point],
        part: str = "",
        *,
        closed: bool = True,
        curved: bool = False,
    ) -> None:
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


def ink_desk(ink: Ink, case: Case, place: Place, settings: Settings) -> None:
    """Desk top, leg, keyboard."""
    surface = settings.surface
    if surface is None:
        return
    thick, found = case.workstation.desk.thickness, case.found_seated.surface
    under = case.details.underside
    if under is not None and found is not None and under < found:
        thick = found - under  # what hangs under the top moves with it
    role = "piece" if thick is not None else "piece-faint"
    under = surface - (thick if thick is not None else TOP_SHOWN_MM)
    back = place.edge + place.depth
    leg = place.edge + place.depth * 0.62
    desk = case.workstation.desk
    if desk.form == "cart":
        ink.shape("leg", box(leg - 24, 90, leg + 24, under), "surface")
        ink.shape("leg", box(leg - 240, 60, leg + 220, 90), "surface")
        for offset in (-225.0, 205.0):
            ink.dot("castor", (leg + offset, 32), 32 * ink.sheet.scale)
    elif desk.form == "counter":
        ink.shape("leg", box(place.edge + 60, 90, back, under), "surface")
        ink.shape("leg", box(place.edge + 110, 0, back, 90), "surface")
    elif desk.form in ("platform", "carrier", "tray") and desk.beside is not None:
        # the desk proper: a tray hangs before and under it, a platform stands on it
        tray = desk.form == "tray"
        front, end = (place.edge + 190, back + 190) if tray else (place.edge - 20, back)
        ink.shape("leg", box(end - 90, 0, end - 30, desk.beside - 25), "surface")
        ink.shape("piece-faint", box(front, desk.beside - 25, end, desk.beside), "surface")
        middle = (place.edge + place.depth * 0.4, under)
        ink.shape("column", [middle, (middle[0] + 60, desk.beside)], closed=False)
        back = min(back, place.edge + (330 if tray else place.depth))
    else:
        ink.shape("leg", box(leg - 34, 28, leg + 34, under), "surface")
        ink.shape("leg", box(leg - 300, 0, leg + 270, 28), "surface")
    ink.shape(role, box(place.edge, under, back, surface), "surface")
    thickness = case.workstation.keyboard.thickness
    if thickness is not None:
        front, rear = place.edge + 6, place.keys + 75
        ink.shape(
            "device",
            [
                (front, surface),
                (rear, surface),
                (rear, surface + thickness),
                (place.keys, surface + thickness),
                (front, surface + thickness * 0.7),
            ],
            "keys",
        )


def screen_ends(case: Case, place: Place, settings: Settings) -> tuple[Point, Point] | None:
    """The picture's lower and upper edge from the side, mm; None where it is not known."""
    top, screen = settings.screen_top, case.workstation.screen
    if top is None:
        return None
    height = screen.picture_height or PICTURE_SHOWN_MM
    tilt = radians(settings.tilt if settings.tilt is not None else 8.0)
    x = place.picture
    head: Point = (x + height * sin(tilt) * 0.5, top)
    if screen.kind == ScreenKind.LAPTOP and settings.keys is not None:
        return (place.keys + 110, settings.keys + 6), head
    return (x - height * sin(tilt) * 0.5, top - height * cos(tilt)), head


def ink_screen(ink: Ink, case: Case, pose: Pose, place: Place, settings: Settings) -> None:
    """Picture, stand, and the eye's field on it."""
    ends = screen_ends(case, place, settings)
    if ends is None:
        return
    screen, x, (foot, head) = case.workstation.screen, place.picture, ends
    if settings.surface is not None and not (
        screen.kind == ScreenKind.LAPTOP and settings.keys is not None
    ):
        behind = screen.depth_behind if screen.depth_behind is not None else STAND_SHOWN_MM
        middle = ((foot[0] + head[0]) / 2 + 14, (foot[1] + head[1]) / 2)
        base = x + behind * 0.7
        ink.shape(
            "column",
            [middle, (base, middle[1] - 30), (base, settings.surface)],
            "screen_top",
            closed=False,
        )
        ink.shape(
            "column",
            [(base - 70, settings.surface + 4), (x + behind, settings.surface + 4)],
            "screen_top",
            closed=False,
        )
    ink.shape("field", [pose.eye, head, foot], "screen_top")
    level = (head[0] + 20, pose.eye[1])
    ink.shape("eye-line", [pose.eye, level], "screen_top", closed=False)
    ink.shape("gaze", [pose.eye, head], "screen_top", closed=False)
    ink.shape("picture", [head, foot], "screen_top", closed=False)


def ink_side_screens(ink: Ink, pose: Pose, details: Details, settings: Settings) -> None:
    """Second and third screens, seen from the side as far as they are turned away."""
    for screen in details.side_screens:
        top, distance, bearing = settings.of_screen(screen.id)
        if top is None or distance is None:
            continue
        x = pose.eye[0] + distance * cos(radians(bearing or 0.0))
        foot = top - (screen.height or PICTURE_SHOWN_MM)
        ink.shape("picture-side", [(x, foot), (x, top)], closed=False)


def ink_plumb(ink: Ink, pose: Pose) -> None:
    """The plumb line from the ear to just over the floor, with its bob."""
    x = pose.ear[0]
    ink.shape("plumb", [pose.ear, (x, 74)], closed=False)
    ink.shape("bob", [(x - 13, 74), (x + 13, 74), (x + 17, 52), (x, 8), (x - 17, 52)])
    ink.dot("plumb-ear", pose.ear, 3.2)
    ink.dot("eye", pose.eye, 2.2)
