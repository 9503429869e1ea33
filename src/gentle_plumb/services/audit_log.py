"""The trail of a practice: written with every deed, read by its owner, and checked link by link."""

from __future__ import annotations

import csv
import hashlib
import io
import json
import threading
from collections import OrderedDict
from collections.abc import Callable, Generator, Iterable, Iterator, Sequence
from contextlib import AbstractContextManager, closing, contextmanager
from datetime import UTC, datetime, timedelta
from typing import Protocol
from uuid import UUID

from ..core.language import msg
from .models import Member, Practice, view_of
from .models.audit_log import (
    ACTS,
    AuditEntry,
    AuditLine,
    AuditLineView,
    AuditQuery,
    AuditTarget,
    TargetKind,
)
from .ports import Clock

FIRST = bytes(32)
"""What stands before a practice's first line."""
TOGETHER = timedelta(minutes=5)
"""Reads, changes and refused tries of one thing by one person within this time are one line; each change is in the journal besides. House value."""
GATHERED = ("read", "carry", "change", "answer", "refused")
MOST_KNOWN = 20_000


class AuditLog(Protocol):
    """Keeps lines; the program's own role can add and read them, and nothing else."""

    def add(self, deeds: Sequence[AuditEntry], now: datetime) -> list[AuditLine]:
        """Add lines at the end of their practice's chain, all or none."""

    def during(
        self, deed_of: Callable[[UUID | None], AuditEntry | None], now: Clock
    ) -> AbstractContextManager[Callable[[], bool]]:
        """Add the line of what is done inside in the transaction that does it, whatever that is.

        ``deed_of`` is told the client that was made, if one was. What is given says whether
        anything was changed, and so noted.
        """

    def target(self, kind: TargetKind, id: UUID) -> AuditTarget:
        """Whose a thing is; nothing where it is not there."""

    def lines(self, practice_id: UUID, query: AuditQuery) -> list[AuditLine]:
        """Lines, the latest first."""

    def whole(self, practice_id: UUID) -> Generator[AuditLine, None, None]:
        """Every line, the first one first."""

    def practices(self) -> list[UUID]:
        """Whose lines there are."""

    def names(self, practice_id: UUID) -> dict[UUID, str]:
        """Clients by identifier, as far as they are there."""


def digest_of(before: bytes, number: int, moment: datetime, deed: AuditEntry) -> bytes:
    """Return the digest of a line upon the one before it: SHA-256 of both."""
    said = [
        number,
        moment.astimezone(UTC).isoformat(),
        str(deed.practice_id),
        str(deed.member_id or ""),
        deed.who,
        deed.act,
        deed.what,
        str(deed.target.client_id or ""),
        str(deed.target.visit_id or ""),
        deed.request_id,
    ]
    text = json.dumps(said, ensure_ascii=False, separators=(",", ":"))
    return hashlib.sha256(before + text.encode()).digest()


def broken_at(lines: Iterable[AuditLine]) -> tuple[int, int | None, bytes]:
    """Return how many lines hold, the number at which the chain breaks (None where it does not), and its end.

    Parameters
    ----------
    lines : iterable of AuditLine
        Of one practice, the first one first.

    """
    before, count = FIRST, 0
    for line in lines:
        right = digest_of(before, line.number, line.at, line)
        if line.number != count + 1 or line.digest != right:
            return count, count + 1, before
        before, count = line.digest, line.number
    return count, None, before


def lines_as_csv(
    lines: Iterable[tuple[AuditLine, str]], clock: Callable[[datetime], datetime]
) -> str:
    """Return lines with their clients' names as CSV, each moment by a clock."""
    out = io.StringIO()
    writer = csv.writer(out)
    writer.writerow(["number", "at", "who", "act", "what", "client", "client_id", "digest"])
    for line, client in lines:
        at = clock(line.at).isoformat(timespec="seconds")
        writer.writerow(
            [
                *(line.number, at, _cell(line.who), ACTS[line.act], line.what),
                *(_cell(client), line.target.client_id or "", line.digest.hex()),
            ]
        )
    return out.getvalue()


def _cell(text: str) -> str:
    """A text that no spreadsheet takes for a formula."""
    return f"'{text}" if text.startswith(("=", "+", "-", "@")) else text


