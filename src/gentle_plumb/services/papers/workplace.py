"""The workplace's paper: built from an allow-list, so that what nobody listed can't be on it.

It says what is to be done with furniture and room, and what work is left out, never why. What the
client or the practitioner wrote in their own words, advice about eyes and lenses, the angles of
joints and the heights of the body are on it only where they were ticked one by one.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import replace
from typing import Any

from ...core.actions import WHO, Action
from ...core.catalogue import QUANTITIES
from ...core.findings import RULES, Finding
from ...core.fit import FitRow, limit_text
from ...core.language import capitalised, filled, joined, msg
from ...core.plans import RISERS_WARNING, STACK_WARNING, added_by
from ...core.presentation import ActionView, RowView
from ...core.record import fields
from ...core.record.fields.settings import NotToday
from ...core.states import StateKind
from ...core.units import LengthUnit
from ...core.visit import spoken_date
from ...core.words import say, say_length, with_unit
from ..models import Practice, VisitSnapshot
from ..paper_models import PaperJoint, PaperPlace, PaperRow, Request, Signature, WorkplacePaper
from ..workup import VisitResults
from .head import head_of
from .places import place_for_workplace
from .shared import figure_of, paper_row, plan_of, shown

SHARED_LIMITS = frozenset({"stops", "starts", "fixed", "steps", "shallow"})
"""Kinds of limit that are about the piece alone."""
LIFTING = msg(
    "Never lift a loaded desk alone. Keep stacks under 20 cm (8 in), non-slip, and never under castors."
)
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
        "no_backrest",
        "ball",
        "tray_mouse",
        "keyboard_thick",
        "pointer_size",
    }
)
FOR_A_LIMIT = frozenset(
    rule.id for _, rules in RULES for rule in rules if rule.while_limited is not None
)
"""Rules that hold only for somebody with a limit: asked of a workplace, they would tell of it."""
SHARED_SUBJECTS = frozenset({msg("Room")})
"""Findings about pieces and the room: their title and what to do, in the program's words."""


PIECE_REASONS = frozenset(
    text.label for text in (NotToday.PART, NotToday.LOCKED, NotToday.WORKPLACE, NotToday.HEAVY)
)
"""Reasons that are about the piece alone."""
ASKED_STATES = frozenset({"open", "later"})


def _settings_to_make(workup: VisitResults) -> list[Request]:
    """What the workplace has to set: the piece, to what, and by when; never why.

    Why a step was put off is said where it is about the piece, in the program's words. What the client declined, or
    waits for a clinician, is not asked for.
    """
    rows = {f"set.{row.posture}.{row.key}": row for row in workup.rows}
    requests = []
    for action in workup.actions:
        row = rows.get(action.id)
        if row is None or action.who != WHO["workplace"] or action.state not in ASKED_STATES:
            continue
        if row.became is not None and row.became.kind == StateKind.DECLINED:
            continue
        said = []
        if row.setting is not None and not row.remedied:
            standing = msg(" for standing") if row.posture == "standing" else ""
            said.append(
                msg(
                    "Set it to {setting} {datum}{standing}",
                    setting=with_unit(row.setting, row.unit),
                    datum=row.datum,
                    standing=standing,
                )
            )
        if action.because in PIECE_REASONS:
            said.append(action.because)
        requests.append(
            Request(
                id=action.field,
                title=row.label,
                do=filled("{said}.", said=joined(". ", said)) if said else "",
                by=action.due or _by_follow_up(workup),
                who=action.who,
            )
        )
    return requests


def _by_follow_up(workup: VisitResults) -> str:
    due = workup.record[fields.report.follow_up]
    return spoken_date(due) if due else ""


def _pieces_to_get(workup: VisitResults, unit: LengthUnit) -> list[Request]:
    """What the workplace has to buy or provide: what, how many, the range it must cover, price class, by when.

    What was to be found and was not found during the visit is asked for as well: somebody has to look for it.
    """
    words = {action.id: action for action in workup.actions}
    requests = []
    for action in workup.analysis.actions():
        view = words[action.id]
        theirs = view.who == WHO["workplace"] or action.price == "found"
        if action.kind != "add" or not theirs or view.state not in ASKED_STATES:
            continue
        if action.answers.because == NotToday.UNWANTED:
            continue
        requests.append(
            Request(
                id=view.field,
                title=action.what,
                do=filled("{does}.", does=capitalised(action.does)) if action.does else "",
                count="1",
                covers=_covers(action, unit),
                by=view.due or _by_follow_up(workup),
                price=view.price,
                who=WHO["workplace"],
            )
        )
    return requests


def _covers(action: Action, unit: LengthUnit) -> str:
    if action.ends is not None:
        low, high = (say_length(end, unit) for end in action.ends)
        return say("request.covers", low=low, high=high)
    if action.price == "found" and action.to_value:
        return say("request.high", height=say_length(action.to_value, unit))
    return ""


