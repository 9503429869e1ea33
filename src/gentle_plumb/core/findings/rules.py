"""Findings from a fit: cause before instruction, most degrees first.

Each rule compares what was found with the band of its fit row: the thresholds stand with the
row (see :mod:`gentle_plumb.core.fit`) and are not written again here. The table below holds the
words only: what a value under or over its band does to this person, and the two verbs to set it.
"""

from __future__ import annotations

from dataclasses import dataclass

from ..fit import FitResult, FitRow, PostureFit, limit_text
from ..fit.result import Posture
from ..units import LengthUnit, format_length


@dataclass(frozen=True, kw_only=True)
class Words:
    """``under`` and ``over``: effect of a value outside its band; ``more``, ``less``: verbs."""

    thing: str
    under: str
    over: str
    more: str = "Raise"
    less: str = "Lower"


WORDS: dict[str, Words] = {
    "seat": Words(
        thing="Seat", under="the knees come above the hips and the lower back rounds",
        over="the feet hang and the thighs press on the seat's edge",
    ),
    "footrest": Words(
        thing="Footrest", under="the feet hang", over="the knees come above the hips",
    ),
    "seat_depth": Words(
        thing="Seat depth", under="the thighs are carried only in part",
        over="the edge presses behind the knee, and the back leaves the backrest",
        more="Lengthen", less="Shorten",
    ),
    "lumbar": Words(
        thing="Lumbar pad", under="it pushes the pelvis, not the small of the back",
        over="it pushes the ribs and leaves the small of the back free",
    ),
    "armrest": Words(
        thing="Armrests", under="the body leans down to them or the arms hang unsupported",
        over="they lift the shoulders",
    ),
    "surface": Words(
        thing="Surface", under="the trunk bends down to it and the elbows open wide",
        over="the shoulders lift or the elbows close to reach it",
    ),
    "mouse": Words(
        thing="Mouse", under="it lies on the keyboard's place",
        over="the upper arm stands out to reach it", more="Move out", less="Bring in",
    ),
    "screen_top": Words(
        thing="Screen top", under="the neck bends down to it", over="the chin lifts to it",
    ),
    "distance": Words(
        thing="Screen", under="the eyes strain to stay sharp on it",
        over="the head goes forward to read it", more="Move away", less="Bring nearer",
    ),
    "tilt": Words(
        thing="Screen tilt", under="the picture leans towards the eyes",
        over="the picture leans away from the eyes", more="Tilt back", less="Tilt up",
    ),
    "desk_depth": Words(
        thing="Desk", under="keys and screen can't both be right on it", over="",
    ),
}  # fmt: skip

SAME = 0.5
"""Differences under half a mm or half a degree are none. Source: house-repeat."""

JOINT_OF = {"seat": "knee", "surface": "elbow", "mouse": "upper_arm", "screen_top": "neck"}
"""Which joint pays for which quantity."""


@dataclass(frozen=True, kw_only=True)
class Finding:
    """One thing that is off.

    ``over_deg`` is how far its joint is outside its band, None where no joint pays; ``left`` is
    what the equipment leaves undone, None if nothing.
    """

    key: str
    posture: Posture
    title: str
    cause: str
    instruction: str
    left: str | None
    over_deg: float | None


def _amount(value: float, row: FitRow, unit: LengthUnit) -> str:
    return f"{value:.0f}°" if row.unit == "deg" else format_length(value, unit, with_unit=True)


def _instruction(row: FitRow, words: Words, unit: LengthUnit) -> str:
    if row.key == "desk_depth":
        return "Use a keyboard tray or a screen arm, or move the desk off the wall."
    if any(limit.kind == "joined" for limit in row.limits):
        return "Raise the laptop and add separate keys and mouse; without them, short spells only."
    if row.change is None or row.setting is None:
        return "Set by hand and test on the person."
    to = _amount(row.setting, row, unit)
    if abs(row.change) < SAME:
        return f"It can't be better with this piece: leave it at {to}."
    verb = words.more if row.change > 0 else words.less
    return f"{verb} by {_amount(abs(row.change), row, unit)} to {to}."


def _on_a_footrest(fit: PostureFit) -> bool:
    return any(row.key == "footrest" and row.found for row in fit.rows)


def _finding(fit: PostureFit, row: FitRow, unit: LengthUnit) -> Finding | None:
    words = WORDS.get(row.key)
    if words is None or row.status != "off" or row.found is None or row.target is None:
        return None
    under = row.low is not None and row.found < row.low
    apart = _amount(abs(row.found - row.target), row, unit)
    side = "under" if under else "over"
    if row.key in ("distance", "mouse"):
        side = {"distance": ("nearer than", "further than"),
                "mouse": ("nearer than", "further out than")}[row.key][0 if under else 1]  # fmt: skip
    effect = words.under if under else words.over
    if row.key == "seat" and not under and _on_a_footrest(fit):
        effect = "the feet are off the floor, on a footrest"
    joint = next(
        (joint for joint in fit.joints_found if joint.joint == JOINT_OF.get(row.key)), None
    )
    over = abs(joint.over) if joint is not None and joint.over is not None else None
    degrees = f" ({joint.label.lower()} {joint.angle:.0f}°)".replace("-", "−") if (
        joint is not None and joint.angle is not None and over) else ""  # fmt: skip
    return Finding(
        key=row.key,
        posture=row.posture,
        title=words.thing,
        cause=f"{words.thing} {apart} {side} its target: {effect}{degrees}.",
        instruction=_instruction(row, words, unit),
        left="; ".join(limit_text(found, unit) for found in row.limits) or None,
        over_deg=over,
    )


def findings(result: FitResult, unit: LengthUnit = "mm") -> list[Finding]:
    """Everything found off, the joints' degrees first, then in working order.

    Parameters
    ----------
    result : FitResult
    unit : {"mm", "cm", "in"}
        For the sentences.

    """
    rows = [
        found
        for posture in (result.seated, result.standing)
        for row in posture.rows
        if (found := _finding(posture, row, unit)) is not None
    ]
    return sorted(rows, key=lambda found: -(found.over_deg or 0.0))
