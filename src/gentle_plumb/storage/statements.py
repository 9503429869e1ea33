"""What is asked of the database with every change and every look: put into words once."""

from __future__ import annotations

from typing import Any

from sqlalchemy import Update, bindparam, func, select, true, update
from sqlalchemy.dialects.postgresql import insert

from ..core.visit import CONDITIONS
from ..services.models import Client, Entry, PhotoHead, Visit
from .mapping import columns_of
from .tables import CHANGE, CLIENT, ENTRY, MEMBER, PHOTO, PRACTICE, REPORT, VISIT

_HOLDER, _WRITER = MEMBER.alias("holder"), MEMBER.alias("writer")
BEFORE = (
    select(
        *columns_of(Entry, changed_by=_HOLDER.c.name),
        VISIT.c.revision,
        ENTRY.c.version,
        _WRITER.c.name.label("writer"),
        CHANGE.c.visit_id.label("change_visit"),
        CHANGE.c.path.label("change_path"),
        CHANGE.c.typed.label("change_typed"),
    )
    .select_from(VISIT)
    .outerjoin(ENTRY, (ENTRY.c.visit_id == VISIT.c.id) & (ENTRY.c.path == bindparam("path")))
    .outerjoin(_HOLDER, _HOLDER.c.id == ENTRY.c.member_id)
    .join(_WRITER, _WRITER.c.id == bindparam("member"))
    .outerjoin(CHANGE, CHANGE.c.id == bindparam("change"))
    .where(VISIT.c.id == bindparam("visit"))
)
"""All a change has to be held against."""
LOCK = (
    select(VISIT.c.id)
    .where(VISIT.c.id == bindparam("visit"), VISIT.c.practice_id == bindparam("practice"))
    .with_for_update()
)
_OF_VISIT = ENTRY.c.visit_id == bindparam("visit")
_PRIOR = VISIT.alias("prior")
_EARLIER = (
    select(
        func.jsonb_agg(
            func.jsonb_build_array(_PRIOR.c.id, _PRIOR.c.started_on, ENTRY.c.path, ENTRY.c.value)
        )
    )
    .select_from(_PRIOR)
    .join(ENTRY, ENTRY.c.visit_id == _PRIOR.c.id)
    .where(
        _PRIOR.c.client_id == VISIT.c.client_id,
        _PRIOR.c.id != VISIT.c.id,
        _PRIOR.c.discarded_at.is_(None),
        _PRIOR.c.started_on <= VISIT.c.started_on,
        ENTRY.c.path.startswith("measure.", autoescape=True)
        | ENTRY.c.path.startswith(CONDITIONS, autoescape=True),
    )
    .correlate(VISIT)
    .scalar_subquery()
)
"""What was measured and said of conditions at the same client's other visits up to this day."""
_SIGNED = (
    select(func.count().label("versions"), func.max(REPORT.c.revision).label("signed_revision"))
    .where(REPORT.c.visit_id == bindparam("visit"))
    .subquery()
)
SNAPSHOT = (
    select(
        *columns_of(Visit),
        *columns_of(Client),
        *PRACTICE.c["price_small", "price_medium", "price_large", "currency"],
        *_SIGNED.c,
        select(func.count())
        .where(PHOTO.c.visit_id == bindparam("visit"))
        .scalar_subquery()
        .label("pictures"),
        _EARLIER.label("earlier"),
        select(func.array_agg(ENTRY.c.path))
        .where(_OF_VISIT, ENTRY.c.self_reported)
        .scalar_subquery()
        .label("self_reported"),
        select(func.jsonb_object_agg(ENTRY.c.path, ENTRY.c.value))
        .where(_OF_VISIT)
        .scalar_subquery()
        .label("entered"),
    )
    .join_from(VISIT, CLIENT, CLIENT.c.id == VISIT.c.client_id)
    .join(PRACTICE, PRACTICE.c.id == VISIT.c.practice_id)
    .join(_SIGNED, true())
    .where(VISIT.c.id == bindparam("visit"), VISIT.c.practice_id == bindparam("practice"))
)
"""A visit with its client, its values by path, and how often it was signed: in one question."""
PHOTOS = (
    select(*columns_of(PhotoHead))
    .where(PHOTO.c.visit_id == bindparam("visit"))
    .order_by(PHOTO.c.added_at, PHOTO.c.id)
)
_KEY = ("visit_id", "path")
_ENTRY = (*_KEY, "value", "typed", "version", "member_id", "self_reported")


def _upsert() -> Update:
    """The entry put, the change noted and the visit's revision raised: in one statement."""
    given: dict[str, Any] = {name: bindparam(f"new_{name}") for name in _ENTRY}
    put = insert(ENTRY).values(**given, changed_at=bindparam("now"))
    put = put.on_conflict_do_update(
        index_elements=_KEY,
        set_={name: put.excluded[name] for name in (*_ENTRY, "changed_at") if name not in _KEY},
    )
    note = insert(CHANGE).values(**given, id=bindparam("change"), made_at=bindparam("now"))
    return (
        update(VISIT)
        .where(VISIT.c.id == bindparam("new_visit_id"))
        .values(revision=VISIT.c.revision + 1)
        .add_cte(put.cte("put"), note.cte("note"))
    )


PUT = _upsert().returning(VISIT.c.revision)
