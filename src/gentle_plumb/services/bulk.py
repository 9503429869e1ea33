"""What takes long is done by a worker: the papers of a period as one file, the import of a large archive.

Who asked sees how far it is, fetches the file within a day, and is told in words where it failed.
"""

from __future__ import annotations

import io
import re
import zipfile
from collections.abc import Callable, Set
from dataclasses import replace
from datetime import UTC, date, datetime, timedelta
from typing import Protocol
from uuid import UUID, uuid4

from ..core.errors import UnreadableValue
from ..core.language import joined, msg, ngettext
from .account_ports import Accounts
from .archives import ArchiveService
from .consent import NOTES
from .errors import BadFile, NeedsConsent, NotFound, ServiceError, Withheld
from .models import BulkJob, Member, Practice, SignedPaper
from .paper_models import Copy
from .ports import Clock
from .reports import ReportService

KEPT = timedelta(days=1)
"""How long a file waits to be fetched; then it goes, with its line. House value."""
MOST_PAPERS = 2_000
"""More than a practice signs in a year: a longer period is asked for in parts. House value."""
STARTED = (2000, 1, 1, 0, 0, 0)


class BulkJobs(Protocol):
    """Jobs with their files."""

    def add(self, job: BulkJob, file: bytes | None) -> None:
        """Keep a job and queue it, both or neither."""

    def of(self, practice_id: UUID, member_id: UUID) -> list[BulkJob]:
        """A member's jobs, the latest first."""

    def claim(self, job_id: UUID, now: datetime) -> tuple[BulkJob, bytes | None] | None:
        """Take a job in hand with its file: one that waits, or that a worker died over; None otherwise."""

    def settle(self, job: BulkJob, file: bytes | None) -> None:
        """Put how far a job has got, and its file."""

    def file(self, practice_id: UUID, job_id: UUID) -> tuple[BulkJob, bytes | None]:
        """Raises NotFound."""

    def drop(self, practice_id: UUID, job_id: UUID) -> None:
        """Raises NotFound."""

    def drop_old(self, before: datetime) -> None:
        """Forget jobs that were made before a moment, with their files."""

    def signed(self, practice_id: UUID, since: datetime, until: datetime) -> list[SignedPaper]:
        """Versions signed from a moment to before another, the first signed first."""


