"""Findings about settings, and about what they do to this body as found.

The body comes first: hanging feet and thighs without room are said from the body's own numbers. A
setting is off only where its own joint is off as found, or where no joint pays for it; and its
instruction never goes against the change that was worked out.
"""

from __future__ import annotations

from collections.abc import Iterator

from ..errors import MissingInput
from ..fit import FitRow, Joint, PostureFit, limit_text
from ..fit.frame import legs_terms
from ..fit.terms import total
from ..units import LengthUnit, format_length
from .as_found import AsFound, as_found
from .drafts import Draft, with_load
from .facts import Facts
from .finding import Finding
from .rules.settings import FAR_OFF, FAR_OFF_MM, JOINT_OF, REGION_OF, WORDS, Words, tasks_of

SAME = 0.5
"""Differences under half a mm or half a degree are none. Source: house-repeat."""
DONE_MM = 5.0
"""A setting so near to where it belongs counts as done, mm. Source: house-repeat."""
FEET_FAR_MM = 50.0
"""Feet that hang so far count in full. Source: house-severity."""


def body_findings(facts: Facts) -> Iterator[Finding]:
    """Feet and thighs as found."""
    state = as_found(facts.case, facts.result)
    if not facts.case.own_seat:
        yield _feet(facts, state)
    yield _thighs(facts, state)


def _draft(id: str, title: str, key: str, region: str) -> Draft:
    return Draft(
        id=id,
        subject="Body",
        title=title,
        state="holds",
        cause="",
        key=key,
        posture="seated",
        region=region,
        source="house-relief",
        joint="",
    )


def _feet(facts: Facts, state: AsFound) -> Finding:
    unit, bare = facts.unit, _draft("seated.feet", "Feet", "footrest", "hip")
    if state.feet_hang is None:
        return bare(
            state="not assessable",
            reason="Feet: seat, legs, or what is under the feet is not recorded.",
        )
    if not state.feet_hang:
        return bare(cause="Feet: carried.")
    hang = format_length(state.feet_hang, unit, with_unit=True)
    return with_load(
        facts,
        bare,
        why="The thighs press on the seat's edge, and nothing carries the legs.",
        cause=f"The feet hang: {hang} short of a support. The thighs press on the seat's edge.",
        instruction=_feet_advice(facts),
        evidence=(f"As found the soles lack {hang}",),
        tasks=tasks_of("seat"),
        share=1.0,
        weight=min(1.0, state.feet_hang / FEET_FAR_MM),
        settled=False,
    )


def _feet_advice(facts: Facts) -> str:
    """What carries the feet, from what was worked out."""
    unit, result = facts.unit, facts.result
    seat, rest = result.row("seated", "seat"), result.row("seated", "footrest")
    said = []
    if seat.setting is not None and seat.change is not None and seat.change < -SAME:
        said.append(f"Lower the seat to {format_length(seat.setting, unit, with_unit=True)}.")
    if rest.setting:
        said.append(f"Support the feet at {format_length(rest.setting, unit, with_unit=True)}.")
    lacking = result.hangs
    if lacking > SAME:
        said.append(
            f"{format_length(lacking, unit, with_unit=True)} of support are still lacking: a footrest, "
            "a box or a lower chair is needed before anything else."
        )
    return " ".join(said) or "Support for the feet, or a lower seat."


def _thighs(facts: Facts, state: AsFound) -> Finding:
    unit, bare = facts.unit, _draft("seated.thighs", "Room for the thighs", "surface", "hip")
    if state.thighs_pressed is None:
        return bare(
            state="not assessable",
            reason="Room for the thighs: seat, thighs, or what is over them is not recorded.",
        )
    short = state.thighs_pressed + state.thigh_room
    if short <= SAME:
        return bare(cause="Room for the thighs: enough.")
    pressed = state.thighs_pressed > SAME
    apart = format_length(state.thighs_pressed if pressed else short, unit, with_unit=True)
    cause = (
        f"The thighs do not fit: they stand {apart} in what is over them."
        if pressed
        else f"The thighs lack {apart} of room under the desk."
    )
    return with_load(
        facts,
        bare,
        cause=cause,
        why="Thighs that are pressed or fenced in can't move.",
        instruction=_thigh_advice(facts),
        evidence=(cause.rstrip("."),),
        tasks=tasks_of("seat"),
        share=1.0,
        weight=1.0 if pressed else 0.5,
        settled=False,
        safety=pressed,
    )


