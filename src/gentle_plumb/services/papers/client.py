"""The client's paper, made from the workup: every sentence as the page has it."""

from __future__ import annotations

from typing import Any

from ...core.catalogue import QUANTITIES
from ...core.drawing import SceneRequest
from ...core.findings import Finding
from ...core.fit import Posture
from ...core.intake import URGENCY
from ...core.presentation import JointView, RowView, chosen_otherwise, hard_limit_words, plan_view
from ...core.record import fields
from ...core.units import LengthUnit
from ...core.visit import display_offset, spoken_date
from ...core.words import say, say_length, with_unit
from ...core.workstation import ScreenKind, Settings
from ..models import Practice, VisitSnapshot
from ..paper_models import (
    ClientPaper,
    PaperAction,
    PaperAdded,
    PaperCause,
    PaperFinding,
    PaperFlag,
    PaperJoint,
    PaperPlace,
    PaperPlan,
    PaperRow,
    PaperStrain,
    Shows,
)
from ..workup import Workup, work_up
from . import pace
from .recorded import dimension, in_doubt, noted, precaution
from .workplace import workplace_paper

CAUTIONS = (
    "These are starting points. Comfort and the tests on the person overrule the number, "
    "and pain overrules comfort.",
    "Stop and see your clinician if pain, tingling, numbness or dizziness starts or persists.",
    "Nobody lifts a loaded desk alone. Stacks stay under 20 cm (8 in), non-slip, never under "
    "castors.",
    "This report supports professional advice. It is not a diagnosis and does not guarantee results.",
)


def client_paper(
    practice: Practice, opened: VisitSnapshot, workup: Workup, unit: LengthUnit
) -> ClientPaper:
    """Build the paper, and the workplace's beside it.

    Parameters
    ----------
    practice, opened, workup
        Whose, which visit, and what it comes to.
    unit : {"mm", "cm", "in"}
        Of every length.

    """
    record = workup.record
    table = [(row, paper_row(row)) for row in _shown(workup)]
    figure, shows = _figure(workup, unit)
    plan, moves = _plan(workup, unit), pace.movements(workup)
    due = record[fields.report.follow_up] or ""
    head: dict[str, Any] = {
        "practice": practice.name,
        "local_wording": practice.local_wording,
        "client": opened.client.name,
        "visited_on": opened.visit.started_on.isoformat(),
        "visited": spoken_date(opened.visit.started_on.isoformat()),
        "follow_up": due,
        "follow_up_on": spoken_date(due) if due else "",
        "rhythm": pace.rhythm(workup),
        "scene_shows": shows,
        "unit": unit,
        "version": opened.versions + 1,
    }
    paper = workplace_paper(
        opened, workup, head=head, table=table, plan=plan, figure=figure, cautions=CAUTIONS[2:3]
    )
    further = [_place(opened, workup, view.id, unit) for view in workup.places[1:]]
    paper = paper.model_copy(
        update={"places": [_shared(one, at) for at, one in enumerate(further, 2)]}
    )
    return ClientPaper(
        **head,
        work=opened.client.work,
        table=[line for _, line in table],
        joints=[paper_joint(joint) for joint in workup.joints],
        cautions=list(CAUTIONS),
        scene=workup.through.scene(figure),
        reason=record[fields.ask.reason] or "",
        warning=[
            PaperFlag(urgency=URGENCY[flag.urgency], label=flag.label, done=flag.done or "")
            for flag in workup.signs
        ],
        felt=workup.felt,
        cares=[precaution(care) for care in workup.cares],
        lacks=hard_limit_words(workup.through.chosen_plan().lacks, unit),
        worse=workup.worse,
        actions=_actions(workup),
        causes=_causes(workup),
        unexplained=workup.unexplained,
        strain=_strain(workup),
        plan=plan,
        body=[dimension(one, unit) for one in workup.measured if one.value or one.skipped],
        standing=workup.why_not_standing,
        notes=[*workup.notes, *in_doubt(workup)],
        estimated=sorted({name for row in workup.rows for name in row.estimated}),
        noted=noted(record, unit),
        note=record[fields.report.note] or "",
        desk=_desk_heights(workup, unit),
        place=f"{workup.places[0].name}: {workup.places[0].use_label.lower()}" if further else "",
        places=further,
        day=pace.day(workup),
        movements=moves[0],
        movement_rules=moves[1],
        workplace=paper,
    )


def _place(opened: VisitSnapshot, main: Workup, id: str, unit: LengthUnit) -> PaperPlace:
    """Return what is said of a further place."""
    there = work_up(opened, unit, body=False, place=id)
    view = next(one for one in there.places if one.id == id)
    figure, _ = _figure(there, unit)
    return PaperPlace(
        name=view.name,
        use=view.use_label,
        table=[paper_row(row) for row in _shown(there)],
        lacks=hard_limit_words(there.through.chosen_plan().lacks, unit),
        added=_plan(there, unit).added,
        actions=[
            one.text for one in there.actions if one.kind in ("set", "add", "secure", "arrange")
        ],
        desk=_desk_heights(there, unit),
        moves=_between(main, there, unit),
        scene=there.through.scene(figure),
    )


def _between(main: Workup, there: Workup, unit: LengthUnit) -> list[str]:
    """Return what changes from sitting at one place to standing at the other."""
    sits, stands = (main, there) if main.case.sits else (there, main)
    if not sits.case.sits or stands.case.sits:
        return []
    names = {one.id: one.name for one in main.places}
    found = []
    for key in ("surface", "screen_top", "distance"):
        low = sits.result.seated.setting(key)
        high = stands.result.standing.setting(key)
        if low is not None and high is not None:
            found.append(
                say(
                    "places.move",
                    label=QUANTITIES[key].label,
                    low=say_length(low, unit),
                    sits=names[sits.place],
                    high=say_length(high, unit),
                    stands=names[stands.place],
                )
            )
    if ScreenKind.LAPTOP in (
        sits.case.workstation.screen.kind,
        stands.case.workstation.screen.kind,
    ):
        found.append(say("places.laptop"))
    return found