class AuditLogService:
    """Writes and reads the audit log."""

    def __init__(self, trail: AuditLog, clock: Clock) -> None:
        self._trail, self._clock = trail, clock
        self._lock = threading.Lock()
        self._lately: OrderedDict[tuple[object, ...], datetime] = OrderedDict()
        self._whose: OrderedDict[tuple[TargetKind, UUID], AuditTarget] = OrderedDict()

    def known(self, kind: TargetKind, id: UUID) -> AuditTarget | None:
        """Whose a thing is, where it was found before; asks nobody."""
        with self._lock:
            return self._whose.get((kind, id))

    def target(self, kind: TargetKind, id: UUID) -> AuditTarget:
        """Whose a thing is, as long as it is there; what was found once is not asked again."""
        known = self.known(kind, id)
        if known is None:
            known = self._trail.target(kind, id)
            if known.client_id is not None:
                with self._lock:
                    self._whose[kind, id] = known
                    while len(self._whose) > MOST_KNOWN:
                        self._whose.popitem(last=False)
        return known

    def gathered(self, deed: AuditEntry) -> bool:
        """Whether a deed stands in a line of a moment ago already; asks nobody."""
        if deed.act not in GATHERED:
            return False
        with self._lock:
            last = self._lately.get(_key(deed))
        return last is not None and timedelta(0) <= self._clock() - last < TOGETHER

    def note(self, *deeds: AuditEntry) -> None:
        """Write deeds down together; reads and changes that follow each other are one line."""
        fresh = [deed for deed in deeds if not self.gathered(deed)]
        if not fresh:
            return
        self._trail.add(fresh, self._clock())
        for deed in fresh:
            self._noted(deed)

    @contextmanager
    def during(
        self, deed_of: Callable[[UUID | None], AuditEntry | None]
    ) -> Iterator[Callable[[], bool]]:
        """Note what is done inside in the transaction that changes something; as :meth:`note` does."""
        written: list[AuditEntry] = []

        def fresh(made: UUID | None) -> AuditEntry | None:
            deed = deed_of(made)
            if deed is None or self.gathered(deed):
                return None
            written.append(deed)
            return deed

        with self._trail.during(fresh, self._clock) as changed:
            yield changed
        for deed in written:
            self._noted(deed)

    def _noted(self, deed: AuditEntry) -> None:
        now = self._clock()
        with self._lock:
            self._lately[_key(deed)] = now
            self._lately.move_to_end(_key(deed))
            while len(self._lately) > MOST_KNOWN:
                self._lately.popitem(last=False)

    def lines(self, member: Member, query: AuditQuery) -> list[AuditLineView]:
        """Lines with the client's name, the latest first."""
        return [view for _, view in self._named(member, query)]

    def as_csv(self, member: Member, practice: Practice, query: AuditQuery) -> str:
        """The same as CSV, by the practice's clock, with each line's digest."""
        lines = [(line, view.client) for line, view in self._named(member, query)]
        return lines_as_csv(lines, practice.local)

    def _named(
        self, member: Member, query: AuditQuery
    ) -> Iterator[tuple[AuditLine, AuditLineView]]:
        names = self._trail.names(member.practice_id)
        for line in self._trail.lines(member.practice_id, query):
            yield (
                line,
                view_of(
                    AuditLineView,
                    line,
                    says=ACTS[line.act],
                    client_id=line.target.client_id,
                    client=_client_name(line, names),
                    visit_id=line.target.visit_id,
                    digest=line.digest.hex(),
                ),
            )

    def check(self) -> list[tuple[UUID, int, int | None, str]]:
        """Each practice's chain: how many lines hold, where it breaks, and its end as hex digits."""
        result = []
        for practice_id in self._trail.practices():
            with closing(self._trail.whole(practice_id)) as lines:
                count, broken, end = broken_at(lines)
            result.append((practice_id, count, broken, end.hex()))
        return result


def _key(deed: AuditEntry) -> tuple[object, ...]:
    return deed.practice_id, deed.member_id, deed.who, deed.act, deed.what, deed.target


def _client_name(line: AuditLine, names: dict[UUID, str]) -> str:
    if line.target.client_id is None:
        return ""
    return names.get(line.target.client_id, msg("erased client"))
