"""Appointments and private calendars in PostgreSQL."""

from __future__ import annotations

from datetime import date
from uuid import UUID

from sqlalchemy import delete, select
from sqlalchemy.dialects.postgresql import insert as upsert

from ..core.language import msg
from ..services.errors import NotFound
from ..services.models import (
    Appointment,
    CalendarFeed,
    Client,
    Member,
    OutgoingMail,
    PlannedAppointment,
    Practice,
    view_of,
)
from .errors import mapped_errors
from .mapping import columns_of, model_of, values_of
from .store import Store, add_once
from .tables import APPOINTMENT, CALENDAR_FEED, CLIENT, MEMBER, OUTGOING_MAIL, PRACTICE, VISIT

_APPOINTMENT, _FEED, _MAIL = APPOINTMENT.c, CALENDAR_FEED.c, OUTGOING_MAIL.c
_MISSING = msg("There is no such appointment. It may have been cancelled.")
CHANGED = ("member_id", "on", "at", "minutes", "kind", "place_kind", "place", "mail_client")


class SqlAgenda(Store):
    """The AgendaStore port."""

    def planned(
        self, practice_id: UUID, start: date, end: date, *, member_id: UUID | None = None
    ) -> list[PlannedAppointment]:
        begun = (
            select(VISIT.c.id)
            .where(VISIT.c.id == _APPOINTMENT.id, VISIT.c.discarded_at.is_(None))
            .exists()
        )
        query = (
            select(
                *columns_of(Appointment),
                *(CLIENT.c[name].label(f"client_{name}") for name in ("name", "work", "email")),
                MEMBER.c.name.label("member_name"),
                begun.label("begun"),
            )
            .join_from(APPOINTMENT, CLIENT, CLIENT.c.id == _APPOINTMENT.client_id)
            .join(MEMBER, MEMBER.c.id == _APPOINTMENT.member_id)
            .where(_APPOINTMENT.practice_id == practice_id, _APPOINTMENT.on.between(start, end))
            .order_by(_APPOINTMENT.on, _APPOINTMENT.at, CLIENT.c.name, _APPOINTMENT.id)
        )
        if member_id is not None:
            query = query.where(_APPOINTMENT.member_id == member_id)
        with self._reader.connect() as connection:
            return [
                view_of(
                    PlannedAppointment,
                    model_of(Appointment, row),
                    client=row.client_name,
                    work=row.client_work,
                    email=row.client_email != "",
                    member=row.member_name,
                    begun=row.begun,
                )
                for row in connection.execute(query)
            ]

    def appointment(self, practice_id: UUID, appointment_id: UUID) -> Appointment:
        mine = (_APPOINTMENT.practice_id == practice_id) & (_APPOINTMENT.id == appointment_id)
        return self._get(Appointment, _MISSING, mine)

    def add_appointment(self, appointment: Appointment) -> Appointment:
        known = (CLIENT.c.id == appointment.client_id) & (
            CLIENT.c.practice_id == appointment.practice_id
        )
        with mapped_errors(), self._engine.begin() as connection:
            if connection.execute(select(CLIENT.c.id).where(known)).first() is None:
                raise NotFound(msg("There is no such client."))
            return add_once(connection, appointment)

    def change_appointment(self, appointment: Appointment) -> Appointment:
        return self._change(appointment, only=CHANGED, missing=_MISSING)

    def drop_appointment(self, practice_id: UUID, appointment_id: UUID) -> None:
        self._drop(Appointment, practice_id, appointment_id, _MISSING)

    def clients_planned(self, practice_id: UUID, start: date) -> frozenset[UUID]:
        planned = select(_APPOINTMENT.client_id).where(
            _APPOINTMENT.practice_id == practice_id, _APPOINTMENT.on >= start
        )
        with self._reader.connect() as connection:
            return frozenset(connection.execute(planned).scalars())

    def client_of(self, appointment: Appointment) -> Client:
        return self._get(
            Client, msg("There is no such client."), CLIENT.c.id == appointment.client_id
        )

    def put_feed(self, feed: CalendarFeed) -> None:
        put = upsert(CALENDAR_FEED).values(**values_of(feed))
        put = put.on_conflict_do_update(
            index_elements=["member_id"],
            set_={name: put.excluded[name] for name in ("token_hash", "names", "made_at")},
        )
        with self._engine.begin() as connection:
            connection.execute(put)

    def feed(self, member_id: UUID) -> CalendarFeed | None:
        return self._first(CalendarFeed, _FEED.member_id == member_id)

    def feed_at(self, token_hash: bytes) -> tuple[CalendarFeed, Member, Practice] | None:
        query = (
            select(*columns_of(CalendarFeed), *columns_of(Member), *columns_of(Practice))
            .join_from(CALENDAR_FEED, MEMBER, MEMBER.c.id == _FEED.member_id)
            .join(PRACTICE, PRACTICE.c.id == MEMBER.c.practice_id)
            .where(_FEED.token_hash == token_hash, MEMBER.c.left_at.is_(None))
        )
        with self._reader.connect() as connection:
            row = connection.execute(query).first()
        if row is None:
            return None
        return model_of(CalendarFeed, row), model_of(Member, row), model_of(Practice, row)

    def drop_feed(self, member_id: UUID) -> None:
        with self._engine.begin() as connection:
            connection.execute(delete(CALENDAR_FEED).where(_FEED.member_id == member_id))

    def mails_about(self, appointment_id: UUID) -> list[OutgoingMail]:
        mine = _MAIL.appointment_id == appointment_id
        return self._list(OutgoingMail, mine, order=(_MAIL.made_at.desc(), _MAIL.id))
