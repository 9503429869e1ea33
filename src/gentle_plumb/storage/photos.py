"""Photographs in PostgreSQL, and what a withdrawn consent takes with it."""

from __future__ import annotations

from datetime import datetime
from uuid import UUID

from sqlalchemy import Connection, delete, func, insert, or_, select, update

from ..core.language import msg
from ..core.record.fields.photo import PHOTO_FAMILY
from ..services.consent import NEEDED_FOR
from ..services.errors import AlreadyThere, NeedsConsent, NotFound
from ..services.models import ErasureScope, PhotoHead
from .mapping import columns_of, model_of, values_of
from .statements import LOCK
from .store import Store
from .tables import (
    CHANGE,
    CHECK_ROUND,
    CLIENT_LINK,
    ENTRY,
    GIVEN_ANSWER,
    PHOTO,
    REPORT,
    REPORT_COPY,
    VISIT,
)


def _raise(connection: Connection, visit_id: UUID) -> None:
    """Count a change that is no entry."""
    raised = update(VISIT).where(VISIT.c.id == visit_id)
    connection.execute(raised.values(revision=VISIT.c.revision + 1))


def need_consent(connection: Connection, visit_id: UUID, consent: str | None, field: str) -> None:
    """Raises NeedsConsent where the entry at ``consent`` is not ``yes``."""
    if consent is None:
        return
    answer = connection.execute(
        select(ENTRY.c.value).where(ENTRY.c.visit_id == visit_id, ENTRY.c.path == consent)
    ).scalar()
    if answer != "yes":
        raise NeedsConsent(field, consent, NEEDED_FOR[consent])


def erase(
    connection: Connection, visit_id: UUID, what: ErasureScope, now: datetime | None = None
) -> None:
    """Blank values and what was typed, now and ever before; versions go on, so nobody is misled."""
    for table in (ENTRY, CHANGE):
        path = table.c.path
        element = or_(
            path.in_(what.paths),
            *(path.startswith(start, autoescape=True) for start in what.starts),
            *(
                path.startswith(family.split("*")[0], autoescape=True)
                & path.endswith(family.split("*")[1], autoescape=True)
                for family in what.families
            ),
        )
        blank: dict[str, object] = {"value": None, "typed": ""}
        if table is ENTRY:
            blank["version"] = ENTRY.c.version + 1
            if now is not None:
                blank["changed_at"] = now
        mine = (table.c.visit_id == visit_id) & (table.c.typed != "") & element
        connection.execute(update(table).where(mine).values(**blank))
    if what.answers:
        rounds = (
            select(CHECK_ROUND.c.id)
            .join(CLIENT_LINK, CLIENT_LINK.c.id == CHECK_ROUND.c.link_id)
            .where(CLIENT_LINK.c.visit_id == visit_id)
        )
        connection.execute(delete(GIVEN_ANSWER).where(GIVEN_ANSWER.c.round_id.in_(rounds)))
    if what.photos:
        connection.execute(delete(PHOTO).where(PHOTO.c.visit_id == visit_id))
        without_pictures(connection, visit_id)


def without_pictures(connection: Connection, visit_id: UUID) -> None:
    """Put every signed copy that holds photographs in its form without them; those are gone for good."""
    mine = select(REPORT.c.id).where(REPORT.c.visit_id == visit_id)
    without = REPORT_COPY.c.without
    connection.execute(
        update(REPORT_COPY)
        .where(REPORT_COPY.c.report_id.in_(mine), without.is_not(None))
        .values(pdf=without, sha256=func.encode(func.sha256(without), "hex"), without=None)
    )


class SqlPhotos(Store):
    """The part of the Records port that is about photographs."""

    def add_photo(
        self, practice_id: UUID, photo: PhotoHead, jpeg: bytes, *, member_id: UUID, consent: str
    ) -> PhotoHead:
        keys = {"practice": practice_id, "visit": photo.visit_id}
        with self._engine.begin() as connection:
            if connection.execute(LOCK, keys).first() is None:
                raise NotFound(msg("There is no such visit."))
            need_consent(connection, photo.visit_id, consent, f"{PHOTO_FAMILY}.{photo.id}")
            query = select(*columns_of(PhotoHead)).where(PHOTO.c.id == photo.id)
            row = connection.execute(query).first()
            if row is not None:
                held = model_of(PhotoHead, row)
                if (held.visit_id, held.sha256) != (photo.visit_id, photo.sha256):
                    raise AlreadyThere(msg("Another photograph has this id."))
                return held
            connection.execute(insert(PHOTO).values(**values_of(photo), jpeg=jpeg))
            _raise(connection, photo.visit_id)
        return photo

    def photo(self, practice_id: UUID, photo_id: UUID) -> tuple[PhotoHead, bytes]:
        query = (
            select(*columns_of(PhotoHead), PHOTO.c.jpeg)
            .join_from(PHOTO, VISIT, VISIT.c.id == PHOTO.c.visit_id)
            .where(PHOTO.c.id == photo_id, VISIT.c.practice_id == practice_id)
        )
        with self._reader.connect() as connection:
            row = connection.execute(query).first()
        if row is None:
            raise NotFound(msg("There is no such photograph."))
        return model_of(PhotoHead, row), row.jpeg

    def drop_photo(self, practice_id: UUID, photo_id: UUID) -> None:
        query = (
            select(PHOTO.c.visit_id)
            .join(VISIT, VISIT.c.id == PHOTO.c.visit_id)
            .where(PHOTO.c.id == photo_id, VISIT.c.practice_id == practice_id)
        )
        with self._engine.begin() as connection:
            visit_id = connection.scalar(query)
            if visit_id is None:
                raise NotFound(msg("There is no such photograph."))
            connection.execute(LOCK, {"practice": practice_id, "visit": visit_id})
            connection.execute(delete(PHOTO).where(PHOTO.c.id == photo_id))
            without_pictures(connection, visit_id)
            erase(connection, visit_id, ErasureScope(starts=(f"{PHOTO_FAMILY}.{photo_id}.",)))
            _raise(connection, visit_id)