def _requests(workup: VisitResults, unit: LengthUnit) -> tuple[list[Request], int]:
    """What is asked of the workplace, what is unsafe first, and how many findings stay out."""
    record = workup.record
    theirs = {action.id: action for action in workup.actions if action.who == WHO["workplace"]}
    requests = [*_pieces_to_get(workup, unit), *_settings_to_make(workup)]
    added = {added.id for added in added_by(workup.analysis.additions)}
    out = 0
    for finding in workup.analysis.findings:
        if finding.state != "off" or finding.verdict == "dismissed":
            continue
        action = theirs.get(finding.id)
        if (action is not None and action.state == "done") or finding.adds in added:
            continue
        asked = fields.work.own_finding if finding.own else fields.work.finding
        bare = Request(
            id=action.field if action is not None else finding.record_id,
            count="1" if finding.adds else "",
            title="",
            do="",
            by=_by_when(workup, finding, action),
            who=WHO["workplace"],
            safety=finding.safety,
        )
        if record.yes(asked(finding.record_id).workplace) and (finding.own or finding.words):
            said = finding.words or finding.title
            do = finding.instruction if finding.own else ""
            requests.append(bare.model_copy(update={"title": said, "do": do}))
        elif not finding.own and (
            finding.id in SHARED_RULES
            or finding.subject in SHARED_SUBJECTS
            or (action is not None and not finding.health and finding.id not in FOR_A_LIMIT)
        ):
            requests.append(
                bare.model_copy(update={"title": finding.title, "do": finding.instruction})
            )
        else:
            out += 1
    return sorted(requests, key=lambda request: not request.safety), out


def _by_when(workup: VisitResults, finding: Finding, action: ActionView | None) -> str:
    if action is not None and action.due:
        return action.due
    return say("request.now") if finding.safety else _by_follow_up(workup)


def _row(line: PaperRow, row: RowView, fitted: FitRow, unit: LengthUnit) -> PaperRow:
    """Return a line of the table with notes about pieces alone."""
    shared = [limit_text(limit, unit) for limit in fitted.limits if limit.kind in SHARED_LIMITS]
    note = "" if row.overruled else joined("; ", shared)
    shown = {"target": line.target.removeprefix("~"), "note": note, "plus_minus": "", "how": ""}
    return line.model_copy(update=shown)


def workplace_paper(
    practice: Practice,
    opened: VisitSnapshot,
    workup: VisitResults,
    unit: LengthUnit,
    places: Sequence[PaperPlace] = (),
) -> WorkplacePaper:
    """Build the paper; parameters as in :func:`.client.client_paper`. The figure is without the person unless ticked."""
    record, share = workup.record, fields.report.share
    requests, out = _requests(workup, unit)
    plan, person = plan_of(workup, unit), record.yes(share["heights"])
    figure, shows = figure_of(workup, unit)
    rows = {
        (row.posture, row.key): row
        for posture in (workup.result.seated, workup.result.standing)
        for row in posture.rows
    }
    return WorkplacePaper(
        **head_of(practice, opened, workup, unit, shows),
        work=opened.client.work if record.yes(share["work"]) else "",
        requests=requests,
        limits=list(workup.case.person.at_work),
        table=[
            _row(paper_row(row, shared=True), row, rows[row.posture, row.key], unit)
            for row in shown(workup)
            if QUANTITIES[row.key].own_number or row.at.found is not None or row.at.left is not None
        ],
        added=[],  # what is bought is asked for
        cautions=[*(caution for caution in plan.cautions if caution in SHARED_CAUTIONS), LIFTING],
        moves=plan.moves,
        chosen=[text for text in plan.chosen if text.startswith("Bifocal")]
        if record.yes(share["eyes"])
        else [],
        joints=[
            PaperJoint(**{name: getattr(joint, name) for name in PaperJoint.model_fields})
            for joint in workup.joints
        ]
        if record.yes(share["joints"])
        else [],
        scene=workup.analysis.scene(replace(figure, person=person)),
        left_out=out,
        places=[place_for_workplace(place, index) for index, place in enumerate(places, 2)],
    )


LEGACY_TABLE = ("posture", "label", "before", "target", "after", "left")
LEGACY_HEAD = (
    "practice",
    "local_wording",
    "client",
    "visited_on",
    "follow_up",
    "unit",
    "scene_shows",
    "version",
)


def legacy_paper(content: Mapping[str, Any]) -> WorkplacePaper:
    """Return the paper of a report that was signed before the papers had models.

    What the workplace's copy said then is kept where it stands in the content; older versions give
    numbers of furniture only: nothing in them was ever ticked.
    """
    kept = content.get("workplace")
    if kept is not None and kept.get("kind") == "workplace" and "letterhead" in kept:
        return WorkplacePaper.model_validate(kept)
    if kept is None:
        rows = [
            PaperRow.model_validate({**{name: str(row[name]) for name in LEGACY_TABLE}, "note": ""})
            for row in content["table"]
        ]
        kept = {"table": rows, "left_out": len(content["findings"])}
    known = {name: value for name, value in kept.items() if name in WorkplacePaper.model_fields}
    head = {name: content[name] for name in LEGACY_HEAD}
    due = str(head["follow_up"])
    empty: dict[str, Any] = {
        "work": "",
        "requests": [],
        "limits": [],
        "added": [],
        "cautions": [],
        "moves": [],
        "chosen": [],
        "joints": [],
        "rhythm": None,
        "scene": None,
        "visited": spoken_date(str(head["visited_on"])),
        "follow_up_on": spoken_date(due) if due else "",
    }
    signed = {name: content.get(name) for name in Signature.model_fields}
    whole = {**empty, **head, **known, **signed}
    whole["added"] = [{"removes": "", **addition} for addition in whole["added"]]
    whole["joints"] = [
        {name: joint[name] for name in PaperJoint.model_fields} for joint in whole["joints"]
    ]
    return WorkplacePaper.model_validate(whole)
