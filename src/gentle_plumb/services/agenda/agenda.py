"""The agenda of a practice: what is planned, what clashes, and which free times suit what is due."""

from __future__ import annotations

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, replace
from datetime import date, datetime, timedelta
from itertools import islice
from uuid import UUID

from ...core.agenda import Clash, Slot, clashes, free_starts
from ...core.language import msg
from ...core.own_page import Level
from ..account_ports import Accounts
from ..errors import NotAllowed, NotFound
from ..models import (
    WRITERS,
    Appointment,
    AppointmentKind,
    ChangedAppointment,
    Client,
    Member,
    NewAppointment,
    PlannedAppointment,
    Practice,
    view_of,
)
from ..models.agenda import USUAL_MINUTES
from ..own_page.models import WaitingCheck
from ..permissions import require_office
from ..ports import Clock
from ..visit_lists import DUE_SOON, VisitLineView
from .letters import AppointmentLetters
from .ports import AgendaStore

CALL_SOON = timedelta(days=3)
"""A call-back so near is offered a time. House value."""
AHEAD_DAYS = 21
"""So many days ahead are looked through for a free time. House value."""
MOST_OFFERS = 3
"""So many times are offered for each thing that is due. House value."""
ANSWERED: dict[Level, AppointmentKind] = {
    "call": "check",
    "visit": "follow_up",
    "clinician": "check",
}
"""Which kind of appointment answers of a level ask for; none where nobody is needed, or care at once."""
MOST_DUE = 20
"""So many things that are due are offered times, the most pressing first. House value."""


@dataclass(frozen=True, kw_only=True)
class AgendaLine(PlannedAppointment):
    """An appointment in the agenda. ``clashes`` says what is in two places at once.

    ``private``: its client is open to others only; the time is taken, and nothing else is told.
    """

    clashes: list[str]
    private: bool = False


@dataclass(frozen=True, kw_only=True)
class Offer:
    """A free time."""

    on: date
    at: int


@dataclass(frozen=True, kw_only=True)
class DueLine:
    """Something that is due and has no time yet, with free times for it.

    ``visit_id`` is the visit that says so, ``check_id`` the answers that do.
    """

    kind: AppointmentKind
    client_id: UUID
    client: str
    due: date
    minutes: int
    offers: list[Offer]
    visit_id: UUID | None = None
    check_id: UUID | None = None


@dataclass(frozen=True, kw_only=True)
class Colleague:
    """Somebody who sees clients."""

    id: UUID
    name: str


@dataclass(frozen=True, kw_only=True)
class AgendaView:
    """The days asked for, with the practice's hours, people and rooms; ``now`` is minutes after midnight today."""

    today: date
    now: int
    start: date
    days: int
    opens_at: int
    closes_at: int
    open_days: str
    rooms: list[str]
    members: list[Colleague]
    usual_minutes: dict[AppointmentKind, int]
    mail: bool
    appointments: list[AgendaLine]
    due: list[DueLine]


@dataclass(frozen=True, kw_only=True)
class Waiting:
    """Something that is due, before a time is looked for."""

    kind: AppointmentKind
    client_id: UUID
    client: str
    due: date
    visit_id: UUID | None = None
    check_id: UUID | None = None


