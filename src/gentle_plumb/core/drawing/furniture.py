"""Desk, keyboard and plumb line, from settings; unknown pieces are not drawn."""

from __future__ import annotations

from dataclasses import dataclass

from ..fit import Case
from ..posture import EYE_BEFORE_SHOULDER_MM
from ..workstation import HOME_ROW_TO_FRONT_MM, ScreenKind, Settings, UnderDesk
from .marks import box
from .outline import Outline
from .pose import Pose
from .supports import Layers, ink_stack

TOP_SHOWN_MM = 25.0
DEPTH_SHOWN_MM = 700.0
"""What is drawn where thickness or depth of a desk are not recorded, mm. Source: house-chain."""


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


def ink_desk(
    outline: Outline, case: Case, place: Place, settings: Settings, layers: Layers
) -> None:
    """Desk top, leg, what hangs under it, what lies on it, keyboard."""
    if settings.surface is None:
        return
    stack = sum(layers.get("keys", ()))
    surface = settings.surface - stack
    desk = case.workstation.desk
    thick, hangs = _top_of(case, stack)
    under = surface - (thick if thick is not None else TOP_SHOWN_MM)
    back = _carried(outline, case, place, under)
    role = "piece" if thick is not None else "piece-faint"
    outline.shape(role, box(place.edge, under, back, surface), "surface")
    if hangs > 1.0:
        ends = (60.0, 110.0) if desk.under == UnderDesk.CROSSBAR else (30.0, 430.0)
        outline.shape(
            "piece",
            box(place.edge + ends[0], under - hangs, min(back, place.edge + ends[1]), under),
            "surface",
        )
    if stack:
        middle = (place.edge + place.keys + 75) / 2
        ink_stack(
            outline,
            layers["keys"],
            middle=middle,
            half=(place.keys + 85 - place.edge) / 2,
            bottom=surface,
            part="surface",
        )
    _keyboard(outline, case, place, settings.surface)


def _top_of(case: Case, stack: float) -> tuple[float | None, float]:
    """Return how thick the top is, None where nobody recorded it, and how far more hangs under it, mm."""
    desk, value, under = case.workstation.desk, case.found_seated.surface, case.details.underside
    thick = desk.thickness
    if thick is not None and stack:
        thick = max(TOP_SHOWN_MM / 2, thick - stack)
    whole = thick
    if under is not None and value is not None and under < value:
        whole = value - under  # what hangs under the top moves with it
    if whole is None:
        return None, 0.0
    if desk.under in (UnderDesk.DRAWER, UnderDesk.CROSSBAR):
        top = min(whole, TOP_SHOWN_MM)
    else:
        top = min(whole, thick if thick is not None else TOP_SHOWN_MM)
    return top, whole - top


def _carried(outline: Outline, case: Case, place: Place, under: float) -> float:
    """What carries the top, and where the top ends, mm."""
    desk, back = case.workstation.desk, place.edge + place.depth
    leg = place.edge + place.depth * 0.62
    if desk.form == "cart":
        outline.shape("leg", box(leg - 24, 90, leg + 24, under), "surface")
        outline.shape("leg", box(leg - 240, 60, leg + 220, 90), "surface")
        for offset in (-225.0, 205.0):
            outline.disc("castor", (leg + offset, 32), 32)
    elif desk.form == "counter":
        outline.shape("leg", box(place.edge + 60, 90, back, under), "surface")
        outline.shape("leg", box(place.edge + 110, 0, back, 90), "surface")
    elif desk.form in ("platform", "carrier", "tray") and desk.beside is not None:
        # the desk proper: a tray hangs before and under it, a platform stands on it
        tray = desk.form == "tray"
        front, end = (place.edge + 190, back + 190) if tray else (place.edge - 20, back)
        outline.shape("leg", box(end - 90, 0, end - 30, desk.beside - 25), "surface")
        outline.shape("piece-faint", box(front, desk.beside - 25, end, desk.beside), "surface")
        middle = (place.edge + place.depth * 0.4, under)
        outline.shape("column", [middle, (middle[0] + 60, desk.beside)], closed=False)
        return min(back, place.edge + (330 if tray else place.depth))
    else:
        outline.shape("leg", box(leg - 34, 28, leg + 34, under), "surface")
        outline.shape("leg", box(leg - 300, 0, leg + 270, 28), "surface")
    return back


def _keyboard(outline: Outline, case: Case, place: Place, surface: float) -> None:
    thickness = case.workstation.keyboard.thickness
    if thickness is None:
        return
    front, rear = place.edge + 6, place.keys + 75
    if case.workstation.screen.kind == ScreenKind.LAPTOP:
        rear = place.keys + 110
    front = max(front, place.keys - 150)
    outline.shape(
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


def ink_plumb(outline: Outline, pose: Pose) -> None:
    """The plumb line from the ear to just over the floor, with its bob."""
    x = pose.ear[0]
    outline.shape("plumb", [pose.ear, (x, 74)], closed=False)
    outline.shape("bob", [(x - 13, 74), (x + 13, 74), (x + 17, 52), (x, 8), (x - 17, 52)])
    outline.dot("plumb-ear", pose.ear, 3.2)
    outline.dot("eye", pose.eye, 2.2)
