"""Report: a word to the client, the follow-up, what the workplace is told."""

from __future__ import annotations

from ...choices import YesNo
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
