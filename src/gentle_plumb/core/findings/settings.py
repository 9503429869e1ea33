"""Findings about settings as found: one for each quantity, its sentence made from the assessment.

A setting is off only where its own joint is off as found, or where no joint pays for it. The effect
that is said is that joint's; the instruction is the change that was worked out.
"""

from __future__ import annotations

from collections.abc import Iterator

from ..assessment import CAP_DEG, Assessment, SettingState
from ..catalogue import JOINTS, QUANTITIES, Quantity
from ..fit import NO_LIMIT, FitRow, Joint, limit_text
from ..language import filled, joined, lowered, msg
from ..words import say, say_amount, say_degrees, say_joint
from .drafts import Draft, with_load
from .facts import Facts
from .finding import Finding
from .found_words import cause_as_found
from .setting_advice import instruction_for

USE_SHARE = {"main": 0.85, "equal": 0.45, "some": 0.15, "rare": 0.15}
"""Share of the time at the screen that one is looked at. Source: house-bearing."""


def setting_findings(facts: Facts) -> Iterator[Finding]:
    """Yield every setting as found, against its band."""
    for assessed in facts.assessment.found:
        if not assessed.possible:
            continue
        for state in assessed.settings:
            if state.quantity.judged:
                yield _setting(facts, assessed, state)


def _setting(facts: Facts, assessed: Assessment, state: SettingState) -> Finding:
    quantity, unit = state.quantity, facts.unit
    row = facts.result.row(assessed.posture, quantity.key)
    draft = Draft(
        id=f"{assessed.posture}.{quantity.key}",
        subject=msg("Settings"),
        mechanism=quantity.mechanism,
        title=quantity.label,
        state="holds",
        cause="",
        key=quantity.key,
        posture=assessed.posture,
        region=quantity.region,
        source=row.source,
        joint="",
    )
    if state.value is None:
        return draft(state="not assessable", reason=say("setting.unrecorded", label=quantity.label))
    if state.target is None:
        reason = state.reason or say("setting.no_target", label=quantity.label)
        return draft(state="not assessable", reason=reason)
    at = say_amount(quantity, state.value, unit)
    if not state.excess:
        return draft(cause=say("setting.in_band", label=quantity.label, at=at))
    counts_as = _counts_as(assessed, quantity)
    joint = assessed.joint(counts_as.joint) if counts_as.joint else None
    effect = effect_of(assessed, state)
    if effect is None:
        return draft(cause=say("setting.joint_holds", label=quantity.label, at=at))
    return _off(facts, draft, assessed, state, row, counts_as=counts_as, joint=joint, effect=effect)


def _off(
    facts: Facts,
    draft: Draft,
    assessed: Assessment,
    state: SettingState,
    row: FitRow,
    *,
    counts_as: Quantity,
    joint: Joint | None,
    effect: str,
) -> Finding:
    quantity, unit = state.quantity, facts.unit
    assert state.value is not None
    assert state.target is not None
    assert state.excess is not None
    pays = joint is not None and bool(joint.excess_deg)
    turned = quantity.datum == "ahead"
    over_deg = (
        abs(state.excess) if turned else abs(joint.excess_deg or 0.0) if joint and pays else None
    )
    known = filled(" {say}", say=say("setting.declared")) if state.known == "declared" else ""
    evidence = [
        say(
            "setting.evidence",
            at=say_amount(quantity, state.value, unit),
            known=known,
            target=say_amount(quantity, state.target, unit),
        )
    ]
    angle = ""
    if joint is not None and pays and joint.angle is not None:
        words = say_joint(joint.joint, joint.angle)
        angle = filled(" ({words})", words=lowered(words))
        band = msg("{low} to {high}", low=say_degrees(joint.low), high=say_degrees(joint.high))
        evidence.append(msg("{words}, range {band}", words=words, band=band))
    instruction, directions = instruction_for(facts, state, row)
    return with_load(
        facts,
        draft,
        mechanism=counts_as.mechanism,
        region=counts_as.region,
        why=effect,
        cause=_cause(facts, assessed, state, effect=effect, angle=angle),
        instruction=instruction,
        directions=directions,
        left=joined(
            "; ", (limit_text(limit, unit) for limit in row.limits if limit.kind not in NO_LIMIT)
        )
        or None,
        joint="neck" if turned else counts_as.joint if pays else "",
        over_deg=over_deg,
        evidence=tuple(evidence),
        tasks=counts_as.tasks,
        share=_share(facts, quantity),
        weight=quantity.share_off(state.excess) * quantity.far_off_deg / CAP_DEG,
        settled=False,
    )