class AgendaService:
    """What is planned, and when more can be."""

    def __init__(
        self,
        store: AgendaStore,
        accounts: Accounts,
        letters: AppointmentLetters,
        clock: Clock,
        hidden: Callable[[Member], frozenset[UUID]],
    ) -> None:
        self._store, self._accounts, self._letters = store, accounts, letters
        self._clock, self._hidden = clock, hidden

    def agenda(
        self,
        member: Member,
        practice: Practice,
        visits: Sequence[VisitLineView],
        checks: Sequence[WaitingCheck],
        *,
        start: date | None,
        days: int,
    ) -> AgendaView:
        """So many days from one on, today where none is named, and free times for what these say is due."""
        now = practice.local(self._clock())
        today = now.date()
        start = start or today
        end = start + timedelta(days=days - 1)
        hidden = self._hidden(member)
        waiting = [due for due in due_of(visits, checks, today) if due.client_id not in hidden]
        planned = self._store.planned(practice.id, start, end)
        clashing = clashes([line.slot for line in planned])
        colleagues = [
            Colleague(id=person.id, name=person.name)
            for person in self._accounts.members(practice.id)
            if person.role in WRITERS
        ]
        return AgendaView(
            today=today,
            now=now.hour * 60 + now.minute,
            start=start,
            days=days,
            opens_at=practice.opens_at,
            closes_at=practice.closes_at,
            open_days=practice.open_days,
            rooms=practice.room_names,
            members=colleagues,
            usual_minutes=USUAL_MINUTES,
            mail=self._letters.there,
            appointments=[_line(line, clashing.get(line.id, []), hidden) for line in planned],
            due=self._due(member, practice, now, waiting),
        )

    def _due(
        self, member: Member, practice: Practice, now: datetime, waiting: Sequence[Waiting]
    ) -> list[DueLine]:
        """What is due and not planned, each with free times of this member that no other line is offered."""
        today = now.date()
        planned = self._store.clients_planned(practice.id, today)
        taken = [
            line.slot
            for line in self._store.planned(
                practice.id, today, today + timedelta(days=AHEAD_DAYS + 1), member_id=member.id
            )
        ]
        lines: list[DueLine] = []
        for due in sorted(waiting, key=lambda due: (due.due, due.client))[:MOST_DUE]:
            if due.client_id in planned:
                continue
            minutes = USUAL_MINUTES[due.kind]
            free = _offers(taken, practice, now, due.due, minutes)
            offers = list(islice(free, MOST_OFFERS)) if member.role in WRITERS else []
            taken += [
                Slot(
                    key=due,
                    on=offer.on,
                    at=offer.at,
                    minutes=minutes,
                    member=member.id,
                    client=due.client_id,
                )
                for offer in offers
            ]
            lines.append(DueLine(**vars(due), minutes=minutes, offers=offers))
        return lines

    def add(self, member: Member, practice: Practice, new: NewAppointment) -> Appointment:
        """Keep a time; sent twice it is one. Raises NotAllowed, NotFound."""
        self._check(member, practice, new.client_id, new.member_id)
        made = view_of(Appointment, new, practice_id=practice.id, version=1)
        kept = self._store.add_appointment(made)
        self._letters.told(practice, kept)
        return kept

    def change(
        self, member: Member, practice: Practice, appointment_id: UUID, changed: ChangedAppointment
    ) -> Appointment:
        """Move or change one upon its version. Raises NotAllowed, NotFound, Stale."""
        held = self._store.appointment(practice.id, appointment_id)
        self._check(member, practice, held.client_id, changed.member_id)
        if changed.client_id != held.client_id:
            raise NotAllowed(msg("An appointment stays with its client. Make a new one."))
        new = self._store.change_appointment(
            view_of(Appointment, changed, id=appointment_id, practice_id=practice.id)
        )
        self._letters.told(practice, new)
        return new

    def drop(self, member: Member, practice: Practice, appointment_id: UUID) -> None:
        """Cancel one; a client who was told of it is told so. Raises NotAllowed, NotFound."""
        held = self._store.appointment(practice.id, appointment_id)
        self._check(member, practice, held.client_id, None)
        self._store.drop_appointment(practice.id, appointment_id)
        self._letters.cancelled(practice, held)

    def invitation(
        self, member: Member, practice: Practice, appointment_id: UUID
    ) -> tuple[bytes, Client]:
        """The client's calendar file of one. Raises NotAllowed, NotFound."""
        held = self._store.appointment(practice.id, appointment_id)
        self._check(member, practice, held.client_id, None)
        return self._letters.invitation(practice, held), self._store.client_of(held)

    def _check(
        self, member: Member, practice: Practice, client_id: UUID, whose: UUID | None
    ) -> None:
        require_office(member)
        if client_id in self._hidden(member):
            raise NotAllowed(msg("This client is open to some of the practice only."))
        if whose is not None and not any(
            person.id == whose and person.role in WRITERS
            for person in self._accounts.members(practice.id)
        ):
            raise NotFound(msg("Nobody of this practice who sees clients has this id."))


def due_of(
    visits: Sequence[VisitLineView], checks: Sequence[WaitingCheck], today: date
) -> list[Waiting]:
    """Return what is due, each client's most pressing once.

    Whoever was told to seek care at once is offered no time here: an appointment would only delay it.
    """
    waiting = list(_waiting_visits(visits, today))
    known = {due.client_id for due in waiting}
    return waiting + [
        Waiting(
            kind=ANSWERED[check.level],
            client_id=check.client_id,
            client=check.client,
            due=today,
            check_id=check.id,
        )
        for check in checks
        if check.level in ANSWERED and check.client_id not in known
    ]


def _waiting_visits(lines: Sequence[VisitLineView], today: date) -> Iterator[Waiting]:
    """Yield the follow-ups and call-backs that are due, each client's most pressing."""
    for line in lines:
        if line.call_back is not None and line.call_back <= today + CALL_SOON:
            kind, due = "call_back", line.call_back
        elif (
            line.follow_up
            and line.state == "signed"
            and date.fromisoformat(line.follow_up) <= today + DUE_SOON
            and not any(
                other.client_id == line.client_id and other.started_on > line.started_on
                for other in lines
            )
        ):
            kind, due = "follow_up", date.fromisoformat(line.follow_up)
        else:
            continue
        yield Waiting(
            kind=kind,  # type: ignore[arg-type]
            client_id=line.client_id,
            client=line.client,
            due=due,
            visit_id=line.id,
        )


def _offers(
    taken: Sequence[Slot], practice: Practice, now: datetime, due: date, minutes: int
) -> Iterator[Offer]:
    """Yield free times from the day something is due, or from now on where that is past."""
    first = max(due, now.date())
    for count in range(AHEAD_DAYS):
        day = first + timedelta(days=count)
        if str(day.isoweekday()) not in practice.open_days:
            continue
        after = now.hour * 60 + now.minute if day == now.date() else 0
        near = [slot for slot in taken if abs((slot.on - day).days) <= 1]
        starts = free_starts(
            near,
            day,
            opens=practice.opens_at,
            closes=practice.closes_at,
            minutes=minutes,
            after=after,
        )
        yield from (Offer(on=day, at=start) for start in islice(starts, 2))


def _said(clash: Clash, line: PlannedAppointment) -> str:
    if clash == "room":
        return msg("{place} is taken then", place=line.place)
    who = line.member if clash == "member" else line.client
    return msg("{who} has another appointment then", who=who)


def _line(
    line: PlannedAppointment, clashing: Sequence[tuple[Clash, Slot]], hidden: frozenset[UUID]
) -> AgendaLine:
    private = line.client_id in hidden
    words = dict.fromkeys(
        _said(clash, line) for clash, _ in clashing if not (private and clash == "client")
    )
    shown = replace(line, client="", work="", place="", client_id=UUID(int=0)) if private else line
    return AgendaLine(**vars(shown), clashes=list(words), private=private)
