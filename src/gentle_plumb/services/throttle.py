"""How often a password may be tried, and how long one waits after that.

A try is counted before the password is looked at, so that tries sent at once count as well. Three
things are counted: the sender, the address as this sender gives it, and the address by whomever. A
browser that signed in before has a count of its own in the place of all three, so that nobody
can keep a member out from elsewhere. Addresses that nobody has count like all others.

Each kind of try has its own counts. A practice often shares one network address, so a client
mistyping the code of their own page must not keep the colleagues from signing in.
"""

from __future__ import annotations

import hashlib
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Literal, Protocol

from .errors import LockedOut

AttemptKind = Literal["sign in", "confirm", "reset", "own page"]
"""What was tried: signing in, a password asked for again before something is changed, a reset
asked for, the code of a client's own page."""

FORGOTTEN_AFTER = timedelta(hours=1)
"""A count is forgotten when nothing was tried for so long. House value."""
FIRST_WAIT = timedelta(seconds=30)
LONGEST_WAIT = timedelta(minutes=15)
"""Each try past the free ones doubles the wait, from 30 s to a quarter of an hour. House values."""


@dataclass(frozen=True, kw_only=True)
class RateLimitKey:
    """Something tries are counted by; ``free`` of them cost no waiting."""

    key: bytes
    free: int


@dataclass(frozen=True, kw_only=True)
class AttemptCount:
    """How many there were, and when the last was let through."""

    count: int
    last_at: datetime


def counted_by(
    kind: AttemptKind, whom: str, sender: str, known: bytes | None = None
) -> list[RateLimitKey]:
    """What a try is counted by.

    Parameters
    ----------
    kind : AttemptKind
        What was tried.
    whom : str
        Whose it is: the email address as typed, in lower case; a member's id; a link's token.
    sender : str
        The network address it comes from.
    known : bytes, optional
        Hash of the token of a browser in which this address signed in before.

    """
    if known is not None:
        return [RateLimitKey(key=_key(kind, "browser", known.hex()), free=10)]
    return [
        RateLimitKey(key=_key(kind, "sender", sender), free=30),
        RateLimitKey(key=_key(kind, "pair", whom, sender), free=5),
        RateLimitKey(key=_key(kind, "address", whom), free=50),
    ]


def _key(*parts: str) -> bytes:
    return hashlib.sha256("\0".join(parts).encode()).digest()


def wait_for(counted: RateLimitKey, tries: AttemptCount | None, now: datetime) -> timedelta:
    """Return how long the next attempt must wait; zero if it may be made now.

    A last attempt dated in the future, as after the clock was set back, counts as made now.

    >>> from datetime import UTC
    >>> noon = datetime(2026, 1, 1, 12, tzinfo=UTC)
    >>> pair = RateLimitKey(key=b"", free=5)
    >>> wait_for(pair, AttemptCount(count=4, last_at=noon), noon)
    datetime.timedelta(0)
    >>> wait_for(pair, AttemptCount(count=6, last_at=noon), noon + timedelta(seconds=20))
    datetime.timedelta(seconds=40)
    """
    if tries is None or tries.count < counted.free or _forgotten(tries, now):
        return timedelta(0)
    doubled: int = 2 ** min(tries.count - counted.free, 10)
    wait = min(LONGEST_WAIT, FIRST_WAIT * doubled)
    since = max(timedelta(0), now - tries.last_at)
    return max(timedelta(0), wait - since)


def after_try(tries: AttemptCount | None, now: datetime) -> AttemptCount:
    """The count once a try was let through."""
    before = 0 if tries is None or _forgotten(tries, now) else tries.count
    return AttemptCount(count=before + 1, last_at=now)


def _forgotten(tries: AttemptCount, now: datetime) -> bool:
    return abs(now - tries.last_at) > FORGOTTEN_AFTER


class AttemptStore(Protocol):
    """Where attempts are counted."""

    def record_attempt(self, counted: Sequence[RateLimitKey], now: datetime) -> timedelta:
        """Count a try by all of these, unless one of them has to wait; how long it has to.

        Tries that come at once are counted one after the other.
        """

    def clear_attempts(self, counted: Sequence[RateLimitKey]) -> None:
        """The try was right: it leaves no trace, and what counted one address by sender is gone."""


@dataclass(frozen=True, kw_only=True)
class Attempts:
    """The limit of a route: attempts of one kind, by who sends them."""

    kind: AttemptKind
    sender: str
    store: AttemptStore
    clock: Callable[[], datetime]

    def begin(self, whom: str, known: bytes | None = None) -> Callable[[], None]:
        """Count an attempt before it is looked at; what is returned is called where it was right.

        Raises LockedOut after too many, whoever they were about.
        """
        counted = counted_by(self.kind, whom, self.sender, known)
        wait = self.store.record_attempt(counted, self.clock())
        if wait > timedelta(0):
            raise LockedOut(int(wait.total_seconds()) + 1)
        return lambda: self.store.clear_attempts(counted)
