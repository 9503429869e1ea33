"""Reports: drafts, their PDF, and signing, which freezes every copy."""

from __future__ import annotations

import hashlib
import json
from collections.abc import Callable, Mapping, Set
from dataclasses import dataclass
from uuid import UUID, uuid4

from ..core.language import OwnWords, filled, joined, msg, numeral
from ..core.record import Record, fields
from ..core.record.fields.ask import ConsentAnswer
from ..core.units import LengthUnit
from ..core.visit import spoken_date
from ..core.words import say
from .errors import BadFile, MovedOn, NotFound, NotReady, Withheld
from .exchange import sheet_of
from .follow_ups import paper_since, since_before
from .models import Attachment, Member, Practice, PrintedCopy, Report, ReportHead, VisitSnapshot
from .paper_layout import PaperLayouts, layouts_of
from .paper_models import ErasurePaper, LetterPaper, Paper
from .papers import (
    COPIES,
    Check,
    Copy,
    Papers,
    checks_for_signing,
    legacy_paper,
    letter_paper,
    missing_for_signing,
    papers_of,
    self_reported,
    summary_of,
    target_card,
)
from .papers.languages import in_their_languages, spoken_copy
from .permissions import require_health
from .ports import Clock, OpenFiles, PdfRenderer, Records
from .visits import VisitService
from .workup import VisitResults


@dataclass(frozen=True, kw_only=True)
class Missing:
    """What a signature waits for: the field's path, and in words."""

    field: str
    detail: str


@dataclass(frozen=True, kw_only=True)
class DraftReport:
    """A report as it would be signed, at one revision of its visit: every copy, and what is looked at before.

    ``layouts`` is how each copy reads; its drawings are in ``content``.
    """

    content: Papers
    layouts: PaperLayouts
    missing: list[Missing]
    checks: list[Check]
    summary: list[str]
    revision: int


