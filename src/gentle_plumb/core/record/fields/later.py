"""Measure, Work out, Set, Pace and Report."""

from __future__ import annotations

from dataclasses import replace

from ...pace import RHYTHMS
from ...policy import POLICY_QUESTIONS, POLICY_RANGES, STANDING
from .field import YES, Field, amount, choice, length
from .measure import MEASURE

SEATED_SET = {
    "seat": ("Seat", 250, 900),
    "footrest": ("Footrest", 0, 400),
    "seat_depth": ("Seat depth", 250, 700),
    "lumbar": ("Lumbar pad", 50, 400),
    "armrest": ("Armrests", 80, 450),
    "surface": ("Surface", 350, 1500),
    "mouse": ("Mouse", 0, 1000),
    "distance": ("Eye to screen", 150, 3000),
    "screen_top": ("Screen top", 400, 2500),
    "tilt": ("Tilt back", -20, 60),
}
STANDING_SET = {key: SEATED_SET[key] for key in ("surface", "distance", "screen_top", "tilt")}
OVERRULED = tuple(SEATED_SET)


def _setting(prefix: str, posture: str, key: str, group: str, label: str) -> Field:
    low, high = SEATED_SET[key][1:]
    if key == "tilt":
        return amount(f"{prefix}.{posture}.{key}", group, label, "°", low, high, part=key)
    return length(f"{prefix}.{posture}.{key}", group, label, low, high, part=key)


_SET = (
    *(_setting("set", "seated", key, "Seated", entry[0]) for key, entry in SEATED_SET.items()),
    *(
        _setting("set", "standing", key, "Standing", entry[0])
        for key, entry in STANDING_SET.items()
    ),
    *(
        replace(
            field,
            id=f"{field.id}.aimed",
            label=f"{field.label}, set to its aim and not measured again",
        )
        for posture, keys in (("seated", SEATED_SET), ("standing", STANDING_SET))
        for key in keys
        for field in (_setting("set", posture, key, posture.title(), keys[key][0]),)
    ),
)

_WORK = tuple(
    field
    for posture, keys in (("seated", OVERRULED), ("standing", tuple(STANDING_SET)))
    for key in keys
    for field in (
        _setting("work", posture, key, posture.title(), f"{SEATED_SET[key][0]}, my number"),
        Field(
            id=f"work.{posture}.{key}.why",
            step="work",
            group=posture.title(),
            kind="text",
            label="Why",
            part=key,
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
