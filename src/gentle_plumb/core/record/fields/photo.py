"""What is said of one photograph, and placed on it."""

from __future__ import annotations

from dataclasses import dataclass

from ...catalogue import Posture
from ...language import msg
from ...photo import LANDMARKS, VIEWS, Taken, View
from .field import Field
from .group import FieldGroup

PHOTO_FAMILY = "look.photo"
"""What the path of everything about photographs begins with."""
MOST_PX = 20000.0
"""Furthest a landmark can lie from the corner, px. Source: geometry."""

POSTURES: dict[Posture, str] = {"seated": msg("Seated"), "standing": msg("Standing")}
TAKEN: dict[Taken, str] = {"before": msg("As found"), "after": msg("As left")}


@dataclass(frozen=True, eq=False)
class PhotoFields:
    """One photograph: view, posture, when it was taken, scale, note, and its landmarks by name."""

    view: Field[View]
    posture: Field[Posture]
    when: Field[Taken]
    known: Field[float]
    camera: Field[float]
    note: Field[str]
    points: dict[str, Field[str]]


def photo(id: str) -> PhotoFields:
    """Return the fields of one photograph."""
    place, points = (
        FieldGroup(f"{PHOTO_FAMILY}.{id}", group, "photos")
        for group in (msg("Photograph"), msg("Points"))
    )
    return PhotoFields(
        view=place.pick("view", msg("View"), VIEWS),
        posture=place.pick("posture", msg("Posture"), POSTURES),
        when=place.pick("when", msg("Taken"), TAKEN),
        known=place.length(
            "known",
            msg("Known length in the photo"),
            20,
            3000,
            help=msg(
                "Between the two scale points, at the same distance from the camera as the client."
            ),
        ),
        camera=place.length(
            "camera",
            msg("Camera to client"),
            200,
            20000,
            help=msg("About 3 m is best; under 2 m the angles are unreliable."),
        ),
        note=place.words("note", msg("Note"), health=True),
        points={
            mark.id: points.point(mark.id, mark.label, MOST_PX, help=mark.where)
            for mark in LANDMARKS.values()
        },
    )
