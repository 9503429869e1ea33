"""Signing in and out, passwords, and who may do what."""

from __future__ import annotations

import hashlib
import secrets
from collections.abc import Callable, Collection, Mapping
from dataclasses import dataclass, replace
from datetime import timedelta
from uuid import UUID, uuid4

from pwdlib import PasswordHash

from ..core.language import msg
from .account_ports import Accounts, Secrets
from .errors import NotAllowed, NotFound, NotSignedIn, SessionLocked, WrongPassword
from .models import WRITERS, Member, Practice, Role, Session, SessionView, view_of
from .passwords import check_password
from .ports import Clock
from .second_factor import SecondFactors
from .throttle import Attempts

SESSION_LENGTH = timedelta(hours=12)
KNOWN_FOR = timedelta(days=400)
"""How long a browser is remembered as one in which somebody signed in. House value."""

USE_NOTED_EVERY = timedelta(minutes=1)
"""How exactly it is noted when a session was used last. House value."""

LOCKED = msg("This page is locked. Enter your password to continue.")

_hasher = PasswordHash.recommended()
_DUMMY = _hasher.hash(msg("nobody has this password"))


def hash_secret(secret: str) -> str:
    """Return what is stored of a password or code: slow to make on purpose."""
    return _hasher.hash(secret)


def is_secret(secret: str, stored: str | None) -> bool:
    """Whether a password or code is the stored one; takes as long where there is none."""
    return _hasher.verify(secret, stored or _DUMMY) and stored is not None


def token_hash(token: str) -> bytes:
    """What is stored of a token."""
    return hashlib.sha256(token.encode()).digest()


@dataclass(frozen=True, kw_only=True)
class SignedIn:
    """A session just opened; ``known`` is the token that tells this browser again."""

    token: str
    known: str
    session: Session
    member: Member
    practice: Practice


