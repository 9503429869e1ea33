"""Causes: what is off, seen and felt, grouped by mechanism; each with its evidence and its load."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..assessment import Assessment
from ..catalogue import MECHANISMS, MechanismId
from ..fit import Joint
from ..record.fields.work import Severity
from ..words import say
from .facts import Facts
from .finding import Finding, grade
from .strain import strain_by_region

MOST_CAUSES = 8
"""More causes than this are not told apart by anybody. Source: house-severity."""


@dataclass(frozen=True, kw_only=True)
class Cause:
    """One mechanism at this workstation.

    Parameters
    ----------
    id : str
        The mechanism.
    title : str
        What is so, with its direction where the assessment tells one.
    findings : tuple of str
        Identifiers of the findings that are its evidence, the weightiest first.
    minutes : float or None
        Load minutes a day; a joint counts once. None where no hours are recorded.
    severity : str or None
        By those minutes; strong where it is unsafe.
    safety : bool
        Whether it is put right before anything else.
    explains : tuple of str
        Discomfort in the regions that it loads, the strongest first.
    strength : float
        How strong the strongest of it is, of 10; 0 where there is none.

    """

    id: MechanismId
    title: str
    findings: tuple[str, ...]
    minutes: float | None
    severity: Severity | None
    safety: bool
    explains: tuple[str, ...]
    strength: float = 0.0


@dataclass(frozen=True, kw_only=True)
class Causes:
    """Every cause of a visit, and the discomfort that none of them explains."""

    causes: tuple[Cause, ...]
    unexplained: tuple[str, ...]


def causes_of(facts: Facts, findings: Sequence[Finding]) -> Causes:
    """Group what is off by mechanism.

    Parameters
    ----------
    facts : Facts
    findings : sequence of Finding
        Of the same visit, ranked; what the practitioner dismissed is no evidence.

    Returns
    -------
    Causes
        The safety of people first, then what hurts, the strongest first, then by load minutes.

    """
    groups: dict[MechanismId, list[Finding]] = {}
    for finding in findings:
        if finding.state == "off" and finding.verdict != "dismissed":
            groups.setdefault(finding.mechanism, []).append(finding)
    causes = [_cause(facts, id, members) for id, members in groups.items()]
    causes.sort(key=_rank)
    explained = {felt for cause in causes for felt in cause.explains}
    return Causes(
        causes=tuple(causes),
        unexplained=tuple(felt.text for felt in facts.discomfort if felt.text not in explained),
    )


def _rank(cause: Cause) -> tuple[bool, float, float, str]:
    return not cause.safety, -cause.strength, -(cause.minutes or 0.0), cause.id


def _cause(facts: Facts, id: MechanismId, members: Sequence[Finding]) -> Cause:
    minutes = _minutes(members)
    safety = any(member.safety for member in members)
    regions = {member.region for member in members if member.region}
    felt = [discomfort for discomfort in facts.discomfort if discomfort.load in regions]
    return Cause(
        id=id,
        title=_title(facts, id, members),
        findings=tuple(member.id for member in members),
        minutes=minutes,
        severity=grade(minutes, safety=safety),
        safety=safety,
        explains=tuple(discomfort.text for discomfort in felt),
        strength=max((discomfort.strength for discomfort in felt), default=0.0),
    )


def _minutes(members: Sequence[Finding]) -> float | None:
    """Return the load of a cause: each joint by its strongest evidence, the rest by its weightiest.

    Evidence of the same thing is not added up.
    """
    joints = sum(region.minutes for region in strain_by_region(members))
    others = [
        member.minutes
        for member in members
        if member.minutes is not None and not (member.joint and member.over_deg)
    ]
    if not joints and not others:
        return None if all(member.minutes is None for member in members) else 0.0
    return max(joints, max(others, default=0.0))


def _title(facts: Facts, id: MechanismId, members: Sequence[Finding]) -> str:
    """Return what is so: by the direction of the joint or condition that decides it."""
    if id == "own":
        return members[0].title
    postures = {0 if member.posture == "seated" else 1 for member in members}
    names = {_direction(facts.assessment.found[index], id) for index in postures}
    names.discard(None)
    return say(str(names.pop())) if len(names) == 1 else MECHANISMS[id].label


def _direction(assessment: Assessment, id: MechanismId) -> str | None:
    """Return the sentence for a mechanism whose direction can be told; None for the others."""
    if id == "feet":
        knee = assessment.joint("knee")
        if any(
            condition.key == "feet" and condition.state == "off"
            for condition in assessment.conditions
        ):
            return "cause.feet_hang"
        if knee is not None and knee.excess_deg is not None and knee.excess_deg < 0:
            return "cause.knees_high"
        seat = assessment.setting("seat")
        if seat is None or not seat.excess:
            return None
        return "cause.seat_high" if seat.excess > 0 else "cause.seat_low"
    if id == "hands_height":
        return _by_side(
            assessment.joint("elbow"), under="cause.keys_above", over="cause.keys_below"
        )
    if id == "screen_height":
        return _by_side(
            assessment.joint("neck"), under="cause.screen_below", over="cause.screen_above"
        )
    if id == "seeing":
        distance = assessment.setting("distance")
        if distance is None or not distance.excess:
            return None
        return "cause.screen_far" if distance.excess > 0 else "cause.screen_near"
    return None


def _by_side(joint: Joint | None, *, under: str, over: str) -> str | None:
    if joint is None or not joint.excess_deg:
        return None
    return over if joint.excess_deg > 0 else under
