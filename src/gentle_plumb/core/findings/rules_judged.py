"""Each kind of rule judged against the facts."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace
from typing import Any

from ..language import filled, joined, lowered, msg
from ..observation import HABITS, SHARE, HabitOften, HabitSide
from ..record import Field, fields
from ..units import format_length
from ..words import with_unit
from .drafts import Draft, advice, with_load
from .facts import Facts
from .finding import Finding
from .rule import ChoiceRule, PairRule, RangeRule, Rule

# ---- kinds of rule -------------------------------------------------------------------------


def rule_draft(facts: Facts, rule: Rule, subject: str, posture: str = "") -> Draft:
    """Return what every finding of a rule says, whatever the visit."""
    return facts.case.reuse.hashed(_rule_draft)(rule, subject, posture)


def in_order(facts: Facts, rule: Rule, subject: str, cause: str, posture: str = "") -> Finding:
    """Return that a rule holds, where nothing of the visit but that is said."""
    return facts.case.reuse.hashed(_in_order)(rule, subject, cause, posture)


def unanswered(facts: Facts, rule: Rule, subject: str, reason: str, posture: str = "") -> Finding:
    """Return that a rule can't be held against a visit, and why."""
    return facts.case.reuse.hashed(_unanswered)(rule, subject, reason, posture)


def _rule_draft(rule: Rule, subject: str, posture: str) -> Draft:
    return bare_draft(rule, subject, **({"posture": posture} if posture else {}))


def _in_order(rule: Rule, subject: str, cause: str, posture: str) -> Finding:
    return _rule_draft(rule, subject, posture)(cause=cause, joint="")


def _unanswered(rule: Rule, subject: str, reason: str, posture: str) -> Finding:
    return _rule_draft(rule, subject, posture)(state="not assessable", reason=reason)


