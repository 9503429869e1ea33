"""How the program runs, for an owner: backups, what waits to be done, and what was given up."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Protocol
from uuid import UUID

from .errors import NotAllowed
from .models import FailedMail, Member
from .ports import Clock
from .queue import JobQueue

LATE = timedelta(days=2)
"""A last backup older than this is said to be late: one night may fail, two are a trouble. House value."""


@dataclass(frozen=True, kw_only=True)
class BackupFile:
    """A backup that was read back: when, and its size, bytes."""

    at: datetime
    size: int


class FailedMails(Protocol):
    """Mails that were given up, to clients and to members."""

    def failed(self, practice_id: UUID) -> list[FailedMail]:
        """The latest first."""

    def let_go(self, practice_id: UUID, mail_id: UUID) -> None:
        """Raises NotFound."""


@dataclass(frozen=True, kw_only=True)
class Running:
    """``waiting`` and ``failed_jobs`` are of the whole installation, ``failed`` of the practice."""

    version: str
    backups: bool
    last_backup: BackupFile | None
    late: bool
    kept_days: int
    waiting: int
    failed_jobs: int
    failed: list[FailedMail]


class RunningService:
    """Looks at the program; ``last_backup`` is None where no backups are made here."""

    def __init__(
        self,
        mails: FailedMails,
        queue: JobQueue,
        clock: Clock,
        *,
        version: str,
        kept_days: int,
        last_backup: Callable[[], BackupFile | None] | None,
    ) -> None:
        self._mails, self._queue, self._clock = mails, queue, clock
        self._version, self._kept_days, self._last_backup = version, kept_days, last_backup

    def look(self, member: Member) -> Running:
        """How it stands; owners only, raises NotAllowed."""
        self._need_owner(member)
        counts = self._queue.counts()
        last = self._last_backup() if self._last_backup is not None else None
        backups = self._last_backup is not None
        return Running(
            version=self._version,
            backups=backups,
            last_backup=last,
            late=backups and (last is None or self._clock() - last.at > LATE),
            kept_days=self._kept_days,
            waiting=sum(n for (_, state), n in counts.items() if state in ("todo", "doing")),
            failed_jobs=sum(n for (_, state), n in counts.items() if state == "failed"),
            failed=self._mails.failed(member.practice_id),
        )

    def let_go(self, member: Member, mail_id: UUID) -> None:
        """Let a mail go that was given up; owners only. Raises NotAllowed, NotFound."""
        self._need_owner(member)
        self._mails.let_go(member.practice_id, mail_id)

    @staticmethod
    def _need_owner(member: Member) -> None:
        if member.role != "owner":
            raise NotAllowed("Only an owner sees how the program runs.")
