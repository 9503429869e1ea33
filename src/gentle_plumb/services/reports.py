"""Reports: what they say, and signing, which freezes them."""

from __future__ import annotations

import hashlib
from dataclasses import asdict
from typing import Any, Literal
from uuid import UUID, uuid4

from ..core.drawing import SceneRequest
from ..core.findings import Finding
from ..core.intake import URGENCY
from ..core.record import Entries
from ..core.shown import RowView, plan_view
from ..core.units import LengthUnit
from .accounts import require_writer
from .consent import WORKPLACE
from .errors import NotReady, Withheld
from .measured import Measured
from .models import Member, Practice, Report, Working
from .ports import Clock, Press, Records
from .visits import VisitService
from .workup import RhythmView, Workup

CAUTIONS = (
    "These are starting points. Comfort and the tests on the person overrule the number, "
    "and pain overrules comfort.",
    "Stop and ask the treating clinician if pain, tingling, numbness or dizziness comes or stays.",
    "Nobody lifts a loaded desk alone. Stacks stay under 20 cm (8 in), non-slip, never under castors.",
    "This report supports a qualified person's advice. It is no diagnosis and no promise.",
)
Copy = Literal["client", "workplace"]
TABLE = ("seat", "footrest", "seat_depth", "lumbar", "armrest", "surface", "mouse", "screen_top",
         "distance", "tilt")  # fmt: skip


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
        "after": with_unit(row.left),
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
            {"label": one.label, "does": one.does, "price": one.price, "temporary": one.temporary,
             "removes": one.removes or ""}
            for one in plan.added
        ],
        "cautions": plan.cautions,
        "moves": [
            f"{one.label}: {one.seated} to {one.standing} {unit} ({one.by})" if one.by
            else f"{one.label}: {one.text}"
            for one in workup.moves
        ],
        "chosen": workup.through.chosen_otherwise(),
    }  # fmt: skip


class ReportService:
    """Drafts and signed versions."""

    def __init__(self, records: Records, visits: VisitService, press: Press, clock: Clock) -> None:
        self._records, self._visits, self._press, self._clock = records, visits, press, clock

    def draft(
        self, member: Member, practice: Practice, visit_id: UUID, unit: LengthUnit
    ) -> tuple[dict[str, Any], list[tuple[str, str]]]:
        """What the report would say now, as plain JSON, and what a signature waits for.

        Both from one reading of the visit. Raises NotFound.
        """
        working, workup = self._visits.worked(member, visit_id, unit)
        return self._content(practice, working, workup, unit), missing_for_signing(workup)

    def _content(
        self, practice: Practice, opened: Working, workup: Workup, unit: LengthUnit
    ) -> dict[str, Any]:
        values = workup.values
        chosen = next(
            (view for view in workup.rhythms if view.id == values.get("pace.rhythm")), None
        )
        rows = [
            _table_row(row)
            for row in workup.rows
            if row.key in TABLE
            and (row.found or row.setting or row.left)
            and not (row.key == "footrest" and _nothing(row))
            and (row.posture == "seated" or workup.result.standing.possible)
        ]
        left = any(path.startswith("set.") and values[path] is not None for path in values)
        both = workup.result.standing.possible
        figure = SceneRequest(
            width=900 if both else 700,
            height=640 if both else 560,
            mode="both" if both else "seated",
            unit=unit,
            show="left" if left else "target",
        )
        after = "left" if left else "target"
        return {
            "practice": practice.name,
            "local_wording": practice.local_wording,
            "client": opened.client.name,
            "work": opened.client.work,
            "visited_on": opened.visit.started_on.isoformat(),
            "reason": str(values.get("ask.reason") or ""),
            "warning": [
                {"urgency": URGENCY[sign.urgency], "label": sign.label, "done": sign.done or ""}
                for sign in workup.signs
            ],
            "felt": workup.felt,
            "cares": [asdict(care) for care in workup.cares],
            "findings": [
                _finding(found)
                for found in workup.findings
                if found.state == "off" and found.verdict != "dismissed"
            ],
            "strain": [
                {"label": one.label, "minutes": one.minutes,
                 "sums": [f"{part.title}: {part.sum}" for part in one.parts if part.counted]}
                for one in workup.strain
            ],
            "table": rows,
            "plan": _plan(workup, unit),
            "body": [_body_line(one, unit) for one in workup.measured if one.value or one.skipped],
            "joints": [asdict(joint) for joint in workup.joints],
            "standing": workup.why_not_standing,
            "notes": [*workup.result.notes, *_in_doubt(workup)],
            "estimated": sorted({name for row in workup.rows for name in row.estimated}),
            "scene": asdict(self._visits.scene(workup, figure)),
            "scene_shows": after,
            "rhythm": _rhythm(chosen, workup.hours),
            "note": str(values.get("report.note") or ""),
            "follow_up": str(values.get("report.follow_up") or ""),
            "cautions": list(CAUTIONS),
            "copy": "client",
            "unit": unit,
            "version": opened.versions + 1,
            "signed_by": None,
            "signed_title": None,
            "signed_at": None,
        }  # fmt: skip

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
        working, workup = self._visits.worked(member, visit_id, unit)
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

    def sign(self, member: Member, practice: Practice, visit_id: UUID, unit: LengthUnit) -> Report:
        """Freeze the report as it stands, as the next version.

        Raises
        ------
        NotAllowed, NotFound
            As for changes.
        NotReady
            If warning signs are not settled or there is no follow-up date.
        AlreadyThere
            If somebody signed this version in the same moment.

        """
        require_writer(member)
        working, workup = self._visits.worked(member, visit_id, unit)
        missing = missing_for_signing(workup)
        if missing:
            raise NotReady(missing)
        now = self._clock()
        content = self._content(practice, working, workup, unit)
        content |= {
            "signed_by": member.name, "signed_title": member.title, "signed_at": now.isoformat()
        }  # fmt: skip
        pdf = self._press.print(content)
        report = Report(
            id=uuid4(), visit_id=visit_id, number=working.versions + 1,
            revision=working.visit.revision, content=content,
            sha256=hashlib.sha256(pdf).hexdigest(), signed_by=member.name, signed_at=now,
        )  # fmt: skip
        self._records.add_report(report, pdf)
        return report

    def pdf(self, member: Member, report_id: UUID, copy: Copy = "client") -> tuple[Report, bytes]:
        """A signed PDF, byte for byte as signed; or the workplace's copy of it.

        Raises NotFound; Withheld for the workplace's copy without consent as it stands now.
        """
        report, pdf = self._records.report_pdf(member.practice_id, report_id)
        if copy == "client":
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
        "title": found.title, "subject": found.subject, "posture": found.posture,
        "cause": found.words or found.cause, "instruction": found.instruction if not found.words
        else "", "left": found.left or "", "severity": found.severity or "",
        "evidence": list(found.evidence), "felt": list(found.felt), "health": found.health,
        "plain": {"cause": found.cause, "instruction": found.instruction},
    }  # fmt: skip


