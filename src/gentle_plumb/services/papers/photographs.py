"""Photographs on paper: the pair of one view before and after, with what was read from each."""

from __future__ import annotations

from ...core.language import filled
from ..paper_models import PaperPhoto
from ..photo_views import PhotoView
from ..workup import VisitResults


def pair_of(workup: VisitResults) -> list[PaperPhoto]:
    """Return a photograph before and one after of the same view and posture; none where there is no pair."""
    for before in workup.photos:
        if before.when != "before":
            continue
        for after in workup.photos:
            alike = (after.view, after.posture) == (before.view, before.posture)
            if after.when == "after" and alike:
                return [photo_of(before), photo_of(after)]
    return []


def photo_of(photo: PhotoView) -> PaperPhoto:
    """Return a photograph with its readings in words."""
    return PaperPhoto(
        id=photo.id,
        caption=filled(
            "{when}, {view}, {posture}", when=photo.when, view=photo.view, posture=photo.posture
        ).capitalize(),
        readings=[
            filled(
                "{label}: {value} ± {error}",
                label=reading.label,
                value=reading.value,
                error=reading.error,
            )
            if reading.error
            else filled("{label}: {value}", label=reading.label, value=reading.value)
            for reading in photo.readings
            if reading.value is not None
        ],
    )
