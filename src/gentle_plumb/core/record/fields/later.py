"""Measure, Work out, Set, Pace and Report."""

from __future__ import annotations

from typing import Unpack

from ...catalogue import Posture, Quantity, own_numbers, quantities_set
from ...pace import RHYTHMS
from ...policy import POLICY_QUESTIONS, POLICY_RANGES, STANDING
from .field import YES, Field, FieldOptions, amount, choice, length, words
from .measure import MEASURE

POSTURES: tuple[Posture, ...] = ("seated", "standing")


def quantity_field(
    id: str, quantity: Quantity, group: str, label: str, **more: Unpack[FieldOptions]
) -> Field:
    """Return a field of a quantity's kind, with its unit and range."""
    more.setdefault("part", quantity.key)
    if quantity.unit == "mm":
        return length(id, group, label, quantity.low, quantity.high, **more)
    unit = "°" if quantity.unit == "deg" else "%"
    return amount(id, group, label, unit, quantity.low, quantity.high, **more)


_SET = tuple(
    field
    for posture in POSTURES
    for quantity in quantities_set(posture)
    for field in (
        quantity_field(f"set.{posture}.{quantity.key}", quantity, posture.title(), quantity.label),
        quantity_field(
            f"set.{posture}.{quantity.key}.aimed",
            quantity,
            posture.title(),
            f"{quantity.label}, set to its target and not re-measured",
        ),
    )
)

_WORK = tuple(
    field
    for posture in POSTURES
    for quantity in own_numbers(posture)
    for field in (
        quantity_field(
            f"work.{posture}.{quantity.key}",
            quantity,
            posture.title(),
            f"{quantity.label}, my number",
        ),
        words(
            f"work.{posture}.{quantity.key}.why",
            posture.title(),
            "Why",
            part=quantity.key,
            health=True,
        ),
    )
)

NUMBERS = {
    "elbow_angle": "Elbow, target",
    "recline": "Back leans",
    "flexion": "Upper arm forward",
    "thigh_slope": "Thighs slope down",
}
"""Numbers of the policy that can be typed for one visit, degrees."""
PLANS = {"room": "With what is here", "little": "For little money", "lasting": "To last"}

_CHOICES = (
    choice("work.plan", "Plan", "Plan", PLANS, section="plan"),
    Field(
        id="work.settle",
        step="work",
        group="Plan",
        kind="number",
        part="distance",
        label="Settle-in test moved the screen by",
        unit="steps",
        low=-10,
        high=10,
        section="plan",
        help="After 15 to 20 minutes of work: nearer is negative.",
    ),
    *(
        amount(
            f"work.number.{name}",
            "Angles",
            label,
            "°",
            POLICY_RANGES[name][0].low,
            POLICY_RANGES[name][0].high,
            section="policies",
        )
        for name, label in NUMBERS.items()
    ),
    *(
        field
        for question in POLICY_QUESTIONS.values()
        for field in (
            choice(
                f"work.policy.{question.id}",
                "Policies",
                question.label,
                {one.id: one.label for one in question.positions},
                section="policies",
            ),
            *(
                (
                    choice(
                        f"work.policy.{STANDING}{question.id}",
                        "Policies, standing",
                        question.label,
                        {one.id: one.label for one in question.positions},
                        section="policies",
                    ),
                )
                if question.standing
                else ()
            ),
        )
    ),
)

_PACE = (
    choice(
        "pace.rhythm",
        "Rhythm",
        "Rhythm",
        {rhythm.id: rhythm.label for rhythm in RHYTHMS.values()},
        needed=True,
    ),
)

SHARED = {
    "work": "Work and place, as written with the client",
    "eyes": "What is chosen for lenses and eyes",
    "joints": "Angles of the joints",
    "heights": "The person in the drawing, with eye and elbow heights",
}
"""What the workplace's paper says only where it is ticked."""
_REPORT = (
    Field(
        id="report.note",
        step="report",
        group="Report",
        label="A word to the client",
        kind="text",
        health=True,
    ),
    Field(
        id="report.follow_up",
        step="report",
        group="Report",
        label="Follow-up on",
        kind="date",
        needed=True,
    ),
    *(
        choice(f"report.share.{id}", "Workplace", label, YES, section="share")
        for id, label in SHARED.items()
    ),
)

LATER: tuple[Field, ...] = (*MEASURE, *_WORK, *_CHOICES, *_SET, *_PACE, *_REPORT)
"""Everything after Look."""
