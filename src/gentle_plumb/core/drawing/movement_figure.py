"""A movement drawn from the client's own body: two or three moments of it, from the side, the front, or the hand."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from math import cos, pi, sin

from ..body import Body
from ..movements import Limb, Movement, Posed
from .figure import SHOE, SKULL, outline_parts, trunk_outline
from .marks import Mark, Point, Sheet, box, polyline, tapered
from .movement_body import (
    SEATED_LEG,
    Lengths,
    Part,
    along,
    arm_parts,
    hip_over_floor,
    leg_parts,
    turned,
)
from .outline import Outline, extent

WIDTH, HEIGHT = 190.0, 236.0
"""Size of one moment, px."""
MOVEMENT_SIZE = WIDTH, HEIGHT
FLOOR_PX, EDGE_PX = 10.0, 8.0
MOST_SCALE = 0.55
"""Pixels to a millimetre at the most: a hand by itself is no larger."""
PROFILE_DEG = 30.0
BACK_DEG = 15.0
"""A head turned so far is drawn in profile; an arm that hangs so and bends in goes behind, degrees."""


@dataclass(frozen=True, kw_only=True)
class MovementFigure:
    """One moment: its words, and its marks on a sheet of :data:`WIDTH` by :data:`HEIGHT` px."""

    says: str
    marks: tuple[Mark, ...]


def draw_movement(movement: Movement, body: Body) -> tuple[MovementFigure, ...]:
    """Draw every moment of a movement with one body; what is not measured of it is estimated."""
    lengths = Lengths.of(body)
    outlines = [_moment(movement, posed, lengths) for posed in movement.poses]
    sheet = _sheet(outlines)
    return tuple(
        MovementFigure(says=posed.says, marks=(*_floor(sheet), *outline.placed(sheet)))
        for posed, outline in zip(movement.poses, outlines, strict=True)
    )


def _moment(movement: Movement, posed: Posed, lengths: Lengths) -> Outline:
    outline = Outline("")
    if movement.view == "hand":
        _hand(outline, posed)
    elif movement.view == "side":
        _side(outline, posed, lengths, seated=movement.start == "seated")
    else:
        _front(outline, posed, lengths, seated=movement.start == "seated")
    return outline


def _sheet(outlines: Sequence[Outline]) -> Sheet:
    """Return the sheet that all moments of a movement have room on, at one scale."""
    ends = [extent(outline.shapes) for outline in outlines]
    back, front, top = min(e[0] for e in ends), max(e[1] for e in ends), max(e[2] for e in ends)
    scale = min(
        MOST_SCALE, (WIDTH - 2 * EDGE_PX) / (front - back), (HEIGHT - FLOOR_PX - EDGE_PX) / top
    )
    return Sheet(x0=WIDTH / 2 - scale * (front + back) / 2, y0=HEIGHT - FLOOR_PX, scale=scale)


def _floor(sheet: Sheet) -> tuple[Mark, ...]:
    line = polyline([(EDGE_PX, sheet.y0), (WIDTH - EDGE_PX, sheet.y0)], closed=False)
    return (Mark(kind="path", role="floor", d=line),)


def _side(outline: Outline, posed: Posed, lengths: Lengths, *, seated: bool) -> None:
    k, seat = lengths.scale, lengths.seat
    near = posed.near_leg or (SEATED_LEG if seated else Limb())
    far = posed.far_leg or near
    if seated:
        hip = (0.0, seat + 86 * k + posed.rise)
        outline.shape("piece", box(-230 * k, seat - 46 * k, 250 * k, seat), closed=True)
        outline.shape("leg", box(-20 * k, 0, 20 * k, seat - 46 * k), closed=True)
    else:
        hip = (0.0, hip_over_floor(lengths, [near, far]))
    shoulder = turned((hip[0], hip[1] + lengths.trunk + posed.shrug), posed.trunk, about=hip)
    if posed.far_leg is not None:
        outline_parts(outline, leg_parts(lengths, hip, far, list(SHOE)), "figure-arm", tail="")
    if posed.far_arm is not None:
        far_arm = _of_trunk(posed.far_arm, posed.trunk)
        outline_parts(outline, arm_parts(lengths, shoulder, far_arm), "figure-arm", tail="")
    neck = turned(
        (shoulder[0] + posed.chin, shoulder[1] + lengths.head), posed.trunk, about=shoulder
    )
    lean = posed.trunk + posed.head
    head = turned(neck, posed.head, about=shoulder)
    body: list[Part] = [
        *leg_parts(lengths, hip, near, list(SHOE)),
        (tapered(shoulder, 58 * k, _between(shoulder, head, 0.7), 48 * k), False),
        (trunk_outline(hip, shoulder, k, lengths.belly), True),
        (_skull(head, lean, k), True),
    ]
    outline_parts(outline, body, "figure", tail="")
    arm = arm_parts(lengths, shoulder, _of_trunk(posed.near_arm, posed.trunk))
    outline_parts(outline, arm, "figure-arm", tail="")


def _of_trunk(arm: Limb, trunk: float) -> Limb:
    """Return an arm that goes with the trunk as far as a hanging arm does: half."""
    return Limb(lift=arm.lift - trunk * 0.5 if arm.lift else 0.0, bend=arm.bend, end=arm.end)


def _between(a: Point, b: Point, share: float) -> Point:
    return a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share


def _skull(middle: Point, lean: float, k: float) -> list[Point]:
    return [
        turned((middle[0] + x * k * 0.93, middle[1] + y * k), lean, about=middle) for x, y in SKULL
    ]


def _front(outline: Outline, posed: Posed, lengths: Lengths, *, seated: bool) -> None:
    k, half, seat = lengths.scale, lengths.shoulders / 2, lengths.seat
    hips = 150 * k
    if seated:
        hip_y = seat + 86 * k + posed.rise
        outline.shape("piece", box(-240 * k, seat - 46 * k, 240 * k, seat), closed=True)
        legs = _legs_seated(lengths, hips * 0.72)
    else:
        hip_y = hip_over_floor(lengths, [Limb()])
        legs = _legs_standing(lengths, hips * 0.62, hip_y)
    middle = (0.0, hip_y)

    def placed(x: float, up: float) -> Point:
        return turned((x, hip_y + up), posed.trunk, about=middle)

    lift = lengths.trunk + posed.shrug
    trunk = [
        placed(-hips, -70 * k),
        placed(-hips * 1.02, 40 * k),
        placed(-hips * 0.82, lengths.trunk * 0.45),
        placed(-half * 0.98, lengths.trunk * 0.86 + posed.shrug),
        placed(-half * 0.72, lift + 34 * k),
        placed(0, lift + 58 * k),
        placed(half * 0.72, lift + 34 * k),
        placed(half * 0.98, lengths.trunk * 0.86 + posed.shrug),
        placed(hips * 0.82, lengths.trunk * 0.45),
        placed(hips * 1.02, 40 * k),
        placed(hips, -70 * k),
    ]
    neck = placed(0, lengths.trunk + 40 * k)
    head = turned((neck[0], neck[1] + lengths.head - 30 * k), posed.trunk + posed.head, about=neck)
    lean = posed.trunk + posed.head
    face = _skull(head, lean, k) if abs(posed.turn) >= PROFILE_DEG else _oval(head, lean, k)
    sides = ((posed.far_arm or posed.near_arm, -1), (posed.near_arm, 1))
    for arm, side in sides:
        if _behind(arm):
            shoulder = placed(side * half * 0.92, lift - 18 * k)
            outline_parts(outline, arm_parts(lengths, shoulder, arm, side), "figure-arm", tail="")
    body: list[Part] = [
        *legs,
        (tapered(neck, 56 * k, _between(neck, head, 0.6), 50 * k), False),
        (trunk, True),
        (face, True),
    ]
    outline_parts(outline, body, "figure", tail="")
    for arm, side in sides:
        if not _behind(arm):
            shoulder = placed(side * half * 0.92, lift - 18 * k)
            outline_parts(outline, arm_parts(lengths, shoulder, arm, side), "figure-arm", tail="")


def _behind(arm: Limb) -> bool:
    """Whether an arm is behind the body as seen from the front: at the back, or at the nape."""
    low, high = arm.lift < BACK_DEG and arm.bend < -BACK_DEG, arm.lift > 120 and arm.bend > 60
    return low or high


def _oval(middle: Point, lean: float, k: float) -> list[Point]:
    """Return a head from the front."""
    return [
        turned((middle[0] + 78 * k * cos(a), middle[1] + 108 * k * sin(a)), lean, about=middle)
        for a in (2 * pi * n / 16 for n in range(16))
    ]


def _legs_seated(lengths: Lengths, apart: float) -> list[Part]:
    k = lengths.scale
    result: list[Part] = []
    for side in (-1, 1):
        knee, ankle = (side * apart, lengths.seat + 30 * k), (side * apart, 80 * k)
        result += [
            (tapered((side * apart * 0.9, lengths.seat + 86 * k), 88 * k, knee, 70 * k), False),
            (tapered(knee, 62 * k, ankle, 36 * k), False),
            (tapered((side * apart, 60 * k), 40 * k, (side * apart * 1.12, 28 * k), 34 * k), False),
        ]
    return result


def _legs_standing(lengths: Lengths, apart: float, hip_y: float) -> list[Part]:
    k = lengths.scale
    result: list[Part] = []
    for side in (-1, 1):
        hip = (side * apart, hip_y - 20 * k)
        knee = along(hip, lengths.thigh - 20 * k, 2.0, side)
        ankle = (knee[0], 80 * k)
        result += [
            (tapered(hip, 92 * k, knee, 58 * k), False),
            (tapered(knee, 56 * k, ankle, 36 * k), False),
            (tapered(ankle, 38 * k, (ankle[0] + side * 26 * k, 30 * k), 34 * k), False),
        ]
    return result


FINGERS: tuple[tuple[float, float, float], ...] = (
    (-34.0, 74.0, -16.0),
    (-12.0, 86.0, -5.0),
    (12.0, 80.0, 6.0),
    (33.0, 62.0, 17.0),
)
"""Fingers from index to little: where they begin beside the palm's middle, length, and how they part, mm and degrees."""


def _hand(outline: Outline, posed: Posed) -> None:
    """Draw a hand and its forearm by themselves, fingers up; turned, the thumb is on the other side."""
    flip = -1 if posed.turn >= 90 else 1
    parts: list[Part] = [
        (tapered((0, 46), 44, (0, 96), 34), False),
        (tapered((0, 110), 44, (0, 176), 48), False),
    ]
    bent = 1 - 0.62 * posed.curl
    for x, length, part in FINGERS:
        start = (flip * x, 190.0)
        end = along(start, -length * bent, -flip * part * (0.4 + 1.6 * posed.spread))
        parts.append((tapered(start, 13, end, 10), False))
    thumb = along(
        (flip * -40.0, 138.0), -62 * (1 - 0.35 * posed.curl), flip * (26 + 42 * posed.spread)
    )
    if posed.curl > 0.5:
        thumb = (flip * 14.0, 172.0)
    outline_parts(outline, parts, "figure", tail="")
    outline_parts(
        outline, [(tapered((flip * -40.0, 138.0), 17, thumb, 12), False)], "figure-arm", tail=""
    )
