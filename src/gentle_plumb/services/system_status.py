"""How the program runs, for an owner: backups, what waits to be done, and what was given up."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Protocol
from uuid import UUID

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


@dataclass(frozen=True, kw_only=True)
class Trouble:
    """Something that went wrong while nobody was there to be told: when, and what was said of it."""

    at: datetime
    detail: str


BACKUP = "backup"
"""What a trouble with backups is kept under."""


class Troubles(Protocol):
    """The last trouble of each kind."""

    def note(self, kind: str, moment: datetime, detail: str) -> None:
        """Keep it in the place of the one before."""

    def clear(self, kind: str) -> None:
        """It went well."""

    def last(self, kind: str) -> Trouble | None:
        """None where it went well last."""


class FailedMails(Protocol):
    """Mails that were given up, to clients and to members."""

    def failed(self, practice_id: UUID) -> list[FailedMail]:
        """The latest first."""

    def let_go(self, practice_id: UUID, mail_id: UUID) -> None:
        """Raises NotFound."""


@dataclass(frozen=True, kw_only=True)
class Running:
    """``waiting`` and ``failed_jobs`` are of the whole installation, ``failed`` of the practice.

    ``worker_heard`` is when the queue's worker last reported, None where none ever has; ``worker_lost``
    whether that is too long ago. ``backup_trouble`` is why the last try at a backup failed.
    """

    version: str
    backups: bool
    last_backup: BackupFile | None
    late: bool
    backup_trouble: Trouble | None
    worker_heard: datetime | None
    worker_lost: bool
    kept_days: int
    waiting: int
    failed_jobs: int
    failed: list[FailedMail]


WORKER_LOST = timedelta(minutes=2)
"""A worker that has not reported for so long does nothing any more: it reports every ten seconds. House value."""


def worker_lost(heard: datetime | None, now: datetime) -> bool:
    """Whether nothing that is queued is being done."""
    return heard is None or now - heard > WORKER_LOST


class SystemStatusService:
    """Looks at the program; ``last_backup`` is None where no backups are made here."""

    def __init__(
        self,
        mails: FailedMails,
        queue: JobQueue,
        troubles: Troubles,
        clock: Clock,
        *,
        version: str,
        kept_days: int,
        last_backup: Callable[[], BackupFile | None] | None,
    ) -> None:
        self._mails, self._queue, self._clock = mails, queue, clock
        self._troubles = troubles
        self._version, self._kept_days, self._last_backup = version, kept_days, last_backup

    def look(self, member: Member) -> Running:
        """How it stands; owners only, raises NotAllowed."""
        counts, heard, now = self._queue.counts(), self._queue.worker_heard(), self._clock()
        last = self._last_backup() if self._last_backup is not None else None
        backups = self._last_backup is not None
        return Running(
            version=self._version,
            backups=backups,
            last_backup=last,
            late=backups and (last is None or now - last.at > LATE),
            backup_trouble=self._troubles.last(BACKUP) if backups else None,
            worker_heard=heard,
            worker_lost=worker_lost(heard, now),
            kept_days=self._kept_days,
            waiting=sum(n for (_, state), n in counts.items() if state in ("todo", "doing")),
            failed_jobs=sum(n for (_, state), n in counts.items() if state == "failed"),
            failed=self._mails.failed(member.practice_id),
        )

    def worker(self) -> tuple[datetime | None, bool]:
        """When the queue's worker last reported, and whether that is too long ago."""
        heard = self._queue.worker_heard()
        return heard, worker_lost(heard, self._clock())

    def ages(self) -> dict[str, float]:
        """How long ago worker and backup last went well, and when a backup failed, s; what never did is left out."""
        last = self._last_backup() if self._last_backup is not None else None
        trouble = self._troubles.last(BACKUP) if self._last_backup is not None else None
        moments = {
            "worker": self._queue.worker_heard(),
            "backup": last.at if last is not None else None,
            "backup_failed": trouble.at if trouble is not None else None,
        }
        now = self._clock()
        return {
            name: (now - moment).total_seconds()
            for name, moment in moments.items()
            if moment is not None
        }

    def let_go(self, member: Member, mail_id: UUID) -> None:
        """Let a mail go that was given up; owners only. Raises NotAllowed, NotFound."""
        self._mails.let_go(member.practice_id, mail_id)
