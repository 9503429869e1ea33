"""What workers do that takes long: many papers at once, a large import."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date, datetime
from typing import Literal
from uuid import UUID

BulkKind = Literal["papers", "import"]
BulkState = Literal["waiting", "working", "done", "failed"]


@dataclass(frozen=True, kw_only=True)
class BulkJobView:
    """Something asked for; ``says`` is what came of it, in words.

    Papers are of one ``copy``, signed from ``since`` to ``until``; both are None for an import.
    """

    id: UUID
    kind: BulkKind
    since: date | None = None
    until: date | None = None
    copy: str = ""
    state: BulkState = "waiting"
    says: str = ""
    made_at: datetime
    done_at: datetime | None = None


@dataclass(frozen=True, kw_only=True)
class BulkJob(BulkJobView):
    """A job of a member."""

    practice_id: UUID
    member_id: UUID
    claimed_at: datetime | None = None


@dataclass(frozen=True, kw_only=True)
class SignedPaper:
    """A version that was signed: whose and when, without what it says."""

    report_id: UUID
    client_id: UUID
    client: str
    number: int
    signed_at: datetime
