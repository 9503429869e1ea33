"""Sorting what a client answered: by stated rules, with the answers that decided.

The gravest rule that applies gives the level; the practitioner decides. Sources: house-triage, house-signs.
"""

from __future__ import annotations

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass
from typing import Literal

from ..intake import PRECAUTIONS, RED_FLAGS, REGIONS, URGENCY, DiscomfortOften, Urgency
from ..language import msg
from ..record import Value
from .lengths import LengthDoubt
from .questions import ROOM_ASKED, STATION

Level = Literal["fine", "advice", "call", "visit", "clinician", "same_day", "stop"]
LEVELS: dict[Level, str] = {
    "fine": msg("No action needed"),
    "advice": msg("Written advice"),
    "call": msg("Call"),
    "visit": msg("Visit"),
    "clinician": msg("See a clinician first"),
    "same_day": msg("See a clinician today"),
    "stop": msg("Stop and seek care"),
}
"""What comes of answers, the lightest first."""
LEVEL_OF: dict[Urgency, Level] = {
    "urgent": "stop",
    "same_day": "same_day",
    "clinician": "clinician",
}
"""How a warning sign is sorted: as soon as the client was told to be seen, and no sooner."""
STRONG, MEDIUM = 7, 4
"""Strengths of discomfort, of 10, from which one is seen, and from which one is called."""
RISEN = 2
"""So much stronger than at the visit counts: less is within what people say of one day. Source: house-triage."""
MANY_OFF = 4
"""So many things off at the workstation are better looked at together."""
MANY_REGIONS = 2
LASTING = (DiscomfortOften.EVERY_DAY, DiscomfortOften.ALWAYS)
FACTS = ("chair_moves", "desk_moves")
"""Asked to know it, not to judge it."""

Answers = Mapping[str, Value]


@dataclass(frozen=True, kw_only=True)
class Reason:
    """One rule that applied: what it says, and the questions whose answers decided."""

    rule: str
    level: Level
    says: str
    questions: tuple[str, ...]


@dataclass(frozen=True, kw_only=True)
class Verdict:
    """How answers are sorted: the gravest level, and every rule that applied, the gravest first."""

    level: Level
    reasons: tuple[Reason, ...]


@dataclass(frozen=True, kw_only=True)
class Before:
    """What was recorded at the visit: strength by region, 0 to 10; empty where there was none."""

    discomfort: Mapping[str, float]


def triage_before(answers: Answers, doubts: Sequence[LengthDoubt] = ()) -> Verdict:
    """Sort what was answered before a visit.

    Parameters
    ----------
    answers : mapping
        Values by question; strengths 0 to 10.
    doubts : sequence of LengthDoubt
        Lengths that do not go together.

    """
    return _verdict([*_signs(answers), *_before(answers, doubts)])


def triage_check(answers: Answers, before: Before) -> Verdict:
    """Sort what was answered after a visit, against what was felt then."""
    return _verdict([*_signs(answers), *_after(answers, before)])


def triage_requests(answers: Answers, asked: Sequence[str]) -> Verdict:
    """Sort what a workplace answered to what was asked of it.

    Parameters
    ----------
    answers : mapping
        Values by question.
    asked : sequence of str
        The questions whether each thing is done.

    """
    waiting = tuple(id for id in asked if answers.get(id) != "yes")
    if not waiting:
        return Verdict(level="fine", reasons=())
    reason = Reason(
        rule="requests_open",
        level="advice",
        says=msg("Not everything is done yet."),
        questions=waiting,
    )
    return Verdict(level="advice", reasons=(reason,))


def _verdict(reasons: Sequence[Reason]) -> Verdict:
    grave = sorted(reasons, key=lambda reason: -list(LEVELS).index(reason.level))
    return Verdict(level=grave[0].level if grave else "fine", reasons=tuple(grave))


def _signs(answers: Answers) -> Iterator[Reason]:
    """Every warning sign that is there, by urgency; those that were not answered."""
    for urgency, says in URGENCY.items():
        there = tuple(
            f"sign.{red_flag.id}"
            for red_flag in RED_FLAGS.values()
            if red_flag.urgency == urgency and answers.get(f"sign.{red_flag.id}") == "yes"
        )
        if there:
            level = LEVEL_OF[urgency]
            yield Reason(rule=f"sign_{urgency}", level=level, says=f"{says}.", questions=there)
    silent = tuple(f"sign.{id}" for id in RED_FLAGS if answers.get(f"sign.{id}") is None)
    if silent:
        yield Reason(
            rule="signs_open",
            level="call",
            says=msg("Not every warning sign was answered: please ask."),
            questions=silent,
        )


def felt_in(answers: Answers) -> dict[str, float]:
    """Return the strength of discomfort by region, where there is any."""
    return {
        id: float(value)
        for id in REGIONS
        if isinstance(value := answers.get(f"felt.{id}"), (int, float)) and value > 0
    }


def _named(regions: Sequence[str]) -> tuple[str, ...]:
    return tuple(f"felt.{id}" for id in regions)


