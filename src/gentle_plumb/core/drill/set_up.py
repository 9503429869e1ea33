"""Questions about setting up: which piece first, what explains a posture, which sign is urgent.

As in :mod:`.exercise` no answer is written beside a question: it comes from the order of work, from what each
change does to the joint, and from the table of red flags.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Literal

from ..body import Sex
from ..catalogue import QUANTITIES
from ..fit import Case, FitRow, Joint, fit, joints_of, working_order
from ..intake import RED_FLAGS, URGENCY
from ..language import filled, joined, lowered, msg
from ..units import LengthUnit
from ..words import say, say_amount
from ..workstation import Settings
from .exercise import Chance
from .place_found import MOVED_MM, place_found

SetUpKind = Literal["first", "explains", "urgent"]
KINDS: tuple[SetUpKind, ...] = ("first", "explains", "urgent")
MOST_OPTIONS, LEAST_OPTIONS = 4, 2
CLEARLY_DEG = 3.0
"""A change explains a joint where it takes away so much more than the next, degrees. House value."""
TRIES = 40
"""Workstations that are made up until one has an answer that is clear."""


@dataclass(frozen=True, kw_only=True)
class SetUpQuestion:
    """A question with its choices; ``right`` is the index of the one that the rules give, ``why`` says how.

    ``case`` is the made-up client at the workstation as it was found; None where none is needed.
    """

    kind: SetUpKind
    sex: Sex | None
    question: str
    options: tuple[str, ...]
    right: int
    why: str
    case: Case | None = None


def set_up_question(chance: Chance, unit: LengthUnit) -> SetUpQuestion:
    """Make one up; the same chance makes the same question."""
    kind = chance.choice(KINDS)
    if kind == "urgent":
        return _urgent(chance)
    for _ in range(TRIES):
        sex: Sex = "female" if chance.random() < 0.5 else "male"
        case = place_found(chance, sex)
        question = (
            _first(chance, case, sex) if kind == "first" else _explains(chance, case, sex, unit)
        )
        if question is not None:
            return question
    return _urgent(chance)


def _to_do(case: Case) -> list[FitRow]:
    """Return what has to be moved sitting, in the order of work."""
    return [
        row
        for row in working_order(case, fit(case))
        if row.posture == "seated" and row.key in MOVED_MM and abs(row.change or 0.0) > NEAR_MM
    ]


NEAR_MM = 15.0
"""What is off by less is no question for a learner, mm. House value."""


def _verb(row: FitRow) -> str:
    quantity = QUANTITIES[row.key]
    verb = quantity.more if (row.change or 0.0) > 0 else quantity.less
    return filled("{label}: {verb}", label=quantity.label, verb=lowered(verb))


def _asked(chance: Chance, options: Sequence[str], right: str) -> tuple[tuple[str, ...], int]:
    """Return the choices in an order that tells nothing, and the place of the right one."""
    left, mixed = list(options), []
    while left:
        text = chance.choice(left)
        left.remove(text)
        mixed.append(text)
    return tuple(mixed), mixed.index(right)


def _first(chance: Chance, case: Case, sex: Sex) -> SetUpQuestion | None:
    rows = _to_do(case)[:MOST_OPTIONS]
    if len(rows) < LEAST_OPTIONS:
        return None
    words = [_verb(row) for row in rows]
    options, right = _asked(chance, words, words[0])
    rest = joined(msg(", then "), (QUANTITIES[row.key].label.lower() for row in rows[1:]))
    fixed = case.workstation.desk.kind == "fixed"
    return SetUpQuestion(
        kind="first",
        sex=sex,
        question=say("drill.first_fixed" if fixed else "drill.first"),
        options=options,
        right=right,
        why=say("drill.first_why", first=QUANTITIES[rows[0].key].label, rest=rest),
        case=case,
    )


def _explains(chance: Chance, case: Case, sex: Sex, unit: LengthUnit) -> SetUpQuestion | None:
    """Ask which single change takes most of what a joint is off by; None where none clearly does."""
    rows = _to_do(case)[:MOST_OPTIONS]
    off = [joint for joint in fit(case).seated.joints_found if joint.excess_deg]
    if len(rows) < LEAST_OPTIONS or not off:
        return None
    worst = max(off, key=lambda joint: abs(joint.excess_deg or 0.0))
    gains = sorted(
        ((_gain(case, row, worst), _verb(row), row) for row in rows),
        key=lambda gain: gain[0],
        reverse=True,
    )
    if gains[0][0] - gains[1][0] < CLEARLY_DEG:
        return None
    options, right = _asked(chance, [words for _, words, _ in gains], gains[0][1])
    row = gains[0][2]
    return SetUpQuestion(
        kind="explains",
        sex=sex,
        question=say(
            "drill.explains",
            joint=worst.label,
            angle=f"{worst.angle:.0f}",
            low=f"{worst.low:.0f}",
            high=f"{worst.high:.0f}",
        ),
        options=options,
        right=right,
        why=say(
            "drill.explains_why",
            what=QUANTITIES[row.key].label,
            change=say_amount(QUANTITIES[row.key], abs(row.change or 0.0), unit),
            gain=f"{gains[0][0]:.0f}",
            next=f"{max(0.0, gains[1][0]):.0f}",
        ),
        case=case,
    )


def _gain(case: Case, row: FitRow, joint: Joint) -> float:
    """Return how many degrees a joint comes back towards its band by one change alone."""
    moved = {row.key: row.setting}
    found = case.found_seated
    carried, moved_from = QUANTITIES[row.key].carries, found.get(row.key)
    carried_from = found.get(carried) if carried else None
    if carried_from is not None and moved_from is not None and row.setting is not None:
        moved[carried] = carried_from + row.setting - moved_from
    settings: Settings = replace(found, **moved)
    after = next(
        (
            joint_after
            for joint_after in joints_of(case, settings, "seated")
            if joint_after.joint == joint.joint
        ),
        joint,
    )
    return abs(joint.excess_deg or 0.0) - abs(after.excess_deg or 0.0)


def _urgent(chance: Chance) -> SetUpQuestion:
    """Ask which of some signs has to be seen to at once."""
    urgent = [red_flag for red_flag in RED_FLAGS.values() if red_flag.urgency == "urgent"]
    others = [red_flag for red_flag in RED_FLAGS.values() if red_flag.urgency != "urgent"]
    sign = chance.choice(urgent)
    asked = []
    for _ in range(MOST_OPTIONS - 1):
        red_flag = chance.choice([other for other in others if other not in asked])
        asked.append(red_flag)
    options, right = _asked(chance, [red_flag.label for red_flag in (sign, *asked)], sign.label)
    rest = joined(
        "; ",
        (
            filled(
                "{label}: {urgency}",
                label=red_flag.label,
                urgency=URGENCY[red_flag.urgency].lower(),
            )
            for red_flag in asked
        ),
    )
    return SetUpQuestion(
        kind="urgent",
        sex=None,
        question=say("drill.urgent"),
        options=options,
        right=right,
        why=say("drill.urgent_why", sign=sign.label, urgency=URGENCY[sign.urgency], rest=rest),
    )
