"""What is asked of the database with every change and every look: put into words once."""

from __future__ import annotations

from typing import Any

from sqlalchemy import Update, bindparam, func, select, true, update
from sqlalchemy.dialects.postgresql import insert
from sqlalchemy.orm import aliased

from ..core.visit import CONDITIONS
from ..services.models import PhotoHead
from .models import (
    ChangeRow,
    ClientRow,
    EntryRow,
    MemberRow,
    PhotoRow,
    PracticeRow,
    ReportRow,
    VisitRow,
)

_KEY = ("visit_id", "path")
_HOLDER, _WRITER = aliased(MemberRow), aliased(MemberRow)
BEFORE = (
    select(
        VisitRow.revision,
        EntryRow.value,
        EntryRow.typed,
        EntryRow.version,
        EntryRow.changed_at,
        EntryRow.self_reported,
        _HOLDER.name.label("holder"),
        _WRITER.name.label("writer"),
        ChangeRow.visit_id.label("change_visit"),
        ChangeRow.path.label("change_path"),
        ChangeRow.typed.label("change_typed"),
    )
    .select_from(VisitRow)
    .outerjoin(EntryRow, (EntryRow.visit_id == VisitRow.id) & (EntryRow.path == bindparam("path")))
    .outerjoin(_HOLDER, _HOLDER.id == EntryRow.member_id)
    .join(_WRITER, _WRITER.id == bindparam("member"))
    .outerjoin(ChangeRow, ChangeRow.id == bindparam("change"))
    .where(VisitRow.id == bindparam("visit"))
)
"""All a change has to be held against."""
LOCK = (
    select(VisitRow.id)
    .where(VisitRow.id == bindparam("visit"), VisitRow.practice_id == bindparam("practice"))
    .with_for_update()
)
_PRIOR = aliased(VisitRow)
_EARLIER = (
    select(
        func.jsonb_agg(
            func.jsonb_build_array(_PRIOR.id, _PRIOR.started_on, EntryRow.path, EntryRow.value)
        )
    )
    .select_from(_PRIOR)
    .join(EntryRow, EntryRow.visit_id == _PRIOR.id)
    .where(
        _PRIOR.client_id == VisitRow.client_id,
        _PRIOR.id != VisitRow.id,
        _PRIOR.discarded_at.is_(None),
        _PRIOR.started_on <= VisitRow.started_on,
        EntryRow.path.startswith("measure.", autoescape=True)
        | EntryRow.path.startswith(CONDITIONS, autoescape=True),
    )
    .correlate(VisitRow)
    .scalar_subquery()
)
"""What was measured and said of conditions at the same client's other visits up to this day."""
PHOTO = tuple(PhotoHead.__dataclass_fields__)
VISIT = tuple(VisitRow.__table__.c.keys())
CLIENT = tuple(ClientRow.__table__.c.keys())
_VERSIONS = (
    select(func.count(), func.max(ReportRow.revision))
    .where(ReportRow.visit_id == bindparam("visit"))
    .subquery()
)
WORKING = (
    select(
        *VisitRow.__table__.c,
        *ClientRow.__table__.c,
        PracticeRow.price_small,
        PracticeRow.price_medium,
        PracticeRow.price_large,
        PracticeRow.currency,
        select(func.count())
        .where(PhotoRow.visit_id == bindparam("visit"))
        .scalar_subquery()
        .label("pictures"),
        _EARLIER.label("earlier"),
        select(func.array_agg(EntryRow.path))
        .where(EntryRow.visit_id == bindparam("visit"), EntryRow.self_reported)
        .scalar_subquery()
        .label("self_reported"),
        select(func.jsonb_object_agg(EntryRow.path, EntryRow.value))
        .where(EntryRow.visit_id == bindparam("visit"))
        .scalar_subquery(),
        *_VERSIONS.c,
    )
    .join_from(VisitRow, ClientRow, ClientRow.id == VisitRow.client_id)
    .join(PracticeRow, PracticeRow.id == VisitRow.practice_id)
    .join(_VERSIONS, true())
    .where(VisitRow.id == bindparam("visit"), VisitRow.practice_id == bindparam("practice"))
)
"""A visit with its client, its values by path, and how often it was signed: in one question."""
PHOTOS = (
    select(*(PhotoRow.__table__.c[name] for name in PHOTO))
    .where(PhotoRow.visit_id == bindparam("visit"))
    .order_by(PhotoRow.added_at, PhotoRow.id)
)
_ENTRY = ("visit_id", "path", "value", "typed", "version", "member_id", "self_reported")


def _upsert() -> Update:
    """The entry put, the change noted and the visit's revision raised: in one statement."""
    given: dict[str, Any] = {name: bindparam(f"new_{name}") for name in _ENTRY}
    put = insert(EntryRow).values(**given, changed_at=bindparam("now"))
    put = put.on_conflict_do_update(
        index_elements=["visit_id", "path"],
        set_={name: put.excluded[name] for name in (*_ENTRY, "changed_at") if name not in _KEY},
    )
    note = insert(ChangeRow).values(**given, id=bindparam("change"), made_at=bindparam("now"))
    return (
        update(VisitRow)
        .where(VisitRow.id == bindparam("new_visit_id"))
        .values(revision=VisitRow.revision + 1)
        .add_cte(put.cte("put"), note.cte("note"))
    )


PUT = _upsert().returning(VisitRow.revision)
