"""How long records are kept, erasing with proof, how the program runs, and what takes long."""

from __future__ import annotations

from typing import Annotated, Literal
from uuid import UUID

from pydantic import Field

from ..core.language import msg
from ..schemas.access import PapersRequest, ProofRequest
from ..services.archives import MOST_BYTES
from ..services.models import BulkJobView, ChangedPeriods, ClientView
from ..services.papers.erasure import erasure_paper
from ..services.papers.languages import spoken_copy
from ..services.retention import ErasureView, RetentionView
from ..services.system_status import Running
from .route import Caller, FileAnswer, FileBody, Needs, Routes
from .services import Services

Reason = Annotated[
    Literal["asked", "due", "mistake"],
    Field(description="The client asked for it, its time is over, it was made by mistake."),
]
Agreed = Annotated[bool, Field(description="The client agrees to the records being kept here.")]
ZIP = "application/zip"

RETENTION_ROUTES = Routes("clients")
get, post, put, delete = (
    RETENTION_ROUTES.get,
    RETENTION_ROUTES.post,
    RETENTION_ROUTES.put,
    RETENTION_ROUTES.delete,
)


@get("/retention", Needs.OWNER)
def retention(to: Services, who: Caller) -> RetentionView:
    """How long records are kept, what is due to go, what was erased; owners only."""
    return to.retention.look(who.practice)


@put("/retention", Needs.OWNER, audit=("manage", msg("periods of keeping")))
def set_periods(to: Services, who: Caller, periods: ChangedPeriods) -> RetentionView:
    """Set how long records are kept; owners only. Nothing is erased by itself."""
    return to.retention.look(to.retention.set_periods(who.practice, periods))


@delete("/clients/{client_id}", Needs.WRITER, audit=("erase", "client"), within_s=None)
def erase_client(
    to: Services, who: Caller, client_id: UUID, reason: Reason = "asked"
) -> ErasureView:
    """Erase a client with everything kept of them; with signed reports, owners only."""
    return to.retention.erase(who.member, client_id, what="client", reason=reason)


@delete(
    "/clients/{client_id}/photographs", Needs.WRITER, audit=("erase", "photographs"), within_s=None
)
def erase_photographs(
    to: Services, who: Caller, client_id: UUID, reason: Reason = "asked"
) -> ErasureView:
    """Erase all photographs of a client, also from signed copies."""
    return to.retention.erase(who.member, client_id, what="photographs", reason=reason)


@post(
    "/erasures/{erasure_id}/proof.pdf",
    Needs.WRITER,
    audit=("print", msg("proof of erasure")),
    media="application/pdf",
    within_s=None,
)
def proof(to: Services, who: Caller, erasure_id: UUID, request: ProofRequest) -> FileAnswer:
    """The proof of an erasure as a paper; the name on it is kept nowhere."""
    proof = to.retention.proof(who.member, erasure_id)
    paper = erasure_paper(who.practice, proof, request.client)
    pdf = to.pdf_renderer.print(spoken_copy(paper, who.member.language or "en"))
    return FileAnswer(content=pdf, media="application/pdf", name="proof-of-erasure.pdf")


@get("/system-status", Needs.OWNER)
def running(to: Services, who: Caller) -> Running:
    """Backups, what waits and what was given up; owners only."""
    return to.system_status.look(who.member)


@delete(
    "/system-status/failed/{mail_id}", Needs.OWNER, audit=("manage", msg("mail let go")), status=204
)
def let_go(to: Services, who: Caller, mail_id: UUID) -> None:
    """Let a mail go that was given up; owners only."""
    to.system_status.let_go(who.member, mail_id)


@get("/bulk", Needs.MEMBER)
def jobs(to: Services, who: Caller) -> list[BulkJobView]:
    """What one has asked workers for, the latest first; after a day it is forgotten."""
    return [*to.bulk.jobs(who.member)]


@post(
    "/bulk/papers",
    Needs.WRITER_WITH_HEALTH,
    audit=("export", msg("papers of a period, asked for")),
    status=202,
)
def ask_papers(to: Services, who: Caller, request: PapersRequest) -> BulkJobView:
    """Ask for one copy of every paper signed on the days of a period, as one file."""
    return to.bulk.ask_papers(who.member, **request.model_dump())


@post(
    "/bulk/import",
    Needs.WRITER,
    audit=("import", msg("client, by a worker")),
    status=202,
    file=FileBody(MOST_BYTES),
    within_s=None,
)
def ask_import(to: Services, who: Caller, raw: bytes, agreed: Agreed) -> BulkJobView:
    """Have a client's archive imported by a worker: for large ones."""
    return to.bulk.ask_import(who.member, raw, agreed=agreed)


@get(
    "/bulk/{job_id}.zip",
    Needs.HEALTH,
    audit=("export", msg("papers of a period")),
    media=ZIP,
    within_s=None,
)
def bulk_file(to: Services, who: Caller, job_id: UUID) -> FileAnswer:
    """The file that was made, for who asked for it."""
    file = to.bulk.file(who.member, job_id)
    clients = to.bulk.clients_in(who.practice.id, job_id, file)
    return FileAnswer(content=file, media=ZIP, name="papers.zip", clients=clients)


@delete("/bulk/{job_id}", Needs.MEMBER, status=204)
def drop_job(to: Services, who: Caller, job_id: UUID) -> None:
    """Forget a job with its file."""
    to.bulk.drop(who.member, job_id)


@get(
    "/clients/{client_id}/archive.zip",
    Needs.WRITER_WITH_HEALTH,
    audit=("export", "client"),
    media=ZIP,
    within_s=None,
)
def export_client(to: Services, who: Caller, client_id: UUID) -> FileAnswer:
    """A client whole: every visit, photograph and signed paper as open files in one archive."""
    client, archive = to.archives.export(who.member, client_id)
    return FileAnswer(content=archive, media=ZIP, name=f"client-{client.id}.zip")


@post(
    "/clients/archive",
    Needs.WRITER,
    audit=("import", "client"),
    status=201,
    file=FileBody(MOST_BYTES),
    within_s=None,
)
def import_client(to: Services, who: Caller, raw: bytes, agreed: Agreed) -> ClientView:
    """Import a client from such an archive, as a new one; refused whole where anything is wrong."""
    return to.archives.take_in(who.member, raw, agreed=agreed)