def _before(answers: Answers, doubts: Sequence[LengthDoubt]) -> Iterator[Reason]:
    felt = felt_in(answers)
    strong = [id for id, strength in felt.items() if strength >= STRONG]
    often = [id for id in felt if answers.get(f"felt_often.{id}") in LASTING]
    lasting = [id for id in often if felt[id] >= MEDIUM]
    medium = [id for id, strength in felt.items() if MEDIUM <= strength < STRONG]
    cares = [f"care.{id}" for id in PRECAUTIONS if answers.get(f"care.{id}") == "yes"]
    off = [
        f"station.{id}"
        for id in STATION
        if id not in FACTS and answers.get(f"station.{id}") == "no"
    ]
    room = [f"room.{id}" for id in ROOM_ASKED if answers.get(f"room.{id}") == "wrong"]
    if strong:
        yield _reason(
            "strong", "visit", msg("Discomfort of {strong} or more.", strong=STRONG), _named(strong)
        )
    if len(lasting) >= MANY_REGIONS:
        yield _reason(
            "lasting",
            "visit",
            msg(
                "Discomfort of {medium} or more every day, in {many_regions} regions or more.",
                medium=MEDIUM,
                many_regions=MANY_REGIONS,
            ),
            (*_named(lasting), *(f"felt_often.{id}" for id in lasting)),
        )
    if answers.get("station.feet") == "no" and answers.get("station.desk_moves") == "no":
        yield _reason(
            "fixed",
            "visit",
            msg("The feet are off the floor and the desk is fixed: equipment has to be tried."),
            ("station.feet", "station.desk_moves"),
        )
    if cares and (felt or off):
        yield _reason(
            "cares", "visit", msg("A condition with limits, and something is off."), cares
        )
    elif cares:
        yield _reason("cares_only", "call", msg("A condition with limits."), cares)
    if medium:
        yield _reason(
            "medium",
            "call",
            msg("Discomfort of {medium} to {strong}.", medium=MEDIUM, strong=STRONG - 1),
            _named(medium),
        )
    if len(off) >= MANY_OFF:
        yield _reason(
            "many_off",
            "call",
            msg("{many_off} or more workstation problems.", many_off=MANY_OFF),
            off,
        )
    if doubts:
        yield _reason(
            "lengths",
            "call",
            msg("Measurements that don’t match: measure again before using them."),
            [f"{doubt.dimension}.first" for doubt in doubts],
        )
    if 0 < len(off) < MANY_OFF:
        yield _reason("off", "advice", msg("Something to improve at the workstation."), off)
    if room:
        yield _reason("room", "advice", msg("Something to improve in the room."), room)
    mild = [id for id, strength in felt.items() if strength < MEDIUM]
    if mild:
        yield _reason(
            "mild", "advice", msg("Discomfort below {medium}.", medium=MEDIUM), _named(mild)
        )


def _after(answers: Answers, before: Before) -> Iterator[Reason]:
    felt = felt_in(answers)
    strong = [id for id, strength in felt.items() if strength >= STRONG]
    risen = [
        id
        for id, strength in felt.items()
        if MEDIUM <= strength < STRONG and strength - before.discomfort.get(id, 0.0) >= RISEN
    ]
    stays = [id for id, strength in felt.items() if MEDIUM <= strength < STRONG and id not in risen]
    moved = [id for id, value in answers.items() if id.startswith("still.") and value == "no"]
    unsure = [id for id, value in answers.items() if id.startswith("still.") and value == "unsure"]
    pieces = [
        id for id, value in answers.items() if id.startswith("piece.") and value != "replaced"
    ]
    habits = [id for id in ("rhythm", "moved") if answers.get(id) == "hardly"]
    if strong:
        yield _reason(
            "strong", "visit", msg("Discomfort of {strong} or more.", strong=STRONG), _named(strong)
        )
    if risen:
        yield _reason(
            "risen",
            "visit",
            msg(
                "Discomfort of {medium} or more, and {risen} or more above what it was.",
                medium=MEDIUM,
                risen=RISEN,
            ),
            _named(risen),
        )
    if answers.get("worse") == "yes":
        yield _reason("worse", "call", msg("Something is worse since the change."), ("worse",))
    if stays:
        yield _reason(
            "stays",
            "call",
            msg("Discomfort of {medium} or more stays.", medium=MEDIUM),
            _named(stays),
        )
    if moved:
        yield _reason("moved", "call", msg("Something is not as it was set."), moved)
    gone = [id for id in pieces if answers[id] == "gone"]
    if gone:
        yield _reason("gone", "call", msg("An item is gone and has not been replaced."), gone)
    if unsure:
        yield _reason("unsure", "advice", msg("Not sure whether it is as it was set."), unsure)
    still = [id for id in pieces if answers[id] == "still"]
    if still:
        yield _reason("temporary", "advice", msg("A temporary item is still in use."), still)
    if habits:
        yield _reason(
            "habits", "advice", msg("The pattern or the movements are hardly followed."), habits
        )


def _reason(rule: str, level: Level, says: str, questions: Sequence[str]) -> Reason:
    return Reason(rule=rule, level=level, says=says, questions=tuple(questions))
