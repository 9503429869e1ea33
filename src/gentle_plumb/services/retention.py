"""How long a client's records are kept, what is due to go, and erasing with proof."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass, replace
from datetime import date, datetime, timedelta
from typing import Protocol
from uuid import UUID, uuid4

from dateutil.relativedelta import relativedelta

from ..core.language import msg, ngettext
from .account_ports import Accounts
from .audit_log import AuditLog
from .errors import NotAllowed, NotFound
from .models import ClientStanding, ErasedWhat, Erasure, Member, Practice, RetentionPeriods, view_of
from .models.audit_log import AuditQuery
from .ports import Clock

SHORTEST_MONTH = 28
"""Days: so that who is looked at are never fewer than those who are due."""


class RetentionStore(Protocol):
    """What is kept of clients, and its end."""

    def standings(self, practice_id: UUID, still_since: date) -> list[ClientStanding]:
        """Clients with a visit to whom nothing came since a day, or no photograph: who is due is among them. By name."""

    def name(self, practice_id: UUID, client_id: UUID) -> str:
        """A client's name; raises NotFound."""

    def erase_client(
        self, practice_id: UUID, client_id: UUID, *, even_signed: bool
    ) -> tuple[dict[str, int], int]:
        """Erase a client; how many there were of each thing, and how many rows name any of it afterwards.

        Raises NotFound; HoldsSomething where there are signed reports and they are to stay.
        """

    def erase_photographs(self, practice_id: UUID, client_id: UUID) -> tuple[dict[str, int], int]:
        """Erase a client's photographs, with what was placed on them, also from signed copies."""

    def add(self, erasure: Erasure) -> None: ...

    def erasures(self, practice_id: UUID) -> list[Erasure]:
        """What was erased, the latest first."""


REASON_SAYS = {
    "asked": msg("requested by the client"),
    "due": msg("retention period has ended"),
    "mistake": msg("created by mistake"),
}


@dataclass(frozen=True, kw_only=True)
class DueErasure:
    """A client's records, or their photographs, whose period is over since ``due_on``."""

    client_id: UUID
    client: str
    what: ErasedWhat
    signed: int
    photographs: int
    last_on: date
    due_on: date


@dataclass(frozen=True, kw_only=True)
class ErasureView:
    """Something erased; ``client`` is told only to who has just erased it, ``counts`` are in words."""

    id: UUID
    client: str
    what: ErasedWhat
    reason: str
    at: datetime
    by_name: str
    counts: list[str]
    left_over: int
    backups_until: datetime | None


@dataclass(frozen=True, kw_only=True)
class RetentionView(RetentionPeriods):
    """A practice's periods, what is due, and what was erased."""

    due: list[DueErasure]
    erased: list[ErasureView]


@dataclass(frozen=True, kw_only=True)
class Proof:
    """An erasure with where it stands in the audit log; None where that line can't be found."""

    erasure: Erasure
    trail_number: int | None
    trail_digest: str


