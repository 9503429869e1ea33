"""Signing in and out; who may do what."""

from __future__ import annotations

import hashlib
import secrets
from datetime import timedelta
from uuid import UUID, uuid4

from pwdlib import PasswordHash

from .errors import LockedOut, NotAllowed, NotSignedIn
from .models import WRITERS, Member, Practice, Role, Session
from .ports import Accounts, Clock

SESSION_LENGTH = timedelta(hours=12)
FREE_FAILURES = 5
LOCK_STEP = timedelta(seconds=30)
"""After five wrong passwords in a row each further one doubles the wait, from 30 s. House values."""
LONGEST_LOCK = timedelta(minutes=30)
LEAST_PASSWORD = 10

_hasher = PasswordHash.recommended()
_DUMMY = _hasher.hash("nobody has this password")


def token_hash(token: str) -> bytes:
    """What is stored of a session's token."""
    return hashlib.sha256(token.encode()).digest()


class AccountService:
    """Sessions and members of the practice."""

    def __init__(self, accounts: Accounts, clock: Clock) -> None:
        self._accounts, self._clock = accounts, clock

    def sign_in(self, email: str, password: str) -> tuple[str, Session, Member]:
        """Check a password and open a session; the token, the session, the member.

        Raises
        ------
        NotSignedIn
            For a wrong address or password; the two can't be told apart.
        LockedOut
            After too many wrong passwords.

        """
        now = self._clock()
        member = self._accounts.member_by_email(email.strip().lower())
        if member is None:
            _hasher.verify(password, _DUMMY)
            raise NotSignedIn("Address or password is wrong.")
        if member.locked_until is not None and member.locked_until > now:
            raise LockedOut(int((member.locked_until - now).total_seconds()) + 1)
        if not _hasher.verify(password, member.password_hash):
            failures = member.failures + 1
            over = failures - FREE_FAILURES
            wait = min(LONGEST_LOCK, LOCK_STEP * 2 ** min(over, 10)) if over >= 0 else None
            self._accounts.note_failure(member.id, failures, now + wait if wait else None)
            raise NotSignedIn("Address or password is wrong.")
        if member.failures:
            self._accounts.note_failure(member.id, 0, None)
        token = secrets.token_urlsafe(32)
        session = Session(
            token_hash=token_hash(token), member_id=member.id, csrf=secrets.token_urlsafe(24),
            expires_at=now + SESSION_LENGTH,
        )  # fmt: skip
        self._accounts.add_session(session)
        return token, session, member

    def who(self, token: str | None) -> tuple[Session, Member, Practice]:
        """The session of a token, its member and practice; raises NotSignedIn."""
        found = self._accounts.session(token_hash(token), self._clock()) if token else None
        if found is None:
            raise NotSignedIn("Please sign in.")
        return found

    def sign_out(self, session: Session) -> None:
        """Close a session on the server."""
        self._accounts.drop_session(session.token_hash)

    def practice(self, member: Member) -> Practice:
        """The member's practice."""
        return self._accounts.practice(member.practice_id)

    def members(self, member: Member) -> list[Member]:
        """Everybody in the practice."""
        return self._accounts.members(member.practice_id)

    def add_member(
        self, by: Member, *, email: str, name: str, title: str, role: Role, password: str
    ) -> Member:
        """Let somebody in. Owners only; raises NotAllowed, AlreadyThere."""
        if by.role != "owner":
            raise NotAllowed("Only an owner adds people.")
        return self.create_member(
            by.practice_id, email=email, name=name, title=title, role=role, password=password
        )

    def create_member(
        self, practice_id: UUID, *, email: str, name: str, title: str, role: Role, password: str
    ) -> Member:
        """Make a member without asking who does it: for set-up only."""
        member = Member(
            id=uuid4(), practice_id=practice_id, email=email.strip().lower(), name=name,
            title=title, role=role, password_hash=_hasher.hash(password),
        )  # fmt: skip
        self._accounts.add_member(member)
        return member


def require_writer(member: Member) -> None:
    """Raises NotAllowed for readers."""
    if member.role not in WRITERS:
        raise NotAllowed("You may read here, but not change anything.")
