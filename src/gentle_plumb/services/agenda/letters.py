"""Mail to clients about appointments: when, where, with whom, and no word about health.

What is told waits a little first: a time that is taken back at once is never told. Whether it still holds is
looked at when it is sent.
"""

from __future__ import annotations

from datetime import date, datetime, timedelta
from uuid import UUID, uuid4

from ...core.language import filled, language_of, msg, spoken_day, weekday
from ..account_ports import Accounts
from ..errors import NotFound
from ..models import Appointment, LetterOut, MailKind, OutgoingMail, Practice
from ..models.agenda import REMINDED_BEFORE, PlaceKind
from ..own_page.catalogues import ENGLISH, languages_with, translated
from ..own_page.ports import OwnPages
from ..ports import Clock
from .ports import AgendaStore, CalendarWriter, Event

SETTLES = timedelta(minutes=5)
"""A mail about an appointment waits so long, so that one which is taken back is never told. House value."""


def told_as(appointment: Appointment) -> str:
    """Return the time and place a client is told: what is the same is not told twice."""
    facts = (
        appointment.on,
        appointment.at,
        appointment.minutes,
        appointment.place_kind,
        appointment.place,
    )
    return "/".join(str(fact) for fact in facts)


class AppointmentLetters:
    """Queues mail about appointments, and writes it when it is sent."""

    def __init__(
        self,
        store: AgendaStore,
        pages: OwnPages,
        accounts: Accounts,
        calendar: CalendarWriter,
        clock: Clock,
        *,
        there: bool,
    ) -> None:
        self._store, self._pages, self._accounts = store, pages, accounts
        self._calendar, self._clock, self.there = calendar, clock, there

    def told(self, practice: Practice, appointment: Appointment) -> None:
        """Queue what the client is to be told of a new or moved appointment, and the reminder."""
        client = self._store.client_of(appointment)
        now = self._clock()
        starts = appointment.starts(practice.time_zone)
        if not (self.there and appointment.mail_client and client.email) or starts <= now:
            return
        mails = [self._mail(practice, appointment, "appointment", now + SETTLES)]
        if starts - REMINDED_BEFORE > now:
            mails.append(self._mail(practice, appointment, "reminder", starts - REMINDED_BEFORE))
        waiting = {
            (mail.kind, mail.about)
            for mail in self._store.mails_about(appointment.id)
            if mail.state == "waiting"
        }
        self._pages.queue_mail([mail for mail in mails if (mail.kind, mail.about) not in waiting])

    def cancelled(self, practice: Practice, appointment: Appointment) -> None:
        """Queue that an appointment is off, where the client was told of it and it is not past."""
        if appointment.starts(practice.time_zone) > self._clock() and self._told(appointment.id):
            due = self._clock() + SETTLES
            self._pages.queue_mail([self._mail(practice, appointment, "cancelled", due)])

    def _mail(
        self, practice: Practice, appointment: Appointment, kind: MailKind, due: datetime
    ) -> OutgoingMail:
        return OutgoingMail(
            id=uuid4(),
            practice_id=practice.id,
            client_id=appointment.client_id,
            link_id=None,
            round_id=None,
            appointment_id=appointment.id,
            about=told_as(appointment),
            kind=kind,
            recipient=self._store.client_of(appointment).email,
            url="",
            made_at=self._clock(),
            due_at=due,
        )

    def _told(self, appointment_id: UUID) -> str:
        """What the client was told last; empty where they were told nothing, or that it is off."""
        sent = self._sent(appointment_id, "appointment", "cancelled")
        return sent[-1].about if sent and sent[-1].kind == "appointment" else ""

    def _sent(self, appointment_id: UUID, *kinds: MailKind) -> list[OutgoingMail]:
        """Mails about an appointment that were sent, the last one at the end."""
        sent = [
            (mail.sent_at, mail)
            for mail in self._store.mails_about(appointment_id)
            if mail.sent_at is not None and mail.kind in kinds
        ]
        return [mail for _, mail in sorted(sent, key=lambda pair: pair[0])]

    def letter(self, mail: OutgoingMail) -> LetterOut | None:
        """Return the letter as it is to be sent now; None where it does not hold any more."""
        assert mail.appointment_id is not None
        practice = self._accounts.practice(mail.practice_id)
        try:
            held = self._store.appointment(mail.practice_id, mail.appointment_id)
        except NotFound:
            held = None
        told = self._told(mail.appointment_id)
        if mail.kind == "cancelled":
            if held is not None or not told:
                return None
            return self._written(practice, mail, None, "cancelled")
        if held is None or told_as(held) != mail.about:
            return None
        if held.starts(practice.time_zone) <= self._clock():
            return None
        if mail.kind == "reminder":
            reminded = mail.about in (sent.about for sent in self._sent(held.id, "reminder"))
            if reminded or not held.mail_client:
                return None
            return self._written(practice, mail, held, "reminder")
        if told == mail.about:
            return None
        return self._written(practice, mail, held, "moved" if told else "appointment")

    def _written(
        self, practice: Practice, mail: OutgoingMail, held: Appointment | None, words: str
    ) -> LetterOut:
        known = languages_with(self._pages.catalogues(practice.id))
        tag = self._language(practice.id, mail.client_id)
        messages, language = translated(known.get(tag, ENGLISH)), language_of(tag)
        on, at, minutes, place_kind, place = mail.about.split("/", 4)
        gaps = {
            "practice": practice.name,
            "when": language.say(when_words(date.fromisoformat(on), int(at))),
            "minutes": minutes,
            "where": language.say(where_words(place_kind, place)),  # type: ignore[arg-type]
            "member": self._with_whom(practice.id, held.member_id) if held is not None else "",
            "contact": practice.contact or practice.name,
        }

        def filled_in(name: str) -> str:
            text = messages[f"mail.{words}.{name}"]
            for gap, value in gaps.items():
                text = text.replace(f"{{{gap}}}", value)
            return text

        return LetterOut(
            id=mail.id,
            to=mail.recipient,
            subject=filled_in("subject"),
            text=filled_in("text"),
            calendar=self.invitation(practice, held) if held is not None else b"",
        )

    def _with_whom(self, practice_id: UUID, member_id: UUID) -> str:
        people = self._accounts.members(practice_id)
        return next((person.name for person in people if person.id == member_id), "")

    def _language(self, practice_id: UUID, client_id: UUID) -> str:
        """The language of the client's last own page; English where they never had one."""
        links = self._pages.links(practice_id, client_id)
        return links[0].language if links else "en"

    def invitation(self, practice: Practice, held: Appointment) -> bytes:
        """Return the client's calendar file: with whom of which practice, when and where."""
        language = language_of(self._language(practice.id, held.client_id))
        whom = self._with_whom(practice.id, held.member_id)
        place = where_words(held.place_kind, held.place)
        event = Event(
            key=str(held.id),
            version=held.version,
            title=language.say(
                msg("Appointment with {member}, {practice}", member=whom, practice=practice.name)
            ),
            place=language.say(place),
            starts=held.starts(practice.time_zone),
            ends=held.ends(practice.time_zone),
        )
        return self._calendar([event], name=practice.name, made_at=self._clock())


def when_words(on: date, at: int) -> str:
    """Return a day and a time as one says them: Thursday 3 December 2026, 09:30."""
    return msg(
        "{weekday} {day}, {time}",
        weekday=weekday(on),
        day=spoken_day(on),
        time=f"{at // 60:02}:{at % 60:02}",
    )


def where_words(kind: PlaceKind, place: str) -> str:
    """Return where an appointment is."""
    if kind == "call":
        return msg("By phone, on {number}", number=place) if place else msg("By phone")
    return filled("{place}", place=place)
