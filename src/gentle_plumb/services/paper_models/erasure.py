"""The proof of an erasure, as it is handed over."""

from __future__ import annotations

from typing import Literal

from .papers import Signature


class ErasurePaper(Signature):
    """What was erased, when, by whom and why, what was searched afterwards, and until when backups hold it.

    ``client`` is the name as it is written on this paper alone; ``visited`` is the day of the erasure.
    """

    kind: Literal["erasure"] = "erasure"
    practice: str
    letterhead: list[str]
    call: str
    local_wording: str
    client: str
    visited: str
    what: str
    reason: str
    by: str
    at: str
    counts: list[str]
    searched: str
    backups: str
    trail: str
    reference: str
