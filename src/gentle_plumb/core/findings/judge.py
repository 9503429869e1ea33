"""Compare a visit with every rule."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import replace
from typing import Any

from ..observation import HABITS, SHARE, HabitOften, HabitSide
from ..photo import VIEWS, PhotoReading, Reading
from ..record import Field, fields
from ..record.fields.work import Severity, Verdict
from ..units import LengthUnit, format_length
from .body import body_findings
from .drafts import Advice, Draft, advice, with_load
from .facts import Facts
from .finding import Finding
from .rule import Amount, Angle, Answer, Pair, Rule
from .rules import RULES
from .rules.habits import HABIT_RULES
from .settings import setting_findings

NO_STANDING = "No standing work before it is cleared."
SAME = 0.5
"""Differences under half a mm or half a degree are none. Source: house-repeat."""


# ---- kinds of rule -------------------------------------------------------------------------


def _bare(rule: Rule, subject: str, id: str | None = None, **more: Any) -> Draft:
    return Draft(
        id=id or rule.id,
        subject=subject,
        mechanism=rule.mechanism,
        act="secure" if rule.safety else rule.act,
        who=rule.who,
        adds=rule.adds,
        advice=rule.do,
        title=rule.title,
        state="holds",
        cause="",
        region=rule.region,
        joint=rule.joint,
        source=rule.source,
        safety=rule.safety,
        health=rule.health,
        **more,
    )


def _answer(facts: Facts, rule: Answer, subject: str) -> Finding | None:
    if not facts.record.holds(rule.only_if):
        return None
    said, bare = facts.record[rule.field], _bare(rule, subject)
    if said is None:
        return bare(state="not assessable", reason=rule.asked or f"{rule.title}: not recorded.")
    wrong = rule.wrong
    if rule.wrong_under is not None:
        name, value, more = rule.wrong_under
        wrong += more if getattr(facts.case.policy, name) == value else ()
    if said not in wrong:
        return bare(
            cause=f"Looked at and not found: {rule.title[0].lower()}{rule.title[1:]}.", joint=""
        )
    note = facts.record.said(rule.note) if rule.note is not None else ""
    evidence = (
        f"Recorded: {dict(rule.field.choices)[said]}",
        *((f"Note: {note}",) if note else ()),
    )
    return with_load(
        facts,
        bare,
        cause=f"{rule.title}: {rule.why[0].lower()}{rule.why[1:]}",
        why=rule.why,
        **advice(facts, rule.do, rule.moves, "seated"),
        evidence=evidence,
        over_deg=rule.deg or None,
        joint=rule.joint if rule.deg else "",
        tasks=rule.tasks,
        share=rule.share,
        weight=rule.weight,
    )


def _shown(value: float, field: Field[float], facts: Facts) -> str:
    if field.kind == "length":
        return format_length(value, facts.unit, with_unit=True)
    unit = field.unit
    number = f"{value:g}".replace("-", "−")
    return f"{number}{'' if unit in ('°', '%') else ' '}{unit}".strip()


def _limits(least: float | None, most: float | None, say: Callable[[float], str]) -> str:
    if least is not None and most is not None:
        return f"{say(least)} to {say(most)}"
    if least is not None:
        return f"at least {say(least)}"
    return f"at most {say(most)}" if most is not None else "any"


def _number(facts: Facts, rule: Amount, subject: str) -> Finding | None:
    if not facts.record.holds(rule.only_if):
        return None
    value, bare = facts.record[rule.field], _bare(rule, subject)
    if value is None:
        return bare(state="not assessable", reason=f"{rule.title}: not recorded.")
    at = _shown(value, rule.field, facts)
    least, most = rule.least, rule.most
    band = _limits(least, most, lambda end: _shown(end, rule.field, facts))
    past = _past(value, least, most)
    if not past:
        return bare(cause=f"{rule.title}: {at}, in its band.", joint="")
    limit = least if past < 0 else most
    off = min(1.0, abs(past) / abs(limit)) if limit else 1.0
    return with_load(
        facts,
        bare,
        cause=f"{rule.title}: {at}, {_beyond(past, least, most, rule.field, facts)}. {rule.why}",
        why=rule.why,
        **advice(facts, rule.do, rule.moves, "seated"),
        evidence=(f"Recorded {at}, band {band}",),
        over_deg=abs(past) * rule.deg_per_unit or None,
        joint=rule.joint if rule.deg_per_unit else "",
        tasks=rule.tasks,
        share=rule.share,
        weight=off,
    )


def _beyond(
    past: float, least: float | None, most: float | None, field: Field[float], facts: Facts
) -> str:
    """Return which end of a band a value lies beyond, in words."""
    end = least if past < 0 else most
    return f"{'less' if past < 0 else 'more'} than {_shown(end or 0.0, field, facts)}"


def _past(value: float, least: float | None, most: float | None) -> float:
    """How far outside, signed; 0 inside."""
    if least is not None and value < least:
        return value - least
    return value - most if most is not None and value > most else 0.0


def _pair(facts: Facts, rule: Pair, subject: str) -> Finding | None:
    if not facts.record.holds(rule.only_if):
        return None
    values = [facts.record[field] for field in rule.fields]
    bare = _bare(rule, subject)
    one, other = values
    if one is None or other is None:
        return bare(state="not assessable", reason=f"{rule.title}: needs both lengths.")
    shown = rule.words.format(
        *(
            _shown(value, field, facts)
            for value, field in zip((one, other), rule.fields, strict=True)
        )
    )
    if not rule.fails(one, other):
        return bare(cause=f"{shown}: they fit.")
    return with_load(
        facts,
        bare,
        cause=f"{shown}. {rule.why}",
        why=rule.why,
        **advice(facts, rule.do, rule.moves, "seated"),
        evidence=(shown,),
        tasks=rule.tasks,
        share=rule.share,
        weight=rule.weight,
    )


def _photo_value(value: float, reading: Reading, unit: LengthUnit) -> str:
    if reading.unit == "deg":
        return f"{value:.0f}°".replace("-", "−")
    return format_length(value, unit, with_unit=True)


def _angle(facts: Facts, rule: Angle, subject: str, photo: PhotoReading) -> Finding | None:
    reading = next((one for one in photo.readings if one.id == rule.reading), None)
    if reading is None:
        return None
    view = VIEWS[photo.photo.view].lower()
    posture = photo.photo.posture
    bare = _bare(rule, subject, f"{rule.id}_{posture}", posture=posture, photo=photo.photo.id)
    if reading.value is None:
        return bare(state="not assessable", reason=reading.reason)
    band = _limits(rule.least, rule.most, lambda end: _photo_value(end, reading, facts.unit))
    at = _photo_value(reading.value, reading, facts.unit)
    error = _photo_value(reading.error, reading, facts.unit)
    evidence = (
        f"Photograph {view}, {photo.photo.posture}: {reading.label.lower()} {at} ± {error}",
    )
    past = _past(reading.value, rule.least, rule.most)
    if not past:
        return bare(
            cause=f"{rule.title}: {at} ± {error}, in its band.", joint="", evidence=evidence
        )
    if abs(past) <= reading.error:
        return bare(
            state="not assessable",
            evidence=evidence,
            joint="",
            reason=f"{rule.title} {at} ± {error}: too near the end of {band} to tell.",
        )
    why = rule.under if past < 0 and rule.under else rule.why
    return with_load(
        facts,
        bare,
        cause=f"{rule.title} {at} ± {error}, the band is {band}. {why}",
        why=why,
        **advice(facts, rule.do, rule.moves, "seated"),
        evidence=evidence,
        over_deg=abs(past) if reading.unit == "deg" and rule.joint else None,
        joint=rule.joint if reading.unit == "deg" else "",
        tasks=rule.tasks,
        share=rule.share,
        weight=min(1.0, abs(past) / 100 if reading.unit == "mm" else abs(past) / 30),
    )


def _habit(facts: Facts, rule: Answer) -> Finding:
    habit = HABITS[rule.id.removeprefix("habit_")]
    posture = "standing" if habit.posture == "standing" else "seated"
    bare = _bare(rule, "Habits", posture=posture)
    if posture == "standing" and facts.case.own_seat:
        return bare(state="not assessable", reason=f"{rule.title}: seated in a wheelchair.")
    seen = facts.seen.get(habit.id)
    if seen is None:
        if facts.watched:
            return bare(cause=f"{rule.title}: looked for, not seen.", joint="")
        return bare(
            state="not assessable",
            reason=f"{rule.title}: not marked, and nobody said that nothing else was seen.",
        )
    note = facts.record.said(fields.seen.habit[habit.id].note)
    how = ["Seen", seen.often.label.lower() if seen.often else "frequency not recorded"]
    if seen.side:
        both = seen.side == HabitSide.BOTH
        how.append("both sides" if both else f"{seen.side.label.lower()} side")
    evidence = (", ".join(how), *((f"Note: {note}",) if note else ()))
    return with_load(
        facts,
        bare,
        cause=f"{habit.label}. {habit.why}",
        why=habit.why,
        **(
            Advice(instruction=NO_STANDING, directions=())
            if posture == "standing" and not facts.case.may_stand
            else advice(facts, rule.do, rule.moves, posture)
        ),
        over_deg=habit.deg,
        evidence=evidence,
        tasks=rule.tasks,
        share=SHARE[seen.often or HabitOften.OFTEN],
        weight=1.0,
        settled=False,
    )


# ---- all of it -----------------------------------------------------------------------------


def _all(facts: Facts) -> Iterator[Finding | None]:
    yield from body_findings(facts)
    yield from setting_findings(facts)
    for habit in HABIT_RULES:
        yield _habit(facts, habit)
    before = [photo for photo in facts.photos if photo.photo.when == "before"]
    for subject, rules in RULES:
        for rule in rules:
            if rule.standing and not facts.case.may_stand:
                continue
            match rule:
                case Answer():
                    yield _answer(facts, rule, subject)
                case Amount():
                    yield _number(facts, rule, subject)
                case Pair():
                    yield _pair(facts, rule, subject)
                case Angle():
                    for photo in before:
                        yield _angle(facts, rule, subject, photo)


_RANK = {Severity.STRONG: 0, Severity.MARKED: 1, Severity.SLIGHT: 2, None: 3}


def rank(found: Finding) -> tuple[bool, bool, int, float, float]:
    """Safety first, then what hurts, then severity and minutes."""
    return (
        not found.safety,
        not found.felt,
        _RANK[found.severity],
        -(found.minutes or 0.0),
        -(found.over_deg or 0.0),
    )


def _decided(found: Finding, facts: Facts) -> Finding:
    asked, record = fields.work.finding(found.record_id), facts.record
    verdict, words = record[asked.verdict], record[asked.words]
    if verdict is None and words is None:
        return found
    return replace(found, verdict=verdict, words=words, dismissed_for=record[asked.reason])


def _own(facts: Facts) -> list[Finding]:
    """Return the practitioner's own findings, in the order of the record."""
    found, record = [], facts.record
    for id in record.members(fields.work.OWN_FINDINGS):
        asked = fields.work.own_finding(id)
        title = record[asked.title]
        if title:
            found.append(
                Finding(
                    id=f"own-{id}",
                    subject="Own",
                    mechanism="own",
                    act="arrange",
                    title=title,
                    state="off",
                    cause=title,
                    why=record.said(asked.why),
                    instruction=record.said(asked.do),
                    severity=record[asked.severity],
                    evidence=("Found by the practitioner",),
                    own=True,
                    verdict=Verdict.ACCEPTED,
                )
            )
    return found


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
    found = [_decided(one, facts) for one in _all(facts) if one is not None] + _own(facts)
    off = sorted((one for one in found if one.state == "off"), key=rank)
    return off + [one for one in found if one.state != "off"]
