"""Ask, conditions: which there are, and which of their limits a clinician has lifted."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from ...choices import Hand, YesNo
from ...intake import FIGURES, JOINTS_LIMITED, LIMITS, PRECAUTIONS, LimitId, OperatedPart
from ...language import filled, lowered, msg
from .field import Field, When
from .group import FieldGroup

_STANDING = FIGURES[LimitId.NO_STANDING]


@dataclass(frozen=True, eq=False)
class ClearedFields:
    """Who lifted a limit, or set it to a ``figure``, and from which day: until then it holds as it is."""

    by: Field[str]
    on: Field[str]
    figure: Field[float] | None = None


@dataclass(frozen=True, eq=False)
class PrecautionFields:
    """One condition: whether it holds, what to know, and who lifted which of its limits."""

    there: Field[YesNo]
    note: Field[str]
    cleared: Mapping[LimitId, ClearedFields]


def _precaution(id: str, label: str) -> PrecautionFields:
    place = FieldGroup(f"ask.care.{id}", msg("Conditions"))
    there = place.choice("", label, YesNo, health=True)
    yes = there.among(YesNo.YES)
    return PrecautionFields(
        there=there,
        note=place.words("note", msg("{label}: what to know", label=label), health=True, when=yes),
        cleared={limit: _cleared(place, limit, label, yes) for limit in PRECAUTIONS[id].limits},
    )


def _cleared(place: FieldGroup, limit: LimitId, label: str, yes: When) -> ClearedFields:
    says = filled("{label}: {says}", label=label, says=LIMITS[limit].says)
    figure = FIGURES.get(limit)
    return ClearedFields(
        by=place.words(
            f"{limit}.cleared_by",
            msg("{says} Cleared by", says=says),
            health=True,
            when=yes,
            one_line=True,
        ),
        on=place.date(
            f"{limit}.cleared_on", msg("{says} Cleared from", says=says), health=True, when=yes
        ),
        figure=place.amount(
            f"{limit}.figure",
            filled("{label}: {label2}", label=label, label2=lowered(figure.label)),
            figure.unit,
            figure.low,
            figure.high,
            health=True,
            when=yes,
        )
        if figure is not None
        else None,
    )


precaution = {
    precaution.id: _precaution(precaution.id, precaution.label)
    for precaution in PRECAUTIONS.values()
}
"""Every condition that limits a plan, by name."""
operated = FieldGroup("ask.care.surgery", msg("Conditions")).choice(
    "part",
    msg("Part operated on"),
    OperatedPart,
    health=True,
    when=precaution["surgery"].there.among(YesNo.YES),
    help=msg("Not said: any part may have been."),
)
question = FieldGroup("ask.question", msg("Conditions"))
standing_asked = question.amount(
    "standing",
    msg("Asked in the letter: standing in each hour"),
    _STANDING.unit,
    _STANDING.low,
    _STANDING.high,
    health=True,
    help=msg("Left open: 10 min."),
)
"""How much standing a letter to a clinician asks about, minutes of each hour."""
standing_from = question.date("from", msg("Asked in the letter: from which day"), health=True)
"""From which day on a letter to a clinician asks about it."""
_joint = FieldGroup("ask.joint", msg("Conditions"))


def _joint_limit(limit: LimitId) -> Field[float]:
    figure = FIGURES[limit]
    return _joint.amount(
        limit,
        figure.label,
        figure.unit,
        figure.low,
        figure.high,
        health=True,
        help=msg("As measured."),
    )


joint = {limit: _joint_limit(limit) for limit in JOINTS_LIMITED}
"""How far a joint of this person may move, degrees, by the limit; blank where nothing limits it."""
weak_side = FieldGroup("ask.care.weakness", msg("Conditions")).choice(
    "side",
    msg("Weaker side"),
    Hand,
    health=True,
    when=precaution["weakness"].there.among(YesNo.YES),
)
only_hand = FieldGroup("ask.care.one_hand", msg("Conditions")).choice(
    "side",
    msg("The hand that works"),
    Hand,
    health=True,
    when=precaution["one_hand"].there.among(YesNo.YES),
)
