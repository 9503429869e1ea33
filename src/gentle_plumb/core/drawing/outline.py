"""What is drawn of one posture, in millimetres, before it is placed on a sheet."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import dataclass, replace

from .marks import Anchor, Mark, Point, Sheet, polyline, smooth


@dataclass(frozen=True, slots=True, kw_only=True)
class Shape:
    """A path, a circle or a word, in mm; ``radius`` in mm or, where ``fixed``, in px.

    ``outlines`` are the paths that make it, each with whether it is smoothed.
    """

    role: str
    outlines: tuple[tuple[Sequence[Point], bool], ...] = ()
    part: str = ""
    closed: bool = True
    centre: Point | None = None
    radius: float = 0.0
    fixed: bool = False
    text: str = ""
    anchor: Anchor = "middle"
    drop: float = 0.0


class Outline:
    """Collects the shapes of one posture in the order in which they are inked."""

    def __init__(self, posture: str) -> None:
        self.posture = posture
        self.shapes: list[Shape] = []

    def shape(
        self,
        role: str,
        points: Sequence[Point],
        part: str = "",
        *,
        closed: bool = True,
        curved: bool = False,
    ) -> None:
        """Add a path through points."""
        self.shapes.append(Shape(role=role, outlines=((points, curved),), part=part, closed=closed))

    def silhouette(
        self, roles: Sequence[str], outlines: Sequence[tuple[Sequence[Point], bool]]
    ) -> None:
        """Add overlapping parts as one shape, once for each role."""
        one_way = tuple((_one_way(points), curved) for points, curved in outlines)
        self.shapes += [Shape(role=role, outlines=one_way) for role in roles]

    def add(self, other: Outline, *, dx: float = 0.0) -> None:
        """Add another outline's shapes, so far forward."""
        self.shapes += [_moved(shape, dx) if dx else shape for shape in other.shapes]

    def disc(self, role: str, centre: Point, radius: float, part: str = "") -> None:
        """Add a circle of so many millimetres."""
        self.shapes.append(Shape(role=role, centre=centre, radius=radius, part=part))

    def dot(self, role: str, centre: Point, radius_px: float, part: str = "") -> None:
        """Add a dot of the same size on every sheet."""
        self.shapes.append(Shape(role=role, centre=centre, radius=radius_px, fixed=True, part=part))

    def word(
        self,
        role: str,
        positions: Point,
        text: str,
        part: str = "",
        *,
        anchor: Anchor = "middle",
        drop: float = 4.0,
    ) -> None:
        """Add a word, its base line ``drop`` px under a point."""
        self.shapes.append(
            Shape(role=role, centre=positions, text=text, part=part, anchor=anchor, drop=drop)
        )

    def placed(self, sheet: Sheet) -> list[Mark]:
        """Return the marks of all shapes on a sheet."""
        placed = _Placing(sheet)
        return [
            placed.path(shape, self.posture)
            if shape.centre is None
            else placed.point(shape, self.posture, shape.centre)
            for shape in self.shapes
        ]


class _Placing:
    """Puts shapes on one sheet; outlines that two shapes share are put there once."""

    def __init__(self, sheet: Sheet) -> None:
        self.sheet = sheet
        self._known: dict[int, str] = {}

    def path(self, shape: Shape, posture: str) -> Mark:
        data = self._known.get(id(shape.outlines))
        if data is None:
            x0, y0, up = self.sheet.x0, self.sheet.y0, self.sheet.scale
            along, parts = up * self.sheet.facing, []
            for points, curved in shape.outlines:
                placed = [(x0 + along * x, y0 - up * y) for x, y in points]
                draw = smooth if curved else polyline
                parts.append(draw(placed, closed=shape.closed))
            data = self._known[id(shape.outlines)] = "".join(parts)
        return Mark(kind="path", role=shape.role, d=data, part=shape.part, posture=posture)

    def point(self, shape: Shape, posture: str, centre: Point) -> Mark:
        x, y = self.sheet.at(centre)
        if shape.text:
            return Mark(
                kind="text",
                role=shape.role,
                x=x,
                y=y + shape.drop,
                text=shape.text,
                anchor=shape.anchor,
                part=shape.part,
                posture=posture,
            )
        size = shape.radius if shape.fixed else shape.radius * self.sheet.scale
        return Mark(
            kind="dot", role=shape.role, x=x, y=y, size=size, part=shape.part, posture=posture
        )


def extent(shapes: Iterable[Shape]) -> tuple[float, float, float]:
    """Return how far shapes reach back, forward and up, mm."""
    back = front = top = 0.0
    for shape in shapes:
        if shape.centre is None:
            for points, _ in shape.outlines:
                for x, y in points:
                    if x < back:
                        back = x
                    elif x > front:
                        front = x
                    top = max(top, y)
        elif not shape.fixed and not shape.text:
            (x, y), radius = shape.centre, shape.radius
            back, front, top = min(back, x - radius), max(front, x + radius), max(top, y + radius)
    return back, front, top


def _moved(shape: Shape, dx: float) -> Shape:
    outlines = tuple(
        ([(x + dx, y) for x, y in points], curved) for points, curved in shape.outlines
    )
    centre = shape.centre and (shape.centre[0] + dx, shape.centre[1])
    return replace(shape, outlines=outlines, centre=centre)


def _one_way(points: Sequence[Point]) -> Sequence[Point]:
    """The outline in one turning sense, so that overlapping parts fill and never cut holes."""
    area, (x1, y1) = 0.0, points[-1]
    for x2, y2 in points:
        area += x1 * y2 - x2 * y1
        x1, y1 = x2, y2
    return points if area < 0 else points[::-1]
