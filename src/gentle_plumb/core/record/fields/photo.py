"""What is said of one photograph; ``*`` stands for its identifier."""

from __future__ import annotations

from ...photo import LANDMARKS, VIEWS
from .field import Field, choice, length, words

MOST_PX = 20000.0
"""Furthest a landmark can lie from the corner, px. Source: geometry."""


def _point(id: str, label: str, help: str) -> Field:
    return Field(
        id=f"look.photo.*.{id}",
        step="look",
        group="Points",
        label=label,
        kind="point",
        unit="px",
        low=0,
        high=MOST_PX,
        section="photos",
        help=help,
    )


PHOTO: tuple[Field, ...] = (
    choice("look.photo.*.view", "Photograph", "View", VIEWS, section="photos"),
    choice(
        "look.photo.*.posture",
        "Photograph",
        "Posture",
        {"seated": "Seated", "standing": "Standing"},
        section="photos",
    ),
    choice(
        "look.photo.*.when",
        "Photograph",
        "Taken",
        {"before": "As found", "after": "As left"},
        section="photos",
    ),
    length(
        "look.photo.*.known",
        "Photograph",
        "Known length in the picture",
        20,
        3000,
        section="photos",
        help="Between the two scale points, in the client's plane.",
    ),
    length(
        "look.photo.*.camera",
        "Photograph",
        "Camera to client",
        200,
        20000,
        section="photos",
        help="About 3 m is good; under 2 m the picture deceives.",
    ),
    words("look.photo.*.note", "Photograph", "Note", section="photos", health=True),
    *(_point(mark.id, mark.label, mark.where) for mark in LANDMARKS.values()),
)
