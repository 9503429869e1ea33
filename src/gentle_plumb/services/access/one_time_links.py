"""Coming in by a one-time link: invited by an owner, or resetting a password.

The link's token is in the part of the address that browsers keep to themselves, and only its digest is kept.
"""

from __future__ import annotations

import secrets
from dataclasses import dataclass, replace
from datetime import datetime, timedelta
from uuid import UUID, uuid4, uuid5

from ...core.language import language_of, msg, numeral, spoken_day
from ..account_ports import Accounts
from ..accounts import AccountService, token_hash
from ..errors import AlreadyThere, NotFound
from ..models import (
    DoorKind,
    LetterOut,
    Member,
    OneTimeLink,
    OneTimeLinkView,
    Practice,
    Role,
    StaffLetter,
    WaitingLink,
    view_of,
)
from ..passwords import check_password
from ..ports import Clock
from ..sending import MailSender, hand_over
from ..throttle import Attempts
from .ports import OneTimeLinks

LASTS: dict[DoorKind, timedelta] = {"invitation": timedelta(days=7), "reset": timedelta(hours=1)}
"""How long a link opens: an invitation until it is read, a reset while its asker waits. House values."""
GONE = msg("This link has been used or has expired. Ask for a new one.")
_SAYS: dict[DoorKind, tuple[str, str]] = {
    "invitation": (
        msg("{practice}: your invitation to Gentle Plumb"),
        msg(
            "{by} has invited you to {practice} in Gentle Plumb.\n\nChoose your password here by {until}:\n{url}\n\nThe link works once. If you didn’t expect this email, you can ignore it.\n"
        ),
    ),
    "reset": (
        msg("{practice}: reset your password"),
        msg(
            "Someone asked to reset your password for {practice} in Gentle Plumb.\n\nChoose a new one here by {until}:\n{url}\n\nThe link works once. If this wasn’t you, ignore this email: your password stays the same.\n"
        ),
    ),
}


@dataclass(frozen=True, kw_only=True)
class MadeDoor:
    """A link just made; ``url`` is told only where no mail server is set up to carry it."""

    link: OneTimeLinkView
    mailed: bool
    url: str


@dataclass(frozen=True, kw_only=True)
class Door:
    """What a link opens, as its holder sees it."""

    kind: DoorKind
    practice: str
    name: str
    email: str