def _thigh_advice(facts: Facts) -> str:
    unit, result = facts.unit, facts.result
    said = []
    for key, thing in (("surface", "surface"), ("seat", "seat")):
        row = result.row("seated", key)
        if row.change is None or row.setting is None or abs(row.change) <= SAME:
            continue
        if (key == "surface") == (row.change > 0):
            verb = "Raise" if row.change > 0 else "Lower"
            said.append(
                f"{verb} the {thing} to {format_length(row.setting, unit, with_unit=True)}."
            )
    if result.presses > SAME:
        said.append(
            "No setting leaves room: a thinner top, a raised desk or no tray is needed first."
        )
    return " ".join(said) or "More room over the thighs: a thinner top, a raised desk, no drawer."


def setting_findings(facts: Facts) -> Iterator[Finding]:
    """Every setting that a table of words speaks of, against its row."""
    state = as_found(facts.case, facts.result)
    for posture in (facts.result.seated, facts.result.standing):
        for row in posture.rows if posture.possible else ():
            words = WORDS.get(row.key)
            if words is not None:
                yield _setting(facts, posture, row, words, state)


def _amount(value: float, row: FitRow, unit: LengthUnit) -> str:
    return f"{value:.0f}°" if row.unit == "deg" else format_length(value, unit, with_unit=True)


def _setting(facts: Facts, fit: PostureFit, row: FitRow, words: Words, state: AsFound) -> Finding:
    unit = facts.unit
    bare = Draft(
        id=f"{row.posture}.{row.key}",
        subject="Settings",
        title=words.thing,
        state="holds",
        cause="",
        key=row.key,
        posture=row.posture,
        region=REGION_OF.get(row.key, ""),
        source=row.source,
        joint="",
    )
    if row.found is None:
        return bare(state="not assessable", reason=f"{words.thing}: not recorded.")
    if row.target is None:
        return bare(state="not assessable", reason=row.reason or "No target.")
    at = _amount(row.found, row, unit)
    if row.status != "off":
        return bare(cause=f"{words.thing} {at}: in its band.")
    under = row.low is not None and row.found < row.low
    joint = _joint_of(fit, row)
    effect = _effect(row, words, state, under=under, joint=joint)
    if effect is None:
        return bare(
            cause=f"{words.thing} {at}: right for the posture as found; it moves with the rest."
        )
    over = joint.over if joint is not None else None
    apart = _amount(abs(row.found - row.target), row, unit)
    evidence = [f"As found {at}, target {_amount(row.target, row, unit)}"]
    degrees = ""
    if joint is not None and joint.angle is not None and over:
        angle, low, high = (
            f"{end:.0f}".replace("-", "−") for end in (joint.angle, joint.low, joint.high)
        )
        degrees = f" ({joint.label.lower()} {angle}°)"
        evidence.append(f"{joint.label} {angle}°, band {low} to {high}°")
    outside = max((row.low or 0.0) - row.found if under else row.found - (row.high or row.found), 0)
    weight = 1.0 if over else min(1.0, outside / FAR_OFF.get(row.key, FAR_OFF_MM))
    return with_load(
        facts,
        bare,
        why=effect,
        cause=f"{words.thing} {apart} {_side(row, under)} {_whose(words)} target: {effect}{degrees}.",
        instruction=_instruction(facts, row, words),
        left="; ".join(limit_text(limit, unit) for limit in row.limits) or None,
        joint=JOINT_OF.get(row.key, "") if over else "",
        over_deg=abs(over) if over is not None else None,
        evidence=tuple(evidence),
        tasks=tasks_of(row.key),
        share=1.0,
        weight=weight,
        settled=False,
    )


