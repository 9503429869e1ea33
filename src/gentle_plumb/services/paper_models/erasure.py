"""The proof of an erasure, as it is handed over."""

from __future__ import annotations

from typing import Literal

from ..said import Said
from .papers import Signature


class ErasurePaper(Signature):
    """What was erased, when, by whom and why, what was searched afterwards, and until when backups hold it.

    ``client`` is the name as it is written on this paper alone; ``visited`` is the day of the erasure.
    """

    kind: Literal["erasure"] = "erasure"
    practice: Said
    letterhead: list[Said]
    call: Said
    local_wording: Said
    client: Said
    visited: Said
    what: Said
    reason: Said
    by: Said
    at: Said
    counts: list[Said]
    searched: Said
    backups: Said
    trail: Said
    reference: Said