class OneTimeLinkService:
    """Makes one-time links, sends them, and lets in who holds one."""

    def __init__(
        self,
        links: OneTimeLinks,
        accounts: Accounts,
        people: AccountService,
        sender: MailSender | None,
        clock: Clock,
    ) -> None:
        self._links, self._accounts, self._people = links, accounts, people
        self._sender, self._clock = sender, clock

    @property
    def mails(self) -> bool:
        """Whether a mail server is set up."""
        return self._sender is not None

    def invite(
        self,
        by: Member,
        practice: Practice,
        *,
        email: str,
        name: str,
        title: str,
        role: Role,
        base: str,
    ) -> MadeDoor:
        """Invite somebody; an earlier invitation of theirs opens nothing any more.

        Owners only; raises NotAllowed, AlreadyThere for an address that signs in already.
        """
        address = email.strip().lower()
        if self._accounts.member_by_email(address) is not None:
            raise AlreadyThere(msg("This email is already in use."))
        link, url = self._made("invitation", practice, address, name, base, by=by.name)
        return self._sent(replace(link, title=title, role=role), url)

    def invitations(self, by: Member) -> list[WaitingLink]:
        """Links that wait, with how far their letter has got."""
        return [
            view_of(
                WaitingLink,
                link,
                letter=letter.state if letter else "",
                trouble=letter.trouble if letter else "",
            )
            for link, letter in self._links.waiting(by.practice_id, self._clock())
        ]

    def again(self, by: Member, practice: Practice, link_id: UUID, *, base: str) -> MadeDoor:
        """Send another link in place of one; owners only. Raises NotAllowed, NotFound."""
        held = self._links.link(practice.id, link_id)
        if held.used_at is not None:
            raise NotFound(msg("This link has already been used."))
        link, url = self._made(held.kind, practice, held.email, held.name, base, by=by.name)
        return self._sent(
            replace(link, title=held.title, role=held.role, member_id=held.member_id), url
        )

    def withdraw(self, by: Member, link_id: UUID) -> None:
        """Close a link at once; owners only. Raises NotAllowed, NotFound."""
        self._links.drop(by.practice_id, link_id)

    def reset_for(self, by: Member, practice: Practice, member_id: UUID, *, base: str) -> MadeDoor:
        """Send a colleague a link to reset their password; owners only. Raises NotAllowed, NotFound."""
        for member in self._accounts.members(practice.id):
            if member.id == member_id:
                link, url = self._made(
                    "reset", practice, member.email, member.name, base, by=by.name
                )
                return self._sent(replace(link, member_id=member.id), url)
        raise NotFound(msg("There is no such member."))

    def ask_reset(self, email: str, attempts: Attempts, *, base: str) -> None:
        """Send a reset to whoever signs in with an address; whether anybody does is not told.

        Raises LockedOut after too many tries.
        """
        address = email.strip().lower()
        attempts.begin(address)
        member = self._accounts.member_by_email(address)
        if member is None or not self.mails:
            return
        practice = self._accounts.practice(member.practice_id)
        link, url = self._made("reset", practice, address, member.name, base)
        self._sent(replace(link, member_id=member.id), url)

    def look(self, token: str) -> Door:
        """What a link opens; raises NotFound for one that opens nothing."""
        link = self._open(token)
        practice = self._accounts.practice(link.practice_id)
        return Door(kind=link.kind, practice=practice.name, name=link.name, email=link.email)

    def enter(self, token: str, password: str) -> Member:
        """Use a link up: the invited is a member, the forgotten password another one.

        A second factor stays as it is: the password alone does not sign in where there is one.

        Raises
        ------
        NotFound
            For a link that opens nothing, or is used a second time.
        ValueOutOfRange
            For a weak password; the link is not used up then.
        AlreadyThere
            Where the invited came in another way since.

        """
        link = self._open(token)
        check_password(password, (link.name, link.email))
        if link.kind == "reset":
            if not self._links.use(link.id, self._clock()):
                raise NotFound(GONE)
            return self._people.reset_password(link.email, password)
        member = self._people.create_member(
            link.practice_id,
            id=uuid5(link.id, "member"),
            email=link.email,
            name=link.name,
            title=link.title,
            role=link.role or "reader",
            password=password,
        )
        if not self._links.use(link.id, self._clock()):
            raise NotFound(GONE)
        return member

    def deliver(self, letter_id: UUID) -> None:
        """Hand one letter over; raises MailTrouble where it is to be tried again."""
        claimed = self._links.claim_letter(letter_id)
        if claimed is None:
            return
        letter, link = claimed
        if link.used_at is not None or link.ends_at <= self._clock():
            self._links.settle_letter(replace(letter, state="dropped", url=""))
            return
        practice = self._accounts.practice(link.practice_id)
        handed = hand_over(self._sender, self._written(practice, link, letter), letter.tries)
        sent_at = self._clock() if handed.state == "sent" else None
        self._links.settle_letter(
            replace(
                letter,
                state=handed.state,
                trouble=handed.trouble,
                sent_at=sent_at,
                url=letter.url if handed.again else "",
            )
        )
        if handed.again:
            raise handed.again

    def _open(self, token: str) -> OneTimeLink:
        link = self._links.by_token(token_hash(token))
        if link is None or link.used_at is not None or link.ends_at <= self._clock():
            raise NotFound(GONE)
        return link

    def _made(
        self, kind: DoorKind, practice: Practice, email: str, name: str, base: str, *, by: str = ""
    ) -> tuple[OneTimeLink, str]:
        token, now = secrets.token_urlsafe(32), self._clock()
        link = OneTimeLink(
            id=uuid4(),
            token_hash=token_hash(token),
            practice_id=practice.id,
            kind=kind,
            email=email,
            name=name,
            made_by=by,
            made_at=now,
            ends_at=now + LASTS[kind],
        )
        return link, f"{base}/enter#{token}"

    def _sent(self, link: OneTimeLink, url: str) -> MadeDoor:
        letter = StaffLetter(id=uuid4(), link_id=link.id, url=url) if self.mails else None
        self._links.add(link, letter)
        return MadeDoor(link=link, mailed=self.mails, url="" if self.mails else url)

    def _written(self, practice: Practice, link: OneTimeLink, letter: StaffLetter) -> LetterOut:
        """Return the email in its reader’s language; an invitation in that of who invites."""
        subject, text = _SAYS[link.kind]
        read = {
            name: member.language
            for member in self._accounts.members(practice.id)
            for name in (member.name, member.email)
        }
        language = language_of(read.get(link.email) or read.get(link.made_by) or "en")
        gaps = {
            "practice": practice.name,
            "by": link.made_by,
            "until": _moment(practice.local(link.ends_at)),
            "url": letter.url,
        }
        return LetterOut(
            id=letter.id,
            to=link.email,
            subject=language.say(subject.format(**gaps)),
            text=language.say(text.format(**gaps)),
        )


def _moment(local: datetime) -> str:
    return msg("{time} on {day}", time=numeral(f"{local:%H:%M}"), day=spoken_day(local.date()))
