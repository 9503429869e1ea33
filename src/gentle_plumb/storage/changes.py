"""Changes written one by one or many at once: entry and journal under the visit's lock."""

from __future__ import annotations

from collections import Counter
from collections.abc import Sequence
from datetime import datetime
from uuid import UUID

from sqlalchemy import Connection, select, update
from sqlalchemy.dialects.postgresql import insert

from ..services.errors import NotFound, ReusedChange, Stale
from ..services.models import Change, Entry
from .models import ChangeRow, EntryRow, VisitRow
from .photos import erase, need_consent
from .statements import BEFORE, LOCK, PUT


def keys_of(practice_id: UUID, change: Change) -> dict[str, object]:
    """Return what finds a change and its entry: practice, visit, path, change, member."""
    return {
        "practice": practice_id,
        "visit": change.visit_id,
        "path": change.path,
        "change": change.id,
        "member": change.member_id,
    }


def write_change(
    connection: Connection, practice_id: UUID, change: Change, now: datetime
) -> tuple[Entry, int]:
    """Apply a change within a transaction."""
    # the visit's row is the lock: changes to one visit come one after the other; what
    # is held is read after it, or a change that waited would see the time before
    if connection.execute(LOCK, keys_of(practice_id, change)).first() is None:
        raise NotFound("There is no such visit.")
    found = connection.execute(BEFORE, keys_of(practice_id, change)).one()
    held = None
    if found.version is not None:
        held = Entry(
            path=change.path,
            value=found.value,
            typed=found.typed,
            version=found.version,
            changed_at=found.changed_at,
            changed_by=found.holder,
            self_reported=found.self_reported,
        )
    if found.change_path is not None:
        same = (found.change_visit, found.change_path, found.change_typed) == (
            change.visit_id,
            change.path,
            change.typed,
        )
        if not same or held is None:
            raise ReusedChange("This change was made before, with other content.")
        return held, found.revision
    need_consent(connection, change.visit_id, change.consent, change.path)
    version = held.version if held is not None else 0
    if version != change.expected_version:
        raise Stale(
            held
            or Entry(
                path=change.path, value=None, typed="", version=0, changed_at=now, changed_by=""
            )
        )
    new = {
        "visit_id": change.visit_id,
        "path": change.path,
        "value": change.value,
        "typed": change.typed,
        "version": version + 1,
        "member_id": change.member_id,
        "self_reported": change.self_reported,
    }
    keys = {f"new_{name}": value for name, value in new.items()}
    keys |= {"change": change.id, "now": now}
    revision = connection.execute(PUT, keys).scalar_one()
    if change.erase is not None:
        erase(connection, change.visit_id, change.erase, now)
    return (
        Entry(
            path=change.path,
            value=change.value,
            typed=change.typed,
            version=version + 1,
            changed_at=now,
            changed_by=found.writer,
            self_reported=change.self_reported,
        ),
        revision,
    )


def write_changes(
    connection: Connection, practice_id: UUID, changes: Sequence[Change], now: datetime
) -> None:
    """Apply changes that need no consent, in a few statements however many they are."""
    counts = Counter(change.visit_id for change in changes)
    mine = (
        select(VisitRow.id)
        .where(VisitRow.id.in_(counts), VisitRow.practice_id == practice_id)
        .order_by(VisitRow.id)
        .with_for_update()
    )
    if len(connection.execute(mine).all()) != len(counts):
        raise NotFound("There is no such visit.")
    held = {
        (row.visit_id, row.path): row
        for row in connection.execute(
            select(EntryRow.__table__).where(EntryRow.visit_id.in_(counts))
        )
    }
    rows = []
    for change in changes:
        before = held.get((change.visit_id, change.path))
        version = before.version if before is not None else 0
        if version != change.expected_version:
            raise Stale(
                Entry(
                    path=change.path,
                    value=before.value if before is not None else None,
                    typed=before.typed if before is not None else "",
                    version=version,
                    changed_at=before.changed_at if before is not None else now,
                    changed_by="",
                )
            )
        rows.append(
            {
                "visit_id": change.visit_id,
                "path": change.path,
                "value": change.value,
                "typed": change.typed,
                "version": version + 1,
                "member_id": change.member_id,
                "self_reported": change.self_reported,
            }
        )
    if not rows:
        return
    put = insert(EntryRow)
    same = ("value", "typed", "version", "member_id", "changed_at", "self_reported")
    put = put.on_conflict_do_update(
        index_elements=["visit_id", "path"], set_={name: put.excluded[name] for name in same}
    )
    connection.execute(put, [{**row, "changed_at": now} for row in rows])
    connection.execute(
        insert(ChangeRow),
        [
            {**row, "id": change.id, "made_at": now}
            for row, change in zip(rows, changes, strict=True)
        ],
    )
    for visit_id, count in counts.items():
        raised = update(VisitRow).where(VisitRow.id == visit_id)
        connection.execute(raised.values(revision=VisitRow.revision + count))
