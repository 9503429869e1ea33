"""The workplace's paper: built from an allow-list, so that what nobody listed can't be on it.

It says what is to be done with furniture and room, and what work is left out, never why. What the
client or the practitioner wrote in their own words, advice about eyes and lenses, the angles of
joints and the heights of the body are on it only where they were ticked one by one.
"""

from __future__ import annotations

from dataclasses import asdict, dataclass
from typing import Any

from ..core.drawing import SceneRequest
from ..core.findings import Finding
from ..core.fit import FitRow, limit_text
from ..core.plans import RISERS_WARNING, STACK_WARNING
from ..core.presentation import RowView
from ..core.record import Entries
from ..core.units import LengthUnit
from .models import Practice, VisitSnapshot
from .workup import Workup

SHARED_LIMITS = frozenset({"stops", "starts", "fixed", "steps", "shallow"})
"""Kinds of limit that are about the piece alone."""
SHARED_CAUTIONS = (STACK_WARNING, RISERS_WARNING)
SHARED_RULES = frozenset(
    {
        "chair_stability",
        "gas_spring",
        "tilt_lock",
        "castors",
        "sharp_edge",
        "drawer",
        "tray_track",
        "cart_tool",
        "cart_tension",
        "arm_holds",
        "headset",
        "document_holder",
        "television",
        "mat",
        "rail",
    }
)
SHARED_SUBJECTS = frozenset({"Room"})
"""Findings about pieces and the room: their title and what to do, in the program's words."""
TICKS: dict[str, str] = {
    "report.share.work": "Work and place, as written with the client",
    "report.share.eyes": "What is chosen for lenses and eyes",
    "report.share.joints": "Angles of the joints",
    "report.share.heights": "The person in the drawing, with eye and elbow heights",
}
"""What is on the paper only where ticked, beside own findings and own words, each by itself."""


@dataclass(frozen=True, kw_only=True)
class WorkplacePaper:
    """All that the workplace's paper says."""

    practice: str
    local_wording: str
    client: str
    work: str
    visited_on: str
    follow_up: str
    requests: list[dict[str, str]]
    limits: list[str]
    table: list[dict[str, str]]
    added: list[dict[str, Any]]
    cautions: list[str]
    moves: list[str]
    chosen: list[str]
    joints: list[dict[str, Any]]
    rhythm: dict[str, Any] | None
    scene: dict[str, Any]
    scene_shows: str
    left_out: int
    unit: str


def _ticked(values: Entries, path: str) -> bool:
    return values.get(path) == "yes"


def _requests(findings: list[Finding], values: Entries) -> tuple[list[dict[str, str]], int]:
    """What is asked of the workplace, and how many findings stay out."""
    found, out = [], 0
    for one in findings:
        if one.state != "off" or one.verdict == "dismissed":
            continue
        start = (
            f"work.own.{one.id.removeprefix('own-')}"
            if one.own
            else (f"work.finding.{one.id.replace('.', '-')}")
        )
        if _ticked(values, f"{start}.workplace") and (one.own or one.words):
            said = one.words or one.title
            found.append({"title": said, "do": one.instruction if one.own else ""})
        elif not one.own and (one.id in SHARED_RULES or one.subject in SHARED_SUBJECTS):
            found.append({"title": one.title, "do": one.instruction})
        else:
            out += 1
    return found, out


def _row(line: dict[str, str], row: RowView, fitted: FitRow, unit: LengthUnit) -> dict[str, str]:
    notes = (
        []
        if row.overruled
        else [limit_text(one, unit) for one in fitted.limits if one.kind in SHARED_LIMITS]
    )
    kept = {name: line[name] for name in ("posture", "label", "before", "after")}
    return {
        **kept,
        "target": line["target"].removeprefix("~"),
        "left": line["left"],
        "note": "; ".join(notes),
    }


def workplace_paper(
    practice: Practice,
    opened: VisitSnapshot,
    workup: Workup,
    *,
    table: list[tuple[RowView, dict[str, str]]],
    plan: dict[str, Any],
    rhythm: dict[str, Any] | None,
    figure: SceneRequest,
    shows: str,
    unit: LengthUnit,
) -> WorkplacePaper:
    """Build the paper.

    Parameters
    ----------
    practice, opened, workup
        Whose, which visit, and what it comes to.
    table : list of pairs
        Rows with their lines as the client's paper has them.
    plan, rhythm
        As the client's paper has them; only named parts are taken over.
    figure : SceneRequest
        The drawing, made here without the person unless that was ticked.
    shows : str
        Whether the drawing is as aimed at or as left.

    """
    values = workup.values
    requests, out = _requests(workup.findings, values)
    person = _ticked(values, "report.share.heights")
    scene = workup.through.scene(SceneRequest(**{**asdict(figure), "person": person}))
    rows = {
        (one.posture, one.key): one
        for posture in (workup.result.seated, workup.result.standing)
        for one in posture.rows
    }
    return WorkplacePaper(
        practice=practice.name,
        local_wording=practice.local_wording,
        client=opened.client.name,
        work=opened.client.work if _ticked(values, "report.share.work") else "",
        visited_on=opened.visit.started_on.isoformat(),
        follow_up=str(values.get("report.follow_up") or ""),
        requests=requests,
        limits=list(workup.limits.at_work),
        table=[_row(line, row, rows[row.posture, row.key], unit) for row, line in table],
        added=[
            {name: one[name] for name in ("label", "does", "price", "temporary")}
            for one in plan["added"]
        ],
        cautions=[one for one in plan["cautions"] if one in SHARED_CAUTIONS],
        moves=plan["moves"],
        chosen=[one for one in plan["chosen"] if one.startswith("Bifocal")]
        if _ticked(values, "report.share.eyes")
        else [],
        joints=[asdict(one) for one in workup.joints]
        if _ticked(values, "report.share.joints")
        else [],
        rhythm=rhythm,
        scene=asdict(scene),
        scene_shows=shows,
        left_out=out,
        unit=unit,
    )


LEGACY_TABLE = ("posture", "label", "before", "target", "after", "left")


def legacy_paper(content: dict[str, Any]) -> dict[str, Any]:
    """The paper of a report that was signed before its workplace's copy was kept with it.

    Numbers of furniture only: nothing in it was ever ticked.
    """
    kept = {
        name: content[name]
        for name in ("practice", "local_wording", "client", "visited_on", "follow_up", "unit")
    }
    rows = [
        {**{name: str(row[name]) for name in LEGACY_TABLE}, "note": ""} for row in content["table"]
    ]
    return {
        **kept,
        "work": "",
        "requests": [],
        "limits": [],
        "table": rows,
        "added": [],
        "cautions": [],
        "moves": [],
        "chosen": [],
        "joints": [],
        "rhythm": None,
        "scene": None,
        "scene_shows": content["scene_shows"],
        "left_out": len(content["findings"]),
    }
