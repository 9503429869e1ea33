"""Doubts about what was measured, in words, each with its one-tap way out.

Nothing is changed here: a way out is a list of fields and what to type into them.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import date

from ..body import DIMENSIONS, FACTORS, Body, Earlier, PlausibilityDoubt, questions
from ..language import and_list, capitalised, filled, msg, spoken_day
from ..record import Record, fields
from ..units import MM_PER, LengthUnit, format_length
from .body import heel_of, other_sides, resolved_of

KEPT_WITHIN_MM = 0.6
"""A reason for keeping a value holds for as long as it is shown as that value, mm. Source: house-repeat."""
SAME_SHARE = 0.02
"""Two readings speak of a slip of unit where their ratio comes this near to it. Source: house-doubt."""


@dataclass(frozen=True)
class Fix:
    """What to type into a field; empty clears it."""

    path: str
    typed: str


@dataclass(frozen=True, kw_only=True)
class Doubt:
    """A question to the practitioner about one dimension.

    ``fixes`` put it right where a cause suggests itself; ``way_out`` names what they do; ``kept`` is the
    reason given for keeping the value as it is.
    """

    dimension: str
    kind: str
    text: str
    way_out: str | None = None
    fixes: tuple[Fix, ...] = ()
    kept: str | None = None


def _length(mm: float, unit: LengthUnit) -> str:
    return format_length(mm, unit, with_unit=True)


def _label(name: str) -> str:
    return DIMENSIONS[name].label


def spoken_date(iso: str) -> str:
    """A date as it is said.

    >>> spoken_date("2026-05-04")
    '4 May 2026'
    """
    return spoken_day(date.fromisoformat(iso))


def _as_other_unit(mm: float, factor: float, unit: LengthUnit) -> str:
    """What was typed as this length, with the unit that was meant.

    >>> _as_other_unit(182.0, 2.54, "cm"), _as_other_unit(4620.0, 0.1, "cm")
    ('18.2 in', '462 mm')
    """
    if factor == 2.54:
        return f"{mm / MM_PER['cm']:g} in"
    if factor == 1 / 2.54:
        return f"{mm / MM_PER['in']:.4g} cm"
    return f"{mm / 10:.4g} mm" if factor < 1 else f"{mm:.4g} cm"


def _paths(record: Record, name: str) -> list[tuple[str, float]]:
    """The readings of a dimension that are there: path and mm."""
    read = ((field.id, record[field]) for field in fields.measure.dimension[name].readings)
    return [(path, mm) for path, mm in read if mm is not None]


def _exchange(record: Record, a: str, b: str, unit: LengthUnit) -> tuple[Fix, ...]:
    fixes = []
    dimension = fields.measure.dimension
    for here, there in ((a, b), (b, a)):
        both = zip(dimension[here].readings, dimension[there].readings, strict=True)
        for mine, theirs in both:
            other = record[theirs]
            if mine in record or other is not None:
                fixes.append(Fix(mine.id, f"{format_length(other, unit)} {unit}" if other else ""))
    return tuple(fixes)


def _way_out(
    record: Record, question: PlausibilityDoubt, unit: LengthUnit
) -> tuple[str | None, tuple[Fix, ...]]:
    slip, name = question.slip, question.dimension
    if slip is None:
        return None, ()
    if slip.other is not None:
        moved = _exchange(record, name, slip.other, unit)
        if slip.kind == "exchanged" or _paths(record, slip.other):
            return msg("Exchange with {other}", other=_label(slip.other).lower()), moved
        return msg("Move it to {other}", other=_label(slip.other).lower()), moved
    if slip.factor is not None:
        fixes = tuple(
            Fix(path, _as_other_unit(mm, slip.factor, unit)) for path, mm in _paths(record, name)
        )
        return msg(
            "Make it {fromkeys}", fromkeys=and_list(dict.fromkeys(fix.typed for fix in fixes))
        ), fixes
    if slip.mm is None:
        return None, ()
    heel = heel_of(record, name) or 0.0
    by = slip.mm - question.value_mm
    fixes = tuple(Fix(path, _length(mm + by, unit)) for path, mm in _paths(record, name))
    return msg("Make it {mm}", mm=_length(slip.mm + heel, unit)), fixes


def _text(question: PlausibilityDoubt, unit: LengthUnit) -> str:
    label, value = _label(question.dimension), _length(question.value_mm, unit)
    said, slip = question.expected, question.slip
    perhaps = filled(" {words}?", words=capitalised(slip.words)) if slip is not None else ""
    if question.kind == "sheet":
        return msg(
            "{len} values are far from those of {since}. Is this the right client?",
            len=len(question.others) + 1,
            since=spoken_date(question.since),
        )
    if question.kind == "relation" and question.relation is not None:
        others = [_label(name).lower() for name in question.others]
        relation = question.relation
        low, high = format_length(relation.low, unit), _length(relation.high, unit)
        words = relation.words.format(*others, low=low, high=high)
        return msg(
            "{label} {value} {words}. One of them is wrong.", label=label, value=value, words=words
        )
    if said is None:
        return msg("{label} {value}: is this right?", label=label, value=value)
    near = _length(said.mm, unit)
    if question.kind == "sides":
        return msg(
            "{label} {value}, the other side {near}. A typing error, or a real difference between sides?",
            label=label,
            value=value,
            near=near,
        )
    if question.kind == "earlier":
        tail = perhaps or msg(" Adults don’t grow. Which of the two is right?")
        if DIMENSIONS[question.dimension].change_mm >= 20 and not perhaps:
            tail = msg(" Weight and posture can change this, but by so much?")
        return msg(
            "{label} {value}; on {since} it was {near}.{tail}",
            label=label,
            value=value,
            since=spoken_date(question.since),
            near=near,
            tail=tail,
        )
    if slip is not None and slip.kind == "exchanged" and slip.other is not None:
        return msg(
            "{label} {value} and {other} {mm} would fit much better the other way round.",
            label=label,
            value=value,
            other=_label(slip.other).lower(),
            mm=_length(slip.mm or 0.0, unit),
        )
    basis = and_list(_label(name).lower() for name in question.others) or msg("most people")
    spread = format_length(2 * said.sd_mm, unit)
    return msg(
        "{label} {value} is far from the {near} (± {spread}) that goes with {basis}.{perhaps}",
        label=label,
        value=value,
        near=near,
        spread=spread,
        basis=basis,
        perhaps=perhaps or msg(" Is it right?"),
    )


def _between_readings(record: Record, name: str, unit: LengthUnit) -> Doubt | None:
    """Two readings of which one was typed in another unit or with its digits swapped."""
    if (
        fields.measure.dimension[name].second not in record
        or not resolved_of(record, name).needs_third
    ):
        return None
    paths = _paths(record, name)[:2]
    if len(paths) < 2:
        return None
    limit = DIMENSIONS[name].repeat_limit_mm
    (first, a), (second, b) = paths
    for path, wrong, right in ((second, b, a), (first, a, b)):
        for factor, words in FACTORS:
            if factor > 1 and abs(wrong * factor / right - 1) <= SAME_SHARE:
                typed = _as_other_unit(wrong, factor, unit)
                return Doubt(
                    dimension=name,
                    kind="reading",
                    fixes=(Fix(path, typed),),
                    way_out=msg("Make it {typed}", typed=typed),
                    text=msg(
                        "The readings {a} and {b} differ by a factor. {words}?",
                        a=_length(a, unit),
                        b=_length(b, unit),
                        words=capitalised(words),
                    ),
                )
    digits = sorted(f"{a:.0f}") == sorted(f"{b:.0f}") and abs(a - b) > limit
    if digits and len(f"{a:.0f}") == len(f"{b:.0f}"):
        return Doubt(
            dimension=name,
            kind="reading",
            text=msg(
                "{a} and {b} have the same digits. Were two of them swapped? Take a third reading.",
                a=_length(a, unit),
                b=_length(b, unit),
            ),
        )
    return None


def _shoes(record: Record, body: Body) -> Doubt | None:
    inside = [name for name in body.values if heel_of(record, name) is None]
    if not inside:
        return None
    return Doubt(
        dimension=inside[0],
        kind="shoes",
        text=msg(
            "Measured in shoes, but heel height not recorded: every height from the floor is too large by that amount."
        ),
    )


def doubts(
    record: Record, body: Body, unit: LengthUnit, earlier: Mapping[str, Earlier] | None = None
) -> list[Doubt]:
    """Every doubt about a visit's dimensions, kept ones among them with their reason."""
    doubts = [doubt for name in DIMENSIONS if (doubt := _between_readings(record, name, unit))]
    shoes = _shoes(record, body)
    if shoes is not None:
        doubts.append(shoes)
    asked = questions(body, earlier=earlier, other_side=other_sides(record))
    explained = {
        question.dimension
        for question in asked
        if question.kind == "far" and question.slip is not None
    }
    for question in asked:
        if question.kind in ("earlier", "relation") and explained & {
            question.dimension,
            *question.others,
        }:
            continue  # a slip already says why it is off
        way_out, fixes = _way_out(record, question, unit)
        asked_of = fields.measure.dimension[question.dimension]
        kept_at, kept = record[asked_of.kept_at], record[asked_of.kept]
        stays = kept_at is not None and abs(kept_at - question.value_mm) <= KEPT_WITHIN_MM
        doubts.append(
            Doubt(
                dimension=question.dimension,
                kind=question.kind,
                text=_text(question, unit),
                way_out=way_out,
                fixes=fixes,
                kept=kept if kept and stays and question.kind != "sheet" else None,
            )
        )
    if all(doubt.kept for doubt in doubts if doubt.kind == "earlier"):
        doubts = [doubt for doubt in doubts if doubt.kind != "sheet"]  # each of them was answered
    return doubts