def _cause(
    facts: Facts, assessed: Assessment, state: SettingState, *, effect: str, angle: str
) -> str:
    """Return where it stands and what that does: by the body as found, else against its target."""
    assert state.value is not None
    assert state.target is not None
    text = cause_as_found(facts, assessed, state)
    if text is not None:
        return say("setting.off_found", found=text, effect=effect, angle=angle)
    quantity, unit = state.quantity, facts.unit
    apart = state.value - state.target
    straight = (
        apart * (state.excess or 0.0) > 0
    )  # off its band on the side that it is off its target
    return say(
        "setting.off" if straight else "setting.off_within",
        label=quantity.label,
        at=say_amount(quantity, state.value, unit),
        apart=say_amount(quantity, abs(apart), unit),
        side=quantity.over if apart > 0 else quantity.under,
        whose=quantity.whose,
        effect=effect,
        angle=angle,
    )


def _counts_as(assessed: Assessment, quantity: Quantity) -> Quantity:
    """Return whose joint, hours and mechanism a setting counts with: a low seat over which the hands rise, the surface's."""
    knee, feet = (
        assessed.joint("knee"),
        assessed.condition("feet") if quantity.seen_against == "lower_leg" else None,
    )
    legs = knee is not None and bool(knee.excess_deg)
    seat = assessed.setting("seat")
    low = seat is not None and (seat.excess or 0.0) < 0
    if feet is not None and low and not legs and feet.state != "off":
        return QUANTITIES["surface"]
    return quantity


def _share(facts: Facts, quantity: Quantity) -> float:
    """Return how much of the time a screen is looked at; 1 for what is no screen beside others."""
    sides = facts.case.details.side_screens
    id = quantity.key.rpartition("_")[0]
    if id not in {"screen", *(side.id for side in sides)} or (id == "screen" and not sides):
        return 1.0
    own = next((side for side in sides if side.id == id), None)
    if own is not None and own.share is not None:
        return own.share / 100
    use = own.use if own is not None else "main"
    return USE_SHARE[use or "some"]


def effect_of(assessed: Assessment, state: SettingState) -> str | None:
    """Return what a setting outside its band does to the body; None where its joint is right.

    The joint's own side decides: a surface that is too high closes the elbow.
    """
    quantity = state.quantity
    joint = assessed.joint(quantity.joint) if quantity.joint else None
    over = (state.excess or 0.0) > 0
    if quantity.seen_against == "lower_leg":
        return _seat_effect(assessed, quantity, over=over)
    if joint is None or joint.excess_deg is None:
        return quantity.over_means if over else quantity.under_means
    if joint.excess_deg == 0:
        return None
    name = JOINTS[joint.joint]
    return name.over if joint.excess_deg > 0 else name.under


def _seat_effect(assessed: Assessment, quantity: Quantity, *, over: bool) -> str | None:
    """Return what the seat as found does: from knees, elbows and feet, not from its height alone."""
    knee, elbow = assessed.joint("knee"), assessed.joint("elbow")
    if not over:
        if assessed.condition("thighs").state == "off":
            return msg("there is no room for the thighs under the desk")
        if knee is not None and knee.excess_deg is not None and knee.excess_deg < 0:
            return quantity.under_means
        if elbow is not None and elbow.excess_deg is not None and elbow.excess_deg < 0:
            return JOINTS["elbow"].under
        return None
    feet = assessed.condition("feet")
    if feet.state == "off":
        return msg("the feet are off the floor and the thighs press on the front edge")
    footrest = assessed.setting("footrest")
    if feet.state == "ok" and footrest is not None and footrest.value:
        return None  # the footrest carries them
    return quantity.over_means
