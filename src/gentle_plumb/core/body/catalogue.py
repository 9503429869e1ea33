"""The catalogue: every dimension with its landmarks, in the order of measuring; from dimensions.toml.

Seated from the floor up, then lengths, depths and breadths; then everything standing: the client
changes posture once. Identifiers and landmarks follow ISO 7250-1 (source ``iso-7250-1``);
``lumbar_height_sitting`` is not in it. Means and standard deviations are the published estimates
for British adults of 19 to 65 (``bodyspace``); correlations with stature are house values
(``house-correlation``), as are the limits for two readings (``house-repeat``) and what may change
between two visits (``house-change``). ``low_mm`` and ``high_mm`` are what a field accepts: about
seven standard deviations around the means, so that nobody is refused.
"""

from __future__ import annotations

from collections.abc import Iterable, Mapping

from ..errors import UnknownName
from ..language import msg
from ..tables import entries_of
from .dimensions import Dimension, Sex, Spread


def _spreads(all_values: Mapping[Sex, tuple[float, float]]) -> dict[Sex, Spread]:
    return {sex: Spread(mean_mm=mean, sd_mm=sd) for sex, (mean, sd) in all_values.items()}


DIMENSIONS: dict[str, Dimension] = entries_of(
    Dimension, __package__, "dimensions.toml", readers={"stats": _spreads}
)
"""Every dimension by identifier, in the order of measuring."""

NEEDED: tuple[str, ...] = tuple(entry.id for entry in DIMENSIONS.values() if entry.needed)
"""What a full fit can need, in the order of measuring."""

TWINS: dict[str, str] = {
    "elbow_height_sitting": "elbow_height_standing",
    "eye_height_sitting": "eye_height_standing",
    "shoulder_height_sitting": "shoulder_height_standing",
    "sitting_height": "stature",
}
"""The same landmark seated and standing: what gets typed into the other one's field."""


def dimension(name: str) -> Dimension:
    """Look a dimension up.

    Raises
    ------
    UnknownName
        If there is none of this name.

    """
    found = DIMENSIONS.get(name)
    if found is None:
        raise UnknownName(
            field=name, value=name, message=msg("There is no body dimension “{name}”.", name=name)
        )
    return found


def in_order(names: Iterable[str]) -> tuple[str, ...]:
    """The named dimensions in the order of measuring, each once; unknown ones raise UnknownName."""
    wanted = {dimension(name).id for name in names}
    return tuple(name for name in DIMENSIONS if name in wanted)
