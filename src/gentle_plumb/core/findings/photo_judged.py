"""A rule about an angle in a photograph, judged."""

from __future__ import annotations

from ..language import msg
from ..photo import VIEWS, PhotoReading, Reading
from ..units import LengthUnit, format_length
from ..words import say_posture
from .drafts import advice, with_load
from .facts import Facts
from .finding import Finding
from .rule import AngleRule
from .rules_judged import bare_draft, limits_text, past_limits


def _photo_value(value: float, reading: Reading, unit: LengthUnit) -> str:
    if reading.unit == "deg":
        return f"{value:.0f}°".replace("-", "−")
    return format_length(value, unit, with_unit=True)


def judge_angle(facts: Facts, rule: AngleRule, subject: str, photo: PhotoReading) -> Finding | None:
    """Return the finding of an angle of a photograph outside its band; None within it."""
    reading = next((reading for reading in photo.readings if reading.id == rule.reading), None)
    if reading is None:
        return None
    view = VIEWS[photo.photo.view].lower()
    posture = photo.photo.posture
    bare = bare_draft(rule, subject, f"{rule.id}_{posture}", posture=posture, photo=photo.photo.id)
    if reading.value is None:
        return bare(state="not assessable", reason=reading.reason)
    band = limits_text(rule.least, rule.most, lambda end: _photo_value(end, reading, facts.unit))
    at = _photo_value(reading.value, reading, facts.unit)
    error = _photo_value(reading.error, reading, facts.unit)
    evidence = (
        msg(
            "Photo {view}, {posture}: {label} {at} ± {error}",
            view=view,
            posture=say_posture(photo.photo.posture),
            label=reading.label.lower(),
            at=at,
            error=error,
        ),
    )
    past = past_limits(reading.value, rule.least, rule.most)
    if not past:
        return bare(
            cause=msg("{title}: {at} ± {error}, in range.", title=rule.title, at=at, error=error),
            joint="",
            evidence=evidence,
        )
    if abs(past) <= reading.error:
        return bare(
            state="not assessable",
            evidence=evidence,
            joint="",
            reason=msg(
                "{title} {at} ± {error}: too close to the limit of {band} to tell.",
                title=rule.title,
                at=at,
                error=error,
                band=band,
            ),
        )
    why = rule.under if past < 0 and rule.under else rule.why
    return with_load(
        facts,
        bare,
        cause=msg(
            "{title} {at} ± {error}, range {band}. {why}",
            title=rule.title,
            at=at,
            error=error,
            band=band,
            why=why,
        ),
        why=why,
        **advice(facts, rule, "seated"),
        evidence=evidence,
        over_deg=abs(past) if reading.unit == "deg" and rule.joint else None,
        joint=rule.joint if reading.unit == "deg" else "",
        tasks=rule.tasks,
        share=rule.share,
        weight=min(1.0, abs(past) / 100 if reading.unit == "mm" else abs(past) / 30),
    )