def _shared(place: PaperPlace, number: int) -> PaperPlace:
    """Return what the workplace reads of a further place: pieces and settings, nothing in own words."""
    return PaperPlace(
        name=say("places.number", number=str(number)),
        use=place.use,
        table=[
            line.model_copy(update={"note": "", "target": line.target.removeprefix("~")})
            for line in place.table
        ],
        lacks=[],
        added=place.added,
        actions=[],
        desk=place.desk,
        moves=[],
    )


def _desk_heights(workup: Workup, unit: LengthUnit) -> list[str]:
    """Return the desk's heights to come back to: by tape, on its display, and on which key."""
    record, found = workup.record, []
    offset = display_offset(record)
    for row in workup.rows:
        at = row.at.left if row.at.left is not None else row.at.setting
        key = record[fields.settings.preset[row.posture]]
        possible = workup.result.of(row.posture).possible
        if row.key != "surface" or at is None or not possible or (offset is None and not key):
            continue
        reads = say_length(at - offset, unit) if offset is not None else ""
        found.append(
            say(
                "desk.height",
                posture="Sitting" if row.posture == "seated" else "Standing",
                at=say_length(at, unit),
                display=say("desk.display", reads=reads) if reads else "",
                key=say("desk.key", key=f"{key:g}") if key else "",
            )
        )
    return found


def _shown(workup: Workup) -> list[RowView]:
    """Return the rows that were found, aimed at or set; a footrest that is nowhere is no line."""

    def anything(row: RowView) -> bool:
        numbers = (row.at.found, row.at.setting, row.at.left)
        if row.key == "footrest":
            return any(numbers)
        return any(number is not None for number in numbers)

    return [
        row
        for row in workup.rows
        if QUANTITIES[row.key].settable and anything(row) and workup.result.of(row.posture).possible
    ]


def _figure(workup: Workup, unit: LengthUnit) -> tuple[SceneRequest, Shows]:
    left = any(settings != Settings() for settings in workup.through.left)
    shows: Shows = "left" if left else "target"
    both = workup.result.standing.possible and workup.result.seated.possible
    alone: Posture = "seated" if workup.result.seated.possible else "standing"
    return SceneRequest(
        width=900 if both else 700,
        height=640 if both else 560,
        mode="both" if both else alone,
        unit=unit,
        show=shows,
    ), shows


def paper_row(row: RowView) -> PaperRow:
    """Return a row as a line of the table."""
    target = row.setting if row.setting is not None else row.target
    note = row.limits[0] if row.limits else row.reason if target is None else None
    if row.overruled:
        note = f"set by the practitioner: {row.overrule_reason or 'no reason given'}"
        note += f" (computed: {with_unit(row.computed, row.unit)})" if row.computed else ""

    def said(text: str | None) -> str:
        return with_unit(text, row.unit) if text is not None else "–"

    return PaperRow(
        posture=row.posture,
        label=row.label,
        before=said(row.found),
        target=("~" if row.estimated else "") + said(target),
        after=said(row.left) + (" (set, not re-measured)" if row.left_unmeasured else ""),
        left=said(row.left_over) if row.left_over else "",
        note=note or "",
    )


def paper_joint(joint: JointView) -> PaperJoint:
    """Return a joint as a line of its table."""
    return PaperJoint(
        posture=joint.posture,
        label=joint.label,
        band=joint.band,
        found=joint.found,
        found_off=joint.found_off,
        aim=joint.aim,
        aim_off=joint.aim_off,
    )


def _plan(workup: Workup, unit: LengthUnit) -> PaperPlan:
    plan = plan_view(workup.through.chosen_plan(), unit)
    return PaperPlan(
        label=plan.label,
        added=[
            PaperAdded(
                label=one.label,
                does=one.does,
                price=one.price,
                temporary=one.temporary,
                removes=one.removes or "",
            )
            for one in plan.added
        ],
        cautions=plan.cautions,
        moves=[
            f"{one.label}: {one.seated} to {with_unit(one.standing or '', unit)} ({one.by})"
            if one.by
            else f"{one.label}: {one.text}"
            for one in workup.moves
        ],
        chosen=chosen_otherwise(workup.through.bundle),
    )


def _actions(workup: Workup) -> list[PaperAction]:
    return [
        PaperAction(
            id=one.id,
            heading=one.heading,
            text=one.text,
            who=one.who,
            when=one.when,
            price=one.price,
            temporary=one.temporary,
            state=one.state,
            remark=one.remark,
            posture=one.posture,
            resolves=one.resolves,
        )
        for one in workup.actions
        if one.changes
    ]


def _causes(workup: Workup) -> list[PaperCause]:
    findings = {one.id: one for one in workup.findings}
    return [
        PaperCause(
            title=cause.title,
            severity=cause.severity,
            minutes=cause.minutes,
            explains=cause.explains,
            findings=[_finding(findings[id]) for id in cause.findings],
        )
        for cause in workup.causes
    ]


def _finding(one: Finding) -> PaperFinding:
    return PaperFinding(
        id=one.id,
        title=one.title,
        posture=one.posture,
        cause=one.words or one.cause,
        left=one.left or "",
        severity=one.severity,
        evidence=list(one.evidence),
    )


def _strain(workup: Workup) -> list[PaperStrain]:
    return [
        PaperStrain(
            label=one.label,
            minutes=round(one.minutes),
            sums=[f"{part.title}: {part.sum}" for part in one.parts if part.counted],
        )
        for one in workup.strain
    ]
