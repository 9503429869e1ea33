"""Wiring of what is mailed: a worker needs this much of the program, and no more."""

from __future__ import annotations

from datetime import UTC, datetime

from sqlalchemy import Engine

from .config import Settings
from .devices import SmtpMail, SmtpSettings
from .documents.appointment_calendar import appointment_calendar
from .services.access import OneTimeLinkService
from .services.accounts import AccountService
from .services.agenda import AppointmentLetters
from .services.own_page import MailService
from .services.ports import Clock
from .storage import SqlAccounts, SqlAgenda, SqlOneTimeLinks, SqlOwnPages


def now() -> datetime:
    """The clock."""
    return datetime.now(UTC)


def mail_sender(settings: Settings) -> SmtpMail | None:
    """The mail server of the settings, if there is one."""
    host, _, port = settings.mail.rpartition(":")
    if not host or not port.isdigit():
        return None
    return SmtpMail(
        SmtpSettings(
            host=host,
            port=int(port),
            sender=settings.mail_from or f"plumb@{host}",
            user=settings.mail_user,
            password=settings.mail_password.get_secret_value(),
            tls=settings.mail_tls,
            authorities=settings.mail_authorities,
        )
    )


def mail_service(engine: Engine, settings: Settings, clock: Clock = now) -> MailService:
    """What queues mail and hands it over."""
    letters = appointment_letters(engine, settings, clock)
    return MailService(SqlOwnPages(engine), mail_sender(settings), clock, letters.letter)


def appointment_letters(
    engine: Engine, settings: Settings, clock: Clock = now
) -> AppointmentLetters:
    """What queues and writes mail about appointments."""
    return AppointmentLetters(
        SqlAgenda(engine),
        SqlOwnPages(engine),
        SqlAccounts(engine),
        appointment_calendar,
        clock,
        there=mail_sender(settings) is not None,
    )


def entrance_service(engine: Engine, settings: Settings, clock: Clock = now) -> OneTimeLinkService:
    """What lets people in by one-time links, and hands over the letters with them."""
    accounts = SqlAccounts(engine)
    people = AccountService(accounts, clock)
    return OneTimeLinkService(
        SqlOneTimeLinks(engine), accounts, people, mail_sender(settings), clock
    )
