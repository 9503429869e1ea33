"""Holding every rule against a visit."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import replace
from typing import Any

from ..fit import FitRow, PostureFit, limit_text
from ..observed import HABIT_OFTEN, HABITS, SHARE, SIDES
from ..photo import VIEWS, PhotoReading, Reading
from ..units import LengthUnit, format_length
from .facts import Facts
from .finding import Finding, Severity, grade
from .rule import Amount, Angle, Answer, Pair, Rule
from .rules import RULES
from .rules.habits import HABIT_RULES
from .rules.settings import FAR_OFF, FAR_OFF_MM, JOINT_OF, REGION_OF, WORDS, Words, tasks_of
from .strain import REGION_OF_JOINT, strain_minutes, sum_text

SAME = 0.5
"""Differences under half a mm or half a degree are none. Source: house-repeat."""


# ---- settings ------------------------------------------------------------------------------


def _amount(value: float, row: FitRow, unit: LengthUnit) -> str:
    return f"{value:.0f}°" if row.unit == "deg" else format_length(value, unit, with_unit=True)


def _instruction(row: FitRow, words: Words, unit: LengthUnit) -> str:
    if row.key == "desk_depth":
        return "Use a keyboard tray or a screen arm, or move the desk off the wall."
    if any(limit.kind == "joined" for limit in row.limits):
        return "Raise the laptop and add separate keys and mouse; without them, short spells only."
    if row.change is None or row.setting is None:
        return "Set by hand and test on the person."
    to = _amount(row.setting, row, unit)
    if abs(row.change) < SAME:
        return f"It can't be better with this piece: leave it at {to}."
    verb = words.more if row.change > 0 else words.less
    return f"{verb} by {_amount(abs(row.change), row, unit)} to {to}."


def _effect(fit: PostureFit, row: FitRow, words: Words, under: bool) -> str:
    on_footrest = any(each.key == "footrest" and each.found for each in fit.rows)
    if row.key == "seat" and not under and on_footrest:
        return "the feet are off the floor, on a footrest"
    return words.under if under else words.over


def _side(row: FitRow, under: bool) -> str:
    named = {"distance": ("nearer than", "further than"),
             "mouse": ("nearer than", "further out than")}  # fmt: skip
    return named.get(row.key, ("under", "over"))[0 if under else 1]


def _setting(facts: Facts, fit: PostureFit, row: FitRow, words: Words) -> Finding:
    unit, id = facts.unit, f"{row.posture}.{row.key}"
    bare = _Made(
        id=id, subject="Settings", title=words.thing, state="holds", cause="", key=row.key,
        posture=row.posture, region=REGION_OF.get(row.key, ""), source=row.source, joint="",
    )  # fmt: skip
    if row.found is None:
        return bare(state="not assessable", reason=f"{words.thing}: not recorded.")
    if row.target is None:
        return bare(state="not assessable", reason=row.reason or "No target.")
    at = _amount(row.found, row, unit)
    if row.status != "off":
        return bare(cause=f"{words.thing} {at}: in its band.")
    under = row.low is not None and row.found < row.low
    effect = _effect(fit, row, words, under)
    joint = next((one for one in fit.joints_found if one.joint == JOINT_OF.get(row.key)), None)
    over = joint.over if joint is not None else None
    degrees = ""
    if joint is not None and joint.angle is not None and over:
        degrees = f" ({joint.label.lower()} {joint.angle:.0f}°)".replace("-", "−")
    apart = _amount(abs(row.found - row.target), row, unit)
    whose = "their" if words.thing.endswith("s") else "its"
    evidence = [f"As found {at}, target {_amount(row.target, row, unit)}"]
    if degrees and joint is not None:
        evidence.append(
            f"{joint.label} {joint.angle:.0f}°, band {joint.low:.0f} to {joint.high:.0f}°".replace(
                "-", "−")
        )  # fmt: skip
    outside = max((row.low or 0.0) - row.found if under else row.found - (row.high or row.found), 0)
    weight = 1.0 if over else min(1.0, outside / FAR_OFF.get(row.key, FAR_OFF_MM))
    return _loaded(
        facts, bare, why=effect,
        cause=f"{words.thing} {apart} {_side(row, under)} {whose} target: {effect}{degrees}.",
        instruction=_instruction(row, words, unit),
        left="; ".join(limit_text(limit, unit) for limit in row.limits) or None,
        joint=JOINT_OF.get(row.key, "") if over else "",
        over_deg=abs(over) if over is not None else None, evidence=tuple(evidence),
        tasks=tasks_of(row.key), share=1.0, weight=weight, settled=False,
    )  # fmt: skip


# ---- load and severity ---------------------------------------------------------------------


def _loaded(facts: Facts, bare: _Made, *, tasks: tuple[str, ...], share: float, weight: float,
            settled: bool = True, **said: Any) -> Finding:  # fmt: skip
    """What is off, with its minutes, their sum, severity and what the client feels there.

    Where a joint pays, degrees count as strain; elsewhere ``weight`` is how far off it is, 0 to 1.
    What matters only in tasks that this client has no hours of is ``settled``: it holds.
    """
    whole = {**bare.said, **said}
    joint, over, safety = whole["joint"], whole.get("over_deg"), whole.get("safety", False)
    hours = facts.hours(tasks, whole.get("posture", "seated"))
    if settled and hours == 0 and not safety:
        idle = f"{whole['title']}: no hours a day in which it would matter."
        return bare(cause=idle, joint="")
    minutes = text = None
    if hours is not None and joint and over:
        minutes = strain_minutes(hours=hours, share=share, over_deg=over)
        text = sum_text(hours=hours, share=share, over_deg=over)
    elif hours is not None:
        minutes = hours * 60 * share * weight
        part = f" × {share:g} of the time" if share != 1 else ""
        text = f"{hours:g} h × 60{part} × {weight:.2g} off = {minutes:.0f} min"
    region = REGION_OF_JOINT.get(joint, whole["region"])
    felt = tuple(one.text for one in facts.felt if region and one.load == region)
    return bare(**said, state="off", minutes=minutes, sum=text, felt=felt, region=region,
                severity=grade(minutes, safety=safety))  # fmt: skip


class _Made:
    """What every finding of a rule says, to be completed once: copies would cost more than rules."""

    def __init__(self, **said: Any) -> None:
        self.said = said

    def __call__(self, **more: Any) -> Finding:
        return Finding(**{**self.said, **more})


def _bare(rule: Rule, subject: str, id: str | None = None, **more: Any) -> _Made:
    return _Made(
        id=id or rule.id, subject=subject, title=rule.title, state="holds", cause="",
        region=rule.region, joint=rule.joint, source=rule.source, safety=rule.safety,
        health=rule.health, **more,
    )  # fmt: skip


def _makes_sense(facts: Facts, only_if: tuple[str, tuple[str, ...]] | None) -> bool:
    return only_if is None or (facts.text(only_if[0]) or "") in only_if[1]


# ---- the four kinds ------------------------------------------------------------------------


def _answer(facts: Facts, rule: Answer, subject: str) -> Finding | None:
    if not _makes_sense(facts, rule.only_if):
        return None
    said, bare = facts.text(rule.path), _bare(rule, subject)
    if said is None:
        return bare(state="not assessable",
                       reason=rule.asked or f"{rule.title}: not recorded.")  # fmt: skip
    if said not in rule.wrong:
        return bare(cause=f"{rule.title}: in order.", joint="")
    note = facts.text(f"{rule.path}.note")
    shown = facts.texts.get(f"{rule.path}={said}", said.replace("_", " "))
    evidence = (f"Recorded: {shown}", *((f"Note: {note}",) if note else ()))
    return _loaded(
        facts, bare, cause=f"{rule.title}: {rule.why[0].lower()}{rule.why[1:]}",
        why=rule.why, instruction=rule.do, evidence=evidence,
        over_deg=rule.deg or None, joint=rule.joint if rule.deg else "",
        tasks=rule.tasks, share=rule.share, weight=rule.weight,
    )  # fmt: skip


def _shown(value: float, path: str, facts: Facts) -> str:
    unit = facts.texts.get(path, "")
    if unit == "length":
        return format_length(value, facts.unit, with_unit=True)
    return f"{value:g}{'' if unit in ('°', '%') else ' '}{unit}".strip()


def _limits(least: float | None, most: float | None, say: Callable[[float], str]) -> str:
    if least is not None and most is not None:
        return f"{say(least)} to {say(most)}"
    if least is not None:
        return f"at least {say(least)}"
    return f"at most {say(most)}" if most is not None else "any"


def _number(facts: Facts, rule: Amount, subject: str) -> Finding | None:
    if not _makes_sense(facts, rule.only_if):
        return None
    value, bare = facts.number(rule.path), _bare(rule, subject)
    if value is None:
        return bare(state="not assessable", reason=f"{rule.title}: not recorded.")
    at = _shown(value, rule.path, facts)
    band = _limits(rule.least, rule.most, lambda end: _shown(end, rule.path, facts))
    past = _past(value, rule.least, rule.most)
    if not past:
        return bare(cause=f"{rule.title}: {at}, in its band.", joint="")
    limit = rule.least if past < 0 else rule.most
    off = min(1.0, abs(past) / abs(limit)) if limit else 1.0
    return _loaded(
        facts, bare, cause=f"{rule.title}: {at}, the band is {band}. {rule.why}",
        why=rule.why, instruction=rule.do, evidence=(f"Recorded {at}, band {band}",),
        over_deg=abs(past) * rule.deg_per_unit or None,
        joint=rule.joint if rule.deg_per_unit else "",
        tasks=rule.tasks, share=rule.share, weight=off,
    )  # fmt: skip


def _past(value: float, least: float | None, most: float | None) -> float:
    """How far outside, signed; 0 inside."""
    if least is not None and value < least:
        return value - least
    return value - most if most is not None and value > most else 0.0


def _pair(facts: Facts, rule: Pair, subject: str) -> Finding | None:
    if not _makes_sense(facts, rule.only_if):
        return None
    values = [facts.number(path) for path in rule.paths]
    bare = _bare(rule, subject)
    one, other = values
    if one is None or other is None:
        return bare(state="not assessable",
                       reason=f"{rule.title}: needs both lengths.")  # fmt: skip
    shown = rule.words.format(*(_shown(value, path, facts) for value, path in
                                zip((one, other), rule.paths, strict=True)))  # fmt: skip
    if not rule.fails(one, other):
        return bare(cause=f"{shown}: they fit.")
    return _loaded(
        facts, bare, cause=f"{shown}. {rule.why}", why=rule.why,
        instruction=rule.do, evidence=(shown,),
        tasks=rule.tasks, share=rule.share, weight=rule.weight,
    )  # fmt: skip


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
        return bare(cause=f"{rule.title}: {at} ± {error}, in its band.", joint="",
                       evidence=evidence)  # fmt: skip
    if abs(past) <= reading.error:
        return bare(state="not assessable", evidence=evidence, joint="",
                       reason=f"{rule.title} {at} ± {error}: too near the end of {band} to tell.")  # fmt: skip
    why = rule.under if past < 0 and rule.under else rule.why
    return _loaded(
        facts, bare, cause=f"{rule.title} {at} ± {error}, the band is {band}. {why}",
        why=why, instruction=rule.do, evidence=evidence,
        over_deg=abs(past) if reading.unit == "deg" and rule.joint else None,
        joint=rule.joint if reading.unit == "deg" else "",
        tasks=rule.tasks, share=rule.share,
        weight=min(1.0, abs(past) / 100 if reading.unit == "mm" else abs(past) / 30),
    )  # fmt: skip


def _habit(facts: Facts, rule: Answer) -> Finding:
    habit = HABITS[rule.id.removeprefix("habit_")]
    posture = "standing" if habit.posture == "standing" else "seated"
    bare = _bare(rule, "Habits", posture=posture)
    if facts.text(rule.path) != "seen":
        if facts.watched:
            return bare(cause=f"{rule.title}: not seen.", joint="")
        return bare(state="not assessable", reason="Nobody has watched them work yet.")
    often = facts.text(f"{rule.path}.often")
    share = SHARE[often if often in SHARE else "often"]
    side, note = facts.text(f"{rule.path}.side"), facts.text(f"{rule.path}.note")
    seen = ["Seen", HABIT_OFTEN.get(often or "", "how often not said").lower()]
    if side:
        seen.append(f"{SIDES[side].lower()} side" if side != "both" else "both sides")
    evidence = (", ".join(seen), *((f"Note: {note}",) if note else ()))
    return _loaded(
        facts, bare, cause=f"{habit.label}. {habit.why}", why=habit.why,
        instruction=habit.do, over_deg=habit.deg, evidence=evidence,
        tasks=rule.tasks, share=share, weight=1.0, settled=False,
    )  # fmt: skip


# ---- all of it -----------------------------------------------------------------------------


def _all(facts: Facts) -> Iterator[Finding | None]:
    for posture in (facts.result.seated, facts.result.standing):
        for row in posture.rows if posture.possible else ():
            words = WORDS.get(row.key)
            if words is not None:
                yield _setting(facts, posture, row, words)
    for habit in HABIT_RULES:
        yield _habit(facts, habit)
    before = [photo for photo in facts.photos if photo.photo.when == "before"]
    for subject, rules in RULES:
        for rule in rules:
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


_RANK: dict[Severity | None, int] = {"strong": 0, "marked": 1, "slight": 2, None: 3}


def rank(found: Finding) -> tuple[bool, bool, int, float, float]:
    """Safety first, then what hurts, then severity and minutes."""
    return (not found.safety, not found.felt, _RANK[found.severity], -(found.minutes or 0.0),
            -(found.over_deg or 0.0))  # fmt: skip


def _decided(found: Finding, facts: Facts) -> Finding:
    start = f"work.finding.{found.id.replace('.', '-')}"
    verdict = facts.text(f"{start}.verdict")
    if verdict is None and facts.text(f"{start}.words") is None:
        return found
    return replace(
        found, verdict=verdict,  # type: ignore[arg-type]
        words=facts.text(f"{start}.words"), dismissed_for=facts.text(f"{start}.reason"),
    )  # fmt: skip


def _own(facts: Facts) -> list[Finding]:
    """The practitioner's own findings, by the identifiers in the record."""
    ids = dict.fromkeys(
        path.split(".")[2] for path in facts.entries if path.startswith("work.own.")
    )
    found = []
    for id in ids:
        title = facts.text(f"work.own.{id}.title")
        if title:
            found.append(
                Finding(
                    id=f"own-{id}", subject="Own", title=title, state="off", cause=title,
                    why=facts.text(f"work.own.{id}.why") or "",
                    instruction=facts.text(f"work.own.{id}.do") or "",
                    severity=facts.text(f"work.own.{id}.severity"),  # type: ignore[arg-type]
                    health=facts.text(f"work.own.{id}.health") == "yes",
                    evidence=("Found by the practitioner",), own=True, verdict="accepted",
                )
            )  # fmt: skip
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
