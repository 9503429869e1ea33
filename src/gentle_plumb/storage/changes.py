"""Changes written one by one or many at once: entry and journal under the visit's lock."""

from __future__ import annotations

from collections import Counter
from collections.abc import Sequence
from dataclasses import replace
from datetime import datetime
from typing import Any
from uuid import UUID

from sqlalchemy import Connection, select, update
from sqlalchemy.dialects.postgresql import insert

from ..core.language import msg
from ..services.errors import NotFound, ReusedChange, Stale
from ..services.models import Change, Entry
from .mapping import columns_of, model_of
from .photos import erase, need_consent
from .statements import BEFORE, LOCK, PUT
from .tables import CHANGE, ENTRY, MEMBER, VISIT


def _nothing(change: Change, now: datetime) -> Entry:
    """The entry where there is none yet."""
    return Entry(path=change.path, value=None, typed="", version=0, changed_at=now, changed_by="")


def _row(change: Change) -> dict[str, Any]:
    """What entry and journal both hold of a change."""
    return {
        "visit_id": change.visit_id,
        "path": change.path,
        "value": change.value,
        "typed": change.typed,
        "version": change.expected_version + 1,
        "member_id": change.member_id,
        "self_reported": change.self_reported,
    }


def write_change(
    connection: Connection, practice_id: UUID, change: Change, now: datetime
) -> tuple[Entry, int]:
    """Apply a change within a transaction."""
    keys = {
        "practice": practice_id,
        "visit": change.visit_id,
        "path": change.path,
        "change": change.id,
        "member": change.member_id,
    }
    # the visit's row is the lock: changes to one visit come one after the other; what
    # is held is read after it, or a change that waited would see the time before
    if connection.execute(LOCK, keys).first() is None:
        raise NotFound(msg("There is no such visit."))
    row = connection.execute(BEFORE, keys).one()
    held = model_of(Entry, row) if row.version is not None else None
    if row.change_path is not None:
        before = (row.change_visit, row.change_path, row.change_typed)
        if held is None or before != (change.visit_id, change.path, change.typed):
            raise ReusedChange(msg("This change was made before, with other content."))
        return held, row.revision
    need_consent(connection, change.visit_id, change.consent, change.path)
    held = held or _nothing(change, now)
    if held.version != change.expected_version:
        raise Stale(held)
    new = {f"new_{name}": value for name, value in _row(change).items()}
    revision = connection.execute(PUT, {**new, "change": change.id, "now": now}).scalar_one()
    if change.erase is not None:
        erase(connection, change.visit_id, change.erase, now)
    entry = replace(
        held,
        value=change.value,
        typed=change.typed,
        version=held.version + 1,
        changed_at=now,
        changed_by=row.writer,
        self_reported=change.self_reported,
    )
    return entry, revision


def write_changes(
    connection: Connection, practice_id: UUID, changes: Sequence[Change], now: datetime
) -> None:
    """Apply changes that need no consent, in a few statements however many they are."""
    counts = Counter(change.visit_id for change in changes)
    mine = (
        select(VISIT.c.id)
        .where(VISIT.c.id.in_(counts), VISIT.c.practice_id == practice_id)
        .order_by(VISIT.c.id)
        .with_for_update()
    )
    if len(connection.execute(mine).all()) != len(counts):
        raise NotFound(msg("There is no such visit."))
    query = (
        select(ENTRY.c.visit_id, *columns_of(Entry, changed_by=MEMBER.c.name))
        .join_from(ENTRY, MEMBER, MEMBER.c.id == ENTRY.c.member_id)
        .where(ENTRY.c.visit_id.in_(counts))
    )
    entries = ((row.visit_id, model_of(Entry, row)) for row in connection.execute(query))
    held = {(visit_id, entry.path): entry for visit_id, entry in entries}
    for change in changes:
        before = held.get((change.visit_id, change.path)) or _nothing(change, now)
        if before.version != change.expected_version:
            raise Stale(before)
    if not changes:
        return
    put = insert(ENTRY)
    same = ("value", "typed", "version", "member_id", "changed_at", "self_reported")
    put = put.on_conflict_do_update(
        index_elements=["visit_id", "path"], set_={name: put.excluded[name] for name in same}
    )
    connection.execute(put, [{**_row(change), "changed_at": now} for change in changes])
    journal = [{**_row(change), "id": change.id, "made_at": now} for change in changes]
    connection.execute(insert(CHANGE), journal)
    for visit_id, count in counts.items():
        raised = update(VISIT).where(VISIT.c.id == visit_id)
        connection.execute(raised.values(revision=VISIT.c.revision + count))
