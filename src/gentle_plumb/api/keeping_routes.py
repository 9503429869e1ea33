"""Routes of how long records are kept, of erasing with proof, and of how the program runs."""

from __future__ import annotations

from typing import Annotated, Literal
from uuid import UUID

from fastapi import APIRouter, Query, Response

from ..schemas import access as s
from ..services.models import ErasedWhat
from ..services.papers.erasure import erasure_paper
from .auth import CurrentUser, Signed, With
from .dependencies import Services
from .problems import PROBLEMS
from .traced import TracedRoute

keeping_router = APIRouter(
    prefix="/api", tags=["clients"], responses=PROBLEMS, route_class=TracedRoute
)
Reason = Annotated[
    Literal["asked", "due", "mistake"],
    Query(description="The client asked for it, its time is over, it was made by mistake."),
]


@keeping_router.get("/keeping")
def keeping(services: With, who: Signed) -> s.KeepingOut:
    """How long records are kept, what is due to go, what was erased; owners only."""
    due = services.keeping.due(who.member, who.practice)
    return s.KeepingOut.of(who.practice, due, services.keeping.erasures(who.member))


@keeping_router.put("/keeping")
def set_periods(services: With, who: Signed, given: s.PeriodsIn) -> s.KeepingOut:
    """Set how long records are kept; owners only. Nothing is erased by itself."""
    practice = services.keeping.set_periods(who.member, who.practice, **given.model_dump())
    due = services.keeping.due(who.member, practice)
    return s.KeepingOut.of(practice, due, services.keeping.erasures(who.member))


@keeping_router.delete("/clients/{client_id}")
def erase_client(
    services: With, who: Signed, client_id: UUID, reason: Reason = "asked"
) -> s.ErasureOut:
    """Erase a client with everything kept of them; with signed reports, owners only."""
    return _erased(services, who, client_id, "client", reason)


@keeping_router.delete("/clients/{client_id}/photographs")
def erase_photographs(
    services: With, who: Signed, client_id: UUID, reason: Reason = "asked"
) -> s.ErasureOut:
    """Erase all photographs of a client, also from signed copies."""
    return _erased(services, who, client_id, "photographs", reason)


def _erased(
    services: Services, who: CurrentUser, client_id: UUID, what: ErasedWhat, reason: str
) -> s.ErasureOut:
    made, name = services.keeping.erase(who.member, client_id, what=what, reason=reason)
    return s.ErasureOut.of(made, name)


@keeping_router.post(
    "/erasures/{erasure_id}/proof.pdf",
    response_class=Response,
    responses={200: {"content": {"application/pdf": {}}}},
)
def proof(services: With, who: Signed, erasure_id: UUID, given: s.ProofIn) -> Response:
    """The proof of an erasure as a paper; the name on it is kept nowhere."""
    found = services.keeping.proof(who.member, erasure_id)
    pdf = services.press.print(erasure_paper(who.practice, found, given.client))
    return Response(
        pdf,
        media_type="application/pdf",
        headers={"Content-Disposition": 'attachment; filename="proof-of-erasure.pdf"'},
    )


@keeping_router.get("/running")
def running(services: With, who: Signed) -> s.RunningOut:
    """Backups, what waits and what was given up; owners only."""
    found = services.running.look(who.member)
    last = found.last_backup
    return s.RunningOut(
        version=found.version,
        backups=found.backups,
        last_backup=s.BackupOut(at=last.at, megabytes=last.size / 1e6) if last else None,
        late=found.late,
        backup_trouble=s.TroubleOut(**vars(found.backup_trouble)) if found.backup_trouble else None,
        worker_heard=found.worker_heard,
        worker_lost=found.worker_lost,
        kept_days=found.kept_days,
        waiting=found.waiting,
        failed_jobs=found.failed_jobs,
        failed=[s.FailedMailOut(**vars(one)) for one in found.failed],
    )


@keeping_router.delete("/running/failed/{mail_id}", status_code=204)
def let_go(services: With, who: Signed, mail_id: UUID) -> None:
    """Let a mail go that was given up; owners only."""
    services.running.let_go(who.member, mail_id)
