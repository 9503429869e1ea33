"""What several papers say, made once from the workup."""

from __future__ import annotations

from ...core.catalogue import QUANTITIES
from ...core.drawing import SceneRequest
from ...core.findings import Finding
from ...core.fit import Posture
from ...core.intake import URGENCY
from ...core.language import filled, msg, numeral
from ...core.observation import GOOD
from ...core.plans import total_price
from ...core.presentation import (
    CauseView,
    JointView,
    RowView,
    StateView,
    chosen_otherwise,
    cost_text,
    plan_view,
)
from ...core.record import fields
from ...core.record.fields.seen import Seen
from ...core.record.fields.settings import NotToday
from ...core.states import LEFT_ALONE, Known, StateKind
from ...core.units import LengthUnit
from ...core.visit import display_offset, spoken_date
from ...core.words import say, say_length, with_unit
from ...core.workstation import Settings
from ..paper_models import (
    PaperAction,
    PaperAdded,
    PaperCause,
    PaperFinding,
    PaperFlag,
    PaperJoint,
    PaperPlan,
    PaperRow,
    PaperStrain,
    Shows,
)
from ..workup import VisitResults

LAST = 1000.0
"""Causes without a place of their own come after those that have one."""


def shown(workup: VisitResults) -> list[RowView]:
    """Return the rows that were found, aimed at or set; a footrest that is nowhere is no line."""

    def anything(row: RowView) -> bool:
        numbers = (row.at.found, row.at.setting, row.at.left)
        if QUANTITIES[row.key].taken_away:
            return any(numbers)
        return any(number is not None for number in numbers)

    return [
        row
        for row in workup.rows
        if QUANTITIES[row.key].settable and anything(row) and workup.result.of(row.posture).possible
    ]


def figure_of(workup: VisitResults, unit: LengthUnit) -> tuple[SceneRequest, Shows]:
    """Return the request for the drawing, and whether it shows what was left or what is aimed at."""
    left = any(settings != Settings() for settings in workup.analysis.left)
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


def paper_row(row: RowView, *, shared: bool = False) -> PaperRow:
    """Return a row as a line of the table.

    ``shared``: for the workplace, which reads nothing about the person, and no number that nobody asks for.
    """
    state = row.became
    unset = row.setting is None or row.remedied
    note = row.limits[0] if row.limits else row.reason if unset else None
    if row.overruled:
        note = msg(
            "set by the practitioner: {overrule_reason}",
            overrule_reason=row.overrule_reason or msg("no reason given"),
        )
        note += (
            msg(" (computed: {computed})", computed=with_unit(row.computed, row.unit))
            if row.computed
            else ""
        )

    def said(text: str | None) -> str:
        return with_unit(text, row.unit) if text is not None else "–"

    return PaperRow(
        posture=row.posture,
        label=row.label,
        before=said(row.found),
        target=("~" if row.estimated else "") + said(row.target),
        setting=said(None if row.remedied or (shared and _left_alone(state)) else row.setting),
        after=_left_at(row, shared=shared),
        left=said(row.left_over) if row.left_over else "",
        note=note or "",
        plus_minus=said(row.plus_minus) if row.plus_minus else "",
        how=_how_known(row),
        state=state.kind if state is not None else "",
    )


def _left_alone(state: StateView | None) -> bool:
    return state is not None and state.kind in LEFT_ALONE


def _left_at(row: RowView, *, shared: bool) -> str:
    """Return where a thing was left: a number only where it was set, or stays as it was found."""
    state = row.became
    if state is None:
        return "–"
    if state.kind in (StateKind.SET, StateKind.AS_FOUND):
        return state.keep or state.label
    if state.kind in (StateKind.TARGET, StateKind.NOT_RECORDED):
        return "–"
    if shared and state.kind == StateKind.STOPPED:
        return say("state.alone.unknown")
    return state.label


def _how_known(row: RowView) -> str:
    state = row.became
    if state is None or state.kind not in (StateKind.SET, StateKind.AS_FOUND):
        return ""
    if state.kind == StateKind.AS_FOUND:
        return Known.FOUND.label if state.keep else ""
    if row.left_unmeasured:
        return Known.UNMEASURED.label
    return row.left_by.lower() if state.keep else Known.EYE.label


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


def plan_of(workup: VisitResults, unit: LengthUnit) -> PaperPlan:
    """Return the chosen plan, with what moves between the postures."""
    plan = plan_view(workup.analysis.chosen_plan(), unit)
    return PaperPlan(
        label=plan.label,
        added=[
            PaperAdded(
                label=view.label,
                does=view.does,
                price=view.price,
                temporary=view.temporary,
                removes=view.removes or "",
            )
            for view in plan.added
        ],
        cautions=[*plan.cautions, *plan.assumes],
        moves=[
            msg(
                "{label}: {seated} to {standing} ({by})",
                label=move.label,
                seated=move.seated,
                standing=with_unit(move.standing or "", unit),
                by=move.by,
            )
            if move.by
            else filled("{label}: {both}", label=move.label, both=move.both)
            for move in workup.moves
        ],
        chosen=chosen_otherwise(workup.analysis.bundle),
    )


