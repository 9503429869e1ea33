"""Taking visits along on a device."""

from __future__ import annotations

from uuid import UUID

from .measuring import MeasuringService
from .models import Member, OfflineData, OfflineVisit, Practice
from .policies import PolicyService
from .ports import Records


class TakingService:
    """What is handed to a device. Nothing of it is more than the member may read."""

    def __init__(
        self, records: Records, measuring: MeasuringService, policies: PolicyService
    ) -> None:
        self._records, self._measuring, self._policies = records, measuring, policies

    def belongings(self, member: Member, practice: Practice) -> OfflineData:
        """What a member works with beside visits; of the member only what visits show of them."""
        return OfflineData(
            practice=practice,
            member=Member(
                id=member.id,
                practice_id=member.practice_id,
                email=member.email,
                name=member.name,
                title=member.title,
                role=member.role,
                password_hash="",
                sees_health=member.sees_health,
                registration=member.registration,
            ),
            errors=self._measuring.errors_of(member),
            policies=self._policies.chosen(member),
            tables=self._measuring.tables(member),
            lists=self._measuring.lists(member),
        )

    def visit(self, member: Member, visit_id: UUID) -> OfflineVisit:
        """A visit with the client's visit before it; raises NotAllowed, NotFound."""
        before = self._records.visit_before(member.practice_id, visit_id)
        return self._taken(member.practice_id, visit_id, before)

    def _taken(self, practice_id: UUID, visit_id: UUID, before: UUID | None) -> OfflineVisit:
        earlier = self._records.load_snapshot(practice_id, visit_id).earlier
        visit, client, entries, reports, photos = self._records.open(practice_id, visit_id)
        return OfflineVisit(
            visit=visit,
            client=client,
            entries=entries,
            reports=reports,
            photos=photos,
            last=self._records.last_report(practice_id, visit_id),
            earlier=list(earlier),
            before=self._taken(practice_id, before, None) if before is not None else None,
        )