def _whose(words: Words) -> str:
    return "their" if words.thing.endswith("s") else "its"


def _side(row: FitRow, under: bool) -> str:
    named = {
        "distance": ("nearer than", "further than"),
        "seat_depth": ("shorter than", "deeper than"),
        "mouse": ("nearer than", "further out than"),
    }
    return named.get(row.key, ("under", "over"))[0 if under else 1]


def _joint_of(fit: PostureFit, row: FitRow) -> Joint | None:
    return next((one for one in fit.joints_found if one.joint == JOINT_OF.get(row.key)), None)


def _effect(
    row: FitRow, words: Words, state: AsFound, *, under: bool, joint: Joint | None
) -> str | None:
    """What the setting as found does; None where its joint is right as found."""
    if row.key == "seat":
        return _seat_effect(words, state, under=under)
    if joint is None or joint.over is None:
        return words.under if under else words.over
    if joint.over == 0:
        return None
    # the joint's own side decides: a surface too high closes the elbow, a screen too low bends the neck
    low_side = {"surface": joint.over > 0, "screen_top": joint.over < 0}.get(row.key, under)
    return words.under if low_side else words.over


def _seat_effect(words: Words, state: AsFound, *, under: bool) -> str | None:
    if under:
        if state.knee is not None and state.knee.over is not None and state.knee.over < 0:
            return words.under
        if state.elbow is not None and state.elbow.over is not None and state.elbow.over < 0:
            return "the elbows are lower than the keys ask for, and the shoulders lift"
        return None
    if state.feet_hang:
        return "the feet hang and the thighs press on the seat's edge"
    if state.on_footrest:
        return "the feet are off the floor, on a footrest"
    return words.over


def _done(facts: Facts, row: FitRow) -> str | None:
    """That it was set where it belongs, in the place of what to do."""
    start = f"set.{row.posture}.{row.key}"
    at, how = facts.number(start), "re-measured"
    if at is None:
        at, how = facts.number(f"{start}.aimed"), "not re-measured"
    if at is None or row.setting is None or abs(at - row.setting) > DONE_MM:
        return None
    return f"Done: set to {_amount(at, row, facts.unit)}, {how}."


def _instruction(facts: Facts, row: FitRow, words: Words) -> str:
    unit = facts.unit
    done = _done(facts, row)
    if done is not None:
        return done
    if row.key == "desk_depth":
        return "Use a keyboard tray or a screen arm, or move the desk off the wall."
    if any(limit.kind == "joined" for limit in row.limits):
        return "Raise the laptop and add separate keys and mouse; without them, short spells only."
    if row.change is None or row.setting is None or row.found is None or row.target is None:
        return row.reason or "Set by hand and test on the person."
    to = _amount(row.setting, row, unit)
    if abs(row.change) < SAME:
        return f"{to} is the best that is possible with these pieces."
    verb = words.more if row.change > 0 else words.less
    by = _amount(abs(row.change), row, unit)
    if row.key == "seat" and (row.target - row.found) * row.change < 0:
        return _seat_and_feet(facts, row)
    short = abs(row.setting - row.target) > max(SAME, DONE_MM if row.unit == "mm" else 1.0)
    return f"{verb} by {by} to {to}{', the best that is possible here' if short else ''}."


def _seat_and_feet(facts: Facts, row: FitRow) -> str:
    """The seat that the hands ask for can't be had without a support for the feet: that comes first."""
    unit = facts.unit
    assert row.setting is not None
    assert row.target is not None
    to = format_length(row.setting, unit, with_unit=True)
    try:
        need = row.target - total(legs_terms(facts.case.body, facts.case))
    except MissingInput:
        return f"Until the feet have a support, {to}."
    support = format_length(need, unit, with_unit=True)
    aim = format_length(row.target, unit, with_unit=True)
    return f"First a support for the feet, {support} high; then raise the seat to {aim}. Until then {to}."
