"""Reports: what they say, and signing, which freezes them."""

from __future__ import annotations

import hashlib
from dataclasses import asdict
from typing import Any
from uuid import UUID, uuid4

from ..core.drawing import SceneRequest
from ..core.units import LengthUnit
from .accounts import require_writer
from .errors import NotReady
from .models import Member, Practice, Report, Working
from .ports import Clock, Press, Records
from .visits import VisitService
from .workup import RhythmView, RowView, Workup

CAUTIONS = (
    "These are starting points. Comfort and the tests on the person overrule the number, "
    "and pain overrules comfort.",
    "Stop and ask the treating clinician if pain, tingling, numbness or dizziness comes or stays.",
    "Nobody lifts a loaded desk alone. Stacks stay under 20 cm (8 in), non-slip, never under castors.",
    "This report supports a qualified person's advice. It is no diagnosis and no promise.",
)
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
            "warning": _warning(workup),
            "findings": [
                {"title": found.title, "posture": found.posture, "cause": found.cause,
                 "instruction": found.instruction, "left": found.left or ""}
                for found in workup.findings
            ],
            "table": rows,
            "joints": [asdict(joint) for joint in workup.joints],
            "standing": workup.why_not_standing,
            "notes": list(workup.result.notes),
            "estimated": sorted({name for row in workup.rows for name in row.estimated}),
            "scene": asdict(self._visits.scene(workup, figure)),
            "scene_shows": after,
            "rhythm": _rhythm(chosen, workup.hours),
            "note": str(values.get("report.note") or ""),
            "follow_up": str(values.get("report.follow_up") or ""),
            "cautions": list(CAUTIONS),
            "unit": unit,
            "version": opened.versions + 1,
            "signed_by": None,
            "signed_title": None,
            "signed_at": None,
        }  # fmt: skip

    def draft_pdf(
        self, member: Member, practice: Practice, visit_id: UUID, unit: LengthUnit
    ) -> bytes:
        """The draft printed, marked as one."""
        return self._press.print(self.draft(member, practice, visit_id, unit)[0])

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

    def pdf(self, member: Member, report_id: UUID) -> tuple[Report, bytes]:
        """A signed PDF, byte for byte as signed; raises NotFound."""
        return self._records.report_pdf(member.practice_id, report_id)


def _warning(workup: Workup) -> str:
    sign, done = workup.values.get("ask.warning"), workup.values.get("ask.warning_done")
    if sign in (None, "none"):
        return ""
    urgency = "Stop and seek care now" if sign == "urgent" else "See a clinician first"
    return f"{urgency}. {done or ''}".strip()


def missing_for_signing(workup: Workup) -> list[tuple[str, str]]:
    """What a signature has to wait for: path of the field and words."""
    values, missing = workup.values, []
    if values.get("ask.warning") is None:
        missing.append(("ask.warning", "warning signs have not been asked about"))
    elif values["ask.warning"] != "none" and not values.get("ask.warning_done"):
        missing.append(("ask.warning_done", "write down what was done about the warning sign"))
    if not values.get("report.follow_up"):
        missing.append(("report.follow_up", "give a follow-up date"))
    for path, value in values.items():
        own = path.startswith("work.") and path.count(".") == 2 and value is not None
        if own and not values.get(f"{path}.why"):
            missing.append((f"{path}.why", "give a reason for each number of your own"))
    return missing