class ReportService:
    """Drafts and signed versions."""

    def __init__(
        self,
        records: Records,
        visits: VisitService,
        press: PdfRenderer,
        clock: Clock,
        files: OpenFiles,
        hidden_from: Callable[[Member], Set[UUID]] | None = None,
        words_of: Callable[[UUID], OwnWords] | None = None,
    ) -> None:
        self._records, self._visits, self._press, self._clock = records, visits, press, clock
        self._files = files
        self._hidden_from = hidden_from or (lambda _: frozenset())
        self._words_of = words_of or (lambda _: {})

    def draft(
        self, member: Member, practice: Practice, visit_id: UUID, unit: LengthUnit
    ) -> DraftReport:
        """What the report would say now, what a signature waits for and what it would sign.

        All from one reading of the visit. Raises NotAllowed, NotFound.
        """
        snapshot, workup = self._visits.results(member, visit_id, unit)
        papers = self._papers(practice, snapshot, workup, unit, member.language)
        return DraftReport(
            content=papers,
            layouts=layouts_of(papers),
            missing=[
                Missing(field=path, detail=words) for path, words in missing_for_signing(workup)
            ],
            checks=checks_for_signing(workup, practice.day(self._clock()), self_reported(snapshot)),
            summary=summary_of(workup),
            revision=snapshot.visit.revision,
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

        Raises Withheld for the workplace's copy without the client's consent to it; NotAllowed for another one
        without a view of health data.
        """
        if copy != "workplace":
            require_health(member)
        snapshot, workup = self._visits.results(member, visit_id, unit, body=copy != "workplace")
        if copy == "workplace":
            require_consent(workup.record)
        papers = self._papers(practice, snapshot, workup, unit, member.language)
        return self._printed(member, snapshot, workup, getattr(papers, copy)).pdf

    def letter(
        self, member: Member, practice: Practice, visit_id: UUID, about: str, unit: LengthUnit
    ) -> bytes:
        """The letter to a clinician for a red flag or a condition of a visit; raises NotAllowed, NotFound."""
        snapshot, workup = self._visits.results(member, visit_id, unit)
        paper = letter_paper(practice, snapshot, workup, about)
        if paper is None:
            raise NotFound(msg("There is no such red flag or condition in this visit."))
        return self._press.print(
            spoken_copy(paper, member.language or "en", self._words_of(practice.id))
        )

    def card(self, member: Member, practice: Practice, visit_id: UUID, unit: LengthUnit) -> bytes:
        """The target card of a visit; for all who share its workstation, one visit each.

        Raises NotAllowed, NotFound.
        """
        snapshot, workup = self._visits.results(member, visit_id, unit, body=False)
        shared = snapshot.record[fields.seen.workstation]
        those = [(snapshot, workup)]
        left_out = {snapshot.client.id, *self._hidden_from(member)}
        if shared:
            for id in self._records.visits_at(member.practice_id, shared):
                opened, results = self._visits.results(member, id, unit, body=False)
                if opened.client.id not in left_out:
                    those.append((opened, results))
        return self._press.print_card(
            spoken_copy(
                target_card(practice, those, unit),
                str(snapshot.record[fields.report.client_language] or member.language or "en"),
                self._words_of(practice.id),
            )
        )

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
        """Freeze every copy as it stands, as the next version; the same id sent again makes no second.

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
        snapshot, workup = self._visits.results(member, visit_id, unit)
        held = self._records.report_of(visit_id, report_id) if report_id else None
        if held is not None:
            return held
        if revision not in (None, snapshot.visit.revision):
            raise MovedOn(
                msg("The visit has changed since you opened this page. Check it again, then sign.")
            )
        missing = missing_for_signing(workup)
        if missing:
            raise NotReady(missing)
        now = self._clock()
        papers = self._papers(practice, snapshot, workup, unit, member.language)
        local = practice.local(now)
        signature = {
            "signed_by": member.name,
            "signed_title": member.title,
            "signed_registration": member.registration,
            "signed_at": now.isoformat(),
            "signed_on": filled(
                "{date}, {local} ({time_zone})",
                date=spoken_date(local.date().isoformat()),
                local=numeral(f"{local:%H:%M}"),
                time_zone=practice.time_zone,
            ),
            "sha256": digest_of(papers),
        }
        papers = Papers(
            **{copy: getattr(papers, copy).model_copy(update=signature) for copy in COPIES}
        )
        printed: dict[str, PrintedCopy] = {
            copy: self._printed(member, snapshot, workup, getattr(papers, copy)) for copy in COPIES
        }
        return self._records.add_report(
            Report(
                id=report_id or uuid4(),
                visit_id=visit_id,
                number=snapshot.versions + 1,
                revision=snapshot.visit.revision,
                content=papers.model_dump(mode="json"),
                signed_by=member.name,
                signed_at=now,
            ),
            printed,
        )

    def marked_pdf(
        self, member: Member, practice: Practice, report_id: UUID, copy: Copy = "client"
    ) -> tuple[Report, bytes]:
        """A signed copy, with a line on every page that a later version has replaced it, where one has.

        The kept file stays as it was signed: see :meth:`pdf`, and for what it raises.
        """
        report, pdf = self.pdf(member, report_id, copy)
        last = self._records.last_report(member.practice_id, report.visit_id)
        if last is None or last.number <= report.number:
            return report, pdf
        on = spoken_date(practice.day(last.signed_at).isoformat())
        words = say("paper.replaced_by", version=f"{report.number}", last=f"{last.number}", on=on)
        return report, self._press.mark(pdf, words)

    def pdf(self, member: Member, report_id: UUID, copy: Copy = "client") -> tuple[Report, bytes]:
        """A signed copy, byte for byte as signed.

        A version that was signed before every copy was kept has the client's; its workplace's copy is set anew from
        what was frozen. Raises NotFound; Withheld for the workplace's copy without consent as it stands now.
        """
        report, pdf = self._records.report_pdf(member.practice_id, report_id, copy)
        if copy == "workplace":
            consents = self._records.load_snapshot(member.practice_id, report.visit_id).record
            require_consent(consents)
            return report, pdf or self._press.print(legacy_paper(report.content))
        require_health(member)
        if pdf is None:
            raise NotFound(msg("This version was signed before this copy existed."))
        return report, pdf

    def request_form(self, member: Member, report_id: UUID) -> tuple[Report, bytes]:
        """What a signed version asks of the workplace, as a form that can be filled in.

        Raises NotFound; Withheld if the client no longer consents to a copy for the workplace.
        """
        report, _ = self._records.report_pdf(member.practice_id, report_id, "workplace")
        require_consent(self._records.load_snapshot(member.practice_id, report.visit_id).record)
        return report, self._press.print_request(legacy_paper(report.content))

    def request_answers(self, member: Member, report_id: UUID, raw: bytes) -> dict[str, str]:
        """Read a form of a request that came back, as answers by path; what was left empty is left out.

        A box without a tick is no answer: nobody said that it was not done.

        Raises NotFound, NotAllowed; Withheld if the client no longer consents to a copy for the workplace; BadFile
        if it is not the form of this version.
        """
        report, _ = self._records.report_pdf(member.practice_id, report_id, "workplace")
        require_consent(self._records.load_snapshot(member.practice_id, report.visit_id).record)
        try:
            boxes = self._press.read_request(raw)
        except ValueError as error:
            raise BadFile(f"{error}") from error
        asked = [request.id for request in legacy_paper(report.content).requests if request.id]
        if not any(f"done_{id}" in boxes for id in asked):
            raise BadFile(
                msg(
                    "This PDF has none of the boxes of version {number}'s form. Read in the file that came back, filled in on a screen; a printed and scanned form has to be entered by hand.",
                    number=report.number,
                )
            )
        answers = {}
        for id in asked:
            of = fields.report.request(id)
            if boxes.get(f"done_{id}"):
                answers[of.done.id] = "yes"
            if note := boxes.get(f"note_{id}", "").strip():
                answers[of.note.id] = note
        by = joined(", ", (said for name in ("by", "on") if (said := boxes.get(name, "").strip())))
        return {**answers, fields.report.requests_by.id: by} if by else answers

    def _papers(
        self,
        practice: Practice,
        snapshot: VisitSnapshot,
        workup: VisitResults,
        unit: LengthUnit,
        language: str,
    ) -> Papers:
        before = (
            self._records.last_report(practice.id, snapshot.visit.id) if snapshot.versions else None
        )
        since = since_before(self._records, practice.id, snapshot, workup, unit)
        papers = papers_of(
            practice,
            snapshot,
            workup,
            unit,
            before.content if before else None,
            paper_since(since) if since is not None else None,
        )
        return in_their_languages(papers, workup.record, language, self._words_of(practice.id))

    def _printed(
        self, member: Member, snapshot: VisitSnapshot, workup: VisitResults, paper: Paper
    ) -> PrintedCopy:
        attached = self._attached(member, snapshot, workup, paper)
        shown = {photo.id for photo in getattr(paper, "photos", ())}
        pictures = {
            id: self._records.photo(member.practice_id, UUID(id))[1] for id in sorted(shown)
        }
        pdf = self._press.print(paper, attached=attached, pictures=pictures)
        without = self._press.print(paper, attached=attached) if pictures else None
        return PrintedCopy(pdf=pdf, without=without)

    def _attached(
        self, member: Member, snapshot: VisitSnapshot, workup: VisitResults, paper: Paper
    ) -> list[Attachment]:
        """The open files of a copy: the workplace's carries its drawing alone."""
        if isinstance(paper, LetterPaper | ErasurePaper):
            return []
        if paper.kind == "workplace":
            return self._files.of_drawing(paper.scene)
        sheets = [
            sheet_of(visit, client, entries)
            for visit, client, entries in self._records.measured(
                member.practice_id, {snapshot.visit.id}
            )
        ]
        return self._files.of_visit(snapshot, workup.analysis, sheets, paper.scene)


def digest_of(papers: Papers) -> str:
    """SHA-256 of what is signed: every copy's content before its signature, keys in order."""
    content: Mapping[str, object] = papers.model_dump(mode="json")
    plain = json.dumps(content, sort_keys=True, separators=(",", ":"), ensure_ascii=False)
    return hashlib.sha256(plain.encode()).hexdigest()


def require_consent(record: Record) -> None:
    """Raise Withheld where the client does not agree to the workplace's copy."""
    if record[fields.ask.consent["workplace"]] != ConsentAnswer.GIVEN:
        raise Withheld(
            msg("The client has not consented to a workplace copy, or has withdrawn consent.")
        )