class AccountService:
    """Sessions and members of the practice.

    ``published`` are passwords by address that everybody can read, such as the demo's: they open
    nothing. Without ``secrets`` no second factor can be set, and none opens.
    """

    def __init__(
        self,
        accounts: Accounts,
        clock: Clock,
        published: Mapping[str, str] | None = None,
        note_left: Callable[[UUID], None] | None = None,
        secrets: Secrets | None = None,
    ) -> None:
        self._accounts, self._clock = accounts, clock
        self._second = SecondFactors(accounts, clock, secrets)
        self._published = published or {}
        self._note_left = note_left or (lambda _: None)

    def sign_in(
        self,
        email: str,
        password: str,
        attempts: Attempts,
        *,
        known: str | None = None,
        browser: str = "",
        code: str = "",
    ) -> SignedIn:
        """Check a password and open a session.

        Parameters
        ----------
        email, password : str
        attempts : Attempts
            The limit, by who asks.
        known : str, optional
            The token of a browser that signed in before.
        browser : str
            What the browser calls itself, for the list of sessions.
        code : str
            Of the authenticator, or a recovery code, where the member has a second factor.

        Raises
        ------
        NotSignedIn
            For a wrong address or password, which can't be told apart; for a wrong code.
        NeedsCode
            Where the password is right and a code is needed.
        LockedOut
            After too many tries, whether or not anybody has this address.

        """
        now, address = self._clock(), email.strip().lower()
        member = self._accounts.member_by_email(address)
        known_hash = token_hash(known) if known else None
        if known_hash is not None and (
            member is None or not self._accounts.knows_browser(known_hash, member.id, now)
        ):
            known_hash = None
        was_right = attempts.begin(address, known_hash)
        right = _hasher.verify(password, member.password_hash if member else _DUMMY)
        if member is None or not right:
            raise NotSignedIn(msg("Email or password is incorrect."))
        if self._published.get(address) == password:
            raise NotSignedIn(
                msg(
                    "This is the demo’s public password and doesn’t work here. Set another one: ./plumb password"
                )
            )
        if member.sealed_totp:
            self._second.take_code(member, code)
        was_right()
        token = secrets.token_urlsafe(32)
        if known_hash is None:
            known = secrets.token_urlsafe(32)
            self._accounts.remember_browser(token_hash(known), member.id, now + KNOWN_FOR)
        session = Session(
            id=uuid4(),
            token_hash=token_hash(token),
            member_id=member.id,
            csrf=secrets.token_urlsafe(24),
            started_at=now,
            expires_at=now + SESSION_LENGTH,
            used_at=now,
            browser=browser[:200],
        )
        self._accounts.add_session(session, now)
        practice = self._accounts.practice(member.practice_id)
        return SignedIn(
            token=token, known=known or "", session=session, member=member, practice=practice
        )

    def offer_second_factor(self, member: Member) -> tuple[str, str]:
        """A new secret and the address that an authenticator scans; nothing is kept before it is confirmed."""
        return self._second.offer(member)

    def set_second_factor(
        self, member: Member, attempts: Attempts, *, password: str, secret: str, code: str
    ) -> list[str]:
        """Keep a second factor once its first code is right; recovery codes, told this once.

        Raises WrongPassword, LockedOut, NotAllowed for a wrong code.
        """
        self._ask_password(member, password, attempts)
        return self._second.keep(member, secret, code)

    def drop_second_factor(
        self, member: Member, practice: Practice, password: str, attempts: Attempts
    ) -> None:
        """Sign in by the password alone again; raises WrongPassword, LockedOut, NotAllowed where it is required."""
        self._ask_password(member, password, attempts)
        if practice.second_factor:
            raise NotAllowed(msg("Your practice requires two-step sign-in."))
        self._second.drop(member)

    def reset_second_factor(self, by: Member, member_id: UUID) -> None:
        """Take a colleague's second factor away, whose telephone is lost; their sessions end.

        Owners only; raises NotAllowed, NotFound.
        """
        member = self._colleague(by, member_id)
        self._second.drop(member)
        self._accounts.drop_sessions(member.id)

    def unlock(
        self, session: Session, member: Member, password: str, attempts: Attempts
    ) -> Session:
        """Open a locked session by its member's password; raises WrongPassword, LockedOut."""
        self._ask_password(member, password, attempts)
        now = self._clock()
        self._accounts.mark_session(session.id, now, locked=False)
        return replace(session, used_at=now, locked=False)

    def lock(self, session: Session) -> None:
        """Lock a session: from now on only the password opens it."""
        self._accounts.mark_session(session.id, self._clock(), locked=True)

    def note_use(self, session: Session) -> None:
        """Note that the page of a session was in use, if only without network meanwhile.

        Raises SessionLocked for one that was locked, which only the password opens.
        """
        if session.locked:
            raise SessionLocked(LOCKED)
        self._accounts.mark_session(session.id, self._clock())

    def left(self, member_ids: Collection[UUID]) -> set[UUID]:
        """Those of these members who are let in no more: what a device keeps of theirs goes."""
        return self._accounts.left(member_ids)

    @staticmethod
    def _ask_password(member: Member, password: str, attempts: Attempts) -> None:
        was_right = attempts.begin(str(member.id))
        if not _hasher.verify(password, member.password_hash):
            raise WrongPassword(msg("Wrong password. Nothing was changed."))
        was_right()

    def whose_address(self, email: str) -> Member | None:
        """Whoever signs in with an address, if anybody does: for the audit log."""
        return self._accounts.member_by_email(email.strip().lower())

    def who(self, token: str | None, *, used: bool = True) -> tuple[Session, Member, Practice]:
        """The session of a token, which is ``used`` with it, its member and practice; raises NotSignedIn, SessionLocked."""
        session, member, practice = self._held(token)
        now = self._clock()
        if session.is_locked(practice, now):
            raise SessionLocked(LOCKED)
        if used and now - session.used_at >= USE_NOTED_EVERY:
            self._accounts.mark_session(session.id, now)
        return session, member, practice

    def whose(self, token: str | None) -> tuple[Session, Member, Practice, bool]:
        """As ``who``, for a locked session too; the last tells whether it is. Raises NotSignedIn."""
        session, member, practice = self._held(token)
        return session, member, practice, session.is_locked(practice, self._clock())

    def _held(self, token: str | None) -> tuple[Session, Member, Practice]:
        result = self._accounts.session(token_hash(token), self._clock()) if token else None
        if result is None:
            raise NotSignedIn(msg("Please sign in."))
        return result

    def sign_out(self, session: Session) -> None:
        """Close a session on the server."""
        self._accounts.drop_sessions(session.member_id, only=session.id)

    def sessions(self, member: Member, here: Session) -> list[SessionView]:
        """Where this member is signed in, the latest first; ``here`` is the session that asks."""
        every = self._accounts.sessions(member.id, self._clock())
        return [view_of(SessionView, session, here=session.id == here.id) for session in every]

    def end_session(self, member: Member, session_id: UUID) -> None:
        """End one of the member's own sessions; raises NotFound."""
        mine = self._accounts.sessions(member.id, self._clock())
        if session_id not in {session.id for session in mine}:
            raise NotFound(msg("There is no such session."))
        self._accounts.drop_sessions(member.id, only=session_id)

    def change_password(
        self, member: Member, session: Session, attempts: Attempts, *, current: str, password: str
    ) -> None:
        """Set another password; every other session and remembered browser of the member ends.

        Raises WrongPassword where the present one is not right, LockedOut after too many tries,
        ValueOutOfRange for a weak one.
        """
        self._ask_password(member, current, attempts)
        check_password(password, (member.name, member.email))
        self._accounts.change_member(replace(member, password_hash=_hasher.hash(password)))
        self._accounts.drop_sessions(member.id, but=session.id)

    def reset_password(self, email: str, password: str) -> Member:
        """Set a password without asking who does it: for the command line. Raises NotFound."""
        member = self._accounts.member_by_email(email.strip().lower())
        if member is None:
            raise NotFound(msg("No account with this email."))
        check_password(password, (member.name, member.email))
        self._accounts.change_member(replace(member, password_hash=_hasher.hash(password)))
        self._accounts.drop_sessions(member.id)
        return member

    def set_registration(self, member: Member, *, title: str, registration: str) -> Member:
        """Set how a member signs: profession and registration number; papers signed before keep theirs."""
        changed = replace(member, title=title, registration=registration)
        return self._accounts.change_member(changed)

    def set_language(self, member: Member, language: str) -> Member:
        """Set the language a member reads; papers for others have their own."""
        return self._accounts.change_member(replace(member, language=language))

    def members(self, member: Member) -> list[Member]:
        """Everybody in the practice."""
        return self._accounts.members(member.practice_id)

    def create_member(
        self,
        practice_id: UUID,
        *,
        email: str,
        name: str,
        title: str,
        role: Role,
        password: str,
        id: UUID | None = None,
    ) -> Member:
        """Let somebody in; the same id again makes no second one. Raises AlreadyThere, ValueOutOfRange for a weak password."""
        check_password(password, (name, email))
        return self._accounts.add_member(
            Member(
                id=id or uuid4(),
                practice_id=practice_id,
                email=email.strip().lower(),
                name=name,
                title=title,
                role=role,
                password_hash=_hasher.hash(password),
                sees_health=role in WRITERS,
            )
        )

    def let_see_health(self, by: Member, member_id: UUID, *, sees: bool) -> Member:
        """Grant a reader to see health data, or take it back.

        Owners only; raises NotAllowed, also for a member whose role sees it anyway; NotFound.
        """
        member = self._colleague(by, member_id)
        if member.role in WRITERS:
            raise NotAllowed(msg("Owners and practitioners always have access to health data."))
        if member.role == "assistant":
            raise NotAllowed(
                msg(
                    "Assistants can’t have access to health data. Change their role to reader first."
                )
            )
        return self._accounts.change_member(replace(member, sees_health=sees))

    def remove_member(self, by: Member, member_id: UUID) -> None:
        """Let a member in no more: sessions end at once, what they wrote stays under their name.

        Owners only, and never the last of them; raises NotAllowed, NotFound.
        """
        member = self._colleague(by, member_id)
        owners = [member for member in self.members(by) if member.role == "owner"]
        if owners == [member]:
            raise NotAllowed(msg("This is the only owner. Make someone else an owner first."))
        self._note_left(
            member_id
        )  # first: better on the list and still here than the other way round
        self._accounts.remove_member(by.practice_id, member_id, self._clock())

    def change_practice(self, practice: Practice) -> Practice:
        """Set what an owner decides for the practice."""
        self._accounts.change_practice(practice)
        return practice

    def _colleague(self, by: Member, member_id: UUID) -> Member:
        for member in self.members(by):
            if member.id == member_id:
                return member
        raise NotFound(msg("There is no such member."))
