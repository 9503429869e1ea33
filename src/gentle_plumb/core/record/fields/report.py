"""Report: a word to the client, the follow-up, causes and actions in other words, what the workplace is told."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

from ...choices import Choice, YesNo
from .field import Field
from .place import Place

SHARED = {
    "work": "Work and place, as written with the client",
    "eyes": "What is chosen for lenses and eyes",
    "joints": "Angles of the joints",
    "heights": "The person in the drawing, with eye and elbow heights",
}
"""What the workplace's paper says only where it is ticked."""

_at = Place("report", "Report")

note = _at.words("note", "Message to the client", health=True)
follow_up = _at.date("follow_up", "Follow-up date", needed=True)

_share = Place("report.share", "Workplace", "share")
share = {id: _share.choice(id, label, YesNo) for id, label in SHARED.items()}
"""What the workplace's paper may say, by name."""


class TemporaryNow(Choice):
    """What has become of a piece that was there for a time."""

    STILL = "still", "Still there"
    REPLACED = "replaced", "Replaced"
    GONE = "gone", "Gone, nothing in its place"


CAUSES, ACTIONS = "report.cause", "report.action"
"""What the paths of the practitioner's word on a cause, and on an action, begin with."""
MOST_RANK = 40


@dataclass(frozen=True, eq=False)
class CauseFields:
    """How one cause stands on the papers: in whose words, where, and whether the client reads it."""

    words: Field[str]
    rank: Field[float]
    left_out: Field[YesNo]


@lru_cache(maxsize=128)
def cause(id: str) -> CauseFields:
    """Return what is kept of the practitioner's word on one cause."""
    at = Place(f"{CAUSES}.{id}", "Causes", "causes")
    return CauseFields(
        words=at.words("words", "In my words", health=True),
        rank=at.amount("rank", "Place in the order", "", 1, MOST_RANK),
        left_out=at.choice("left_out", "Left out of the client's paper", YesNo),
    )


@lru_cache(maxsize=128)
def temporary_now(key: str) -> Field[TemporaryNow]:
    """Return the field of what has become of a piece that was there for a time; ``key`` as in a plan of one's own."""
    return Place(f"look.temporary.{key}", "For a time only", "walk").choice(
        "now", "What has become of it", TemporaryNow
    )


@lru_cache(maxsize=256)
def action_words(field: str) -> Field[str]:
    """Return the field of the practitioner's words for one action; ``field`` as in its path of Set."""
    return Place(f"{ACTIONS}.{field}", "Actions", "causes").words(
        "words", "In my words", health=True
    )
