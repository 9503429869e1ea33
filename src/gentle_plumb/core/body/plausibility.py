"""Questions about values that can hardly be true: asked kindly, never acted on alone."""

from __future__ import annotations

from dataclasses import dataclass

from ..errors import MissingDimension
from .dimensions import DIMENSIONS
from .estimates import estimate_from_stature
from .person import Body

__all__ = ["Question", "questions"]

QUESTION_AT_SE = 2.5
SLIP_AT_SE = 4.0
"""Standard errors from the estimate at which to ask, and to suspect a slip. Source: house-repeat."""

_SLIPS = (
    (2.54, "inches typed as centimetres"),
    (1 / 2.54, "centimetres typed as inches"),
    (10.0, "millimetres for centimetres"),
    (0.1, "centimetres for millimetres"),
)

_BELOW = (
    ("eye_height_sitting", "sitting_height"),
    ("eye_height_standing", "stature"),
    ("elbow_height_sitting", "shoulder_height_sitting"),
    ("elbow_height_standing", "eye_height_standing"),
    ("shoulder_height_sitting", "eye_height_sitting"),
    ("shoulder_breadth_biacromial", "shoulder_breadth_bideltoid"),
)


@dataclass(frozen=True, kw_only=True)
class Question:
    """A doubt about one dimension, with the value a likely slip would make of it (or None)."""

    dimension: str
    other: str | None
    text: str
    suggestion_mm: float | None


def _slip(value_mm: float, expected_mm: float, sd_mm: float) -> tuple[float, str] | None:
    for factor, name in _SLIPS:
        if abs(value_mm * factor - expected_mm) <= 2 * sd_mm:
            return value_mm * factor, name
    return None


def questions(body: Body) -> list[Question]:
    """Every value that is far from what stature suggests, or contradicts another one."""
    found: list[Question] = []
    stature = body.values.get("stature")
    for name, value in body.values.items():
        if stature is None or name == "stature" or value.source == "estimated":
            continue
        try:
            guess = estimate_from_stature(name, stature_mm=stature.mm, sex=body.sex)
        except MissingDimension:
            continue
        off = abs(value.mm - guess.value_mm) / guess.sd_mm
        if off <= QUESTION_AT_SE:
            continue
        slip = _slip(value.mm, guess.value_mm, guess.sd_mm) if off > SLIP_AT_SE else None
        label = DIMENSIONS[name].label
        tail = f" Perhaps {slip[1]}?" if slip else " Is it right?"
        found.append(
            Question(
                dimension=name,
                other="stature",
                text=f"{label} {value.mm:.0f} mm is far from the {guess.value_mm:.0f} mm "
                f"(±{2 * guess.sd_mm:.0f}) that goes with this stature.{tail}",
                suggestion_mm=slip[0] if slip else None,
            )
        )
    for lower, upper in _BELOW:
        low, high = body.values.get(lower), body.values.get(upper)
        if low is not None and high is not None and low.mm >= high.mm:
            found.append(
                Question(
                    dimension=lower,
                    other=upper,
                    text=f"{DIMENSIONS[lower].label} {low.mm:.0f} mm can't be above "
                    f"{DIMENSIONS[upper].label.lower()} {high.mm:.0f} mm. One of them is off.",
                    suggestion_mm=None,
                )
            )
    return found
