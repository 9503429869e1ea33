"""What has to be asked before anything is adjusted: red flags, and conditions that a plan has limits for."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..language import Words, msg
from ..tables import entries_of
from .limits import LimitId


@dataclass(frozen=True, kw_only=True)
class Precaution:
    """One condition: ``limits`` are what it puts in force, ``ask`` who has the word on each."""

    id: str
    label: Words
    limits: tuple[LimitId, ...]
    ask: str


PRECAUTIONS: dict[str, Precaution] = entries_of(Precaution, __package__, "precautions.toml")
"""Every condition, by name."""


Urgency = Literal["urgent", "same_day", "clinician"]

URGENCY: dict[Urgency, str] = {
    "urgent": msg("Stop: urgent medical care"),
    "same_day": msg("Seen by a clinician the same day"),
    "clinician": msg("Refer first"),
}


@dataclass(frozen=True, kw_only=True)
class RedFlag:
    """A red flag in the words it is asked with.

    ``holds`` is what waits until a clinician has answered: regions by name, those that hurt, or everything. An
    urgent one holds everything.
    """

    id: str
    urgency: Urgency
    label: Words
    holds: tuple[str, ...] | Literal["felt", "all"] = "all"


RED_FLAGS: dict[str, RedFlag] = entries_of(RedFlag, __package__, "red_flags.toml")
