"""Compare a visit with every rule."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace

from ..language import msg
from ..record import fields
from ..record.fields.work import Severity, Verdict
from .body import body_findings
from .facts import Facts
from .finding import Finding
from .photo_judged import judge_angle
from .rule import AngleRule, ChoiceRule, PairRule, RangeRule
from .rules import RULES
from .rules.habits import HABIT_RULES
from .rules_judged import judge_choice, judge_habit, judge_pair, judge_range
from .settings import setting_findings

# ---- all of it -----------------------------------------------------------------------------


def _all(facts: Facts) -> Iterator[Finding | None]:
    yield from body_findings(facts)
    yield from setting_findings(facts)
    for habit in HABIT_RULES:
        yield judge_habit(facts, habit)
    before = [photo for photo in facts.photos if photo.photo.when == "before"]
    for subject, rules in RULES:
        for rule in rules:
            if rule.standing and not facts.case.may_stand:
                continue
            if rule.while_limited is not None and not facts.case.person.has(rule.while_limited):
                continue
            if rule.not_own_seat and facts.case.own_seat:
                continue
            match rule:
                case ChoiceRule():
                    yield judge_choice(facts, rule, subject)
                case RangeRule():
                    yield judge_range(facts, rule, subject)
                case PairRule():
                    yield judge_pair(facts, rule, subject)
                case AngleRule():
                    for photo in before:
                        yield judge_angle(facts, rule, subject, photo)


_RANK = {Severity.STRONG: 0, Severity.MARKED: 1, Severity.SLIGHT: 2, None: 3}


def rank(finding: Finding) -> tuple[bool, bool, int, float, float]:
    """Safety first, then what hurts, then severity and minutes."""
    return (
        not finding.safety,
        not finding.discomfort,
        _RANK[finding.severity],
        -(finding.minutes or 0.0),
        -(finding.over_deg or 0.0),
    )


def _decided(finding: Finding, facts: Facts) -> Finding:
    """Return a finding with what the practitioner said of it."""
    asked, record = fields.work.finding(finding.record_id), facts.record
    verdict, words = record[asked.verdict], record[asked.words]
    return replace(finding, verdict=verdict, words=words, dismissed_for=record[asked.reason])


def _own(facts: Facts) -> list[Finding]:
    """Return the practitioner's own findings, in the order of the record."""
    judged, record = [], facts.record
    for id in record.members(fields.work.OWN_FINDINGS):
        asked = fields.work.own_finding(id)
        title = record[asked.title]
        if title:
            judged.append(
                Finding(
                    id=f"own-{id}",
                    subject=msg("Own"),
                    mechanism="own",
                    act="arrange",
                    title=title,
                    state="off",
                    cause=title,
                    why=record.said(asked.why),
                    instruction=record.said(asked.do),
                    severity=record[asked.severity],
                    evidence=(msg("Found by the practitioner"),),
                    own=True,
                    verdict=Verdict.ACCEPTED,
                )
            )
    return judged


def findings(facts: Facts) -> list[Finding]:
    """Every rule held against a visit: what is off first, by :func:`rank`; own ones among them.

    Parameters
    ----------
    facts : Facts

    Returns
    -------
    list of Finding
        Each rule that makes sense here, as ``off``, ``holds`` or ``not assessable`` with its
        reason.

    """
    said = set(facts.record.members(fields.work.FINDINGS))
    findings = [finding for finding in _all(facts) if finding is not None]
    if said:
        findings = [
            _decided(finding, facts) if finding.record_id in said else finding
            for finding in findings
        ]
    findings += _own(facts)
    off = sorted((finding for finding in findings if finding.state == "off"), key=rank)
    return off + [finding for finding in findings if finding.state != "off"]
