"""Open pages in PostgreSQL: in a table that is not logged, for nobody wants them after a crash."""

from __future__ import annotations

from datetime import datetime, timedelta
from uuid import UUID

from sqlalchemy import delete, select
from sqlalchemy.dialects.postgresql import insert

from ..core.language import msg
from ..services.errors import NotFound
from ..services.models import Member
from .store import Store
from .tables import MEMBER, PRESENCE, VISIT

FORGOTTEN_AFTER = timedelta(minutes=1)
"""So long after it was heard of last a page is forgotten. House value."""


class SqlPresence(Store):
    """The PresenceStore port."""

    def note(self, member: Member, visit_id: UUID, page_id: UUID, now: datetime) -> int:
        mine = (VISIT.c.id == visit_id) & (VISIT.c.practice_id == member.practice_id)
        with self._engine.begin() as connection:
            revision = connection.scalar(select(VISIT.c.revision).where(mine))
            if revision is None:
                raise NotFound(msg("There is no such visit."))
            put = insert(PRESENCE).values(
                page_id=page_id, visit_id=visit_id, member_id=member.id, since=now, seen_at=now
            )
            connection.execute(
                put.on_conflict_do_update(
                    index_elements=["page_id"],
                    set_={"visit_id": visit_id, "seen_at": now},
                    where=PRESENCE.c.member_id == member.id,
                )
            )
            connection.execute(delete(PRESENCE).where(PRESENCE.c.seen_at < now - FORGOTTEN_AFTER))
        return int(revision)

    def drop(self, member: Member, page_id: UUID) -> None:
        mine = (PRESENCE.c.page_id == page_id) & (PRESENCE.c.member_id == member.id)
        with self._engine.begin() as connection:
            connection.execute(delete(PRESENCE).where(mine))

    def others(self, visit_id: UUID, page_id: UUID, since: datetime) -> list[tuple[UUID, str]]:
        query = (
            select(MEMBER.c.id, MEMBER.c.name)
            .join(PRESENCE, PRESENCE.c.member_id == MEMBER.c.id)
            .where(
                PRESENCE.c.visit_id == visit_id,
                PRESENCE.c.page_id != page_id,
                PRESENCE.c.seen_at >= since,
            )
            .order_by(PRESENCE.c.since, PRESENCE.c.page_id)
        )
        with self._reader.connect() as connection:
            return [(id, name) for id, name in connection.execute(query)]
