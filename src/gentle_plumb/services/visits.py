"""Clients and visits: starting them, changing them, seeing them worked out."""

from __future__ import annotations

from collections.abc import Callable, Iterator, Set
from dataclasses import replace
from datetime import date, timedelta
from typing import Any
from uuid import UUID, uuid4

from ..core.errors import ValueOutOfRange
from ..core.language import msg
from ..core.plans import best_stack
from ..core.presentation import StackView, stack_view
from ..core.record import Field, as_kept, check_range, field_of, fields, other_end, read_typed
from ..core.units import LengthUnit, format_length, parse_length
from ..core.visit import spoken_date
from ..core.what_if import (
    VisitInput,
    WhatIfRequest,
    WhatIfResult,
    WhatIfSession,
    at_place,
    case_of,
    visit_input_to_json,
)
from .consent import consent_for, erased_by
from .errors import NotFound
from .measured import measuring_of
from .models import (
    Change,
    ChangedClient,
    Client,
    Entry,
    ListedClient,
    Member,
    NewClient,
    OpenVisit,
    Practice,
    Visit,
    VisitSnapshot,
    view_of,
)
from .ports import Clock, Records
from .programmes import ProgrammePage, programme_page
from .visit_lists import (
    DUE_SOON,
    LATEST_SIGNED,
    PAGE,
    ListQuery,
    VisitLineView,
    line_view,
    matches,
    of_today,
    page_of,
)
from .visit_reuse import VisitReuse
from .working_days import DayPage, day_page
from .workup import VisitResults, visit_input, work_up

FOLLOW_UP = fields.report.follow_up.id
FURTHEST_EAST = timedelta(hours=14)
"""Where the day begins first, before the clock of the server."""
MOST_LIFT_MM = 1000.0
"""More is no stack. House value."""


EVERY = ListQuery()


