"""Reports: what they say, and signing, which freezes them."""

from __future__ import annotations

import hashlib
from dataclasses import asdict, dataclass
from typing import Any, Literal
from uuid import UUID, uuid4

from ..core.catalogue import QUANTITIES
from ..core.drawing import SceneRequest
from ..core.findings import Finding
from ..core.intake import RED_FLAGS, URGENCY, unasked_red_flags
from ..core.presentation import RowView, hard_limit_words, plan_view
from ..core.record import Entries, spoken_date
from ..core.units import LengthUnit
from .accounts import require_health, require_writer
from .consent import WORKPLACE
from .errors import MovedOn, NotReady, Withheld
from .measured import Measured
from .models import Member, Practice, Report, ReportHead, VisitSnapshot
from .ports import Clock, PdfRenderer, Records
from .visits import VisitService
from .workplace import legacy_paper, workplace_paper
from .workup import RhythmView, Workup

CAUTIONS = (
    "These are starting points. Comfort and the tests on the person overrule the number, "
    "and pain overrules comfort.",
    "Stop and ask the treating clinician if pain, tingling, numbness or dizziness comes or stays.",
    "Nobody lifts a loaded desk alone. Stacks stay under 20 cm (8 in), non-slip, never under castors.",
    "This report supports a qualified person's advice. It is no diagnosis and no promise.",
)
Copy = Literal["client", "workplace"]


def _nothing(row: RowView) -> bool:
    """A footrest that is neither there nor needed is no line of a table."""
    return all(float(text or 0) == 0 for text in (row.found, row.setting, row.left))


def _table_row(row: RowView) -> dict[str, str]:
    unit = "°" if row.unit == "°" else f" {row.unit}"
    target = row.setting if row.setting is not None else row.target
    note = row.limits[0] if row.limits else row.reason if target is None else None
    if row.overruled:
        note = f"set by the practitioner: {row.overrule_reason or 'no reason given'}"
        note += f" (computed: {row.computed} {row.unit})" if row.computed else ""

    def with_unit(text: str | None) -> str:
        return f"{text}{unit}" if text is not None else "–"

    return {
        "posture": row.posture,
        "label": row.label,
        "before": with_unit(row.found),
        "target": ("~" if row.estimated else "") + with_unit(target),
        "after": with_unit(row.left) + (" (set, not re-measured)" if row.left_unmeasured else ""),
        "left": row.left_over if row.left_over not in (None, "0", "0.0", "0.00") else "",
        "note": note or "",
    }


def _rhythm(rhythm: RhythmView | None, hours: float) -> dict[str, Any] | None:
    if rhythm is None:
        return None
    return {"label": rhythm.label, "says": rhythm.says, "hours": hours, **asdict(rhythm.totals)}


def _plan(workup: Workup, unit: LengthUnit) -> dict[str, Any]:
    """What the taken plan adds and leaves, what moves between sitting and standing, what was chosen."""
    plan = plan_view(workup.through.chosen_plan(), unit)
    return {
        "label": plan.label,
        "added": [
            {
                "label": one.label,
                "does": one.does,
                "price": one.price,
                "temporary": one.temporary,
                "removes": one.removes or "",
            }
            for one in plan.added
        ],
        "cautions": plan.cautions,
        "moves": [
            f"{one.label}: {one.seated} to {one.standing} {unit} ({one.by})"
            if one.by
            else f"{one.label}: {one.text}"
            for one in workup.moves
        ],
        "chosen": workup.through.chosen_otherwise(),
    }


