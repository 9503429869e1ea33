"""Mail to clients: it holds the practice's name and the link, and no word about health.

A mail is kept and queued in one transaction, sent by a worker, tried again while the mail server can't take it,
and never handed over twice: it is taken in hand first, and one that was in hand when a worker died stays so,
to be looked at.
"""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import replace
from datetime import datetime, time
from uuid import UUID, uuid4
from zoneinfo import ZoneInfo

from ...core.language import msg
from ..errors import NotReady
from ..models import CheckRound, Client, ClientLink, LetterOut, MailKind, OutgoingMail, Practice
from ..ports import Clock
from ..sending import MailSender, hand_over
from .catalogues import ENGLISH, languages_with, translated
from .ports import OwnPages

HOUR = time(9)
"""When mails of a day to come are sent, by the clock of the practice. House value."""


class MailService:
    """Queues mails and hands them over.

    ``sender`` is None where email is not set up; ``appointments`` writes the mails about appointments, None for one
    that is not wanted any more.
    """

    def __init__(
        self,
        pages: OwnPages,
        sender: MailSender | None,
        clock: Clock,
        appointments: Callable[[OutgoingMail], LetterOut | None] = lambda _: None,
    ) -> None:
        self._pages, self._sender, self._clock = pages, sender, clock
        self._appointments = appointments

    @property
    def there(self) -> bool:
        """Whether a mail server is set up."""
        return self._sender is not None

    def queue(
        self,
        practice: Practice,
        client: Client,
        link: ClientLink,
        rounds: Sequence[CheckRound],
        url: str,
    ) -> None:
        """Queue the link now, and a mail for each check on the day it is due.

        Checks that are asked for already are not queued again. Raises NotReady.
        """
        missing = []
        if not self.there:
            missing.append(("mail", msg("email is not set up")))
        if not client.email:
            missing.append(("email", msg("no email recorded for the client")))
        if missing:
            raise NotReady(missing)
        now = self._clock()
        today = practice.day(now)
        asked = {
            mail.round_id
            for mail in self._pages.mails(practice.id, client.id)
            if mail.state in ("waiting", "sending", "sent")
        }

        def mail(kind: MailKind, due: datetime, round_id: UUID | None = None) -> OutgoingMail:
            return OutgoingMail(
                id=uuid4(),
                practice_id=practice.id,
                client_id=client.id,
                link_id=link.id,
                round_id=round_id,
                kind=kind,
                recipient=client.email,
                url=url,
                made_at=now,
                due_at=due,
            )

        mails = [mail("before" if link.kind == "before" else "after", now)]
        for check_round in rounds:
            if (
                check_round.sent_at is None
                and today < check_round.due_on <= link.ends_on
                and check_round.id not in asked
            ):
                due = datetime.combine(check_round.due_on, HOUR, ZoneInfo(practice.time_zone))
                mails.append(mail("check", due, check_round.id))
        self._pages.queue_mail(mails)

    def deliver(self, mail_id: UUID) -> None:
        """Hand one mail over, unless it is in hand, sent, or not wanted any more.

        Raises MailTrouble where it is to be tried again.
        """
        mail = self._pages.claim_mail(mail_id)
        if mail is None:
            return
        letter = self._letter(mail)
        if letter is None:
            self._pages.settle_mail(replace(mail, state="dropped", url=""))
            return
        handed = hand_over(self._sender, letter, mail.tries)
        self._pages.settle_mail(
            replace(
                mail,
                state=handed.state,
                trouble=handed.trouble,
                sent_at=self._clock() if handed.state == "sent" else None,
                url=mail.url if handed.again else "",
            )
        )
        if handed.again:
            raise handed.again

    def _letter(self, mail: OutgoingMail) -> LetterOut | None:
        """What is to be sent; None where it is not wanted any more."""
        if mail.link_id is None:
            return self._appointments(mail)
        link = self._pages.link(mail.practice_id, mail.link_id)
        practice, _ = self._pages.whose(link)
        done = {
            check_round.id
            for check_round in self._pages.rounds([link.id])
            if check_round.sent_at is not None
        }
        if not link.open_on(practice.day(self._clock())) or mail.round_id in done:
            return None
        known = languages_with(self._pages.catalogues(practice.id))
        words = translated(known.get(link.language, ENGLISH))
        gaps = {"practice": practice.name, "link": mail.url, "until": link.ends_on.isoformat()}

        def filled(name: str) -> str:
            text = words[f"mail.{mail.kind}.{name}"]
            for gap, value in gaps.items():
                text = text.replace(f"{{{gap}}}", value)
            return text

        return LetterOut(
            id=mail.id, to=mail.recipient, subject=filled("subject"), text=filled("text")
        )
