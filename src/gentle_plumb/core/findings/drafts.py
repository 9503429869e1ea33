"""Findings in the making: what every finding of a rule says, then its load and severity."""

from __future__ import annotations

from typing import Any, TypedDict

from ..assessment import strain_minutes, sum_text, whole_minutes
from ..language import joined, msg, numeral
from .facts import Facts
from .finding import Direction, Finding, grade
from .rule import Rule
from .strain import region_of

LEAST_MOVE_MM = 5.0
"""A worked-out change of less is none that advice would be given for, mm. Source: house-repeat."""


class Draft:
    """What every finding of a rule says, to be completed once: copies would cost more than rules."""

    def __init__(self, **said: Any) -> None:
        self.said = said

    def __call__(self, **more: Any) -> Finding:
        return Finding(**{**self.said, **more})


def with_load(
    facts: Facts,
    bare: Draft,
    *,
    tasks: tuple[str, ...],
    share: float,
    weight: float,
    settled: bool = True,
    **said: Any,
) -> Finding:
    """What is off, with its minutes, their sum, severity and what the client feels there.

    Where a joint pays, degrees count as strain; elsewhere ``weight`` is how far off it is, 0 to 1.
    What matters only in tasks that this client has no hours of is ``settled``: it holds.
    """
    whole = {**bare.said, **said}
    joint, over, safety = whole["joint"], whole.get("over_deg"), whole.get("safety", False)
    hours = facts.hours(tasks, whole.get("posture", "seated"))
    if settled and hours == 0 and not safety:
        idle = msg("{title}: no hours a day when it would matter.", title=whole["title"])
        return bare(cause=idle, joint="")
    minutes = text = None
    if hours is not None and joint and over:
        minutes = strain_minutes(hours=hours, share=share, over_deg=over)
        text = sum_text(hours=hours, share=share, over_deg=over)
    elif hours is not None:
        minutes = hours * 60 * share * weight
        part = msg(" × {share} of the time", share=numeral(f"{share:g}")) if share != 1 else ""
        text = msg(
            "{hours}\xa0h × 60{part} × {weight} off = {minutes}\xa0min",
            hours=numeral(f"{hours:g}"),
            part=part,
            weight=numeral(f"{weight:.2g}"),
            minutes=whole_minutes(minutes),
        )
    region = region_of(joint, whole["region"])
    felt = tuple(
        discomfort.text for discomfort in facts.discomfort if region and discomfort.load == region
    )
    worked_out = {
        "state": "off",
        "minutes": minutes,
        "sum": text,
        "discomfort": felt,
        "region": region,
        "severity": grade(minutes, safety=safety),
    }
    return bare(**said | worked_out)


class Advice(TypedDict):
    """What to do in words, alone and with what moves, and which way it moves what."""

    advice: str
    instruction: str
    directions: tuple[Direction, ...]


def advice(facts: Facts, rule: Rule, posture: str) -> Advice:
    """What to do: advice with a direction only where the worked-out change goes that way.

    Where a limit of the person bars what is asked, the limit is said in its place.

    Parameters
    ----------
    rule : Rule
        Its ``do`` holds whatever the numbers are.
    posture : {"seated", "standing"}

    """
    barred = facts.case.person.against(rule.asks)
    if barred is not None:
        return Advice(advice=barred.says, instruction=barred.says, directions=())
    do, moves = rule.advice, rule.moves
    if not moves:
        return Advice(advice=do, instruction=do, directions=())
    changes = facts.changes["standing" if posture == "standing" else "seated"]
    agree, directions = [], []
    for key, sign, words in moves:
        change = changes.get(key)
        if change is not None and change * sign > LEAST_MOVE_MM:
            agree.append(words)
            directions.append(Direction(quantity=key, sign=1 if sign > 0 else -1))
    said = joined(" ", (words for words in [*agree, do] if words))
    return Advice(advice=do, instruction=said, directions=tuple(directions))
