"""Photographs of a visit: taking them in, showing them, taking them out."""

from __future__ import annotations

import hashlib
from datetime import datetime
from uuid import UUID

from ..core.record import fields
from ..core.record.fields.ask import ConsentAnswer
from ..core.record.fields.photo import PHOTO_FAMILY
from .consent import NEEDED_FOR, PHOTOGRAPHS
from .errors import NeedsConsent
from .models import Member, PhotoHead, ProcessedPhoto
from .ports import Clock, ImageProcessor, Records


class PhotoService:
    """What is done with photographs. They are seen only within their practice."""

    def __init__(self, records: Records, darkroom: ImageProcessor, clock: Clock) -> None:
        self._records, self._darkroom, self._clock = records, darkroom, clock

    def may_add(self, member: Member, visit_id: UUID) -> None:
        """Whether a picture may come to this visit: asked before any of it is read.

        Raises NotAllowed, NotFound, NeedsConsent.
        """
        record = self._records.load_snapshot(member.practice_id, visit_id).record
        if record[fields.ask.consent["photographs"]] != ConsentAnswer.GIVEN:
            raise NeedsConsent(PHOTO_FAMILY, PHOTOGRAPHS, NEEDED_FOR[PHOTOGRAPHS])

    def add(self, member: Member, visit_id: UUID, photo_id: UUID, picture: bytes) -> PhotoHead:
        """Develop and keep a picture; sent twice it counts once.

        Raises
        ------
        NotAllowed, NotFound
            For readers; for a visit of another practice.
        NeedsConsent
            Without the client's consent to photographs.
        BadPicture
            If it is no picture, too large or too small.

        """
        self.may_add(member, visit_id)
        return self.keep(member, visit_id, photo_id, self.develop(picture))

    def develop(self, picture: bytes) -> ProcessedPhoto:
        """Make a picture fit to be kept; raises BadPicture."""
        return self._darkroom.develop(picture)

    def keep(
        self, member: Member, visit_id: UUID, photo_id: UUID, photo: ProcessedPhoto
    ) -> PhotoHead:
        """Keep a developed picture; raises NotFound, NeedsConsent."""
        head = photo_head(photo, photo_id, visit_id, member.name, self._clock())
        return self._records.add_photo(
            member.practice_id, head, photo.jpeg, member_id=member.id, consent=PHOTOGRAPHS
        )

    def picture(self, member: Member, photo_id: UUID) -> tuple[PhotoHead, bytes]:
        """A photograph; raises NotAllowed without a view of health data, NotFound."""
        return self._records.photo(member.practice_id, photo_id)

    def drop(self, member: Member, photo_id: UUID) -> None:
        """Erase a photograph with its points; raises NotAllowed, NotFound."""
        self._records.drop_photo(member.practice_id, photo_id)


def photo_head(
    photo: ProcessedPhoto, photo_id: UUID, visit_id: UUID, by: str, now: datetime
) -> PhotoHead:
    """Return what is kept of a developed picture beside the picture itself."""
    return PhotoHead(
        id=photo_id,
        visit_id=visit_id,
        width=photo.width,
        height=photo.height,
        fov_deg=photo.fov_deg,
        size=len(photo.jpeg),
        sha256=hashlib.sha256(photo.jpeg).hexdigest(),
        added_by=by,
        added_at=now,
    )