def bare_draft(rule: Rule, subject: str, id: str | None = None, **more: Any) -> Draft:
    """Return a rule's finding before it is loaded and decided."""
    return Draft(
        id=id or rule.id,
        subject=subject,
        mechanism=rule.mechanism,
        act="secure" if rule.safety else rule.act,
        who=rule.who,
        adds=rule.adds,
        check=rule.check,
        advice=rule.advice,
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


def judge_choice(facts: Facts, rule: ChoiceRule, subject: str) -> Finding | None:
    """Return the finding of an answer that speaks for one; None for another."""
    if not facts.record.holds(rule.only_if):
        return None
    said = facts.record[rule.field]
    if said is None:
        return unanswered(
            facts, rule, subject, rule.unanswered or msg("{title}: not recorded.", title=rule.title)
        )
    wrong = rule.failing
    if rule.failing_under is not None:
        name, value, more = rule.failing_under
        wrong += more if getattr(facts.case.policy, name) == value else ()
    if said not in wrong:
        cause = msg("Checked, not found: {title}.", title=lowered(rule.title))
        return in_order(facts, rule, subject, cause)
    bare = rule_draft(facts, rule, subject)
    note = facts.record.said(rule.note) if rule.note is not None else ""
    evidence = (
        msg("Recorded: {dict}", dict=dict(rule.field.choices)[said]),
        *((msg("Note: {note}", note=note),) if note else ()),
    )
    return with_load(
        facts,
        bare,
        cause=filled("{title}: {why}", title=rule.title, why=lowered(rule.why)),
        why=rule.why,
        **advice(facts, rule, "seated"),
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
    return with_unit(number, unit)


def limits_text(least: float | None, most: float | None, say: Callable[[float], str]) -> str:
    """Return the limits in words."""
    if least is not None and most is not None:
        return msg("{say} to {say2}", say=say(least), say2=say(most))
    if least is not None:
        return msg("at least {say}", say=say(least))
    return msg("at most {say}", say=say(most)) if most is not None else "any"


def judge_range(facts: Facts, rule: RangeRule, subject: str) -> Finding | None:
    """Return the finding of a number outside its limits; None within them."""
    if not facts.record.holds(rule.only_if):
        return None
    value = facts.record[rule.field]
    if value is None:
        if rule.optional:
            return None
        return unanswered(facts, rule, subject, msg("{title}: not recorded.", title=rule.title))
    at = _shown(value, rule.field, facts)
    least, most = rule.least, rule.most
    band = limits_text(least, most, lambda end: _shown(end, rule.field, facts))
    past = past_limits(value, least, most)
    if not past:
        return rule_draft(facts, rule, subject)(
            cause=msg("{title}: {at}, in range.", title=rule.title, at=at), joint=""
        )
    limit = least if past < 0 else most
    said = replace(rule, advice=rule.do_over) if past > 0 and rule.do_over else rule
    off = min(1.0, abs(past) / abs(limit)) if limit else 1.0
    return with_load(
        facts,
        rule_draft(facts, rule, subject),
        cause=filled(
            "{title}: {at}, {beyond}. {why}",
            title=rule.title,
            at=at,
            beyond=_beyond(past, least, most, rule.field, facts),
            why=rule.why,
        ),
        why=rule.why,
        **advice(facts, said, "seated"),
        evidence=(msg("Recorded {at}, range {band}", at=at, band=band),),
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
    return msg(
        "{what} than {shown}",
        what=msg("less") if past < 0 else msg("more"),
        shown=_shown(end or 0.0, field, facts),
    )


def past_limits(value: float, least: float | None, most: float | None) -> float:
    """How far outside, signed; 0 inside."""
    if least is not None and value < least:
        return value - least
    return value - most if most is not None and value > most else 0.0


def judge_pair(facts: Facts, rule: PairRule, subject: str) -> Finding | None:
    """Return the finding of two numbers that do not go together; None where they do."""
    if not facts.record.holds(rule.only_if):
        return None
    values = [facts.record[field] for field in rule.fields]
    one, other = values
    if rule.optional and one is None:
        return None
    if one is None or other is None:
        return unanswered(
            facts,
            rule,
            subject,
            rule.unanswered or msg("{title}: needs both lengths.", title=rule.title),
        )
    bare = rule_draft(facts, rule, subject)
    shown = rule.words.format(
        *(
            _shown(value, field, facts)
            for value, field in zip((one, other), rule.fields, strict=True)
        )
    )
    if rule.holds(one, other):
        return bare(cause=msg("{shown}: they fit.", shown=shown))
    return with_load(
        facts,
        bare,
        cause=filled("{shown}. {why}", shown=shown, why=rule.why),
        why=rule.why,
        **advice(facts, rule, "seated"),
        evidence=(shown,),
        tasks=rule.tasks,
        share=rule.share,
        weight=rule.weight,
    )


def judge_habit(facts: Facts, rule: ChoiceRule) -> Finding:
    """Return the finding of a habit that was seen."""
    habit = HABITS[rule.id.removeprefix("habit_")]
    posture = "standing" if habit.posture == "standing" else "seated"
    if posture == "standing" and facts.case.own_seat:
        reason = msg("{title}: seated in a wheelchair.", title=rule.title)
        return unanswered(facts, rule, msg("Habits"), reason, posture)
    seen = facts.seen.get(habit.id)
    if seen is None:
        if facts.watched:
            return in_order(
                facts,
                rule,
                msg("Habits"),
                msg("{title}: looked for, not seen.", title=rule.title),
                posture,
            )
        reason = msg(
            "{title}: not marked, and observation not confirmed as complete.", title=rule.title
        )
        return unanswered(facts, rule, msg("Habits"), reason, posture)
    bare = rule_draft(facts, rule, msg("Habits"), posture)
    note = facts.record.said(fields.seen.habit[habit.id].note)
    how = [msg("Seen"), seen.often.label.lower() if seen.often else msg("frequency not recorded")]
    if seen.side:
        both = seen.side == HabitSide.BOTH
        how.append(
            msg("both sides") if both else msg("{label} side", label=seen.side.label.lower())
        )
    evidence = (joined(", ", how), *((msg("Note: {note}", note=note),) if note else ()))
    return with_load(
        facts,
        bare,
        cause=filled("{label}. {why}", label=habit.label, why=habit.why),
        why=habit.why,
        **advice(facts, rule, posture),
        over_deg=habit.deg,
        evidence=evidence,
        tasks=rule.tasks,
        share=SHARE[seen.often or HabitOften.OFTEN],
        weight=1.0,
        settled=False,
    )