def for_workplace(content: dict[str, Any]) -> dict[str, Any]:
    """The workplace's copy of a report: no symptoms, conditions, photographs, body or reasons of health.

    Findings that rest on a photograph or on the client's health are left out whole. What the
    practitioner wrote in their own words over a finding or for a number may speak of health: the
    program's own words stand in the place of the first, the second goes.
    """
    kept = [
        {**found, **found.get("plain", {}), "felt": [], "evidence": []}
        for found in content["findings"]
        if not found.get("health") and found.get("subject") not in ("Photographs", "Habits")
    ]
    table = [
        {**row, "note": "set by the practitioner"}
        if row["note"].startswith("set by the practitioner") else row
        for row in content["table"]
    ]  # fmt: skip
    plan = content.get("plan")
    if plan is not None:  # what an addition removes is told in strain minutes, which stay here
        plan = {**plan, "added": [{**one, "removes": ""} for one in plan["added"]]}
    return {
        **content, "plan": plan, "reason": "", "warning": [], "felt": [], "cares": [], "note": "", "strain": [],
        "findings": kept, "table": table, "body": [], "copy": "workplace",
    }  # fmt: skip


def missing_for_signing(workup: Workup) -> list[tuple[str, str]]:
    """What a signature has to wait for: path of the field and words."""
    values, missing = workup.values, []
    if values.get("ask.warning") is None and not workup.signs:
        missing.append(("ask.warning", "warning signs have not been asked about"))
    missing += [
        (sign.done_path, f"write down what was done about: {sign.label.lower()}")
        for sign in workup.signs
        if sign.done is None
    ]
    missing += [
        (f"work.finding.{found.id.replace('.', '-')}.reason",
         f"give a reason for dismissing “{found.title}”")
        for found in workup.findings
        if found.verdict == "dismissed" and not found.dismissed_for
    ]  # fmt: skip
    if not values.get("report.follow_up"):
        missing.append(("report.follow_up", "give a follow-up date"))
    for path, value in values.items():
        settings = path.startswith(("work.seated.", "work.standing."))
        own = settings and path.count(".") == 2 and value is not None
        if own and not values.get(f"{path}.why"):
            missing.append((f"{path}.why", "give a reason for each number of your own"))
    return missing
