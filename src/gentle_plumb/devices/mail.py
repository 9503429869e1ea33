"""Mail by SMTP, and the simulated mail server's inbox."""

from __future__ import annotations

import mailbox
import smtplib
import ssl
from dataclasses import dataclass
from email.message import EmailMessage
from email.policy import SMTP
from email.utils import formatdate
from pathlib import Path
from uuid import UUID

from ..core.language import msg
from ..services.errors import MailRefused, MailTrouble
from ..services.models import LetterOut

PATIENCE_S = 20.0
"""How long a mail server may take to answer. House value."""
REFUSED_FOR_GOOD = 500
"""SMTP codes from here on are final (RFC 5321, 4.2.1)."""


@dataclass(frozen=True, kw_only=True)
class SmtpSettings:
    """Where mail is handed over: host and port, who signs in, whether the line is made secret, who sends.

    ``authorities`` is a file with certificates that vouch for the mail server, where the system's do not.
    """

    host: str
    port: int
    sender: str
    user: str = ""
    password: str = ""
    tls: bool = True
    authorities: Path | None = None


class SmtpMail:
    """The MailSender port over SMTP. A mail has the same Message-ID each time it is tried."""

    def __init__(self, settings: SmtpSettings) -> None:
        self._settings = settings

    def send(self, letter: LetterOut) -> None:
        settings = self._settings
        message = EmailMessage(policy=SMTP)
        message["From"] = settings.sender
        message["To"] = letter.to
        message["Subject"] = " ".join(letter.subject.split())
        message["Date"] = formatdate(localtime=False)
        message["Message-ID"] = f"<{letter.id}@{settings.sender.rpartition('@')[2] or 'localhost'}>"
        message["Auto-Submitted"] = "auto-generated"
        message.set_content(letter.text)
        if letter.calendar:
            message.add_attachment(
                letter.calendar,
                maintype="text",
                subtype="calendar",
                filename="appointment.ics",
                params={"method": "PUBLISH", "charset": "utf-8"},
            )
        try:
            with self._connected() as server:
                if settings.user:
                    server.login(settings.user, settings.password)
                server.send_message(message)
        except smtplib.SMTPRecipientsRefused as error:
            code, words = next(iter(error.recipients.values()))
            raise _trouble(code, words) from None
        except smtplib.SMTPResponseException as error:
            raise _trouble(error.smtp_code, error.smtp_error) from None
        except ssl.SSLCertVerificationError as error:
            raise MailTrouble(
                msg(
                    "The mail server’s certificate is not trusted: {verify_message}.",
                    verify_message=error.verify_message,
                )
            ) from None
        except (OSError, smtplib.SMTPException) as error:
            raise MailTrouble(
                msg("The mail server does not answer ({name}).", name=type(error).__name__)
            ) from None

    def _connected(self) -> smtplib.SMTP:
        """A line to the mail server, secret and to the right one where that is wanted."""
        settings = self._settings
        if not settings.tls:
            return smtplib.SMTP(settings.host, settings.port, timeout=PATIENCE_S)
        trusted = ssl.create_default_context(cafile=settings.authorities)
        if settings.port == SECRET_FROM_THE_START:
            return smtplib.SMTP_SSL(
                settings.host, settings.port, timeout=PATIENCE_S, context=trusted
            )
        server = smtplib.SMTP(settings.host, settings.port, timeout=PATIENCE_S)
        try:
            server.starttls(context=trusted)
        except BaseException:
            server.close()
            raise
        return server


SECRET_FROM_THE_START = 465
"""The port on which TLS begins at once (RFC 8314, 3.3); on others it is asked for."""


def _trouble(code: int, words: bytes | str) -> MailTrouble | MailRefused:
    said = words.decode("utf-8", "replace") if isinstance(words, bytes) else words
    text = msg("The mail server says {code} {said}", code=code, said=said)[:300]
    return MailRefused(text) if code >= REFUSED_FOR_GOOD else MailTrouble(text)


class FolderInbox:
    """The MailBox port over the folder in which the simulated mail server keeps what arrives (Maildir)."""

    def __init__(self, folder: Path) -> None:
        self._folder = folder

    def letters(self) -> list[LetterOut]:
        if not (self._folder / "new").is_dir():
            return []
        box = mailbox.Maildir(self._folder, create=False)
        newest_first = sorted(box.items(), key=lambda stored: stored[0], reverse=True)
        return [_letter(message) for _, message in newest_first]


def _letter(message: mailbox.MaildirMessage) -> LetterOut:
    id = (message["Message-ID"] or "").strip("<> ").split("@")[0]
    parts = message.walk() if message.is_multipart() else [message]
    body = next(
        (
            part.get_payload(decode=True)
            for part in parts
            if part.get_content_type() == "text/plain"
        ),
        b"",
    )
    text = body.decode("utf-8", "replace") if isinstance(body, bytes) else str(body)
    return LetterOut(
        id=UUID(id) if len(id) == 36 else UUID(int=0),
        to=str(message["To"] or ""),
        subject=" ".join(str(message["Subject"] or "").split()),  # a long one is folded
        text=text.replace("\r\n", "\n"),
    )
