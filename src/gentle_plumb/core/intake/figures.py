"""What a clinician may set of a limit instead of lifting it: minutes of standing an hour, an angle of the hip.

Sources: house-care.
"""

from __future__ import annotations

from dataclasses import dataclass

from .limits import LEGS_FORWARD, LIMITS, NOTHING_HIGH, LimitId


@dataclass(frozen=True, kw_only=True)
class Figure:
    """A figure for a limit.

    Parameters
    ----------
    label : str
        What is asked of the clinician.
    unit : {"min", "°"}
    low, high : float
        What may be set, in ``unit``.
    becomes : LimitId
        The limit that holds from then on, with the figure.
    says, at_work : str
        The limit with ``{figure}``, as :class:`~.limits.Limit` says it without.

    """

    label: str
    unit: str
    low: float
    high: float
    becomes: LimitId
    says: str
    at_work: str = ""


_STANDING = Figure(
    label="Standing at most, in each hour",
    unit="min",
    low=1,
    high=60,
    becomes=LimitId.SHORT_STANDING,
    says="Standing for at most {figure} min in each hour, in short spells and with moving, never still.",
    at_work="Standing work for at most {figure} min in each hour, in short spells.",
)
FIGURES: dict[LimitId, Figure] = {
    LimitId.NO_STANDING: _STANDING,
    LimitId.SHORT_STANDING: _STANDING,
    LimitId.HIP_OPEN: Figure(
        label="Hips open to at least",
        unit="°",
        low=90,
        high=130,
        becomes=LimitId.HIP_OPEN,
        says="Back supported, hips open to {figure}° or more.",
    ),
    LimitId.HIP_ABOVE_KNEE: Figure(
        label="Hips open to at least",
        unit="°",
        low=90,
        high=130,
        becomes=LimitId.HIP_ABOVE_KNEE,
        says="Hips open to {figure}° or more and never lower than the knees; no low seat, legs not crossed, no "
        "turn on the standing leg.",
    ),
    LimitId.KNEE_BEND: Figure(
        label="Knee bends at most",
        unit="°",
        low=20,
        high=150,
        becomes=LimitId.KNEE_BEND,
        says="The knee bends no further than {figure}°: the feet stand forward, with room for them under the desk.",
        at_work=LEGS_FORWARD,
    ),
    LimitId.ARM_RAISE: Figure(
        label="Arm lifted at most",
        unit="°",
        low=20,
        high=180,
        becomes=LimitId.ARM_RAISE,
        says="The arm is lifted no higher than {figure}°.",
        at_work=NOTHING_HIGH,
    ),
}
JOINTS_LIMITED = (LimitId.HIP_OPEN, LimitId.KNEE_BEND, LimitId.ARM_RAISE)
"""Limits that a joint of this person may have whatever the conditions, each as a figure."""
"""By the limit that is set: which figure it takes. Source: house-care."""


def says_of(id: LimitId, figure: float | None) -> str:
    """Return what is kept to, with the figure a clinician set."""
    return LIMITS[id].says if figure is None else FIGURES[id].says.format(figure=f"{figure:g}")