class BulkService:
    """Takes large things on, and does them."""

    def __init__(
        self,
        jobs: BulkJobs,
        accounts: Accounts,
        reports: ReportService,
        archives: ArchiveService,
        clock: Clock,
        hidden_from: Callable[[Member], Set[UUID]],
    ) -> None:
        self._jobs, self._accounts, self._clock = jobs, accounts, clock
        self._reports, self._archives, self._hidden_from = reports, archives, hidden_from

    def ask_papers(self, member: Member, *, since: date, until: date, which: Copy) -> BulkJob:
        """Ask for one copy of every version signed on the days of a period.

        Raises NotAllowed; UnreadableValue for a period that ends before it begins.
        """
        if until < since:
            raise UnreadableValue(
                field="until",
                value=until.isoformat(),
                message=msg(
                    "Until: {until} is before {since}, the day it begins.",
                    until=until.isoformat(),
                    since=since.isoformat(),
                ),
            )
        job = self._new(member, since=since, until=until, copy=which)
        self._jobs.add(job, None)
        return job

    def ask_import(self, member: Member, raw: bytes, *, agreed: bool) -> BulkJob:
        """Have a client's archive imported; raises NotAllowed, NeedsConsent without the client's word."""
        if not agreed:
            raise NeedsConsent(
                "agreed",
                NOTES,
                msg("Ask the client first: these records contain health information."),
            )
        job = self._new(member)
        self._jobs.add(job, raw)
        return job

    def _new(
        self,
        member: Member,
        *,
        since: date | None = None,
        until: date | None = None,
        copy: str = "",
    ) -> BulkJob:
        return BulkJob(
            id=uuid4(),
            practice_id=member.practice_id,
            member_id=member.id,
            kind="papers" if copy else "import",
            since=since,
            until=until,
            copy=copy,
            made_at=self._clock(),
        )

    def jobs(self, member: Member) -> list[BulkJob]:
        """What a member has asked for, the latest first."""
        return self._jobs.of(member.practice_id, member.id)

    def file(self, member: Member, job_id: UUID) -> bytes:
        """What a job has made, for who asked for it; raises NotAllowed, NotFound."""
        job, data = self._jobs.file(member.practice_id, job_id)
        if job.member_id != member.id or job.kind != "papers" or data is None:
            raise NotFound(msg("File not found, or no longer available."))
        return data

    def clients_in(self, practice_id: UUID, job_id: UUID, file: bytes) -> frozenset[UUID]:
        """Whose papers a file holds that was made: by the report that each paper's name ends with."""
        job, _ = self._jobs.file(practice_id, job_id)
        if job.since is None or job.until is None:
            return frozenset()
        with zipfile.ZipFile(io.BytesIO(file)) as folder:
            held = {name.removesuffix(".pdf").rpartition(" ")[2] for name in folder.namelist()}
        around = self._jobs.signed(
            practice_id,
            _midnight(job.since) - timedelta(days=1),
            _midnight(job.until) + timedelta(days=2),
        )
        return frozenset(paper.client_id for paper in around if str(paper.report_id)[:8] in held)

    def drop(self, member: Member, job_id: UUID) -> None:
        """Forget a job with its file, for who asked for it; raises NotFound."""
        job, _ = self._jobs.file(member.practice_id, job_id)
        if job.member_id != member.id:
            raise NotFound(msg("There is no such job."))
        self._jobs.drop(member.practice_id, job_id)

    def tidy(self) -> None:
        """Forget what nobody has fetched within a day."""
        self._jobs.drop_old(self._clock() - KEPT)

    def do(self, job_id: UUID, *, last: bool) -> None:
        """Do a job, once. What can't be done is said; what fails otherwise is raised and tried again.

        Parameters
        ----------
        job_id : UUID
        last : bool
            Whether this is the last try.

        """
        claimed = self._jobs.claim(job_id, self._clock())
        if claimed is None:
            return
        job, raw = claimed
        try:
            done, file = self._done(job, raw)
        except ServiceError as error:
            done, file = replace(job, state="failed", says=_words(error)), None
        except Exception:
            if last:
                says = msg("It failed. Your administrator can see why.")
                self._jobs.settle(replace(job, state="failed", says=says), None)
            else:
                self._jobs.settle(replace(job, state="waiting"), raw)
            raise
        self._jobs.settle(replace(done, done_at=self._clock()), file)

    def _done(self, job: BulkJob, raw: bytes | None) -> tuple[BulkJob, bytes | None]:
        member = next(
            (
                member
                for member in self._accounts.members(job.practice_id)
                if member.id == job.member_id
            ),
            None,
        )
        if member is None:
            raise NotFound(msg("The member who requested it has left the practice."))
        if job.kind == "import":
            client = self._archives.take_in(member, raw or b"", agreed=True)
            return replace(
                job, state="done", says=msg("{client} was imported.", client=client.name)
            ), None
        practice = self._accounts.practice(job.practice_id)
        file, count, withheld = self._papers(job, member, practice)
        says = ngettext("{count} report", "{count} reports", count)
        if withheld:
            says += msg(
                "; {withheld} left out: the client has not consented to this copy, or it was not kept",
                withheld=withheld,
            )
        return replace(job, state="done", says=f"{says}."), file

    def _papers(self, job: BulkJob, member: Member, practice: Practice) -> tuple[bytes, int, int]:
        """The papers as a ZIP, how many there are, and how many may not leave."""
        assert job.since is not None
        assert job.until is not None
        hidden = self._hidden_from(member)
        around = self._jobs.signed(  # a day's edge is the practice's own
            practice.id,
            _midnight(job.since) - timedelta(days=1),
            _midnight(job.until) + timedelta(days=2),
        )
        mine = [
            paper
            for paper in around
            if job.since <= practice.day(paper.signed_at) <= job.until
            and paper.client_id not in hidden
        ]
        if len(mine) > MOST_PAPERS:
            raise BadFile(
                msg(
                    "{len} reports is over the limit of {most_papers}. Choose a shorter period.",
                    len=len(mine),
                    most_papers=MOST_PAPERS,
                )
            )
        out, withheld = io.BytesIO(), 0
        with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as folder:
            for paper in mine:
                try:
                    _, pdf = self._reports.marked_pdf(member, practice, paper.report_id, _copy(job))
                except (Withheld, NotFound):
                    withheld += 1
                    continue
                name = f"{practice.day(paper.signed_at)} {_plain(paper.client)} version {paper.number} {str(paper.report_id)[:8]}.pdf"
                folder.writestr(zipfile.ZipInfo(name, STARTED), pdf, zipfile.ZIP_DEFLATED)
        return out.getvalue(), len(mine) - withheld, withheld


def _copy(job: BulkJob) -> Copy:
    for text in ("client", "workplace", "record"):
        if text == job.copy:
            return text
    raise NotFound(msg("There is no such copy."))


def _midnight(day: date) -> datetime:
    return datetime.combine(day, datetime.min.time(), UTC)


def _plain(name: str) -> str:
    """A name that any system takes for a file's."""
    return re.sub(r"[^\w .'-]", "", name).strip()[:80] or "client"


def _words(error: ServiceError) -> str:
    lines = [line.reason for line in error.lines] if isinstance(error, BadFile) else []
    return joined(" ", [str(error), *lines[:5]])