class RetentionService:
    """Lists what is due, erases, and proves it.

    ``backup_days`` is how long backups are kept, None for none; ``noted`` is told of an erased client, so that
    they do not come back with a backup; ``forget`` lets go of what was worked out for them.
    """

    def __init__(
        self,
        keeping: RetentionStore,
        accounts: Accounts,
        trail: AuditLog,
        clock: Clock,
        backup_days: int | None = None,
        noted: Callable[[UUID], None] | None = None,
        forget: Callable[[UUID], None] | None = None,
    ) -> None:
        self._keeping, self._accounts, self._trail = keeping, accounts, trail
        self._clock, self._backup_days = clock, backup_days
        self._noted = noted or (lambda _: None)
        self._forget = forget or (lambda _: None)

    def set_periods(self, practice: Practice, periods: RetentionPeriods) -> Practice:
        """Set how long records are kept. Nothing goes by itself."""
        changed = replace(practice, **vars(periods))
        self._accounts.change_practice(changed)
        return changed

    def look(self, practice: Practice) -> RetentionView:
        """The practice's periods, what is due to go, and what was erased."""
        erased = self._keeping.erasures(practice.id)
        views = [_erasure_view(erasure) for erasure in erased]
        return view_of(RetentionView, practice, due=self.due(practice), erased=views)

    def due(self, practice: Practice) -> list[DueErasure]:
        """What is due to go, the longest due first."""
        today = practice.day(self._clock())
        years = (practice.keep_signed_years, practice.keep_unsigned_years)
        months = [12 * count for count in years if count is not None]
        if practice.keep_photographs_months is not None:
            months.append(practice.keep_photographs_months)
        if not months:
            return []
        erasures = []
        still_since = today - timedelta(days=SHORTEST_MONTH * min(months))
        for standing in self._keeping.standings(practice.id, still_since):
            kept = practice.keep_signed_years if standing.signed else practice.keep_unsigned_years
            whole = _after(standing.last_on, years=kept)
            pictures = _after(standing.photographs_on, months=practice.keep_photographs_months)
            if whole is not None and whole <= today:
                erasures.append(_due(standing, "client", standing.last_on, whole))
            elif pictures is not None and standing.photographs_on and pictures <= today:
                erasures.append(_due(standing, "photographs", standing.photographs_on, pictures))
        return sorted(
            erasures, key=lambda erasure: (erasure.due_on, erasure.client, str(erasure.client_id))
        )

    def erase(
        self, member: Member, client_id: UUID, *, what: ErasedWhat, reason: str
    ) -> ErasureView:
        """Erase a client or their photographs for good; the name is told this once.

        Raises
        ------
        NotAllowed
            For readers and assistants.
        NotFound
        HoldsSomething
            Where a report is signed and it is no owner who asks.

        """
        mine = member.practice_id
        name = self._keeping.name(mine, client_id)
        if what == "client":
            counts, left = self._keeping.erase_client(
                mine, client_id, even_signed=member.role == "owner"
            )
            self._noted(client_id)
        else:
            counts, left = self._keeping.erase_photographs(mine, client_id)
        self._forget(client_id)
        now = self._clock()
        days = self._backup_days
        erasure = Erasure(
            id=uuid4(),
            practice_id=mine,
            client_id=client_id,
            what=what,
            reason=reason,
            at=now,
            by_name=member.name,
            counts=counts,
            left_over=left,
            backups_until=None if days is None else now + timedelta(days=days + 1),
        )
        self._keeping.add(erasure)
        return _erasure_view(erasure, name)

    def proof(self, member: Member, erasure_id: UUID) -> Proof:
        """An erasure with its line of the audit log, for who made it and for owners; raises NotAllowed, NotFound."""
        for erasure in self._keeping.erasures(member.practice_id):
            if erasure.id != erasure_id:
                continue
            if member.role != "owner" and erasure.by_name != member.name:
                raise NotAllowed(msg("Only an owner can print this."))
            query = AuditQuery(client_id=erasure.client_id, act="erase", most=20)
            lines = self._trail.lines(member.practice_id, query)
            line = next((line for line in reversed(lines) if line.at >= erasure.at), None)
            return Proof(
                erasure=erasure,
                trail_number=line.number if line else None,
                trail_digest=line.digest.hex() if line else "",
            )
        raise NotFound(msg("There is no such erasure."))


def _after(day: date | None, *, years: int | None = None, months: int | None = None) -> date | None:
    """The day after which a period that begins on a day is over."""
    if day is None or (years is None and months is None):
        return None
    end: date = day + relativedelta(years=years or 0, months=months or 0, days=1)
    return end


def _due(standing: ClientStanding, what: ErasedWhat, last: date, due: date) -> DueErasure:
    return DueErasure(
        client_id=standing.client_id,
        client=standing.client,
        what=what,
        signed=standing.signed,
        photographs=standing.photographs,
        last_on=last,
        due_on=due,
    )


def _erasure_view(erasure: Erasure, client: str = "") -> ErasureView:
    counts = counts_in_words(erasure.counts)
    return view_of(ErasureView, erasure, client=client, counts=counts)


def counts_in_words(counts: Mapping[str, int]) -> list[str]:
    """What was erased, a line for each kind of thing."""
    said = [many_of(count) for key, many_of in _THINGS.items() if (count := counts.get(key, 0))]
    return said or [msg("nothing beside the name")]


_THINGS: dict[str, Callable[[int], str]] = {
    "visits": lambda many: ngettext("{count} visit", "{count} visits", many),
    "entries": lambda many: ngettext("{count} entry", "{count} entries", many),
    "changes": lambda many: ngettext(
        "{count} change in the journal", "{count} changes in the journal", many
    ),
    "reports": lambda many: ngettext("{count} signed report", "{count} signed reports", many),
    "papers": lambda many: ngettext("{count} report", "{count} reports", many),
    "photographs": lambda many: ngettext("{count} photo", "{count} photos", many),
    "links": lambda many: ngettext(
        "{count} link to their own page", "{count} links to their own page", many
    ),
    "answers": lambda many: ngettext(
        "{count} answer of their own", "{count} answers of their own", many
    ),
    "mails": lambda many: ngettext("{count} email", "{count} emails", many),
}
