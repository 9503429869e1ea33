"""Work out: numbers of one's own, policies, the plan, and the word on each finding."""

from __future__ import annotations

from dataclasses import dataclass

from ...catalogue import TIERS, Posture, Quantity, own_numbers
from ...choices import Choice, YesNo
from ...language import msg
from ...policy import POLICY_QUESTIONS, POLICY_RANGES, STANDING, PolicyQuestion
from ...words import say_posture
from .field import Field
from .group import FieldGroup

POSTURES: tuple[Posture, ...] = ("seated", "standing")
ANGLES = {
    "elbow_angle": msg("Elbow angle"),
    "recline": msg("Recline"),
    "flexion": msg("Shoulder flexion"),
    "thigh_slope": msg("Thigh slope"),
}
"""Angles of the policy that can be typed for one visit, degrees."""
OWN_FINDINGS = "work.own"
FINDINGS = "work.finding"
"""What the paths of findings begin with: of one's own, and of the rules."""


class Severity(Choice):
    """How much a finding weighs."""

    SLIGHT = "slight", msg("Slight")
    MARKED = "marked", msg("Marked")
    STRONG = "strong", msg("Severe")


class Verdict(Choice):
    """The practitioner's word on a finding."""

    ACCEPTED = "accepted", msg("Accepted")
    DISMISSED = "dismissed", msg("Dismissed")


@dataclass(frozen=True, eq=False)
class OwnNumberFields:
    """A number of the practitioner's own in place of the computed one, and why."""

    value: Field[float]
    why: Field[str]


@dataclass(frozen=True, eq=False)
class FindingFields:
    """The practitioner's word on one computed finding."""

    verdict: Field[Verdict]
    words: Field[str]
    reason: Field[str]
    workplace: Field[YesNo]


@dataclass(frozen=True, eq=False)
class OwnFindingFields:
    """A finding of the practitioner's own."""

    title: Field[str]
    why: Field[str]
    do: Field[str]
    severity: Field[Severity]
    workplace: Field[YesNo]


def _own_number(posture: Posture, quantity: Quantity) -> OwnNumberFields:
    place = FieldGroup(f"work.{posture}", say_posture(posture).title())
    return OwnNumberFields(
        value=place.quantity(
            quantity, msg("{label}, my number", label=quantity.label), part=quantity.key
        ),
        why=place.words(f"{quantity.key}.why", msg("Why"), part=quantity.key, health=True),
    )


own_number = {
    posture: {
        own_number.key: _own_number(posture, own_number) for own_number in own_numbers(posture)
    }
    for posture in POSTURES
}
"""Numbers of one's own, by posture and quantity."""

_plan = FieldGroup("work", msg("Plan"), "plan")
plan = _plan.pick("plan", msg("Plan"), TIERS)
budget = _plan.amount(
    "budget",
    msg("Budget"),
    "",
    0,
    1_000_000,
    help=msg("In the practice’s currency; compared with each plan."),
)
settle = _plan.length(
    "settle_by",
    msg("Settle-in test: screen moved by"),
    -400,
    400,
    part="distance",
    help=msg(
        "After 15 to 20 minutes of work: nearer is negative. It overrules what the size asks for."
    ),
)

_angles = FieldGroup("work.number", msg("Angles"), "policies")
angle = {
    name: _angles.amount(name, label, "°", POLICY_RANGES[name][0].low, POLICY_RANGES[name][0].high)
    for name, label in ANGLES.items()
}
"""Angles typed for this visit, by their name in the policy."""


def _positions(question: PolicyQuestion) -> dict[str, Field[str]]:
    offered = {position.id: position.label for position in question.positions}
    seated = FieldGroup("work.policy", msg("Policies"), "policies")
    fields = {question.id: seated.pick(question.id, question.label, offered)}
    if question.standing:
        standing, id = (
            FieldGroup("work.policy", msg("Policies, standing"), "policies"),
            STANDING + question.id,
        )
        fields[id] = standing.pick(id, question.label, offered)
    return fields


policy = {
    id: field
    for question in POLICY_QUESTIONS.values()
    for id, field in _positions(question).items()
}
"""The position taken on each question, by question."""


def finding(id: str) -> FindingFields:
    """Return what is kept of the practitioner's word on one finding; ``id`` as in its path."""
    place = FieldGroup(f"{FINDINGS}.{id}", msg("Findings"), "findings")
    return FindingFields(
        verdict=place.choice("verdict", msg("Verdict"), Verdict),
        words=place.words("words", msg("My wording"), health=True),
        reason=place.words("reason", msg("Reason for dismissing"), health=True),
        workplace=place.choice(
            "workplace", msg("Also use my wording in the workplace copy"), YesNo
        ),
    )


OWN_PLAN = "work.own_plan"
"""What the path of a thing ticked for the practitioner's own plan begins with."""


def taken(key: str) -> Field[YesNo]:
    """Return the field of one thing ticked for the practitioner's own plan."""
    return FieldGroup(f"{OWN_PLAN}.{key}", msg("Plan"), "plan").choice("taken", msg("Taken"), YesNo)


def own_finding(id: str) -> OwnFindingFields:
    """Return what is kept of one finding of the practitioner's own."""
    place = FieldGroup(f"{OWN_FINDINGS}.{id}", msg("Findings"), "findings")
    return OwnFindingFields(
        title=place.words("title", msg("What I found"), health=True),
        why=place.words("why", msg("Why it matters"), health=True),
        do=place.words("do", msg("What to do"), health=True),
        severity=place.choice("severity", msg("Severity"), Severity),
        workplace=place.choice("workplace", msg("Also include in the workplace copy"), YesNo),
    )
