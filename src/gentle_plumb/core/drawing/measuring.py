"""The figure in the pose of a dimension, with the dimension on it as an arrow to scale."""

from __future__ import annotations

from dataclasses import replace

from ..body import Body, Dimension, dimension
from ..fit import Case
from ..language import msg
from ..units import LengthUnit, format_length
from ..words import say_posture
from ..workstation import Settings
from .figure import outline_figure, outline_parts
from .marks import Mark, Point, Scene, Sheet, box, number
from .measuring_arrow import arrow_of
from .outline import Outline
from .pose import Pose, body_to_draw, seated_pose, standing_pose
from .tape import side_ends
from .turned import Turned, turned

MARGIN_PX = 34.0
SIDE_SPAN_MM = {"seated": (-260.0, 130.0), "standing": (-330.0, 330.0)}
"""Room behind a figure's origin, and before what reaches furthest, mm."""


def _side(case: Case, body: Body, entry: Dimension) -> tuple[Pose, float]:
    """The pose for a dimension seen from the side, barefoot and upright, and the seat's height."""
    seat = body.mm("popliteal_height") if entry.posture == "seated" else 0.0
    plain = replace(
        case,
        body=body,
        shoe_seated=0.0,
        shoe_standing=0.0,
        mat=0.0,
        policy=replace(case.policy, recline=0.0, relief=0.0),
    )
    if entry.posture == "standing":
        return standing_pose(plain, Settings()), seat
    pose = seated_pose(plain, Settings(seat=seat))
    if entry.id == "upper_limb_length":
        shoulder = pose.shoulder
        pose = replace(
            pose,
            elbow=(shoulder[0] + body.mm("shoulder_elbow_length"), shoulder[1] - 34 * pose.scale),
            hand=(shoulder[0] + body.mm("upper_limb_length"), shoulder[1] - 10 * pose.scale),
        )
    return pose, seat


def draw_measuring(
    case: Case, name: str, *, width: float, height: float, unit: LengthUnit, known: bool
) -> Scene:
    """Draw the figure in the pose of a dimension.

    Parameters
    ----------
    case : Case
        Whose body is drawn: measured where it was, an average one elsewhere.
    name : str
        The dimension; raises UnknownName.
    width, height : float
        px.
    unit : {"mm", "cm", "in"}
        Of the number on the arrow.
    known : bool
        Whether the dimension is measured: the arrow is drawn to scale then; else there is only
        the faint place of it.

    Returns
    -------
    Scene
        The arrow always is the mark of role ``measure-arrow``, of no length where nothing is
        known, so that the page can let it grow.

    """
    entry = dimension(name)
    body, well_known = body_to_draw(case)
    seen = turned(body, name)
    if seen is not None:
        sheet, marks = _turned_marks(seen, entry, width, height, well_known)
        ends, words, middle = seen.ends, seen.words, width / 2
    else:
        pose, seat = _side(case, body, entry)
        found = side_ends(name, pose, seat, body)
        assert found is not None, name
        pose = replace(pose, known=well_known)
        sheet, marks = _side_marks(pose, seat, entry, found, width, height)
        ends, words = (
            found,
            msg("{posture}, from the side", posture=say_posture(entry.posture).title()),
        )
        middle = sheet.at(pose.shoulder)[0] - 40
    start, end = sheet.at(ends[0]), sheet.at(ends[1])
    text = format_length(body.mm(name), unit, with_unit=True) if known else ""
    marks += arrow_of(entry, start, end, known=known, text=text, middle=middle, width=width)
    marks.append(Mark(kind="text", role="caption", x=16, y=height - 12, text=words))
    return Scene(width=width, height=height, px_per_mm=sheet.scale, marks=tuple(marks))


def _side_marks(
    pose: Pose,
    seat: float,
    entry: Dimension,
    ends: tuple[Point, Point],
    width: float,
    height: float,
) -> tuple[Sheet, list[Mark]]:
    behind, before = SIDE_SPAN_MM[entry.posture]
    reach = (
        max(pose.toe[0], pose.hand[0], ends[1][0]) if entry.posture == "seated" else pose.hand[0]
    )
    left, right = min(behind, ends[0][0] - 60), reach + before
    highest = max(pose.shoulder[1], pose.elbow[1]) + 70 * pose.scale
    top = max(pose.head[1] + 120 * pose.scale, ends[1][1], highest) + 40
    scale = min((width - 2 * MARGIN_PX) / (right - left), (height - 2 * MARGIN_PX) / top)
    sheet = Sheet(x0=width / 2 - scale * (left + right) / 2, y0=height - MARGIN_PX, scale=scale)
    outline = Outline(entry.posture)
    floor = f"M0 {number(sheet.y0)}L{number(width)} {number(sheet.y0)}"
    marks = [Mark(kind="path", role="floor", d=floor)]
    if entry.posture == "seated":
        deep = pose.knee[0] - 110
        outline.shape("column", [(deep / 2, 24), (deep / 2, seat - 46)], closed=False)
        outline.shape("piece", box(deep / 2 - 150, 0, deep / 2 + 150, 24))
        outline.shape("piece", box(-20, seat - 46, deep, seat))
    outline_figure(outline, pose)
    return sheet, [*marks, *outline.placed(sheet)]


def _turned_marks(
    seen: Turned, entry: Dimension, width: float, height: float, well_known: bool
) -> tuple[Sheet, list[Mark]]:
    left, bottom, right, top = seen.span
    scale = min((width - 2 * MARGIN_PX) / (right - left), (height - 2 * MARGIN_PX) / (top - bottom))
    sheet = Sheet(
        x0=width / 2 - scale * (left + right) / 2,
        y0=height / 2 + scale * (top + bottom) / 2,
        scale=scale,
    )
    tail = "" if well_known else "-faint"
    outline = Outline(entry.posture)
    for points in seen.under:
        outline.shape("piece", points)
    outline_parts(outline, seen.body, "figure", tail=tail)
    outline_parts(outline, seen.arms, "figure-arm", tail=tail)
    for points in seen.over:
        outline.shape("piece", points)
    return sheet, outline.placed(sheet)
