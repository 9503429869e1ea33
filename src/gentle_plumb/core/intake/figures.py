"""What a clinician may set of a limit instead of lifting it: minutes of standing an hour, an angle of the hip.

Sources: house-care.
"""

from __future__ import annotations

from dataclasses import dataclass

from ..language import Words
from ..tables import entry, toml_table
from .limits import LIMITS, LimitId


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

    label: Words
    unit: str
    low: float
    high: float
    becomes: LimitId
    says: Words
    at_work: Words = ""


FIGURES: dict[LimitId, Figure] = {
    LimitId(id): entry(Figure, given, f"figures.toml: {id}", {})
    for id, given in toml_table(__package__, "figures.toml").items()
}
"""By the limit that is set: which figure it takes. Source: house-care."""
JOINTS_LIMITED = (LimitId.HIP_OPEN, LimitId.KNEE_BEND, LimitId.ARM_RAISE)
"""Limits that a joint of this person may have whatever the conditions, each as a figure. Source: house-care."""


def says_of(id: LimitId, figure: float | None) -> str:
    """Return what is kept to, with the figure a clinician set."""
    return LIMITS[id].says if figure is None else FIGURES[id].says.format(figure=f"{figure:g}")
