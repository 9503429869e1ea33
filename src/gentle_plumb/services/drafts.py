"""Visits that nobody wants any more: an empty one is deleted, a draft is discarded and can be taken back."""

from __future__ import annotations

from datetime import timedelta
from uuid import UUID

from .models import Member
from .ports import Clock, Records

DISCARDED_FOR = timedelta(days=30)
"""A discarded draft can be taken back for so long; then it is erased. House value."""


class DraftService:
    """What is done with a visit that was never signed."""

    def __init__(self, records: Records, clock: Clock) -> None:
        self._records, self._clock = records, clock

    def drop(self, member: Member, visit_id: UUID) -> None:
        """Delete a visit in which nothing is typed; raises NotAllowed, NotFound, HoldsSomething."""
        self._records.drop_visit(member.practice_id, visit_id)

    def discard(self, member: Member, visit_id: UUID) -> None:
        """Throw a draft away; it can be taken back for :data:`DISCARDED_FOR`.

        Raises NotAllowed, NotFound; HoldsSomething for a visit that was signed.
        """
        self._records.discard_visit(
            member.practice_id, visit_id, self._clock(), forget=DISCARDED_FOR
        )

    def restore(self, member: Member, visit_id: UUID) -> None:
        """Take a discarded draft back; raises NotAllowed, NotFound."""
        self._records.discard_visit(member.practice_id, visit_id, None, forget=DISCARDED_FOR)