@dataclass(frozen=True, kw_only=True)
class DraftReport:
    """A report as it would be signed, at one revision of its visit."""

    content: dict[str, Any]
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
            content=self._content(practice, working, workup, unit),
            missing=missing_for_signing(workup),
            summary=summary_of(workup),
            revision=working.visit.revision,
        )

    def _content(
        self, practice: Practice, opened: VisitSnapshot, workup: Workup, unit: LengthUnit
    ) -> dict[str, Any]:
        values = workup.values
        chosen = next(
            (view for view in workup.rhythms if view.id == values.get("pace.rhythm")), None
        )
        shown = [
            row
            for row in workup.rows
            if QUANTITIES[row.key].settable
            and (row.found or row.setting or row.left)
            and not (row.key == "footrest" and _nothing(row))
            and (row.posture == "seated" or workup.result.standing.possible)
        ]
        table = [(row, _table_row(row)) for row in shown]
        left = any(
            path.startswith(("set.seated.", "set.standing.")) and values[path] is not None
            for path in values
        )
        both = workup.result.standing.possible
        figure = SceneRequest(
            width=900 if both else 700,
            height=640 if both else 560,
            mode="both" if both else "seated",
            unit=unit,
            show="left" if left else "target",
        )
        after = "left" if left else "target"
        plan, rhythm = _plan(workup, unit), _rhythm(chosen, workup.hours)
        paper = workplace_paper(
            practice,
            opened,
            workup,
            table=table,
            plan=plan,
            rhythm=rhythm,
            figure=figure,
            shows=after,
            unit=unit,
        )
        return {
            "workplace": asdict(paper),
            "practice": practice.name,
            "local_wording": practice.local_wording,
            "client": opened.client.name,
            "work": opened.client.work,
            "visited_on": opened.visit.started_on.isoformat(),
            "visited": spoken_date(opened.visit.started_on.isoformat()),
            "reason": str(values.get("ask.reason") or ""),
            "warning": [
                {"urgency": URGENCY[sign.urgency], "label": sign.label, "done": sign.done or ""}
                for sign in workup.signs
            ],
            "felt": workup.felt,
            "cares": [asdict(care) for care in workup.cares],
            "lacks": hard_limit_words(workup.through.chosen_plan().lacks, unit),
            "findings": [
                _finding(found)
                for found in workup.findings
                if found.state == "off" and found.verdict != "dismissed"
            ],
            "strain": [
                {
                    "label": one.label,
                    "minutes": one.minutes,
                    "sums": [f"{part.title}: {part.sum}" for part in one.parts if part.counted],
                }
                for one in workup.strain
            ],
            "table": [line for _, line in table],
            "plan": plan,
            "body": [_body_line(one, unit) for one in workup.measured if one.value or one.skipped],
            "joints": [asdict(joint) for joint in workup.joints],
            "standing": workup.why_not_standing,
            "notes": [*workup.notes, *_in_doubt(workup)],
            "estimated": sorted({name for row in workup.rows for name in row.estimated}),
            "scene": asdict(self._visits.scene(workup, figure)),
            "scene_shows": after,
            "rhythm": rhythm,
            "note": str(values.get("report.note") or ""),
            "follow_up": str(values.get("report.follow_up") or ""),
            "follow_up_on": spoken_date(str(due))
            if (due := values.get("report.follow_up"))
            else "",
            "cautions": list(CAUTIONS),
            "copy": "client",
            "unit": unit,
            "version": opened.versions + 1,
            "signed_by": None,
            "signed_title": None,
            "signed_at": None,
        }

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
        content = self._content(practice, working, workup, unit)
        return self._press.print(self._copy(content, copy, workup.values))

    def _copy(self, content: dict[str, Any], copy: Copy, values: Entries) -> dict[str, Any]:
        if copy == "client":
            return content
        if values.get(WORKPLACE) != "yes":
            raise Withheld(
                "The client's consent to give the workplace a copy is not there, or was withdrawn."
            )
        return for_workplace(content)

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
        content = self._content(practice, working, workup, unit)
        local = practice.local(now)
        signature = {
            "signed_by": member.name,
            "signed_title": member.title,
            "signed_at": now.isoformat(),
            "signed_on": f"{spoken_date(local.date().isoformat())}, {local:%H:%M} ({practice.time_zone})",
        }
        content |= signature
        pdf = self._press.print(content)
        return self._records.add_report(
            Report(
                id=report_id or uuid4(),
                visit_id=visit_id,
                number=working.versions + 1,
                revision=working.visit.revision,
                content=content,
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
        now = self._records.working(member.practice_id, report.visit_id).values
        return report, self._press.print(self._copy(report.content, copy, now))


def _in_doubt(workup: Workup) -> list[str]:
    """What was asked about a measurement and not answered: said, not hidden."""
    if not workup.doubtful:
        return []
    return [f"In doubt and not settled: {', '.join(workup.doubtful).lower()}."]


def _body_line(one: Measured, unit: LengthUnit) -> dict[str, str]:
    """A dimension in the report: its value with plus-minus, and where it is from."""
    value = f"{one.value} {unit}" if one.value else ""
    how = one.source or one.by if one.value else f"left out: {(one.skipped or '').lower()}"
    return {"label": one.label, "value": value, "plus_minus": one.plus_minus or "", "how": how}


def _finding(found: Finding) -> dict[str, Any]:
    return {
        "title": found.title,
        "subject": found.subject,
        "posture": found.posture,
        "cause": found.words or found.cause,
        "instruction": found.instruction if not found.words else "",
        "left": found.left or "",
        "severity": found.severity or "",
        "evidence": list(found.evidence),
        "felt": list(found.felt),
        "health": found.health,
        "plain": {"cause": found.cause, "instruction": found.instruction},
    }


def for_workplace(content: dict[str, Any]) -> dict[str, Any]:
    """The workplace's copy of a report: its own paper, with version and signature, nothing else."""
    paper = content.get("workplace") or legacy_paper(content)
    signature = {name: content.get(name) for name in SIGNATURE}
    visited, due = paper["visited_on"], paper["follow_up"]
    return {
        **paper,
        **signature,
        "copy": "workplace",
        "cautions": [*paper["cautions"], CAUTIONS[2]],
        "visited": spoken_date(visited),
        "follow_up_on": spoken_date(due) if due else "",
    }


SIGNATURE = ("version", "signed_by", "signed_title", "signed_at", "signed_on")


def missing_for_signing(workup: Workup) -> list[tuple[str, str]]:
    """What a signature has to wait for: path of the field and words."""
    values, missing = workup.values, []
    unasked = unasked_red_flags(values)
    if unasked:
        many = (
            "red flags have" if len(unasked) == len(RED_FLAGS) else f"{len(unasked)} red flags have"
        )
        missing.append((f"ask.sign.{unasked[0].id}", f"{many} not been asked about"))
    if values.get("ask.warning") is None:
        missing.append(("ask.warning", "any other sign has not been asked about"))
    missing += [
        (sign.done_path, f"write down what was done, and by whom, about: {sign.label.lower()}")
        for sign in workup.signs
        if sign.done is None
    ]
    if _holds_nothing(workup):
        missing.append(
            ("look.found.seat", "nothing was found or measured: there is nothing to sign")
        )
    missing += [
        (
            f"work.finding.{found.id.replace('.', '-')}.reason",
            f"give a reason for dismissing “{found.title}”",
        )
        for found in workup.findings
        if found.verdict == "dismissed" and not found.dismissed_for
    ]
    if not values.get("report.follow_up"):
        missing.append(("report.follow_up", "give a follow-up date"))
    agreed = (
        values.get("ask.consent.notes") == "yes"
    )  # a reason is in own words: kept with consent only
    for path, value in values.items():
        settings = path.startswith(("work.seated.", "work.standing."))
        own = settings and path.count(".") == 2 and value is not None
        if own and agreed and not values.get(f"{path}.why"):
            missing.append((f"{path}.why", "give a reason for each number of your own"))
    return missing


def _holds_nothing(workup: Workup) -> bool:
    """Whether a visit has neither a height as found, nor a body, nor a finding of one's own."""
    rows = (*workup.result.seated.rows, *workup.result.standing.rows)
    found = any(row.found is not None for row in rows)
    body = any(value.source != "estimated" for value in workup.case.body.values.values())
    return not (found or body or workup.photos or any(one.own for one in workup.findings))


def summary_of(workup: Workup) -> list[str]:
    """What is signed, in a few lines: asked about once before the signature."""
    done = sum(
        row.left is not None
        for row in workup.rows
        if (row.posture, row.key) in {(step.posture, step.key) for step in workup.order}
    )
    aimed = sum(row.left_unmeasured for row in workup.rows)
    off = [one for one in workup.findings if one.state == "off"]
    open_ones = sum(one.verdict is None and not one.own for one in off)
    estimated = {name for row in workup.rows for name in row.estimated}
    said = [
        f"{done} of {len(workup.order)} settings set"
        + (f", {aimed} of them not re-measured" if aimed else "")
    ]
    said.append(f"{len(off)} findings, {open_ones} of them not looked at")
    if workup.doubtful:
        said.append(f"In doubt and not settled: {', '.join(workup.doubtful).lower()}")
    if estimated:
        said.append(f"Estimated, not measured: {', '.join(sorted(estimated))}")
    said += [f"Precaution: {care.label.lower()}" for care in workup.cares if care.cleared is None]
    return said
