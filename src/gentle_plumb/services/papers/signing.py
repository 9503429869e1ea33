"""What a signature waits for, and what it would sign."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date

from ...core.intake import RED_FLAGS
from ...core.language import filled, joined, msg
from ...core.presentation import ActionView
from ...core.record import fields
from ...core.record.fields.ask import ConsentAnswer
from ...core.visit import spoken_date, unasked_red_flags
from ...core.words import say
from ..workup import VisitResults


def missing_for_signing(workup: VisitResults) -> list[tuple[str, str]]:
    """What a signature has to wait for: path of the field and words."""
    record, ask, missing = workup.record, fields.ask, []
    unasked = unasked_red_flags(record)
    if unasked:
        many = (
            msg("red flags have")
            if len(unasked) == len(RED_FLAGS)
            else msg("{len} red flags have", len=len(unasked))
        )
        missing.append(
            (ask.flag[unasked[0].id].there.id, msg("{many} not been asked about", many=many))
        )
    if ask.other_flag not in record:
        missing.append((ask.other_flag.id, msg("any other sign has not been asked about")))
    missing += [
        (sign.waits_for, msg("record the referral for: {label}", label=sign.label.lower()))
        for sign in workup.red_flags
        if sign.done is None
    ]
    if _holds_nothing(workup):
        missing.append(
            (
                fields.found.seat.id,
                msg("nothing has been found or measured, so there is nothing to sign"),
            )
        )
    if fields.report.follow_up not in record:
        missing.append((fields.report.follow_up.id, msg("enter a follow-up date")))
    # a reason is in own words: kept with consent only
    if record[ask.consent["notes"]] == ConsentAnswer.GIVEN:
        missing += [
            (own.why.id, msg("enter a reason for each of your own values"))
            for by_quantity in fields.work.own_number.values()
            for own in by_quantity.values()
            if own.value in record and own.why not in record
        ]
    return missing


@dataclass(frozen=True, kw_only=True)
class Check:
    """Something to look at before signing: what, how it stands, and the path of the field it is about.

    ``blocks``: no signature without it; else it is for the one who signs to weigh.
    """

    group: str
    says: str
    path: str
    blocks: bool


def checks_for_signing(
    workup: VisitResults, today: date, theirs: Sequence[tuple[str, str]] = ()
) -> list[Check]:
    """Return everything that is open, doubtful or not looked at; empty where nothing is.

    Parameters
    ----------
    workup : VisitResults
    today : date
        The practice's day.
    theirs : sequence of (path, label)
        What the client gave on their own page and nobody has confirmed.

    """
    checks = [
        Check(group=msg("Before signing"), says=words, path=path, blocks=True)
        for path, words in missing_for_signing(workup)
    ]
    due = workup.record[fields.report.follow_up]
    if due and date.fromisoformat(due) < today:
        checks.append(
            _weigh(
                msg("Follow-up"),
                say("sign.due_past", on=spoken_date(due)),
                fields.report.follow_up.id,
            )
        )
    checks += [
        _weigh(msg("Referral"), say("sign.call_back", flag=sign.label.lower()), sign.paths[-1])
        for sign in workup.red_flags
        if sign.done is not None and not sign.call_back
    ]
    checks += [
        _weigh(
            msg("Findings not reviewed"),
            finding.title,
            fields.work.finding(finding.record_id).verdict.id,
        )
        for finding in workup.analysis.findings
        if finding.state == "off" and finding.verdict is None and not finding.own
    ]
    checks += [
        _of_step(action)
        for action in workup.actions
        if action.changes and not action.settled and action.id in workup.set_order
    ]
    for row in workup.rows:
        path = fields.settings.setting[row.posture].get(row.key)
        if path is None:
            continue
        where = row.label if row.posture == "seated" else msg("{label}, standing", label=row.label)
        if row.left_unmeasured:
            checks.append(_weigh(msg("Set, not measured"), where, path.measured.id))
    checks += [
        _weigh(
            msg("Targets that have changed since"),
            filled("{text} {moved}", text=action.text, moved=action.moved),
            f"set.{action.step}",
        )
        for action in workup.actions
        if action.moved
    ]
    checks += [
        _weigh(
            msg("Not asked again"),
            filled("{label}: {say}", label=care.label, say=say("limit.standing", since=care.since)),
            care.field,
        )
        for care in workup.precautions
        if care.since
    ]
    checks += [
        _weigh(
            msg("A limit is not met"),
            filled("{says} {unmet}", says=limit.says, unmet=limit.unmet),
            care.field,
        )
        for care in workup.precautions
        for limit in care.limits
        if limit.unmet and limit.cleared is None
    ]
    checks += [
        _weigh(msg("Reported by the client, not confirmed"), says, path) for path, says in theirs
    ]
    checks += [
        _weigh(
            msg("Queries"), measured.label, fields.measure.dimension[measured.dimension].first.id
        )
        for measured in workup.measured
        if measured.label in workup.doubtful
    ]
    return checks


def _of_step(action: ActionView) -> Check:
    path = (
        f"set.{action.step}" if action.step else f"{fields.settings.ACTIONS}.{action.field}.state"
    )
    return _weigh(msg("Not set"), action.text, path)


def _weigh(group: str, says: str, path: str) -> Check:
    return Check(group=group, says=says, path=path, blocks=False)


def _holds_nothing(workup: VisitResults) -> bool:
    """Whether a visit has neither a height as found, nor a body, nor a finding of one's own."""
    rows = (*workup.result.seated.rows, *workup.result.standing.rows)
    found = any(row.found is not None for row in rows)
    body = any(value.source != "estimated" for value in workup.case.body.values.values())
    return not (
        found or body or workup.photos or any(finding.own for finding in workup.analysis.findings)
    )


def summary_of(workup: VisitResults) -> list[str]:
    """What is signed, in a few lines: asked about once before the signature."""
    done = sum(
        row.left is not None for row in workup.rows if f"{row.posture}.{row.key}" in workup.order
    )
    aimed = sum(row.left_unmeasured for row in workup.rows)
    off = [finding for finding in workup.analysis.findings if finding.state == "off"]
    open_ones = sum(finding.verdict is None and not finding.own for finding in off)
    estimated = {name for row in workup.rows for name in row.estimated}
    said = [
        msg("{done} of {len} settings set", done=done, len=len(workup.order))
        + (msg(", {aimed} of them not measured", aimed=aimed) if aimed else "")
    ]
    said.append(
        msg("{len} findings, {open_ones} of them not reviewed", len=len(off), open_ones=open_ones)
    )
    if workup.doubtful:
        said.append(msg("Open queries: {doubtful}", doubtful=joined(", ", workup.doubtful).lower()))
    if estimated:
        said.append(
            msg("Estimated, not measured: {sorted}", sorted=joined(", ", sorted(estimated)))
        )
    said += [
        msg("Precaution: {label}", label=care.label.lower())
        for care in workup.precautions
        if any(limit.cleared is None for limit in care.limits)
    ]
    return said
