"""What an open red flag holds back: exercises and settings for its regions, until a clinician has answered.

Source: house-signs.
"""

from __future__ import annotations

from collections.abc import Mapping
from datetime import date

from ..catalogue import REGIONS
from ..intake import RED_FLAGS
from ..intake import REGIONS as CHART
from ..record import Record, fields
from .red_flags import raised_red_flags


def held_back(record: Record, as_of: date | None = None) -> Mapping[str, str]:
    """Return the regions that are held back, each with the red flag that does.

    Parameters
    ----------
    record : Record
    as_of : date, optional
        The day by which a clinician's answer counts; not given, whenever that was.

    """
    held: dict[str, str] = {}
    for flag in raised_red_flags(record):
        if flag.answered(as_of):
            continue
        known = RED_FLAGS.get(flag.id)
        regions = known.holds if known is not None else "felt"
        if flag.urgency == "urgent":
            regions = "all"
        for region in _named(record, regions):
            held.setdefault(region, flag.label)
    return held


def _named(record: Record, regions: str | tuple[str, ...]) -> tuple[str, ...]:
    if isinstance(regions, tuple):
        return regions
    felt = {
        region.load for id, region in CHART.items() if record[fields.ask.discomfort[id].strength]
    }
    return tuple(REGIONS) if regions == "all" or not felt else tuple(sorted(felt & set(REGIONS)))
