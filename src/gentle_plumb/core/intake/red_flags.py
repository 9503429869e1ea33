"""Red flags: what has to be seen by somebody else before anything is adjusted.

A red flag never keeps anybody from recording; it keeps a visit from being completed until
what was done about it is written down. Source: house-signs.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..tables import entries_of

Urgency = Literal["urgent", "same_day", "clinician"]

URGENCY: dict[Urgency, str] = {
    "urgent": "Stop: urgent medical care",
    "same_day": "Seen by a clinician the same day",
    "clinician": "Refer first",
}


@dataclass(frozen=True, kw_only=True)
class RedFlag:
    """A red flag in the words it is asked with.

    ``holds`` is what waits until a clinician has answered: regions by name, those that hurt, or everything. An
    urgent one holds everything.
    """

    id: str
    urgency: Urgency
    label: str
    holds: tuple[str, ...] | Literal["felt", "all"] = "all"


RED_FLAGS: dict[str, RedFlag] = entries_of(RedFlag, __package__, "red_flags.toml")