class VisitService:
    """What is done with clients and visits."""

    def __init__(
        self,
        records: Records,
        clock: Clock,
        errors_of: Callable[[Member], dict[str, float]] | None = None,
        chosen_by: Callable[[Member], dict[str, str]] | None = None,
        hidden_from: Callable[[Member], Set[UUID]] | None = None,
        reuse: VisitReuse | None = None,
    ) -> None:
        self._records, self._clock = records, clock
        self._errors_of = errors_of or (lambda _: {})
        self._chosen_by = chosen_by or (lambda _: {})
        self._hidden_from = hidden_from or (lambda _: frozenset())
        self._reuse = reuse or VisitReuse()

    def clients(self, member: Member, query: ListQuery = EVERY) -> list[ListedClient]:
        """A page of the clients that a member sees, by name, each with their last visit."""
        practice = member.practice_id
        ids = page_of(self._clients_sought(member, query), query.offset)
        last = self._records.last_visits(practice, ids) if ids else {}
        return [
            view_of(ListedClient, client, last_visit=seen[0], follow_up=seen[1])
            for client in (self._records.clients(practice, ids) if ids else [])
            for seen in [last.get(client.id, (None, None))]
        ]

    def _clients_sought(self, member: Member, query: ListQuery) -> Iterator[UUID]:
        """The clients that a member sees and looks for, by name."""
        hidden = self._hidden_from(member)
        for id, name, work in self._records.client_names(member.practice_id):
            asked = query.client_id in (None, id) and matches(query.words, name, work)
            if asked and id not in hidden:
                yield id

    def add_client(self, member: Member, client: NewClient) -> Client:
        """A new client; the same id sent again makes no second one."""
        return self._records.add_client(Client(practice_id=member.practice_id, **vars(client)))

    def change_client(self, member: Member, client_id: UUID, client: ChangedClient) -> Client:
        """Correct a client upon its version; raises NotFound, Stale."""
        held = self._records.client(member.practice_id, client_id)
        return self._records.change_client(replace(held, **vars(client)))

    def visits(
        self, member: Member, query: ListQuery = EVERY, practice: Practice | None = None
    ) -> list[VisitLineView]:
        """A page of the visits that a member sees, the latest first; red flags only for who sees health data.

        Without words and client it is what Today shows, on the practice's own day where it is given.
        """
        mine = member.practice_id
        if query.words or query.client_id is not None:
            clients = set(self._clients_sought(member, query))
            shown = page_of(
                (
                    visit
                    for visit, client, by in self._records.visit_keys(mine)
                    if client in clients and query.member_id in (None, by)
                ),
                query.offset,
            )
        else:
            hidden, now = self._hidden_from(member), self._clock()
            today = practice.day(now) if practice else now.date()
            every = self._records.visits_waiting(
                mine,
                soon=today + DUE_SOON,
                latest=LATEST_SIGNED,
                most=PAGE,
                member_id=query.member_id,
            )
            shown = of_today(
                [visit_in_list for visit_in_list in every if visit_in_list.client_id not in hidden],
                today,
            )
        lines = self._records.visits(mine, of=shown) if shown else []
        if not member.sees_health:
            lines = [replace(line, signs={}, felt={}, felt_before={}) for line in lines]
        return [line_view(line) for line in lines]

    def start(
        self, member: Member, practice: Practice, client_id: UUID, *, id: UUID | None = None
    ) -> Visit:
        """Start a visit with a client, on the practice's own day; raises NotAllowed, NotFound.

        A client that is open to others only is not there.

        The same id sent again makes no second one.

        How well the member repeats a reading, and what the practice has chosen, are taken down.
        """
        if client_id in self._hidden_from(member):
            raise NotFound(msg("There is no such client."))
        client = self._records.client(member.practice_id, client_id)
        visit = Visit(
            id=id or uuid4(),
            practice_id=member.practice_id,
            client_id=client.id,
            member_id=member.id,
            started_on=practice.day(self._clock()),
            errors=self._errors_of(member),
            policies=self._chosen_by(member),
        )
        return self._records.add_visit(visit)

    def open(self, member: Member, visit_id: UUID) -> OpenVisit:
        """A visit and everything in it; raises NotAllowed, NotFound."""
        visit, client, entries, reports, photos = self._records.open(member.practice_id, visit_id)
        return OpenVisit(
            id=visit.id,
            client=client,
            started_on=visit.started_on,
            revision=visit.revision,
            discarded=visit.discarded_at is not None,
            entries={entry.path: entry for entry in entries},
            reports=reports,
            photos=photos,
            consents=self._records.consents_said(member.practice_id, visit_id),
        )

    def change(
        self,
        member: Member,
        visit_id: UUID,
        *,
        change_id: UUID,
        path: str,
        typed: str,
        expected_version: int,
        unit: LengthUnit,
    ) -> tuple[Entry, int]:
        """Apply one change; the entry as it is now and the visit's revision.

        Raises
        ------
        NotAllowed, NotFound
            For readers; for a visit of another practice.
        FieldError
            If what was typed can't be read or is out of range; nothing is written then.
        Stale, ReusedChange, NeedsConsent
            As the port says.

        """
        field = field_of(path)
        value = read_typed(field, typed, unit=unit)
        if field.been and isinstance(value, str):
            self._not_ahead(field, value)
        other = other_end(path)
        if other is not None and value is not None:
            held = self._records.load_snapshot(member.practice_id, visit_id).values.get(other)
            check_range(field, typed, value, held, unit=unit)
        if path == FOLLOW_UP and value is not None:
            self._not_before_the_visit(member, visit_id, str(value))
        change = Change(
            id=change_id,
            visit_id=visit_id,
            path=path,
            typed=as_kept(field.kind, typed, unit),
            value=value,
            expected_version=expected_version,
            member_id=member.id,
            consent=consent_for(field) if value is not None else None,
            erase=erased_by(path, value),
        )
        written = self._records.write(member.practice_id, change, self._clock())
        if change.erase is not None:
            self._reuse.drop(visit_id)
        return written

    def _not_ahead(self, field: Field[object], day: str) -> None:
        """Refuse a day that lies ahead wherever on earth it is written."""
        latest = (self._clock() + FURTHEST_EAST).date()
        if date.fromisoformat(day) > latest:
            raise ValueOutOfRange(
                field=field.id,
                value=day,
                low=None,
                high=None,
                message=msg(
                    "{label}: {day} lies ahead. It counts from the day it was said, {latest} at the latest.",
                    label=field.label,
                    day=spoken_date(day),
                    latest=spoken_date(latest.isoformat()),
                ),
            )

    def _not_before_the_visit(self, member: Member, visit_id: UUID, day: str) -> None:
        begun = self._records.load_snapshot(member.practice_id, visit_id).visit.started_on
        if date.fromisoformat(day) <= begun:
            raise ValueOutOfRange(
                field=FOLLOW_UP,
                value=day,
                low=None,
                high=None,
                message=msg(
                    "Follow-up on: {day} is not after the visit, which was on {begun}.",
                    day=spoken_date(day),
                    begun=spoken_date(begun.isoformat()),
                ),
            )

    def results(
        self,
        member: Member,
        visit_id: UUID,
        unit: LengthUnit,
        *,
        body: bool = True,
        plans: bool = False,
        history: str | None = None,
        place: str = fields.places.MAIN,
    ) -> tuple[VisitSnapshot, VisitResults]:
        """The visit and what it comes to, as :func:`work_up` says; raises NotAllowed, NotFound."""
        snapshot = self._snapshot(member, visit_id)
        return snapshot, work_up(
            snapshot, unit, body=body, plans=plans, history=history, place=place
        )

    def visit_input(
        self, member: Member, visit_id: UUID, place: str = fields.places.MAIN
    ) -> dict[str, Any]:
        """What a visit is worked through from at a place, as plain values; raises NotFound."""
        return visit_input_to_json(self._given(member, visit_id, place))

    def try_out(
        self,
        member: Member,
        visit_id: UUID,
        request: WhatIfRequest,
        place: str = fields.places.MAIN,
    ) -> WhatIfResult:
        """What it would come to if something were otherwise; keeps nothing. Raises NotFound."""
        return WhatIfSession(self._given(member, visit_id, place)).try_out(request)

    def day(
        self, member: Member, visit_id: UUID, *, place: str, week: int, width: float
    ) -> DayPage:
        """The working day of a visit, as :func:`day_page` says; raises NotAllowed, NotFound."""
        _, workup = self.results(member, visit_id, "cm", body=False, place=place)
        return day_page(workup, week=week, width=width)

    def programme(self, member: Member, visit_id: UUID, *, place: str) -> ProgrammePage:
        """The movements of a visit's client; raises NotAllowed, NotFound."""
        _, workup = self.results(member, visit_id, "cm", body=False, place=place)
        return programme_page(workup)

    def _snapshot(self, member: Member, visit_id: UUID) -> VisitSnapshot:
        """The visit as it is, with what was worked out for it a moment ago."""
        snapshot = self._records.load_snapshot(member.practice_id, visit_id)
        return replace(snapshot, reuse=self._reuse.of(snapshot.client.id, visit_id))

    def _given(self, member: Member, visit_id: UUID, place: str = fields.places.MAIN) -> VisitInput:
        snapshot = self._snapshot(member, visit_id)
        return at_place(visit_input(snapshot, measuring_of(snapshot)), place)

    def stack(
        self,
        member: Member,
        visit_id: UUID,
        *,
        wanted: str,
        use: str,
        unit: LengthUnit,
        place: str = fields.places.MAIN,
    ) -> StackView:
        """The best stack from what is at hand at this visit; raises NotFound, FieldError."""
        lift = parse_length(wanted, default=unit, field="wanted")
        if not 0 < lift <= MOST_LIFT_MM:
            ends = msg(
                "{what} to {most_lift_mm}",
                what=format_length(0, unit),
                most_lift_mm=format_length(MOST_LIFT_MM, unit, with_unit=True),
            )
            raise ValueOutOfRange(
                field="wanted",
                value=wanted,
                low=0.0,
                high=MOST_LIFT_MM,
                unit="mm",
                message=msg(
                    "Lift: {lift} is outside {ends}.",
                    lift=format_length(lift, unit, with_unit=True),
                    ends=ends,
                ),
            )
        items = case_of(self._given(member, visit_id, place)).workstation.items
        return stack_view(best_stack(items, lift, use), unit)