def actions_of(workup: VisitResults) -> list[PaperAction]:
    """Return what is to be done; what stays as it was found is no action."""
    return [
        PaperAction(
            id=action.id,
            field=action.field,
            words=workup.record.said(fields.report.action_words(action.field))
            if action.field
            else "",
            heading=action.heading,
            text=action.status or action.text,
            who=action.who,
            when=action.when,
            price=action.price,
            temporary=action.temporary,
            state="done" if action.settled and action.state == "open" else action.state,
            remark="" if action.status and action.state != "open" else action.remark,
            told=bool(action.status),
            posture=action.posture,
            resolves=action.resolves,
        )
        for action in workup.actions
        if action.changes
    ]


def costs_of(workup: VisitResults) -> str:
    """Return what is still to be bought comes to, with the practice's own sums where it keeps them; empty for nothing."""
    bought = [
        action.price
        for action in workup.analysis.actions()
        if action.price is not None
        and action.state in ("open", "later")
        and action.answers.because != NotToday.UNWANTED
    ]
    return (
        cost_text(
            total_price(bought, workup.analysis.visit_input.money.prices),
            workup.analysis.visit_input.money,
        )
        or ""
    )


def causes_of(workup: VisitResults) -> list[PaperCause]:
    """Return the causes with their findings, in the practitioner's order where there is one.

    Without one, what is unsafe comes first, then what explains a complaint, then what loads most.
    """
    findings = {finding.id: finding for finding in workup.analysis.findings}
    record = workup.record

    def place(cause: CauseView) -> float:
        return record[fields.report.cause(cause.id).rank] or LAST

    return [
        PaperCause(
            id=cause.id,
            words=record.said(fields.report.cause(cause.id).words),
            left_out=record.yes(fields.report.cause(cause.id).left_out),
            title=cause.title,
            severity=cause.severity,
            minutes=cause.minutes,
            explains=cause.explains,
            findings=[
                _finding(word)
                for word in sorted((findings[id] for id in cause.findings), key=_in_program_words)
            ],
        )
        for cause in sorted(workup.causes, key=place)
    ]


def _in_program_words(finding: Finding) -> bool:
    """Whether a finding is said in the program's words: those of the practitioner come first."""
    return not (finding.own or finding.words)


def _finding(finding: Finding) -> PaperFinding:
    return PaperFinding(
        id=finding.id,
        title=finding.title,
        posture=finding.posture,
        cause=finding.words or finding.cause,
        left=finding.left or "",
        severity=finding.severity,
        evidence=list(finding.evidence),
        confirmed=finding.own or finding.verdict is not None,
    )


def strain_of(workup: VisitResults) -> list[PaperStrain]:
    """Return strain minutes by region with their sums."""
    return [
        PaperStrain(
            label=strain.label,
            minutes=round(strain.minutes),
            sums=[
                filled("{title}: {sum}", title=part.title, sum=part.sum)
                for part in strain.parts
                if part.counted
            ],
        )
        for strain in workup.strain
    ]


def desk_heights(workup: VisitResults, unit: LengthUnit) -> list[str]:
    """Return the desk's heights to come back to: by tape, on its display, and on which key."""
    record, texts = workup.record, []
    offset = display_offset(record)
    for row in workup.rows:
        position = height_of(row)
        key = record[fields.settings.preset[row.posture]]
        shown_there = QUANTITIES[row.key].on_display and workup.result.of(row.posture).possible
        if not shown_there or position is None or (offset is None and not key):
            continue
        reads = say_length(position - offset, unit) if offset is not None else ""
        texts.append(
            say(
                "desk.height",
                posture=msg("Sitting") if row.posture == "seated" else msg("Standing"),
                at=say_length(position, unit),
                display=say("desk.display", reads=reads) if reads else "",
                key=say("desk.key", key=numeral(f"{key:g}")) if key else "",
            )
        )
    return texts


def flags_of(workup: VisitResults) -> list[PaperFlag]:
    """Return the red flags that are there, with what was done about each."""
    return [
        PaperFlag(
            urgency=URGENCY[flag.urgency],
            label=flag.label,
            done=flag.done or "",
            call_back=spoken_date(flag.call_back) if flag.call_back else "",
        )
        for flag in workup.red_flags
    ]


def good_habits(workup: VisitResults) -> list[str]:
    """Return what is done well already, in words."""
    return [GOOD[id] for id, asked in fields.seen.good.items() if workup.record[asked] == Seen.SEEN]


def height_of(row: RowView) -> float | None:
    """Return the height to come back to, or the one still to set, mm; None where there is none."""
    if row.became is None:
        return None
    if row.became.kind in (StateKind.SET, StateKind.AS_FOUND):
        return row.at.left if row.at.left is not None else row.at.found
    return row.at.setting if row.became.kind == StateKind.TARGET else None
