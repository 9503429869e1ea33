"""Findings about the body as found: feet that hang, thighs without room; from the assessment alone."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Literal

from ..assessment import Assessment
from ..catalogue import JOINTS, QUANTITIES, SEATED_TASKS
from ..fit import FitRow, Posture
from ..language import and_list, joined, msg, without_stop
from ..record import fields
from ..tolerances import SAME_MM
from ..words import say, say_amount, say_degrees, say_joint, say_length
from .drafts import Draft, with_load
from .facts import Facts
from .finding import Direction, Finding

FEET_FAR_MM = 50.0
"""Feet that hang so far count in full. Source: house-severity."""


def body_findings(facts: Facts) -> Iterator[Finding]:
    """Yield feet, thighs and wrists as found."""
    for assessed in facts.assessment.found:
        if assessed.possible:
            yield _wrist(facts, assessed)
    if not facts.case.sits:
        return
    if not facts.case.seat_stays:
        yield _feet(facts)
    yield _thighs(facts)


def _draft(id: str, title: str, key: str, mechanism: str) -> Draft:
    return Draft(
        id=id,
        subject=msg("Body"),
        mechanism=mechanism,
        title=title,
        state="holds",
        cause="",
        key=key,
        posture="seated",
        region=QUANTITIES["seat"].region,
        source="house-relief",
        joint="",
    )


def _wrist(facts: Facts, assessed: Assessment) -> Finding:
    joint, posture = assessed.joint("wrist"), assessed.posture
    name = JOINTS["wrist"]
    draft = Draft(
        id=f"{posture}.wrist",
        subject=msg("Body"),
        mechanism="wrists",
        title=msg("Wrists"),
        state="holds",
        cause="",
        key="slope",
        posture=posture,
        region=name.region,
        source="house-joint-bands",
        joint="",
    )
    if joint is None or joint.angle is None or joint.excess_deg is None:
        reason = joint.reason if joint is not None and joint.reason else ""
        return draft(
            state="not assessable",
            reason=msg("Wrists: {reason}", reason=reason or msg("not recorded.")),
        )
    angle = say_joint("wrist", joint.angle)
    if not joint.excess_deg:
        return draft(cause=msg("{angle}: in range.", angle=angle))
    band = msg("{low} to {high}", low=say_degrees(joint.low), high=say_degrees(joint.high))
    effect = name.over if joint.excess_deg > 0 else name.under
    over = say_degrees(abs(joint.excess_deg))
    return with_load(
        facts,
        draft,
        why=say("wrist.why"),
        cause=say("wrist.off", angle=angle, over=over, effect=effect),
        instruction=_wrist_advice(facts, posture),
        directions=(),
        joint="wrist",
        over_deg=abs(joint.excess_deg),
        evidence=(msg("{angle}, range {band}", angle=angle, band=band),),
        tasks=name.tasks,
        share=1.0,
        weight=1.0,
        settled=False,
    )


def _wrist_advice(facts: Facts, posture: Posture) -> str:
    """Return what straightens the wrists: the surface as worked out, or keys that slope with the arm."""
    fit = facts.result.of(posture)
    left = fit.joint("wrist")
    if left is not None and left.excess_deg:
        way = "wrist.left_back" if left.excess_deg > 0 else "wrist.left_down"
        return say(way, over=say_degrees(abs(left.excess_deg)))
    surface = next((row for row in fit.rows if row.key == "surface"), None)
    seat = next((row for row in fit.rows if row.key == "seat"), None)
    slope = next((row for row in fit.rows if row.key == "slope"), None)
    moved = [
        msg(
            "{label} at {quantities}",
            label=row.label.lower(),
            quantities=say_amount(QUANTITIES[row.key], row.setting, facts.unit),
        )
        for row in (seat, surface, slope)
        if row is not None and row.setting is not None and _moves(facts, row)
    ]
    return say("wrist.comes_right", what=and_list(moved)) if moved else say("wrist.feet_in")


def _moves(facts: Facts, row: FitRow) -> bool:
    """Whether a row asks for a change; keys slope by their feet where nobody recorded another slope."""
    value = facts.case.workstation.keyboard.slope if row.key == "slope" else None
    change = row.change
    if change is None and value is not None and row.setting is not None:
        change = row.setting - value
    return abs(change or 0.0) > SAME_MM


def _feet(facts: Facts) -> Finding:
    condition = facts.assessment.found[0].condition("feet")
    draft = _draft("seated.feet", msg("Feet"), "footrest", "feet")
    if condition.short is None:
        reason = say("condition.unknown", label=condition.label, reason=condition.reason)
        return draft(state="not assessable", reason=reason)
    if condition.state == "ok":
        return draft(cause=say("condition.ok", label=condition.label))
    gap = say_length(condition.short, facts.unit)
    instruction, directions = _feet_advice(facts)
    return with_load(
        facts,
        draft,
        why=say("feet.why"),
        cause=say("feet.off", gap=gap),
        instruction=instruction,
        directions=directions,
        evidence=(say("feet.evidence", gap=gap),),
        tasks=SEATED_TASKS,
        share=1.0,
        weight=min(1.0, condition.short / FEET_FAR_MM),
        settled=False,
    )


def _feet_advice(facts: Facts) -> tuple[str, tuple[Direction, ...]]:
    """Return what carries the feet, from what was worked out."""
    unit, result = facts.unit, facts.result
    seat, rest = result.row("seated", "seat"), result.row("seated", "footrest")
    said, directions = [], []
    if seat.setting is not None and seat.change is not None and seat.change < -SAME_MM:
        said.append(say("feet.lower", to=say_length(seat.setting, unit)))
        directions.append(Direction(quantity="seat", sign=-1))
    if rest.setting:
        said.append(say("feet.support", to=say_length(rest.setting, unit)))
    lacking = facts.assessment.hard_limits("aimed").feet
    if lacking > SAME_MM:
        said.append(say("feet.lacking", gap=say_length(lacking, unit)))
    return joined(" ", said) or say("feet.any"), tuple(directions)


def _thighs(facts: Facts) -> Finding:
    unit = facts.unit
    condition = facts.assessment.found[0].condition("thighs")
    draft = _draft("seated.thighs", condition.label, "surface", "thighs")
    if condition.short is None or condition.room is None:
        reason = say("condition.unknown", label=condition.label, reason=condition.reason)
        return draft(state="not assessable", reason=reason)
    if condition.state == "ok":
        return draft(cause=say("condition.ok", label=condition.label))
    pressed = condition.room < -SAME_MM
    gap = say_length(-condition.room if pressed else condition.short, unit)
    cause = say("thighs.pressed" if pressed else "thighs.short", gap=gap)
    instruction, directions = _thigh_advice(facts)
    return with_load(
        facts,
        draft,
        cause=cause,
        why=say("thighs.why"),
        instruction=instruction,
        directions=directions,
        evidence=(without_stop(cause),),
        tasks=SEATED_TASKS,
        share=1.0,
        weight=1.0 if pressed else 0.5,
        settled=False,
        safety=pressed,
    )


def _tray_comes_off(facts: Facts) -> bool:
    """Whether a keyboard tray is there and the plan takes it off."""
    there = facts.record.yes(fields.tray.there)
    return there and facts.case.workstation.desk.form != "tray"


def _thigh_advice(facts: Facts) -> tuple[str, tuple[Direction, ...]]:
    """Return what makes room, where what was worked out does so."""
    said, directions = [], []
    if _tray_comes_off(facts):
        return say("thighs.tray_off"), ()
    ways: tuple[tuple[str, Literal[-1, 1]], ...] = (("surface", 1), ("seat", -1))
    for key, sign in ways:
        row = facts.result.row("seated", key)
        if row.change is None or row.setting is None or row.change * sign <= SAME_MM:
            continue
        quantity = QUANTITIES[key]
        said.append(
            say(
                "setting.move",
                verb=msg(
                    "{more} the {noun}",
                    more=quantity.more if sign > 0 else quantity.less,
                    noun=quantity.noun,
                ),
                by=say_length(abs(row.change), facts.unit),
                to=say_length(row.setting, facts.unit),
            )
        )
        directions.append(Direction(quantity=key, sign=sign))
    if facts.assessment.hard_limits("aimed").thighs > SAME_MM:
        tray = facts.case.workstation.desk.form == "tray"
        said.append(say("thighs.lacking_tray" if tray else "thighs.lacking"))
    return joined(" ", said) or say("thighs.any"), tuple(directions)
