"""Photographs in PostgreSQL, and what a withdrawn consent takes with it."""

from __future__ import annotations

from datetime import datetime
from uuid import UUID

from sqlalchemy import Connection, Engine, Select, delete, func, or_, select, update
from sqlalchemy.dialects.postgresql import insert
from sqlalchemy.orm import Session as Db
from sqlalchemy.orm import undefer

from ..core.record.fields.photo import PHOTO_FAMILY
from ..services.consent import NEEDED_FOR
from ..services.errors import AlreadyThere, NeedsConsent, NotFound
from ..services.models import ErasureScope, PhotoHead
from .models import ChangeRow, EntryRow, PhotoRow, ReportCopyRow, ReportRow, VisitRow
from .own_models import CheckRoundRow, ClientLinkRow, GivenAnswerRow
from .statements import LOCK, PHOTO


def photo_of(row: PhotoRow) -> PhotoHead:
    """The photograph a row holds, without its picture."""
    return PhotoHead(**{name: getattr(row, name) for name in PHOTO})


def photos_of(visit_id: UUID) -> Select[PhotoRow]:
    """A visit's photographs, in the order they came."""
    query = select(PhotoRow).where(PhotoRow.visit_id == visit_id)
    return query.order_by(PhotoRow.added_at, PhotoRow.id)


def _photo_in(practice_id: UUID, photo_id: UUID) -> Select[PhotoRow]:
    return (
        select(PhotoRow)
        .join(VisitRow, VisitRow.id == PhotoRow.visit_id)
        .where(PhotoRow.id == photo_id, VisitRow.practice_id == practice_id)
    )


def _raise(connection: Connection, visit_id: UUID) -> None:
    """Count a change that is no entry."""
    raised = update(VisitRow).where(VisitRow.id == visit_id)
    connection.execute(raised.values(revision=VisitRow.revision + 1))


def need_consent(connection: Connection, visit_id: UUID, consent: str | None, field: str) -> None:
    """Raises NeedsConsent where the entry at ``consent`` is not ``yes``."""
    if consent is None:
        return
    given = connection.execute(
        select(EntryRow.value).where(EntryRow.visit_id == visit_id, EntryRow.path == consent)
    ).scalar()
    if given != "yes":
        raise NeedsConsent(field, consent, NEEDED_FOR[consent])


def erase(
    connection: Connection, visit_id: UUID, what: ErasureScope, now: datetime | None = None
) -> None:
    """Blank values and what was typed, now and ever before; versions go on, so nobody is misled."""
    for table in (EntryRow, ChangeRow):
        told = or_(
            table.path.in_(what.paths),
            *(table.path.startswith(start, autoescape=True) for start in what.starts),
            *(
                table.path.startswith(family.split("*")[0], autoescape=True)
                & table.path.endswith(family.split("*")[1], autoescape=True)
                for family in what.families
            ),
        )
        blank: dict[str, object] = {"value": None, "typed": ""}
        if table is EntryRow:
            blank["version"] = EntryRow.version + 1
            if now is not None:
                blank["changed_at"] = now
        connection.execute(
            update(table).where(table.visit_id == visit_id, table.typed != "", told).values(**blank)
        )
    if what.answers:
        mine = (
            select(CheckRoundRow.id)
            .join(ClientLinkRow, ClientLinkRow.id == CheckRoundRow.link_id)
            .where(ClientLinkRow.visit_id == visit_id)
        )
        connection.execute(delete(GivenAnswerRow).where(GivenAnswerRow.round_id.in_(mine)))
    if what.photos:
        connection.execute(delete(PhotoRow).where(PhotoRow.visit_id == visit_id))
        without_pictures(connection, visit_id)


def without_pictures(connection: Connection, visit_id: UUID) -> None:
    """Put every signed copy that holds photographs in its form without them; those are gone for good."""
    mine = select(ReportRow.id).where(ReportRow.visit_id == visit_id)
    copies = ReportCopyRow.__table__
    connection.execute(
        update(ReportCopyRow)
        .where(copies.c.report_id.in_(mine), copies.c.without.is_not(None))
        .values(
            pdf=copies.c.without,
            sha256=func.encode(func.sha256(copies.c.without), "hex"),
            without=None,
        )
    )


class SqlPhotos:
    """The part of the Records port that is about photographs."""

    _engine: Engine
    _reader: Engine

    def add_photo(
        self, practice_id: UUID, photo: PhotoHead, jpeg: bytes, *, member_id: UUID, consent: str
    ) -> PhotoHead:
        keys = {"practice": practice_id, "visit": photo.visit_id}
        with self._engine.begin() as connection:
            if connection.execute(LOCK, keys).first() is None:
                raise NotFound("There is no such visit.")
            need_consent(connection, photo.visit_id, consent, f"{PHOTO_FAMILY}.{photo.id}")
            columns = [PhotoRow.__table__.c[name] for name in PHOTO]
            held = connection.execute(select(*columns).where(PhotoRow.id == photo.id)).first()
            if held is not None:
                if (held.visit_id, held.sha256) != (photo.visit_id, photo.sha256):
                    raise AlreadyThere("Another photograph has this id.")
                return PhotoHead(**held._mapping)
            connection.execute(insert(PhotoRow).values(**vars(photo), jpeg=jpeg))
            _raise(connection, photo.visit_id)
        return photo

    def photo(self, practice_id: UUID, photo_id: UUID) -> tuple[PhotoHead, bytes]:
        with Db(self._reader) as db:
            row = db.scalar(_photo_in(practice_id, photo_id).options(undefer(PhotoRow.jpeg)))
            if row is None:
                raise NotFound("There is no such photograph.")
            return photo_of(row), row.jpeg

    def drop_photo(self, practice_id: UUID, photo_id: UUID) -> None:
        with self._engine.begin() as connection:
            found = connection.execute(
                select(PhotoRow.visit_id)
                .join(VisitRow, VisitRow.id == PhotoRow.visit_id)
                .where(PhotoRow.id == photo_id, VisitRow.practice_id == practice_id)
            ).first()
            if found is None:
                raise NotFound("There is no such photograph.")
            keys = {"practice": practice_id, "visit": found.visit_id}
            connection.execute(LOCK, keys)
            connection.execute(delete(PhotoRow).where(PhotoRow.id == photo_id))
            without_pictures(connection, found.visit_id)
            erase(connection, found.visit_id, ErasureScope(starts=(f"{PHOTO_FAMILY}.{photo_id}.",)))
            _raise(connection, found.visit_id)
