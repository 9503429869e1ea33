"""Photographs on a device: kept there until they are sent, and here only by their size."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from datetime import datetime
from uuid import UUID

from ..routes.route import AuditEvent, Caller, Needs, Route
from ..routes.visits import VisitServices
from ..services.consent import PHOTOGRAPHS
from ..services.models import Member, PhotoHead
from .records import DeviceRecords


@dataclass(frozen=True, kw_only=True)
class PictureSize:
    """What a device tells of a picture that it keeps until it is sent: pixels, bytes, SHA-256."""

    width: int
    height: int
    size: int
    sha256: str


class DevicePhotos:
    """What is done with photographs without network."""

    def __init__(self, records: DeviceRecords, clock: Callable[[], datetime]) -> None:
        self._records, self._clock = records, clock

    def keep(self, who: Caller, visit_id: UUID, photo_id: UUID, size: PictureSize) -> PhotoHead:
        """Keep one by its size; raises NotFound, NeedsConsent."""
        head = PhotoHead(
            id=photo_id,
            visit_id=visit_id,
            fov_deg=None,
            added_by=who.member.name,
            added_at=self._clock(),
            **vars(size),
        )
        return self._records.add_photo(
            who.practice.id, head, b"", member_id=who.member.id, consent=PHOTOGRAPHS
        )

    def drop(self, member: Member, photo_id: UUID) -> None:
        """Erase one; raises NotFound."""
        self._records.drop_photo(member.practice_id, photo_id)


@dataclass(frozen=True, kw_only=True)
class DeviceServices(VisitServices):
    """What a visit needs, over what was taken along."""

    photos: DevicePhotos


def add_photo(
    to: DeviceServices, who: Caller, visit_id: UUID, photo_id: UUID, size: PictureSize
) -> PhotoHead:
    """Keep a photograph until it is sent."""
    return to.photos.keep(who, visit_id, photo_id, size)


ADD_PHOTO = Route(
    method="PUT",
    path="/visits/{visit_id}/photos/{photo_id}",
    handler=add_photo,
    needs=Needs.WRITER,
    audit=AuditEvent("change", "photograph"),
    offline=True,
)
"""In place of the server's, which is sent the picture itself."""
