"""Reports: drafts, their PDF, and signing, which freezes them."""

from __future__ import annotations

import hashlib
from dataclasses import dataclass
from uuid import UUID, uuid4

from ..core.record import Record, fields
from ..core.record.fields.ask import ConsentAnswer
from ..core.units import LengthUnit
from ..core.visit import spoken_date
from .accounts import require_health, require_writer
from .errors import MovedOn, NotReady, Withheld
from .models import Member, Practice, Report, ReportHead
from .papers import (
    ClientPaper,
    Copy,
    client_paper,
    legacy_paper,
    missing_for_signing,
    summary_of,
    target_card,
)
from .ports import Clock, PdfRenderer, Records
from .visits import VisitService


@dataclass(frozen=True, kw_only=True)
class DraftReport:
    """A report as it would be signed, at one revision of its visit."""

    content: ClientPaper
    missing: list[tuple[str, str]]
    summary: list[str]
    revision: int


class ReportService:
    """Drafts and signed versions."""

    def __init__(
        self, records: Records, visits: VisitService, press: PdfRenderer, clock: Clock
    ) -> None:
        self._records, self._visits, self._press, self._clock = records, visits, press, clock

    def draft(
        self, member: Member, practice: Practice, visit_id: UUID, unit: LengthUnit
    ) -> DraftReport:
        """What the report would say now, what a signature waits for and what it would sign.

        All from one reading of the visit. Raises NotAllowed, NotFound.
        """
        working, workup = self._visits.worked(member, visit_id, unit)
        return DraftReport(
            content=client_paper(practice, working, workup, unit),
            missing=missing_for_signing(workup),
            summary=summary_of(workup),
            revision=working.visit.revision,
        )

    def draft_pdf(
        self,
        member: Member,
        practice: Practice,
        visit_id: UUID,
        unit: LengthUnit,
        copy: Copy = "client",
    ) -> bytes:
        """The draft printed, marked as one.

        Raises Withheld for the workplace's copy without the client's consent to it.
        """
        look = self._visits.for_workplace if copy == "workplace" else self._visits.worked
        working, workup = look(member, visit_id, unit)
        paper = client_paper(practice, working, workup, unit)
        if copy == "client":
            return self._press.print(paper)
        _require_consent(workup.record)
        return self._press.print(paper.workplace)

    def card(self, member: Member, practice: Practice, visit_id: UUID, unit: LengthUnit) -> bytes:
        """The target card of a visit; for all who share its workstation, one visit each.

        Raises NotAllowed, NotFound.
        """
        working, workup = self._visits.worked(member, visit_id, unit, body=False)
        shared = working.record[fields.seen.workstation]
        those = [(working, workup)]
        if shared:
            for id in self._records.visits_at(member.practice_id, shared):
                opened, worked = self._visits.worked(member, id, unit, body=False)
                if opened.client.id != working.client.id:
                    those.append((opened, worked))
        return self._press.print_card(target_card(practice, those, unit))

    def sign(
        self,
        member: Member,
        practice: Practice,
        visit_id: UUID,
        unit: LengthUnit,
        *,
        report_id: UUID | None = None,
        revision: int | None = None,
    ) -> ReportHead:
        """Freeze the report as it stands, as the next version; the same id sent again makes no second.

        Parameters
        ----------
        member, practice, visit_id, unit
        report_id : UUID, optional
            Made on the page.
        revision : int, optional
            The visit's revision that was looked at before signing.

        Raises
        ------
        NotAllowed, NotFound
            As for changes.
        NotReady
            If something is missing that a report can't be signed without.
        MovedOn
            If the visit is not at that revision any more.
        AlreadyThere
            If somebody signed this version in the same moment.

        """
        require_writer(member)
        working, workup = self._visits.worked(member, visit_id, unit)
        held = self._records.report_of(visit_id, report_id) if report_id else None
        if held is not None:
            return held
        if revision not in (None, working.visit.revision):
            raise MovedOn("The visit was changed since you looked at it. Look again, then sign.")
        missing = missing_for_signing(workup)
        if missing:
            raise NotReady(missing)
        now = self._clock()
        content = client_paper(practice, working, workup, unit)
        local = practice.local(now)
        signature = {
            "signed_by": member.name,
            "signed_title": member.title,
            "signed_at": now.isoformat(),
            "signed_on": f"{spoken_date(local.date().isoformat())}, {local:%H:%M} "
            f"({practice.time_zone})",
        }
        content = content.model_copy(
            update={**signature, "workplace": content.workplace.model_copy(update=signature)}
        )
        pdf = self._press.print(content)
        return self._records.add_report(
            Report(
                id=report_id or uuid4(),
                visit_id=visit_id,
                number=working.versions + 1,
                revision=working.visit.revision,
                content=content.model_dump(mode="json"),
                sha256=hashlib.sha256(pdf).hexdigest(),
                signed_by=member.name,
                signed_at=now,
            ),
            pdf,
        )

    def pdf(self, member: Member, report_id: UUID, copy: Copy = "client") -> tuple[Report, bytes]:
        """A signed PDF, byte for byte as signed; or the workplace's copy of it.

        Raises NotFound; Withheld for the workplace's copy without consent as it stands now.
        """
        report, pdf = self._records.report_pdf(member.practice_id, report_id)
        if copy == "client":
            require_health(member)
            return report, pdf
        _require_consent(self._records.working(member.practice_id, report.visit_id).record)
        return report, self._press.print(legacy_paper(report.content))


def _require_consent(record: Record) -> None:
    """Raise Withheld where the client does not agree to the workplace's copy."""
    if record[fields.ask.consent["workplace"]] != ConsentAnswer.GIVEN:
        raise Withheld(
            "The client has not consented to a workplace copy, or has withdrawn consent."
        )
